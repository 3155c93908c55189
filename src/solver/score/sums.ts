import { computeDigging, type Facts } from '../model/index.ts';
import { Company } from './company.ts';
import { Spread } from './spread.ts';
import { Stands } from './stands.ts';
import { CAUTION_PRICE, EPS, getPrice, Lookup, NONE } from './lookup.ts';

/**
 * An arrangement with its price, changed lot by lot. Every change takes constant time: sums per place, per group in a
 * place, per slot, unit and room. `recount` is its slow twin.
 * Options are numbered as in `Facts`. Seconds are seconds a month.
 */
export class Sums extends Lookup {
  /** Option of each lot, -1 when it has no place; and its place, -1 likewise. */
  readonly option: Int32Array;
  readonly place: Int32Array;
  /** The way that each lot is kept, while it has a place. */
  readonly way: Int32Array;
  /** What each lot costs by itself where it is, what it takes there, and its price of cautions. */
  protected readonly baseNow: Float64Array;
  protected readonly shareNow: Float64Array;
  protected readonly cautionNow: Float64Array;
  readonly fill: Float64Array;
  /** By place: what is likely to come there, as a share of it. */
  protected readonly toCome: Float64Array;
  readonly massG: Float64Array;
  /** The share each place may be filled to; below 1 where packing failed before. */
  readonly cap: Float64Array;
  /** On open shelves, where piles and spines stand side by side: the share of the spines, and piles by their height. */
  protected readonly spines: Float64Array;
  protected readonly piled: Float64Array;
  unplacedWeight = 0;
  cautions = 0;
  seconds = 0;

  protected readonly groupCount: number;

  protected readonly hasApart: boolean;
  private readonly homelessSeconds: number;
  private readonly passGroupSeconds: number;
  protected readonly company: Company;
  protected readonly stands: Stands;
  protected readonly spread: Spread;
  protected readonly slotMassG: Float64Array;
  protected readonly unitMassG: Float64Array;
  private readonly groupsIn: Int32Array;
  private readonly usesIn: Float64Array;
  private readonly stacked: Int32Array;
  private readonly stackedUses: Float64Array;
  /** By place × group. */
  protected readonly count: Int32Array;
  private readonly usesOf: Float64Array;

  protected readonly slotOf: Int32Array;
  protected readonly unitOf: Int32Array;
  protected readonly loadG: Float64Array;
  /** By place: what its compartment carries beside what stands in it then. */
  protected readonly slotLoadG: Float64Array;
  protected readonly unitLoadG: Float64Array;
  /** Whether units carry less than all, or slots hold several places. */
  private readonly hasWiderLoads: boolean;
  /** By place: half of what passing takes in one layer, and how much more half of it takes where one digs; uses times kin passed. */
  private readonly halfPass: Float64Array;
  private readonly halfDig: Float64Array;
  private readonly passings: Float64Array;

  /** By place: what it costs that anything is in it at all. */
  private readonly opening: Float64Array;

  constructor(facts: Facts, opening?: Float64Array) {
    super(facts);
    const { lots, places, groups, settings } = facts;
    const { estimates } = settings;
    this.groupCount = groups.length;
    this.option = new Int32Array(lots.length).fill(NONE);
    this.place = new Int32Array(lots.length).fill(NONE);
    this.way = new Int32Array(lots.length);
    this.baseNow = new Float64Array(lots.length);
    this.shareNow = new Float64Array(lots.length);
    this.cautionNow = new Float64Array(lots.length);
    this.hasApart = facts.wishes.hasApart;
    this.homelessSeconds = estimates.homelessSeconds;
    this.passGroupSeconds = estimates.passGroupSeconds;
    this.company = new Company(facts);
    this.spread = new Spread(facts);
    this.fill = new Float64Array(places.length);
    this.toCome = new Float64Array(places.length);
    this.massG = new Float64Array(places.length);
    this.spines = new Float64Array(places.length);
    this.piled = new Float64Array(places.length);
    this.opening = Float64Array.from(places, (_, p) => this.getOpening(p) + (opening?.[p] ?? 0));
    this.stands = new Stands(facts, this.place);
    this.cap = new Float64Array(places.length).fill(1);
    this.slotMassG = new Float64Array(facts.slotCount);
    this.unitMassG = new Float64Array(facts.unitCount);
    this.groupsIn = new Int32Array(places.length);
    this.usesIn = new Float64Array(places.length);
    this.stacked = new Int32Array(places.length);
    this.stackedUses = new Float64Array(places.length);
    this.count = new Int32Array(places.length * groups.length);
    this.usesOf = new Float64Array(places.length * groups.length);
    this.slotOf = Int32Array.from(places, (one) => one.slot);
    this.unitOf = Int32Array.from(places, (one) => one.unit);
    this.loadG = Float64Array.from(places, (one) => one.traits.loadG);
    this.slotLoadG = Float64Array.from(places, (one) => one.slotLoadG);
    this.unitLoadG = facts.unitLoadG;
    this.hasWiderLoads = facts.slotCount < places.length || facts.unitLoadG.some((load) => load < Infinity);
    this.halfPass = Float64Array.from(places, (one) => one.passSeconds / 2);
    this.halfDig = Float64Array.from(places, (one) => one.digSeconds / 2);
    this.passings = new Float64Array(places.length);
    for (let l = 0; l < lots.length; l += 1) {
      this.unplacedWeight += facts.weight[l]!;
      this.seconds += facts.uses[l]! * estimates.homelessSeconds;
    }
  }

  get price(): number {
    return getPrice(this);
  }

  getPlace(lot: number): number {
    return this.place[lot]!;
  }

  /** Lots of a group in a place. */
  getCount(place: number, group: number): number {
    return this.count[place * this.groupCount + group]!;
  }

  /** Whether a place could be used now: nothing else stands there, and its container is to be had. */
  canStand(p: number): boolean {
    return this.stands.canOpen(p, NONE, NONE);
  }

  /** Whether an option of a lot that is nowhere now has room and carries. */
  canInsert(option: number): boolean {
    const p = option % this.placeCount;
    return this.canTake((option - p) / this.placeCount, p, NONE, NONE);
  }

  /** Whether a place takes a way, were one or two lots (NONE for none) that are placed now taken out. */
  canTake(way: number, p: number, out: number, self: number): boolean {
    let fill = this.fill[p]! + this.shareAt(way, p);
    const space = this.cap[p]! + EPS;
    if (out !== NONE && this.place[out] === p) fill -= this.shareNow[out]!;
    if (self !== NONE && this.place[self] === p) fill -= this.shareNow[self]!;
    if (fill > space || !this.stands.canOpen(p, out, self)) return false;
    if (this.pileWidth[p]! > 0 && (this.wayIsPiled[way] === 1 || this.piled[p]! > EPS)) {
      let spines = this.spines[p]! + this.spineOf(way, p);
      let piled = this.piled[p]! + this.pileOf(way, p);
      if (out !== NONE && this.place[out] === p) {
        spines -= this.spineOf(this.way[out]!, p);
        piled -= this.pileOf(this.way[out]!, p);
      }
      if (self !== NONE && this.place[self] === p) {
        spines -= this.spineOf(this.way[self]!, p);
        piled -= this.pileOf(this.way[self]!, p);
      }
      if (!this.standsBeside(p, spines, piled)) return false;
    }
    const more = this.wayMassG[way]!;
    if (this.massG[p]! + more > this.loadG[p]! || this.hasWiderLoads)
      if (!this.canCarry(more, p, out, self)) return false;
    return !this.hasApart || !this.hasRival(this.facts.wayLot[way]!, p, out);
  }

  /** Whether a place, its slot and its unit carry so many grams more, were one or two lots taken out. */
  private canCarry(more: number, p: number, out: number, self: number): boolean {
    const slot = this.slotOf[p]!;
    const unit = this.unitOf[p]!;
    let mass = this.massG[p]! + more;
    let slotMass = this.slotMassG[slot]! + more;
    let unitMass = this.unitMassG[unit]! + more;
    for (let i = 0; i < 2; i += 1) {
      const gone = i === 0 ? out : self;
      if (gone === NONE || this.place[gone] === NONE) continue;
      const q = this.place[gone]!;
      const less = this.wayMassG[this.way[gone]!]!;
      if (q === p) mass -= less;
      if (this.slotOf[q] === slot) slotMass -= less;
      if (this.unitOf[q] === unit) unitMass -= less;
    }
    return mass <= this.loadG[p]! && slotMass <= this.slotLoadG[p]! && unitMass <= this.unitLoadG[unit]!;
  }

  /** Whether something is in a place that a lot must never be with; `out` is as good as gone. */
  hasRival(lot: number, place: number, out = NONE): boolean {
    const { apartLots, apartGroups } = this.facts.wishes;
    if (apartLots[lot]!.some((other) => other !== out && this.place[other] === place)) return true;
    const gone = out !== NONE && this.place[out] === place ? this.groupOf[out]! : NONE;
    return apartGroups[this.groupOf[lot]!]!.some(
      (group) => this.count[place * this.groupCount + group]! - Number(group === gone) > 0,
    );
  }

  /**
   * What a place as a whole costs more when so many uses, groups, seconds of company, passings (uses times kin passed), stacked things,
   * their uses, shares and what is likely to come to them, come or go.
   */
  protected shiftPlace(
    p: number,
    uses: number,
    groups: number,
    company: number,
    passings: number,
    stacked: number,
    stackedUses: number,
    share: number,
    toCome: number,
  ): number {
    const before = this.groupsIn[p]! - 1;
    const after = before + groups;
    const others = before > 0 ? before : 0;
    const othersAfter = after > 0 ? after : 0;
    const u = this.usesIn[p]!;
    const fill = this.fill[p]!;
    let delta =
      this.halfPass[p]! * passings +
      (this.halfDig[p] === 0 ? 0 : this.shiftDigging(p, passings, fill, share)) +
      this.passGroupSeconds * ((u + uses) * othersAfter - u * others) +
      company;
    if (stacked !== 0 || stackedUses !== 0)
      delta +=
        this.lift(p, this.stacked[p]! + stacked, this.stackedUses[p]! + stackedUses) -
        this.lift(p, this.stacked[p]!, this.stackedUses[p]!);
    if (before < 0 && after >= 0) delta += this.opening[p]!;
    else if (before >= 0 && after < 0) delta -= this.opening[p]!;
    const full = fill + this.toCome[p]!;
    return delta + this.crowd(full + share + toCome) - this.crowd(full);
  }

  /** What digging for things costs more where one looks in from above. */
  private shiftDigging(p: number, passings: number, fill: number, share: number): number {
    const { space } = this.facts.places[p]!;
    const now = this.passings[p]!;
    return (
      this.halfDig[p]! * ((now + passings) * computeDigging(space, fill + share) - now * computeDigging(space, fill))
    );
  }

  /** Uses times kin passed that so many more of a group, with so many uses together, bring to a place; or take away. */
  protected shiftPassings(at: number, more: number, uses: number): number {
    const n = this.count[at]!;
    const sum = this.usesOf[at]!;
    const after = n + more;
    return (after > 1 ? (sum + uses) * (after - 1) : 0) - (n > 1 ? sum * (n - 1) : 0);
  }

  /** Seconds that inserting would add, less what a homeless lot costs. The lot must be nowhere. */
  computeInsert(lot: number, option: number): number {
    const p = option % this.placeCount;
    const way = (option - p) / this.placeCount;
    const g = this.groupOf[lot]!;
    const u = this.uses[lot]!;
    const at = p * this.groupCount + g;
    const isNew = this.count[at] === 0;
    const s = this.isStacked(way, p);
    return (
      this.computeBase(lot, way, p) -
      u * this.homelessSeconds +
      this.shiftPlace(
        p,
        u,
        isNew ? 1 : 0,
        this.company.shift(at, isNew ? 1 : 0),
        this.shiftPassings(at, 1, u),
        s,
        s * u,
        this.shareAt(way, p),
        this.growth[lot]! * this.shareAt(way, p),
      ) +
      (isNew ? this.spread.shift(g, NONE, p) : 0)
    );
  }

  /** Seconds that taking a lot out would add; mostly saved from others, and lost to homelessness. */
  computeRemove(lot: number): number {
    const p = this.place[lot]!;
    const way = this.way[lot]!;
    const g = this.groupOf[lot]!;
    const u = this.uses[lot]!;
    const at = p * this.groupCount + g;
    const isLast = this.count[at] === 1;
    const s = this.isStacked(way, p);
    return (
      u * this.homelessSeconds -
      this.baseNow[lot]! +
      this.shiftPlace(
        p,
        -u,
        isLast ? -1 : 0,
        this.company.shift(at, isLast ? -1 : 0),
        this.shiftPassings(at, -1, -u),
        -s,
        -s * u,
        -this.shareNow[lot]!,
        -this.growth[lot]! * this.shareNow[lot]!,
      ) +
      (isLast ? this.spread.shift(g, p, NONE) : 0)
    );
  }

  /** Puts a lot that is nowhere into an option; returns the seconds added. */
  insert(lot: number, option: number): number {
    const delta = this.computeInsert(lot, option);
    const p = option % this.placeCount;
    const way = (option - p) / this.placeCount;
    const g = this.groupOf[lot]!;
    const u = this.uses[lot]!;
    const at = p * this.groupCount + g;
    const unit = this.unitOf[p]!;
    if (this.count[at] === 0) {
      this.groupsIn[p]! += 1;
      this.company.meet(p, g, 1, false);
      this.spread.meet(p, g, 1);
    }
    this.passings[p]! += this.shiftPassings(at, 1, u);
    this.count[at]! += 1;
    this.usesOf[at]! += u;
    this.usesIn[p]! += u;
    if (this.isStacked(way, p)) {
      this.stacked[p]! += 1;
      this.stackedUses[p]! += u;
    }
    this.shareNow[lot] = this.shareAt(way, p);
    this.baseNow[lot] = this.computeBase(lot, way, p);
    this.cautionNow[lot] = CAUTION_PRICE * this.getCautions(way, p);
    this.fill[p]! += this.shareNow[lot]!;
    this.toCome[p]! += this.growth[lot]! * this.shareNow[lot]!;
    this.spines[p]! += this.spineOf(way, p);
    this.piled[p]! += this.pileOf(way, p);
    const mass = this.wayMassG[way]!;
    this.massG[p]! += mass;
    this.slotMassG[this.slotOf[p]!]! += mass;
    this.unitMassG[unit]! += mass;
    this.option[lot] = option;
    this.place[lot] = p;
    this.way[lot] = way;
    this.stands.meet(p, 1);
    this.seconds += delta;
    this.unplacedWeight -= this.facts.weight[lot]!;
    this.cautions += this.getCautions(way, p);
    return delta;
  }

  /** Takes a lot from its place; returns the seconds added. */
  remove(lot: number): number {
    const delta = this.computeRemove(lot);
    const p = this.place[lot]!;
    const way = this.way[lot]!;
    const g = this.groupOf[lot]!;
    const u = this.uses[lot]!;
    const at = p * this.groupCount + g;
    const unit = this.unitOf[p]!;
    this.passings[p]! += this.shiftPassings(at, -1, -u);
    this.count[at]! -= 1;
    this.usesOf[at]! -= u;
    this.usesIn[p]! -= u;
    if (this.count[at] === 0) {
      // Sums of floats leave crumbs; an empty one is exactly nothing.
      this.usesOf[at] = 0;
      this.groupsIn[p]! -= 1;
      if (this.groupsIn[p] === 0) {
        this.usesIn[p] = 0;
        this.passings[p] = 0;
      }
      this.company.meet(p, g, -1, this.groupsIn[p] === 0);
      this.spread.meet(p, g, -1);
    }
    if (this.isStacked(way, p)) {
      this.stacked[p]! -= 1;
      this.stackedUses[p] = this.stacked[p] === 0 ? 0 : this.stackedUses[p]! - u;
    }
    this.fill[p] = this.groupsIn[p] === 0 ? 0 : this.fill[p]! - this.shareNow[lot]!;
    this.toCome[p] = this.groupsIn[p] === 0 ? 0 : this.toCome[p]! - this.growth[lot]! * this.shareNow[lot]!;
    this.spines[p] = this.groupsIn[p] === 0 ? 0 : this.spines[p]! - this.spineOf(way, p);
    this.piled[p] = this.groupsIn[p] === 0 ? 0 : this.piled[p]! - this.pileOf(way, p);
    const mass = this.wayMassG[way]!;
    this.massG[p]! -= mass;
    this.slotMassG[this.slotOf[p]!]! -= mass;
    this.unitMassG[unit]! -= mass;
    this.option[lot] = NONE;
    this.place[lot] = NONE;
    this.stands.meet(p, -1);
    this.seconds += delta;
    this.unplacedWeight += this.facts.weight[lot]!;
    this.cautions -= this.getCautions(way, p);
    return delta;
  }

  /** Takes over another arrangement of the same facts. */
  load(options: Int32Array): void {
    for (let l = 0; l < options.length; l += 1) {
      if (this.option[l] === options[l]) continue;
      if (this.option[l] !== NONE) this.remove(l);
    }
    for (let l = 0; l < options.length; l += 1)
      if (options[l] !== NONE && this.option[l] === NONE) this.insert(l, options[l]!);
  }
}
