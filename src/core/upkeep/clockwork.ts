import { addDays, addMonths } from 'date-fns';
import { findType } from '../catalog/index.ts';
import { computeStock } from '../measure/index.ts';
import {
  isOver,
  NEEDLE_HOURS,
  type Chore,
  type Household,
  type Item,
  type Lot,
  type LotId,
  type Project,
  type Season,
} from '../records/index.ts';
import { toDay } from '../units/index.ts';

/** Something that comes round by itself: about which thing, and by when, `2026-11-30`; null for now and until it is done. */
export type Due = { readonly key: string; readonly on: string | null } & (
  | {
      readonly code: 'expires' | 'blunt' | 'back' | 'repair' | 'wash' | 'leaves' | 'air';
      readonly lot: Lot;
      readonly item: Item;
    }
  | { readonly code: 'chore'; readonly lot: Lot; readonly item: Item; readonly chore: Chore }
  | { readonly code: 'restock'; readonly item: Item; readonly lotId: LotId }
  | { readonly code: 'project'; readonly project: Project }
  | { readonly code: 'season'; readonly season: Season; readonly way: 'goes' | 'comes' }
);

/** Heirlooms without a chore of their own are aired once a year. */
const AIR_MONTHS = 12;

/** When a chore is due: now where its hours are up, else on its day; null where only hours count and they are not up. */
function getChoreDay({ everyDays, everyHours, doneAtMs, hours }: Chore, nowMs: number): { on: string | null } | null {
  if (everyHours !== undefined && hours >= everyHours) return { on: null };
  return everyDays === undefined ? null : { on: toDay(addDays(Math.min(doneAtMs, nowMs), everyDays)) };
}

/** The day of a packet that was opened and has no day of its own, by what is usual for its type. */
function getLastDay(item: Item, { expiresOn, openedOn }: Lot): string | null {
  const keeps = openedOn !== undefined && item.box ? findType(item.box.type, item.kind)?.keepsMonths : undefined;
  if (keeps === undefined) return expiresOn ?? null;
  const opened = toDay(addMonths(new Date(`${openedOn}T12:00:00`), keeps));
  return expiresOn !== undefined && expiresOn < opened ? expiresOn : opened;
}

/** The next time a day of the year comes, from today on. */
function getNext(yearDay: string, today: string): string {
  const year = Number(today.slice(0, 4));
  const now = `${today.slice(0, 4)}-${yearDay}`;
  return now >= today ? now : `${year + 1}-${yearDay}`;
}

function listOfLot(item: Item, lot: Lot, nowMs: number): Due[] {
  const dues: Due[] = [];
  const about = { lot, item };
  const lastDay = getLastDay(item, lot);
  if (lastDay !== null) dues.push({ key: `expires-${lot.id}`, on: lastDay, code: 'expires', ...about });
  if (lot.usedHours !== undefined && lot.usedHours >= NEEDLE_HOURS)
    dues.push({ key: `blunt-${lot.id}`, on: null, code: 'blunt', ...about });
  for (const chore of lot.chores ?? []) {
    const due = getChoreDay(chore, nowMs);
    if (due) dues.push({ key: `chore-${lot.id}-${chore.id}`, ...due, code: 'chore', ...about, chore });
  }
  if (lot.state === 'lent' && (lot.dueBackOn !== undefined || lot.isInRepair))
    dues.push({
      key: `back-${lot.id}`,
      on: lot.dueBackOn ?? null,
      code: lot.isInRepair ? 'repair' : 'back',
      ...about,
    });
  if (lot.isWashed === false && item.kind === 'fabric')
    dues.push({ key: `wash-${lot.id}`, on: null, code: 'wash', ...about });
  if (lot.leaving) dues.push({ key: `leaves-${lot.id}`, on: lot.leaving.by ?? null, code: 'leaves', ...about });
  const isAired = lot.chores?.some(({ work }) => work === 'air' || work === 'refold');
  if (item.care.includes('heirloom') && !isAired) {
    const on = toDay(addMonths(lot.lookedAtMs ?? lot.sinceMs, AIR_MONTHS));
    dues.push({ key: `air-${lot.id}`, on, code: 'air', ...about });
  }
  return dues;
}

/**
 * All that comes round by itself, until a day: what is due now first, then by its day. What goes bad, needles and chores, what was lent,
 * is being mended or waits to be washed, what leaves, what is below its mark, projects by their day, and the turns of the seasons.
 */
export function listDue(household: Household, nowMs: number, untilDay: string): Due[] {
  const today = toDay(nowMs);
  const dues: Due[] = [];
  const stocked = new Map<Item, Lot[]>();
  for (const lot of household.lots.values()) {
    const item = household.items.get(lot.itemId);
    if (!item || lot.state === 'gone') continue;
    if (item.restockBelow !== undefined) {
      const lots = stocked.get(item);
      if (lots) lots.push(lot);
      else stocked.set(item, [lot]);
    }
    dues.push(...listOfLot(item, lot, nowMs));
  }
  for (const [item, lots] of stocked)
    if (computeStock(item, lots).amount < item.restockBelow!)
      dues.push({ key: `restock-${item.id}`, on: null, code: 'restock', item, lotId: lots[0]!.id });
  for (const project of household.projects.values())
    if (project.due !== undefined && !isOver(project))
      dues.push({ key: `project-${project.id}`, on: project.due, code: 'project', project });
  for (const season of household.settings.seasons ?? [])
    for (const way of ['goes', 'comes'] as const) {
      const on = getNext(way === 'goes' ? season.goesOn : season.comesOn, today);
      dues.push({ key: `season-${season.id}-${way}`, on, code: 'season', season, way });
    }
  return dues
    .filter(({ on }) => on === null || on <= untilDay)
    .toSorted((a, b) =>
      (a.on ?? today) < (b.on ?? today) ? -1 : (a.on ?? today) > (b.on ?? today) ? 1 : a.key < b.key ? -1 : 1,
    );
}
