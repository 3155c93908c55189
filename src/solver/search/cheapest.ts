import { isAllowed } from '../model/index.ts';
import type { State } from '../score/index.ts';
import type { Offers } from './offers.ts';

const NONE = -1;

/** Places of the kin of a lot; reused from call to call. */
const kin: number[] = [];

/**
 * The option with room that adds least to the price for a lot that is nowhere, -1 when there is none. Exact, though it
 * looks at few places: those of kin, then the others in the order of their way until no further one can be cheaper.
 * `blinks` says of each place whether it is passed over.
 */
export function findCheapest(state: State, offers: Offers, lot: number, blinks?: () => boolean): number {
  const { facts } = state;
  const count = facts.places.length;
  const g = facts.groupOf[lot]!;
  kin.length = 0;
  let last = NONE;
  for (let l = facts.groupStart[g]!; l < facts.groupStart[g + 1]!; l += 1) {
    const p = state.place[l]!;
    if (p === NONE || p === last) continue;
    last = p;
    if (!kin.includes(p)) kin.push(p);
  }
  const { findSeconds, splitPlaceSeconds, homelessSeconds, furtherPlaceSeconds } = facts.settings.estimates;
  const uses = facts.uses[lot]!;
  const row = facts.fetchRowOf[lot]! * count;
  // A further place costs at least its way, carrying there and the least wear; for a group that has one, a wrong first look
  // and one place more.
  const apart = kin.length > 0 ? (facts.groupUses[g]! / 2) * splitPlaceSeconds + furtherPlaceSeconds : 0;
  const floor = uses * (findSeconds - homelessSeconds) + apart + facts.carrying[lot]!;
  const present = facts.present[lot]!;
  const housed = state.priceOfHousing(lot);
  let best = NONE;
  let least = Infinity;
  const [from, to] = [facts.wayStart[lot]!, facts.wayStart[lot + 1]!];
  for (let w = from; w < to; w += 1)
    for (const p of kin) {
      if (!isAllowed(facts, w, p) || blinks?.()) continue;
      const price = state.priceInsert(lot, w * count + p) - housed;
      if (price >= least) continue;
      least = price;
      best = w * count + p;
    }
  // Where it is now it is not carried.
  if (present !== NONE && !kin.includes(present))
    for (let w = from; w < to; w += 1) {
      if (!isAllowed(facts, w, present) || blinks?.()) continue;
      const price = state.priceInsert(lot, w * count + present) - housed;
      if (price >= least) continue;
      least = price;
      best = w * count + present;
    }
  for (let w = from; w < to; w += 1) {
    const places = offers.get(w);
    const wayFloor = floor + offers.getLeastWear(w);
    for (let i = 0; i < places.length; i += 1) {
      const p = places[i]!;
      if (uses * facts.fetches[row + p]! + wayFloor >= least) break;
      // Most near places are full; they are passed over before anything is worked out.
      if (state.fill[p]! + facts.shares[w * facts.spaceCount + facts.spaceOf[p]!]! > state.cap[p]!) continue;
      if (p === present || state.getCount(p, g) > 0 || blinks?.()) continue;
      const price = state.priceInsert(lot, w * count + p) - housed;
      if (price >= least) continue;
      least = price;
      best = w * count + p;
    }
  }
  return best;
}
