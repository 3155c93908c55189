import { computePackages, type Package } from '../core/measure/index.ts';
import { computeShare, packPlace } from '../core/packing/index.ts';
import { createRandom, shuffle } from '../core/random/index.ts';
import {
  DEFAULT_SETTINGS,
  type Chronicle,
  type Household,
  type Item,
  type Lot,
  type Place,
  type PlaceId,
  type Wish,
} from '../core/records/index.ts';
import { computeSpace, createPlaceTree, type Space } from '../core/storage/index.ts';
import { createChronicle, createLived, SAMPLE_NOW_MS } from './chronicle.ts';
import { addProjects } from './projects.ts';
import { createRooms } from './room.ts';
import { countRooms, labelRooms } from './labels.ts';
import { ThingMaker, type MadeThing } from './things.ts';

/** One loft holds this many lots; bigger samples get more lofts. */
const LOTS_PER_LOFT = 320;
/** Shares of the kinds among the items. */
const KIND_SHARES = {
  fabric: 0.34,
  pattern: 0.19,
  thread: 0.17,
  notion: 0.14,
  tool: 0.11,
  scrap: 0.02,
  kit: 0.012,
  other: 0.018,
} as const;

function createThings(maker: ThingMaker, lots: number): MadeThing[] {
  const things: MadeThing[] = [];
  const made = { fabric: 0, pattern: 0, thread: 0, notion: 0, tool: 0, scrap: 0, kit: 0, other: 0 };
  let count = 0;
  while (count < lots) {
    // The kind that is furthest behind its share comes next.
    const kind = (Object.keys(KIND_SHARES) as (keyof typeof KIND_SHARES)[]).reduce((a, b) =>
      made[a] / KIND_SHARES[a] <= made[b] / KIND_SHARES[b] ? a : b,
    );
    let thing: MadeThing;
    if (kind === 'fabric') thing = maker.createFabric();
    else if (kind === 'pattern') thing = maker.createPattern();
    else if (kind === 'thread') thing = maker.createThread();
    else if (kind === 'notion') thing = maker.createNotion(made.notion);
    else if (kind === 'tool') thing = maker.createTool(made.tool);
    else if (kind === 'scrap') thing = maker.createScrap(made.scrap);
    else if (kind === 'kit') thing = maker.createKit(made.kit);
    else thing = maker.createOther(made.other);
    made[kind] += 1;
    things.push({ ...thing, lots: thing.lots.slice(0, lots - count) });
    count += Math.min(thing.lots.length, lots - count);
  }
  return things;
}

/** So many places are tried before a thing is left lying. */
const TRIES = 8;

/** In a house of many lofts one looks about in a few of them only. */
const NEAR = 150;
function listNear<T>(all: readonly T[], usual: T | undefined, random: () => number): readonly T[] {
  if (all.length <= NEAR) return all;
  const from = Math.floor(random() * (all.length - NEAR));
  const near = all.slice(from, from + NEAR);
  return usual && !near.includes(usual) ? [...near, usual] : near;
}

/** Things of one habit tend to land in one place. */
function habitOf(item: Item): string {
  return `${item.kind} ${item.fabric?.fibre ?? item.thread?.use ?? item.box?.type ?? ''}`;
}

/** One in haste sets a box down as it comes, like a spool, and does not turn its narrow side to the front. */
function setDown(pkg: Package, { mode }: Space): Package {
  return mode === 'line' && pkg.form === 'box' ? { ...pkg, form: 'spool' } : pkg;
}

/**
 * Puts lots where a busy sewist would have left them: half the time with their kin, else wherever there
 * was room, sometimes a bit more than there was, and some nowhere.
 */
function scatter(household: Household, things: readonly MadeThing[], seed: number): Lot[] {
  const random = createRandom(seed + 1);
  const tree = createPlaceTree(household.places);
  const leaves = tree.leaves.map((place) => ({
    place,
    space: computeSpace(tree, place),
    fill: 0,
    count: 0,
    packages: [] as Package[],
  }));
  const habits = new Map<string, (typeof leaves)[number]>();
  const placed: Lot[] = [];
  for (const { item, lot } of shuffle(
    random,
    things.flatMap((thing) => thing.lots.map((one) => ({ item: thing.item, lot: one }))),
  )) {
    const packages = computePackages(item, lot, household.settings);
    const offers: { leaf: (typeof leaves)[number]; pkg: Package; share: number }[] = [];
    // Now and then it is pressed in where there is no room left.
    const isPressed = random() < 0.06;
    const most = isPressed ? 1.12 : 0.95;
    for (const leaf of listNear(leaves, habits.get(habitOf(item)), random))
      for (const pkg of packages) {
        const fit = computeShare(setDown(pkg, leaf.space), leaf.space);
        if (fit.ok && fit.share <= 1 && leaf.fill + fit.share <= most) offers.push({ leaf, pkg, share: fit.share });
      }
    if (offers.length === 0 || random() < 0.04) {
      placed.push(lot);
      continue;
    }
    const habit = habits.get(habitOf(item));
    const usual = offers.filter((offer) => offer.leaf === habit);
    const wanted = usual.length > 0 && random() < 0.75 ? usual : offers;
    const tried = shuffle(random, wanted).slice(0, TRIES);
    const offer = isPressed
      ? tried[0]
      : tried.find(
          ({ leaf, pkg }) => packPlace([...leaf.packages, setDown(pkg, leaf.space)], leaf.space).status === 'packed',
        );
    if (!offer) {
      placed.push(lot);
      continue;
    }
    const { leaf, pkg } = offer;
    const { form } = pkg;
    habits.set(habitOf(item), leaf);
    leaf.fill += offer.share;
    leaf.packages.push(setDown(pkg, leaf.space));
    const { id } = leaf.place;
    // A few things lie about, on the table or by the machine; they have a home all the same.
    const isOut = random() < 0.025;
    placed.push({
      ...lot,
      form,
      homeForm: form,
      state: isOut ? 'out' : 'in',
      placeId: isOut ? undefined : id,
      homeId: id,
      order: leaf.count,
      homeOrder: leaf.count,
    });
    leaf.count += 1;
  }
  return placed;
}

function byId<T extends { id: string }>(records: readonly T[]): Map<T['id'], T> {
  return new Map(records.map((record) => [record.id, record]));
}

/**
 * A messy household of `lots` lots. 320 with seed 1 is Heron Loft, the demo; other sizes and seeds are
 * for tests and benches. Same arguments, same household.
 */
export function createSampleHousehold(seed = 1, lots = LOTS_PER_LOFT): Chronicle {
  const lofts = Math.max(1, Math.round(lots / LOTS_PER_LOFT));
  const messy = createMessy('Heron Loft', createRooms(lofts), seed, lots, [], createRooms(lofts, true));
  return lots === LOTS_PER_LOFT
    ? createLived(
        addProjects(countRooms(labelRooms(ownParts(messy.household), SAMPLE_NOW_MS), SAMPLE_NOW_MS), SAMPLE_NOW_MS),
      )
    : messy;
}

/** Feet and bobbins belong to the sewing machine. */
function ownParts(household: Household): Household {
  const machine = [...household.items.values()].find(({ box }) => box?.type === 'machine');
  if (!machine) return household;
  const items = new Map(household.items);
  for (const item of items.values())
    if (/foot|feet|bobbin case/iu.test(item.name) && item.box?.type === 'machine parts')
      items.set(item.id, { ...item, belongsToId: machine.id });
  return { ...household, items };
}

/** Things of the usual kinds, scattered over some rooms as those were before. */
export function createMessy(
  name: string,
  rooms: readonly Place[],
  seed: number,
  lots: number,
  wishes: readonly Wish[] = [],
  before = rooms,
): Chronicle {
  const things = createThings(new ThingMaker(createRandom(seed), SAMPLE_NOW_MS), lots);
  const bare: Household = {
    settings: { ...DEFAULT_SETTINGS, name, ...(wishes.length > 0 && { wishes: [...wishes] }) },
    items: byId<Item>(things.map((thing) => thing.item)),
    lots: new Map(),
    places: byId<Place>(rooms) as Map<PlaceId, Place>,
    plans: new Map(),
    projects: new Map(),
  };
  const then = { ...bare, places: byId<Place>(before) as Map<PlaceId, Place> };
  const scattered = scatter(then, things, seed).toSorted((a, b) => Number(a.id.slice(1)) - Number(b.id.slice(1)));
  return createChronicle({ ...bare, lots: byId<Lot>(scattered) });
}
