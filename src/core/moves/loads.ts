import type { Package } from '../measure/index.ts';
import { packPlace } from '../packing/index.ts';
import { getLiftG, splitLoads, type MoveFacts } from './facts.ts';

/** Asks whether a place takes packages beside what stays there; `key` names the set. */
export type PackedTest = (place: number, key: string, list: () => Package[]) => boolean;

/** What goes from one place to another at once. */
export interface Load {
  readonly from: number;
  readonly to: number;
  readonly list: readonly number[];
}

/** All that moves, split into what is carried at once. */
export function listLoads(facts: MoveFacts): Load[] {
  const pairs = new Map<string, number[]>();
  for (const [m, { from, to }] of facts.movers.entries()) {
    const key = `${from} ${to}`;
    const pair = pairs.get(key);
    if (pair) pair.push(m);
    else pairs.set(key, [m]);
  }
  return [...pairs.values()].flatMap((which) => {
    const { from, to } = facts.movers[which[0]!]!;
    return splitLoads(facts.movers, which, getLiftG(facts, from, to)).map((list) => ({ from, to, list }));
  });
}

/** Whether packages go into a place together, by real packing; each set is packed once. */
export function createPackedTest(facts: MoveFacts): PackedTest {
  const known = new Map<string, boolean>();
  return (p, key, list) => {
    const before = known.get(key);
    if (before !== undefined) return before;
    const is =
      packPlace([...facts.stays[p]!.map((one) => one.pkg), ...list()], facts.places[p]!.space).status === 'packed';
    known.set(key, is);
    return is;
  };
}
