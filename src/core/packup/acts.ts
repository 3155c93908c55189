import { computeDifference } from '../daybook/index.ts';
import type { DaybookEvent, Household, Lot, LotId, Place, PlaceId } from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { createSavePlaces, createTurn, type Act } from '../acts/index.ts';
import type { PackPlan } from './plan.ts';
import { createBoxRoom, HEAP_NAME } from './room.ts';

/** The room in which moving boxes stand, where there is one: by the boxes in it. */
export function findBoxRoom(household: Household): Place | null {
  const tree = createPlaceTree(household.places);
  return (
    tree.rooms.find((room) =>
      tree.getChildren(room.id).some((unit) => unit.unit?.kind === 'floor' && unit.name.startsWith(HEAP_NAME)),
    ) ?? null
  );
}

/** Moving boxes that stand there, in their order. */
export function listMovingBoxes(household: Household): Place[] {
  const room = findBoxRoom(household);
  if (!room) return [];
  const tree = createPlaceTree(household.places);
  return tree
    .getChildren(room.id)
    .flatMap((unit) => tree.getChildren(unit.id).flatMap((slot) => [...tree.getChildren(slot.id)]));
}

/**
 * The boxes of a plan stand ready, and what goes into each belongs in it from now on; it is carried like every plan. Box 1 goes into the
 * van first. Where there are boxes already, they are to be unpacked first.
 */
export function createPackUp(
  household: Household,
  plan: PackPlan,
  liftG: number,
  createId: () => string,
  nowMs: number,
): Act {
  if (plan.boxes.length === 0 || findBoxRoom(household)) return fail({ code: 'nothing-changed' });
  const boxes = plan.boxes.map(({ size }, n) => ({ id: createId() as PlaceId, name: `Box ${n + 1}`, size }));
  const rooms = [...household.places.values()].filter(({ level }) => level === 'room').length;
  const places = new Map(household.places);
  for (const place of createBoxRoom(boxes, liftG, rooms, createId)) places.set(place.id, place);
  const lots = new Map(household.lots);
  for (const [n, box] of plan.boxes.entries())
    for (const [order, { lotId, form }] of box.lots.entries()) {
      const lot = lots.get(lotId);
      if (!lot) return fail({ code: 'stale-plan' });
      const { away: _, ...rest } = lot;
      const next: Lot = { ...rest, homeId: boxes[n]!.id, homeForm: form, homeOrder: order, sinceMs: nowMs };
      // It was never there: until it is carried it counts as without a home.
      lots.set(lotId, lot.state === 'out' ? { ...next, away: 'waiting' } : next);
    }
  const changes = computeDifference(household, { ...household, places, lots });
  return ok({ type: 'planned', subject: plan.boxes.length === 1 ? '1 box' : `${plan.boxes.length} boxes`, changes });
}

/** A box is packed: all that belongs in it lies in it. */
export function createBoxPacked(household: Household, boxId: PlaceId, nowMs: number): Act {
  const lots = new Map(household.lots);
  for (const lot of household.lots.values()) {
    if (lot.homeId !== boxId || (lot.state !== 'in' && lot.state !== 'out') || lot.placeId === boxId) continue;
    const { away: _, ...rest } = lot;
    lots.set(lot.id, {
      ...rest,
      state: 'in',
      placeId: boxId,
      order: lot.homeOrder,
      form: lot.homeForm,
      sinceMs: nowMs,
    });
  }
  const changes = computeDifference(household, { ...household, lots });
  const subject = household.places.get(boxId)?.name ?? '';
  return changes.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'carried', subject, changes });
}

/** Where each thing that belongs in a box belonged before, by the daybook, where that place is still there. */
function listHomesBefore(household: Household, events: readonly DaybookEvent[]): { lotId: LotId; toId: PlaceId }[] {
  const boxes = new Set(listMovingBoxes(household).map(({ id }) => id));
  const leaves = new Set(createPlaceTree(household.places).leaves.map(({ id }) => id));
  const before = new Map<LotId, PlaceId>();
  for (const { changes } of events)
    for (const { table, id, before: was } of changes) {
      const home = was?.['homeId'] as PlaceId | undefined;
      if (table === 'lots' && home !== undefined && !boxes.has(home) && leaves.has(home)) before.set(id as LotId, home);
    }
  return [...household.lots.values()].flatMap((lot) => {
    const toId = lot.homeId && boxes.has(lot.homeId) ? before.get(lot.id) : undefined;
    return toId ? [{ lotId: lot.id, toId }] : [];
  });
}

/** Back to where it was before boxes were packed: all of it belongs there again, and is carried like every plan. */
export function createUnpackBack(household: Household, events: readonly DaybookEvent[], nowMs: number): Act {
  return createTurn(household, listHomesBefore(household, events), 'Back to where it was', nowMs);
}

/** The boxes are empty, and go; nothing belongs in them any more. */
export function createBoxesGone(household: Household, nowMs: number): Act {
  const room = findBoxRoom(household);
  if (!room) return fail({ code: 'nothing-changed' });
  const boxes = listMovingBoxes(household);
  const ids = new Set(boxes.map(({ id }) => id));
  const isFull = [...household.lots.values()].some((lot) => lot.placeId !== undefined && ids.has(lot.placeId));
  if (isFull) return fail({ code: 'no-room' });
  const tree = createPlaceTree(household.places);
  const units = tree.getChildren(room.id);
  const slots = units.flatMap((unit) => tree.getChildren(unit.id));
  return createSavePlaces(household, 'The moving boxes', [], [...boxes, ...slots, ...units, room], nowMs);
}
