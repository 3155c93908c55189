import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import type { Household, Lot, LotId, PlaceId } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import type { Act } from './act.ts';
import { WAYS_OUT, createCount, createGone, createLend, createReturn, createUse } from './livingActs.ts';
import { createPutBack } from './lotActs.ts';
import { createNotFound } from './moveActs.ts';
import { applyChanges } from '../daybook/fold.ts';
import { computeTidyRound } from '../whereabouts/index.ts';

const places = createUnit('cube', { columns: 3, widthMm: 1122 });
const cloth = createCloth('cloth');
const buttons = createThing('buttons', { kind: 'notion' });
const base = createHousehold(
  places,
  [cloth, buttons],
  [createLot(cloth, 'cube-A1'), createLot(buttons, 'cube-B1', { units: 40 })],
);
const CLOTH = 'lot-cloth' as LotId;
const BUTTONS = 'lot-buttons' as LotId;

function after(household: Household, act: Act): Household {
  if (!act.ok) throw new Error(act.fault.code);
  const next = applyChanges(household, act.value.changes);
  if (!next.ok) throw new Error(next.fault.code);
  return next.value;
}

describe('leaving for good', () => {
  it.each(WAYS_OUT)('takes it out of its place: %s', (way) => {
    const act = createGone(base, CLOTH, way, 7);
    expect(act.ok && act.value).toMatchObject({ type: way, amount: 2000, amountUnit: 'length' });
    expect(after(base, act).lots.get(CLOTH)).toMatchObject({ state: 'gone', sinceMs: 7 });
    expect(after(base, act).lots.get(CLOTH)).not.toHaveProperty('placeId');
    expect(after(base, act).lots.get(CLOTH)).not.toHaveProperty('homeId');
  });

  it('is refused while something of it is promised, with what is free', () => {
    const lot = { ...base.lots.get(CLOTH)!, reserved: [{ id: 'r', forWhat: 'smock', note: '', amount: 1500 }] };
    const promised = { ...base, lots: new Map(base.lots).set(CLOTH, lot) };
    expect(createGone(promised, CLOTH, 'sold', 7)).toMatchObject({
      ok: false,
      fault: { code: 'reserved', available: 500 },
    });
  });

  it('leaves what was wrapped with it lying out', () => {
    const scrap = createCloth('scrap');
    const lot: Lot = { ...createLot(scrap), state: 'with', withLotId: CLOTH };
    const home = {
      ...base,
      items: new Map(base.items).set(scrap.id, scrap),
      lots: new Map(base.lots).set(lot.id, lot),
    };
    expect(after(home, createGone(home, CLOTH, 'gaveAway', 7)).lots.get(lot.id)).toMatchObject({ state: 'out' });
  });
});

describe('lending', () => {
  it('says to whom, and brings it home when it comes back', () => {
    const act = createLend(base, CLOTH, '  the rowing club ', 7);
    expect(act.ok && act.value.subject).toBe('cloth to the rowing club');
    const lent = after(base, act);
    expect(lent.lots.get(CLOTH)).toMatchObject({
      state: 'lent',
      lentTo: 'the rowing club',
      homeId: 'cube-A1',
    });
    expect(createLend(lent, CLOTH, 'again', 8).ok).toBe(false);
    const back = after(lent, createReturn(lent, CLOTH, 9));
    expect(back.lots.get(CLOTH)).toMatchObject({ state: 'in', placeId: 'cube-A1' });
    expect(back.lots.get(CLOTH)).not.toHaveProperty('lentTo');
    expect(createReturn(back, CLOTH, 9).ok).toBe(false);
  });

  it('lies out where its home is gone meanwhile', () => {
    const lent = after(base, createLend(base, CLOTH, 'a friend', 7));
    const fewer = { ...lent, places: new Map([...lent.places].filter(([id]) => id !== 'cube-A1')) };
    expect(after(fewer, createReturn(fewer, CLOTH, 9)).lots.get(CLOTH)).toMatchObject({ state: 'out' });
    expect(after(fewer, createReturn(fewer, CLOTH, 9)).lots.get(CLOTH)).not.toHaveProperty('placeId');
  });
});

describe('using pieces', () => {
  it('takes them off, and uses up the last', () => {
    expect(after(base, createUse(base, BUTTONS, 6, 7)).lots.get(BUTTONS)?.units).toBe(34);
    expect(after(base, createUse(base, BUTTONS, 40, 7)).lots.get(BUTTONS)?.state).toBe('gone');
    expect(createUse(base, BUTTONS, 41, 7)).toMatchObject({ fault: { code: 'more-than-there-is', available: 40 } });
    expect(createUse(base, BUTTONS, 0, 7).ok).toBe(false);
  });
});

describe('counting', () => {
  it('keeps what was counted; none left is used up', () => {
    const act = createCount(base, BUTTONS, 37, 7);
    expect(act.ok && act.value).toMatchObject({ type: 'counted', amount: 37, amountUnit: 'count' });
    expect(after(base, act).lots.get(BUTTONS)?.units).toBe(37);
    expect(after(base, createCount(base, BUTTONS, 0, 7)).lots.get(BUTTONS)?.state).toBe('gone');
    expect(after(base, createCount(base, CLOTH, 1800, 7)).lots.get(CLOTH)?.lengthMm).toBe(1800);
  });
});

describe('what is missing', () => {
  it('is found again by putting it back', () => {
    const lost = after(base, createNotFound(base, CLOTH, 7));
    expect(lost.lots.get(CLOTH)).toMatchObject({ state: 'out', away: 'missing', homeId: 'cube-A1' });
    expect(after(lost, createPutBack(lost, CLOTH, 8)).lots.get(CLOTH)).toMatchObject({ state: 'in' });
    expect(after(lost, createPutBack(lost, CLOTH, 8)).lots.get(CLOTH)).not.toHaveProperty('away');
  });
});

describe('tidying up', () => {
  it('takes back in one round what is out, place by place, and nothing else', () => {
    const things = ['a', 'b', 'c', 'd', 'e'].map((id) => createThing(id));
    const homes = ['cube-C1', 'cube-A1', 'cube-C1', 'cube-B1', 'cube-A1'];
    const lots = things.map((item, i) =>
      createLot(item, null, { homeId: homes[i] as PlaceId, homeOrder: 9 - i, ...(i === 3 ? { away: 'missing' } : {}) }),
    );
    const home = createHousehold(places, things, lots);
    const { stops, wayMm } = computeTidyRound(home, createPlaceTree(home.places));
    expect(new Map(stops.map(({ placeId, lots: here }) => [placeId, here.map((lot) => lot.id)]))).toEqual(
      new Map([
        ['cube-A1', ['lot-e', 'lot-b']],
        ['cube-C1', ['lot-c', 'lot-a']],
      ]),
    );
    expect(wayMm).toBeGreaterThan(0);
    expect(computeTidyRound(base, createPlaceTree(base.places))).toEqual({ stops: [], wayMm: 0 });
  });
});
