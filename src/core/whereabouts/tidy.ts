import type { Household, Lot, PlaceId } from '../records/index.ts';
import { computeStandPoint, computeWayMm, listStationSpots, type PlaceTree } from '../storage/index.ts';
import { finish, mapInSlices, type Slices } from '../slices/index.ts';
import { findRoundInSlices } from './round.ts';

/** A stop of the round: one place, and what goes back there or is fetched, in the order it stands there. */
export interface TidyStop {
  readonly placeId: PlaceId;
  readonly lots: readonly Lot[];
}

export interface TidyRound {
  readonly stops: readonly TidyStop[];
  /** All the way round and back, mm. */
  readonly wayMm: number;
}

/**
 * Takes all that is out and has a home back in one walk: from the first station round the places and back to it, by the
 * shortest way. What is missing or waits to be carried on is not among it.
 */
export const computeTidyRound = (household: Household, tree: PlaceTree): TidyRound =>
  finish(computeTidyRoundInSlices(household, tree));

/** `computeTidyRound`, pausing in between. */
export function* computeTidyRoundInSlices(household: Household, tree: PlaceTree): Slices<TidyRound> {
  const out = [...household.lots.values()].filter((lot) => lot.state === 'out' && !lot.away);
  return yield* computeRound(tree, out, 'home');
}

/** Fetches things from where they lie in one walk, as `computeTidyRound` takes them back. What is out already is not among it. */
export function computeGatherRound(tree: PlaceTree, lots: readonly Lot[]): TidyRound {
  return finish(computeRound(tree, lots, 'is'));
}

function* computeRound(tree: PlaceTree, lots: readonly Lot[], which: 'is' | 'home'): Slices<TidyRound> {
  const byPlace = new Map<PlaceId, Lot[]>();
  const leaves = new Set(tree.leaves.map((place) => place.id));
  for (const lot of lots) {
    const at = which === 'home' ? lot.homeId : lot.placeId;
    if (at === undefined || !leaves.has(at)) continue;
    const known = byPlace.get(at);
    if (known) known.push(lot);
    else byPlace.set(at, [lot]);
  }
  const turn = which === 'home' ? 'homeOrder' : 'order';
  const places = [...byPlace.keys()];
  const [start] = listStationSpots(tree);
  const stands = places.map((id) => computeStandPoint(tree, tree.places.get(id)!));
  const points = start ? [start, ...stands] : stands;
  const way: number[][] = [];
  for (const a of points) {
    way.push(yield* mapInSlices(points, (b) => computeWayMm(tree, a, b), 1));
    yield;
  }
  const { order, length } = yield* findRoundInSlices(way);
  const stops = order
    .map((i) => (start ? i - 1 : i))
    .filter((i) => i >= 0)
    .map((i): TidyStop => ({
      placeId: places[i]!,
      lots: byPlace.get(places[i]!)!.toSorted((a, b) => a[turn] - b[turn]),
    }));
  return { stops, wayMm: length };
}
