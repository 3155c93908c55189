import type { Random } from '../../core/random/index.ts';
import { getShare } from '../model/index.ts';
import { Batch, type State } from '../score/index.ts';
import { findCheapest } from './cheapest.ts';
import { Handler } from './handler.ts';

const NONE = -1;

/** So many lots of a group move together at most. */
const MOST_KIN = 12;
const MOST_EXCHANGED = 64;
/** So many partners are tried for an exchange until one finds room. */
const PARTNERS = 3;
/** So many lots are taken out and put back at once, at most; and so often a good place is passed over then. */
const MOST_REBUILT = 40;
const BLINK = 0.05;

/** How often each kind of move is tried; the rest are lots that go elsewhere or change places. */
const KIN_SHARE = 0.04;
const EXCHANGE_KIN_SHARE = 0.1;
const REBUILD_SHARE = 0.004;
const PLACES_SHARE = 0.001;
/** Takes as long as a group is large; among few lots it is what finds the best. */
const TAKE_OVERS_A_LOT = 0.3;
const MOST_TAKE_OVERS = 0.006;
const STANDING_SHARE = 0.002;

/**
 * The moves of the search: a lot elsewhere (with its form), two lots exchanged, a handful of kin together, the kin of
 * two places exchanged, a few places and a group emptied and filled anew, a piece of furniture taken over by a group, two
 * places exchanged whole, other containers in a compartment, a homeless lot in and others out for it. Most are priced
 * before anything is changed. A move is made when it is welcome at the temperature, after Metropolis.
 */
export class MoveMaker extends Handler {
  private readonly kin = new Batch(MOST_EXCHANGED);
  private readonly others = new Batch(MOST_EXCHANGED);
  /** Places by compartment, by kind of container, and by piece of furniture. */
  private readonly placesIn: number[][];
  private readonly placesOfKind: number[][];
  private readonly placesOfUnit: number[][];
  private readonly canRestand: boolean;
  private readonly takeOverShare: number;

  constructor(state: State, random: Random, isHoming: boolean) {
    super(state, random, isHoming);
    this.takeOverShare = Math.min(MOST_TAKE_OVERS, TAKE_OVERS_A_LOT / Math.max(1, this.lotCount));
    this.canRestand = this.facts.standings.further.length > 0;
    this.placesIn = Array.from({ length: this.facts.slotCount }, () => []);
    this.placesOfKind = this.facts.standings.kinds.map(() => []);
    this.placesOfUnit = Array.from({ length: this.facts.unitCount }, () => []);
    for (const [p, { slot, kind, unit }] of this.facts.places.entries()) {
      this.placesIn[slot]!.push(p);
      this.placesOfUnit[unit]!.push(p);
      if (kind >= 0) this.placesOfKind[kind]!.push(p);
    }
  }

  /** A lot to another place, or in exchange for one that is there: where it is asked for, or where there is no room. */
  private shift(lot: number, isExchange: boolean): boolean {
    const { state } = this;
    if (!this.draw(lot)) return false;
    const way = this.drawnWay;
    const to = this.drawnPlace;
    const from = state.place[lot]!;
    if (from === to && state.way[lot] === way) return false;
    const option = way * this.placeCount + to;
    const set = this.setOf[lot]!;
    if (set !== NONE) return this.tryAll(() => this.relocateSet(this.facts.wishes.sets[set]!, to));
    if (from === to) return this.tryAll(() => this.refold(lot, option));
    if (!isExchange || from === NONE || this.inside[to]!.length === 0) {
      const delta = from === NONE ? state.priceInsert(lot, option) : state.priceMove(lot, way, to);
      if (delta < Infinity) {
        if (!this.isWelcome(delta)) return false;
        if (from !== NONE) this.leave(lot);
        this.enter(lot, option);
        return true;
      }
      if (from === NONE) return false;
    }
    return this.exchange(lot, way, to);
  }

  private exchange(lot: number, way: number, to: number): boolean {
    const { state } = this;
    const from = state.place[lot]!;
    const list = this.inside[to]!;
    for (let tries = 0; tries < PARTNERS && list.length > 0; tries += 1) {
      const other = list[this.below(list.length)]!;
      if (this.setOf[other] !== NONE) continue;
      const back = this.findWay(other, from);
      if (back === NONE) continue;
      const delta = state.priceExchange(lot, way, other, back);
      if (delta === Infinity) continue;
      if (!this.isWelcome(delta)) return false;
      this.leave(lot);
      this.leave(other);
      this.enter(lot, way * this.placeCount + to);
      this.enter(other, back * this.placeCount + from);
      return true;
    }
    return false;
  }

  private refold(lot: number, option: number): boolean {
    this.take(lot);
    if (!this.state.canInsert(option)) return false;
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

  /** Up to a dozen kin of one place go to another together, as many as there is room for. */
  private moveKin(lot: number): boolean {
    const { state, kin } = this;
    const here = state.place[lot]!;
    if (here === NONE || !this.draw(lot)) return false;
    const there = this.drawnPlace;
    if (there === here) return false;
    const group = this.groupOf[lot]!;
    const list = this.inside[here]!;
    const most = 2 + this.below(MOST_KIN - 1);
    kin.n = 0;
    let free = state.cap[there]! - state.fill[there]!;
    for (let i = 0; i < list.length && kin.n < most; i += 1) {
      const one = list[i]!;
      if (this.groupOf[one] !== group || this.setOf[one] !== NONE) continue;
      const way = this.findWay(one, there);
      if (way === NONE) continue;
      const share = state.shareAt(way, there);
      if (share > free) continue;
      free -= share;
      kin.add(one, way);
    }
    if (kin.n < 2) return false;
    const delta = state.priceKin(kin, there);
    if (!this.isWelcome(delta)) return false;
    this.leaveAll(kin);
    this.enterAll(kin, there);
    return true;
  }

  /** All kin of a lot in its place change places with all of another group elsewhere. */
  private exchangeKin(lot: number): boolean {
    const { state } = this;
    const here = state.place[lot]!;
    if (here === NONE || !this.draw(lot)) return false;
    const there = this.drawnPlace;
    const list = this.inside[there]!;
    if (there === here || list.length === 0) return false;
    const other = list[this.below(list.length)]!;
    if (this.groupOf[lot] === this.groupOf[other]) return false;
    if (!this.gather(this.kin, lot, here, there) || !this.gather(this.others, other, there, here)) return false;
    const delta = state.priceExchangeKin(this.kin, this.others);
    if (!this.isWelcome(delta)) return false;
    this.leaveAll(this.kin);
    this.leaveAll(this.others);
    this.enterAll(this.kin, there);
    this.enterAll(this.others, here);
    return true;
  }

  /** All kin of a lot in its place, with ways to keep them in another; false where one has none there. */
  private gather(batch: Batch, lot: number, here: number, there: number): boolean {
    const group = this.groupOf[lot]!;
    const list = this.inside[here]!;
    batch.n = 0;
    for (let i = 0; i < list.length; i += 1) {
      const one = list[i]!;
      if (this.groupOf[one] !== group) continue;
      const way = this.findWay(one, there);
      if (way === NONE || this.setOf[one] !== NONE || batch.n === batch.most) return false;
      batch.add(one, way);
    }
    return true;
  }

  /** Everything in one place changes with everything in another. */
  private exchangePlaces(): boolean {
    const { state } = this;
    const a = this.below(this.placeCount);
    const b = this.below(this.placeCount);
    const [inA, inB] = [[...this.inside[a]!], [...this.inside[b]!]];
    if (a === b || inA.length + inB.length === 0 || inA.length + inB.length > 60) return false;
    const toB = inA.map((lot) => this.findOption(lot, b));
    const toA = inB.map((lot) => this.findOption(lot, a));
    if (toB.includes(NONE) || toA.includes(NONE)) return false;
    const share = (sum: number, option: number) => sum + getShare(this.facts, option);
    if (toB.reduce(share, 0) > state.cap[b]! || toA.reduce(share, 0) > state.cap[a]!) return false;
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
    const lot = this.homeless[this.below(this.homeless.length)]!;
    if (!this.draw(lot)) return false;
    const p = this.drawnPlace;
    const option = this.drawnWay * this.placeCount + p;
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
        if (!this.draw(victim)) continue;
        const to = this.drawnWay * this.placeCount + this.drawnPlace;
        if (!state.canInsert(to)) continue;
        this.put(victim, to);
        break;
      }
    return true;
  }

  /** Takes a lot out that may be put back elsewhere, unless enough are out. */
  private takeOut(lot: number, out: number[]): void {
    if (this.isBound(lot) || this.state.place[lot] === NONE || out.length >= MOST_REBUILT) return;
    out.push(lot);
    this.take(lot);
  }

  /** Some of what has no home, to be put in with what was taken out. */
  private listWaiting(out: readonly number[]): number[] {
    return this.homeless.filter((one) => !this.isBound(one) && !out.includes(one)).slice(0, MOST_REBUILT);
  }

  /** Other containers stand in a compartment: what is in it goes out, kin of a lot go in, and the rest where it costs least. */
  private restand(lot: number): boolean {
    const { state, facts } = this;
    const count = this.wayStart[lot + 1]! - this.wayStart[lot]!;
    if (count === 0 || this.isBound(lot)) return false;
    const list = this.offers.getStanding(this.wayStart[lot]! + this.below(count), false);
    if (list.length === 0) return false;
    const p = list[this.below(list.length)]!;
    if (this.inside[p]!.length > 0) return false;
    const out: number[] = [];
    const takeOut = (one: number) => this.takeOut(one, out);
    const { slot, standing, kind } = facts.places[p]!;
    const from = state.place[lot]!;
    takeOut(lot);
    if (from !== NONE)
      for (const one of this.inside[from]!.slice()) if (this.groupOf[one] === this.groupOf[lot]) takeOut(one);
    for (const q of this.placesIn[slot]!)
      if (facts.places[q]!.standing !== standing) for (const one of this.inside[q]!.slice()) takeOut(one);
    // Where all of that kind are in use, one of them is emptied.
    if (kind >= 0 && !state.canStand(p)) {
      const used = this.placesOfKind[kind]!.filter((q) => this.inside[q]!.length > 0);
      if (used.length === 0) return false;
      for (const one of this.inside[used[this.below(used.length)]!]!.slice()) takeOut(one);
    }
    if (!state.canStand(p)) return false;
    const first = this.findOption(lot, p);
    if (first === NONE || !state.canInsert(first)) return false;
    this.put(lot, first);
    for (const one of [...out, ...this.listWaiting(out)]) {
      if (one === lot) continue;
      const option = findCheapest(state, this.offers, one);
      if (option !== NONE) this.put(one, option);
    }
    return true;
  }

  /**
   * A whole group takes over a piece of furniture, place after place until all of it is housed; what was there goes out
   * first, and then where it costs least. What lies in several places changes with what lies in several others so.
   */
  private takeOver(lot: number): boolean {
    const { state, facts } = this;
    if (!this.draw(lot)) return false;
    const g = this.groupOf[lot]!;
    const mine: number[] = [];
    for (let l = facts.groupStart[g]!; l < facts.groupStart[g + 1]!; l += 1) this.takeOut(l, mine);
    if (mine.length === 0) return false;
    const around = this.placesOfUnit[facts.places[this.drawnPlace]!.unit]!;
    const first = around.indexOf(this.drawnPlace);
    const out: number[] = [];
    let left = mine;
    for (let i = 0; i < around.length && left.length > 0; i += 1) {
      const p = around[(first + i) % around.length]!;
      for (const one of this.inside[p]!.slice()) this.takeOut(one, out);
      const rest: number[] = [];
      for (const one of left) {
        const option = this.findOption(one, p);
        if (option !== NONE && state.canInsert(option)) this.put(one, option);
        else rest.push(one);
      }
      left = rest;
    }
    this.putBack([...left, ...out]);
    return true;
  }

  /** Puts what was taken out, and what waits, where it costs least, group by group; `blinks` passes over a place now and then. */
  private putBack(out: readonly number[], blinks?: () => boolean): void {
    const all = [...out, ...this.listWaiting(out)];
    const turns = new Map<number, number>();
    for (const one of all) if (!turns.has(this.groupOf[one]!)) turns.set(this.groupOf[one]!, this.random());
    all.sort((a, b) => turns.get(this.groupOf[a]!)! - turns.get(this.groupOf[b]!)! || a - b);
    for (const one of all) {
      const option = findCheapest(this.state, this.offers, one, blinks);
      if (option !== NONE) this.put(one, option);
    }
  }

  /** Everything in two places, and now and then a group, is taken out and put back group by group, each lot where it costs least. */
  private rebuildSome(lot: number): boolean {
    const { facts } = this;
    const out: number[] = [];
    const takeOut = (one: number) => this.takeOut(one, out);
    if (this.random() < 0.5) {
      const g = this.groupOf[lot]!;
      for (let l = facts.groupStart[g]!; l < facts.groupStart[g + 1]!; l += 1) takeOut(l);
    }
    for (let i = 0; i < 2; i += 1)
      if (this.draw(lot)) for (const one of this.inside[this.drawnPlace]!.slice()) takeOut(one);
    if (out.length < 2) return false;
    this.putBack(out, () => this.random() < BLINK);
    return true;
  }

  /** Tries one move; true where something was changed. */
  step(): boolean {
    const lot = this.drawLot();
    let draw = this.random();
    if (this.homeless.length > 0 && this.random() < 0.1) return this.tryAll(() => this.eject());
    if ((draw -= KIN_SHARE) < 0) return this.moveKin(lot);
    if ((draw -= EXCHANGE_KIN_SHARE) < 0) return this.exchangeKin(lot);
    if ((draw -= REBUILD_SHARE) < 0) return this.tryAll(() => this.rebuildSome(lot));
    if ((draw -= this.takeOverShare) < 0) return this.tryAll(() => this.takeOver(lot));
    if ((draw -= PLACES_SHARE) < 0) return this.tryAll(() => this.exchangePlaces());
    if (this.canRestand && (draw -= STANDING_SHARE) < 0) return this.tryAll(() => this.restand(lot));
    return this.shift(lot, draw < 0.4);
  }
}
