import type { Trip } from './haul.ts';
import { TABLE, type MoveFacts } from './facts.ts';

/** Of filling a bin that was emptied for it, rather than something else: worth so much of a way, mm. */
const SOON_MM = 2500;

/** What a trip has to do with: places, their slots and units, the table, and each thing. In that order it is kept. */
function listTouched(facts: MoveFacts, { from, to, movers, bins }: Trip): string[] {
  const touched = movers.map((m) => `thing ${m}`);
  for (const b of bins ?? []) {
    const { place, bare, bin, from: slotId } = facts.carries[b]!;
    touched.push(`place ${place}`, `place ${bare}`);
    for (const id of [bin.slotId, slotId]) {
      const number = id && facts.slotNumber.get(id);
      if (number) touched.push(`slot ${number.slot}`, `unit ${number.unit}`, `bare ${id}`);
    }
  }
  for (const p of new Set([from, to])) {
    if (p === TABLE) touched.push('table');
    if (p < 0) continue;
    const { slot, unit, place } = facts.places[p]!;
    touched.push(`place ${p}`, `slot ${slot}`, `unit ${unit}`);
    // What goes into or out of a bare compartment waits for the containers that go out of it or into it.
    if (!place.container) touched.push(`bare ${place.id}`);
  }
  return touched;
}

/** Runs in which nothing lies on the table, and those from the first thing on it until it is clear. */
function listRuns(trips: readonly Trip[], onTable: number): Trip[][] {
  const runs: Trip[][] = [];
  let count = onTable;
  let isTable: boolean | null = null;
  for (const trip of trips) {
    const uses = count > 0 || trip.to === TABLE || trip.from === TABLE;
    if (runs.length === 0 || uses !== isTable) runs.push([]);
    runs.at(-1)!.push(trip);
    isTable = uses;
    if (trip.to === TABLE) count += trip.movers.length;
    if (trip.from === TABLE) count -= trip.movers.length;
    // What comes after a clear table is another run, even where it begins with the table again.
    if (uses && count === 0) isTable = null;
  }
  return runs;
}

/** Trips of a run in another order: each as soon as all that must come before it was done, always the nearest. */
function reorder(
  facts: MoveFacts,
  run: readonly Trip[],
  start: number,
  wayMm: (from: number, to: number) => number,
): Trip[] {
  const waits = run.map(() => 0);
  const after = run.map((): number[] => []);
  const last = new Map<string, number>();
  for (const [k, trip] of run.entries()) {
    const before = new Set(listTouched(facts, trip).flatMap((key) => last.get(key) ?? []));
    for (const key of listTouched(facts, trip)) last.set(key, k);
    for (const one of before) {
      after[one]!.push(k);
      waits[k]! += 1;
    }
  }
  const ready = new Set(run.flatMap((_, k) => (waits[k] === 0 ? [k] : [])));
  const freed = new Set<number>();
  const done: Trip[] = [];
  let at = start;
  while (ready.size > 0) {
    let best = -1;
    let bestCost = Infinity;
    for (const k of ready) {
      const { from, to } = run[k]!;
      const cost = wayMm(at, from) - (freed.has(to) ? SOON_MM : 0);
      if (cost < bestCost || (cost === bestCost && k < best)) [best, bestCost] = [k, cost];
    }
    const trip = run[best]!;
    ready.delete(best);
    done.push(trip);
    freed.delete(trip.to);
    if (trip.from >= 0) freed.add(trip.from);
    at = trip.to;
    for (const k of after[best]!) {
      waits[k]! -= 1;
      if (waits[k] === 0) ready.add(k);
    }
  }
  return done;
}

/** All of the way on foot, from `start` on. */
function sumWays(trips: readonly Trip[], start: number, wayMm: (from: number, to: number) => number): number {
  let [sum, at] = [0, start];
  for (const { from, to } of trips) {
    sum += wayMm(at, from) + wayMm(from, to);
    at = to;
  }
  return sum;
}

/**
 * The same trips with less walking. Trips that have no place, slot, unit, thing nor the table in common may change places:
 * each of those then sees the same comings and goings in the same order, so that nothing is ever fuller than it was. What
 * was emptied is filled soon after. A run keeps its order where no shorter one is found.
 */
export function shortenWalk(
  facts: MoveFacts,
  trips: readonly Trip[],
  wayMm: (from: number, to: number) => number,
  start: number,
): Trip[] {
  const known = new Map<string, number>();
  const way = (from: number, to: number) => {
    if (from === to) return 0;
    const key = `${from} ${to}`;
    const mm = known.get(key) ?? wayMm(from, to);
    known.set(key, mm);
    return mm;
  };
  const all: Trip[] = [];
  let at = start;
  const onTable = facts.movers.filter((one) => one.from === TABLE).length;
  for (const run of listRuns(trips, onTable)) {
    const other = reorder(facts, run, at, way);
    const chosen = sumWays(other, at, way) < sumWays(run, at, way) - 1 ? other : run;
    all.push(...chosen);
    at = chosen.at(-1)?.to ?? at;
  }
  return all;
}
