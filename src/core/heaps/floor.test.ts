import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createUnit } from '../../../tests/household.ts';
import type { Act } from '../acts/index.ts';
import { completeSketch } from '../catalog/index.ts';
import { passGate, stampEvent } from '../daybook/index.ts';
import {
  DEFAULT_SETTINGS,
  isHomeless,
  type Household,
  type ItemId,
  type LotId,
  type PlaceId,
  type StationId,
} from '../records/index.ts';
import { computeHeap, createLieOnFloor, describeHeap, HEAP_SORTS, takeOutOfHeap } from './index.ts';

/** Through the gate, as all that is kept goes. */
function apply(household: Household, act: Act): Household {
  if (!act.ok) throw new Error(act.fault.code);
  const passed = passGate(household, stampEvent(act.value, 1, { nowMs: () => 5, createId: () => 'line' }));
  if (!passed.ok) throw new Error(JSON.stringify(passed.fault));
  return passed.value.household;
}

describe('all of it on the floor', () => {
  const cotton = createCloth('cotton');
  const wool = createCloth('wool');
  const owned = createHousehold(
    createUnit('case', {}),
    [cotton, wool],
    [createLot(cotton), createLot(wool, 'case-A1')],
  );
  let made = 0;
  const lie = (household: Household) => createLieOnFloor(household, () => `new-${(made += 1)}` as PlaceId, 9);

  it('is where it lies and no home: it needs one, and no plan leaves it there', () => {
    const after = apply(owned, lie(owned));
    const lot = after.lots.get(createLot(cotton).id)!;
    expect([lot.state, lot.homeId, isHomeless(lot)]).toEqual(['in', undefined, true]);
    expect(after.places.get(after.places.get(lot.placeId!)!.parentId!)).toMatchObject({
      name: 'Heap on the floor',
      unit: { kind: 'floor', isHeap: true },
    });
    // What is somewhere stays there.
    expect(after.lots.get(createLot(wool).id)!.placeId).toBe('case-A1');
    // A second time there is a spot already, and nothing left to lie on it.
    expect(lie(after).ok).toBe(false);
    const more = createLot(createCloth('silk'));
    const grown = {
      ...after,
      items: new Map([...after.items, ['silk' as ItemId, createCloth('silk')]]),
      lots: new Map([...after.lots, [more.id, more]]),
    };
    const again = lie(grown);
    expect(again.ok && again.value.changes.map(({ table }) => table)).toEqual(['lots']);
  });

  it('is not said of a household without a room, nor where all is somewhere', () => {
    expect(lie({ ...owned, places: new Map() }).ok).toBe(false);
    expect(lie({ ...owned, lots: new Map() }).ok).toBe(false);
  });
});

describe('the heaps that people have', () => {
  it('are all measured by what is quickest, and by pieces', () => {
    expect(new Set(HEAP_SORTS.map(({ id }) => id)).size).toBe(HEAP_SORTS.length);
    const birth = { itemId: 'i' as ItemId, lotId: 'l' as LotId, nowMs: 1, stationId: 's' as StationId };
    for (const { sketch, by } of HEAP_SORTS) {
      const made = completeSketch(sketch, { ...birth, settings: DEFAULT_SETTINGS });
      if (!made.ok) throw new Error(`${sketch.name}: ${JSON.stringify(made.fault)}`);
      const { item, lot } = made.value;
      const usual = { pieces: 20, pile: 400, row: 400, mass: 2000, room: 2e7 }[by];
      for (const [way, value] of [
        [by, usual],
        ['pieces', 12],
      ] as const) {
        const told = computeHeap(item, lot, way, value, DEFAULT_SETTINGS);
        expect(told, sketch.name).not.toBeNull();
        expect(told!.count).toBeGreaterThan(0);
        expect(describeHeap(item, { ...lot, ...told }, DEFAULT_SETTINGS)[way]! / value).toBeCloseTo(1, 0);
      }
    }
  });

  it('of odd bits go by their room or weight, and are less by what is listed out of them', () => {
    const { sketch } = HEAP_SORTS.find(({ id }) => id === 'scrap-woven-scraps')!;
    const birth = { itemId: 'i' as ItemId, lotId: 'l' as LotId, nowMs: 1, stationId: 's' as StationId };
    const made = completeSketch(sketch, { ...birth, settings: DEFAULT_SETTINGS });
    if (!made.ok) throw new Error('sketch');
    const { item, lot } = made.value;
    const told = computeHeap(item, lot, 'room', 30e6, DEFAULT_SETTINGS)!;
    // A bin of 30 l of cotton bits: some three to four kilos, near 25 m².
    expect(told.areaMm2! / 1e6).toBeGreaterThan(15);
    expect(told.areaMm2! / 1e6).toBeLessThan(40);
    const heap = { ...lot, ...told };
    const left = takeOutOfHeap(item, heap, { ...lot, areaMm2: 2e6 })!;
    expect(left.areaMm2).toBeCloseTo(heap.areaMm2! - 2e6, 3);
    expect(left.count).toBe(heap.count - 1);
  });
});
