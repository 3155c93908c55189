import type { Facts } from '../model/index.ts';

const NONE = -1;

/**
 * An arrangement with its score, changed lot by lot. Every change costs constant time: sums per place,
 * per group in a place, per slot, unit and room. `recount` is its slow twin.
 */
export class State {
  /** Option of each lot, -1 when it has no place. */
  readonly option: Int32Array;
  readonly fill: Float64Array;
  readonly massG: Float64Array;
  /** The share each place may be filled to; below 1 where packing failed before. */
  readonly cap: Float64Array;
  unplacedWeight = 0;
  cautions = 0;
  seconds = 0;

  private readonly slotMassG: Float64Array;
  private readonly unitMassG: Float64Array;
  private readonly groupsIn: Int32Array;
  private readonly usesIn: Float64Array;
  private readonly stacked: Int32Array;
  private readonly stackedUses: Float64Array;
  /** By place × group. */
  private readonly count: Int32Array;
  private readonly usesOf: Float64Array;
  /** By group × unit and group × room: in how many of its places the group is. */
  private readonly inUnit: Int32Array;
  private readonly inRoom: Int32Array;
  private readonly placesOf: Int32Array;
  private readonly groupCount: number;

  constructor(readonly facts: Facts) {
    const { lots, places, groups } = facts;
    this.groupCount = groups.length;
    this.placesOf = new Int32Array(groups.length);
    this.option = new Int32Array(lots.length).fill(NONE);
    this.fill = new Float64Array(places.length);
    this.massG = new Float64Array(places.length);
    this.cap = new Float64Array(places.length).fill(1);
    this.slotMassG = new Float64Array(facts.slotCount);
    this.unitMassG = new Float64Array(facts.unitCount);
    this.groupsIn = new Int32Array(places.length);
    this.usesIn = new Float64Array(places.length);
    this.stacked = new Int32Array(places.length);
    this.stackedUses = new Float64Array(places.length);
    this.count = new Int32Array(places.length * groups.length);
    this.usesOf = new Float64Array(places.length * groups.length);
    this.inUnit = new Int32Array(facts.unitCount * groups.length);
    this.inRoom = new Int32Array(facts.roomCount * groups.length);
    for (let l = 0; l < lots.length; l += 1) {
      this.unplacedWeight += facts.weight[l]!;
      this.seconds += facts.uses[l]! * facts.settings.estimates.homelessSeconds;
    }
  }

  getPlace(lot: number): number {
    const option = this.option[lot]!;
    return option === NONE ? NONE : this.facts.optPlace[option]!;
  }

  /** Lots of a group in a place. */
  getCount(place: number, group: number): number {
    return this.count[place * this.groupCount + group]!;
  }

  /** Whether an option of a lot that is nowhere now has room and carries. */
  canInsert(option: number): boolean {
    const { facts } = this;
    const p = facts.optPlace[option]!;
    if (this.fill[p]! + facts.optShare[option]! > this.cap[p]! + 1e-9) return false;
    if (facts.wishes.hasApart && this.hasRival(facts.optLot[option]!, p)) return false;
    const mass = facts.optMassG[option]!;
    const at = facts.places[p]!;
    return (
      this.massG[p]! + mass <= at.traits.loadG &&
      this.slotMassG[at.slot]! + mass <= facts.slotLoadG[at.slot]! &&
      this.unitMassG[at.unit]! + mass <= facts.unitLoadG[at.unit]!
    );
  }

  /** Whether something is in a place that a lot must never be with. */
  hasRival(lot: number, place: number): boolean {
    const { apartLots, apartGroups } = this.facts.wishes;
    return (
      apartLots[lot]!.some((other) => this.getPlace(other) === place) ||
      apartGroups[this.facts.groupOf[lot]!]!.some((group) => this.count[place * this.groupCount + group]! > 0)
    );
  }

  private crowd(fill: number): number {
    const { fillTarget, estimates } = this.facts.settings;
    const over = Math.max(0, fill - fillTarget) / Math.max(0.01, 1 - fillTarget);
    return estimates.crowdSeconds * over * over;
  }

  private lift(place: number, stacked: number, uses: number): number {
    return (
      (uses * this.facts.places[place]!.liftSeconds * Math.max(0, stacked / this.facts.places[place]!.piles - 1)) / 2
    );
  }

  /** Seconds that inserting would add, less what a homeless lot costs. The lot must be nowhere. */
  computeInsert(lot: number, option: number): number {
    const { facts } = this;
    const { estimates } = facts.settings;
    const p = facts.optPlace[option]!;
    const place = facts.places[p]!;
    const g = facts.groupOf[lot]!;
    const u = facts.uses[lot]!;
    const at = p * this.groupCount + g;
    const n = this.count[at]!;
    let delta = facts.optBase[option]! - u * estimates.homelessSeconds + u * estimates.findSeconds;
    // Σ u·(n-1)/2 before and after.
    delta += (place.passSeconds * ((this.usesOf[at]! + u) * n - this.usesOf[at]! * Math.max(0, n - 1))) / 2;
    const others = this.groupsIn[p]!;
    delta +=
      n === 0
        ? estimates.passGroupSeconds * ((this.usesIn[p]! + u) * others - this.usesIn[p]! * Math.max(0, others - 1))
        : estimates.passGroupSeconds * u * (others - 1);
    if (facts.optIsStack[option]) {
      delta +=
        this.lift(p, this.stacked[p]! + 1, this.stackedUses[p]! + u) -
        this.lift(p, this.stacked[p]!, this.stackedUses[p]!);
    }
    const fill = this.fill[p]!;
    delta += this.crowd(fill + facts.optShare[option]!) - this.crowd(fill);
    if (n === 0) delta += this.split(g, place.unit, place.room) + (others > 0 ? estimates.mixSeconds : 0);
    return delta;
  }

  /** What one more compartment costs a group, by whether it is in that unit and room already. */
  private split(group: number, unit: number, room: number): number {
    const { estimates } = this.facts.settings;
    if (this.placesOf[group] === 0) return 0;
    let seconds = estimates.splitPlaceSeconds;
    if (this.inUnit[unit * this.groupCount + group] === 0) seconds += estimates.splitUnitSeconds;
    if (this.inRoom[room * this.groupCount + group] === 0) seconds += estimates.splitRoomSeconds;
    return (this.facts.groupUses[group]! * seconds) / 2;
  }

  /** Puts a lot that is nowhere into an option; returns the seconds added. */
  insert(lot: number, option: number): number {
    const { facts } = this;
    const delta = this.computeInsert(lot, option);
    const p = facts.optPlace[option]!;
    const place = facts.places[p]!;
    const g = facts.groupOf[lot]!;
    const u = facts.uses[lot]!;
    const at = p * this.groupCount + g;
    if (this.count[at] === 0) {
      this.groupsIn[p]! += 1;
      this.placesOf[g]! += 1;
      this.inUnit[place.unit * this.groupCount + g]! += 1;
      this.inRoom[place.room * this.groupCount + g]! += 1;
    }
    this.count[at]! += 1;
    this.usesOf[at]! += u;
    this.usesIn[p]! += u;
    if (facts.optIsStack[option]) {
      this.stacked[p]! += 1;
      this.stackedUses[p]! += u;
    }
    this.fill[p]! += facts.optShare[option]!;
    const mass = facts.optMassG[option]!;
    this.massG[p]! += mass;
    this.slotMassG[place.slot]! += mass;
    this.unitMassG[place.unit]! += mass;
    this.option[lot] = option;
    this.seconds += delta;
    this.unplacedWeight -= facts.weight[lot]!;
    this.cautions += facts.optCautions[option]!;
    return delta;
  }

  /** Takes a lot from its place; returns the seconds added (mostly: saved from others, lost to homelessness). */
  remove(lot: number): number {
    const { facts } = this;
    const option = this.option[lot]!;
    const p = facts.optPlace[option]!;
    const place = facts.places[p]!;
    const g = facts.groupOf[lot]!;
    const u = facts.uses[lot]!;
    const at = p * this.groupCount + g;
    this.count[at]! -= 1;
    this.usesOf[at]! -= u;
    this.usesIn[p]! -= u;
    if (this.count[at] === 0) {
      // Sums of floats leave crumbs; an empty one is exactly nothing.
      this.usesOf[at] = 0;
      this.groupsIn[p]! -= 1;
      if (this.groupsIn[p] === 0) this.usesIn[p] = 0;
      this.placesOf[g]! -= 1;
      this.inUnit[place.unit * this.groupCount + g]! -= 1;
      this.inRoom[place.room * this.groupCount + g]! -= 1;
    }
    if (facts.optIsStack[option]) {
      this.stacked[p]! -= 1;
      this.stackedUses[p] = this.stacked[p] === 0 ? 0 : this.stackedUses[p]! - u;
    }
    this.fill[p] = this.groupsIn[p] === 0 ? 0 : this.fill[p]! - facts.optShare[option]!;
    const mass = facts.optMassG[option]!;
    this.massG[p]! -= mass;
    this.slotMassG[place.slot]! -= mass;
    this.unitMassG[place.unit]! -= mass;
    this.option[lot] = NONE;
    const delta = -this.computeInsert(lot, option);
    this.seconds += delta;
    this.unplacedWeight += facts.weight[lot]!;
    this.cautions -= facts.optCautions[option]!;
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
