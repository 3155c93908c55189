import { getNaming, type Naming } from '../naming/index.ts';
import type { SlotSpec, UnitKind, UnitSpec } from '../records/index.ts';

/** Behind a door or in a drawer. */
const SHUT = { isSeeThrough: false, light: 'dark', isDustProof: true, isPetProof: true } as const;

/** What slots of each kind of unit are like; loads after the rules of thumb in figures.md. */
function createSlotDefaults(
  kind: UnitKind,
  widthMm: number,
): Omit<SlotSpec, 'xMm' | 'yMm' | 'widthMm' | 'heightMm' | 'depthMm'> {
  const open = {
    opening: 'open',
    isSeeThrough: true,
    light: 'day',
    isDustProof: false,
    isPetProof: false,
    isChildSafe: false,
    isNearHeat: false,
  } as const;
  switch (kind) {
    case 'cubes':
      return { ...open, mode: 'line', loadG: 13_000 };
    case 'bookcase':
      return { ...open, mode: 'line', loadG: Math.round(20_000 * Math.min(1, 800 / widthMm)) };
    case 'drawers':
      return {
        ...open,
        opening: 'drawer',
        mode: 'volume',
        loadG: 8000,
        ...SHUT,
      };
    case 'pegboard':
      return {
        ...open,
        mode: 'area',
        loadG: 25_000,
        peg: { pitchMm: 25.4, wireMm: 4, projectionMm: 80, hookLoadG: 1500 },
      };
    case 'spoolRack':
      return { ...open, mode: 'pins', loadG: 8000, pinPitchMm: 48 };
    case 'closet':
      return { ...open, mode: 'rail', loadG: Math.round(15 * widthMm), opening: 'door', ...SHUT };
    case 'rail':
      // A tube carries about 15 kg a metre.
      return { ...open, mode: 'rail', loadG: Math.round(15 * widthMm) };
    case 'table':
      return { ...open, mode: 'line', loadG: 40_000 };
    case 'floor':
      return { ...open, mode: 'line', loadG: 100_000 };
  }
}

function nameSlot(
  { kind, columns }: UnitSpec,
  { column, row, rows }: { readonly column: number; readonly row: number; readonly rows: number },
  { shelf, drawer, board, pins, rail, topShelf, top, below, floor }: Naming,
): string {
  const letter = columns > 1 ? String.fromCharCode(65 + column) : '';
  // All of them are counted from the top, as one reads; rows from below.
  const at = `${letter}${rows - row}`;
  switch (kind) {
    case 'cubes':
      return `${String.fromCharCode(65 + column)}${rows - row}`;
    case 'bookcase':
      return `${shelf} ${at}`;
    case 'drawers':
      return `${drawer} ${at}`;
    case 'pegboard':
      return board;
    case 'spoolRack':
      return pins;
    case 'rail':
      return rail;
    case 'closet':
      return `${row === 0 ? rail : topShelf} ${letter}`.trim();
    case 'table':
      return row === 0 ? top : below;
    case 'floor':
      return floor;
  }
}

/** A fault of a unit's measures. */
export interface UnitFault {
  readonly code: 'no-inner-width' | 'no-inner-height' | 'beyond-wall' | 'above-ceiling';
  readonly availableMm: number;
}

/** A compartment is no narrower or lower than this. */
export const MIN_SLOT_MM = 20;
const CLOSET_TOP_MM = 300;
/** What stands on a table may be so high, and its top is so thick. */
const TABLE_AIR_MM = 500;
const TABLE_TOP_MM = 40;

/** Kinds that are one field, without boards or compartments. */
export function isWholeUnit(kind: UnitKind): boolean {
  return kind !== 'cubes' && kind !== 'bookcase' && kind !== 'drawers' && kind !== 'closet';
}

/** The slots that a unit's measures make: columns × rows between boards of one thickness. Pure geometry. */
export function computeSlots(
  unit: UnitSpec,
  naming = getNaming(),
): { ok: true; slots: { name: string; slot: SlotSpec }[] } | { ok: false; fault: UnitFault } {
  const { columns } = unit;
  // A closet is a rail with a shelf over it; under a table there is space or none.
  const rows = unit.kind === 'closet' ? 2 : unit.kind === 'table' ? Math.min(2, unit.rows) : unit.rows;
  const isWhole = isWholeUnit(unit.kind);
  const board = isWhole ? 0 : unit.boardMm;
  const width = (unit.widthMm - (columns + 1) * board) / columns;
  const height = (unit.heightMm - (rows + 1) * board) / rows;
  if (width < MIN_SLOT_MM) return { ok: false, fault: { code: 'no-inner-width', availableMm: width } };
  if (height < MIN_SLOT_MM && !isWhole) return { ok: false, fault: { code: 'no-inner-height', availableMm: height } };
  const defaults = createSlotDefaults(unit.kind, width);
  const depthMm = Math.max(5, unit.depthMm - (isWhole ? 0 : unit.boardMm));
  // Rows from below: even ones, but for a closet, whose top shelf is as high as a bin, and a table with space under it.
  const topMm = unit.kind === 'closet' ? Math.min(CLOSET_TOP_MM, height) : height;
  const railMm = 2 * height - topMm;
  const getRow = (row: number): { yMm: number; heightMm: number } => {
    if (unit.kind === 'table')
      return row === 0
        ? { yMm: unit.heightMm, heightMm: TABLE_AIR_MM }
        : { yMm: 0, heightMm: Math.max(MIN_SLOT_MM, unit.heightMm - TABLE_TOP_MM) };
    if (unit.kind === 'closet')
      return row === 0 ? { yMm: board, heightMm: railMm } : { yMm: 2 * board + railMm, heightMm: topMm };
    return { yMm: board + row * (height + board), heightMm: height };
  };
  const slots: { name: string; slot: SlotSpec }[] = [];
  for (let column = 0; column < columns; column += 1)
    for (let row = 0; row < rows; row += 1) {
      const isShelf = row > 0 && (unit.kind === 'closet' || unit.kind === 'table');
      slots.push({
        name: nameSlot(unit, { column, row, rows }, naming),
        slot: {
          ...defaults,
          ...(isShelf && { mode: 'line', loadG: unit.kind === 'closet' ? 20_000 : 60_000 }),
          xMm: board + column * (width + board),
          ...getRow(row),
          widthMm: width,
          depthMm,
        },
      });
    }
  return { ok: true, slots };
}

/** Ceiling height over a point of a wall, mm, along its ceiling line. */
export function computeCeilingMm(ceiling: readonly { xMm: number; yMm: number }[], xMm: number): number {
  for (let i = 1; i < ceiling.length; i += 1) {
    const a = ceiling[i - 1]!;
    const b = ceiling[i]!;
    if (xMm <= b.xMm || i === ceiling.length - 1) {
      const share = b.xMm === a.xMm ? 0 : Math.min(1, Math.max(0, (xMm - a.xMm) / (b.xMm - a.xMm)));
      return a.yMm + share * (b.yMm - a.yMm);
    }
  }
  return ceiling[0]?.yMm ?? 0;
}

/** Whether a unit stands within its wall and under the ceiling. */
export function checkUnitOnWall(
  unit: UnitSpec,
  wall: {
    from: { xMm: number; yMm: number };
    to: { xMm: number; yMm: number };
    ceiling: readonly { xMm: number; yMm: number }[];
  },
): UnitFault | null {
  const length = Math.hypot(wall.to.xMm - wall.from.xMm, wall.to.yMm - wall.from.yMm);
  if (unit.xMm + unit.widthMm > length + 0.5) return { code: 'beyond-wall', availableMm: length - unit.xMm };
  const corners = [unit.xMm, unit.xMm + unit.widthMm, ...wall.ceiling.map((point) => point.xMm)].filter(
    (x) => x >= unit.xMm && x <= unit.xMm + unit.widthMm,
  );
  const headroom = Math.min(...corners.map((x) => computeCeilingMm(wall.ceiling, x)));
  return unit.yMm + unit.heightMm > headroom + 0.5 ? { code: 'above-ceiling', availableMm: headroom - unit.yMm } : null;
}

/**
 * The first x along a wall where a piece of that size touches none that stands or hangs there, mm; null where
 * there is no such gap. For a first proposal only: a table may well stand over drawers.
 */
export function findFreeX(
  standing: readonly UnitSpec[],
  piece: Pick<UnitSpec, 'yMm' | 'widthMm' | 'heightMm'>,
  wallMm: number,
): number | null {
  const beside = standing.filter(
    (unit) => unit.yMm < piece.yMm + piece.heightMm && piece.yMm < unit.yMm + unit.heightMm,
  );
  let x = 0;
  for (const unit of beside.toSorted((a, b) => a.xMm - b.xMm)) {
    if (unit.xMm - x >= piece.widthMm) break;
    x = Math.max(x, unit.xMm + unit.widthMm);
  }
  return x + piece.widthMm <= wallMm ? x : null;
}
