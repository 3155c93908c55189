import type { Facts } from '../model/index.ts';

/** Places that each way is allowed in, those that are fetched from soonest first; listed when first asked for. */
export class Offers {
  private readonly lists: (Int32Array | undefined)[];
  private readonly today: (Int32Array | undefined)[] = [];
  private readonly further: (Int32Array | undefined)[] = [];
  private readonly todayCount: number;
  private readonly leastWears: Float64Array;

  constructor(private readonly facts: Facts) {
    this.lists = Array.from({ length: facts.patternCount * facts.fetchRowCount });
    this.todayCount = facts.places.length - facts.standings.further.length;
    const { traitCount, wears } = facts;
    this.leastWears = Float64Array.from({ length: wears.length / Math.max(1, traitCount) }, (_, care) =>
      wears.subarray(care * traitCount, (care + 1) * traitCount).reduce((least, one) => Math.min(least, one), Infinity),
    );
  }

  /** The least that any place wears off what is kept in a way, seconds a month. */
  getLeastWear(way: number): number {
    return this.leastWears[this.facts.careOf[way]!]!;
  }

  private getKey(way: number): number {
    const { facts } = this;
    return facts.patternOf[way]! * facts.fetchRowCount + facts.fetchRowOf[facts.wayLot[way]!]!;
  }

  /** Those that there are, or those that there would be if containers stood otherwise; all where there are none of the first. */
  getStanding(way: number, isToday: boolean): Int32Array {
    const lists = isToday ? this.today : this.further;
    const key = this.getKey(way);
    const known = lists[key];
    if (known) return known;
    const all = this.get(way);
    const some = all.filter((p) => p < this.todayCount === isToday);
    const list = isToday && some.length === 0 ? all : some;
    lists[key] = list;
    return list;
  }

  get(way: number): Int32Array {
    const { facts } = this;
    const row = facts.fetchRowOf[facts.wayLot[way]!]!;
    const key = this.getKey(way);
    const known = this.lists[key];
    if (known) return known;
    const count = facts.places.length;
    const from = facts.patternOf[way]! * count;
    const places: number[] = [];
    for (let p = 0; p < count; p += 1) if (facts.allowed[from + p] === 1) places.push(p);
    const seconds = (p: number) => facts.fetches[row * count + p]!;
    const list = Int32Array.from(places.toSorted((a, b) => seconds(a) - seconds(b) || a - b));
    this.lists[key] = list;
    return list;
  }
}
