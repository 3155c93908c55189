import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import type { Item, ItemId, Lot } from '../records/index.ts';
import { listMakeable } from './index.ts';

const { household } = createSampleHousehold(1, 60);
const items = [...household.items.values()];
const cloth: Item = {
  ...items.find((item) => item.kind === 'fabric')!,
  care: [],
  fabric: {
    fibre: 'cotton',
    cloth: 'poplin',
    widthMm: 1400,
    grammageGsm: 130,
    layerMm: 0.3,
    stacking: 1.2,
    print: 'solid',
  },
};
const lot: Lot = {
  ...[...household.lots.values()].find((one) => one.itemId === cloth.id)!,
  itemId: cloth.id,
  lengthMm: 2000,
  isWashed: true,
  reserved: [],
};
const base = items.find((item) => item.kind === 'pattern')!;
const pattern = (id: string, garment: string, lengths: [string, number][]): Item => ({
  ...base,
  id: id as ItemId,
  name: id,
  pattern: {
    ...base.pattern!,
    garment,
    needs: lengths.map(([size, lengthMm]) => ({ size, widthMm: 1400, lengthMm, part: '' })),
  },
});

describe('what could be made of a cloth', () => {
  it('is told in the largest size that goes, what goes before what does not', () => {
    const shirt = pattern('shirt', 'shirt', [
      ['38', 1600],
      ['42', 1850],
      ['46', 2200],
    ]);
    const dress = pattern('dress', 'dress', [['38', 3000]]);
    const unknown = pattern('thing', 'thing', []);
    const found = listMakeable([dress, unknown, shirt], cloth, lot);
    // 1.85 m and 5 cm an end are 1.95 m of 2 m; a dress is 1.10 m short; of the last nobody knows.
    expect(found.map(({ pattern: { name }, size }) => [name, size])).toEqual([
      ['shirt', '42'],
      ['dress', '38'],
    ]);
    expect(found[0]!.judged.restMm).toBeCloseTo(50);
    expect(found[0]!.judged.against).toEqual([]);
    expect(found[1]!.judged.against).toEqual([{ code: 'short', byMm: expect.closeTo(1100) as number }]);
  });

  it('reckons with what is promised of it already', () => {
    const shirt = pattern('shirt', 'shirt', [['38', 1600]]);
    const promised = { ...lot, reserved: [{ id: 'r', forWhat: 'a bag', note: '', amount: 500 }] };
    expect(listMakeable([shirt], cloth, promised)[0]!.judged.against).toEqual([{ code: 'promised', mm: 500 }]);
  });
});
