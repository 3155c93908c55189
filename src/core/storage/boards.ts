import { ENGLISH } from '../naming/index.ts';
import type { Place, PlaceId, SlotSpec, UnitSpec } from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { computeSlots, MIN_SLOT_MM, type UnitFault } from './unit.ts';

/** A shelf or upright between compartments of a piece; mm from the piece's lower left corner. */
export interface Board {
  /** The compartments it parts: those below it or left of it first. */
  readonly id: string;
  readonly axis: 'shelf' | 'upright';
  readonly before: readonly PlaceId[];
  readonly after: readonly PlaceId[];
  /** Its lower or left face, and how far that can go. */
  readonly atMm: number;
  readonly leastMm: number;
  readonly mostMm: number;
  readonly thickMm: number;
  /** From end to end. */
  readonly fromMm: number;
  readonly toMm: number;
  /** Part of how the piece is built: it neither moves nor comes out. */
  readonly isFixed: boolean;
}

/** Compartments further from each other than this have no board between them but something else. */
const MOST_BOARD_MM = 60;
const HAIR_MM = 0.5;
/** What is put in between where the piece has no boards of its own. */
const USUAL_BOARD_MM = 5;

/** A slot along one axis: from, to there, and from, to across. */
interface Side {
  readonly id: PlaceId;
  readonly from: number;
  readonly to: number;
  readonly crossFrom: number;
  readonly crossTo: number;
}

function getSide({ id, slot }: Place, axis: Board['axis']): Side {
  const { xMm, yMm, widthMm, heightMm } = slot!;
  const along = { from: yMm, to: yMm + heightMm };
  const across = { from: xMm, to: xMm + widthMm };
  const [a, c] = axis === 'shelf' ? [along, across] : [across, along];
  return { id, from: a.from, to: a.to, crossFrom: c.from, crossTo: c.to };
}

/** Kinds whose compartments are parted by boards; drawers bring their own fronts. */
const HAS_BOARDS = new Set(['cubes', 'bookcase', 'closet']);

function listAlong(unit: UnitSpec, slots: readonly Place[], axis: Board['axis']): Board[] {
  const sides = slots.map((slot) => getSide(slot, axis));
  const layout = computeSlots(unit);
  const grid = layout.ok ? layout.slots.map(({ slot }) => getSide({ id: '' as PlaceId, slot } as Place, axis).to) : [];
  // What touches the same board is one group; small numbers, so every pair is looked at.
  const groups: { before: Side[]; after: Side[] }[] = [];
  for (const before of sides)
    for (const after of sides) {
      const gap = after.from - before.to;
      const overlap = Math.min(before.crossTo, after.crossTo) - Math.max(before.crossFrom, after.crossFrom);
      if (gap < -HAIR_MM || gap > MOST_BOARD_MM || overlap <= HAIR_MM) continue;
      const mine = groups.filter((group) => group.before.includes(before) || group.after.includes(after));
      const merged = {
        before: [...new Set([...mine.flatMap((group) => group.before), before])],
        after: [...new Set([...mine.flatMap((group) => group.after), after])],
      };
      for (const group of mine) groups.splice(groups.indexOf(group), 1);
      groups.push(merged);
    }
  return groups.map(({ before, after }): Board => {
    const at = Math.max(...before.map((side) => side.to));
    const thick = Math.max(0, Math.min(...after.map((side) => side.from)) - at);
    const isOnGrid = grid.some((edge) => Math.abs(edge - at) <= HAIR_MM);
    return {
      id: `${axis} ${before.map((side) => side.id).join(' ')} | ${after.map((side) => side.id).join(' ')}`,
      axis,
      before: before.map((side) => side.id),
      after: after.map((side) => side.id),
      atMm: at,
      leastMm: Math.max(...before.map((side) => side.from)) + MIN_SLOT_MM,
      mostMm: Math.min(...after.map((side) => side.to)) - MIN_SLOT_MM - thick,
      thickMm: thick,
      fromMm: Math.min(...[...before, ...after].map((side) => side.crossFrom)),
      toMm: Math.max(...[...before, ...after].map((side) => side.crossTo)),
      isFixed: isOnGrid && (unit.kind === 'cubes' || axis === 'upright'),
    };
  });
}

/** The boards between the compartments of a piece, shelves before uprights, from below and from the left. */
export function listBoards(unit: UnitSpec, slots: readonly Place[]): Board[] {
  if (!HAS_BOARDS.has(unit.kind)) return [];
  const byPlace = (a: Board, b: Board) => a.fromMm - b.fromMm || a.atMm - b.atMm;
  return [
    ...listAlong(unit, slots, 'shelf').toSorted(byPlace),
    ...listAlong(unit, slots, 'upright').toSorted((a, b) => a.atMm - b.atMm || a.fromMm - b.fromMm),
  ];
}

function withSpan(place: Place, axis: Board['axis'], fromMm: number, toMm: number): Place {
  const span: Partial<SlotSpec> =
    axis === 'shelf' ? { yMm: fromMm, heightMm: toMm - fromMm } : { xMm: fromMm, widthMm: toMm - fromMm };
  return { ...place, slot: { ...place.slot!, ...span } };
}

/** The compartments that change when a board goes to `toMm`, as far as it can go. */
export function moveBoard(slots: readonly Place[], board: Board, toMm: number): Place[] {
  const at = Math.min(board.mostMm, Math.max(board.leastMm, toMm));
  return slots.flatMap((place) => {
    const side = getSide(place, board.axis);
    if (board.before.includes(place.id)) return [withSpan(place, board.axis, side.from, at)];
    if (board.after.includes(place.id)) return [withSpan(place, board.axis, at + board.thickMm, side.to)];
    return [];
  });
}

const PART = / [a-z]$/;

/** The next free letter behind the name: `A1` is parted into `A1 a` and `A1 b`, and `A1 a` again gives `A1 c`. */
function nameParts(place: Place, siblings: readonly Place[]): [string, string] | null {
  const base = place.name.replace(PART, '');
  const taken = new Set(siblings.map((one) => one.name));
  const own = PART.test(place.name) ? place.name : `${base} a`;
  const free = [...'abcdefghijklmnopqrstuvwxyz'].map((letter) => `${base} ${letter}`);
  const next = free.find((name) => name !== own && !taken.has(name));
  return next && next.length <= 80 ? [own, next] : null;
}

export interface DivideFault {
  readonly code: 'too-small' | 'too-many';
  readonly availableMm: number;
}

/**
 * A compartment with a board put in its middle: it becomes the lower or left part and keeps what is in it, the
 * other is new. What it carries is shared out by size.
 */
export function divideSlot(
  unit: UnitSpec,
  place: Place,
  siblings: readonly Place[],
  axis: Board['axis'],
  createId: () => string,
): Result<[Place, Place], DivideFault> {
  const thick = unit.boardMm > 0 ? unit.boardMm : USUAL_BOARD_MM;
  const { from, to } = getSide(place, axis);
  const part = (to - from - thick) / 2;
  if (part < MIN_SLOT_MM) return fail({ code: 'too-small', availableMm: to - from });
  const names = nameParts(place, siblings);
  if (!names) return fail({ code: 'too-many', availableMm: to - from });
  const loadG = place.slot!.loadG / 2;
  const last = Math.max(...siblings.map((one) => one.order));
  const [own, next] = [withSpan(place, axis, from, from + part), withSpan(place, axis, to - part, to)];
  return ok([
    { ...own, name: names[0], slot: { ...own.slot!, loadG } },
    {
      ...next,
      id: createId() as PlaceId,
      label: undefined,
      countedAtMs: undefined,
      name: names[1],
      order: last + 1,
      slot: { ...next.slot!, loadG },
    },
  ]);
}

/**
 * What is left when a board comes out: the first compartment grown over the second, which is no more. Null where
 * that would be no rectangle, or the board is part of how the piece is built.
 */
export function joinSlots(slots: readonly Place[], board: Board): { kept: Place; gone: Place } | null {
  const before = slots.find((one) => one.id === board.before[0]);
  const after = slots.find((one) => one.id === board.after[0]);
  if (!before || !after || board.isFixed || board.before.length !== 1 || board.after.length !== 1) return null;
  const [a, b] = [getSide(before, board.axis), getSide(after, board.axis)];
  const isFlush = Math.abs(a.crossFrom - b.crossFrom) <= HAIR_MM && Math.abs(a.crossTo - b.crossTo) <= HAIR_MM;
  if (!isFlush) return null;
  const grown = withSpan(before, board.axis, a.from, b.to);
  // Alone again, a part of a compartment has its whole name back.
  const base = before.name.replace(PART, '');
  const isWhole = !slots.some((one) => one !== before && one !== after && one.name.replace(PART, '') === base);
  const isPart = PART.test(before.name) && after.name.replace(PART, '') === base;
  return {
    kept: {
      ...grown,
      name: isPart && isWhole ? base : before.name,
      slot: { ...grown.slot!, loadG: isPart ? before.slot!.loadG + after.slot!.loadG : before.slot!.loadG },
    },
    gone: after,
  };
}

/** Cells of a piece along one axis, from inner face to inner face. */
type Cells = readonly (readonly [from: number, to: number])[];

function listCells(unit: UnitSpec, axis: Board['axis']): Cells {
  const layout = computeSlots(unit);
  if (!layout.ok) return [];
  const cells = new Map<number, [number, number]>();
  for (const { slot } of layout.slots) {
    const { from, to } = getSide({ id: '' as PlaceId, slot } as Place, axis);
    cells.set(Math.round(from * 10), [from, to]);
  }
  return [...cells.values()].toSorted((a, b) => a[0] - b[0]);
}

/** Where an edge goes when the cells change: a cell's edge to its edge, a board inside by its middle. */
function createStretch(before: Cells, after: Cells, boardBefore: number, boardAfter: number) {
  return (edge: number, isLow: boolean): number => {
    const grid = before.findIndex((cell) => Math.abs(cell[isLow ? 0 : 1] - edge) <= HAIR_MM);
    if (grid >= 0) return after[grid]![isLow ? 0 : 1];
    const sign = isLow ? -1 : 1;
    const middle = edge + (sign * boardBefore) / 2;
    const found = before.findIndex((cell) => middle <= cell[1] + HAIR_MM);
    const at = found >= 0 ? found : before.length - 1;
    const [from, to] = before[at]!;
    const [nextFrom, nextTo] = after[at]!;
    return nextFrom + ((middle - from) / (to - from)) * (nextTo - nextFrom) - (sign * boardAfter) / 2;
  };
}

/** Whether the compartments lie as the piece's measures alone would make them. */
function isEven(unit: UnitSpec, slots: readonly Place[]): boolean {
  const layout = computeSlots(unit);
  if (!layout.ok || layout.slots.length !== slots.length) return false;
  return layout.slots.every(({ slot }) =>
    slots.some(({ slot: own }) =>
      (['xMm', 'yMm', 'widthMm', 'heightMm'] as const).every((field) => Math.abs(own![field] - slot[field]) <= HAIR_MM),
    ),
  );
}

/**
 * The compartments of a piece after its outer measures changed and its columns and rows did not: shelves that were
 * moved and boards that were put in stay. Shelves of a bookcase stay at their height and the topmost compartment
 * takes the difference; in a cube they stay in proportion.
 */
function stretchSlots(before: UnitSpec, after: UnitSpec, slots: readonly Place[]): Result<Place[], UnitFault> {
  const layout = computeSlots(after);
  if (!layout.ok) return layout;
  const acrossOf = createStretch(
    listCells(before, 'upright'),
    listCells(after, 'upright'),
    before.boardMm,
    after.boardMm,
  );
  const cells = createStretch(listCells(before, 'shelf'), listCells(after, 'shelf'), before.boardMm, after.boardMm);
  const keepsHeights = (before.kind === 'bookcase' || before.kind === 'closet') && !isEven(before, slots);
  const upOf = (edge: number, isLow: boolean) => {
    if (!keepsHeights) return cells(edge, isLow);
    if (isLow) return Math.abs(edge - before.boardMm) <= HAIR_MM ? after.boardMm : edge;
    const isTop = Math.abs(edge + before.boardMm - before.heightMm) <= HAIR_MM;
    return isTop ? after.heightMm - after.boardMm : edge + before.boardMm - after.boardMm;
  };
  const depthMm = layout.slots[0]!.slot.depthMm;
  const next = slots.map((place): Place => {
    const up = getSide(place, 'shelf');
    const across = getSide(place, 'upright');
    const [xMm, right] = [acrossOf(across.from, true), acrossOf(across.to, false)];
    const [yMm, top] = [upOf(up.from, true), upOf(up.to, false)];
    return { ...place, slot: { ...place.slot!, xMm, yMm, depthMm, widthMm: right - xMm, heightMm: top - yMm } };
  });
  const least = (field: 'widthMm' | 'heightMm') => Math.min(...next.map(({ slot }) => slot![field]));
  if (least('widthMm') < MIN_SLOT_MM) return fail({ code: 'no-inner-width', availableMm: least('widthMm') });
  if (least('heightMm') < MIN_SLOT_MM) return fail({ code: 'no-inner-height', availableMm: least('heightMm') });
  return ok(next);
}

/**
 * The compartments of a piece after its measures changed. Those that stay keep their id, name and what was set on
 * them; `removed` are no more. `before` is null for a new piece.
 */
export function applyUnitSpec(
  unitId: PlaceId,
  before: UnitSpec | null,
  unit: UnitSpec,
  present: readonly Place[],
  createId: () => string,
): { ok: true; kept: Place[]; removed: Place[] } | { ok: false; fault: UnitFault } {
  const isSameGrid =
    before?.kind === unit.kind && before.columns === unit.columns && before.rows === unit.rows && present.length > 0;
  if (isSameGrid) {
    const stretched = stretchSlots(before, unit, present);
    return stretched.ok ? { ok: true, kept: stretched.value, removed: [] } : stretched;
  }
  const layout = computeSlots(unit);
  if (!layout.ok) return layout;
  // A compartment stays the one in its column and row, counted from below: a row more comes on top, whatever they are called.
  const old = before?.kind === unit.kind ? computeSlots(before) : null;
  // It may have been called so in English.
  const english = before?.kind === unit.kind ? computeSlots(before, ENGLISH) : null;
  const keyOf = (at: number, rows: number) => `${Math.floor(at / rows)} ${at % rows}`;
  const cellOf = new Map<string, { readonly place: Place; readonly usual: readonly (string | undefined)[] }>();
  if (old?.ok)
    for (const [at, { name, slot }] of old.slots.entries()) {
      const place = present.find(
        (one) => Math.abs(slot.xMm - one.slot!.xMm) <= HAIR_MM && Math.abs(slot.yMm - one.slot!.yMm) <= HAIR_MM,
      );
      if (place)
        cellOf.set(keyOf(at, old.slots.length / before!.columns), {
          place,
          usual: [name, english?.ok ? english.slots[at]!.name : undefined],
        });
    }
  const kept = layout.slots.map(({ name, slot }, order): Place => {
    const own = cellOf.get(keyOf(order, layout.slots.length / unit.columns));
    if (!own?.place.slot) return { id: createId() as PlaceId, parentId: unitId, level: 'slot', name, order, slot };
    const { xMm, yMm, widthMm, heightMm, depthMm } = slot;
    const isUsual = own.usual.includes(own.place.name);
    return {
      ...own.place,
      ...(isUsual && { name }),
      order,
      slot: { ...own.place.slot, xMm, yMm, widthMm, heightMm, depthMm },
    };
  });
  const ids = new Set(kept.map((place) => place.id));
  return { ok: true, kept, removed: present.filter((place) => !ids.has(place.id)) };
}
