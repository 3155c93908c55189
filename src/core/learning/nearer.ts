import { type Household, type Item, type Lot, type PlaceId, type Stowage } from '../records/index.ts';
import {
  computeFetchMm,
  computeTraits,
  createPlaceTree,
  getFetchSpot,
  listStationSpots,
  standAsPlanned,
  type PlaceTree,
} from '../storage/index.ts';

/** A thing that is used more than was said, and comes nearer to where it is used. */
export interface Nearer {
  readonly lot: Lot;
  readonly item: Item;
  /** One way, from its station, mm: as it is and in the plan. */
  readonly fromMm: number;
  readonly toMm: number;
}

/** What is more than said by so much is told: a fifth more, and once in ten months at least. */
const MORE = 1.2;
const MORE_USES = 0.1;
const LEAST_MM = 100;

/** Which things that turned out to be used more a plan brings nearer, those that gain most first. */
export function listNearer(household: Household, tree: PlaceTree, plan: Stowage): Nearer[] {
  const spots = new Map(listStationSpots(tree).map((spot) => [spot.id, spot]));
  const { settings } = household;
  // A place that is higher or lower than the hand likes is as far as the way that the bending costs.
  const awkward: Record<string, number> = {
    easy: 0,
    bend: settings.estimates.bendSeconds,
    kneel: settings.estimates.kneelSeconds,
    stretch: settings.estimates.stretchSeconds,
    stool: settings.estimates.stoolSeconds,
  };
  const perM = Math.max(0.01, settings.estimates.walkSecondsPerM);
  const planned = createPlaceTree(standAsPlanned(tree.places, plan.bins ?? []).places);
  const [here, there] = [tree, planned].map(({ leaves }) => new Set(leaves.map((place) => place.id)));
  return plan.assignments
    .flatMap(({ lotId, placeId }): Nearer[] => {
      const lot = household.lots.get(lotId);
      const item = lot && household.items.get(lot.itemId);
      const station = item && spots.get(item.stationId);
      if (!lot || !item || !station || lot.placeId === undefined || lot.placeId === placeId) return [];
      const learnt = item.learntPerMonth ?? 0;
      if (learnt < MORE * item.usesPerMonth || learnt < item.usesPerMonth + MORE_USES) return [];
      if (!there!.has(placeId) || !here!.has(lot.placeId)) return [];
      const far = (of: PlaceTree, id: PlaceId) => {
        const place = of.places.get(id)!;
        const seconds = awkward[computeTraits(of, place, settings).reach] ?? 0;
        return computeFetchMm(of, station, getFetchSpot(of, place)) + (500 * seconds) / perM;
      };
      const [fromMm, toMm] = [far(tree, lot.placeId), far(planned, placeId)];
      return toMm < fromMm - LEAST_MM ? [{ lot, item, fromMm, toMm }] : [];
    })
    .toSorted((a, b) => b.fromMm - b.toMm - (a.fromMm - a.toMm));
}
