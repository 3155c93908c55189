import type { Score } from '../../core/records/index.ts';
import { getCompanySeconds } from '../../core/sense/index.ts';
import { getKinshipOf, isAllowed, listMembers, type Facts } from '../model/index.ts';
import { CAUTION_PRICE, Lookup, scoreNaming, UNPLACED_PRICE } from '../score/index.ts';
import { GroupDual, type GroupProblem } from './dual.ts';

/** One group, with which of the household's lots and places its own numbers mean. */
interface Part {
  readonly lots: readonly number[];
  readonly places: readonly number[];
  readonly problem: GroupProblem;
  readonly dual: GroupDual;
  /** By lot × place: seconds without any price, and the share it takes. */
  readonly base: Float64Array;
  readonly share: Float64Array;
  /** What each place after the first costs. */
  readonly split: number;
  /** By place: what names there say against it. */
  readonly naming: Float64Array;
  /** By place: the price of being in it at all, the one of the best bound so far, and whether it was wanted last. */
  readonly mix: Float64Array;
  readonly bestMix: Float64Array;
  readonly isIn: Uint8Array;
}

/**
 * How much less at most, in percent of a plan's seconds, any plan takes that leaves no more without a home and raises no
 * more cautions: what the bound leaves open. 100 where it says nothing.
 */
export function getMostPercent(bound: number, { unplacedWeight, cautions, seconds }: Score): number {
  const least = bound - UNPLACED_PRICE * unplacedWeight - CAUTION_PRICE * cautions;
  return Math.min(100, Math.max(0, 100 * (1 - least / seconds)));
}

/** How far prices go at a step, as a share of what is missing to the best known; after how many in vain it is less. */
const STEP = 1;
const PATIENCE = 20;
const SLOWER = 0.7;
/** So much of what a place costs to be in use is shared out among all groups at first. */
const START = 0.5;
/** How often the lots of a group are asked to pay more at a step. */
const SWEEPS = 3;

/**
 * A lower bound on the price of any arrangement (seconds, with what homeless lots and cautions count in the search),
 * by Lagrange: room in a place is given a price, and so is being in it, for each group its own; then every group is asked
 * by itself what it costs at least. Any prices give a bound; each step mends them where too much or too little wants in.
 * What is passed of other groups, lifted off, a wrong look in another unit or room, and loads that are too heavy are
 * left out of account, which only lowers it. It holds for arrangements that fill places no fuller than the search does.
 */
export class Bound {
  /** The best so far. */
  best = -Infinity;
  steps = 0;
  private readonly parts: readonly Part[];
  private readonly lookup: Lookup;
  private readonly roomPrice: Float64Array;
  /** By place: what it costs to be in use at all beside what a further group does, and what that is at least. */
  private readonly first: Float64Array;
  private readonly further: Float64Array;
  private readonly bestRoom: Float64Array;
  private readonly wanted: Float64Array;
  private readonly paid: Float64Array;
  private step = STEP;
  private worse = 0;

  constructor(
    private readonly facts: Facts,
    /** The price of the best arrangement that is known. */
    private readonly known: number,
  ) {
    const { places } = facts;
    this.roomPrice = new Float64Array(places.length);
    this.bestRoom = this.roomPrice.slice();
    this.wanted = new Float64Array(places.length);
    this.paid = new Float64Array(places.length);
    this.lookup = new Lookup(facts);
    this.parts = facts.groups.map((_, g) => this.createPart(g));
    this.further = this.computeFurther();
    this.first = this.further.map((further, p) => this.lookup.getOpening(p) - further);
    for (const { places: own, mix } of this.parts)
      for (const [j, p] of own.entries()) mix[j] = this.further[p]! + (this.first[p]! * START) / this.parts.length;
    for (const { mix, bestMix } of this.parts) bestMix.set(mix);
  }

  /**
   * What each group after the first in a place costs at least: what the two that get on best there pay for each other, for
   * of k groups there are no fewer pairs than k - 1. No more than the first costs.
   */
  private computeFurther(): Float64Array {
    const { facts } = this;
    const n = facts.groups.length;
    const least = facts.groups.map((_, g) => {
      let best = Infinity;
      for (let h = 0; h < n; h += 1)
        if (h !== g) best = Math.min(best, getCompanySeconds(getKinshipOf(facts, g, h), facts.settings.estimates));
      return best;
    });
    const further = new Float64Array(facts.places.length).fill(Infinity);
    for (const [g, { places }] of this.parts.entries())
      for (const p of places) further[p] = Math.min(further[p]!, least[g]!);
    return further.map((one, p) =>
      Math.min(this.lookup.getOpening(p), one < Infinity ? facts.places[p]!.mingling * one : 0),
    );
  }

  private createPart(g: number): Part {
    const { facts, lookup } = this;
    const { estimates } = facts.settings;
    const lots = listMembers(facts, g);
    const waysOf = (l: number) =>
      Array.from({ length: facts.wayStart[l + 1]! - facts.wayStart[l]! }, (_, i) => facts.wayStart[l]! + i);
    const places = facts.places.flatMap((_, p) =>
      lots.some((l) => waysOf(l).some((w) => isAllowed(facts, w, p))) ? [p] : [],
    );
    const [n, count] = [lots.length, places.length];
    const base = new Float64Array(n * count).fill(Infinity);
    const share = new Float64Array(n * count).fill(Infinity);
    for (const [i, l] of lots.entries())
      for (const [j, p] of places.entries())
        for (const w of waysOf(l)) {
          if (!isAllowed(facts, w, p)) continue;
          const seconds = lookup.computeBase(l, w, p) + CAUTION_PRICE * lookup.getCautions(w, p);
          // The best of both for all its ways, which no single one need be.
          base[i * count + j] = Math.min(base[i * count + j]!, seconds);
          share[i * count + j] = Math.min(share[i * count + j]!, lookup.shareAt(w, p));
        }
    const half = facts.groupUses[g]! / 2;
    const problem: GroupProblem = {
      uses: Float64Array.from(lots, (l) => facts.uses[l]!),
      homeless: Float64Array.from(
        lots,
        (l) => UNPLACED_PRICE * facts.weight[l]! + facts.uses[l]! * estimates.homelessSeconds,
      ),
      halfPass: Float64Array.from(places, (p) => {
        const { passSeconds, digSeconds } = facts.places[p]!;
        return (passSeconds + Math.min(0, digSeconds)) / 2;
      }),
      most: Int32Array.from(places, (_, j) => {
        const shares = lots.map((_l, i) => share[i * count + j]!).filter((one) => one < Infinity);
        let [most, fill] = [0, 0];
        for (const one of shares.toSorted((a, b) => a - b)) if ((fill += one) <= 1 + 1e-6) most += 1;
        return most;
      }),
      cost: base.slice(),
      share,
      opening: new Float64Array(count),
    };
    return {
      lots,
      places,
      problem,
      dual: new GroupDual(problem),
      base,
      share,
      // What can go nowhere has no first place that were free.
      naming: Float64Array.from(places, (p) => scoreNaming(facts, p, g)),
      mix: new Float64Array(count),
      bestMix: new Float64Array(count),
      isIn: new Uint8Array(count),
      split: count === 0 ? 0 : half * estimates.splitPlaceSeconds + estimates.furtherPlaceSeconds,
    };
  }

  /** Asks every group once at the prices of the moment, and mends the prices. Returns the bound so far. */
  advance(): number {
    const { facts, wanted, paid, roomPrice, further, first } = this;
    const { fillTarget } = facts.settings;
    wanted.fill(0);
    paid.fill(0);
    let value = 0;
    for (const part of this.parts) {
      const { problem, places, base, share, split, mix } = part;
      const count = places.length;
      for (let j = 0; j < count; j += 1) {
        const p = places[j]!;
        problem.opening[j] = split + mix[j]! + part.naming[j]!;
        paid[p]! += Math.max(0, mix[j]! - further[p]!);
        for (let i = 0; i < part.lots.length; i += 1) {
          const at = i * count + j;
          problem.cost[at] = base[at] === Infinity ? Infinity : base[at]! + roomPrice[p]! * share[at]!;
        }
      }
      value += part.dual.raise(SWEEPS) - split;
      this.choose(part);
    }
    const { crowdFactor } = this.lookup;
    const room = new Float64Array(facts.places.length);
    let norm = 0;
    for (let p = 0; p < facts.places.length; p += 1) {
      const price = roomPrice[p]!;
      // A place may be as full as it likes, paying for the crowd and paid for its room.
      const fill = crowdFactor > 0 ? Math.min(1, fillTarget + price / (2 * crowdFactor)) : 1;
      const used = price > 0 ? fill : Math.min(fillTarget, wanted[p]!);
      // It may be in use, with all groups in it that pay more for that than they cost; what they pay too much is paid back.
      value += this.lookup.crowd(used) - price * used - Math.max(0, paid[p]! - first[p]!);
      room[p] = wanted[p]! - used;
      norm += room[p]! ** 2;
    }
    for (const part of this.parts)
      for (let j = 0; j < part.places.length; j += 1) norm += this.getMixGradient(part, j) ** 2;
    this.steps += 1;
    if (value > this.best) {
      this.best = value;
      this.bestRoom.set(roomPrice);
      for (const { mix, bestMix } of this.parts) bestMix.set(mix);
      this.worse = 0;
    } else if ((this.worse += 1) >= PATIENCE) {
      this.worse = 0;
      this.step *= SLOWER;
      roomPrice.set(this.bestRoom);
      for (const { mix, bestMix } of this.parts) mix.set(bestMix);
      return this.best;
    }
    const length = norm > 0 ? (this.step * Math.max(0, this.known - value)) / norm : 0;
    for (let p = 0; p < facts.places.length; p += 1) roomPrice[p] = Math.max(0, roomPrice[p]! + length * room[p]!);
    for (const part of this.parts)
      for (let j = 0; j < part.places.length; j += 1)
        part.mix[j] = Math.max(0, part.mix[j]! + length * this.getMixGradient(part, j));
    return this.best;
  }

  /** Whether a group is in a place, less whether the place would have it. */
  private getMixGradient({ places, mix, isIn }: Part, j: number): number {
    const p = places[j]!;
    return isIn[j]! - Number(this.paid[p]! > this.first[p]! && mix[j]! > this.further[p]!);
  }

  /** Where the lots of a group would go at these prices, about: places are opened as long as that saves. */
  private choose(part: Part): void {
    const { problem, places, share } = part;
    const count = places.length;
    const n = part.lots.length;
    const now = Float64Array.from(problem.homeless);
    const at = new Int32Array(n).fill(-1);
    for (;;) {
      let best = -1;
      let most = 1e-9;
      for (let j = 0; j < count; j += 1) {
        let saved = -problem.opening[j]!;
        for (let i = 0; i < n; i += 1) saved += Math.max(0, now[i]! - problem.cost[i * count + j]!);
        if (saved <= most) continue;
        most = saved;
        best = j;
      }
      if (best === -1) break;
      for (let i = 0; i < n; i += 1) {
        const cost = problem.cost[i * count + best]!;
        if (cost >= now[i]!) continue;
        now[i] = cost;
        at[i] = best;
      }
    }
    part.isIn.fill(0);
    for (let i = 0; i < n; i += 1) {
      const j = at[i]!;
      if (j < 0) continue;
      this.wanted[places[j]!]! += share[i * count + j]!;
      part.isIn[j] = 1;
    }
  }
}
