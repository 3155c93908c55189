import { CAUTION_PRICE, EPS, NONE, UNPLACED_PRICE } from './lookup.ts';
import { Sums } from './sums.ts';

/** Lots of one group in one place, with the way that each would be kept in another; and their sums, once asked for. */
export class Batch {
  n = 0;
  uses = 0;
  stackedFrom = 0;
  stackedTo = 0;
  usesFrom = 0;
  usesTo = 0;
  shareFrom = 0;
  shareTo = 0;
  massFrom = 0;
  massTo = 0;
  spinesFrom = 0;
  spinesTo = 0;
  piledFrom = 0;
  piledTo = 0;
  delta = 0;
  readonly lots: Int32Array;
  readonly ways: Int32Array;

  constructor(readonly most: number) {
    this.lots = new Int32Array(most);
    this.ways = new Int32Array(most);
  }

  add(lot: number, way: number): void {
    this.lots[this.n] = lot;
    this.ways[this.n] = way;
    this.n += 1;
  }
}

/**
 * An arrangement that tells what a move would add to its price before it is made, in constant time for a lot and in
 * time by their number for kin.
 */
export class State extends Sums {
  /** Moves that were feasible, and priced. */
  priced = 0;

  /** What a home of its own takes off the price for a lot; negative. */
  priceOfHousing(lot: number): number {
    return -UNPLACED_PRICE * this.facts.weight[lot]!;
  }

  /** Price that inserting would add; Infinity where there is no room. The lot must be nowhere. */
  priceInsert(lot: number, option: number): number {
    if (!this.canInsert(option)) return Infinity;
    this.priced += 1;
    const p = option % this.placeCount;
    const cautions = this.getCautions((option - p) / this.placeCount, p);
    return this.computeInsert(lot, option) + CAUTION_PRICE * cautions + this.priceOfHousing(lot);
  }

  /** Price that moving a lot to another place would add; Infinity where there is no room. */
  priceMove(lot: number, way: number, to: number): number {
    if (!this.canTake(way, to, lot, NONE)) return Infinity;
    this.priced += 1;
    const from = this.place[lot]!;
    const old = this.way[lot]!;
    const g = this.groupOf[lot]!;
    const u = this.uses[lot]!;
    const atFrom = from * this.groupCount + g;
    const atTo = to * this.groupCount + g;
    const isLast = this.count[atFrom] === 1;
    const isNew = this.count[atTo] === 0;
    const s = this.isStacked(old, from);
    const t = this.isStacked(way, to);
    return (
      this.computeBase(lot, way, to) -
      this.baseNow[lot]! +
      this.shiftPlace(
        from,
        -u,
        isLast ? -1 : 0,
        this.company.shift(atFrom, isLast ? -1 : 0),
        this.shiftPassings(atFrom, -1, -u),
        -s,
        -s * u,
        -this.shareNow[lot]!,
        -this.growth[lot]! * this.shareNow[lot]!,
      ) +
      this.shiftPlace(
        to,
        u,
        isNew ? 1 : 0,
        this.company.shift(atTo, isNew ? 1 : 0),
        this.shiftPassings(atTo, 1, u),
        t,
        t * u,
        this.shareAt(way, to),
        this.growth[lot]! * this.shareAt(way, to),
      ) +
      (isLast || isNew ? this.spread.shift(g, isLast ? from : NONE, isNew ? to : NONE) : 0) +
      CAUTION_PRICE * this.getCautions(way, to) -
      this.cautionNow[lot]!
    );
  }

  /** Gathers what a batch of kin costs and takes in another place, beside what it does where it is. */
  private sumUp(batch: Batch, to: number): void {
    const { lots, ways, n } = batch;
    const from = this.place[lots[0]!]!;
    let uses = 0;
    let stackedFrom = 0;
    let stackedTo = 0;
    let usesFrom = 0;
    let usesTo = 0;
    let shareFrom = 0;
    let shareTo = 0;
    let massFrom = 0;
    let massTo = 0;
    let delta = 0;
    let spinesFrom = 0;
    let spinesTo = 0;
    let piledFrom = 0;
    let piledTo = 0;
    for (let i = 0; i < n; i += 1) {
      const lot = lots[i]!;
      const way = ways[i]!;
      const old = this.way[lot]!;
      const u = this.uses[lot]!;
      uses += u;
      shareTo += this.shareAt(way, to);
      shareFrom += this.shareNow[lot]!;
      spinesFrom += this.spineOf(old, from);
      spinesTo += this.spineOf(way, to);
      piledFrom += this.pileOf(old, from);
      piledTo += this.pileOf(way, to);
      massFrom += this.wayMassG[old]!;
      massTo += this.wayMassG[way]!;
      if (this.isStacked(old, from) === 1) {
        stackedFrom += 1;
        usesFrom += u;
      }
      if (this.isStacked(way, to) === 1) {
        stackedTo += 1;
        usesTo += u;
      }
      delta += this.computeBase(lot, way, to) - this.baseNow[lot]!;
      delta += CAUTION_PRICE * this.getCautions(way, to) - this.cautionNow[lot]!;
    }
    batch.uses = uses;
    batch.stackedFrom = stackedFrom;
    batch.stackedTo = stackedTo;
    batch.usesFrom = usesFrom;
    batch.usesTo = usesTo;
    batch.shareFrom = shareFrom;
    batch.shareTo = shareTo;
    batch.massFrom = massFrom;
    batch.massTo = massTo;
    batch.delta = delta;
    batch.spinesFrom = spinesFrom;
    batch.spinesTo = spinesTo;
    batch.piledFrom = piledFrom;
    batch.piledTo = piledTo;
  }

  /**
   * Whether a place takes so much share and mass more or less; `net` is what a slot or unit would weigh more that
   * holds `from` too.
   */
  private canShift(p: number, share: number, mass: number, from: number, net: number): boolean {
    if (this.fill[p]! + share > this.cap[p]! + EPS || this.massG[p]! + mass > this.loadG[p]!) return false;
    const slot = this.slotOf[p]!;
    const unit = this.unitOf[p]!;
    return (
      this.slotMassG[slot]! + (this.slotOf[from] === slot ? net : mass) <= this.slotLoadG[p]! &&
      this.unitMassG[unit]! + (this.unitOf[from] === unit ? net : mass) <= this.unitLoadG[unit]!
    );
  }

  /** Whether a shelf takes so many spines and piles more or less. */
  private canPile(p: number, spines: number, piled: number): boolean {
    return this.pileWidth[p] === 0 || this.standsBeside(p, this.spines[p]! + spines, this.piled[p]! + piled);
  }

  private hasRivals({ lots, n }: Batch, place: number): boolean {
    for (let i = 0; i < n; i += 1) if (this.hasRival(lots[i]!, place)) return true;
    return false;
  }

  /** Price that moving a batch of kin from their one place to another would add; Infinity where they find no room. */
  priceKin(batch: Batch, to: number): number {
    this.sumUp(batch, to);
    const { lots, n } = batch;
    const from = this.place[lots[0]!]!;
    if (!this.canShift(to, batch.shareTo, batch.massTo, from, batch.massTo - batch.massFrom)) return Infinity;
    if (!this.canPile(to, batch.spinesTo, batch.piledTo) || !this.stands.canOpenFor(to, from, n)) return Infinity;
    if (this.hasApart && this.hasRivals(batch, to)) return Infinity;
    this.priced += 1;
    const g = this.groupOf[lots[0]!]!;
    const atFrom = from * this.groupCount + g;
    const atTo = to * this.groupCount + g;
    const isLast = this.count[atFrom] === n;
    const isNew = this.count[atTo] === 0;
    const passFrom = this.shiftPassings(atFrom, -n, -batch.uses);
    const passTo = this.shiftPassings(atTo, n, batch.uses);
    const left = this.company.shift(atFrom, isLast ? -1 : 0);
    const met = this.company.shift(atTo, isNew ? 1 : 0);
    const { uses, stackedFrom, stackedTo, usesFrom, usesTo, shareFrom, shareTo } = batch;
    const more = this.facts.growth[g]!;
    return (
      batch.delta +
      this.shiftPlace(
        from,
        -uses,
        isLast ? -1 : 0,
        left,
        passFrom,
        -stackedFrom,
        -usesFrom,
        -shareFrom,
        -more * shareFrom,
      ) +
      this.shiftPlace(to, uses, isNew ? 1 : 0, met, passTo, stackedTo, usesTo, shareTo, more * shareTo) +
      (isLast || isNew ? this.spread.shift(g, isLast ? from : NONE, isNew ? to : NONE) : 0)
    );
  }

  /**
   * Price that two batches would add by changing places: all lots of one group in a place, and all of another group in
   * another. Infinity where one finds no room, and where the wishes keep things apart.
   */
  priceExchangeKin(a: Batch, b: Batch): number {
    if (this.hasApart) return Infinity;
    const { groupCount } = this;
    const pa = this.place[a.lots[0]!]!;
    const pb = this.place[b.lots[0]!]!;
    this.sumUp(a, pb);
    this.sumUp(b, pa);
    const net = a.massTo + b.massTo - a.massFrom - b.massFrom;
    if (!this.canShift(pa, b.shareTo - a.shareFrom, b.massTo - a.massFrom, pb, net)) return Infinity;
    if (!this.canShift(pb, a.shareTo - b.shareFrom, a.massTo - b.massFrom, pa, net)) return Infinity;
    if (!this.canPile(pa, b.spinesTo - a.spinesFrom, b.piledTo - a.piledFrom)) return Infinity;
    if (!this.canPile(pb, a.spinesTo - b.spinesFrom, a.piledTo - b.piledFrom)) return Infinity;
    this.priced += 1;
    const ga = this.groupOf[a.lots[0]!]!;
    const gb = this.groupOf[b.lots[0]!]!;
    const aComes = this.count[pb * groupCount + ga] === 0;
    const bComes = this.count[pa * groupCount + gb] === 0;
    return (
      a.delta +
      b.delta +
      this.shiftBatches(pa, a, b, bComes) +
      this.shiftBatches(pb, b, a, aComes) +
      this.spread.shift(ga, pa, aComes ? pb : NONE) +
      this.spread.shift(gb, pb, bComes ? pa : NONE)
    );
  }

  /** What a place as a whole costs more when all of one group leave it and a batch of another comes. */
  private shiftBatches(p: number, leaving: Batch, coming: Batch, isNew: boolean): number {
    const passings =
      this.shiftPassings(this.atOf(p, leaving), -leaving.n, -leaving.uses) +
      this.shiftPassings(this.atOf(p, coming), coming.n, coming.uses);
    const company = this.company.shiftBoth(
      p,
      this.groupOf[leaving.lots[0]!]!,
      true,
      this.groupOf[coming.lots[0]!]!,
      isNew,
    );
    return this.shiftPlace(
      p,
      coming.uses - leaving.uses,
      isNew ? 0 : -1,
      company,
      passings,
      coming.stackedTo - leaving.stackedFrom,
      coming.usesTo - leaving.usesFrom,
      coming.shareTo - leaving.shareFrom,
      this.growth[coming.lots[0]!]! * coming.shareTo - this.growth[leaving.lots[0]!]! * leaving.shareFrom,
    );
  }

  private atOf(p: number, batch: Batch): number {
    return p * this.groupCount + this.groupOf[batch.lots[0]!]!;
  }

  /** Price that two lots in two places would add by changing places; Infinity where one finds no room. */
  priceExchange(a: number, aWay: number, b: number, bWay: number): number {
    const { groupCount } = this;
    const pa = this.place[a]!;
    const pb = this.place[b]!;
    if (!this.canTake(aWay, pb, b, a) || !this.canTake(bWay, pa, a, b)) return Infinity;
    this.priced += 1;
    const aOld = this.way[a]!;
    const bOld = this.way[b]!;
    const ga = this.groupOf[a]!;
    const gb = this.groupOf[b]!;
    const ua = this.uses[a]!;
    const ub = this.uses[b]!;
    let groupsA = 0;
    let groupsB = 0;
    let companyA = 0;
    let companyB = 0;
    let passA: number;
    let passB: number;
    let delta = 0;
    if (ga === gb) {
      passA = (ub - ua) * (this.count[pa * groupCount + ga]! - 1);
      passB = (ua - ub) * (this.count[pb * groupCount + ga]! - 1);
    } else {
      const aa = pa * groupCount + ga;
      const ab = pa * groupCount + gb;
      const ba = pb * groupCount + ga;
      const bb = pb * groupCount + gb;
      const aLeaves = this.count[aa] === 1;
      const aComes = this.count[ba] === 0;
      const bLeaves = this.count[bb] === 1;
      const bComes = this.count[ab] === 0;
      companyA = this.company.shiftBoth(pa, ga, aLeaves, gb, bComes);
      companyB = this.company.shiftBoth(pb, gb, bLeaves, ga, aComes);
      groupsA = (bComes ? 1 : 0) - (aLeaves ? 1 : 0);
      groupsB = (aComes ? 1 : 0) - (bLeaves ? 1 : 0);
      passA = this.shiftPassings(aa, -1, -ua) + this.shiftPassings(ab, 1, ub);
      passB = this.shiftPassings(bb, -1, -ub) + this.shiftPassings(ba, 1, ua);
      if (aLeaves || aComes) delta += this.spread.shift(ga, aLeaves ? pa : NONE, aComes ? pb : NONE);
      if (bLeaves || bComes) delta += this.spread.shift(gb, bLeaves ? pb : NONE, bComes ? pa : NONE);
    }
    const sa = this.isStacked(aOld, pa);
    const sb = this.isStacked(bOld, pb);
    const ta = this.isStacked(aWay, pb);
    const tb = this.isStacked(bWay, pa);
    const shareA = this.shareAt(bWay, pa) - this.shareNow[a]!;
    const shareB = this.shareAt(aWay, pb) - this.shareNow[b]!;
    const [moreA, moreB] = [this.growth[a]!, this.growth[b]!];
    const toComeA = moreB * this.shareAt(bWay, pa) - moreA * this.shareNow[a]!;
    const toComeB = moreA * this.shareAt(aWay, pb) - moreB * this.shareNow[b]!;
    return (
      delta +
      this.shiftPlace(pa, ub - ua, groupsA, companyA, passA, tb - sa, tb * ub - sa * ua, shareA, toComeA) +
      this.shiftPlace(pb, ua - ub, groupsB, companyB, passB, ta - sb, ta * ua - sb * ub, shareB, toComeB) +
      this.computeBase(a, aWay, pb) -
      this.baseNow[a]! +
      this.computeBase(b, bWay, pa) -
      this.baseNow[b]! +
      CAUTION_PRICE * (this.getCautions(aWay, pb) + this.getCautions(bWay, pa)) -
      this.cautionNow[a]! -
      this.cautionNow[b]!
    );
  }
}
