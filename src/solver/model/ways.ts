import { isPiled, type Package } from '../../core/measure/index.ts';
import { computeShare } from '../../core/packing/index.ts';
import { CARE_FLAGS, STOW_FORMS, type Item, type Lot, type Settings } from '../../core/records/index.ts';
import { asksFor, computeHolding, computeWear, getHold, isMachine } from '../../core/sense/index.ts';
import { findCareFault, findCautions, HIGH_LIFT_G, PULL_G } from '../constraints/index.ts';
import type { PlaceFacts } from './places.ts';
import type { Wishes } from './wishes.ts';

/** Numbers given to keys in the order they come. */
class Numbers {
  private readonly known = new Map<string, number>();
  get size(): number {
    return this.known.size;
  }
  of(key: string): number {
    const before = this.known.get(key);
    if (before !== undefined) return before;
    this.known.set(key, this.known.size);
    return this.known.size - 1;
  }
}

/**
 * Every way to keep every lot: a way is one lot in one form. What a way costs or takes in a place is looked up by
 * kinds of places and kinds of care, for most places are alike: a table of all ways in all places would have tens of
 * millions of rows in a large household. Ways of lot `l` are `wayStart[l]` to `wayStart[l + 1]`.
 */
export interface Ways {
  readonly wayStart: Int32Array;
  readonly wayLot: Int32Array;
  readonly wayForm: Uint8Array;
  readonly wayMassG: Float64Array;
  readonly wayIsPiled: Uint8Array;
  /** The side that counts along a row: of a pile, its width. mm. */
  readonly wayAlongMm: Float64Array;
  /** By place: which of the distinct spaces, and which of the distinct sets of traits it has. */
  readonly spaceOf: Int32Array;
  readonly traitOf: Int32Array;
  readonly spaceCount: number;
  readonly traitCount: number;
  /** By way × space: the share of an empty place that it takes; Infinity where it does not go in. */
  readonly shares: Float64Array;
  /** By way: which of the kinds of care. By care × trait: seconds of wear and of being unheld, count of cautions. */
  readonly careOf: Int32Array;
  readonly wears: Float64Array;
  readonly cautions: Uint8Array;
  /** By way: which of the patterns of allowed places. By pattern × place: 1 where it is allowed. */
  readonly patternOf: Int32Array;
  readonly allowed: Uint8Array;
  readonly patternCount: number;
}

/** The places by kind, for most are alike: what space they have, what traits, and both with the load they take. */
function sortPlaces(places: readonly PlaceFacts[]) {
  const [spaceNumbers, traitNumbers, kindNumbers] = [new Numbers(), new Numbers(), new Numbers()];
  const spaceOf = Int32Array.from(places, ({ space }) => spaceNumbers.of(JSON.stringify(space)));
  const traitOf = Int32Array.from(places, ({ traits }) =>
    traitNumbers.of(JSON.stringify({ ...traits, handMm: 0, tareG: 0, loadG: 0 })),
  );
  const kindOf = Int32Array.from(places, ({ traits }, p) =>
    kindNumbers.of(`${spaceOf[p]} ${traitOf[p]} ${traits.loadG}`),
  );
  const firstOf = (numbers: Int32Array, size: number) =>
    Array.from({ length: size }, (_, i) => places[numbers.indexOf(i)]!);
  const ofKind = firstOf(kindOf, kindNumbers.size);
  return {
    spaceOf,
    traitOf,
    kindOf,
    spaces: firstOf(spaceOf, spaceNumbers.size).map(({ space }) => space),
    ofTrait: firstOf(traitOf, traitNumbers.size),
    ofKind,
    kindSpace: ofKind.map((one) => spaceOf[places.indexOf(one)]!),
    kindTrait: ofKind.map((one) => traitOf[places.indexOf(one)]!),
  };
}

type SortedPlaces = ReturnType<typeof sortPlaces>;

interface Kept {
  readonly lots: readonly Lot[];
  readonly items: readonly Item[];
  readonly packages: readonly (readonly Package[])[];
}

/** The ways themselves: what each weighs and takes, and what care asks of each kind of place. */
function measureWays({ lots, items, packages }: Kept, { spaces, ofTrait }: SortedPlaces, settings: Settings) {
  const n = lots.length;
  const total = packages.reduce((sum, list) => sum + list.length, 0);
  const wayStart = new Int32Array(n + 1);
  const wayLot = new Int32Array(total);
  const wayForm = new Uint8Array(total);
  const wayMassG = new Float64Array(total);
  const wayIsPiled = new Uint8Array(total);
  const wayAlongMm = new Float64Array(total);
  const shares = new Float64Array(total * spaces.length).fill(Infinity);
  const careNumbers = new Numbers();
  const careOf = new Int32Array(total);
  const wears: number[] = [];
  const cautions: number[] = [];
  const careFaults: boolean[] = [];
  let k = 0;
  for (let l = 0; l < n; l += 1) {
    const item = items[l]!;
    const cares = CARE_FLAGS.filter((flag) => asksFor(item, flag));
    const machine = isMachine(item) ? item.stationId : '';
    const care = `${cares.join(' ')} ${item.fabric ? `cloth ${item.fabric.fibre}` : ''} ${machine}`;
    wayStart[l] = k;
    for (const pkg of packages[l]!) {
      wayLot[k] = l;
      wayForm[k] = STOW_FORMS.indexOf(pkg.form);
      wayMassG[k] = pkg.massG;
      wayIsPiled[k] = Number(isPiled(pkg.form));
      wayAlongMm[k] = pkg.alongMm;
      for (const [s, space] of spaces.entries()) {
        const fit = computeShare(pkg, space);
        if (fit.ok && fit.share <= 1) shares[k * spaces.length + s] = fit.share;
      }
      const known = careNumbers.size;
      const isRoll = pkg.form === 'roll';
      const rank = item.forms.indexOf(pkg.form);
      careOf[k] = careNumbers.of(
        `${care} ${pkg.massG > HIGH_LIFT_G} ${pkg.massG > PULL_G} ${getHold(pkg)} ${isRoll} ${rank}`,
      );
      if (careNumbers.size > known)
        for (const { space, traits } of ofTrait) {
          const offer = { item, pkg, space, traits, settings };
          const { estimates } = settings;
          wears.push(computeWear(item, traits, estimates) + computeHolding(item, pkg, traits, estimates));
          cautions.push(findCautions(offer).length);
          careFaults.push(findCareFault(offer) !== null);
        }
      k += 1;
    }
  }
  wayStart[n] = k;
  return {
    wayStart,
    wayLot,
    wayForm,
    wayMassG,
    wayIsPiled,
    wayAlongMm,
    shares,
    careOf,
    wears: Float64Array.from(wears),
    cautions: Uint8Array.from(cautions),
    careFaults,
  };
}

/** By way: which pattern of allowed places it has, by shape, load, care and wishes. */
function listPatterns(
  lots: readonly Lot[],
  { spaces, ofTrait, ofKind, kindOf, kindSpace, kindTrait }: SortedPlaces,
  { wayStart, wayForm, wayMassG, shares, careOf, careFaults }: ReturnType<typeof measureWays>,
  wishes: Wishes,
) {
  const count = kindOf.length;
  const patternNumbers = new Numbers();
  const patternOf = new Int32Array(wayForm.length);
  const patterns: Uint8Array[] = [];
  const kinds = new Uint8Array(ofKind.length);
  for (let l = 0; l < lots.length; l += 1) {
    const row = wishes.getForbidden(l);
    const mine: Uint8Array[] = [];
    for (let w = wayStart[l]!; w < wayStart[l + 1]!; w += 1) {
      for (let q = 0; q < ofKind.length; q += 1)
        kinds[q] =
          shares[w * spaces.length + kindSpace[q]!]! <= 1 &&
          wayMassG[w]! <= ofKind[q]!.traits.loadG &&
          !careFaults[careOf[w]! * ofTrait.length + kindTrait[q]!]
            ? 1
            : 0;
      // A row of wishes is shared by all lots that none of them names.
      const known = patternNumbers.size;
      patternOf[w] = patternNumbers.of(`${row ? row.id : ''}|${String.fromCharCode(...kinds)}`);
      if (patternNumbers.size > known)
        patterns.push(Uint8Array.from(kindOf, (kind, p) => Number(Boolean(kinds[kind]) && !row?.places[p])));
      mine.push(patterns[patternOf[w]!]!);
    }
    if (!wishes.keepsForm(l)) continue;
    // What stays is not refolded either, where its form is allowed.
    const own = Array.from(mine, (_, i) => STOW_FORMS[wayForm[wayStart[l]! + i]!] === lots[l]!.form);
    if (!mine.some((pattern, i) => own[i] && pattern.includes(1))) continue;
    for (const [i, isOwn] of own.entries()) {
      if (isOwn) continue;
      const known = patternNumbers.size;
      patternOf[wayStart[l]! + i] = patternNumbers.of('nowhere');
      if (patternNumbers.size > known) patterns.push(new Uint8Array(count));
    }
  }
  const allowed = new Uint8Array(patterns.length * count);
  for (const [i, pattern] of patterns.entries()) allowed.set(pattern, i * count);
  return { patternOf, allowed, patternCount: patterns.length };
}

/** Lists the ways of all lots, and where each is allowed by shape, load, care and wishes. */
export function listWays(of: Kept, places: readonly PlaceFacts[], settings: Settings, wishes: Wishes): Ways {
  const sorted = sortPlaces(places);
  const { careFaults, ...measured } = measureWays(of, sorted, settings);
  return {
    ...measured,
    spaceOf: sorted.spaceOf,
    traitOf: sorted.traitOf,
    spaceCount: sorted.spaces.length,
    traitCount: sorted.ofTrait.length,
    ...listPatterns(of.lots, sorted, { ...measured, careFaults }, wishes),
  };
}
