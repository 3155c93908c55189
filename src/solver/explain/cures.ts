import { withCure, type Cure } from '../../core/suppose/index.ts';
import type { LotId, Reason } from '../../core/records/index.ts';
import { computeTraits, createPlaceTree, getAncestor } from '../../core/storage/index.ts';
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

/** More than this nobody raises a shelf, mm; up to this it is less work than a lock. */
const MOST_RAISED_MM = 500;
const LITTLE_MM = 150;
const STEP_MM = 10;

/**
 * What could be done so that children do not reach a thing: hang a piece a little higher, or lock what shuts; the nearest
 * one first. Each is tried on the household: with it the place takes the thing.
 */
function findCure(facts: Facts, lot: number): Cure | null {
  const { household, settings, places } = facts;
  const item = facts.items[lot]!;
  const near = places
    .map((_, p) => p)
    .toSorted(
      (a, b) =>
        facts.fetches[facts.fetchRowOf[lot]! * places.length + a]! -
        facts.fetches[facts.fetchRowOf[lot]! * places.length + b]!,
    );
  const helps = (cure: Cure) => {
    const tree = createPlaceTree(withCure(household, cure).places);
    const p = places.findIndex(({ place }) => place.id === cure.placeId);
    const traits = computeTraits(tree, tree.places.get(cure.placeId)!, settings);
    const { space } = places[p]!;
    const wish = facts.wishes.forbid(lot, p);
    return facts.packages[lot]!.some((pkg) => findHardFault({ item, pkg, space, traits, settings, wish }) === null);
  };
  const raised: Cure[] = [];
  const locked: Cure[] = [];
  for (const p of near) {
    const { place } = places[p]!;
    const slot = getAncestor(facts.tree, place.id, 'slot')!.slot!;
    const { unit } = getAncestor(facts.tree, place.id, 'unit')!;
    if (slot.opening !== 'open') locked.push({ code: 'lock', placeId: place.id });
    // What hangs on the wall, not what stands.
    if (unit!.yMm > 0)
      for (let mm = STEP_MM; mm <= MOST_RAISED_MM; mm += STEP_MM)
        if (helps({ code: 'raise', placeId: place.id, mm })) {
          raised.push({ code: 'raise', placeId: place.id, mm });
          break;
        }
  }
  const byLittle = raised.toSorted((a, b) => (a.code === 'raise' && b.code === 'raise' ? a.mm - b.mm : 0));
  const little = byLittle.find((one) => one.code === 'raise' && one.mm <= LITTLE_MM);
  return little ?? locked.find(helps) ?? byLittle[0] ?? null;
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
