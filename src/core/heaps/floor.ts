import { lieBehind, type Act } from '../acts/index.ts';
import { createChange } from '../daybook/index.ts';
import {
  isHomeless,
  takesRoom,
  type Household,
  type Lot,
  type Place,
  type PlaceId,
  type PlanPoint,
  type UnitSpec,
} from '../records/index.ts';
import { getNaming } from '../naming/index.ts';
import { fail, ok } from '../result/index.ts';
import { applyUnitSpec, computeTraits, createPlaceTree, standUnit } from '../storage/index.ts';

const HEAP: Omit<UnitSpec, 'wallId'> = {
  kind: 'floor',
  xMm: 0,
  yMm: 0,
  widthMm: 1200,
  heightMm: 800,
  depthMm: 900,
  boardMm: 0,
  columns: 1,
  rows: 1,
  isAnchored: false,
  isHeap: true,
};

/** The spot where things lie until they are put away; null where there is none. */
function findHeapSpot(household: Household): Place | null {
  const tree = createPlaceTree(household.places);
  return tree.leaves.find((leaf) => computeTraits(tree, leaf, household.settings).isHeap) ?? null;
}

/** A spot for the heap in the middle of the first room. */
function createSpot(household: Household, createId: () => PlaceId): Place[] | null {
  const [room] = createPlaceTree(household.places).rooms;
  if (!room?.room) return null;
  const { walls } = room.room;
  const middle = (of: (from: PlanPoint) => number) => {
    const all = walls.map(({ from }) => of(from));
    return (Math.min(...all) + Math.max(...all)) / 2;
  };
  const at = { xMm: middle(({ xMm }) => xMm), yMm: middle(({ yMm }) => yMm), turnDeg: 0 };
  const unit = standUnit(room.room, { ...HEAP, wallId: walls[0]!.id }, at);
  const id = createId();
  const made = applyUnitSpec(id, null, unit, [], createId);
  if (!made.ok) return null;
  const order = [...household.places.values()].filter(({ parentId }) => parentId === room.id).length;
  const slots = made.kept.map((place): Place => ({ ...place, slot: { ...place.slot!, mode: 'volume' } }));
  return [{ id, parentId: room.id, level: 'unit', name: getNaming().heapOnFloor, order, unit }, ...slots];
}

/** What is in no place and has no home, and is neither lent nor missing. */
export function listLoose({ lots }: Household): Lot[] {
  return [...lots.values()].filter((lot) => takesRoom(lot) && lot.state === 'out' && isHomeless(lot) && !lot.away);
}

/**
 * All that is in no place and has no home lies in a heap on the floor. That is where it is, and no home: it stands on the bench, and
 * plans put nothing there. The spot is made in the first room where there is none.
 */
export function createLieOnFloor(household: Household, createId: () => PlaceId, nowMs: number): Act {
  const loose = listLoose(household);
  if (loose.length === 0) return fail({ code: 'nothing-changed' });
  const known = findHeapSpot(household);
  const made = known ? [] : createSpot(household, createId);
  const spot = known ?? made?.at(-1);
  if (!spot) return fail({ code: 'no-such-place' });
  const changes = [
    ...(made ?? []).flatMap((place) => createChange('places', place.id, null, place) ?? []),
    ...lieBehind(household, loose, spot.id, nowMs),
  ];
  return ok({ type: 'moved', subject: household.places.get(spot.parentId!)?.name ?? getNaming().heapOnFloor, changes });
}
