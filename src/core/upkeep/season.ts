import { judgePut } from '../acts/index.ts';
import { listHomesBefore, USES } from '../daybook/index.ts';
import { computeGroups } from '../grouping/index.ts';
import {
  takesRoom,
  type DaybookEvent,
  type Household,
  type LotId,
  type PlaceId,
  type Season,
} from '../records/index.ts';
import { createPlaceTree, type PlaceTree } from '../storage/index.ts';
import { computeLitres, MONTH_MS } from './flowsByGroup.ts';

/** What is fetched in so many of so many months is fetched often. */
const FETCHED_MONTHS = 6;
const OFTEN = 3;

/** Which way a season turns: it goes away, or it comes back. */
export type Turn = 'goes' | 'comes';

/** What a turn of the season moves, and what finds no room there. */
export interface TurnPlan {
  readonly moves: readonly { readonly lotId: LotId; readonly toId: PlaceId }[];
  readonly stuckIds: readonly LotId[];
}

/** What belongs to a season: its groups, and what has its word among its tags. */
export function listOfSeason(household: Household, season: Season): LotId[] {
  const wanted = new Set(season.groupIds);
  const ids = new Set<LotId>();
  for (const { id, lots } of wanted.size > 0 ? computeGroups(household) : [])
    if (wanted.has(id)) for (const lot of lots) ids.add(lot.id);
  const tag = season.tag?.toLowerCase();
  for (const lot of household.lots.values()) {
    if (!takesRoom(lot)) continue;
    const tags = household.items.get(lot.itemId)?.tags ?? [];
    if (tag !== undefined && tags.some((one) => one.toLowerCase() === tag)) ids.add(lot.id);
  }
  return [...ids];
}

const isUnder = (tree: PlaceTree, id: PlaceId | undefined, underId: PlaceId): boolean =>
  id !== undefined && tree.getPath(id).some((place) => place.id === underId);

/**
 * Where everything of a season goes when it turns: away, the largest first, each into the first place there that takes it beside what
 * belongs there; or back to where it belonged before, as far as that has room. Every place was really packed.
 */
export function planTurn(household: Household, events: readonly DaybookEvent[], season: Season, turn: Turn): TurnPlan {
  const tree = createPlaceTree(household.places);
  const there = tree.leaves.filter((leaf) => isUnder(tree, leaf.id, season.awayPlaceId));
  const isHere = (id: PlaceId) => tree.places.has(id) && !isUnder(tree, id, season.awayPlaceId);
  const homes = turn === 'comes' ? listHomesBefore(events, isHere) : null;
  const lots = listOfSeason(household, season)
    .map((id) => household.lots.get(id)!)
    .filter((lot) => isUnder(tree, lot.homeId, season.awayPlaceId) === (turn === 'comes'))
    .map((lot) => ({ lot, litres: computeLitres(household, [lot]) }))
    .toSorted((a, b) => b.litres - a.litres || (a.lot.id < b.lot.id ? -1 : 1));
  const moves: { lotId: LotId; toId: PlaceId }[] = [];
  const stuckIds: LotId[] = [];
  const next = { ...household, lots: new Map(household.lots) };
  for (const { lot } of lots) {
    const before = homes?.get(lot.id);
    const able = homes ? tree.leaves.filter(({ id }) => id === before) : there;
    const to = able.find(({ id }) => judgePut(next, tree, [lot.id], id, 'home')?.isFit);
    if (!to) {
      stuckIds.push(lot.id);
      continue;
    }
    moves.push({ lotId: lot.id, toId: to.id });
    next.lots.set(lot.id, { ...lot, homeId: to.id });
  }
  return { moves, stuckIds };
}

/** What lies in a room in which nobody works, and is fetched from it month by month: it would be nearer at hand here. */
export function listFetchedFromAfar(household: Household, events: readonly DaybookEvent[], nowMs: number): LotId[] {
  const tree = createPlaceTree(household.places);
  const worked = new Set(tree.rooms.flatMap((room) => (room.room!.stations.length > 0 ? [room.id] : [])));
  const months = new Map<LotId, Set<number>>();
  for (const { type, atMs, changes } of events) {
    const month = Math.floor((nowMs - atMs) / MONTH_MS);
    if (!USES.has(type) || month >= FETCHED_MONTHS || month < 0) continue;
    for (const { table, id } of changes)
      if (table === 'lots') months.set(id as LotId, (months.get(id as LotId) ?? new Set<number>()).add(month));
  }
  return [...months].flatMap(([id, fetched]) => {
    const lot = household.lots.get(id);
    const room = lot?.homeId && tree.getPath(lot.homeId)[0];
    return room && !worked.has(room.id) && fetched.size >= OFTEN ? [id] : [];
  });
}
