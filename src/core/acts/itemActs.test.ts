import { describe, expect, it } from 'vitest';
import { after, faultOf } from '../../../tests/acts.ts';
import {
  createCloth,
  createHousehold,
  createLot,
  createPattern,
  createSpool,
  createThing,
  createUnit,
} from '../../../tests/household.ts';
import { getWholeLot } from '../measure/index.ts';
import { createLotAlike, type Item, type ItemId, type LotId } from '../records/index.ts';
import { createChangeMany, createImport, createMerge, createSaveItem } from './itemActs.ts';
import { createThreaded } from './livingActs.ts';
import { createCut, createMeasure, createPutBack, createTakeOut } from './lotActs.ts';
import { createRelease, createReserve, createWash, createWrap } from './promiseActs.ts';
import { computePresentPackage, groupLotsByPlace } from '../whereabouts/index.ts';

const cloth = createCloth('cloth');
const scrap: Item = {
  ...createCloth('scrap'),
  kind: 'scrap',
  forms: ['loose'],
  scrap: { cut: 'odd' },
};
const thread = createSpool('thread');
const buttons = createThing('buttons', { kind: 'notion' });
const start = createHousehold(
  createUnit('cube', {}),
  [cloth, scrap, thread, buttons],
  [
    createLot(cloth, 'cube-A1'),
    createLot(cloth, null, { id: 'rest' as LotId, lengthMm: 500 }),
    createLot(scrap, null, { areaMm2: 200_000 }),
    createLot(thread, null, { count: 3 }),
    createLot(buttons),
  ],
);
const CLOTH = 'lot-cloth' as LotId;
const REST = 'rest' as LotId;
const SCRAP = 'lot-scrap' as LotId;

const promise = (id: string, amount: number) => ({ id, forWhat: `plan ${id}`, note: '', amount });

describe('promises', () => {
  it('take no more than is free, and go again', () => {
    const held = after(start, (now) => createReserve(now, CLOTH, promise('a', 1500), 2));
    expect(faultOf(createReserve(held, CLOTH, promise('b', 600), 3))).toMatchObject({
      code: 'reserved',
      available: 500,
    });
    const free = after(held, (now) => createRelease(now, CLOTH, 'a', 4));
    expect(free.lots.get(CLOTH)!.reserved).toEqual([]);
    expect(faultOf(createReserve(start, CLOTH, promise('a', 0), 3))?.code).toBe('nothing-changed');
  });

  it('are kept when something else is cut, and used up by what they were for', () => {
    const held = after(start, (now) => createReserve(now, CLOTH, promise('a', 1500), 2));
    expect(faultOf(createCut(held, CLOTH, 600, 3))).toMatchObject({ code: 'reserved', available: 500 });
    const other = after(held, (now) => createCut(now, CLOTH, 500, 3));
    expect(other.lots.get(CLOTH)).toMatchObject({ lengthMm: 1500, reserved: [{ amount: 1500 }] });
    const begun = after(held, (now) => createCut(now, CLOTH, 1000, 3, 'a'));
    expect(begun.lots.get(CLOTH)).toMatchObject({ lengthMm: 1000, reserved: [{ amount: 500 }] });
    const done = after(held, (now) => createCut(now, CLOTH, 1500, 3, 'a'));
    expect(done.lots.get(CLOTH)).toMatchObject({ lengthMm: 500, reserved: [] });
  });

  it('shrink, the latest first, when measuring finds less', () => {
    const held = after(
      start,
      (now) => createReserve(now, CLOTH, promise('a', 900), 2),
      (now) => createReserve(now, CLOTH, promise('b', 900), 3),
    );
    const less = after(held, (now) =>
      createMeasure(now, CLOTH, { value: 1000, sigma: 50, way: 'weight', unit: 'length' }, 4),
    );
    expect(less.lots.get(CLOTH)!.reserved!.map((one) => one.amount)).toEqual([900, 100]);
  });
});

describe('measuring', () => {
  it('lets spools go by length, and packets by their pieces', () => {
    const now = after(
      start,
      (at) => createMeasure(at, 'lot-thread' as LotId, { value: 600_000, sigma: 9, way: 'weight', unit: 'length' }, 2),
      (at) => createMeasure(at, 'lot-buttons' as LotId, { value: 123.6, sigma: 2, way: 'count', unit: 'count' }, 3),
    );
    expect(now.lots.get('lot-thread' as LotId)).toMatchObject({ lengthMm: 600_000, count: 3, measuredBy: 'weight' });
    expect(now.lots.get('lot-buttons' as LotId)).toMatchObject({ units: 124, count: 1, amountSigma: 2 });
  });
});

describe('wrapping', () => {
  const wrapped = after(
    start,
    (now) => createWrap(now, REST, CLOTH, 2),
    (now) => createWrap(now, SCRAP, CLOTH, 3),
  );

  it('makes the cloth as thick as both, and leaves each its amount', () => {
    // 200 000 mm² of scraps are 0.2 m of a cloth a metre wide: 2.0 + 0.5 + 0.2 m.
    expect(getWholeLot(wrapped, wrapped.lots.get(CLOTH)!).lengthMm).toBe(2700);
    expect(wrapped.lots.get(CLOTH)!.lengthMm).toBe(2000);
    // 2.7 m in panels of 280 mm are 10 rows of 4 layers of 1 mm.
    expect(computePresentPackage(wrapped, wrapped.lots.get(CLOTH)!)?.heightMm).toBe(40);
  });

  it('takes no place of its own', () => {
    expect([...groupLotsByPlace(wrapped, 'is').values()].flat().map((lot) => lot.id)).toEqual([CLOTH]);
    expect(wrapped.lots.get(REST)).toMatchObject({ state: 'with' });
    expect(wrapped.lots.get(REST)).not.toHaveProperty('placeId');
    expect(wrapped.lots.get(REST)).not.toHaveProperty('homeId');
  });

  it('ends when one part is taken out, or the cloth is used up', () => {
    const out = after(wrapped, (now) => createTakeOut(now, REST, 4));
    expect(out.lots.get(REST)).toMatchObject({ state: 'out' });
    expect(out.lots.get(REST)).not.toHaveProperty('withLotId');
    const gone = after(wrapped, (now) => createCut(now, CLOTH, 2000, 4));
    expect([gone.lots.get(REST)!.state, gone.lots.get(SCRAP)!.state]).toEqual(['out', 'out']);
  });

  it('does not go in rings or chains, nor round a thing that is no cloth', () => {
    expect(faultOf(createWrap(wrapped, CLOTH, REST, 5))?.code).toBe('cannot-wrap');
    expect(faultOf(createWrap(start, CLOTH, CLOTH, 5))?.code).toBe('cannot-wrap');
    expect(faultOf(createWrap(start, REST, 'lot-thread' as LotId, 5))?.code).toBe('cannot-wrap');
    expect(faultOf(createWrap(start, 'lot-thread' as LotId, CLOTH, 5))?.code).toBe('cannot-wrap');
    expect(faultOf(createPutBack(wrapped, REST, 5))?.code).toBe('no-home');
  });
});

describe('many at once', () => {
  it('come as one event, and change as one', () => {
    const item = createThing('new');
    const draft = createImport(start, 'a list', [{ item, lots: [createLot(item)] }]);
    expect(draft.ok && draft.value.changes).toHaveLength(2);
    const tagged = after(start, (now) =>
      createChangeMany(now, '2 things', [cloth.id, thread.id, 'nobody' as ItemId], (one) => ({
        ...one,
        tags: ['gift'],
      })),
    );
    expect([tagged.items.get(cloth.id)!.tags, tagged.items.get(thread.id)!.tags]).toEqual([['gift'], ['gift']]);
    expect(after(start, (now) => createWash(now, CLOTH, 5)).lots.get(CLOTH)!.isWashed).toBe(true);
  });

  it('makes one of two without losing what only one of them said', () => {
    const twin = createCloth('twin', {
      notes: 'from the market',
      colours: ['#a53f3f'],
      tags: ['gift'],
      cost: 12,
      care: ['fades'],
      stationId: cloth.stationId,
    });
    const child: Item = { ...scrap, id: 'child' as ItemId, scrap: { ...scrap.scrap!, parentItemId: twin.id } };
    const both = createHousehold(
      createUnit('cube', {}),
      [{ ...cloth, cost: 8, notes: 'soft' }, twin, child],
      [createLot(cloth), createLot(twin), createLot(child, null, { areaMm2: 1 })],
    );
    const one = after(both, (now) => createMerge(now, cloth.id, twin.id));
    expect(one.items.size).toBe(2);
    expect(one.items.get(cloth.id)).toMatchObject({
      notes: 'soft\nAlso: twin.\nfrom the market',
      colours: ['#2f5d7c', '#a53f3f'],
      tags: ['gift'],
      cost: 20,
      care: ['fades'],
      usesPerMonth: 4,
    });
    expect([...one.lots.values()].filter((lot) => lot.itemId === cloth.id)).toHaveLength(2);
    expect(one.items.get(child.id)!.scrap!.parentItemId).toBe(cloth.id);
    // What belonged to one of two machines belongs to the one that they are.
    const [first, second] = [createThing('first'), createThing('second', { belongsToId: 'first' as ItemId })];
    const foot = createThing('foot', { belongsToId: second.id });
    const machines = [first, second, foot];
    const shop = createHousehold(
      createUnit('cube', {}),
      machines,
      machines.map((item) => createLot(item)),
    );
    const merged = after(shop, (now) => createMerge(now, first.id, second.id));
    expect(merged.items.get(foot.id)!.belongsToId).toBe(first.id);
    const other = after(shop, (now) => createMerge(now, second.id, first.id));
    expect(other.items.get(second.id)).not.toHaveProperty('belongsToId');
    expect(faultOf(createMerge(start, cloth.id, thread.id))?.code).toBe('no-such-lot');
  });
});

describe('as much again', () => {
  it('is a lot of its own: lying out, promised to nobody, wrapped with nothing', () => {
    const wrapped = after(
      start,
      (now) => createReserve(now, REST, promise('a', 300), 2),
      (now) => createWrap(now, REST, CLOTH, 3),
    );
    const again = createLotAlike('again' as LotId, wrapped.lots.get(REST)!, 9);
    expect(again).toMatchObject({
      id: 'again',
      itemId: cloth.id,
      lengthMm: 500,
      state: 'out',
      sinceMs: 9,
    });
    expect([again.reserved, again.withLotId]).toEqual([undefined, undefined]);
    expect(after(wrapped, (now) => createSaveItem(now, cloth, [again])).lots.size).toBe(start.lots.size + 1);
  });
});

describe('a pattern that becomes a file, and paper again', () => {
  const paper = createPattern('coat', 7);
  const file: Item = { ...paper, pattern: { ...paper.pattern!, format: 'digital' } };
  const second = { id: 'second' as LotId };
  const filed = createHousehold(
    createUnit('cube', {}),
    [paper],
    [createLot(paper, 'cube-A1'), createLot(paper, null, second)],
  );

  it('gives up its place, with all its lots, and takes room again after', () => {
    const lot = filed.lots.get('lot-coat' as LotId)!;
    const digital = after(filed, (now) => createSaveItem(now, file, [lot]));
    expect([...digital.lots.values()].map((one) => [one.state, one.placeId, one.homeId])).toEqual([
      ['digital', undefined, undefined],
      ['digital', undefined, undefined],
    ]);
    const printed = after(digital, (now) => createSaveItem(now, paper, [digital.lots.get(second.id)!]));
    expect([...printed.lots.values()].map((one) => one.state)).toEqual(['out', 'out']);
  });

  it('has the machine threaded with one thread at a time', () => {
    const THREAD = 'lot-thread' as LotId;
    expect(faultOf(createThreaded(start, CLOTH, 3))).toMatchObject({ code: 'no-such-lot' });
    expect(faultOf(createThreaded(start, null, 3))).toMatchObject({ code: 'nothing-changed' });
    const other = { ...start.lots.get(THREAD)!, id: 'other' as LotId };
    const two = { ...start, lots: new Map(start.lots).set(other.id, other) };
    const on = after(two, (now) => createThreaded(now, THREAD, 3));
    expect(on.lots.get(THREAD)!.isThreaded).toBe(true);
    const changed = after(on, (now) => createThreaded(now, other.id, 4));
    expect([changed.lots.get(THREAD)!.isThreaded, changed.lots.get(other.id)!.isThreaded]).toEqual([undefined, true]);
    expect(after(changed, (now) => createThreaded(now, null, 5)).lots.get(other.id)).not.toHaveProperty('isThreaded');
  });
});
