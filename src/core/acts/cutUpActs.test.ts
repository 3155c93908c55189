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
    const once = after(start, (now) => createCutUp(now, BITS, 60_000, [squares(3)], 2));
    expect(once.lots.get(BITS)).toMatchObject({ areaMm2: 140_000 });
    const made = [...once.items.values()].find((item) => item.scrap?.cut === 'square')!;
    expect(made).toMatchObject({
      kind: 'scrap',
      name: 'blue, 5 in squares',
      scrap: { cutMm: 127, parentItemId: cloth.id },
    });
    expect(made).not.toHaveProperty('cost');
    // A remnant of the same cloth is cut up whole: its squares join the others.
    const twice = after(once, (now) => createCutUp(now, END, 1, [squares(8)], 3));
    expect(twice.lots.get(END)).toMatchObject({ state: 'gone', lengthMm: 0 });
    const lots = [...twice.lots.values()].filter((lot) => lot.itemId === made.id);
    expect(lots.map((lot) => [lot.count, lot.state])).toEqual([[11, 'out']]);
    // All of the bits.
    const all = after(twice, (now) => createCutUp(now, BITS, 1e9, [squares(1)], 4));
    expect(all.lots.get(BITS)!.state).toBe('gone');
  });

  it('leaves alone what is promised, and what gives nothing', () => {
    expect(faultOf(createCutUp(start, BITS, 60_000, [squares(0)], 2))?.code).toBe('nothing-changed');
    const promised = after(start, (now) =>
      createReserve(now, END, { id: 'r', forWhat: 'a cap', note: '', amount: 100 }, 2),
    );
    expect(faultOf(createCutUp(promised, END, 1, [squares(2)], 3))).toMatchObject({ code: 'reserved', available: 300 });
  });
});
