import type { Household, Lot, PlaceId } from '../records/index.ts';
import { computeStandPoint, computeStationPoint, computeWayMm, type PlaceTree } from '../storage/index.ts';
import { findRound } from './round.ts';

/** A stop of the round: one place, and what goes back there, in the order it stands there. */
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
export function computeTidyRound(household: Household, tree: PlaceTree): TidyRound {
  const byPlace = new Map<PlaceId, Lot[]>();
  const leaves = new Set(tree.leaves.map((place) => place.id));
  for (const lot of household.lots.values()) {
    if (lot.state !== 'out' || lot.away || lot.homeId === undefined || !leaves.has(lot.homeId)) continue;
    const lots = byPlace.get(lot.homeId);
    if (lots) lots.push(lot);
    else byPlace.set(lot.homeId, [lot]);
  }
  const places = [...byPlace.keys()];
  const room = tree.rooms.find((one) => (one.room?.stations.length ?? 0) > 0);
  const station = room?.room?.stations[0];
  const start =
    room?.room && station
      ? { roomId: room.id, ...computeStationPoint(room.room, station, (id) => tree.places.get(id)?.unit) }
      : null;
  const stands = places.map((id) => computeStandPoint(tree, tree.places.get(id)!));
  const points = start ? [start, ...stands] : stands;
  const way = points.map((a) => points.map((b) => computeWayMm(tree, a, b)));
  const { order, length } = findRound(way);
  const stops = order
    .map((i) => (start ? i - 1 : i))
    .filter((i) => i >= 0)
    .map((i): TidyStop => ({
      placeId: places[i]!,
      lots: byPlace.get(places[i]!)!.toSorted((a, b) => a.homeOrder - b.homeOrder),
    }));
  return { stops, wayMm: length };
}
