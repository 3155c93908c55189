import type { Random } from '../../core/random/index.ts';
import type { Facts } from '../model/index.ts';
import type { State } from '../score/index.ts';
import { Offers } from './offers.ts';

const NONE = -1;

/** So often a lot is offered the place where it is today, in a search for few moves. */
const HOMING_SHARE = 0.15;

/** Up to this draw a lot is offered the places that there are, beyond it also those that there could be. */
const TODAY_SHARE = 0.93;

/** Draws lots, and ways and places for them, from a seed. */
export class Drawer {
  protected readonly facts: Facts;
  protected readonly offers: Offers;
  protected readonly placeCount: number;
  protected readonly lotCount: number;
  protected readonly wayStart: Int32Array;
  protected readonly groupOf: Int32Array;
  private readonly allowed: Uint8Array;
  private readonly patternOf: Int32Array;
  private dice: number;
  /** What was drawn last. */
  protected drawnWay = NONE;
  protected drawnPlace = NONE;

  constructor(
    readonly state: State,
    random: Random,
    /** Offers lots the places where they are today more often. */
    private readonly isHoming: boolean,
  ) {
    // Never nothing, for that would stay nothing.
    this.dice = Math.floor(random() * 0x7fffffff) | 1;
    this.facts = state.facts;
    this.offers = new Offers(this.facts);
    this.placeCount = this.facts.places.length;
    this.lotCount = this.facts.lots.length;
    this.wayStart = this.facts.wayStart;
    this.allowed = this.facts.allowed;
    this.patternOf = this.facts.patternOf;
    this.groupOf = this.facts.groupOf;
  }

  /** A whole number in [0, 2^32) as a signed one: xorshift after Marsaglia (2003), for the inner loop. */
  private roll(): number {
    let x = this.dice;
    x ^= x << 13;
    x ^= x >>> 17;
    x ^= x << 5;
    this.dice = x;
    return x;
  }

  /** A number in [0, 1). */
  protected random(): number {
    return (this.roll() >>> 0) / 4294967296;
  }

  protected below(n: number): number {
    return Math.floor(((this.roll() >>> 0) / 4294967296) * n);
  }

  /** An allowed option of a lot in a place, chosen at random among its forms; -1 when there is none. */
  protected findOption(lot: number, place: number): number {
    const way = this.findWay(lot, place);
    return way === NONE ? NONE : way * this.placeCount + place;
  }

  protected findWay(lot: number, place: number): number {
    const from = this.wayStart[lot]!;
    const to = this.wayStart[lot + 1]!;
    let count = 0;
    let found = NONE;
    for (let w = from; w < to; w += 1)
      if (this.allowed[this.patternOf[w]! * this.placeCount + place] === 1) {
        count += 1;
        if (count === 1 || this.random() * count < 1) found = w;
      }
    return found;
  }

  protected drawLot(): number {
    return this.below(this.facts.lots.length);
  }

  /**
   * Draws a way and a place for a lot: half of the time a place where kin of the lot are, else any that suits it, the
   * near ones rather than the far. False where there is none.
   */
  protected draw(lot: number): boolean {
    const from = this.wayStart[lot]!;
    const count = this.wayStart[lot + 1]! - from;
    if (count === 0) return false;
    if (this.isHoming && this.random() < HOMING_SHARE) {
      const p = this.facts.present[lot]!;
      if (p !== NONE) return this.drawIn(lot, p);
    }
    const draw = this.random();
    if (draw < 0.5) {
      // Lots are numbered group by group, so a number nearby is kin.
      const near = lot + this.below(21) - 10;
      if (near >= 0 && near < this.lotCount && this.groupOf[near] === this.groupOf[lot]) {
        const p = this.state.place[near]!;
        if (p !== NONE) return this.drawIn(lot, p);
      }
    }
    const way = count === 1 ? from : from + this.below(count);
    // Most that could stand otherwise cannot now, for something else stands there.
    const list = draw < TODAY_SHARE ? this.offers.getStanding(way, true) : this.offers.get(way);
    if (list.length === 0) return false;
    const far = this.random();
    this.drawnWay = way;
    this.drawnPlace = list[Math.floor(list.length * (draw < 0.75 ? far * far : far))]!;
    return true;
  }

  private drawIn(lot: number, place: number): boolean {
    this.drawnWay = this.findWay(lot, place);
    this.drawnPlace = place;
    return this.drawnWay !== NONE;
  }
}
