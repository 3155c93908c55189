import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { findClassFaults } from './check.ts';
import { compileTest } from './compile.ts';
import { DaybookEvent, Item, Lot, Place, Settings } from './index.ts';

const { household, events } = createSampleHousehold(1, 120);
const CASES = [
  ['items', Item, [...household.items.values()]],
  ['lots', Lot, [...household.lots.values()]],
  ['places', Place, [...household.places.values()]],
  ['settings', Settings, [household.settings]],
  ['events', DaybookEvent, events.map((event) => ({ ...event, changes: event.changes.slice(0, 5) }))],
] as const;

describe.each(CASES)('the quick test of %s', (table, owner, records) => {
  const test = compileTest(owner);

  it('passes all that is good, by itself', () => {
    for (const record of records) expect([test(record), findClassFaults(table, record, '')]).toEqual([true, []]);
  });

  it('never passes what the validator does not', () => {
    const junk = fc.constantFrom<unknown>(
      null,
      undefined,
      -1,
      0.5,
      1e20,
      NaN,
      '',
      'x',
      '#12345g',
      [],
      [null],
      {},
      true,
      'fabric',
      ['board', 'board'],
    );
    fc.assert(
      fc.property(fc.nat(records.length - 1), fc.array(fc.tuple(fc.nat(), junk), { maxLength: 3 }), (which, spoils) => {
        const raw = structuredClone(records[which]) as unknown as Record<string, unknown>;
        for (const [where, what] of spoils) {
          // Some field, or some field of a nested record, or one that no class has.
          let at = raw;
          for (let step = where; ; step = Math.floor(step / 7)) {
            const keys = [...Object.keys(at), 'surprise'];
            const key = keys[step % keys.length]!;
            const inner = at[key];
            if (step < 7 || typeof inner !== 'object' || inner === null || Array.isArray(inner)) {
              if (what === undefined) delete at[key];
              else at[key] = what;
              break;
            }
            at = inner as Record<string, unknown>;
          }
        }
        if (test(raw)) expect(findClassFaults(table, raw, '')).toEqual([]);
      }),
      { numRuns: 400 },
    );
  });
});
