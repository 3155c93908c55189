import type { Place, Settings } from '../../core/records/index.ts';
import { computeWorth } from '../../core/sense/index.ts';
import {
  computeAccessSeconds,
  computeSpace,
  computeStandPoint,
  computeStationPoint,
  computeTraits,
  computeWayMm,
  getAncestor,
  type PlaceTraits,
  type PlaceTree,
  type Space,
} from '../../core/storage/index.ts';

/** A place as the search sees it. */
export interface PlaceFacts {
  readonly place: Place;
  readonly space: Space;
  readonly traits: PlaceTraits;
  readonly slot: number;
  readonly unit: number;
  readonly room: number;
  /** Seconds to pass one thing while looking. */
  readonly passSeconds: number;
  /** Piles of folded cloth that stand side by side, or hooks; 1 where there are none. */
  readonly piles: number;
  /** The worth of all its room, litres at hand. */
  readonly worth: number;
  /** How much of what company costs is left: things with a cell, hook or pin each hardly get mixed. */
  readonly mingling: number;
  /** Seconds to lift off what lies on a thing, or to take down what hangs in front of it. */
  readonly liftSeconds: number;
}

/** All places, with what the slots and units around them carry, g. */
export interface PlaceTable {
  readonly places: readonly PlaceFacts[];
  readonly slotLoadG: Float64Array;
  readonly unitLoadG: Float64Array;
  readonly slotCount: number;
  readonly unitCount: number;
  readonly roomCount: number;
}

/** Things in cells of their own, and such as hang or stand on pins, are told apart even where groups are mixed; estimates. */
const IN_CELLS = 0.1;
const HUNG = 0.3;

const hasStations = (room: Place) => (room.room?.stations.length ?? 0) > 0;

/** Numbers the places of a household, and gathers what each is like. */
export function describePlaces(tree: PlaceTree, settings: Settings): PlaceTable {
  const { estimates } = settings;
  const index = { slot: new Map<string, number>(), unit: new Map<string, number>(), room: new Map<string, number>() };
  const number = (level: 'slot' | 'unit' | 'room', place: Place) => {
    const id = getAncestor(tree, place.id, level)!.id;
    const known = index[level].get(id);
    if (known !== undefined) return known;
    index[level].set(id, index[level].size);
    return index[level].size - 1;
  };
  const isWorkedIn = (room: Place) => hasStations(room) || !tree.rooms.some(hasStations);
  const places = tree.leaves.map((place): PlaceFacts => {
    const space = computeSpace(tree, place);
    const traits = computeTraits(tree, place, settings);
    const isVisible = traits.isSeeThrough || space.mode !== 'volume';
    return {
      place,
      space,
      traits,
      slot: number('slot', place),
      unit: number('unit', place),
      room: number('room', place),
      // What has a cell of its own is looked for by its cell.
      passSeconds: isVisible || space.dividers ? estimates.passVisibleSeconds : estimates.passOpaqueSeconds,
      piles: Math.max(1, space.peg?.hooks?.length ?? Math.floor(space.widthMm / settings.panelWidthMm)),
      worth: computeWorth(space, traits, isWorkedIn(getAncestor(tree, place.id, 'room')!)),
      mingling: space.dividers ? IN_CELLS : space.mode === 'line' || space.mode === 'volume' ? 1 : HUNG,
      liftSeconds: space.mode === 'area' ? estimates.hookInFrontSeconds : estimates.liftOffSeconds,
    };
  });
  const slotLoadG = new Float64Array(index.slot.size).fill(Infinity);
  const unitLoadG = new Float64Array(index.unit.size).fill(Infinity);
  for (const { place, slot, unit } of places) {
    const box = tree.getChildren(getAncestor(tree, place.id, 'slot')!.id);
    const tare = box.reduce((sum, one) => sum + (one.container?.tareG ?? 0), 0);
    slotLoadG[slot] = Math.max(0, (getAncestor(tree, place.id, 'slot')!.slot?.loadG ?? Infinity) - tare);
    unitLoadG[unit] = getAncestor(tree, place.id, 'unit')!.unit?.loadG ?? Infinity;
  }
  const { slot, unit, room } = index;
  return { places, slotLoadG, unitLoadG, slotCount: slot.size, unitCount: unit.size, roomCount: room.size };
}

/**
 * Seconds there and back from each station to each place with posture, opening and, where things hang, unhooking.
 * By station id; one number a place.
 */
export function computeFetches(
  tree: PlaceTree,
  places: readonly PlaceFacts[],
  settings: Settings,
): ReadonlyMap<string, Float64Array> {
  const { estimates } = settings;
  const access = places.map(
    ({ place, traits, space }) =>
      computeAccessSeconds(tree, place, traits, settings) + (space.mode === 'area' ? estimates.unhookSeconds : 0),
  );
  const stands = places.map(({ place }) => computeStandPoint(tree, place));
  const fetches = new Map<string, Float64Array>();
  for (const room of tree.rooms)
    for (const station of room.room?.stations ?? []) {
      const at = computeStationPoint(room.room!, station, (id) => tree.places.get(id)?.unit);
      const from = { roomId: room.id, ...at };
      const seconds = stands.map((to, p) => {
        const way = (2 * computeWayMm(tree, from, to) * estimates.walkSecondsPerM) / 1000;
        return way + (from.roomId === to.roomId ? 0 : estimates.otherRoomSeconds) + access[p]!;
      });
      fetches.set(station.id, Float64Array.from(seconds));
    }
  return fetches;
}
