import { isAllowed, listMembers } from '../model/index.ts';
import { scoreGroup, type State } from '../score/index.ts';
import type { PackingCache } from './repair.ts';

const NONE = -1;

interface Row {
  /** In the order in which they stand. */
  readonly lots: readonly number[];
  /** Seconds a month that the order may cost at most. */
  readonly worth: number;
}

/**
 * Groups that stand by number, and patterns that are one running sequence of numbers over several of them. In a run by
 * number one knows where to look; an arc of the colour wheel is only nicer.
 */
function listRows(state: State): Row[] {
  const { facts } = state;
  const { sorting } = facts.settings;
  const rows: { key: string; lots: number[]; worth: number }[] = [];
  for (const [g, group] of facts.groups.entries()) {
    if (sorting[group.kind].order !== 'number') continue;
    const lots = listMembers(facts, g).filter(
      (l) => state.option[l] !== NONE && facts.wishes.setOf[l] === NONE && !facts.wishes.keepsForm(l),
    );
    const places = [...new Set(lots.map((l) => state.getPlace(l)))];
    // What the group pays for being in several places is what a known order saves.
    const worth = scoreGroup(facts, g, new Set(places));
    const others = group.labels.filter((label) => label.code !== 'numberRun');
    const key = others.length < group.labels.length ? `${group.kind} ${JSON.stringify(others)}` : group.id;
    const last = rows.at(-1);
    if (last?.key === key) {
      last.lots.push(...lots);
      last.worth += worth;
    } else rows.push({ key, lots, worth });
  }
  return rows;
}

/** The way of a lot that takes least of a place; NONE where it may not go there. */
function findTightest(state: State, lot: number, p: number): number {
  const { facts } = state;
  let best = NONE;
  for (let w = facts.wayStart[lot]!; w < facts.wayStart[lot + 1]!; w += 1)
    if (isAllowed(facts, w, p) && (best === NONE || state.shareAt(w, p) < state.shareAt(best, p))) best = w;
  return best;
}

/**
 * Puts the lots of each group that stands by number, where they are in several places, into these places in their order:
 * the first run of numbers into the first place, the next into the next. Each place gets about as much of the group as
 * it had. Kept only where every place still packs, no caution is added, and the order costs no more than it is worth.
 * Returns how many rows were changed.
 */
export function putInSequence(state: State, cache: PackingCache): number {
  const { facts } = state;
  const count = facts.places.length;
  let changed = 0;
  for (const { lots, worth } of listRows(state)) {
    const places = [...new Set(lots.map((l) => state.getPlace(l)))].toSorted((a, b) => a - b);
    const isInOrder = lots.every((l, i) => i === 0 || state.getPlace(lots[i - 1]!) <= state.getPlace(l));
    if (places.length < 2 || isInOrder) continue;
    const before = lots.map((l) => state.option[l]!);
    const [seconds, cautions] = [state.seconds, state.cautions];
    const had = new Map(places.map((p) => [p, 0]));
    for (const l of lots) {
      const p = state.getPlace(l);
      had.set(p, had.get(p)! + state.shareAt(state.way[l]!, p));
      state.remove(l);
    }
    let [at, filled] = [0, 0];
    const isPut = lots.every((l) => {
      for (; at < places.length; at += 1, filled = 0) {
        const p = places[at]!;
        const way = findTightest(state, l, p);
        if (way === NONE) return false;
        const share = state.shareAt(way, p);
        const isFull = at < places.length - 1 && filled > 0 && filled + share / 2 > had.get(p)!;
        if (isFull || !state.canInsert(way * count + p)) continue;
        state.insert(l, way * count + p);
        filled += share;
        return true;
      }
      return false;
    });
    const isGood =
      isPut &&
      state.cautions <= cautions &&
      state.seconds - seconds <= worth + 1e-9 &&
      places.every((p) => {
        const inside = facts.lots.flatMap((_, l) => (state.getPlace(l) === p ? [l] : []));
        return cache.pack(p, inside, state.option).status === 'packed';
      });
    if (isGood) {
      changed += 1;
      continue;
    }
    for (const l of lots) if (state.option[l] !== NONE) state.remove(l);
    for (const [i, l] of lots.entries()) state.insert(l, before[i]!);
  }
  return changed;
}
