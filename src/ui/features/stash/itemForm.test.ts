import { describe, expect, it } from 'vitest';
import type { Birth } from '../../../core/catalog/index.ts';
import { computePackage } from '../../../core/measure/index.ts';
import { DEFAULT_SETTINGS, type ItemId, type LotId, type StationId } from '../../../core/records/index.ts';
import { createSampleHousehold } from '../../../sample/index.ts';
import { createFields, toFields } from './itemFields.ts';
import { readFields } from './itemForm.ts';

const create: Birth = { itemId: 'i' as ItemId, lotId: 'l' as LotId, nowMs: 7, stationId: 'st' as StationId };
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

  it.each(['metric', 'imperial'] as const)('changes nothing of what is opened and saved as it was, in %s', (units) => {
    const { household } = createSampleHousehold();
    for (const lot of household.lots.values()) {
      const item = household.items.get(lot.itemId)!;
      const read = readFields(toFields(item, lot, units), units, { item, lot }, create);
      expect(read).toEqual({ ok: true, value: { item, lot } });
    }
  });

  it('changes only what was typed: exact figures, other colours and own forms stay', () => {
    const made = readFields({ ...cloth, length: '1/3 yd', width: '54 1/3 in' }, 'imperial', null, create);
    if (!made.ok) throw new Error(JSON.stringify(made.fault));
    const item = { ...made.value.item, colours: ['#112233', '#445566'], forms: ['stack' as const] };
    const base = { item, lot: made.value.lot };
    const fields = { ...toFields(item, base.lot, 'imperial'), notes: 'washed', colour: '#aabbcc' };
    const read = readFields(fields, 'imperial', base, create);
    expect(read).toMatchObject({
      value: { item: { ...item, notes: 'washed', colours: ['#aabbcc', '#445566'] }, lot: base.lot },
    });
  });

  it('lets a tool that got a hang hole hang', () => {
    const tool = {
      ...createFields('tool', 'st'),
      name: 'Ruler',
      type: 'measuring',
      boxWidth: '3 mm',
      boxDepth: '4',
      boxHeight: '60',
      mass: '90',
    };
    const made = readFields(tool, 'metric', null, create);
    if (!made.ok) throw new Error(JSON.stringify(made.fault));
    expect(made.value.item.forms).toEqual(['box']);
    const holed = readFields({ ...tool, hole: '8 mm' }, 'metric', made.value, create);
    expect(holed.ok && holed.value.item.forms).toEqual(['peg', 'box']);
  });
});
