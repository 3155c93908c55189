import type { ContainerSpec, SlotSpec, UnitKind, UnitSpec } from '../records/index.ts';

/** Generic furniture as it is found in homes: what it is built like, its usual measures, and what its places are like. */
export interface Part {
  readonly id: string;
  readonly kind: UnitKind;
  /** Outer measures, board and compartments; where it hangs, above the floor. */
  readonly unit: Pick<UnitSpec, 'widthMm' | 'heightMm' | 'depthMm' | 'boardMm' | 'columns' | 'rows' | 'yMm'> &
    Partial<Pick<UnitSpec, 'hasWheels' | 'access'>>;
  /** What differs from the usual places of its kind. */
  readonly slots: Partial<SlotSpec>;
}

/** What a bin is like of which only the outside is known. */
export const USUAL_BIN: Omit<ContainerSpec, 'outerWidthMm' | 'outerDepthMm' | 'outerHeightMm'> = {
  kind: 'bin',
  wallMm: 3,
  mode: 'volume',
  tareG: 700,
  loadG: 9000,
  isSeeThrough: false,
  hasLid: false,
};

type Sizes = readonly [
  width: number,
  height: number,
  depth: number,
  board: number,
  columns: number,
  rows: number,
  y: number,
];

function part(
  id: string,
  kind: UnitKind,
  [widthMm, heightMm, depthMm, boardMm, columns, rows, yMm]: Sizes,
  slots: Partial<SlotSpec> = {},
  more: Partial<Pick<UnitSpec, 'hasWheels' | 'access'>> = {},
): Part {
  return { id, kind, unit: { widthMm, heightMm, depthMm, boardMm, columns, rows, yMm, ...more }, slots };
}

const CLOSED = { isSeeThrough: false, light: 'dark', isDustProof: true, isPetProof: true } as const;

/** The parts shelf. Measures are usual ones; all can be changed. */
export const PARTS: readonly Part[] = [
  part('cube-shelf', 'cubes', [720, 1080, 390, 16, 2, 3, 0]),
  part('bookcase', 'bookcase', [800, 1800, 300, 16, 1, 5, 0]),
  part('cupboard', 'bookcase', [800, 1800, 400, 16, 1, 5, 0], { opening: 'door', ...CLOSED }),
  part('wall-shelf', 'bookcase', [800, 250, 220, 16, 1, 1, 1500], { loadG: 12_000 }),
  part('door-rack', 'bookcase', [450, 1500, 120, 5, 1, 6, 300], { loadG: 2000 }),
  part('closet', 'closet', [1000, 2000, 600, 16, 1, 2, 0]),
  part('rail', 'rail', [1000, 1500, 500, 0, 1, 1, 0]),
  part('dresser', 'drawers', [1000, 850, 480, 16, 2, 4, 0]),
  part('drawer-tower', 'drawers', [360, 700, 400, 8, 1, 6, 0], { loadG: 4000 }),
  part('under-bed', 'drawers', [900, 180, 650, 8, 1, 1, 0], {}, { hasWheels: true }),
  part('chest', 'drawers', [1000, 480, 500, 16, 1, 1, 0], { opening: 'lid', loadG: 40_000 }),
  part('cart', 'bookcase', [450, 850, 350, 8, 1, 3, 0], { loadG: 6000 }, { hasWheels: true, access: 'around' }),
  part('trolley', 'drawers', [420, 700, 420, 10, 1, 3, 0], {}, { hasWheels: true }),
  part('table', 'table', [1400, 740, 650, 0, 1, 1, 0]),
  part('table-below', 'table', [1400, 740, 650, 0, 1, 2, 0]),
  part('cutting-table', 'table', [1600, 920, 900, 0, 1, 2, 0], {}, { access: 'around' }),
  part('peg-round', 'pegboard', [900, 600, 12, 0, 1, 1, 1100]),
  part('peg-slotted', 'pegboard', [760, 560, 16, 0, 1, 1, 1100], {
    peg: { family: 'slotted', pitchMm: 40, wireMm: 4, projectionMm: 60, hookLoadG: 2000 },
  }),
  part('free-hooks', 'pegboard', [600, 120, 10, 0, 1, 1, 1600], {
    peg: { family: 'free', pitchMm: 100, wireMm: 5, projectionMm: 60, hookLoadG: 3000 },
  }),
  part('spool-rack', 'spoolRack', [600, 400, 75, 0, 1, 1, 1200]),
  part('ribbon-bar', 'bookcase', [600, 130, 120, 5, 1, 1, 1300], { loadG: 3000 }),
  part('jar-shelf', 'bookcase', [600, 180, 120, 12, 1, 1, 1400], { loadG: 5000 }),
  part('floor', 'floor', [500, 800, 400, 0, 1, 1, 0]),
  part('overflow', 'floor', [500, 400, 400, 0, 1, 1, 0], { mode: 'volume', loadG: 15_000 }),
];

type PartSize = Pick<UnitSpec, 'widthMm' | 'heightMm' | 'depthMm' | 'columns' | 'rows'>;
const size = (widthMm: number, heightMm: number, depthMm: number, columns = 1, rows = 1): PartSize => ({
  widthMm,
  heightMm,
  depthMm,
  columns,
  rows,
});
/** Cubes as wide and high as those of the part. */
const cubes = (columns: number, rows: number) =>
  size(columns * 336 + (columns + 1) * 16, rows * 339 + (rows + 1) * 16, 390, columns, rows);

/** Other common sizes of some parts, beside their own. */
const MORE_SIZES: Readonly<Record<string, readonly PartSize[]>> = {
  'cube-shelf': [cubes(2, 2), cubes(4, 2), cubes(3, 4), cubes(4, 4), cubes(5, 5)],
  bookcase: [size(400, 1800, 300, 1, 5), size(800, 1060, 300, 1, 3), size(600, 1800, 300, 1, 5)],
  cupboard: [size(800, 2000, 600, 1, 5), size(800, 850, 400, 1, 2)],
  'wall-shelf': [size(1200, 250, 220), size(600, 250, 220)],
  closet: [size(1500, 2000, 600, 1, 2), size(2000, 2200, 600, 1, 2)],
  rail: [size(1500, 1500, 500), size(700, 1500, 450)],
  dresser: [size(800, 760, 480, 1, 4), size(480, 850, 450, 1, 5)],
  'drawer-tower': [size(300, 600, 400, 1, 4), size(400, 900, 450, 1, 8)],
  table: [size(1200, 740, 600), size(1600, 740, 800)],
  'table-below': [size(1200, 740, 600, 1, 2), size(1600, 740, 800, 1, 2)],
  'cutting-table': [size(1200, 920, 800, 1, 2)],
  'peg-round': [size(600, 600, 12), size(1200, 600, 12), size(280, 900, 12)],
  'peg-slotted': [size(560, 560, 16), size(280, 760, 16)],
  'free-hooks': [size(280, 120, 10)],
};

/** Common sizes of a part, its own first. */
export function listPartSizes({ id, unit }: Part): readonly PartSize[] {
  return [unit, ...(MORE_SIZES[id] ?? [])];
}

/** A bin or box as it is found in homes, by what it holds. */
export interface BinSize {
  readonly id: string;
  readonly container: ContainerSpec;
}

const usualBin = (
  id: string,
  [outerWidthMm, outerDepthMm, outerHeightMm]: readonly [number, number, number],
  change: Partial<ContainerSpec> = {},
): BinSize => ({ id, container: { ...USUAL_BIN, outerWidthMm, outerDepthMm, outerHeightMm, ...change } });

/** Sizes of bins and boxes to choose among. */
export const BIN_SIZES: readonly BinSize[] = [
  usualBin('cube-bin', [320, 360, 310]),
  usualBin('shoe-box', [210, 330, 120], { kind: 'box', hasLid: true, tareG: 250, loadG: 4000 }),
  usualBin('clear-box-small', [270, 380, 140], {
    kind: 'box',
    hasLid: true,
    isSeeThrough: true,
    tareG: 500,
    loadG: 6000,
  }),
  usualBin('clear-box-large', [390, 560, 280], {
    kind: 'box',
    hasLid: true,
    isSeeThrough: true,
    tareG: 1600,
    loadG: 15_000,
  }),
  usualBin('basket', [300, 400, 200], { kind: 'basket', tareG: 400 }),
  usualBin('jar', [90, 90, 130], { kind: 'jar', hasLid: true, isSeeThrough: true, tareG: 300, loadG: 1500 }),
  usualBin('case', [300, 360, 60], { kind: 'case', hasLid: true, isSeeThrough: true, tareG: 350, loadG: 3000 }),
];
