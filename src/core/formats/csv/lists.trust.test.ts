import { describe, expect, it } from 'vitest';
import { createListMutant } from '../../../../tests/mutants.ts';
import { many, readWorkMs, report, TRIAL_MS } from '../../../../tests/trust.ts';
import { createSampleHousehold } from '../../../sample/index.ts';
import { createImport } from '../../acts/index.ts';
import { checkInvariants, passGate, stampEvent } from '../../daybook/index.ts';
import { KINDS, type Household, type Kind } from '../../records/index.ts';
import { decodeText, parseTable, readTable, recogniseColumns, toCsv } from './index.ts';

const { household } = createSampleHousehold(1, 80);
const station = [...household.items.values()][0]!.stationId;
const HANG_MS = many(Infinity, 10_000);

type Outcome = 'refused' | 'faulty' | 'empty' | 'not let in' | 'in' | 'bad';

/** A list on its whole way from the bytes of a file into the household. */
function takeIn(bytes: Uint8Array, kind: Kind): Outcome {
  const text = decodeText(bytes);
  const table = text.ok ? parseTable(text.value.replace(/^\ufeff/, '')) : text;
  if (!table.ok) return 'refused';
  const { mapping, hasHeader } = recogniseColumns(table.value, kind);
  let count = 0;
  const read = readTable(table.value, household, {
    kind,
    units: 'metric',
    hasHeader,
    mapping,
    nowMs: 5,
    stationOf: () => station,
    createId: () => `new-${(count += 1)}`,
  });
  // All of it or nothing.
  if (read.faults.length > 0) return read.things.length === 0 ? 'faulty' : 'bad';
  if (read.things.length === 0) return 'empty';
  const draft = createImport(household, 'a list', read.things);
  if (!draft.ok) return draft.fault.code === 'nothing-changed' ? 'empty' : 'not let in';
  const passed = passGate(household, stampEvent(draft.value, 1, { nowMs: () => 5, createId: () => 'line' }));
  if (!passed.ok) return 'not let in';
  return isSound(passed.value.household, read.things.length) ? 'in' : 'bad';
}

const isSound = (next: Household, things: number) =>
  checkInvariants(next).length === 0 && next.items.size >= household.items.size && things > 0;

describe('lists that are damaged or meant to harm', () => {
  it('are taken in whole, keeping every rule, or not at all', { timeout: TRIAL_MS }, () => {
    const goods = KINDS.map((kind) => [kind, toCsv(household, kind)] as const);
    const bad: number[] = [];
    const outcomes = new Map<Outcome, number>();
    let slowestMs = 0;
    const count = many(240, 2000);
    for (let seed = 1; seed <= count; seed += 1) {
      const [kind, good] = goods[seed % goods.length]!;
      const startMs = readWorkMs();
      let outcome: Outcome = 'bad';
      try {
        outcome = takeIn(createListMutant(good, seed), kind);
      } catch {
        outcome = 'bad';
      }
      const ms = readWorkMs() - startMs;
      if (outcome === 'bad' || ms > HANG_MS) bad.push(seed);
      slowestMs = Math.max(slowestMs, ms);
      outcomes.set(outcome, (outcomes.get(outcome) ?? 0) + 1);
    }
    report('trust.csv_tried', count);
    report('trust.csv_bad', bad.length);
    report('trust.csv_slowest_ms', Math.round(slowestMs));
    expect(bad).toEqual([]);
    // All ways are tried: some come in, some have faults, some are no lists.
    expect(outcomes.get('in') ?? 0).toBeGreaterThan(0);
    expect(outcomes.get('faulty') ?? 0).toBeGreaterThan(0);
    // What a list says and the gate refuses would have had to be a fault of its row.
    expect(outcomes.get('not let in') ?? 0).toBe(0);
  });
});
