import { describe, expect, it } from 'vitest';
import type { PlaceId, UnitSpec } from '../../../core/records/index.ts';
import { createSampleHousehold } from '../../../sample/index.ts';
import { PARTS } from '../../../core/storage/parts.ts';
import { createUnitFields, readUnitFields, toOuter, toUnitFields } from './unitFields.ts';

const wall = { roomId: 'r1' as PlaceId, wallId: 'east' };
const cubes = { ...createUnitFields(PARTS[0]!, 'r1-east', 'metric', () => null), name: 'Gable cubes' };
const read = (change: object) => readUnitFields({ ...cubes, ...change }, 'metric', null, wall, 'u' as PlaceId, 3);

describe('the form of a piece of furniture', () => {
  it('reads any unit', () => {
    expect(read({ width: '30 in', height: '1,1 m', load: '60 kg' })).toMatchObject({
      ok: true,
      value: { name: 'Gable cubes', order: 3, unit: { widthMm: 762, heightMm: 1100, loadG: 60_000 } },
    });
  });

  it.each([
    ['name', '', 'Give it a name'],
    ['width', 'wide', 'is not an amount'],
    ['height', '-3', 'below zero'],
    ['depth', '0', 'more than nothing'],
    ['columns', '2.5', 'not a whole number'],
    ['rows', '99', 'From 1 to 40'],
    ['load', 'heavy', 'is not an amount'],
  ])('says at the field what is wrong with %s “%s”', (field, text, words) => {
    const result = read({ [field]: text });
    expect(result.ok ? '' : result.fault[field as 'name']).toContain(words);
  });

  it('changes nothing of a piece that is opened and saved as it was, in either unit', () => {
    const { household } = createSampleHousehold();
    for (const place of household.places.values())
      for (const units of ['metric', 'imperial'] as const) {
        if (!place.unit) continue;
        const at = { roomId: place.parentId!, wallId: place.unit.wallId };
        const again = readUnitFields(toUnitFields(place, units), units, place, at, place.id, place.order);
        expect(again.ok && again.value.unit).toEqual({
          ...place.unit,
          // Open fields have no boards, whatever was recorded.
          boardMm: ['cubes', 'bookcase', 'drawers'].includes(place.unit.kind) ? place.unit.boardMm : 0,
        });
      }
  });

  it('keeps what the form does not ask: a lock, and a spot in the room until it is put to a wall', () => {
    const read = readUnitFields(cubes, 'metric', null, { roomId: 'r1' as never, wallId: 'east' }, 'u' as never, 0);
    if (!read.ok) throw new Error('not read');
    const stand = { xMm: 1000, yMm: 900, turnDeg: 30 };
    const free = { ...read.value, unit: { ...read.value.unit!, stand, isFixed: true } };
    const again = (change: object) =>
      readUnitFields(
        { ...toUnitFields(free, 'metric'), ...change },
        'metric',
        free,
        { roomId: 'r1' as never, wallId: 'east' },
        'u' as never,
        0,
      );
    expect(again({ width: '60 cm' })).toMatchObject({
      ok: true,
      value: { unit: { stand, isFixed: true, widthMm: 600 } },
    });
    const put = again({ x: '20 cm' });
    expect(put).toMatchObject({ ok: true, value: { unit: { isFixed: true, xMm: 200 } } });
    expect(put.ok && put.value.unit?.stand).toBeUndefined();
    expect(again({ hasWheels: true, isFromAround: true })).toMatchObject({
      value: { unit: { hasWheels: true, access: 'around' } },
    });
    // Only floor can be a heap.
    const heap = again({ kind: 'floor', isHeap: true });
    const shelf = again({ isHeap: true });
    expect([heap, shelf].map((one) => one.ok && one.value.unit?.isHeap)).toEqual([true, undefined]);
  });
});

describe('inner measures', () => {
  it('make the outer ones with the boards between and around', () => {
    const unit = { columns: 3, rows: 5, boardMm: 16 } as UnitSpec;
    // 3 × 330 + 4 × 16, 5 × 330 + 6 × 16, 374 + 16 for the back.
    expect(toOuter(unit, 'width', 330)).toBe(1054);
    expect(toOuter(unit, 'height', 330)).toBe(1746);
    expect(toOuter(unit, 'depth', 374)).toBe(390);
  });
});
