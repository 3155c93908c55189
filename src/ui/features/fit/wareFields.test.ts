import { describe, expect, it } from 'vitest';
import { parseRecord, DEFAULT_SETTINGS } from '../../../core/records/index.ts';
import { PARTS } from '../../../core/storage/parts.ts';
import { createWareFields, readWareFields } from './wareFields.ts';

describe('the form of what could be got', () => {
  it('reads a bin as it was typed', () => {
    const fields = {
      ...createWareFields('bin', [], 'metric'),
      width: '31',
      height: '12 in',
      cost: '4,50',
      hasLid: true,
    };
    const read = readWareFields(fields, 'w1', [], 'metric');
    expect(read.ok && read.value).toMatchObject({
      id: 'w1',
      name: 'Bin',
      cost: 4.5,
      most: 4,
      container: { outerWidthMm: 310, outerDepthMm: 350, outerHeightMm: expect.closeTo(304.8, 6), hasLid: true },
    });
  });

  it.each(PARTS.map((part) => [part.id] as const))('makes a sound piece of the usual %s', (id) => {
    const read = readWareFields(createWareFields(id, [], 'imperial'), 'w1', [], 'imperial');
    if (!read.ok) throw new Error(JSON.stringify(read.fault));
    expect(read.value.piece!.slots.length).toBeGreaterThan(0);
    expect(parseRecord('settings', { ...DEFAULT_SETTINGS, wares: [read.value] }).ok).toBe(true);
  });

  it('says what does not read', () => {
    const fields = { ...createWareFields('bin', [], 'metric'), name: ' ', width: 'wide', most: '0', cost: 'dear' };
    const read = readWareFields(fields, 'w1', [], 'metric');
    expect(!read.ok && Object.keys(read.fault).toSorted()).toEqual(['cost', 'most', 'name', 'width']);
  });
});
