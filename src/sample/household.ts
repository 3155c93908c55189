import { computePackages } from '../core/measure/index.ts';
import { computeShare } from '../core/packing/index.ts';
import { createRandom, pick, shuffle } from '../core/random/index.ts';
import {
  DEFAULT_SETTINGS,
  type Change,
  type Chronicle,
  type EventId,
  type Household,
  type Item,
  type Lot,
  type Place,
  type PlaceId,
  type StowForm,
} from '../core/records/index.ts';
import { computeSpace, createPlaceTree } from '../core/storage/index.ts';
import { createBareRoom, createRooms } from './room.ts';
import { ThingMaker, type Thing } from './things.ts';

/** Demo data carries a fixed date, so that it is the same every time. */
export const SAMPLE_NOW_MS = Date.UTC(2026, 9, 1, 9, 0, 0);

/** One loft holds this many lots; bigger samples get more lofts. */
const LOTS_PER_LOFT = 320;
/** Shares of the kinds among the items. */
const KIND_SHARES = { fabric: 0.35, pattern: 0.2, thread: 0.18, notion: 0.15, tool: 0.12 } as const;

function createThings(maker: ThingMaker, lots: number): Thing[] {
  const things: Thing[] = [];
  const made = { fabric: 0, pattern: 0, thread: 0, notion: 0, tool: 0 };
  let count = 0;
  while (count < lots) {
    // The kind that is furthest behind its share comes next.
    const kind = (Object.keys(KIND_SHARES) as (keyof typeof KIND_SHARES)[]).reduce((a, b) =>
      made[a] / KIND_SHARES[a] <= made[b] / KIND_SHARES[b] ? a : b,
    );
    let thing: Thing;
    if (kind === 'fabric') thing = maker.createFabric();
    else if (kind === 'pattern') thing = maker.createPattern();
    else if (kind === 'thread') thing = maker.createThread();
    else if (kind === 'notion') thing = maker.createNotion(made.notion);
    else thing = maker.createTool(made.tool);
    made[kind] += 1;
    things.push({ ...thing, lots: thing.lots.slice(0, lots - count) });
    count += Math.min(thing.lots.length, lots - count);
  }
  return things;
}

/**
 * Puts lots where a busy sewist would have left them: half the time with their kin, else wherever there
 * was room, sometimes a bit more than there was, and some nowhere.
 */
function scatter(household: Household, things: readonly Thing[], seed: number): Lot[] {
  const random = createRandom(seed + 1);
  const tree = createPlaceTree(household.places);
  const leaves = tree.leaves.map((place) => ({ place, space: computeSpace(tree, place), fill: 0, massG: 0, count: 0 }));
  const habits = new Map<string, (typeof leaves)[number]>();
  const placed: Lot[] = [];
  for (const { item, lot } of shuffle(
    random,
    things.flatMap((thing) => thing.lots.map((one) => ({ item: thing.item, lot: one }))),
  )) {
    const packages = computePackages(item, lot, household.settings);
    const offers: { leaf: (typeof leaves)[number]; form: StowForm; share: number; massG: number }[] = [];
    const most = random() < 0.1 ? 1.12 : 0.95;
    for (const leaf of leaves)
      for (const pkg of packages) {
        const fit = computeShare(pkg, leaf.space);
        if (fit.ok && fit.share <= 1 && leaf.fill + fit.share <= most)
          offers.push({ leaf, form: pkg.form, share: fit.share, massG: pkg.massG });
      }
    if (offers.length === 0 || random() < 0.04) {
      placed.push(lot);
      continue;
    }
    const habit = habits.get(`${item.kind} ${item.fabric?.fibre ?? item.thread?.use ?? item.box?.type ?? ''}`);
    const usual = offers.filter((offer) => offer.leaf === habit);
    const offer = usual.length > 0 && random() < 0.55 ? pick(random, usual) : pick(random, offers);
    habits.set(`${item.kind} ${item.fabric?.fibre ?? item.thread?.use ?? item.box?.type ?? ''}`, offer.leaf);
    offer.leaf.fill += offer.share;
    offer.leaf.massG += offer.massG;
    const { leaf, form } = offer;
    const id = leaf.place.id;
    placed.push({
      ...lot,
      form,
      homeForm: form,
      state: 'in',
      placeId: id,
      homeId: id,
      order: leaf.count,
      homeOrder: leaf.count,
    });
    leaf.count += 1;
  }
  return placed;
}

function createChronicle(household: Household): Chronicle {
  const changes: Change[] = [];
  const came = (table: Change['table'], id: string, record: object) =>
    changes.push({ table, id, before: null, after: record as Record<string, unknown> });
  for (const place of household.places.values()) came('places', place.id, place);
  for (const item of household.items.values()) came('items', item.id, item);
  for (const lot of household.lots.values()) came('lots', lot.id, lot);
  const { settings } = household;
  const was: Record<string, unknown> = {};
  const is: Record<string, unknown> = {};
  for (const [key, value] of Object.entries(settings))
    if (value !== DEFAULT_SETTINGS[key as keyof typeof settings]) {
      was[key] = DEFAULT_SETTINGS[key as keyof typeof settings];
      is[key] = value;
    }
  changes.push({ table: 'settings', id: 'household', before: was, after: is });
  return {
    household,
    events: [{ id: 'e0' as EventId, seq: 0, atMs: SAMPLE_NOW_MS, type: 'catalogued', subject: settings.name, changes }],
  };
}

function byId<T extends { id: string }>(records: readonly T[]): Map<T['id'], T> {
  return new Map(records.map((record) => [record.id, record]));
}

/**
 * A messy household of `lots` lots. 320 with seed 1 is Heron Loft, the demo; other sizes and seeds are
 * for tests and benches. Same arguments, same household.
 */
export function createSampleHousehold(seed = 1, lots = LOTS_PER_LOFT): Chronicle {
  const places = byId<Place>(createRooms(Math.max(1, Math.round(lots / LOTS_PER_LOFT)))) as Map<PlaceId, Place>;
  const things = createThings(new ThingMaker(createRandom(seed), SAMPLE_NOW_MS), lots);
  const bare: Household = {
    settings: { ...DEFAULT_SETTINGS, name: 'Heron Loft' },
    items: byId<Item>(things.map((thing) => thing.item)),
    lots: new Map(),
    places,
    plans: new Map(),
  };
  const scattered = scatter(bare, things, seed).toSorted((a, b) => Number(a.id.slice(1)) - Number(b.id.slice(1)));
  return createChronicle({ ...bare, lots: byId<Lot>(scattered) });
}

/** A household with a bare room and nothing in it. */
export function createEmptyHousehold(): Chronicle {
  const room = createBareRoom();
  return createChronicle({
    settings: DEFAULT_SETTINGS,
    items: new Map(),
    lots: new Map(),
    places: new Map([[room.id, room]]),
    plans: new Map(),
  });
}
