import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import type { Place, PlaceId } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { fromPieceFile, toPieceFile } from './piece.ts';

const { household } = createSampleHousehold();
const tree = createPlaceTree(household.places);
const spot = { roomId: 'r1' as PlaceId, wallId: 'north', xMm: 250, order: 20 };
const read = (text: string) => {
  let n = 0;
  return fromPieceFile(text, spot, () => `new-${(n += 1)}`);
};

describe('a shared piece of furniture', () => {
  it('comes back with its compartments and bins, elsewhere and empty', () => {
    for (const unit of [...household.places.values()].filter((place) => place.unit)) {
      const result = read(toPieceFile(tree, unit));
      if (!result.ok) throw new Error(JSON.stringify(result.fault));
      const [first, ...rest] = result.value as [Place, ...Place[]];
      expect(first).toMatchObject({ name: unit.name, parentId: 'r1', order: 20 });
      expect(first.unit).toMatchObject({ widthMm: unit.unit!.widthMm, wallId: 'north', xMm: 250 });
      const slots = tree.getChildren(unit.id);
      const bins = slots.flatMap((slot) => tree.getChildren(slot.id));
      expect(rest.filter((place) => place.slot).map((place) => place.slot)).toEqual(slots.map((slot) => slot.slot));
      expect(rest.filter((place) => place.container).map((place) => place.name)).toEqual(bins.map((bin) => bin.name));
      expect(new Set(result.value.map((place) => place.id)).size).toBe(result.value.length);
    }
  });

  it('is refused whole, with what is wrong, when it is no such file or its measures are nonsense', () => {
    const good = JSON.parse(toPieceFile(tree, tree.places.get('r1-u1' as PlaceId)!));
    const fault = (change: object) => {
      const result = read(JSON.stringify({ ...good, ...change }));
      return result.ok ? null : result.fault[0];
    };
    expect(read('{').ok).toBe(false);
    expect(read('null').ok).toBe(false);
    expect(fault({ format: 'other' })).toMatchObject({ message: 'is no piece of furniture' });
    expect(fault({ version: 2 })).toMatchObject({ message: 'was made by a newer Yardmist' });
    expect(fault({ slots: 'many' })).toMatchObject({ message: 'has no compartments' });
    expect(fault({ slots: [null] })).not.toBeNull();
    expect(fault({ unit: null })).not.toBeNull();
    expect(fault({ unit: { ...good.unit, widthMm: -5 } })?.path).toContain('widthMm');
    expect(fault({ unit: { ...good.unit, heightMm: 1e9 } })?.path).toContain('heightMm');
    expect(fault({ name: '' })).not.toBeNull();
    expect(fault({ slots: [{ ...good.slots[0], containers: [null] }] })).not.toBeNull();
  });
});
