import type { Block } from '../src/core/layout/index.ts';

/** A garment whose pieces were laid by hand, with ruler and paper, on three widths: in rows, side by side. All in cm. */
export interface HandLaid {
  readonly name: string;
  /** How many, across and along; `turn`: it may lie either way. */
  readonly pieces: readonly (readonly [count: number, w: number, h: number, more?: 'turn'])[];
  /** What it takes on 112, 140 and 150 cm that can be used. */
  readonly lengths: readonly [number, number, number];
}

export const HAND_WIDTHS_CM = [112, 140, 150] as const;

export const HAND_LAID: readonly HandLaid[] = [
  // 112: one panel below the other, the bands beside them. 140 and 150: panels 60 + 60, bands 10 + 10 of 80 beside.
  {
    name: 'skirt',
    pieces: [
      [2, 60, 75],
      [2, 10, 80],
    ],
    lengths: [150, 80, 80],
  },
  // 112: 32 + 32 + 38, then 38. 140: all four of 105, the band across below. 150: the band beside.
  {
    name: 'trousers',
    pieces: [
      [2, 32, 105],
      [2, 38, 105],
      [1, 10, 90, 'turn'],
    ],
    lengths: [210, 115, 105],
  },
  // 112: 60 + 48, 32 + 32 + 48, the yokes. 140 and 150: 60 + 32 + 48, then 32 + 48 and both yokes over each other.
  {
    name: 'shirt',
    pieces: [
      [1, 60, 80],
      [2, 32, 78],
      [2, 48, 60],
      [2, 50, 22],
    ],
    lengths: [180, 158, 158],
  },
  // 112: 58 + 30, 30 + 40 + 40. 140 and 150: 58 + 30 + 30, then the sleeves.
  {
    name: 'dress',
    pieces: [
      [1, 58, 110],
      [2, 30, 110],
      [2, 40, 55],
    ],
    lengths: [220, 165, 165],
  },
  // 112: 56 + 42 and the collar on end, 42 + 40 + 26, 40 + 26 + 20 + 20. 140 and 150: 56 + 42 + 42, 40 + 40 + 20 + 20 and the
  // collar on end, 26 + 26.
  {
    name: 'jacket',
    pieces: [
      [1, 56, 75],
      [2, 42, 75],
      [2, 40, 62],
      [2, 26, 56],
      [2, 20, 72],
      [1, 50, 14, 'turn'],
    ],
    lengths: [222, 203, 203],
  },
];

export function toHandBlocks({ pieces }: HandLaid): Block[] {
  return pieces.flatMap(([count, w, h, more], piece) =>
    Array.from({ length: count }, () => ({ piece, widthMm: w * 10, heightMm: h * 10, mayTurn: more === 'turn' })),
  );
}
