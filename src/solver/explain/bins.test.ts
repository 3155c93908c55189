import { describe, expect, it } from 'vitest';
import { createHousehold } from '../../../tests/household.ts';
import { bin, cubes, scraps, things } from '../../../tests/rooms.ts';
import type { PlaceId } from '../../core/records/index.ts';
import { explainBin } from './index.ts';

const make = (uses: number, at = 'far-A1') => {
  const places = [...cubes('near', 1, 1600), ...cubes('far', 1, 0, { wallId: 'east' }), bin('bin', at)];
  const owned = scraps(3, 'fleece', { at: 'bin', uses });
  return createHousehold(
    places,
    owned.map((one) => one.item),
    owned.map((one) => one.lot),
  );
};

describe('why a bin stands where it does', () => {
  it('says what it would save in a nearer compartment, and that it serves best in the nearest', () => {
    const far = explainBin(make(10), 'bin' as PlaceId)!.best!;
    expect(far.slotId).toBe('near-A1');
    expect(far.moreSeconds).toBeLessThan(-20);
    const near = explainBin(make(10, 'near-A1'), 'bin' as PlaceId)!.best!;
    expect(near.slotId).toBe('far-A1');
    // The same way, the other way round, and carrying it costs both times.
    const carrying = 60 / 12;
    expect(near.moreSeconds).toBeGreaterThan(-far.moreSeconds);
    expect(near.moreSeconds + far.moreSeconds).toBeLessThan(4 * carrying + 20);
  });

  it('has no other compartment where the others are taken, and says nothing of what is no bin or an empty one', () => {
    const home = make(10);
    const yarn = things(1, 'notion', 'yarn', [110, 110, 110], { isSoft: true, at: 'near-A1' });
    const full = createHousehold(
      [...home.places.values()],
      [...home.items.values(), yarn[0]!.item],
      [...home.lots.values(), yarn[0]!.lot],
    );
    expect(explainBin(full, 'bin' as PlaceId)).toEqual({ best: null });
    expect(explainBin(full, 'near-A1' as PlaceId)).toBeNull();
    expect(explainBin({ ...home, lots: new Map() }, 'bin' as PlaceId)).toBeNull();
  });
});
