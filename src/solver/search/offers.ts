import type { Facts } from '../model/index.ts';

/** Places that each way is allowed in, those that are fetched from soonest first; listed when first asked for. */
export class Offers {
  private readonly lists: (Int32Array | undefined)[];
  private readonly leastWears: Float64Array;

  constructor(private readonly facts: Facts) {
    this.lists = Array.from({ length: facts.patternCount * facts.fetchRowCount });
    const { traitCount, wears } = facts;
    this.leastWears = Float64Array.from({ length: wears.length / Math.max(1, traitCount) }, (_, care) =>
      wears.subarray(care * traitCount, (care + 1) * traitCount).reduce((least, one) => Math.min(least, one), Infinity),
    );
  }

  /** The least that any place wears off what is kept in a way, seconds a month. */
  getLeastWear(way: number): number {
    return this.leastWears[this.facts.careOf[way]!]!;
  }

  get(way: number): Int32Array {
    const { facts } = this;
    const row = facts.fetchRowOf[facts.wayLot[way]!]!;
    const key = facts.patternOf[way]! * facts.fetchRowCount + row;
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
