import { createChange } from '../core/daybook/index.ts';
import { createRandom, type Random } from '../core/random/index.ts';
import type {
  Change,
  Chronicle,
  DaybookEvent,
  EventId,
  Household,
  Item,
  ItemId,
  Lot,
  LotId,
  Place,
  PlaceId,
} from '../core/records/index.ts';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const MONTH_MS = 30.4 * DAY_MS;
const YEAR_MS = 365 * DAY_MS;
/** Nobody writes down every use. */
const WRITTEN = 0.25;
const MOST_USES = 3;

const MADE_FOR = ['tern smock', 'sail bag', 'fair skirt', 'hatch curtain', 'berth quilt', 'apron', 'net tote', 'cap'];
const LENT_TO = ['Ines', 'the rowing club', 'Oda next door'];

/** A line before it has its number; the changes follow from the records before and after it. */
interface Line {
  readonly atMs: number;
  readonly type: DaybookEvent['type'];
  readonly subject: string;
  readonly before: Lot | null;
  readonly after: Lot;
  readonly amount?: number;
  readonly forWhat?: string;
}

const pick = <T>(random: Random, of: readonly T[]): T => of[Math.floor(random() * of.length)]!;

/** Between ten in the morning and ten at night of that day, or of the day before where that would be later. */
function toEvening(random: Random, ms: number): number {
  const at = Math.floor(ms / DAY_MS) * DAY_MS + (10 + Math.floor(random() * 144) / 12) * HOUR_MS;
  return at < ms ? at : at - DAY_MS;
}

function without(lot: Lot, ...fields: (keyof Lot)[]): Lot {
  return Object.fromEntries(
    Object.entries(lot).filter(([field]) => !fields.includes(field as keyof Lot)),
  ) as unknown as Lot;
}

/** The lines that made a lot what it is, the last of them first: it was taken out, cut from, lent and came back. */
function goBack(random: Random, item: Item, lot: Lot, startMs: number): Line[] {
  const lines: Line[] = [];
  const subject = item.name;
  const months = (lot.sinceMs - startMs) / MONTH_MS;
  const uses = Math.max(1, Math.min(MOST_USES, Math.round(item.usesPerMonth * months * WRITTEN * random() * 2)));
  let now = lot;
  const wasBefore = (before: Lot, type: Line['type'], more: Partial<Line> = {}) => {
    lines.push({ atMs: now.sinceMs, type, subject, before, after: now, ...more });
    now = before;
  };
  const isAway = lot.homeId !== undefined && lot.state === 'out';
  for (let n = uses; n > 0; n -= 1) {
    if (lot.homeId === undefined || (lot.state !== 'in' && !isAway)) break;
    const room = now.sinceMs - startMs;
    const outMs = toEvening(random, now.sinceMs - Math.min(room / 3, (1 + random() * 2) * DAY_MS));
    const home = { state: 'in', placeId: lot.homeId, order: lot.homeOrder, form: lot.homeForm } as const;
    // Every other time the one before is a while earlier; the first time it had lain there since long ago.
    const thenMs =
      n === 1
        ? startMs - Math.ceil(random() * 90) * DAY_MS
        : toEvening(random, outMs - (outMs - startMs) * (random() / n));
    if (now.state === 'in') {
      const out = without({ ...now, state: 'out', sinceMs: outMs }, 'placeId');
      if (item.kind === 'tool' && random() < 0.08) {
        const lentTo = pick(random, LENT_TO);
        wasBefore({ ...out, state: 'lent', lentTo, sinceMs: outMs - 9 * DAY_MS }, 'returned');
        wasBefore({ ...now, ...home, sinceMs: thenMs - 9 * DAY_MS }, 'lent', { subject: `${subject} to ${lentTo}` });
        continue;
      }
      wasBefore(out, 'putBack');
      if (lot.lengthMm !== undefined && item.kind === 'fabric' && random() < 0.4) {
        const amount = 250 + 50 * Math.floor(random() * 26);
        const cutMs = outMs - Math.min((outMs - thenMs) / 2, HOUR_MS);
        const uncut = { ...now, lengthMm: now.lengthMm! + amount, sinceMs: cutMs };
        wasBefore(uncut, 'cut', { amount, forWhat: pick(random, MADE_FOR) });
      }
    }
    wasBefore({ ...now, ...home, sinceMs: thenMs }, 'tookOut');
  }
  return lines;
}

/** Things that came within the year: their lots, as they were when they came, are new with them. */
function findArrival(
  random: Random,
  lots: readonly Lot[],
  histories: readonly Line[][],
  startMs: number,
): number | null {
  const firsts = histories.map((lines, i) => lines.at(-1)?.atMs ?? lots[i]!.sinceMs);
  const isStill = histories.map((lines) => lines.length === 0);
  const first = Math.min(...firsts);
  const fixed = lots.filter((_, i) => isStill[i]).map((lot) => lot.sinceMs);
  if (fixed.length > 0) return fixed.every((ms) => ms === first) ? first : null;
  const atMs = first - (2 + random() * 20) * DAY_MS;
  return random() < 0.45 && atMs > startMs ? atMs : null;
}

interface Past {
  readonly lines: readonly { readonly atMs: number; readonly event: Omit<DaybookEvent, 'id' | 'seq'> }[];
  readonly items: ReadonlyMap<ItemId, Item>;
  readonly lots: ReadonlyMap<LotId, Lot>;
}

/** What was there a year ago, and what became of it since. */
function remember({ items, lots }: Household, startMs: number, random: Random): Past {
  const byItem = new Map<ItemId, Lot[]>();
  for (const lot of lots.values()) byItem.set(lot.itemId, [...(byItem.get(lot.itemId) ?? []), lot]);
  const then = { items: new Map(items), lots: new Map(lots) };
  const lines: { atMs: number; event: Omit<DaybookEvent, 'id' | 'seq'> }[] = [];
  const add = (atMs: number, rest: Omit<DaybookEvent, 'id' | 'seq' | 'atMs'>) =>
    lines.push({ atMs, event: { ...rest, atMs: Math.round(atMs) } });
  for (const [itemId, own] of byItem) {
    const item = items.get(itemId)!;
    const histories = own.map((lot) => (lot.sinceMs > startMs ? goBack(random, item, lot, startMs) : []));
    const arrivedMs = own.every((lot) => lot.sinceMs > startMs) ? findArrival(random, own, histories, startMs) : null;
    const came: Change[] = [];
    for (const [i, lot] of own.entries()) {
      const history = histories[i]!;
      const first = history.at(-1)?.before ?? lot;
      const began = arrivedMs === null ? first : { ...first, sinceMs: Math.round(arrivedMs) };
      for (const [n, line] of history.entries()) {
        const { atMs, before, after, ...rest } = line;
        const from = n === history.length - 1 ? began : before;
        const round = (one: Lot | null) => one && { ...one, sinceMs: Math.round(one.sinceMs) };
        const change = createChange('lots', lot.id, round(from), round(after));
        const told = rest.amount === undefined ? {} : { amountUnit: 'length' as const };
        if (change) add(atMs, { ...rest, ...told, changes: [change] });
      }
      if (arrivedMs === null) then.lots.set(lot.id, { ...began, sinceMs: Math.round(began.sinceMs) });
      else {
        then.lots.delete(lot.id);
        came.push(createChange('lots', lot.id, null, began)!);
      }
    }
    if (arrivedMs === null) continue;
    then.items.delete(itemId);
    const changes = [createChange('items', itemId, null, item)!, ...came];
    add(arrivedMs, { type: 'received', subject: item.name, changes });
  }
  return { lines, ...then };
}

/** Labels were printed and places counted at the times that those places say. */
function rememberPlaces({ places, settings }: Household, startMs: number) {
  const then = new Map<PlaceId, Place>(places);
  const labelled = new Map<number, Change[]>();
  const lines: Past['lines'][number][] = [];
  for (const place of places.values()) {
    const { label, countedAtMs, ...bare } = place;
    const counted: Place = countedAtMs === undefined ? bare : { ...bare, countedAtMs };
    const printedMs = label?.printedAtMs ?? startMs;
    if (printedMs > startMs) {
      const change = createChange('places', place.id, counted, { ...counted, label })!;
      labelled.set(printedMs, [...(labelled.get(printedMs) ?? []), change]);
      then.set(place.id, counted);
    }
    if (countedAtMs === undefined || countedAtMs <= startMs) continue;
    // It was counted before it was labelled, or after: each line says only what it changed.
    const changes = [createChange('places', place.id, bare, counted)!];
    lines.push({ atMs: countedAtMs, event: { atMs: countedAtMs, type: 'counted', subject: place.name, changes } });
    const known = then.get(place.id)!;
    const { countedAtMs: _counted, ...uncounted } = known;
    then.set(place.id, uncounted);
  }
  for (const [atMs, changes] of labelled)
    lines.push({ atMs, event: { atMs, type: 'relabelled', subject: settings.name, changes } });
  return { lines, places: then };
}

/**
 * A year in which a household became what it is: what was received, cut for something, taken out and put back, lent, counted
 * and labelled. It ends in the very household that was given; `begin` makes the daybook's first line of what was there. Same
 * household, same year.
 */
export function liveYear(
  end: Household,
  nowMs: number,
  begin: (then: Household, atMs: number) => Chronicle,
): Chronicle {
  const startMs = nowMs - YEAR_MS;
  const random = createRandom(end.lots.size);
  const things = remember(end, startMs, random);
  const rooms = rememberPlaces(end, startMs);
  const then: Household = {
    ...end,
    items: things.items as Household['items'],
    lots: things.lots as Household['lots'],
    places: rooms.places,
  };
  const { events } = begin(then, startMs);
  const lines = [...things.lines, ...rooms.lines].toSorted((a, b) => a.atMs - b.atMs);
  const year = lines.map(({ event }, i): DaybookEvent => ({ id: `s${i + 1}` as EventId, seq: i + 1, ...event }));
  return { household: end, events: [...events, ...year] };
}
