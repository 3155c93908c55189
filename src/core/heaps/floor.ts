import type { Act } from '../acts/index.ts';
import { createChange } from '../daybook/index.ts';
import {
  isHomeless,
  takesRoom,
  type Household,
  type Lot,
  type Place,
  type PlaceId,
  type UnitSpec,
} from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { computeSlots, computeTraits, createPlaceTree, listWalls, standUnit } from '../storage/index.ts';

/** What lies there is told by this name to be no home: `computeTraits`. */
const NAME = 'Heap on the floor';
const WIDE_MM = 1200;
const DEEP_MM = 900;
const HIGH_MM = 800;

/** The spot where things lie until they are put away; null where there is none. */
function findHeapSpot(household: Household): Place | null {
  const tree = createPlaceTree(household.places);
  return tree.leaves.find((leaf) => computeTraits(tree, leaf, household.settings).isHeap) ?? null;
}

/** A spot for the heap in the middle of the first room. */
function createSpot(household: Household, createId: () => PlaceId): Place[] | null {
  const [room] = createPlaceTree(household.places).rooms;
  const wall = room?.room && listWalls(room.room)[0];
  if (!room?.room || !wall) return null;
  const xs = room.room.walls.map(({ from }) => from.xMm);
  const ys = room.room.walls.map(({ from }) => from.yMm);
  const middle = (list: readonly number[]) => (Math.min(...list) + Math.max(...list)) / 2;
  const unit: UnitSpec = {
    kind: 'floor',
    wallId: wall.id,
    xMm: 0,
    yMm: 0,
    widthMm: WIDE_MM,
    heightMm: HIGH_MM,
    depthMm: DEEP_MM,
    boardMm: 0,
    columns: 1,
    rows: 1,
    isAnchored: false,
  };
  const stood = standUnit(room.room, unit, { xMm: middle(xs), yMm: middle(ys), turnDeg: 0 });
  const made = computeSlots(stood);
  if (!made.ok) return null;
  const order = [...household.places.values()].filter(({ parentId }) => parentId === room.id).length;
  const id = createId();
  return [
    { id, parentId: room.id, level: 'unit', name: NAME, order, unit: stood },
    ...made.slots.map(({ name, slot }, i): Place => ({
      id: createId(),
      parentId: id,
      level: 'slot',
      name,
      order: i,
      slot: { ...slot, mode: 'volume' },
    })),
  ];
}

/**
 * All that is in no place and has no home lies in a heap on the floor. That is where it is, and no home: it stands on the bench, and
 * plans put nothing there. The spot is made in the first room where there is none.
 */
export function createLieOnFloor(household: Household, createId: () => PlaceId, nowMs: number): Act {
  const loose = [...household.lots.values()].filter(
    (lot) => takesRoom(lot) && lot.state === 'out' && isHomeless(lot) && !lot.away,
  );
  if (loose.length === 0) return fail({ code: 'nothing-changed' });
  const known = findHeapSpot(household);
  const made = known ? [] : createSpot(household, createId);
  const spot = known ?? made?.at(-1);
  if (!spot) return fail({ code: 'no-such-place' });
  const there = [...household.lots.values()].filter(({ placeId }) => placeId === spot.id);
  const first = Math.max(-1, ...there.map(({ order }) => order)) + 1;
  const changes = [
    ...(made ?? []).flatMap((place) => createChange('places', place.id, null, place) ?? []),
    ...loose.flatMap((lot, i) => {
      const next: Lot = { ...lot, state: 'in', placeId: spot.id, order: first + i, sinceMs: nowMs };
      return createChange('lots', lot.id, lot, next) ?? [];
    }),
  ];
  return ok({ type: 'moved', subject: NAME, changes });
}
