import { getNaming } from '../naming/index.ts';
import { computeDifference, listHomesBefore } from '../daybook/index.ts';
import type { DaybookEvent, Household, Lot, LotId, Place, PlaceId } from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { withAct } from '../suppose/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { createSavePlaces, createTurn, type Act } from '../acts/index.ts';
import type { PackPlan } from './plan.ts';
import { createBoxRoom } from './room.ts';

/** The room in which moving boxes stand, where there is one. */
export function findBoxRoom({ settings, places }: Household): Place | null {
  const roomId = settings.moving?.roomId;
  return (roomId && places.get(roomId)) ?? null;
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
  const boxes = plan.boxes.map(({ size }, n) => ({ id: createId() as PlaceId, name: getNaming().box(n + 1), size }));
  const rooms = [...household.places.values()].filter(({ level }) => level === 'room').length;
  const places = new Map(household.places);
  const made = createBoxRoom(boxes, liftG, rooms, createId);
  for (const place of made) places.set(place.id, place);
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
  const sizes = [...new Map(plan.boxes.map(({ size }) => [size.id, size])).values()];
  const moving = { ...(household.settings.moving ?? { boxes: sizes, liftG }), roomId: made[0]!.id };
  const settings = { ...household.settings, moving };
  const changes = computeDifference(household, { ...household, settings, places, lots });
  return ok({ type: 'planned', subject: getNaming().told.boxes(plan.boxes.length), changes });
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
function listWaysBack(household: Household, events: readonly DaybookEvent[]): { lotId: LotId; toId: PlaceId }[] {
  const boxes = new Set(listMovingBoxes(household).map(({ id }) => id));
  const leaves = new Set(createPlaceTree(household.places).leaves.map(({ id }) => id));
  const before = listHomesBefore(events, (id) => !boxes.has(id) && leaves.has(id));
  return [...household.lots.values()].flatMap((lot) => {
    const toId = lot.homeId && boxes.has(lot.homeId) ? before.get(lot.id) : undefined;
    return toId ? [{ lotId: lot.id, toId }] : [];
  });
}

/** Back to where it was before boxes were packed: all of it belongs there again, and is carried like every plan. */
export function createUnpackBack(household: Household, events: readonly DaybookEvent[], nowMs: number): Act {
  return createTurn(household, listWaysBack(household, events), getNaming().told.wayBack, nowMs);
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
  const removed = createSavePlaces(
    household,
    getNaming().told.movingBoxes,
    [],
    [...boxes, ...slots, ...units, room],
    nowMs,
  );
  const next = withAct(household, removed);
  if (!removed.ok || !next?.settings.moving) return removed;
  const { roomId: _, ...moving } = next.settings.moving;
  return ok({
    ...removed.value,
    changes: computeDifference(household, { ...next, settings: { ...next.settings, moving } }),
  });
}
