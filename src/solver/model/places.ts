import type { Place, PlaceId, Settings } from '../../core/records/index.ts';
import { computeWorth } from '../../core/sense/index.ts';
import {
  computeAccessSeconds,
  computeSpace,
  computeFetchMm,
  computeTraits,
  createPlaceTree,
  getAncestor,
  getFetchSpot,
  listStationSpots,
  type PlaceTraits,
  type PlaceTree,
  type Space,
} from '../../core/storage/index.ts';
import type { Standings } from './standings.ts';

/** A place as the search sees it. */
export interface PlaceFacts {
  readonly place: Place;
  readonly space: Space;
  readonly traits: PlaceTraits;
  readonly slot: number;
  readonly unit: number;
  readonly room: number;
  /** What stands in its compartment: places of one number are there at once, those of others in the compartment are not. */
  readonly standing: number;
  /** Which containers, of those that are alike, it can be; -1 where it is none, or none that could be elsewhere. */
  readonly kind: number;
  /** What carrying its container there costs, seconds a month. */
  readonly bringing: number;
  /** What its compartment carries beside what stands in it, g. */
  readonly slotLoadG: number;
  /** Seconds to pass one thing while looking; where one looks in from above, those that lie in a single layer. */
  readonly passSeconds: number;
  /** How much longer that takes where things lie in several layers; 0 where all shows, or nothing does. */
  readonly digSeconds: number;
  /** Piles of folded cloth that stand side by side, or hooks; 1 where there are none. */
  readonly piles: number;
  /** The worth of all its room, litres at hand. */
  readonly worth: number;
  /** How much of what company costs is left: things with a cell, hook or pin each hardly get mixed. */
  readonly mingling: number;
  /** Seconds to lift off what lies on a thing, or to take down what hangs in front of it. */
  readonly liftSeconds: number;
}

/** What lies no deeper than this shows to one who looks in from above; three times as deep one digs, mm. */
const LAYER_MM = 50;

/** How much of the digging there is in a place, by the share of it that is filled: 0 to 1. */
export function computeDigging({ heightMm }: Pick<Space, 'heightMm'>, fill: number): number {
  return Math.min(1, Math.max(0, (fill * heightMm - LAYER_MM) / (2 * LAYER_MM)));
}

/** All places, with what the units around them carry, g. */
export interface PlaceTable {
  readonly places: readonly PlaceFacts[];
  /** From the room down to each place. */
  readonly paths: readonly (readonly Place[])[];
  /** How many containers there are of each kind. */
  readonly kindCounts: Int32Array;
  readonly standingCount: number;
  /** Seconds to get at what is in each place, once one stands before it. */
  readonly accesses: Float64Array;
  readonly unitLoadG: Float64Array;
  readonly slotCount: number;
  readonly unitCount: number;
  readonly roomCount: number;
}

/** Things in cells of their own, and such as hang or stand on pins, are told apart even where groups are mixed; estimates. */
const IN_CELLS = 0.1;
const HUNG = 0.3;

const hasStations = (room: Place) => (room.room?.stations.length ?? 0) > 0;

/** A place that is, or could be, with the tree in which it is. */
interface Standing {
  readonly place: Place;
  readonly tree: PlaceTree;
  /** Null where it is there with what stands there now. */
  readonly standing: number | null;
  readonly kind: number;
  readonly carried: number;
}

/** The places that there are, and then those that there could be. */
function listPlaces(tree: PlaceTree, { further, kindOf }: Standings, berths: ReadonlyMap<PlaceId, Place>): Standing[] {
  const today = tree.leaves.map((place): Standing => {
    const carried = Number(place.container !== undefined && berths.get(place.id)?.parentId !== place.parentId);
    return { place, tree, standing: null, kind: kindOf.get(place.id) ?? -1, carried };
  });
  if (further.length === 0) return today;
  const places = new Map([...tree.places, ...further.map(({ place }) => [place.id, place] as const)]);
  const getPath = createPlaceTree(places).getPath;
  return [
    ...today,
    ...further.map(({ slotId, beside, ...one }): Standing => {
      const getChildren = (id: PlaceId) => (id === slotId ? beside : tree.getChildren(id));
      return { ...one, tree: { ...tree, places, getPath, getChildren } };
    }),
  ];
}

/** Numbers the places of a household, and gathers what each is like; also those that there could be. */
export function describePlaces(
  tree: PlaceTree,
  settings: Settings,
  standings: Standings,
  berths: ReadonlyMap<PlaceId, Place> = tree.places,
): PlaceTable {
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
  const carrying = estimates.carryBinSeconds / estimates.carryMonths;
  const all = listPlaces(tree, standings, berths);
  const places = all.map(({ place, tree: around, standing, kind, carried }): PlaceFacts => {
    const space = computeSpace(around, place);
    const traits = computeTraits(around, place, settings);
    const slot = getAncestor(tree, place.container ? place.parentId! : place.id, 'slot')!;
    const tareG = around.getChildren(slot.id).reduce((sum, one) => sum + (one.container?.tareG ?? 0), 0);
    // What has a cell of its own is looked for by its cell.
    const isVisible = traits.isSeeThrough || space.mode !== 'volume' || space.dividers;
    const isSeenInto = !isVisible && traits.holds === 'held';
    const { passVisibleSeconds, passOpaqueSeconds } = estimates;
    return {
      place,
      space,
      traits,
      slot: number('slot', slot),
      unit: number('unit', slot),
      room: number('room', slot),
      // By now all compartments have their numbers, for they come first.
      standing: standing === null ? number('slot', slot) : index.slot.size + standing,
      kind,
      bringing: carrying * carried,
      slotLoadG: Math.max(0, (slot.slot?.loadG ?? Infinity) - tareG),
      passSeconds: isVisible || isSeenInto ? passVisibleSeconds : passOpaqueSeconds,
      digSeconds: isSeenInto ? passOpaqueSeconds - passVisibleSeconds : 0,
      piles: Math.max(1, space.peg?.hooks?.length ?? Math.floor(space.widthMm / settings.panelWidthMm)),
      worth: computeWorth(space, traits, isWorkedIn(getAncestor(tree, slot.id, 'room')!)),
      mingling: space.dividers ? IN_CELLS : space.mode === 'line' || space.mode === 'volume' ? 1 : HUNG,
      liftSeconds: space.mode === 'area' ? estimates.hookInFrontSeconds : estimates.liftOffSeconds,
    };
  });
  const unitLoadG = new Float64Array(index.unit.size).fill(Infinity);
  for (const leaf of tree.leaves) {
    const unit = getAncestor(tree, leaf.id, 'unit')!;
    unitLoadG[index.unit.get(unit.id)!] = unit.unit?.loadG ?? Infinity;
  }
  const { slot, unit, room } = index;
  return {
    places,
    paths: all.map(({ place, tree: around }) => around.getPath(place.id)),
    accesses: Float64Array.from(
      places,
      ({ place, traits, space }, p) =>
        computeAccessSeconds(all[p]!.tree, place, traits, settings) +
        (space.mode === 'area' ? estimates.unhookSeconds : 0),
    ),
    kindCounts: Int32Array.from(standings.kinds, (kind) => kind.length),
    standingCount: places.reduce((most, one) => Math.max(most, one.standing + 1), 0),
    unitLoadG,
    slotCount: slot.size,
    unitCount: unit.size,
    roomCount: room.size,
  };
}

/**
 * Seconds there and back from each station to each place with posture, opening and, where things hang, unhooking.
 * By station id; one number a place.
 */
export function computeFetches(
  tree: PlaceTree,
  { places, accesses }: Pick<PlaceTable, 'places' | 'accesses'>,
  { estimates }: Settings,
): ReadonlyMap<string, Float64Array> {
  const spots = places.map(({ place }) =>
    getFetchSpot(tree, place.container ? tree.places.get(place.parentId!)! : place),
  );
  const fetches = new Map<string, Float64Array>();
  for (const from of listStationSpots(tree)) {
    const seconds = spots.map((to, p) => {
      const way = (2 * computeFetchMm(tree, from, to) * estimates.walkSecondsPerM) / 1000;
      return way + (from.roomId === to.roomId ? 0 : estimates.otherRoomSeconds) + accesses[p]!;
    });
    fetches.set(from.id, Float64Array.from(seconds));
  }
  return fetches;
}
