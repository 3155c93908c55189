import { checkMoves } from '../src/check/index.ts';
import { createMoveFacts, createMoveSearch, toSteps, type Step } from '../src/core/moves/index.ts';
import { packPlace } from '../src/core/packing/index.ts';
import { createRandom } from '../src/core/random/index.ts';
import type { Household } from '../src/core/records/index.ts';
import { computeSpace, createPlaceTree, withBerths } from '../src/core/storage/index.ts';
import { computePresentPackage } from '../src/core/whereabouts/index.ts';

/** A move list of a household, after so many orders that were tried. */
export function orderMoves(household: Household, tableMm3: number, tries: number) {
  const facts = createMoveFacts(household, createPlaceTree(household.places));
  const search = createMoveSearch(facts, tableMm3, createRandom(5));
  search.advance(tries);
  const found = search.getOrder();
  return { facts, found, steps: toSteps(facts, found.trips) };
}

/** The checker's word on a move list: any way to lay things in will do, in places that there are and that there will be. */
export function checkList(household: Household, steps: readonly Step[], tableMm3: number) {
  const [now, then] = [createPlaceTree(household.places), createPlaceTree(withBerths(household.places))];
  return checkMoves(household, steps, tableMm3, (placeId, inside) => {
    const tree = now.leaves.some(({ id }) => id === placeId) ? now : then;
    const space = computeSpace(tree, tree.places.get(placeId)!);
    const homeOrder = (i: number) => household.lots.get(inside[i]!.lotId)!.homeOrder;
    const asTold = inside.map((_, i) => i);
    for (const turn of [asTold, asTold.toReversed(), asTold.toSorted((a, b) => homeOrder(a) - homeOrder(b))]) {
      const packages = turn.map((i) =>
        computePresentPackage(household, household.lots.get(inside[i]!.lotId)!, inside[i]!.form)!,
      );
      const packed = packPlace(packages, space);
      if (packed.status === 'packed') return packed.spots.map((spot) => ({ ...spot, index: turn[spot.index]! }));
    }
    return null;
  });
}
