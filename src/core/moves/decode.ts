import { ASIDE, getLiftG, splitLoads, TABLE, type MoveFacts } from './facts.ts';
import type { Load, PackedTest } from './loads.ts';
import { EPS, Haul, type Trip } from './haul.ts';

/** What ways on are worth where no load goes whole, in trips; set on the seeded households of the bench. */
const FREES = 2;
const JOINS_PILE = 0.6;
const PART_TO_TABLE = 2.2;
/** More than any load is large. */
const BULK_MM3 = 1e10;

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

class Decoder extends Haul {
  /** By load: what of it is still to be carried, from where it was or from out of the way; null where nothing is. */
  private readonly left: (number[] | null)[];
  /** Of its place that each load takes more, all of it. */
  private readonly shareLeft: Float64Array;
  /** Piles on the table, by where they go; null where there is none. */
  private readonly piles: (number[] | null)[];
  /** By place: the loads that go there. */
  private readonly comingTo: number[][];
  private readonly aside: number[] = [];
  /** Loads by their priority, the highest first. */
  private readonly order: Int32Array;
  /** Loads of which something is left. */
  private open: number;

  constructor(
    facts: MoveFacts,
    private readonly loads: readonly Load[],
    private readonly priority: Float64Array,
    tableMm3: number,
    isPacked: PackedTest | null,
  ) {
    super(facts, tableMm3, isPacked);
    const { places, movers } = facts;
    this.piles = places.map(() => null);
    this.comingTo = places.map(() => []);
    this.left = [];
    this.shareLeft = Float64Array.from(loads, ({ list }) => this.sumShares(list));
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
