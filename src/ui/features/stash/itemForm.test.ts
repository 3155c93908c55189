import { describe, expect, it } from 'vitest';
import type { Birth } from '../../../core/catalog/index.ts';
import { computePackage } from '../../../core/measure/index.ts';
import { DEFAULT_SETTINGS, type ItemId, type LotId, type StationId } from '../../../core/records/index.ts';
import { createSampleHousehold } from '../../../sample/index.ts';
import { createFields, toFields } from './itemFields.ts';
import { readFields } from './itemForm.ts';

const create: Birth = {
  itemId: 'i' as ItemId,
  lotId: 'l' as LotId,
  nowMs: 7,
  stationId: 'st' as StationId,
  settings: DEFAULT_SETTINGS,
};
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
        lot: { lengthMm: 3400, state: 'out' },
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
    ['length', 'abc', 'is not an amount'],
    ['length', '-2 m', 'below zero'],
    ['length', '0', 'more than nothing'],
    ['width', '-140', 'below zero'],
    ['width', '3 furlongs', 'not known'],
    ['length', '1e9 m', 'not known'],
    ['grammage', 'heavy', 'is not an amount'],
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

  it('begins another like it with the exact figures, under ids of its own', () => {
    const made = readFields({ ...cloth, length: '1/3 yd', width: '54 1/3 in' }, 'imperial', null, create);
    if (!made.ok) throw new Error(JSON.stringify(made.fault));
    const { item, lot } = made.value;
    const another = {
      item: { ...item, id: 'i2' as ItemId },
      lot: { ...lot, id: 'l2' as LotId, itemId: 'i2' as ItemId },
    };
    const fields = { ...toFields(another.item, another.lot, 'imperial'), colour: '#aabbcc' };
    expect(readFields(fields, 'imperial', another, create)).toEqual({
      ok: true,
      value: { item: { ...another.item, colours: ['#aabbcc'] }, lot: another.lot },
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

  const form = (kind: Parameters<typeof createFields>[0], change: Partial<ReturnType<typeof createFields>>) =>
    readFields({ ...createFields(kind, 'st'), name: 'It', ...change }, 'metric', null, create);

  it('asks of a scrap how it was cut, and how much of it there is', () => {
    expect(form('scrap', { cloth: 'linen', area: '0.6 m²' })).toMatchObject({
      value: { item: { scrap: { cut: 'odd' }, fabric: { fibre: 'linen' } }, lot: { areaMm2: 600_000, count: 1 } },
    });
    expect(form('scrap', { cut: 'strip', cutSize: '2 1/2 in', count: '14' })).toMatchObject({
      value: { item: { scrap: { cut: 'strip', cutMm: 63.5 }, forms: ['stack', 'loose'] }, lot: { count: 14 } },
    });
    expect(form('scrap', {})).toMatchObject({ fault: { area: expect.stringContaining('0.6 m²') as string } });
  });

  it('takes a thread by tex, ticket or weight number', () => {
    for (const [system, number] of [
      ['tex', '25'],
      ['ticket', '120'],
      ['weight', '40'],
    ] as const)
      expect(form('thread', { threadSystem: system, threadNumber: number })).toMatchObject({
        value: { item: { thread: { tex: 25 } } },
      });
    expect(form('thread', { spool: 'cone' })).toMatchObject({
      value: { item: { thread: { diameterMm: 70 }, forms: ['box'] } },
    });
  });

  it('fills a known notion from its type, and asks the size of an unknown one', () => {
    expect(form('notion', { type: 'Zips', size: '20 cm' })).toMatchObject({
      value: { item: { box: { heightMm: 210, size: '20 cm' } } },
    });
    expect(form('notion', { type: 'ribbon', length: '4.5 m', tapeWidth: '25' })).toMatchObject({
      value: { item: { box: { tape: { widthMm: 25, layerMm: 0.35 } } }, lot: { lengthMm: 4500 } },
    });
    expect(form('notion', { type: 'whatsits' })).toMatchObject({ fault: { boxWidth: expect.any(String) as string } });
  });

  it('reads what cloth a pattern needs, line by line', () => {
    const made = form('pattern', {
      number: '88',
      format: 'sheets',
      sheets: '46',
      needs: 'M: 2.3 m x 140\nM, lining: 1.2 x 140 cm',
    });
    expect(made).toMatchObject({
      value: {
        item: {
          pattern: {
            thicknessMm: expect.closeTo(5.1, 9) as number,
            needs: [
              { size: 'M', part: '', lengthMm: 2300, widthMm: 1400 },
              { size: 'M', part: 'lining', lengthMm: 1200, widthMm: 1400 },
            ],
          },
        },
      },
    });
    expect(form('pattern', { number: '88', needs: 'lots' })).toMatchObject({
      fault: { needs: expect.stringContaining('“lots”') as string },
    });
    expect(form('pattern', { number: '88', format: 'digital' })).toMatchObject({
      value: { lot: { state: 'digital' } },
    });
  });

  it('keeps printed sheets in a folder, and an envelope small, unless told otherwise', () => {
    const size = (change: Partial<ReturnType<typeof createFields>>) => {
      const made = form('pattern', { number: '88', ...change });
      return made.ok && [made.value.item.pattern!.widthMm, made.value.item.pattern!.heightMm];
    };
    expect(size({})).toEqual([155, 215]);
    expect(size({ format: 'sheets', sheets: '46' })).toEqual([230, 330]);
    expect(size({ format: 'sheets', sheets: '46', envelope: 'a4' })).toEqual([210, 297]);
  });

  it('keeps what one says once: tags, source, cost, stock mark, washed, day, further stations', () => {
    const made = form('fabric', {
      length: '3 m',
      width: '140',
      tags: 'gift, summer',
      source: 'quay market',
      cost: '24,50',
      restock: '1 m',
      washed: 'no',
      otherStationIds: ['st', 'other'],
    });
    expect(made).toMatchObject({
      value: {
        item: {
          tags: ['gift', 'summer'],
          source: 'quay market',
          cost: 24.5,
          restockBelow: 1000,
          otherStationIds: ['other'],
        },
        lot: { isWashed: false },
      },
    });
    if (!made.ok) throw new Error();
    const cleared = readFields(
      { ...toFields(made.value.item, made.value.lot, 'metric'), tags: '', cost: '', washed: '' },
      'metric',
      made.value,
      create,
    );
    if (!cleared.ok) throw new Error(JSON.stringify(cleared.fault));
    expect(cleared.value.item).not.toHaveProperty('tags');
    expect(cleared.value.item).not.toHaveProperty('cost');
    expect(cleared.value.lot).not.toHaveProperty('isWashed');
    expect(form('notion', { type: 'glue', expiresOn: '31.12.2027' })).toMatchObject({
      fault: { expiresOn: expect.any(String) as string },
    });
  });

  it('lets one say how a thing may be kept, best first', () => {
    expect(form('fabric', { length: '3', width: '140', forms: ['roll', 'board'], form: 'board' })).toMatchObject({
      value: { item: { forms: ['roll', 'board'] }, lot: { form: 'board', homeForm: 'board' } },
    });
  });
});
