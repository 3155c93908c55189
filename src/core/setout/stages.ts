import { computeBalance } from '../balance/index.ts';
import {
  SETOUT_STAGES,
  takesRoom,
  type Household,
  type RoomSpec,
  type SetoutStage,
  type SetoutWay,
  type Settings,
} from '../records/index.ts';
import { createBareRoom } from '../room/index.ts';
import type { PlaceTree } from '../storage/index.ts';

/** How far a stage is; figures are what it has brought so far. */
export interface Stage {
  readonly id: SetoutStage;
  readonly state: 'open' | 'begun' | 'done';
  /** About how long the rest of it takes, minutes; an estimate. */
  readonly minutes: number;
}

/** What is asked of a household to tell how far its setting out is. */
export interface SetoutFacts {
  readonly stages: readonly Stage[];
  /** The first that is not done: what comes next. */
  readonly next: SetoutStage | null;
  readonly pieces: number;
  readonly places: number;
  readonly lots: number;
  readonly heaps: number;
  readonly withoutHome: number;
  readonly toCarry: number;
  readonly labelled: number;
  /** Without room, mm³; null before there are both things and places. */
  readonly leftMm3: number | null;
  /** All of it goes in, as far as a count can tell. */
  readonly isEnough: boolean;
}

/** Estimates, minutes: a first try at each stage by one who never did it, and carrying one thing or heap. */
const USUAL_MINUTES: Readonly<Record<SetoutStage, number>> = {
  room: 1,
  furniture: 4,
  heaps: 5,
  balance: 1,
  sort: 2,
  fit: 1,
  carry: 0,
  label: 5,
};
const CARRY_MINUTES = 1.2;

const BARE = createBareRoom('bare' as never, '', 0, [], () => 'door').room!;
const geometryOf = ({ walls, heightMm, slopes, doors, windows }: RoomSpec) =>
  JSON.stringify([
    walls.map(({ from }) => from),
    heightMm,
    slopes,
    doors.map(({ xMm, widthMm }) => [xMm, widthMm]),
    windows,
  ]);

/** Whether nobody has said yet what a room is like. */
function isUntouched(room: RoomSpec): boolean {
  return geometryOf(room) === geometryOf(BARE);
}

function isSorted({ sorting, bounds, splits, handPicks }: Settings, usual: Settings): boolean {
  const told = (settings: Pick<Settings, 'sorting' | 'bounds'>) => JSON.stringify([settings.sorting, settings.bounds]);
  return told({ sorting, bounds }) !== told(usual) || Boolean(splits?.length) || Boolean(handPicks?.length);
}

/** What comes next: who has a list begins with what is owned, whatever else is open. */
function findNext(stages: readonly Stage[], way: SetoutWay, hasLots: boolean): SetoutStage | null {
  if ((way === 'list' || way === 'file') && !hasLots) return 'heaps';
  return stages.find(({ state }) => state === 'open')?.id ?? stages.find(({ state }) => state !== 'done')?.id ?? null;
}

/** How far setting out is. `usual` are the settings of a new household. */
export function computeSetout(household: Household, tree: PlaceTree, usual: Settings): SetoutFacts {
  const { settings, places, plans } = household;
  const said = new Set(settings.setout?.done);
  const lots = [...household.lots.values()].filter((lot) => takesRoom(lot));
  const pieces = [...places.values()].filter(({ unit }) => unit).length;
  const isRoomed = tree.rooms.some(({ room }) => !isUntouched(room!));
  const both = pieces > 0 && lots.length > 0;
  const { leftMm3, isEnough } = both ? computeBalance(household, tree) : { leftMm3: null, isEnough: false };
  const withoutHome = lots.filter(({ homeId }) => homeId === undefined).length;
  const toCarry = lots.filter(({ homeId, placeId }) => homeId !== undefined && homeId !== placeId).length;
  const isAdopted = [...plans.values()].some(({ adoptedAtMs }) => adoptedAtMs !== undefined);
  const labelled = [...places.values()].filter(({ label }) => label).length;
  const isDone: Readonly<Record<SetoutStage, boolean>> = {
    room: isRoomed,
    furniture: false,
    heaps: false,
    balance: isEnough,
    sort: isSorted(settings, usual) || isAdopted,
    fit: isAdopted,
    carry: isAdopted && toCarry === 0,
    label: labelled > 0,
  };
  // What one may always have more of is done when what comes after it was begun, or when one says so.
  const isBegun: Readonly<Record<SetoutStage, boolean>> = {
    room: pieces > 0,
    furniture: pieces > 0,
    heaps: lots.length > 0,
    balance: leftMm3 !== null,
    sort: false,
    fit: withoutHome < lots.length,
    carry: isAdopted && toCarry > 0 && lots.some(({ homeId, placeId }) => homeId !== undefined && homeId === placeId),
    label: false,
  };
  const stages = SETOUT_STAGES.map((id): Stage => {
    const state =
      isDone[id] || said.has(id) || (isAdopted && isBegun[id] && id !== 'carry')
        ? 'done'
        : isBegun[id]
          ? 'begun'
          : 'open';
    const rest = id === 'carry' ? Math.ceil(CARRY_MINUTES * (isAdopted ? toCarry : lots.length)) : USUAL_MINUTES[id];
    return { id, state, minutes: state === 'done' ? 0 : rest };
  });
  return {
    stages,
    next: findNext(stages, settings.setout?.way ?? 'mess', lots.length > 0),
    pieces,
    places: tree.leaves.length,
    lots: lots.length,
    heaps: lots.filter(({ heap }) => heap).length,
    withoutHome,
    toCarry,
    labelled,
    leftMm3,
    isEnough,
  };
}
