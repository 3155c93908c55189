import { computeGroups } from '../core/grouping/index.ts';
import type { Assignment, Household, LotId, PlaceId } from '../core/records/index.ts';

/** A wish that a plan does not keep. */
interface Broken {
  readonly lotId: LotId;
  readonly placeId: PlaceId | null;
  readonly note: string;
}

/** Reads the wishes and the plan as they are recorded, and finds every lot that is not where it was asked to be. */
export function findBrokenWishes(
  household: Household,
  assignments: readonly Assignment[],
): { broken: Broken[]; tests: number } {
  const broken: Broken[] = [];
  let tests = 0;
  const planned = new Map(assignments.map((one) => [one.lotId, one.placeId]));
  const groups = computeGroups(household);
  const isIn = (id: PlaceId | undefined, within: PlaceId): boolean => {
    for (let at = id; at !== undefined; at = household.places.get(at)?.parentId ?? undefined)
      if (at === within) return true;
    return false;
  };
  const test = (isKept: boolean, lotId: LotId, placeId: PlaceId | null, note: string) => {
    tests += 1;
    if (!isKept) broken.push({ lotId, placeId, note });
  };
  for (const { kind, lotIds, groupIds, placeId } of household.settings.wishes ?? []) {
    const members = groups.filter((group) => groupIds.includes(group.id));
    // What is gone, wrapped with another or only a file is asked nothing.
    const isPlanned = (id: LotId) => ['in', 'out', 'lent'].includes(household.lots.get(id)?.state ?? '');
    const named = [...lotIds, ...members.flatMap((group) => group.lots.map((lot) => lot.id))].filter(isPlanned);
    const nowOf = (id: LotId) => household.lots.get(id)?.placeId ?? household.lots.get(id)?.homeId ?? undefined;
    if (kind === 'stays') {
      const there = placeId ? [...household.lots.keys()].filter((id) => isIn(nowOf(id), placeId)) : [];
      for (const id of [...named, ...there])
        if (nowOf(id) && planned.has(id)) test(planned.get(id) === nowOf(id), id, planned.get(id)!, 'was to stay');
      if (placeId)
        for (const [id, to] of planned)
          if (isIn(to, placeId)) test(isIn(nowOf(id), placeId), id, to, 'came where nothing was to change');
    }
    if (kind === 'notIn' && placeId)
      for (const id of named)
        test(!isIn(planned.get(id), placeId), id, planned.get(id) ?? null, 'was never to go there');
    if (kind === 'free' && placeId)
      for (const [id, to] of planned) test(!isIn(to, placeId), id, to, 'in a place that is kept free');
    if (kind === 'together') {
      const places = new Set(named.map((id) => planned.get(id)));
      if (named.length > 0) test(places.size === 1, named[0]!, null, 'was to be kept together');
    }
    if (kind === 'apart') {
      const teams = [...lotIds.map((id) => [id]), ...members.map((group) => group.lots.map((lot) => lot.id))];
      for (const [i, team] of teams.entries())
        for (const other of teams.slice(i + 1)) {
          const taken = new Set(other.flatMap((id) => planned.get(id) ?? []));
          for (const id of team) {
            const to = planned.get(id);
            test(to === undefined || !taken.has(to), id, to ?? null, 'with what it was never to be with');
          }
        }
    }
  }
  return { broken, tests };
}
