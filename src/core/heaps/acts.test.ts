import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createUnit } from '../../../tests/household.ts';
import { passGate, stampEvent } from '../daybook/index.ts';
import type { Household, Lot, LotId, PlaceId } from '../records/index.ts';
import type { Act } from '../acts/index.ts';
import {
  computeHeap,
  createCorrectHeap,
  createDivideHeaps,
  createGatherHeaps,
  createHeap,
  createListOut,
} from './index.ts';

/** Through the gate, as all that is kept goes. */
function apply(household: Household, act: Act): Household {
  if (!act.ok) throw new Error(act.fault.code);
  const passed = passGate(household, stampEvent(act.value, 1, { nowMs: () => 5, createId: () => 'line' }));
  if (!passed.ok) throw new Error(JSON.stringify(passed.fault));
  return passed.value.household;
}

const cloth = createCloth('cottons', { name: 'Cottons' });
const bare = createHousehold(createUnit('case', {}), [], []);
const makeLot = (by: 'pieces' | 'pile', value: number): Lot => {
  const lot = createLot(cloth);
  return { ...lot, ...computeHeap(cloth, lot, by, value, bare.settings)! };
};
const heaped = apply(bare, createHeap(bare, cloth, makeLot('pieces', 40)));
const id = [...heaped.lots.keys()][0]!;
const ids = () => {
  let n = 0;
  return () => `new-${(n += 1)}` as LotId;
};
const sum = (household: Household, of: (lot: Lot) => number) =>
  [...household.lots.values()].reduce((all, lot) => all + of(lot), 0);

describe('a heap in a household', () => {
  it('is taken in as one line, and corrected by another measure', () => {
    expect(heaped.lots.get(id)).toMatchObject({ count: 40, heap: { by: 'pieces', measured: 40 } });
    const larger = apply(heaped, createCorrectHeap(heaped, id, 'pile', 900, 7));
    const told = computeHeap(cloth, makeLot('pieces', 1), 'pile', 900, bare.settings)!;
    expect(larger.lots.get(id)).toMatchObject({ count: told.count, lengthMm: told.lengthMm, sinceMs: 7 });
    expect(createCorrectHeap(heaped, id, 'pile', 0, 7)).toMatchObject({ ok: false });
    expect(createHeap(bare, cloth, createLot(cloth))).toMatchObject({ ok: false });
  });

  it('is parted for a plan and gathered where its parts are together again, nothing lost', () => {
    const parted = apply(heaped, createDivideHeaps(heaped, ids()));
    expect(parted.lots.size).toBeGreaterThan(3);
    expect(sum(parted, (lot) => lot.count)).toBe(40);
    expect(sum(parted, (lot) => lot.lengthMm!)).toBeCloseTo(heaped.lots.get(id)!.lengthMm!, 6);
    expect(createDivideHeaps(parted, ids())).toMatchObject({ ok: false, fault: { code: 'nothing-changed' } });
    // Two of them lie in a place that is their home, the others nowhere.
    const placeId = 'case-A1' as PlaceId;
    const lots = new Map(parted.lots);
    for (const lot of [...lots.values()].slice(0, 2))
      lots.set(lot.id, { ...lot, state: 'in', placeId, homeId: placeId });
    const placed = { ...parted, lots };
    const gathered = apply(placed, createGatherHeaps(placed));
    expect(gathered.lots.size).toBe(2);
    expect(sum(gathered, (lot) => lot.count)).toBe(40);
    expect([...gathered.lots.values()].find((lot) => lot.placeId === placeId)!.count).toBe(
      [...lots.values()].slice(0, 2).reduce((all, lot) => all + lot.count, 0),
    );
    expect(createGatherHeaps(gathered)).toMatchObject({ ok: false });
  });

  it('is less by each thing that is listed out of it, and used up by the last', () => {
    let now = apply(bare, createHeap(bare, cloth, makeLot('pieces', 2)));
    const list = (n: number) => {
      const item = createCloth(`oat-${n}`);
      const act = createListOut(now, id, item, createLot(item), 9);
      now = apply(now, act);
    };
    list(1);
    expect(now.lots.get(id)).toMatchObject({ count: 1, state: 'out' });
    expect(now.items.size).toBe(2);
    list(2);
    expect(now.lots.get(id)).toMatchObject({ count: 0, state: 'gone', lengthMm: 0 });
    const item = createCloth('oat-3');
    expect(createListOut(now, id, item, createLot(item), 9)).toMatchObject({ ok: false });
  });
});
