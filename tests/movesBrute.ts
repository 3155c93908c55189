import type { MoveFacts } from '../src/core/moves/index.ts';

const TABLE = -2;

/**
 * The fewest trips that carry all movers home, by trying every state that there is, the nearest first; each trip takes
 * things from one spot to where they go, or to the table. Null where no order gets by with the table. For a handful of
 * things only, light enough that any of them are carried at once.
 */
export function findFewestTrips(facts: MoveFacts, tableMm3: number): number | null {
  const { movers, places, fill } = facts;
  const start = movers.map(({ from }) => from);
  const isDone = (state: readonly number[]) => state.every((at, m) => at === movers[m]!.to);
  const isGood = (state: readonly number[]) => {
    const table = state.reduce((sum, at, m) => sum + (at === TABLE ? movers[m]!.volumeMm3 : 0), 0);
    if (table > tableMm3 + 1e-9) return false;
    return places.every((_, p) => {
      let share = fill[p]!;
      for (const [m, at] of state.entries()) {
        const { from, shareFrom, shareTo, to } = movers[m]!;
        if (from === p && at !== p) share -= shareFrom;
        if (from !== p && to === p && at === p) share += shareTo;
      }
      return share <= 1 + 1e-9;
    });
  };
  const seen = new Set([start.join(' ')]);
  let edge = [start];
  for (let trips = 0; edge.length > 0; trips += 1) {
    if (edge.some(isDone)) return trips;
    const next: number[][] = [];
    for (const state of edge)
      for (let set = 1; set < 2 ** movers.length; set += 1) {
        const which = movers.flatMap((_, m) => ((set >> m) & 1 ? [m] : []));
        const [first] = which as [number, ...number[]];
        const { to } = movers[first]!;
        // One spot, one place in the end, and none that is there already.
        if (which.some((m) => state[m] !== state[first] || movers[m]!.to !== to || state[m] === to)) continue;
        for (const goal of state[first] === TABLE ? [to] : [to, TABLE]) {
          const after = state.map((at, m) => (which.includes(m) ? goal : at));
          const key = after.join(' ');
          if (seen.has(key) || !isGood(after)) continue;
          seen.add(key);
          next.push(after);
        }
      }
    edge = next;
  }
  return null;
}
