import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { passGate, stampEvent } from '../daybook/index.ts';
import type { Household, ItemId, Lot, LotId, PlaceId } from '../records/index.ts';
import type { Act } from '../acts/index.ts';
import {
  computeHeap,
  createCorrectHeap,
  createDivideHeaps,
  createGatherHeaps,
  createHeap,
  createHeapUp,
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

  it('is left whole where something is said of it as one, and what was promised of it shrinks with it', () => {
    const lot = heaped.lots.get(id)!;
    const say = (change: Partial<Lot>) => ({ ...heaped, lots: new Map([[id, { ...lot, ...change }]]) });
    const promised = say({ reserved: [{ id: 'r', forWhat: 'quilt', note: '', amount: lot.lengthMm! }] });
    const wish = { id: 'w', kind: 'stays' as const, lotIds: [id], groupIds: [] };
    const wished = { ...heaped, settings: { ...heaped.settings, wishes: [wish] } };
    for (const household of [promised, wished, say({ state: 'lent', lentTo: 'Ada' })])
      expect(createDivideHeaps(household, ids())).toMatchObject({ ok: false, fault: { code: 'nothing-changed' } });
    const item = createCloth('oat');
    const listed = apply(promised, createListOut(promised, id, item, createLot(item), 9)).lots.get(id)!;
    expect(listed.reserved![0]!.amount).toBeCloseTo(listed.lengthMm!, 6);
    const smaller = apply(promised, createCorrectHeap(promised, id, 'pieces', 10, 9)).lots.get(id)!;
    expect(smaller.reserved![0]!.amount).toBeCloseTo(smaller.lengthMm!, 6);
  });

  it('lets go of what is wrapped with it when it is used up', () => {
    const twine = createCloth('twine');
    const start = apply(bare, createHeap(bare, cloth, makeLot('pieces', 1)));
    const wrapped = { ...createLot(twine), state: 'with' as const, withLotId: id };
    const household = {
      ...start,
      items: new Map([...start.items, [twine.id, twine]]),
      lots: new Map([...start.lots, [wrapped.id, wrapped]]),
    };
    const item = createCloth('oat');
    const after = apply(household, createListOut(household, id, item, createLot(item), 9));
    expect(after.lots.get(wrapped.id)).toMatchObject({ state: 'out' });
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

describe('a heap of what need not be kept singly', () => {
  const made = { name: 'Oddments', itemId: 'odd' as ItemId, lotId: 'odd' as LotId };
  const cloths = ['a', 'b', 'c'].map((id) => createCloth(id));
  const stash = (change: (i: number) => Partial<Lot> = () => ({})) =>
    createHousehold(
      createUnit('case', {}),
      cloths,
      cloths.map((item, i) => createLot(item, 'case-A1', { lengthMm: 1000 * (i + 1), ...change(i) })),
    );
  const ids = cloths.map(({ id }) => `lot-${id}` as LotId);

  it('is as much as they were, lies where they lay, and says what is in it', () => {
    const after = apply(stash(), createHeapUp(stash(), ids, made, 7));
    expect(after.lots.get(made.lotId)).toMatchObject({
      count: 3,
      lengthMm: 6000,
      state: 'in',
      placeId: 'case-A1',
      homeId: 'case-A1',
      heap: { by: 'pieces', measured: 3, countSigma: 0 },
    });
    expect(after.items.get(made.itemId)).toMatchObject({ name: 'Oddments', notes: 'a, b, c', usesPerMonth: 6 });
    for (const id of ids) expect(after.lots.get(id)).toMatchObject({ state: 'gone', count: 0, lengthMm: 0 });
  });

  it('goes on counting the pieces of packets where all were counted', () => {
    const buttons = ['horn', 'shell'].map((id) => createThing(id, { kind: 'notion' }));
    const packets = buttons.map((item, i) => createLot(item, 'case-A1', { units: 12 * (i + 1) }));
    const of = createHousehold(createUnit('case', {}), buttons, packets);
    const after = apply(
      of,
      createHeapUp(
        of,
        packets.map(({ id }) => id),
        made,
        7,
      ),
    );
    expect(after.lots.get(made.lotId)).toMatchObject({ count: 2, units: 36 });
  });

  it('is not made of one thing, of what is promised, or of things of two kinds', () => {
    const promised = stash((i) =>
      i === 1 ? { reserved: [{ id: 'p', forWhat: 'a shirt', note: '', amount: 500 }] } : {},
    );
    expect(createHeapUp(stash(), ids.slice(0, 1), made, 7).ok).toBe(false);
    expect(createHeapUp(promised, ids, made, 7).ok).toBe(false);
    const tool = createThing('shears');
    const mixed = {
      ...stash(),
      items: new Map([...stash().items, [tool.id, tool]]),
      lots: new Map([...stash().lots, ['lot-shears' as LotId, createLot(tool)]]),
    };
    expect(createHeapUp(mixed, [ids[0]!, 'lot-shears' as LotId], made, 7).ok).toBe(false);
  });
});
