import { isAllowed } from '../model/index.ts';
import type { State } from '../score/index.ts';
import { findCheapest } from './cheapest.ts';
import { Offers } from './offers.ts';
import { dropBrokenSets, listCommonPlaces, insertSet, placeSet } from './sets.ts';

const NONE = -1;

function placeCheapest(state: State, offers: Offers, lot: number): void {
  const option = findCheapest(state, offers, lot);
  if (option !== NONE) state.insert(lot, option);
}

/**
 * A first arrangement: groups in the order of what they lose by waiting (few places fit them, or they are
 * used most for the room they take), each lot to its cheapest place, so that kin fill neighbouring places.
 */
export function constructByGroup(state: State): void {
  const { facts } = state;
  const members: number[][] = facts.groups.map(() => []);
  const choice = new Float64Array(facts.groups.length);
  const share = new Float64Array(facts.groups.length);
  const offers = new Offers(facts);
  for (let l = 0; l < facts.lots.length; l += 1) {
    const g = facts.groupOf[l]!;
    members[g]!.push(l);
    let least = Infinity;
    for (let w = facts.wayStart[l]!; w < facts.wayStart[l + 1]!; w += 1) {
      const places = offers.get(w);
      choice[g]! += places.length;
      if (places.length > 0) least = Math.min(least, facts.shares[w * facts.spaceCount + facts.spaceOf[places[0]!]!]!);
    }
    if (least < Infinity) share[g]! += least;
  }
  const urgency = facts.groups.map(
    (_, g) => facts.groupUses[g]! / (share[g]! + 0.1) + 200 / (1 + choice[g]! / Math.max(1, members[g]!.length)),
  );
  const order = facts.groups.map((_, g) => g).toSorted((a, b) => urgency[b]! - urgency[a]! || a - b);
  for (const set of facts.wishes.sets) placeSet(state, set);
  for (const g of order)
    for (const l of members[g]!) if (facts.wishes.setOf[l] === NONE) placeCheapest(state, offers, l);
}

/** The peer: first-fit decreasing. The biggest lot first, each into the first place with room. */
export function constructFirstFit(state: State): void {
  const { facts } = state;
  const count = facts.places.length;
  const size = (l: number) => {
    let least = Infinity;
    for (let w = facts.wayStart[l]!; w < facts.wayStart[l + 1]!; w += 1)
      for (let s = 0; s < facts.spaceCount; s += 1) least = Math.min(least, facts.shares[w * facts.spaceCount + s]!);
    return least;
  };
  const sizes = facts.lots.map((_, l) => size(l));
  for (const set of facts.wishes.sets) listCommonPlaces(state, set).some((p) => insertSet(state, set, p));
  const putFirst = (l: number) => {
    for (let p = 0; p < count; p += 1)
      for (let w = facts.wayStart[l]!; w < facts.wayStart[l + 1]!; w += 1)
        if (isAllowed(facts, w, p) && state.canInsert(w * count + p)) {
          state.insert(l, w * count + p);
          return;
        }
  };
  for (const l of facts.lots.map((_, i) => i).toSorted((a, b) => sizes[b]! - sizes[a]! || a - b))
    if (facts.wishes.setOf[l] === NONE) putFirst(l);
}

/** Where things are now, as far as the rules and the room allow. */
export function constructFromPresent(state: State): void {
  const { facts } = state;
  const count = facts.places.length;
  for (let l = 0; l < facts.lots.length; l += 1) {
    const p = facts.present[l]!;
    if (p === NONE) continue;
    for (let w = facts.wayStart[l]!; w < facts.wayStart[l + 1]!; w += 1)
      if (isAllowed(facts, w, p) && state.canInsert(w * count + p)) {
        state.insert(l, w * count + p);
        break;
      }
  }
  dropBrokenSets(state);
}

/** What has no place yet goes to its cheapest, what is used most first; all else stays where it is. */
export function constructRest(state: State): void {
  const { facts } = state;
  for (const set of facts.wishes.sets) if (state.option[set[0]!] === NONE) placeSet(state, set);
  const rest = facts.lots.map((_, l) => l).filter((l) => state.option[l] === NONE && facts.wishes.setOf[l] === NONE);
  const offers = new Offers(facts);
  for (const l of rest.toSorted((a, b) => facts.weight[b]! - facts.weight[a]! || a - b))
    placeCheapest(state, offers, l);
}
