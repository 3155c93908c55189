import type {
  CapacityMode,
  ContainerSpec,
  Dividers,
  Light,
  PegSpec,
  Place,
  Settings,
  SlotSpec,
  StationId,
  UnitSpec,
} from '../records/index.ts';
import { computeReachPoint, computeStationPoint } from './footprint.ts';
import { createWays, type StandPoint, type Ways } from './ways.ts';
import { getAncestor, getRoomSpec, type PlaceTree } from './tree.ts';

/** The inside of a leaf place, and how it is filled. x runs to the right, y to the back, z up; mm. */
export interface Space {
  readonly mode: CapacityMode;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly heightMm: number;
  /** Rows run along x on an open shelf, of which only the front one is in reach; along y in what is seen from above. */
  readonly rowsRun: 'x' | 'y';
  readonly peg: PegSpec | null;
  readonly pinPitchMm: number;
  /** Equal cells of a bin with dividers; columns run along x, rows from the front. */
  readonly dividers?: Dividers | null;
}

export type Reach = 'kneel' | 'bend' | 'easy' | 'stretch' | 'stool';

/** What a place is like for what lies in it. */
export interface PlaceTraits {
  /** Height of the hand that takes something out, mm above the floor. */
  readonly handMm: number;
  readonly reach: Reach;
  readonly light: Light;
  readonly isDustProof: boolean;
  readonly isPetProof: boolean;
  readonly isChildSafe: boolean;
  readonly isNearHeat: boolean;
  readonly isSeeThrough: boolean;
  /** The top of a table, on which one works; and the stations that are at it. */
  readonly isWorkTop: boolean;
  readonly workTopOf: readonly StationId[];
  /** Small things lie held together in it, stand in one row on it, or are lost on it. */
  readonly holds: 'held' | 'row' | 'open';
  /** Things stand side by side in it. */
  readonly isRow: boolean;
  /** The bare floor. */
  readonly isFloor: boolean;
  /** A small child can pull down what stands there. */
  readonly isInPull: boolean;
  /** Where things lie until they are put away: no home for anything. */
  readonly isHeap: boolean;
  /** Most that may lie in it, g: the least of its own limit and the container's. */
  readonly loadG: number;
  readonly tareG: number;
}

/** Bands of Drillis and Contini's segment lengths: knee .285, hip .42, shoulder .82, upper grip 1.20 of stature. */
export function computeReach(heightMm: number, statureMm: number): Reach {
  const share = heightMm / statureMm;
  if (share < 0.285) return 'kneel';
  if (share < 0.42) return 'bend';
  if (share < 0.82) return 'easy';
  return share <= 1.2 ? 'stretch' : 'stool';
}

/** A shelf no deeper has all its small things in one row. */
const ROW_DEPTH_MM = 150;
/** From this height on something that is pulled down falls on a child. */
const PULL_FROM_MM = 300;

/** Small children reach to about this height, standing on what stands around. */
export const CHILD_REACH_MM = 1500;

function getSlotOf(tree: PlaceTree, place: Place): Place {
  const slot = getAncestor(tree, place.id, 'slot');
  if (!slot?.slot) throw new Error(`place ${place.id} has no slot`);
  return slot;
}

/** What a container measures inside, wherever it stands. */
export function getInnerSize(box: ContainerSpec): Pick<Space, 'widthMm' | 'depthMm' | 'heightMm'> {
  return {
    widthMm: box.outerWidthMm - 2 * box.wallMm,
    depthMm: box.outerDepthMm - 2 * box.wallMm,
    heightMm: box.outerHeightMm - box.wallMm,
  };
}

/** The space in a container, wherever it stands. */
export function computeBoxSpace(box: ContainerSpec): Space {
  return {
    mode: box.mode,
    ...getInnerSize(box),
    rowsRun: 'y',
    peg: null,
    pinPitchMm: 0,
    dividers: box.dividers ?? null,
  };
}

/** The space of a slot or container. */
export function computeSpace(tree: PlaceTree, place: Place): Space {
  if (place.container) return computeBoxSpace(place.container);
  const slot = getSlotOf(tree, place).slot!;
  return {
    mode: slot.mode,
    widthMm: slot.widthMm,
    depthMm: slot.depthMm,
    heightMm: slot.heightMm,
    rowsRun: slot.opening === 'drawer' || slot.opening === 'lid' ? 'y' : 'x',
    peg: slot.peg ?? null,
    pinPitchMm: slot.pinPitchMm ?? 0,
  };
}

/** Whether a compartment is the top of a table, on which one works. */
export function isWorkTop(unit: UnitSpec, slot: SlotSpec): boolean {
  return unit.kind === 'table' && slot.yMm >= unit.heightMm - 1;
}

export function computeTraits(tree: PlaceTree, place: Place, settings: Settings): PlaceTraits {
  const slotPlace = getSlotOf(tree, place);
  const slot = slotPlace.slot!;
  const unit = getAncestor(tree, place.id, 'unit')!.unit!;
  const box = place.container;
  // The hand goes to the middle of a low compartment, not higher than 20 cm above its floor.
  // On a lid, by as much higher.
  const standsMm = box?.at?.zMm ?? 0;
  const handMm = unit.yMm + slot.yMm + standsMm + Math.min(slot.heightMm / 2, 200);
  const bottomMm = unit.yMm + slot.yMm;
  const isHigh = bottomMm >= CHILD_REACH_MM;
  const isOpen = slot.opening === 'open' && (slot.mode === 'line' || slot.mode === 'volume');
  const isTop = isWorkTop(unit, slot);
  const path = tree.getPath(place.id);
  return {
    handMm,
    reach: computeReach(handMm, settings.statureMm),
    light: box && !box.isSeeThrough && box.hasLid ? 'dark' : slot.light,
    isDustProof: slot.isDustProof || (box?.hasLid ?? false),
    isPetProof: slot.isPetProof || (box?.hasLid ?? false),
    isChildSafe: slot.isChildSafe || isHigh,
    isNearHeat: slot.isNearHeat,
    isSeeThrough: box ? box.isSeeThrough : slot.isSeeThrough,
    isWorkTop: isTop,
    workTopOf: isTop
      ? (path[0]?.room?.stations ?? []).flatMap(({ id, unitId }) => (unitId === path[1]?.id ? [id] : []))
      : [],
    holds: box || !isOpen ? 'held' : slot.depthMm <= ROW_DEPTH_MM ? 'row' : 'open',
    isRow: (box ? box.mode : slot.mode) !== 'volume',
    isFloor: !box && unit.kind === 'floor',
    isInPull: isOpen && !isHigh && !slot.isChildSafe && bottomMm >= PULL_FROM_MM,
    isHeap: unit.isHeap ?? false,
    loadG: box ? Math.min(box.loadG, Math.max(0, slot.loadG - box.tareG)) : slot.loadG,
    tareG: box?.tareG ?? 0,
  };
}

/** Where one stands on the floor plan to reach into the place: the middle of it, in front of the unit. */
export function computeStandPoint(tree: PlaceTree, place: Place): StandPoint {
  const room = getAncestor(tree, place.id, 'room')!;
  const unit = getAncestor(tree, place.id, 'unit')!.unit!;
  const slot = getSlotOf(tree, place).slot!;
  return { roomId: room.id, ...computeReachPoint(getRoomSpec(room), unit, slot.xMm + slot.widthMm / 2) };
}

/** What is rolled to a station stands an arm's length beside it, mm. */
const BESIDE_MM = 600;
/** Rolled there at the start of an evening, and back at its end: so many things are taken from it in between. */
const TAKEN_AN_EVENING = 6;

/** A spot that somebody works at. */
export interface StationSpot extends StandPoint {
  readonly id: StationId;
}

/** Where one works at every station, room by room. */
export function listStationSpots({ rooms, places }: PlaceTree): StationSpot[] {
  return rooms.flatMap((room) => {
    const spec = getRoomSpec(room);
    return spec.stations.map((station) => ({
      id: station.id,
      roomId: room.id,
      ...computeStationPoint(spec, station, (id) => places.get(id)?.unit),
    }));
  });
}

/** A spot that things are fetched from, and the stations to which it is rolled. */
export interface FetchSpot extends StandPoint {
  readonly rolledTo: readonly StationId[];
}

export function getFetchSpot(tree: PlaceTree, place: Place): FetchSpot {
  const { hasWheels, stationIds = [] } = getAncestor(tree, place.id, 'unit')!.unit!;
  return { ...computeStandPoint(tree, place), rolledTo: hasWheels ? stationIds : [] };
}

/** One way on foot from a station, mm; what is rolled there stands beside it, and its rolling is shared. */
export function computeFetchMm(tree: PlaceTree, from: StationSpot, to: FetchSpot): number {
  const walkMm = computeWayMm(tree, from, to);
  const isRolled = to.rolledTo.includes(from.id) && to.roomId === from.roomId;
  return isRolled ? Math.min(walkMm, BESIDE_MM + walkMm / TAKEN_AN_EVENING) : walkMm;
}

const waysOf = new WeakMap<PlaceTree, Ways>();

/** One way on foot from a spot in one room to a spot in another or the same, mm. */
export function computeWayMm(tree: PlaceTree, from: StandPoint, to: StandPoint): number {
  const ways = waysOf.get(tree) ?? createWays(tree.rooms);
  waysOf.set(tree, ways);
  return ways.computeMm(from, to);
}
