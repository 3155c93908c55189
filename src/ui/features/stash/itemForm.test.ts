import { describe, expect, it } from 'vitest';
import { computePackage } from '../../../core/measure/index.ts';
import { DEFAULT_SETTINGS, type ItemId, type LotId } from '../../../core/records/index.ts';
import { createSampleHousehold } from '../../../sample/index.ts';
import { createFields, readFields, toFields } from './itemForm.ts';

const create = () => ({ itemId: 'i' as ItemId, lotId: 'l' as LotId, nowMs: 7 });
const cloth = {
  ...createFields('fabric', 'st'),
  name: 'Oat twill',
  fibre: 'Linen',
  cloth: 'linen',
  length: '3.4m',
  width: '140',
};

describe('the item form', () => {
  it('fills what was not measured from the class of cloth', () => {
    const read = readFields(cloth, 'metric', null, create);
    expect(read).toMatchObject({
      ok: true,
      value: {
        item: { fabric: { fibre: 'linen', widthMm: 1400, grammageGsm: 185, layerMm: 0.4 } },
        lot: { lengthMm: 3400, state: 'out', homeId: null },
      },
    });
    if (read.ok)
      expect(computePackage(read.value.item, read.value.lot, 'board', DEFAULT_SETTINGS)?.alongMm).toBeCloseTo(41.17, 2);
  });

  it('takes a length in yards where the household thinks in inches', () => {
    const read = readFields({ ...cloth, length: '2 1/2', width: '54' }, 'imperial', null, create);
    expect(read).toMatchObject({ ok: true, value: { item: { fabric: { widthMm: 1371.6 } }, lot: { lengthMm: 2286 } } });
  });

  it.each([
    ['length', 'abc', 'does not read as an amount'],
    ['length', '-2 m', 'below zero'],
    ['length', '0', 'more than nothing'],
    ['width', '-140', 'below zero'],
    ['width', '3 furlongs', 'not known'],
    ['length', '1e9 m', 'not known'],
    ['grammage', 'heavy', 'does not read'],
    ['name', ' ', 'Give it a name'],
    ['usesPerMonth', 'often', 'A number such as'],
  ])('says at the field what is wrong with %s “%s”', (field, text, words) => {
    const read = readFields({ ...cloth, [field]: text }, 'metric', null, create);
    expect(read.ok ? '' : read.fault[field as 'name']).toContain(words);
  });

  it('changes nothing of an item that is opened and saved as it was', () => {
    const { household } = createSampleHousehold();
    for (const lot of household.lots.values()) {
      const item = household.items.get(lot.itemId)!;
      const read = readFields(toFields(item, lot, 'metric'), 'metric', { item, lot }, create);
      if (!read.ok) throw new Error(`${item.name}: ${JSON.stringify(read.fault)}`);
      expect(read.value.lot.lengthMm).toBe(lot.lengthMm);
      expect(read.value.lot.count).toBe(lot.count);
      if (item.fabric) expect(read.value.item.fabric).toEqual(item.fabric);
    }
  });
});
