import { TABLE, type MoveFacts } from './facts.ts';
import type { PackedTest } from './loads.ts';
import { NOWHERE, Standing } from './standing.ts';

export const EPS = 1e-9;

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

/** What is where while all is carried, and the trips so far. */
export class Haul {
  protected readonly fill: Float64Array;
  /** By place, by slot with the containers in it, and by unit, g. */
  private readonly mass: Float64Array;
  private readonly slotMass: Float64Array;
  private readonly unitMass: Float64Array;
  /** By place: the movers that are in it now. */
  protected readonly inside: number[][];
  protected tableLeft: number;
  /** Where a mover is now, once it was carried. */
  protected readonly at = new Map<number, number>();
  protected readonly trips: Trip[] = [];
  protected peakMm3 = 0;
  protected readonly standing: Standing;

  constructor(
    protected readonly facts: MoveFacts,
    protected readonly tableMm3: number,
    private readonly isPacked: PackedTest | null,
  ) {
    const { places } = facts;
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
    this.tableLeft = tableMm3;
  }

  /** What is folded anew where it is has only come home once that was done. */
  protected isHome(m: number, to: number): boolean {
    return this.at.get(m) === to;
  }

  /** Whether a place is there, and takes some movers beside what is in it now. */
  protected takes(to: number, which: readonly number[]): boolean {
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

  protected placeOf(m: number): number {
    return this.at.get(m) ?? this.facts.movers[m]!.from;
  }

  protected leave(which: readonly number[]): void {
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

  protected carry(which: readonly number[], to: number): void {
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
  protected carryBin(isEmptied: boolean): boolean {
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
  protected changeBins(): boolean {
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
      const content = place < 0 ? 0 : this.mass[place]!;
      const massG = content + this.standing.tareOf(b);
      const from = place < 0 ? NOWHERE : this.standing.at(place);
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
}
