import { computePackages } from '../src/core/measure/index.ts';
import { computeShare } from '../src/core/packing/index.ts';
import { createRandom, pick, type Random } from '../src/core/random/index.ts';
import {
  createLooseLot,
  DEFAULT_SETTINGS,
  type Household,
  type Item,
  type ItemId,
  type Lot,
  type LotId,
  type Place,
  type PlaceId,
  type UnitSpec,
} from '../src/core/records/index.ts';
import { computeSlots, computeSpace, createPlaceTree } from '../src/core/storage/index.ts';
import { createBareRoom } from '../src/core/room/index.ts';
import { STATIONS } from '../src/sample/stations.ts';

/** Sizes of the instances that the engine is measured on: lots and places. */
export const SIZES = {
  xs: { lots: 36, places: 12 },
  s: { lots: 120, places: 30 },
  m: { lots: 600, places: 90 },
  l: { lots: 3000, places: 300 },
  xl: { lots: 20_000, places: 1500 },
} as const;
export type SizeName = keyof typeof SIZES;

/** Places of a family of things, and things of that family, as shares of all. */
const FAMILIES = {
  cloth: { lots: 0.55, places: 0.5 },
  pattern: { lots: 0.2, places: 0.2 },
  notion: { lots: 0.15, places: 0.25 },
  thread: { lots: 0.1, places: 0.05 },
} as const;
type Family = keyof typeof FAMILIES;
const FAMILY_NAMES = Object.keys(FAMILIES) as Family[];

const PLACES_A_ROOM = 150;

/** Parts of a whole number that are as near to the shares as can be, each at least one. */
function apportion(whole: number, share: 'lots' | 'places'): Record<Family, number> {
  const parts = { cloth: 0, pattern: 0, notion: 0, thread: 0 };
  for (const family of FAMILY_NAMES) parts[family] = Math.max(1, Math.round(whole * FAMILIES[family][share]));
  parts.cloth += whole - FAMILY_NAMES.reduce((sum, family) => sum + parts[family], 0);
  return parts;
}

function createUnits(roomId: PlaceId, room: number, counts: Record<Family, number>, pinsEach: number): Place[] {
  const places: Place[] = [];
  let along = 0;
  let unit = 0;
  const add = (spec: Partial<UnitSpec> & Pick<UnitSpec, 'kind' | 'widthMm' | 'heightMm' | 'depthMm'>, most: number) => {
    const id = `u${room}-${(unit += 1)}` as PlaceId;
    const full: UnitSpec = {
      // Round the room, a new piece every 60 cm; pieces may stand over each other, for only the way counts here.
      wallId: ['north', 'east', 'south', 'west'][Math.floor(along / 3200) % 4]!,
      xMm: along % 3200,
      yMm: 0,
      boardMm: 16,
      columns: 1,
      rows: 1,
      isAnchored: true,
      loadG: undefined,
      ...spec,
    };
    along += 610;
    places.push({ id, parentId: roomId, level: 'unit', name: id, order: unit, unit: full });
    const layout = computeSlots(full);
    if (!layout.ok) throw new Error(layout.fault.code);
    const slots = layout.slots.slice(0, most);
    // Drawers as of glass: what is passed in them does not hang on how full they are, which no linear programme says.
    for (const [order, { name, slot: plain }] of slots.entries()) {
      const slot = { ...plain, isSeeThrough: true };
      places.push({ id: `${id}-${order}` as PlaceId, parentId: id, level: 'slot', name, order, slot });
    }
    return slots.length;
  };
  for (let left = counts.cloth; left > 0;)
    left -= add({ kind: 'cubes', widthMm: 1114, heightMm: 1480, depthMm: 390, columns: 3, rows: 4 }, left);
  for (let left = counts.pattern; left > 0;)
    left -= add({ kind: 'bookcase', widthMm: 800, heightMm: 1480, depthMm: 320, rows: 4 }, left);
  for (let left = counts.notion; left > 0;)
    left -= add({ kind: 'drawers', widthMm: 480, heightMm: 900, depthMm: 450, rows: 5, boardMm: 12 }, left);
  for (let left = counts.thread; left > 0; left -= 1) {
    const columns = Math.ceil(Math.sqrt(pinsEach * 2));
    const rows = Math.max(1, Math.round(pinsEach / columns));
    add({ kind: 'spoolRack', widthMm: columns * 40, heightMm: rows * 40, depthMm: 75, yMm: 1000, boardMm: 0 }, 1);
  }
  return places;
}

/** A household of rooms for so many places, of each family of things its share. */
function createPlaces(lots: number, places: number, fill: number): Place[] {
  const rooms = Math.ceil(places / PLACES_A_ROOM);
  const all = apportion(places, 'places');
  const pinsEach = Math.max(1, Math.round(apportion(lots, 'lots').thread / fill / all.thread));
  const made: Place[] = [];
  for (let r = 0; r < rooms; r += 1) {
    const counts = { ...all };
    for (const family of FAMILY_NAMES)
      counts[family] = Math.floor((all[family] * (r + 1)) / rooms) - Math.floor((all[family] * r) / rooms);
    const id = `room-${r}` as PlaceId;
    const stations = [
      { id: STATIONS.cutting, name: 'Cutting', at: { xMm: 2000, yMm: 1800 } },
      { id: STATIONS.sewing, name: 'Sewing', at: { xMm: 2000, yMm: 900 } },
      { id: STATIONS.pressing, name: 'Pressing', at: { xMm: 1000, yMm: 1500 } },
    ];
    const bare = createBareRoom(id, `Room ${r + 1}`, r, r === 0 ? stations : [], () => `door-${r}`);
    made.push(bare, ...createUnits(id, r, counts, pinsEach));
  }
  return made;
}

interface Draft {
  readonly family: Family;
  readonly group: number;
  readonly size: number;
}

/** Groups of five to sixty, of which the small ones are the more frequent. */
function createDrafts(counts: Record<Family, number>, random: Random): Draft[] {
  const drafts: Draft[] = [];
  let group = 0;
  for (const family of FAMILY_NAMES)
    for (let left = counts[family]; left > 0; group += 1) {
      const wanted = Math.round(5 * 12 ** (random() ** 1.5));
      const size = left - wanted < 5 ? left : wanted;
      for (let i = 0; i < size; i += 1) drafts.push({ family, group, size: 0.3 + 1.7 * random() ** 2 });
      left -= size;
    }
  return drafts;
}

function createThing(draft: Draft, n: number, factor: number, random: Random): { item: Item; lot: Lot } {
  const id = `i${n}` as ItemId;
  const colour = `#${Math.floor(random() * 0xffffff)
    .toString(16)
    .padStart(6, '0')}`;
  const base = {
    id,
    notes: '',
    name: `thing ${n}`,
    // A few are wanted daily, most once in a season.
    usesPerMonth: Math.round(100 * 0.1 * 120 ** (random() ** 2.2)) / 100,
    stationId: pick(random, Object.values(STATIONS)),
    care: [],
    colours: [colour],
  };
  const size = draft.size * factor;
  const group = `g${draft.group}`;
  const of = (item: Item, lengthMm?: number) => ({
    item,
    lot: createLooseLot(`l${n}` as LotId, item, 1, lengthMm, 0),
  });
  switch (draft.family) {
    case 'cloth':
      return of(
        {
          ...base,
          kind: 'fabric',
          forms: ['board', 'file'],
          fabric: {
            fibre: group,
            cloth: 'poplin',
            widthMm: 1120,
            grammageGsm: 130,
            layerMm: 0.26,
            stacking: 1.25,
            print: 'solid',
          },
        },
        2600 * size,
      );
    case 'pattern':
      return of({
        ...base,
        kind: 'pattern',
        forms: ['envelope'],
        pattern: {
          number: draft.group * 100 + (n % 100),
          garment: 'skirt',
          widthMm: 155,
          heightMm: 215,
          thicknessMm: 8 * size,
          isMade: false,
        },
      });
    case 'thread':
      return of({
        ...base,
        kind: 'thread',
        forms: ['spool'],
        thread: { fibre: 'polyester', use: group, tex: 27, diameterMm: 26, heightMm: 52, massG: 14 },
      });
    case 'notion': {
      const side = 90 * Math.cbrt(size);
      return of({
        ...base,
        kind: 'notion',
        forms: ['loose'],
        box: {
          type: group,
          widthMm: side,
          depthMm: side,
          heightMm: side,
          massG: 60,
          isSoft: true,
          hangHoleMm: undefined,
        },
      });
    }
  }
}

/**
 * A seeded household of made-up things, none of which has a place yet, and of places that all of them together fill
 * to `fill` (0 to 1), each family of things its own kind of place. All shares add up exactly, so that what fits by
 * sum is packed, and a mixed-integer programme of it is exact.
 */
export function createInstance(lots: number, places: number, fill: number, seed: number): Household {
  const made = createPlaces(lots, places, fill);
  const tree = createPlaceTree(new Map(made.map((place) => [place.id, place])));
  const spaces = tree.leaves.map((place) => computeSpace(tree, place));
  const drafts = createDrafts(apportion(lots, 'lots'), createRandom(seed));
  const counts = apportion(places, 'places');
  const kindOf = (family: Family) => {
    const shape = { cloth: 350, pattern: 768, notion: 456, thread: 0 }[family];
    return spaces.find(
      (space) =>
        (family === 'thread' ? space.mode === 'pins' : Math.abs(space.widthMm - shape) < 3) && space.mode !== 'area',
    );
  };
  const things: { item: Item; lot: Lot }[] = [];
  for (const family of FAMILY_NAMES) {
    const space = kindOf(family);
    if (!space) throw new Error(`no place for ${family}`);
    const mine = drafts.flatMap((draft, n) => (draft.family === family ? [{ draft, n }] : []));
    const make = (factor: number) =>
      mine.map(({ draft, n }) => createThing(draft, n, factor, createRandom(seed * 7919 + n)));
    const filled = (factor: number) =>
      make(factor).reduce((sum, { item, lot }) => {
        const shares = computePackages(item, lot, DEFAULT_SETTINGS).flatMap((pkg) => {
          const fit = computeShare(pkg, space);
          return fit.ok ? [fit.share] : [];
        });
        return sum + Math.min(...shares);
      }, 0) / counts[family];
    let [low, high] = [0.02, 20];
    for (let i = 0; i < (family === 'thread' ? 0 : 30); i += 1) {
      const mid = Math.sqrt(low * high);
      if (filled(mid) > fill) high = mid;
      else low = mid;
    }
    things.push(...make(low));
  }
  return {
    // An empty place and a run of numbers are worth nothing here: the programme that is to be beaten does not know of them.
    settings: {
      ...DEFAULT_SETTINGS,
      estimates: DEFAULT_SETTINGS.estimates,
      sorting: { ...DEFAULT_SETTINGS.sorting, pattern: { ...DEFAULT_SETTINGS.sorting.pattern, order: 'name' } },
    },
    places: new Map(made.map((place) => [place.id, place])),
    items: new Map(things.map(({ item }) => [item.id, item])),
    lots: new Map(things.map(({ lot }) => [lot.id, lot])),
    plans: new Map(),
    projects: new Map(),
  };
}
