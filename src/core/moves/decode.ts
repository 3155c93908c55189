import { ASIDE, getLiftG, splitLoads, TABLE, type MoveFacts } from './facts.ts';
import type { Load, PackedTest } from './loads.ts';
import { Standing } from './standing.ts';

const EPS = 1e-9;

/** What ways on are worth where no load goes whole, in trips; set on the seeded households of the bench. */
const FREES = 2;
const JOINS_PILE = 0.6;
const PART_TO_TABLE = 2.2;
/** More than any load is large. */
const BULK_MM3 = 1e10;

/** One trip: what is carried at once, from where to where. */
export interface Trip {
  readonly movers: readonly number[];
  readonly from: number;
  readonly to: number;
  /** Containers that are carried instead, with all that is in them; several where they change places. */
  readonly bins?: readonly number[];
}

/** A container is a trip, also where several change places. */
export const countTrips = (trips: readonly Trip[]) => trips.reduce((sum, { bins }) => sum + (bins?.length ?? 1), 0);

export interface Decoded {
  readonly trips: readonly Trip[];
  /** The most that lay on the table at once, mm³. */
  readonly peakMm3: number;
  /** What was carried out of the way before all else, for no order was found without. */
  readonly aside: readonly number[];
  /** What did not come home: there is no room for it there, even with all else where it belongs. */
  readonly stuck: readonly number[];
  /** Containers that were not carried, for what is in their way did not go. */
  readonly stuckBins: readonly number[];
}

/**
 * Carries all loads in an order that never overfills a place, a slot, a unit or the table. A load goes straight where it
 * has room, those of higher `priority` first. Where none has, the cheapest way on is taken: part of a load, or a load
 * onto the table; and where even that does not help, something is carried out of the way before all else.
 *
 * @param priority by load; what is taken first where several could go.
 * @param isPacked asks whether a place really takes what would then lie in it; sums decide alone without it.
 */
export function decode(
  facts: MoveFacts,
  loads: readonly Load[],
  priority: Float64Array,
  tableMm3: number,
  isPacked: PackedTest | null = null,
): Decoded {
  return new Decoder(facts, loads, priority, tableMm3, isPacked).run();
}

class Decoder {
  private readonly fill: Float64Array;
  private readonly mass: Float64Array;
  private readonly slotMass: Float64Array;
  private readonly unitMass: Float64Array;
  /** By load: what of it is still to be carried, from where it was or from out of the way; null where nothing is. */
  private readonly left: (number[] | null)[];
  /** Of its place that each load takes more, all of it. */
  private readonly shareLeft: Float64Array;
  /** By place: the movers that are in it now. */
  private readonly inside: number[][];
  /** Piles on the table, by where they go; null where there is none. */
  private readonly piles: (number[] | null)[];
  /** By place: the loads that go there. */
  private readonly comingTo: number[][];
  private tableLeft: number;
  /** Where a mover is now, once it was carried. */
  private readonly at = new Map<number, number>();
  private readonly trips: Trip[] = [];
  private readonly aside: number[] = [];
  private peakMm3 = 0;
  private readonly standing: Standing;
  /** Loads by their priority, the highest first. */
  private readonly order: Int32Array;
  /** Loads of which something is left. */
  private open: number;

  constructor(
    private readonly facts: MoveFacts,
    private readonly loads: readonly Load[],
    private readonly priority: Float64Array,
    private readonly tableMm3: number,
    private readonly isPacked: PackedTest | null,
  ) {
    const { places, movers } = facts;
    this.fill = Float64Array.from(facts.fill);
    this.mass = Float64Array.from(facts.massG);
    this.slotMass = Float64Array.from(facts.slotTareG);
    this.unitMass = new Float64Array(facts.unitLoadG.length);
    this.standing = new Standing(facts);
    for (const [p, { slot, unit }] of places.entries()) {
      if (slot < 0) continue;
      this.slotMass[slot]! += this.mass[p]!;
      this.unitMass[unit]! += this.mass[p]!;
    }
    this.inside = places.map(() => []);
    this.piles = places.map(() => null);
    this.comingTo = places.map(() => []);
    this.left = [];
    this.shareLeft = Float64Array.from(loads, ({ list }) => this.sumShares(list));
    this.tableLeft = tableMm3;
    this.open = 0;
    for (const [k, { from, to, list }] of loads.entries()) {
      for (const m of list) if (from >= 0) this.inside[from]!.push(m);
      this.comingTo[to]!.push(k);
      if (from === TABLE) {
        // It lies there already, whatever the table is said to hold.
        this.piles[to] = [...(this.piles[to] ?? []), ...list];
        for (const m of list) this.tableLeft -= movers[m]!.volumeMm3;
        this.left.push(null);
      } else {
        this.left.push([...list]);
        this.open += 1;
      }
    }
    this.peakMm3 = tableMm3 - this.tableLeft;
    this.order = Int32Array.from(loads, (_, k) => k).sort((a, b) => priority[b]! - priority[a]! || a - b);
  }

  run(): Decoded {
    for (;;) {
      if (this.carryBin(true) || this.clearTable() || this.carryWhole() || this.carryBin(false)) continue;
      if (this.changeBins()) continue;
      if (this.open === 0 && this.piles.every((pile) => pile === null)) break;
      if (this.goOn()) continue;
      if (!this.putAside()) break;
    }
    const stuck = this.facts.movers.flatMap(({ to }, m) => (this.isHome(m, to) ? [] : [m]));
    return {
      trips: [...this.listAsideTrips(), ...this.trips],
      peakMm3: this.peakMm3,
      aside: this.aside,
      stuck,
      stuckBins: [...this.standing.pending],
    };
  }

  /** What is folded anew where it is has only come home once that was done. */
  private isHome(m: number, to: number): boolean {
    return this.at.get(m) === to;
  }

  /** What is carried out of the way, before all else; like all loads, each for one place in the end. */
  private listAsideTrips(): Trip[] {
    const byWay = new Map<string, number[]>();
    for (const m of this.aside) {
      const { from, to } = this.facts.movers[m]!;
      const way = `${from} ${to}`;
      byWay.set(way, [...(byWay.get(way) ?? []), m]);
    }
    return [...byWay.values()].flatMap((which) => {
      const { from } = this.facts.movers[which[0]!]!;
      const loads = splitLoads(this.facts.movers, which, getLiftG(this.facts, from, ASIDE));
      return loads.map((movers) => ({ movers, from, to: ASIDE }));
    });
  }

  private takes(to: number, which: readonly number[]): boolean {
    const { movers, places, slotLoadG, unitLoadG } = this.facts;
    let share = 0;
    let massG = 0;
    let [fromSlot, fromUnit] = [0, 0];
    if (!this.standing.stands[to]) return false;
    const { traits } = places[to]!;
    const { slot, unit } = this.standing.at(to);
    for (const m of which) {
      const mover = movers[m]!;
      share += mover.shareTo;
      massG += mover.massG;
      const at = this.placeOf(m);
      if (at === to) {
        share -= mover.shareFrom;
        massG -= mover.massG;
      } else if (at >= 0) {
        const here = this.standing.at(at);
        if (here.slot === slot) fromSlot += mover.massG;
        if (here.unit === unit) fromUnit += mover.massG;
      }
    }
    if (this.fill[to]! + share > 1 + EPS && share > EPS) return false;
    if (massG > EPS && this.mass[to]! + massG > traits.loadG + EPS) return false;
    if (massG - fromSlot > EPS && this.slotMass[slot]! + massG - fromSlot > slotLoadG[slot]! + EPS) return false;
    if (massG - fromUnit > EPS && this.unitMass[unit]! + massG - fromUnit > unitLoadG[unit]! + EPS) return false;
    if (!this.isPacked) return true;
    const stay = this.inside[to]!.filter((m) => !which.includes(m));
    const isDone = (m: number) => this.at.get(m) === to;
    const key = [...stay.map((m) => (isDone(m) ? m : -1 - m)), ...which].sort((a, b) => a - b).join(' ');
    return this.isPacked(to, `${to}: ${key}`, () => [
      ...stay.map((m) => (isDone(m) ? movers[m]!.after : movers[m]!.before)),
      ...which.map((m) => movers[m]!.after),
    ]);
  }

  private placeOf(m: number): number {
    return this.at.get(m) ?? this.facts.movers[m]!.from;
  }

  private leave(which: readonly number[]): void {
    const { movers } = this.facts;
    for (const m of which) {
      const from = this.placeOf(m);
      const { massG, volumeMm3, shareFrom } = movers[m]!;
      if (from === TABLE) this.tableLeft += volumeMm3;
      if (from < 0) continue;
      this.fill[from]! -= shareFrom;
      this.mass[from]! -= massG;
      const { slot, unit } = this.standing.at(from);
      this.slotMass[slot]! -= massG;
      this.unitMass[unit]! -= massG;
      const list = this.inside[from]!;
      list.splice(list.indexOf(m), 1);
    }
  }

  private arrive(which: readonly number[], to: number): void {
    const { movers } = this.facts;
    for (const m of which) {
      this.at.set(m, to);
      const { massG, volumeMm3, shareTo } = movers[m]!;
      if (to === TABLE) this.tableLeft -= volumeMm3;
      if (to < 0) continue;
      this.fill[to]! += shareTo;
      this.mass[to]! += massG;
      const { slot, unit } = this.standing.at(to);
      this.slotMass[slot]! += massG;
      this.unitMass[unit]! += massG;
      this.inside[to]!.push(m);
    }
    this.peakMm3 = Math.max(this.peakMm3, this.tableMm3 - this.tableLeft);
  }

  private carry(which: readonly number[], to: number): void {
    const from = this.placeOf(which[0]!);
    this.leave(which);
    this.arrive(which, to);
    this.trips.push({ movers: [...which], from, to });
  }

  /** Whether something is in a place that is yet to be carried elsewhere. */
  private isLeft(p: number): boolean {
    return p >= 0 && this.inside[p]!.some((m) => this.at.get(m) !== p);
  }

  /** A container goes where it is to stand, once nothing is in its way; `isEmptied`: only one with nothing in it that is to go elsewhere. */
  private carryBin(isEmptied: boolean): boolean {
    const { carries } = this.facts;
    for (const b of this.standing.pending) {
      const { place, bare, bin } = carries[b]!;
      if (this.isLeft(bare) || ((isEmptied || bin.slotId === undefined) && this.isLeft(place))) continue;
      if (!this.standing.canStand(b)) continue;
      this.carryBins([b]);
      return true;
    }
    return false;
  }

  /** Containers that stand in each other's way change places. */
  private changeBins(): boolean {
    const { carries } = this.facts;
    for (const b of this.standing.pending) {
      const ring = this.standing.listRing(b);
      const isFree = ring.every((one) => {
        const { place, bare, bin } = carries[one]!;
        return !this.isLeft(bare) && !(bin.slotId === undefined && this.isLeft(place));
      });
      if (!isFree || !this.standing.canChange(ring)) continue;
      this.carryBins(ring);
      return true;
    }
    return false;
  }

  private carryBins(which: readonly number[]): void {
    const { carries, slotNumber, places } = this.facts;
    for (const b of which) {
      const { place, bin } = carries[b]!;
      const massG = (place < 0 ? 0 : this.mass[place]!) + (this.standing.tareOf(b) ?? 0);
      const content = place < 0 ? 0 : this.mass[place]!;
      const from = place < 0 ? { slot: -1, unit: -1 } : this.standing.at(place);
      const to = bin.slotId === undefined ? undefined : slotNumber.get(bin.slotId);
      if (from.slot >= 0) {
        this.slotMass[from.slot]! -= massG;
        this.unitMass[from.unit]! -= content;
      }
      if (!to) continue;
      this.slotMass[to.slot]! += massG;
      this.unitMass[to.unit]! += content;
    }
    this.standing.carry(which, places);
    const [first] = which;
    const { place } = carries[first!]!;
    this.trips.push({ movers: [], from: place, to: place, bins: [...which] });
  }

  /** A pile on the table that has room at its place goes there. */
  private clearTable(): boolean {
    for (let p = 0; p < this.piles.length; p += 1) {
      const pile = this.piles[p];
      if (!pile || !this.takes(p, pile)) continue;
      for (const load of splitLoads(this.facts.movers, pile, getLiftG(this.facts, TABLE, p))) this.carry(load, p);
      this.piles[p] = null;
      return true;
    }
    return false;
  }

  private carryWhole(): boolean {
    for (const k of this.order) {
      const which = this.left[k];
      if (!which) continue;
      const { to } = this.loads[k]!;
      if (this.fill[to]! + this.shareLeft[k]! > 1 + EPS && this.shareLeft[k]! > EPS) continue;
      if (!this.takes(to, which)) continue;
      this.carry(which, to);
      this.close(k);
      return true;
    }
    return false;
  }

  private sumShares(which: readonly number[]): number {
    let sum = 0;
    for (const m of which) {
      const { from, to, shareFrom, shareTo } = this.facts.movers[m]!;
      sum += from === to ? shareTo - shareFrom : shareTo;
    }
    return sum;
  }

  private close(k: number): void {
    this.left[k] = null;
    this.open -= 1;
  }

  /** As much of a load as its place takes, the largest first. */
  private listFitting(k: number): number[] {
    const { movers } = this.facts;
    const { to } = this.loads[k]!;
    const part: number[] = [];
    for (const m of [...this.left[k]!].sort((a, b) => movers[b]!.shareTo - movers[a]!.shareTo || a - b))
      if (this.takes(to, [...part, m])) part.push(m);
    return part;
  }

  /** How many loads could go, were so much of a place free. */
  private countFreed(place: number, leaving: readonly number[]): number {
    const { movers } = this.facts;
    let freed = 0;
    for (const m of leaving) freed += movers[m]!.shareFrom;
    const room = 1 + EPS - this.fill[place]! + freed;
    let count = 0;
    for (const k of this.comingTo[place]!) {
      const which = this.left[k];
      if (which && this.shareLeft[k]! <= room) count += 1;
    }
    const pile = this.piles[place];
    if (pile && pile.reduce((sum, m) => sum + movers[m]!.shareTo, 0) <= room) count += 2;
    return count;
  }

  /** Nothing goes whole: the way on that frees most for least. */
  private goOn(): boolean {
    const { movers } = this.facts;
    let best: { k: number; which: number[]; to: number } | null = null;
    let bestWorth = -Infinity;
    const weigh = (k: number, which: number[], to: number, price: number) => {
      const from = this.placeOf(which[0]!);
      const freed = from >= 0 ? this.countFreed(from, which) : 0;
      const worth = (freed > 0 ? 2 * FREES : 0) + Math.min(freed, 3) * 0.5 - price + this.priority[k]! * 0.9;
      if (worth <= bestWorth) return;
      bestWorth = worth;
      best = { k, which, to };
    };
    for (const k of this.order) {
      const which = this.left[k];
      if (!which) continue;
      const { to } = this.loads[k]!;
      const part = this.listFitting(k);
      // It becomes two trips.
      if (part.length > 0) weigh(k, part, to, 1);
      // What already lies about is nobody's hindrance.
      if (this.placeOf(which[0]!) < 0) continue;
      let volume = 0;
      for (const m of which) volume += movers[m]!.volumeMm3;
      // A pile for the same place is carried on together.
      if (volume <= this.tableLeft + EPS) weigh(k, which, TABLE, this.piles[to] ? JOINS_PILE : 1);
      else {
        const some: number[] = [];
        let room = this.tableLeft + EPS;
        for (const m of which)
          if (movers[m]!.volumeMm3 <= room) {
            some.push(m);
            room -= movers[m]!.volumeMm3;
          }
        if (some.length > 0) weigh(k, some, TABLE, PART_TO_TABLE);
      }
    }
    // Table room is worth more than a trip where nothing else frees anything.
    if (bestWorth < FREES && this.carryPartOfPile()) return true;
    // The compiler does not see that weigh sets it.
    const chosen = best as { k: number; which: number[]; to: number } | null;
    if (!chosen) return false;
    const { k, which, to } = chosen;
    this.carry(which, to);
    if (to === TABLE) this.piles[this.loads[k]!.to] = [...(this.piles[this.loads[k]!.to] ?? []), ...which];
    const rest = this.left[k]!.filter((m) => !which.includes(m));
    if (rest.length === 0) this.close(k);
    else {
      this.left[k] = rest;
      this.shareLeft[k] = this.sumShares(rest);
    }
    return true;
  }

  /** As much of a pile on the table as its place takes. */
  private carryPartOfPile(): boolean {
    for (const [p, pile] of this.piles.entries()) {
      if (!pile) continue;
      const part: number[] = [];
      for (const m of pile) if (this.takes(p, [...part, m])) part.push(m);
      if (part.length === 0) continue;
      for (const load of splitLoads(this.facts.movers, part, getLiftG(this.facts, TABLE, p))) this.carry(load, p);
      this.piles[p] = pile.filter((m) => !part.includes(m));
      return true;
    }
    return false;
  }

  /**
   * What frees most for its bulk is carried out of the way; it comes back last, so it may as well be the first thing
   * that is done: a place from which something is gone takes no less.
   */
  private putAside(): boolean {
    const { movers } = this.facts;
    let best = -1;
    let bestWorth = -Infinity;
    for (const k of this.order) {
      const which = this.left[k];
      if (!which || this.placeOf(which[0]!) < 0) continue;
      const bulk = which.reduce((sum, m) => sum + movers[m]!.volumeMm3, 0);
      // Whatever frees a load comes before whatever is small.
      const worth = this.countFreed(this.loads[k]!.from, which) * BULK_MM3 - bulk;
      if (worth > bestWorth) {
        bestWorth = worth;
        best = k;
      }
    }
    if (best === -1) return false;
    const which = this.left[best]!;
    this.leave(which);
    for (const m of which) {
      this.at.set(m, ASIDE);
      this.aside.push(m);
    }
    return true;
  }
}
