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
/** A group too many in a place counts so many times less than a place too much that is wanted. */
const MIX_SCALE = 20;
/** How often the lots of a group are asked to pay more at a step. */
const SWEEPS = 3;

/**
 * A lower bound on the price of any arrangement (seconds, with what homeless lots and cautions count in the search),
 * by Lagrange: room in a place is given a price, and so is being the second group in it; then every group is asked by
 * itself what it costs at least. Any prices give a bound; each step mends them where too much or too little wants in.
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
  private readonly mixPrice: Float64Array;
  private readonly mostMix: Float64Array;
  private readonly bestRoom: Float64Array;
  private readonly bestMix: Float64Array;
  private readonly wanted: Float64Array;
  private readonly groupsIn: Float64Array;
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
    this.groupsIn = new Float64Array(places.length);
    this.lookup = new Lookup(facts);
    this.parts = facts.groups.map((_, g) => this.createPart(g));
    this.mostMix = this.computeMostMix();
    this.mixPrice = this.mostMix.map((price) => price / 2);
    this.bestMix = this.mixPrice.slice();
  }

  /**
   * The most that each group in a place may be charged, so that no groups but the first are charged more than they cost:
   * the first costs that the place is in use, each further one at least what the two that get on best there pay for each
   * other, for of k groups there are no fewer pairs than k - 1. A place that few groups go into may charge more than that.
   */
  private computeMostMix(): Float64Array {
    const { facts } = this;
    const n = facts.groups.length;
    const least = facts.groups.map((_, g) => {
      let best = Infinity;
      for (let h = 0; h < n; h += 1)
        if (h !== g) best = Math.min(best, getCompanySeconds(getKinshipOf(facts, g, h), facts.settings.estimates));
      return best;
    });
    const most = new Float64Array(facts.places.length).fill(Infinity);
    for (const [g, { places }] of this.parts.entries()) for (const p of places) most[p] = Math.min(most[p]!, least[g]!);
    const shares = facts.places.map((): number[] => []);
    for (const { places, lots, share } of this.parts)
      for (const [j, p] of places.entries())
        shares[p]!.push(Math.min(...lots.map((_, i) => share[i * places.length + j]!)));
    return most.map((one, p) => {
      const further = one < Infinity ? facts.places[p]!.mingling * one : 0;
      let [count, fill] = [0, 0];
      for (const share of shares[p]!.toSorted((a, b) => a - b)) if ((fill += share) <= 1 + 1e-6) count += 1;
      return further + Math.max(0, this.lookup.getOpening(p) - further) / Math.max(1, count);
    });
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
      split: count === 0 ? 0 : half * estimates.splitPlaceSeconds + estimates.furtherPlaceSeconds,
    };
  }

  /** Asks every group once at the prices of the moment, and mends the prices. Returns the bound so far. */
  advance(): number {
    const { facts, wanted, groupsIn, roomPrice, mixPrice } = this;
    const { fillTarget } = facts.settings;
    wanted.fill(0);
    groupsIn.fill(0);
    let value = 0;
    for (const part of this.parts) {
      const { problem, places, base, share, split } = part;
      const count = places.length;
      for (let j = 0; j < count; j += 1) {
        const p = places[j]!;
        problem.opening[j] = split + mixPrice[p]! + part.naming[j]!;
        for (let i = 0; i < part.lots.length; i += 1) {
          const at = i * count + j;
          problem.cost[at] = base[at] === Infinity ? Infinity : base[at]! + roomPrice[p]! * share[at]!;
        }
      }
      value += part.dual.raise(SWEEPS) - split;
      this.choose(part);
    }
    const { crowdFactor } = this.lookup;
    const gradient: { room: number; mix: number }[] = [];
    let norm = 0;
    for (let p = 0; p < facts.places.length; p += 1) {
      const price = roomPrice[p]!;
      // A place may be as full as it likes, paying for the crowd and paid for its room.
      const fill = crowdFactor > 0 ? Math.min(1, fillTarget + price / (2 * crowdFactor)) : 1;
      const used = price > 0 ? fill : Math.min(fillTarget, wanted[p]!);
      // The first group of a place costs that it is in use: only a higher price is paid back.
      const back = mixPrice[p]! - this.lookup.getOpening(p);
      value += this.lookup.crowd(used) - price * used - Math.max(0, back);
      const one = { room: wanted[p]! - used, mix: groupsIn[p]! - Number(back > 0) };
      gradient.push(one);
      norm += one.room ** 2 + (one.mix / MIX_SCALE) ** 2;
    }
    this.steps += 1;
    if (value > this.best) {
      this.best = value;
      this.bestRoom.set(roomPrice);
      this.bestMix.set(mixPrice);
      this.worse = 0;
    } else if ((this.worse += 1) >= PATIENCE) {
      this.worse = 0;
      this.step *= SLOWER;
      roomPrice.set(this.bestRoom);
      mixPrice.set(this.bestMix);
      return this.best;
    }
    const length = norm > 0 ? (this.step * Math.max(0, this.known - value)) / norm : 0;
    for (let p = 0; p < facts.places.length; p += 1) {
      roomPrice[p] = Math.max(0, roomPrice[p]! + length * gradient[p]!.room);
      mixPrice[p] = Math.min(
        this.mostMix[p]!,
        Math.max(0, mixPrice[p]! + (length * gradient[p]!.mix) / MIX_SCALE ** 2),
      );
    }
    return this.best;
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
    const seen = new Set<number>();
    for (let i = 0; i < n; i += 1) {
      const j = at[i]!;
      if (j < 0) continue;
      this.wanted[places[j]!]! += share[i * count + j]!;
      if (seen.has(j)) continue;
      seen.add(j);
      this.groupsIn[places[j]!]! += 1;
    }
  }
}
