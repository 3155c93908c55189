import { describe, expect, it } from 'vitest';
import { after, faultOf } from '../../../tests/acts.ts';
import { createCloth, createHousehold, createLot } from '../../../tests/household.ts';
import type { Item, ItemId, LotId } from '../records/index.ts';
import { createCutUp, createReserve, type CutUp } from './index.ts';

const cloth = createCloth('blue', { cost: 12, costFor: 3000, restockBelow: 500 });
const bits: Item = {
  ...createCloth('bits'),
  kind: 'scrap',
  forms: ['loose'],
  scrap: { cut: 'odd', parentItemId: cloth.id },
};
const [BITS, END] = ['lot-bits' as LotId, 'lot-blue' as LotId];
const start = createHousehold(
  [],
  [cloth, bits],
  [createLot(bits, null, { areaMm2: 200_000 }), createLot(cloth, null, { lengthMm: 400 })],
);
let ids = 0;
const squares = (count: number): CutUp => {
  ids += 1;
  return {
    cut: 'square',
    cutMm: 127,
    count,
    name: 'blue, 5 in squares',
    itemId: `item-${ids}` as ItemId,
    lotId: `new-${ids}` as LotId,
  };
};

describe('cutting a scrap up', () => {
  it('counts the pieces, takes their cloth from the scraps, and joins what there is of a size', () => {
    const once = after(start, (now) => createCutUp(now, BITS, 60_000, [squares(3)], null, 2));
    expect(once.lots.get(BITS)).toMatchObject({ areaMm2: 140_000 });
    const made = [...once.items.values()].find((item) => item.scrap?.cut === 'square')!;
    expect(made).toMatchObject({
      kind: 'scrap',
      name: 'blue, 5 in squares',
      scrap: { cutMm: 127, parentItemId: cloth.id },
    });
    expect(made).not.toHaveProperty('cost');
    // A remnant of the same cloth is cut up whole: its squares join the others.
    const twice = after(once, (now) => createCutUp(now, END, 1, [squares(8)], null, 3));
    expect(twice.lots.get(END)).toMatchObject({ state: 'gone', lengthMm: 0 });
    const lots = [...twice.lots.values()].filter((lot) => lot.itemId === made.id);
    expect(lots.map((lot) => [lot.count, lot.state])).toEqual([[11, 'out']]);
    // All of the bits.
    const all = after(twice, (now) => createCutUp(now, BITS, 1e9, [squares(1)], null, 4));
    expect(all.lots.get(BITS)!.state).toBe('gone');
  });

  it('puts what is too small with the stuffing, by weight', () => {
    const bag = (n: number, massG: number) => ({
      massG,
      name: 'Stuffing from scraps',
      itemId: `bag-${n}` as ItemId,
      lotId: `bag-lot-${n}` as LotId,
    });
    const once = after(start, (now) => createCutUp(now, BITS, 60_000, [squares(3)], bag(1, 12), 2));
    const item = once.items.get('bag-1' as ItemId)!;
    // 12 g at 80 g a litre are 150 ml: 2 cm on 30 by 25.
    expect(item).toMatchObject({ kind: 'notion', box: { type: 'stuffing', massG: 12, heightMm: 20, isSoft: true } });
    expect(once.lots.get('bag-lot-1' as LotId)).toMatchObject({ state: 'out', count: 1 });
    // Too small for any size: all of it. It joins the bag that there is.
    const twice = after(once, (now) => createCutUp(now, BITS, 1e9, [], bag(2, 588), 3));
    expect(twice.lots.get(BITS)!.state).toBe('gone');
    expect(twice.items.has('bag-2' as ItemId)).toBe(false);
    expect(twice.items.get('bag-1' as ItemId)!.box).toMatchObject({ massG: 600, heightMm: 100 });
    expect(faultOf(createCutUp(start, BITS, 1, [], bag(3, 0.1), 2))?.code).toBe('nothing-changed');
  });

  it('leaves alone what is promised, and what gives nothing', () => {
    expect(faultOf(createCutUp(start, BITS, 60_000, [squares(0)], null, 2))?.code).toBe('nothing-changed');
    const promised = after(start, (now) =>
      createReserve(now, END, { id: 'r', forWhat: 'a cap', note: '', amount: 100 }, 2),
    );
    expect(faultOf(createCutUp(promised, END, 1, [squares(2)], null, 3))).toMatchObject({
      code: 'reserved',
      available: 300,
    });
  });
});
