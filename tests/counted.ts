import type { Household } from '../src/core/records/index.ts';

/** How many records were gone over, in all tables together. */
export interface Count {
  records: number;
}

/** A table that counts every record that is gone over in it; looking one up by its id is free. */
class CountedMap<K, V> extends Map<K, V> {
  private readonly count: Count;

  constructor(of: ReadonlyMap<K, V>, count: Count) {
    super();
    for (const [key, value] of of) super.set(key, value);
    this.count = count;
  }

  private *counting<T>(list: Iterable<T>): MapIterator<T> {
    for (const one of list) {
      this.count.records += 1;
      yield one;
    }
  }

  override values(): MapIterator<V> {
    return this.counting(super.values());
  }

  override keys(): MapIterator<K> {
    return this.counting(super.keys());
  }

  override entries(): MapIterator<[K, V]> {
    return this.counting(super.entries());
  }

  override [Symbol.iterator](): MapIterator<[K, V]> {
    return this.entries();
  }

  override forEach(tell: (value: V, key: K, map: Map<K, V>) => void): void {
    for (const [key, value] of this.entries()) tell(value, key, this);
  }
}

/** The same household; what goes over its records is counted. */
export function countRecords(household: Household): { readonly household: Household; readonly count: Count } {
  const count: Count = { records: 0 };
  const { items, lots, places, plans, projects } = household;
  return {
    count,
    household: {
      ...household,
      items: new CountedMap(items, count),
      lots: new CountedMap(lots, count),
      places: new CountedMap(places, count),
      plans: new CountedMap(plans, count),
      projects: new CountedMap(projects, count),
    },
  };
}
