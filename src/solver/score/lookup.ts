import type { Score } from '../../core/records/index.ts';
import { OPENED_SHARE } from '../../core/sense/index.ts';
import type { Facts } from '../model/index.ts';

export const NONE = -1;
/** Sums of shares may be over by so much. */
export const EPS = 1e-9;

/** Prices inside the search, far above any seconds a month that they could be traded for. */
export const UNPLACED_PRICE = 3000;
export const CAUTION_PRICE = 300;

/** One number for the search and the bound; what is shown compares level by level. */
export function getPrice({
  unplacedWeight,
  cautions,
  seconds,
}: Pick<Score, 'unplacedWeight' | 'cautions' | 'seconds'>): number {
  return unplacedWeight * UNPLACED_PRICE + cautions * CAUTION_PRICE + seconds;
}

/**
 * What does not change while one searches, side by side for the inner loop: what a way takes of a place and costs in it
 * by itself. Seconds are seconds a month.
 */
export class Lookup {
  protected readonly placeCount: number;
  protected readonly spaceCount: number;
  protected readonly groupOf: Int32Array;
  protected readonly uses: Float64Array;
  protected readonly shares: Float64Array;
  protected readonly spaceOf: Int32Array;
  protected readonly wayMassG: Float64Array;
  protected readonly wayIsPiled: Uint8Array;
  protected readonly wayForm: Uint8Array;
  protected readonly present: Int32Array;
  protected readonly presentForm: Int32Array;
  protected readonly fetches: Float64Array;
  protected readonly traitOf: Int32Array;
  protected readonly wears: Float64Array;
  protected readonly cautionsOf: Uint8Array;
  protected readonly findSeconds: number;
  private readonly carrying: Float64Array;
  protected readonly fillTarget: number;
  /** By lot: what of its share is likely to come to it while a plan holds. */
  protected readonly growth: Float64Array;
  protected readonly isLine: Uint8Array;
  protected readonly isHooked: Uint8Array;
  /** Seconds for each square of the share beyond the target. */
  readonly crowdFactor: number;
  protected readonly wayAlongMm: Float64Array;
  /** Seconds for all of a place. */
  protected readonly rent: Float64Array;
  /** Where each lot's row of fetches, and each way's row of wear and cautions, begins. */
  protected readonly fetchRow: Int32Array;
  protected readonly careRow: Int32Array;
  private readonly runMm: Float64Array;
  private readonly piles: Float64Array;
  private readonly halfLift: Float64Array;
  /** The share of an open shelf that one pile stands on; 0 in other places. */
  protected readonly pileWidth: Float64Array;

  constructor(readonly facts: Facts) {
    const { places, settings } = facts;
    const { estimates, fillTarget } = settings;
    this.placeCount = places.length;
    this.spaceCount = facts.spaceCount;
    this.groupOf = facts.groupOf;
    this.uses = facts.uses;
    this.shares = facts.shares;
    this.spaceOf = facts.spaceOf;
    this.wayMassG = facts.wayMassG;
    this.wayIsPiled = facts.wayIsPiled;
    this.wayForm = facts.wayForm;
    this.present = facts.present;
    this.presentForm = facts.presentForm;
    this.fetches = facts.fetches;
    this.fetchRow = facts.fetchRowOf.map((row) => row * places.length);
    this.careRow = facts.careOf.map((care) => care * facts.traitCount);
    this.traitOf = facts.traitOf;
    this.wears = facts.wears;
    this.cautionsOf = facts.cautions;
    this.findSeconds = estimates.findSeconds;
    this.carrying = facts.carrying;
    this.fillTarget = fillTarget;
    this.growth = Float64Array.from(facts.groupOf, (g) => facts.growth[g]!);
    this.runMm = Float64Array.from(places, ({ space }) => space.widthMm);
    this.pileWidth = Float64Array.from(places, ({ space }) =>
      space.mode === 'line' && space.rowsRun === 'x' ? Math.min(1, settings.panelWidthMm / space.widthMm) : 0,
    );
    this.halfLift = Float64Array.from(places, (one) => one.liftSeconds / 2);
    this.piles = Float64Array.from(places, (one) => one.piles);
    this.wayAlongMm = facts.wayAlongMm;
    this.rent = Float64Array.from(places, ({ worth }) => worth * estimates.rentSeconds);
    this.isLine = Uint8Array.from(places, ({ space }) => Number(space.mode === 'line'));
    this.isHooked = Uint8Array.from(places, ({ space }) => Number(space.mode === 'area' && Boolean(space.peg?.hooks)));
    this.crowdFactor = estimates.crowdSeconds / Math.max(0.01, 1 - fillTarget) ** 2;
  }

  /** The share of an empty place that a way takes. */
  shareAt(way: number, p: number): number {
    return this.shares[way * this.spaceCount + this.spaceOf[p]!]!;
  }

  /** What a way takes of an open shelf as a spine, and as a part of a pile as high as the shelf. */
  protected spineOf(way: number, p: number): number {
    return this.wayIsPiled[way] === 1 ? 0 : this.shareAt(way, p);
  }

  protected pileOf(way: number, p: number): number {
    return this.wayIsPiled[way] === 0
      ? 0
      : this.shareAt(way, p) * Math.floor(this.runMm[p]! / this.wayAlongMm[way]! + 1e-6);
  }

  /** Whether spines and piles of so much height have room beside each other. */
  protected standsBeside(p: number, spines: number, piled: number): boolean {
    return piled <= 1e-6 || spines + Math.ceil(piled - 1e-6) * this.pileWidth[p]! <= 1 + 1e-6;
  }

  /** What a lot costs in a place by itself: fetching, finding, carrying, wear, its rent, being unheld. */
  computeBase(lot: number, way: number, p: number): number {
    const base =
      this.uses[lot]! * (this.fetches[this.fetchRow[lot]! + p]! + this.findSeconds) +
      this.wears[this.careRow[way]! + this.traitOf[p]!]! +
      this.rent[p]! * this.shareAt(way, p);
    return this.present[lot] === p && this.presentForm[lot] === this.wayForm[way] ? base : base + this.carrying[lot]!;
  }

  /** What a place costs for being in use at all: of its rent, and that its container is carried there. */
  getOpening(p: number): number {
    return OPENED_SHARE * this.rent[p]! + this.facts.places[p]!.bringing;
  }

  /** How many cautions a way raises in a place. */
  getCautions(way: number, p: number): number {
    return this.cautionsOf[this.careRow[way]! + this.traitOf[p]!]!;
  }

  protected isStacked(way: number, p: number): number {
    return (this.wayIsPiled[way] === 1 && this.isLine[p] === 1) || this.isHooked[p] === 1 ? 1 : 0;
  }

  /** What lifting off, or taking down from a hook, costs in a place, with so many things and uses of them. */
  protected lift(p: number, stacked: number, uses: number): number {
    const high = stacked / this.piles[p]! - 1;
    return high > 0 ? uses * this.halfLift[p]! * high : 0;
  }

  /** What a place costs for being fuller than its target, or for becoming so by what is likely to come. */
  crowd(fill: number): number {
    const over = fill - this.fillTarget;
    if (over <= 0) return 0;
    if (fill <= 1) return this.crowdFactor * over * over;
    // What will not go in any more is a thing of its own each time: from there on it goes straight up.
    const most = 1 - this.fillTarget;
    return this.crowdFactor * most * (most + 2 * (fill - 1));
  }
}
