import { describe, expect, it } from 'vitest';
import { createHousehold, createLot, createThing, createUnit, CUTTING } from '../../../tests/household.ts';
import type { DaybookEvent, EventId, EventType, ItemId, LotId, PlaceId } from '../records/index.ts';
import { getUses } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { computeLearntUses, createLearn, listNearer } from './index.ts';
import { applyChanges } from '../daybook/fold.ts';

const DAY = 86_400_000;
const NOW = 1000 * DAY;
const shears = createThing('shears');
const ham = createThing('ham');
const household = createHousehold(
  [...createUnit('near', { xMm: 1800 }), ...createUnit('far', { wallId: 'south' })],
  [shears, ham],
  [createLot(shears, 'far-A1'), createLot(ham, 'near-A1')],
);
let seq = 0;
const event = (type: EventType, daysAgo: number, lot: string, more: Partial<DaybookEvent> = {}): DaybookEvent => {
  seq += 1;
  const changes = [{ table: 'lots' as const, id: `lot-${lot}`, before: {}, after: {} }];
  return { id: `e${seq}` as EventId, seq, atMs: NOW - daysAgo * DAY, type, subject: lot, changes, ...more };
};
const learn = (...events: DaybookEvent[]) => computeLearntUses(events, household, NOW).get('shears' as ItemId)!;

describe('uses that are learnt', () => {
  it('are what was said where the daybook is not kept', () => {
    expect(learn()).toEqual({ perMonth: 2, uses: 0, months: 0 });
    expect(learn(event('moved', 3, 'shears'), event('carried', 2, 'shears'))).toMatchObject({ perMonth: 2, months: 0 });
  });

  it('go from what was said, worth three months, toward what is seen', () => {
    // Three days in one week, half a week old on the whole: weights as good as one.
    const seen = learn(event('tookOut', 1, 'shears'), event('tookOut', 2, 'shears'), event('cut', 3, 'shears'));
    const weight = (days: number) => 0.5 ** (days / 7 / 26);
    const uses = weight(1) + weight(2) + weight(3);
    const months = weight(3.5) / (365.25 / 12 / 7);
    expect(seen.uses).toBeCloseTo(uses, 9);
    expect(seen.months).toBeCloseTo(months, 9);
    expect(seen.perMonth).toBeCloseTo((3 * 2 + uses) / (3 + months), 9);
  });

  it('count what was gathered for a project', () => {
    expect(learn(event('gathered', 1, 'shears'))).toEqual(learn(event('tookOut', 1, 'shears')));
  });

  it('count a day once, and nothing that was taken back', () => {
    const twice = [event('tookOut', 1.2, 'shears'), event('tookOut', 1.1, 'shears')];
    expect(learn(...twice).uses).toBeLessThan(1);
    const first = event('tookOut', 1, 'shears');
    expect(learn(first, event('undone', 0.9, 'shears', { undoes: [first.id] })).months).toBe(0);
  });

  it('fall where the daybook is kept and the thing stays where it is', () => {
    const weekly = Array.from({ length: 12 }, (_, week) => event('tookOut', week * 7 + 1, 'ham'));
    const seen = learn(...weekly);
    expect(seen.uses).toBe(0);
    // Nearly three months of the daybook beside the three that were said: about half.
    expect(seen.perMonth).toBeGreaterThan(1);
    expect(seen.perMonth).toBeLessThan(1.2);
  });

  it('do not blame a thing for the time before it came', () => {
    const came = event('received', 8, 'x', {
      changes: [{ table: 'items', id: 'shears', before: undefined, after: {} }],
    });
    const weekly = Array.from({ length: 12 }, (_, week) => event('tookOut', week * 7 + 1, 'ham'));
    expect(learn(came, ...weekly).months).toBeLessThan(0.5);
  });
});

describe('what was learnt', () => {
  const often = Array.from({ length: 12 }, (_, day) => event('tookOut', day + 0.5, 'shears'));

  it('is written down once, for what differs, and reckoned with', () => {
    const act = createLearn(household, often, NOW);
    expect(act).toMatchObject({ ok: true, value: { type: 'learnt', subject: 'how often 2 things are used' } });
    const next = act.ok ? applyChanges(household, act.value.changes) : act;
    if (!next.ok) throw new Error('not applied');
    const item = next.value.items.get(shears.id)!;
    expect(getUses(item)).toBeGreaterThan(4);
    expect(item.usesPerMonth).toBe(2);
    expect(createLearn(next.value, often, NOW)).toEqual({ ok: false, fault: { code: 'nothing-changed' } });
    expect(createLearn(household, [], NOW).ok).toBe(false);
  });

  it('is told where a plan brings it nearer to its station', () => {
    const assignments = [
      { lotId: 'lot-shears' as LotId, placeId: 'near-A1' as PlaceId, form: 'box' as const, order: 0 },
      { lotId: 'lot-ham' as LotId, placeId: 'far-A1' as PlaceId, form: 'box' as const, order: 0 },
    ];
    const items = new Map(household.items);
    items.set(shears.id, { ...shears, stationId: CUTTING, learntPerMonth: 6 });
    items.set(ham.id, { ...ham, learntPerMonth: 2 });
    const learnt = { ...household, items };
    const tree = createPlaceTree(learnt.places);
    const found = listNearer(learnt, tree, { assignments });
    expect(found.map(({ item }) => item.id)).toEqual(['shears']);
    expect(found[0]!.toMm).toBeLessThan(found[0]!.fromMm);
    expect(listNearer(household, tree, { assignments })).toEqual([]);
    // What nobody uses does not count as used more.
    const idle = new Map(items).set(shears.id, { ...shears, usesPerMonth: 0, learntPerMonth: 0 });
    expect(listNearer({ ...learnt, items: idle }, tree, { assignments })).toEqual([]);
  });
});
