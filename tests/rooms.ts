import { it } from 'vitest';
import { checkPlan } from '../src/check/index.ts';
import type {
  CareFlag,
  Household,
  Item,
  Lot,
  Place,
  PlaceId,
  Settings,
  StationId,
  StowForm,
} from '../src/core/records/index.ts';
import { USUAL_BIN } from '../src/core/storage/index.ts';
import { createRun, type Solution } from '../src/solver/solve.ts';
import {
  createCloth,
  createHousehold,
  createLot,
  createPattern,
  createThing,
  CUTTING,
  ROOM,
  SEWING,
  createUnit,
} from './household.ts';

/** Small rooms with what one puts in them, planned and looked at. */
export const PRESSING = 'st-press' as StationId;

/** A thing with a lot of it; more things than one are numbered. */
export interface Owned {
  readonly item: Item;
  readonly lot: Lot;
}

const own = (items: readonly Item[], at: string | null = null, change: Partial<Lot> = {}): Owned[] =>
  items.map((item) => ({ item, lot: createLot(item, at, change) }));
const number = (n: number, name: string, make: (id: string) => Item) =>
  Array.from({ length: n }, (_, i) => make(`${name} ${i + 1}`));

interface Extra {
  readonly uses?: number;
  readonly at?: string;
  readonly care?: CareFlag[];
  readonly station?: StationId;
}

const extraOf = ({ uses = 2, care = [], station = CUTTING }: Extra) => ({
  usesPerMonth: uses,
  care,
  stationId: station,
});

/** Lengths of cloth, folded or rolled or wound. */
export function cloths(
  n: number,
  fibre: string,
  { lengthMm = 2000, forms = ['stack'], ...extra }: Extra & { lengthMm?: number; forms?: StowForm[] } = {},
): Owned[] {
  const fabric = { ...createCloth('x').fabric!, fibre, cloth: fibre };
  return own(
    number(n, fibre, (id) => createCloth(id, { fabric, forms, ...extraOf(extra) })),
    extra.at ?? null,
    { lengthMm, ...(extra.at && { form: forms[0]!, homeForm: forms[0]! }) },
  );
}

/** Boxes, packets, tools: so wide, deep and high, mm. */
export function things(
  n: number,
  kind: 'notion' | 'tool' | 'other',
  type: string,
  [widthMm, depthMm, heightMm]: readonly [number, number, number],
  {
    massG = 60,
    isSoft = false,
    hangHoleMm,
    watts,
    forms = isSoft ? ['loose', 'box'] : hangHoleMm ? ['peg', 'box'] : ['box'],
    ...extra
  }: Extra & { massG?: number; isSoft?: boolean; hangHoleMm?: number; watts?: number; forms?: StowForm[] } = {},
): Owned[] {
  const box = {
    type,
    widthMm,
    depthMm,
    heightMm,
    massG,
    isSoft,
    ...(hangHoleMm && { hangHoleMm }),
    ...(watts && { watts }),
  };
  return own(
    number(n, type, (id) => createThing(id, { kind, forms, box, ...extraOf(extra) })),
    extra.at ?? null,
  );
}

export function patterns(n: number, extra: Extra = {}): Owned[] {
  return own(
    Array.from({ length: n }, (_, i) => createPattern(`pattern ${i + 1}`, 100 + i, extraOf(extra))),
    extra.at ?? null,
  );
}

/** Odd bits of a cloth. */
export function scraps(n: number, fibre: string, extra: Extra = {}): Owned[] {
  const fabric = { ...createCloth('x').fabric!, fibre, cloth: fibre };
  return own(
    number(n, `${fibre} bits`, (id) =>
      createCloth(id, { kind: 'scrap', fabric, scrap: { cut: 'odd' }, forms: ['loose', 'bag'], ...extraOf(extra) }),
    ),
    extra.at ?? null,
    { areaMm2: 0.3e6, lengthMm: undefined as unknown as number },
  ).map(({ item, lot: { lengthMm: _, ...lot } }) => ({ item, lot }));
}

export function kits(n: number, extra: Extra = {}): Owned[] {
  const box = { type: 'kit', widthMm: 300, depthMm: 200, heightMm: 80, massG: 800, isSoft: true };
  return own(
    number(n, 'kit', (id) =>
      createThing(id, {
        kind: 'kit',
        forms: ['loose', 'box'],
        box,
        ...extraOf({ station: SEWING, ...extra }),
      }),
    ),
    extra.at ?? null,
  );
}

/** A bin that stands in a compartment. */
export function bin(id: string, slotId: string): Place {
  return {
    id: id as PlaceId,
    parentId: slotId as PlaceId,
    level: 'container',
    name: id,
    order: 0,
    container: { ...USUAL_BIN, outerWidthMm: 320, outerDepthMm: 340, outerHeightMm: 310 },
  };
}

/** The room with the stations that a test wants, where it wants them. */
export function withStations(stations: Record<string, readonly [xMm: number, yMm: number]>): Place {
  return {
    ...ROOM,
    room: {
      ...ROOM.room!,
      stations: Object.entries(stations).map(([id, [xMm, yMm]]) => ({
        id: id as StationId,
        name: id,
        at: { xMm, yMm },
      })),
    },
  };
}

export interface Planned {
  readonly solution: Solution;
  /** Places of the things whose names begin so, each once. */
  readonly placesOf: (name: string) => string[];
  /** Names of what is in places whose ids begin so, without their numbers, each once. */
  readonly inside: (place: string) => string[];
  readonly unplaced: string[];
}

/** Plans a room, and has the checker go over it. */
export function plan(
  places: readonly Place[],
  owned: readonly (readonly Owned[])[],
  seed: number,
  settings: Partial<Settings> = {},
  steps = 60_000,
): Planned {
  const all = owned.flat();
  const household = createHousehold(
    places,
    all.map(({ item }) => item),
    all.map(({ lot }) => lot),
    settings,
  );
  return planHousehold(household, seed, steps);
}

export function planHousehold(household: Household, seed: number, steps = 60_000): Planned {
  const run = createRun(household, seed);
  run.expect(steps);
  run.advance(steps);
  const solution = run.getSolution();
  const { findings } = checkPlan(household, solution, solution.spots);
  if (findings.length > 0) throw new Error(JSON.stringify(findings[0]));
  const nameOf = (lotId: Lot['id']) => household.items.get(household.lots.get(lotId)!.itemId)!.name;
  const unique = (list: readonly string[]) => [...new Set(list)].toSorted();
  return {
    solution,
    placesOf: (name) =>
      unique(solution.assignments.flatMap(({ lotId, placeId }) => (nameOf(lotId).startsWith(name) ? [placeId] : []))),
    inside: (place) =>
      unique(
        solution.assignments.flatMap(({ lotId, placeId }) =>
          placeId.startsWith(place) ? [nameOf(lotId).replace(/ \d+$/, '')] : [],
        ),
      ),
    unplaced: solution.unplaced.map(({ lotId }) => nameOf(lotId)),
  };
}

/** What a plan must look like to the one who lives with it: a small room, planned with two seeds. */
export const scenario = (name: string, look: (seed: number) => void) => it.each([1, 2])(`${name} (seed %i)`, look);

/** Furniture of a usual size, so far from the left. */
export const tower = (id: string, rows: number, xMm: number, more = {}, slots = {}) =>
  createUnit(id, { kind: 'drawers', rows, xMm, widthMm: 440, heightMm: 190 * rows + 16, depthMm: 420, ...more }, slots);
export const cubes = (id: string, columns: number, xMm: number, more = {}, slots = {}) =>
  createUnit(id, { columns, xMm, widthMm: 350 * columns + 16 * (columns + 1), yMm: 700, ...more }, slots);
export const shelves = (id: string, rows: number, xMm: number, more = {}, slots = {}) =>
  createUnit(
    id,
    { kind: 'bookcase', rows, xMm, widthMm: 800, heightMm: 366 * rows + 16, depthMm: 320, ...more },
    slots,
  );
export const board = (id: string, xMm: number, size: readonly [number, number], more = {}) =>
  createUnit(id, {
    kind: 'pegboard',
    xMm,
    yMm: 1100,
    widthMm: size[0],
    heightMm: size[1],
    depthMm: 12,
    boardMm: 0,
    ...more,
  });

/** A packet of pins or buttons, mm; and a tool that hangs by a hole. */
export const PACKET = [70, 70, 25] as const;
export const pegged = { hangHoleMm: 10 };
