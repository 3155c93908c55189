import type { Facts, Offered } from '../model/index.ts';
import { scoreGroup, scorePlace } from '../score/index.ts';

/** An arrangement that tells what another place for one lot would change, by the places and the group it touches only. */
export interface Shifts {
  /** What lies in a place. */
  readonly getInside: (p: number) => readonly Offered[];
  /** Seconds a month more with one lot described otherwise (null: in no place), all else left. */
  readonly price: (lot: number, other: Offered | null) => number;
}

export function createShifts(facts: Facts, offered: readonly (Offered | null)[]): Shifts {
  const { homelessSeconds } = facts.settings.estimates;
  const inside = new Map<number, Offered[]>();
  const ofGroup = new Map<number, Map<number, number>>();
  for (const [l, one] of offered.entries()) {
    if (!one) continue;
    const known = inside.get(one.place);
    if (known) known.push(one);
    else inside.set(one.place, [one]);
    const g = facts.groupOf[l]!;
    const at = ofGroup.get(g) ?? new Map<number, number>();
    ofGroup.set(g, at.set(one.place, (at.get(one.place) ?? 0) + 1));
  }
  const getInside = (p: number) => inside.get(p) ?? [];
  const scoreAlone = (lot: number, one: Offered | null) =>
    one ? one.fetching + one.moving + one.wear + one.rent + one.holding : facts.uses[lot]! * homelessSeconds;
  const scoreAt = (p: number, there: readonly Offered[]) => {
    const { searching, crowding, company, rent } = scorePlace(facts, p, there);
    return searching + crowding + company + rent;
  };
  const price = (lot: number, other: Offered | null) => {
    const here = offered[lot] ?? null;
    const g = facts.groupOf[lot]!;
    const counts = new Map(ofGroup.get(g));
    let more = scoreAlone(lot, other) - scoreAlone(lot, here) - scoreGroup(facts, g, new Set(counts.keys()));
    for (const p of new Set([here?.place, other?.place])) {
      if (p === undefined) continue;
      const rest = getInside(p).filter((one) => one.lot !== lot);
      const next = other?.place === p ? [...rest, other] : rest;
      more += scoreAt(p, next) - scoreAt(p, getInside(p));
      const kin = (counts.get(p) ?? 0) + Number(other?.place === p) - Number(here?.place === p);
      if (kin > 0) counts.set(p, kin);
      else counts.delete(p);
    }
    return more + scoreGroup(facts, g, new Set(counts.keys()));
  };
  return { getInside, price };
}
