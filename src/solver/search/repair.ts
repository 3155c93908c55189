import type { Package } from '../../core/measure/index.ts';
import { packPlace, type PackResult } from '../../core/packing/index.ts';
import { getOptionPackage, getPlaceOf, getShare, listOptions, type Facts } from '../model/index.ts';
import type { State } from '../score/index.ts';
import { placeSet } from './sets.ts';

/** Remembers which contents of a place were packed, by place, lots and forms. */
export class PackingCache {
  private readonly known = new Map<string, PackResult>();

  constructor(private readonly facts: Facts) {}

  /** Packs lots with their options into a place, in the order of their groups. */
  pack(place: number, lots: readonly number[], options: Int32Array): PackResult {
    const ordered = lots.toSorted((a, b) => a - b);
    const key = `${place}|${ordered.map((lot) => options[lot]).join(',')}`;
    const before = this.known.get(key);
    if (before) return before;
    const packages: Package[] = ordered.map((lot) => getOptionPackage(this.facts, lot, options[lot]!));
    const result = packPlace(packages, this.facts.places[place]!.space);
    this.known.set(key, result);
    return result;
  }
}

function listInside(state: State): number[][] {
  const inside: number[][] = state.facts.places.map(() => []);
  for (let l = 0; l < state.facts.lots.length; l += 1) {
    const p = state.getPlace(l);
    if (p >= 0) inside[p]!.push(l);
  }
  return inside;
}

/** How many of the cheapest options are packed for real before a lot stays without a place. */
const TRIES = 24;

/**
 * Makes an arrangement real: every place is packed with positions. What does not pack goes out, the least
 * used first, and each lot without a place tries its cheapest options with real packing. Returns the
 * places that were too full for their packing.
 */
export function repairPacking(state: State, cache: PackingCache): number[] {
  const { facts } = state;
  const inside = listInside(state);
  const burst: number[] = [];
  for (let p = 0; p < inside.length; p += 1) {
    const list = inside[p]!;
    if (list.length === 0 || cache.pack(p, list, state.option).status === 'packed') continue;
    burst.push(p);
    while (list.length > 0 && cache.pack(p, list, state.option).status !== 'packed') {
      // The one whose loss weighs least for the room it gives.
      const value = (l: number) => facts.weight[l]! / (0.02 + getShare(facts, state.option[l]!));
      const victim = list.reduce((a, b) => (value(b) < value(a) ? b : a));
      // What is kept together goes together.
      const bound = facts.wishes.setOf[victim]!;
      for (const lot of bound === -1 ? [victim] : facts.wishes.sets[bound]!) {
        list.splice(list.indexOf(lot), 1);
        state.remove(lot);
      }
    }
  }
  for (const set of facts.wishes.sets) {
    if (state.option[set[0]!] !== -1) continue;
    const isPacked = (p: number) => cache.pack(p, [...inside[p]!, ...set], state.option).status === 'packed';
    if (placeSet(state, set, isPacked)) inside[state.getPlace(set[0]!)]!.push(...set);
  }
  const isLoose = (l: number) => facts.wishes.setOf[l] === -1;
  const homeless = facts.lots.map((_, l) => l).filter((l) => state.option[l] === -1 && isLoose(l));
  for (const lot of homeless.toSorted((a, b) => facts.weight[b]! - facts.weight[a]! || a - b)) {
    const offers: { option: number; delta: number }[] = [];
    for (const option of listOptions(facts, lot)) {
      const delta = state.priceInsert(lot, option);
      if (delta < Infinity) offers.push({ option, delta });
    }
    offers.sort((a, b) => a.delta - b.delta || a.option - b.option);
    for (const { option } of offers.slice(0, TRIES)) {
      const p = getPlaceOf(facts, option);
      state.insert(lot, option);
      if (cache.pack(p, [...inside[p]!, lot], state.option).status === 'packed') {
        inside[p]!.push(lot);
        break;
      }
      state.remove(lot);
    }
  }
  return burst;
}
