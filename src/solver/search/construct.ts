import type { State } from '../score/index.ts';
import { dropBrokenSets, listCommonPlaces, insertSet, placeSet } from './sets.ts';

/** The cheapest option that has room, -1 when there is none. */
function findBestOption(state: State, lot: number): number {
  const { facts } = state;
  let best = -1;
  let least = Infinity;
  for (let o = facts.optStart[lot]!; o < facts.optStart[lot + 1]!; o += 1) {
    if (!state.canInsert(o)) continue;
    const delta = state.computeInsert(lot, o) + facts.optCautions[o]! * 1000;
    if (delta < least) {
      least = delta;
      best = o;
    }
  }
  return best;
}

/**
 * A first arrangement: groups in the order of what they lose by waiting (few places fit them, or they are
 * used most for the room they take), each lot to its cheapest place, so that kin fill neighbouring places.
 */
export function constructByGroup(state: State): void {
  const { facts } = state;
  const members: number[][] = facts.groups.map(() => []);
  const optionCount = new Float64Array(facts.groups.length);
  const share = new Float64Array(facts.groups.length);
  for (let l = 0; l < facts.lots.length; l += 1) {
    const g = facts.groupOf[l]!;
    members[g]!.push(l);
    const [from, to] = [facts.optStart[l]!, facts.optStart[l + 1]!];
    optionCount[g]! += to - from;
    if (to > from) share[g]! += facts.optShare[from]!;
  }
  const urgency = facts.groups.map((_, g) => {
    const choice = optionCount[g]! / Math.max(1, members[g]!.length);
    return facts.groupUses[g]! / (share[g]! + 0.1) + 200 / (1 + choice);
  });
  const order = facts.groups.map((_, g) => g).toSorted((a, b) => urgency[b]! - urgency[a]! || a - b);
  for (const set of facts.wishes.sets) placeSet(state, set);
  for (const g of order)
    for (const l of members[g]!) {
      if (facts.wishes.setOf[l] !== -1) continue;
      const option = findBestOption(state, l);
      if (option >= 0) state.insert(l, option);
    }
}

/** The peer: first-fit decreasing. The biggest lot first, each into the first place with room. */
export function constructFirstFit(state: State): void {
  const { facts } = state;
  const size = (l: number) => {
    let least = Infinity;
    for (let o = facts.optStart[l]!; o < facts.optStart[l + 1]!; o += 1) least = Math.min(least, facts.optShare[o]!);
    return least;
  };
  const sizes = facts.lots.map((_, l) => size(l));
  for (const set of facts.wishes.sets) listCommonPlaces(state, set).some((p) => insertSet(state, set, p));
  for (const l of facts.lots.map((_, i) => i).toSorted((a, b) => sizes[b]! - sizes[a]! || a - b)) {
    if (facts.wishes.setOf[l] !== -1) continue;
    for (let o = facts.optStart[l]!; o < facts.optStart[l + 1]!; o += 1)
      if (state.canInsert(o)) {
        state.insert(l, o);
        break;
      }
  }
}

/** Where things are now, as far as the rules and the room allow. */
export function constructFromPresent(state: State): void {
  const { facts } = state;
  for (let l = 0; l < facts.lots.length; l += 1)
    for (let o = facts.optStart[l]!; o < facts.optStart[l + 1]!; o += 1)
      if (facts.optPlace[o] === facts.present[l] && state.canInsert(o)) {
        state.insert(l, o);
        break;
      }
  dropBrokenSets(state);
}

/** What has no place yet goes to its cheapest, what is used most first; all else stays where it is. */
export function constructRest(state: State): void {
  const { facts } = state;
  for (const set of facts.wishes.sets) if (state.option[set[0]!] === -1) placeSet(state, set);
  const rest = facts.lots.map((_, l) => l).filter((l) => state.option[l] === -1 && facts.wishes.setOf[l] === -1);
  for (const l of rest.toSorted((a, b) => facts.weight[b]! - facts.weight[a]! || a - b)) {
    const option = findBestOption(state, l);
    if (option >= 0) state.insert(l, option);
  }
}
