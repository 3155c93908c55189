import { isAllowed } from '../model/index.ts';
import type { State } from '../score/index.ts';

const NONE = -1;

/** The options of a lot in a place. */
function listOptions({ facts }: State, lot: number, place: number): number[] {
  const options: number[] = [];
  for (let w = facts.wayStart[lot]!; w < facts.wayStart[lot + 1]!; w += 1)
    if (isAllowed(facts, w, place)) options.push(w * facts.places.length + place);
  return options;
}

/** Puts every lot of a set, all of which are nowhere, into a place; or none, where one finds no room. */
export function insertSet(state: State, set: readonly number[], place: number): boolean {
  const put: number[] = [];
  for (const lot of set) {
    const option = listOptions(state, lot, place).find((one) => state.canInsert(one));
    if (option === undefined) {
      for (const one of put) state.remove(one);
      return false;
    }
    state.insert(lot, option);
    put.push(lot);
  }
  return true;
}

/** Places where every lot of a set could go if they were empty. */
export function listCommonPlaces(state: State, set: readonly number[]): number[] {
  const { facts } = state;
  return facts.places.flatMap((_, p) => (set.every((lot) => listOptions(state, lot, p).length > 0) ? [p] : []));
}

/** Puts a set where it costs least; false where no place takes all of it. */
export function placeSet(
  state: State,
  set: readonly number[],
  isGood: (place: number) => boolean = () => true,
): boolean {
  const offers: { place: number; seconds: number }[] = [];
  for (const place of listCommonPlaces(state, set)) {
    const before = state.seconds + 1000 * state.cautions;
    if (!insertSet(state, set, place)) continue;
    offers.push({ place, seconds: state.seconds + 1000 * state.cautions - before });
    for (const lot of set) state.remove(lot);
  }
  for (const { place } of offers.toSorted((a, b) => a.seconds - b.seconds || a.place - b.place)) {
    if (!insertSet(state, set, place)) continue;
    if (isGood(place)) return true;
    for (const lot of set) state.remove(lot);
  }
  return false;
}

/** Takes out every set of which not all is in one place. */
export function dropBrokenSets(state: State): void {
  for (const set of state.facts.wishes.sets) {
    const places = new Set(set.map((lot) => state.getPlace(lot)));
    if (places.size === 1) continue;
    for (const lot of set) if (state.option[lot] !== NONE) state.remove(lot);
  }
}
