import type { Cure } from '../../core/suppose/index.ts';
import type { LotId, Reason } from '../../core/records/index.ts';
import { checkUnitOnWall, CHILD_REACH_MM, getAncestor, getRoomSpec, getWallLine } from '../../core/storage/index.ts';
import { findHardFault } from '../constraints/index.ts';
import type { Facts } from '../model/index.ts';
import { State } from '../score/index.ts';
import { constructFromPresent } from '../search/index.ts';
import { findLot } from './homes.ts';
import { explainUnplaced } from './reasons.ts';

/** Why something has no home, and the smallest cure where care is the reason. */
export interface Nowhere {
  readonly reason: Reason;
  readonly cure: Cure | null;
}

/** More than this nobody raises a piece, mm; up to this it is less work than a lock. Holes are drilled to the centimetre. */
const MOST_RAISED_MM = 500;
const LITTLE_MM = 150;
const STEP_MM = 10;

/** How much higher a piece on the wall would have to hang for a place of it to be out of a child's reach; null where it cannot. */
function findRaise(facts: Facts, p: number): number | null {
  const { place } = facts.places[p]!;
  const [room, { unit }] = [getAncestor(facts.tree, place.id, 'room')!, getAncestor(facts.tree, place.id, 'unit')!];
  const { slot } = getAncestor(facts.tree, place.id, 'slot')!;
  // What hangs, not what stands.
  if (unit!.yMm === 0) return null;
  const mm = Math.ceil((CHILD_REACH_MM - unit!.yMm - slot!.yMm) / STEP_MM) * STEP_MM;
  const wall = getWallLine(getRoomSpec(room), unit!.wallId);
  const isUnderCeiling = checkUnitOnWall({ ...unit!, yMm: unit!.yMm + mm }, wall) === null;
  return mm <= MOST_RAISED_MM && isUnderCeiling ? mm : null;
}

/**
 * What could be done so that children do not reach a thing, of the places that would take it then: hang a piece a little
 * higher, or lock what shuts, the nearest first; else hang one higher all the same.
 */
function findCure(facts: Facts, lot: number): Cure | null {
  const { settings, places } = facts;
  const item = facts.items[lot]!;
  const row = facts.fetchRowOf[lot]! * places.length;
  const near = places
    .flatMap(({ space, traits }, p) => {
      const safe = { ...traits, isChildSafe: true };
      const wish = facts.wishes.forbid(lot, p);
      const offers = facts.packages[lot]!.map((pkg) => ({ item, pkg, space, traits: safe, settings, wish }));
      return offers.some((offer) => findHardFault(offer) === null) ? [p] : [];
    })
    .toSorted((a, b) => facts.fetches[row + a]! - facts.fetches[row + b]!);
  const raises = near
    .flatMap((p) => {
      const mm = findRaise(facts, p);
      return mm === null ? [] : [{ code: 'raise' as const, placeId: places[p]!.place.id, mm }];
    })
    .toSorted((a, b) => a.mm - b.mm);
  const [least] = raises;
  if (least && least.mm <= LITTLE_MM) return least;
  const shut = near.find((p) => getAncestor(facts.tree, places[p]!.place.id, 'slot')!.slot!.opening !== 'open');
  return shut === undefined ? (least ?? null) : { code: 'lock', placeId: places[shut]!.place.id };
}

/** Why each of these finds no place beside all that has its own; without those that are no more. */
export function explainNowhere(facts: Facts, lotIds: readonly LotId[]): ReadonlyMap<LotId, Nowhere> {
  const state = new State(facts);
  constructFromPresent(state);
  const told = new Map<LotId, Nowhere>();
  for (const id of lotIds) {
    const lot = findLot(facts, id);
    if (lot < 0) continue;
    if (state.option[lot] !== -1) state.remove(lot);
    const reason = explainUnplaced(facts, state, lot);
    told.set(id, { reason, cure: reason.code === 'children' ? findCure(facts, lot) : null });
  }
  return told;
}
