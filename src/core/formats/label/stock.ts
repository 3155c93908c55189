/** Paper that labels are printed on: a sheet of so many, a roll of one after the other, or plain paper to be cut. */
export interface Stock {
  readonly id: string;
  readonly kind: 'sheet' | 'roll' | 'plain';
  /** Of the sheet; of a roll, of one label. */
  readonly paperWidthMm: number;
  readonly paperHeightMm: number;
  readonly labelWidthMm: number;
  readonly labelHeightMm: number;
  readonly columns: number;
  readonly rows: number;
  readonly leftMm: number;
  readonly topMm: number;
  /** From the left edge of one to that of the next, and likewise down. */
  readonly acrossMm: number;
  readonly downMm: number;
}

/** Labels in the middle of the sheet, side by side or with a gap between. */
function createSheetStock(
  id: string,
  paper: readonly [width: number, height: number],
  label: readonly [width: number, height: number],
  columns: number,
  rows: number,
  gap: readonly [across: number, down: number] = [0, 0],
  kind: 'sheet' | 'plain' = 'sheet',
): Stock {
  const [acrossMm, downMm] = [label[0] + gap[0], label[1] + gap[1]];
  return {
    id,
    kind,
    paperWidthMm: paper[0],
    paperHeightMm: paper[1],
    labelWidthMm: label[0],
    labelHeightMm: label[1],
    columns,
    rows,
    leftMm: (paper[0] - columns * acrossMm + gap[0]) / 2,
    topMm: (paper[1] - rows * downMm + gap[1]) / 2,
    acrossMm,
    downMm,
  };
}

function createRollStock(id: string, widthMm: number, heightMm: number): Stock {
  return { ...createSheetStock(id, [widthMm, heightMm], [widthMm, heightMm], 1, 1), kind: 'roll' };
}

const A4 = [210, 297] as const;
const LETTER = [215.9, 279.4] as const;
const inch = (...sizes: [number, number]): [number, number] => [sizes[0] * 25.4, sizes[1] * 25.4];

/** Sizes that stationers everywhere sell, by their measures. */
export const STOCKS: readonly Stock[] = [
  createSheetStock('a4-24', A4, [70, 37], 3, 8),
  createSheetStock('a4-21', A4, [63.5, 38.1], 3, 7, [2.5, 0]),
  createSheetStock('a4-14', A4, [99.1, 38.1], 2, 7, [2.5, 0]),
  createSheetStock('a4-8', A4, [99.1, 67.7], 2, 4, [2.5, 0]),
  createSheetStock('a4-65', A4, [38.1, 21.2], 5, 13, [2.5, 0]),
  createSheetStock('letter-30', LETTER, inch(2.625, 1), 3, 10, inch(0.125, 0)),
  createSheetStock('letter-10', LETTER, inch(4, 2), 2, 5, inch(0.1875, 0)),
  createSheetStock('letter-80', LETTER, inch(1.75, 0.5), 4, 20, inch(0.3, 0)),
  createRollStock('roll-62x29', 62, 29),
  createRollStock('roll-90x29', 90, 29),
  createRollStock('roll-57x32', 57, 32),
  createRollStock('roll-25x25', 25, 25),
  createSheetStock('cut-bin', A4, [90, 50], 2, 5, [4, 4], 'plain'),
  createSheetStock('cut-strip', A4, [190, 18], 1, 12, [0, 3], 'plain'),
  createSheetStock('cut-ticket', A4, [54, 90], 3, 3, [4, 4], 'plain'),
  createSheetStock('cut-small', A4, [36, 16], 5, 15, [3, 2], 'plain'),
];
