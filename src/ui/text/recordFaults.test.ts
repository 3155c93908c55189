import { describe, expect, it } from 'vitest';
import { parseRecord } from '../../core/records/index.ts';
import { createCloth, createUnit } from '../../../tests/household.ts';
import { wordRecordFaults } from './recordFaults.ts';

/** What is said of a record with one field changed. */
function say(table: 'items' | 'places', record: object): string {
  const read = parseRecord(table, record);
  return read.ok ? '' : wordRecordFaults(read.fault, 'metric');
}

describe('what of a record cannot be kept', () => {
  const cloth = createCloth('cotton');
  const [unit] = createUnit('case', {});
  const [, slot] = createUnit('case', {});
  const bin = { kind: 'bin', outerWidthMm: 300, outerDepthMm: 300, outerHeightMm: 200, mode: 'volume', tareG: 0 };
  const box = { ...bin, wallMm: 2, loadG: 5000, isSeeThrough: false, hasLid: false };
  const idle = { id: 'b', level: 'container', name: 'Bin', order: 0 };

  it.each([
    ['too narrow', 'places', { ...unit, unit: { ...unit!.unit, widthMm: 5 } }, 'The width must be at least 10 mm.'],
    [
      'too heavy',
      'places',
      { ...unit, unit: { ...unit!.unit, loadG: 9e6 } },
      'What it carries can be at most 5000.0 kg.',
    ],
    ['too many columns', 'places', { ...unit, unit: { ...unit!.unit, columns: 41 } }, 'Columns can be at most 40.'],
    ['without a name', 'places', { ...slot, name: '' }, 'The name cannot be empty.'],
    ['too long a name', 'places', { ...slot, name: 'x'.repeat(81) }, 'The name can have at most 80 letters.'],
    [
      'nothing but walls',
      'places',
      { ...idle, container: { ...box, wallMm: 50, outerHeightMm: 90 } },
      'Thickness of its walls: they leave no room inside.',
    ],
    [
      'too heavy a cloth',
      'items',
      { ...cloth, fabric: { ...cloth.fabric, grammageGsm: 9000 } },
      'Weight per area can be at most 5000 gsm.',
    ],
    ['of another sort', 'items', { ...cloth, stationId: 7 }, '“stationId” cannot be kept as it is.'],
  ] as const)('is said in the words of its form: %s', (_, table, record, said) =>
    expect(say(table, record)).toBe(said),
  );

  it('is said once, and of a file as a file', () => {
    const both = { ...unit, unit: { ...unit!.unit, widthMm: 5, heightMm: 5 } };
    expect(say('places', both)).toBe('The width must be at least 10 mm. Height must be at least 10 mm.');
    const file = (rule: string) => wordRecordFaults([{ path: 'file', rule, message: '' }], 'metric');
    expect([file('format'), file('newer')]).toEqual([
      'The file holds no piece of furniture that can be read.',
      'The file was made by a newer Yardmist.',
    ]);
  });
});
