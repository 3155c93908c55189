import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { computePackages } from '../measure/index.ts';
import { packPlace } from '../packing/index.ts';
import { computeSpace, createPlaceTree } from '../storage/index.ts';
import { computeGroups } from './groups.ts';
import { findSmallestHolder } from './holder.ts';

describe('the smallest place that holds a group', () => {
  // A cubby of 350 mm a side, 350 deep, and one of twice the width.
  const places = [...createUnit('wide', { widthMm: 732, columns: 1 }), ...createUnit('cube', {})];
  const hold = (count: number) => {
    const cloth = createCloth('c');
    // Stacks of 32 mm on each other, ten to a pile, one pile of 300 to a cubby.
    const lots = Array.from({ length: count }, (_, i) => createLot(cloth, 'wide-A1', { id: `l${i}` as never }));
    const household = createHousehold(places, [cloth], lots);
    const [group] = computeGroups(household);
    return findSmallestHolder(household, createPlaceTree(household.places), group!.lots);
  };

  it('is the small one as long as all goes in, then the large one, then none', () => {
    expect(hold(10)?.place.id).toBe('cube-A1');
    expect(hold(10)?.share).toBeCloseTo((10 * 32) / 350, 9);
    expect(hold(11)?.place.id).toBe('wide-A1');
    expect(hold(20)?.place.id).toBe('wide-A1');
    expect(hold(21)).toBeNull();
  });

  it('is none where one thing goes nowhere', () => {
    const long = createThing('long', {
      box: {
        type: 'other',
        widthMm: 2000,
        depthMm: 20,
        heightMm: 20,
        massG: 100,
        isSoft: false,
        hangHoleMm: undefined,
      },
    });
    const household = createHousehold(places, [long], [createLot(long, 'wide-A1', { form: 'box' })]);
    expect(
      findSmallestHolder(household, createPlaceTree(household.places), computeGroups(household)[0]!.lots),
    ).toBeNull();
  });

  it('really holds every group of the sample for which it is named', () => {
    const { household } = createSampleHousehold();
    const tree = createPlaceTree(household.places);
    let named = 0;
    for (const group of computeGroups(household)) {
      const holder = findSmallestHolder(household, tree, group.lots);
      if (!holder) continue;
      named += 1;
      const space = computeSpace(tree, holder.place);
      const isPossible = group.lots.every((lot) =>
        computePackages(household.items.get(lot.itemId)!, lot, household.settings).some(
          (pkg) => packPlace([pkg], space).status === 'packed',
        ),
      );
      expect(isPossible).toBe(true);
      expect(holder.share).toBeLessThanOrEqual(1);
    }
    expect(named).toBeGreaterThan(5);
  });
});
