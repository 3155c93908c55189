import type { Random } from '../../core/random/index.ts';
import type { Facts } from '../model/index.ts';
import type { State } from '../score/index.ts';

const NONE = -1;

/** Prices inside the search, far above any seconds a month that they could be traded for. */
const UNPLACED_PRICE = 3000;
const CAUTION_PRICE = 300;

/** How warm a round begins, as a share of what a lot costs on the average. */
const HEAT = 0.8;
const HOMING_HEAT = 0.1;
/** So often a lot is offered the place where it is today. */
const HOMING_SHARE = 0.15;

/** One number for the search; what is shown compares level by level. */
export function computePrice(state: State): number {
  return state.unplacedWeight * UNPLACED_PRICE + state.cautions * CAUTION_PRICE + state.seconds;
}

/**
 * Simulated annealing over an arrangement. Moves: a lot elsewhere (with its form), two lots exchanged,
 * a handful of kin together, two places exchanged whole, a homeless lot in and others out for it.
 * Temperatures depend on the step alone, so the same seed and steps give the same end.
 */
export class Annealer {
  steps = 0;
  readonly best: Int32Array;
  bestPrice: number;
  private readonly inside: number[][];
  private readonly slotInPlace: Int32Array;
  private readonly homeless: number[] = [];
  private readonly facts: Facts;
  private readonly undo: { lot: number; option: number }[] = [];
  private cycle = 0;
  private cycleEnd = 0;
  private cycleStart = 0;
  private hottest = 1;
  private temperature = 1;

  constructor(
    private readonly state: State,
    private readonly random: Random,
    /** Starts from how things are and finds back there: for plans with few moves. */
    private readonly isHoming = false,
  ) {
    this.facts = state.facts;
    this.best = state.option.slice();
    this.bestPrice = computePrice(state);
    this.inside = this.facts.places.map(() => []);
    this.slotInPlace = new Int32Array(this.facts.lots.length);
    this.rebuild();
    this.startCycle();
  }

  /** Length of the present round; a pause for packing belongs between rounds. */
  get isRoundOver(): boolean {
    return this.steps >= this.cycleEnd;
  }

  /** Begins the next, longer round from the best arrangement, which may have been mended meanwhile. */
  startRound(from: Int32Array | null): void {
    if (from) {
      this.state.load(from);
      this.best.set(from);
      this.bestPrice = computePrice(this.state);
    } else this.state.load(this.best);
    this.rebuild();
    this.startCycle();
  }

  private startCycle(): void {
    const n = this.facts.lots.length;
    this.cycleStart = this.steps;
    this.cycleEnd = this.steps + Math.max(4000, 120 * n) * 2 ** Math.min(5, this.cycle);
    this.cycle += 1;
    // Warm enough to exchange two things of usual cost, cooler in later rounds.
    const heat = this.isHoming ? HOMING_HEAT : HEAT;
    this.hottest = Math.max(0.05, (heat * this.state.seconds) / Math.max(1, n) / Math.sqrt(this.cycle));
  }

  private rebuild(): void {
    for (const list of this.inside) list.length = 0;
    this.homeless.length = 0;
    for (let l = 0; l < this.facts.lots.length; l += 1) this.enlist(l);
  }

  private enlist(lot: number): void {
    const p = this.state.getPlace(lot);
    const list = p === NONE ? this.homeless : this.inside[p]!;
    this.slotInPlace[lot] = list.length;
    list.push(lot);
  }

  private delist(lot: number): void {
    const p = this.state.getPlace(lot);
    const list = p === NONE ? this.homeless : this.inside[p]!;
    const at = this.slotInPlace[lot]!;
    const last = list.pop()!;
    if (last !== lot) {
      list[at] = last;
      this.slotInPlace[last] = at;
    }
  }

  private take(lot: number): void {
    this.undo.push({ lot, option: this.state.option[lot]! });
    this.delist(lot);
    this.state.remove(lot);
    this.enlist(lot);
  }

  private put(lot: number, option: number): void {
    this.undo.push({ lot, option: NONE });
    this.delist(lot);
    this.state.insert(lot, option);
    this.enlist(lot);
  }

  private rollback(): void {
    for (let i = this.undo.length - 1; i >= 0; i -= 1) {
      const { lot, option } = this.undo[i]!;
      this.delist(lot);
      if (option === NONE) this.state.remove(lot);
      else this.state.insert(lot, option);
      this.enlist(lot);
    }
  }

  private below(n: number): number {
    return Math.floor(this.random() * n);
  }

  /** A feasible option of a lot in a place, chosen at random among its forms; -1 when there is none. */
  private findOption(lot: number, place: number): number {
    const { optStart, optPlace } = this.facts;
    let low = optStart[lot]!;
    let high = optStart[lot + 1]!;
    const end = high;
    while (low < high) {
      const mid = (low + high) >> 1;
      if (optPlace[mid]! < place) low = mid + 1;
      else high = mid;
    }
    let count = 0;
    while (low + count < end && optPlace[low + count] === place) count += 1;
    return count === 0 ? NONE : low + (count === 1 ? 0 : this.below(count));
  }

  private drawLot(): number {
    return this.below(this.facts.lots.length);
  }

  /** Half of the time a place where kin of the lot are, else any that suits it. */
  private drawOption(lot: number): number {
    const { facts } = this;
    const [from, to] = [facts.optStart[lot]!, facts.optStart[lot + 1]!];
    if (from === to) return NONE;
    if (this.isHoming && this.random() < HOMING_SHARE) {
      const p = facts.present[lot]!;
      if (p !== NONE) return this.findOption(lot, p);
    }
    if (this.random() < 0.5) {
      // Lots are numbered group by group, so a number nearby is kin.
      const near = lot + this.below(21) - 10;
      if (near >= 0 && near < facts.lots.length && facts.groupOf[near] === facts.groupOf[lot]) {
        const p = this.state.getPlace(near);
        if (p !== NONE) return this.findOption(lot, p);
      }
    }
    return from + this.below(to - from);
  }

  private relocate(lot: number): boolean {
    const { state } = this;
    const option = this.drawOption(lot);
    if (option === NONE || option === state.option[lot]) return false;
    const set = this.facts.wishes.setOf[lot]!;
    if (set !== NONE) return this.relocateSet(this.facts.wishes.sets[set]!, this.facts.optPlace[option]!);
    if (state.option[lot] !== NONE) this.take(lot);
    if (!state.canInsert(option)) return false;
    this.put(lot, option);
    return true;
  }

  /** All of a set that is kept together goes to another place, or none. */
  private relocateSet(set: readonly number[], place: number): boolean {
    for (const lot of set) if (this.state.option[lot] !== NONE) this.take(lot);
    for (const lot of set) {
      const option = this.findOption(lot, place);
      if (option === NONE || !this.state.canInsert(option)) return false;
      this.put(lot, option);
    }
    return true;
  }

  private isBound(lot: number): boolean {
    return this.facts.wishes.setOf[lot] !== NONE;
  }

  private exchange(lot: number): boolean {
    const { state } = this;
    const here = state.getPlace(lot);
    const option = this.drawOption(lot);
    if (here === NONE || option === NONE) return false;
    const there = this.facts.optPlace[option]!;
    const list = this.inside[there]!;
    if (there === here || list.length === 0) return false;
    const other = list[this.below(list.length)]!;
    if (this.isBound(lot) || this.isBound(other)) return false;
    const back = this.findOption(other, here);
    if (back === NONE) return false;
    this.take(lot);
    this.take(other);
    if (!state.canInsert(option)) return false;
    this.put(lot, option);
    if (!state.canInsert(back)) return false;
    this.put(other, back);
    return true;
  }

  /** Up to a dozen kin of one place go to another together. */
  private moveKin(lot: number): boolean {
    const { state, facts } = this;
    const here = state.getPlace(lot);
    const option = this.drawOption(lot);
    if (here === NONE || option === NONE) return false;
    const there = facts.optPlace[option]!;
    if (there === here) return false;
    const group = facts.groupOf[lot]!;
    const kin = this.inside[here]!.filter((one) => facts.groupOf[one] === group && !this.isBound(one)).slice(0, 12);
    if (kin.length < 2) return false;
    let moved = 0;
    for (const one of kin) {
      const to = this.findOption(one, there);
      if (to === NONE) continue;
      this.take(one);
      if (state.canInsert(to)) {
        this.put(one, to);
        moved += 1;
      } else this.put(one, this.undo.at(-1)!.option);
    }
    return moved > 0;
  }

  /** Everything in one place changes with everything in another. */
  private exchangePlaces(): boolean {
    const { state, facts } = this;
    const a = this.below(facts.places.length);
    const b = this.below(facts.places.length);
    const [inA, inB] = [[...this.inside[a]!], [...this.inside[b]!]];
    if (a === b || inA.length + inB.length === 0 || inA.length + inB.length > 60) return false;
    const toB = inA.map((lot) => this.findOption(lot, b));
    const toA = inB.map((lot) => this.findOption(lot, a));
    if (toB.includes(NONE) || toA.includes(NONE)) return false;
    for (const lot of [...inA, ...inB]) this.take(lot);
    for (const [i, lot] of [...inA, ...inB].entries()) {
      const option = i < inA.length ? toB[i]! : toA[i - inA.length]!;
      if (!state.canInsert(option)) return false;
      this.put(lot, option);
    }
    return true;
  }

  /** A homeless lot goes in; lighter ones make room and look for another place at once. */
  private eject(): boolean {
    const { state, facts } = this;
    if (this.homeless.length === 0) return false;
    const lot = this.homeless[this.below(this.homeless.length)]!;
    const option = this.drawOption(lot);
    if (option === NONE) return false;
    const p = facts.optPlace[option]!;
    if (this.isBound(lot)) return this.relocateSet(facts.wishes.sets[facts.wishes.setOf[lot]!]!, p);
    const out: number[] = [];
    while (!state.canInsert(option)) {
      const list = this.inside[p]!;
      if (list.length === 0 || out.length >= 4) return false;
      const victim = list[this.below(list.length)]!;
      if (this.isBound(victim)) return false;
      this.take(victim);
      out.push(victim);
    }
    this.put(lot, option);
    for (const victim of out)
      for (let tries = 0; tries < 6; tries += 1) {
        const to = this.drawOption(victim);
        if (to === NONE || !state.canInsert(to)) continue;
        this.put(victim, to);
        break;
      }
    return true;
  }

  private propose(): boolean {
    const draw = this.random();
    if (this.homeless.length > 0 && draw < 0.1) return this.eject();
    if (draw < 0.55) return this.relocate(this.drawLot());
    if (draw < 0.9) return this.exchange(this.drawLot());
    if (draw < 0.985) return this.moveKin(this.drawLot());
    return this.exchangePlaces();
  }

  /** Takes up to `count` steps, not beyond the end of the round. */
  advance(count: number): void {
    const until = Math.min(this.cycleEnd, this.steps + count);
    if (this.facts.lots.length === 0 || this.facts.places.length === 0) {
      this.steps = until;
      return;
    }
    for (; this.steps < until; this.steps += 1) {
      if ((this.steps & 63) === 0) {
        const progress = (this.steps - this.cycleStart) / (this.cycleEnd - this.cycleStart);
        this.temperature = this.hottest * 0.003 ** progress;
      }
      const before = computePrice(this.state);
      this.undo.length = 0;
      const isDone = this.propose();
      const delta = isDone ? computePrice(this.state) - before : Infinity;
      if (!isDone || (delta > 0 && this.random() >= Math.exp(-delta / this.temperature))) {
        this.rollback();
        continue;
      }
      const price = before + delta;
      if (price < this.bestPrice - 1e-6) {
        this.bestPrice = price;
        this.best.set(this.state.option);
      }
    }
  }
}
