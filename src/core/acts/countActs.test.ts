import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import type { LotId, PlaceId } from '../records/index.ts';
import { type Counted, compareCount, createCountPlace, listToCount } from './countActs.ts';
import { applyChanges } from '../daybook/fold.ts';
import { checkInvariants } from '../daybook/index.ts';

const A1 = 'cube-A1' as PlaceId;
const cloth = createCloth('blue');
const shears = createThing('shears');
const ham = createThing('ham');
const household = createHousehold(
  [...createUnit('cube', {}), ...createUnit('rack', {})],
  [cloth, shears, ham],
  [createLot(cloth, A1), createLot(shears, A1), createLot(ham, 'rack-A1')],
);
const id = (name: string) => `lot-${name}` as LotId;
const found: Counted[] = [
  { lotId: id('blue'), isThere: true, amount: 1400 },
  { lotId: id('shears'), isThere: false, amount: null },
  { lotId: id('ham'), isThere: true, amount: null },
];
const count = (what: readonly Counted[]) => {
  const act = createCountPlace(household, A1, what, 77);
  if (!act.ok) throw new Error(act.fault.code);
  const next = applyChanges(household, act.value.changes);
  if (!next.ok) throw new Error(next.fault.code);
  return { draft: act.value, next: next.value };
};

describe('a count of a place', () => {
  it('tells what is missing, what is less and what turned up', () => {
    expect(compareCount(household, A1, found)).toEqual({
      missing: [id('shears')],
      changed: [id('blue')],
      turnedUp: [id('ham')],
    });
  });

  it('writes all of it in one line, and what is missing keeps its home', () => {
    const { draft, next } = count(found);
    expect(draft).toMatchObject({ type: 'counted', subject: 'cube › A1' });
    expect(next.lots.get(id('blue'))).toMatchObject({ lengthMm: 1400, placeId: A1 });
    expect(next.lots.get(id('shears'))).toMatchObject({ state: 'out', away: 'missing', homeId: A1 });
    expect(next.lots.get(id('shears'))).not.toHaveProperty('placeId');
    expect(next.lots.get(id('ham'))).toMatchObject({ state: 'in', placeId: A1, homeId: 'rack-A1' });
    expect(next.places.get(A1)?.countedAtMs).toBe(77);
    expect(checkInvariants(next)).toEqual([]);
  });

  it('remembers a place where all was as thought, and what is used up', () => {
    const { draft, next } = count([{ lotId: id('blue'), isThere: true, amount: 2000 }]);
    expect(draft.changes.map((one) => one.table)).toEqual(['places']);
    expect(next.lots).toEqual(household.lots);
    expect(count([{ lotId: id('blue'), isThere: true, amount: 0 }]).next.lots.get(id('blue'))?.state).toBe('gone');
  });

  it('is of a place that is there', () =>
    expect(createCountPlace(household, 'ghost' as PlaceId, [], 1)).toMatchObject({ fault: { code: 'no-such-place' } }));

  it('leads to the places that are left', () => {
    expect(listToCount(household, 50).map((place) => place.id)).toEqual([A1, 'rack-A1']);
    expect(listToCount(count(found).next, 50).map((place) => place.id)).toEqual([]);
    expect(listToCount(count(found.slice(0, 2)).next, 50).map((place) => place.id)).toEqual(['rack-A1']);
  });

  it('counts a heap by its pieces: as much less of it as there are fewer, known to the piece, its lengths in doubt as before', () => {
    const heap = { by: 'pile', measured: 620, countSigma: 4 } as const;
    const lot = createLot(cloth, A1, { count: 40, lengthMm: 80_000, amountSigma: 10_000, heap });
    const heaped = { ...household, lots: new Map([[lot.id, lot]]) };
    const act = createCountPlace(heaped, A1, [{ lotId: lot.id, isThere: true, amount: 30 }], 77);
    const next = act.ok ? applyChanges(heaped, act.value.changes) : act;
    expect(next.ok && next.value.lots.get(lot.id)).toMatchObject({
      count: 30,
      lengthMm: 60_000,
      amountSigma: 7500,
      heap: { by: 'pieces', measured: 30, countSigma: 0 },
    });
    expect(compareCount(heaped, A1, [{ lotId: lot.id, isThere: true, amount: 40 }]).changed).toEqual([]);
  });
});
