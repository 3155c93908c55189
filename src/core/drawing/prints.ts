import { computeOkDistance, getColour } from '../colour/index.ts';
import type { Item, Print } from '../records/index.ts';

/** One part of a print's repeat: a path in px, filled, or drawn with a line so wide. */
export interface PrintMark {
  readonly d: string;
  readonly linePx?: number;
  /** How much of the ink lies there, 0 to 1. */
  readonly share: number;
}

/** The repeat of a print, px. */
export interface PrintTile {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly marks: readonly PrintMark[];
}

const disc = (x: number, y: number, r: number) =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`;

/** Points round a centre, the first straight up, at radii that take turns. */
function star(x: number, y: number, radii: readonly number[], points: number): string {
  const corners = Array.from({ length: points }, (_, i) => {
    const [angle, r] = [(i * 2 * Math.PI) / points - Math.PI / 2, radii[i % radii.length]!];
    return `${(x + r * Math.cos(angle)).toFixed(2)} ${(y + r * Math.sin(angle)).toFixed(2)}`;
  });
  return `M${corners.join('L')}z`;
}

function flower(x: number, y: number, size: number): string {
  const petals = Array.from({ length: 5 }, (_, i) => {
    const angle = (i * 2 * Math.PI) / 5 - Math.PI / 2;
    return disc(
      Number((x + size * Math.cos(angle)).toFixed(2)),
      Number((y + size * Math.sin(angle)).toFixed(2)),
      Number((size * 0.62).toFixed(2)),
    );
  });
  return petals.join('');
}

const tile = (widthPx: number, heightPx: number, ...marks: readonly PrintMark[]): PrintTile => ({
  widthPx,
  heightPx,
  marks,
});
const area = (d: string, share = 0.62): PrintMark => ({ d, share });
const line = (d: string, linePx: number, share = 0.62): PrintMark => ({ d, linePx, share });

/** A print that is drawn: any but plain. */
export type PrintName = Exclude<Print, 'solid'>;

/** How each print is drawn on its cloth. */
export const PRINT_TILES: Readonly<Record<PrintName, PrintTile>> = {
  stripe: tile(8, 8, area('M0 1H8V4H0z', 0.55)),
  pinstripe: tile(5, 10, line('M2.5 0V10', 1, 0.6)),
  check: tile(12, 12, area('M0 0h6v6H0zM6 6h6v6H6z', 0.42)),
  gingham: tile(12, 12, area('M0 0H12V6H0z', 0.38), area('M0 0H6V12H0z', 0.38)),
  plaid: tile(
    22,
    22,
    area('M0 2H22V8H0z', 0.26),
    area('M2 0V22H8V0z', 0.26),
    line('M0 15H22M15 0V22', 1.2, 0.7),
    line('M0 18H22M18 0V22', 0.7, 0.5),
  ),
  dots: tile(10, 10, area(disc(2.5, 2.5, 1.5) + disc(7.5, 7.5, 1.5), 0.75)),
  floral: tile(
    22,
    22,
    area(flower(6, 6, 2.9), 0.72),
    area(flower(17, 16, 2.1), 0.6),
    line('M6 9.5Q7 13 4 15M17 18.5Q16.5 20.5 18.5 21.5', 0.9, 0.5),
    area('M15 5q3 -2 4 1q-3 1.6 -4 -1zM7 17q2.6 -1.6 4 .8q-2.6 1.6 -4 -.8z', 0.5),
  ),
  leaf: tile(
    16,
    16,
    area('M2 8Q2 2 8 1Q8 7 2 8zM14 15Q8 15 8 9Q14 9 14 15z', 0.58),
    line('M1 9L6 3M15 16L10 11', 0.7, 0.5),
  ),
  wave: tile(12, 9, line('M-1 5.6q1 -0.6 1 -0.6q3 -5 6 0t6 0q0 0 1 0.6', 1.4)),
  zigzag: tile(12, 8, line('M-1 7L6 1L13 7', 1.7)),
  herringbone: tile(
    12,
    12,
    line('M0 4L6 0M0 8L6 4M0 12L6 8M0 16L6 12M6 -2L12 2M6 2L12 6M6 6L12 10M6 10L12 14', 1, 0.5),
  ),
  star: tile(18, 18, area(star(5, 5.5, [3.6, 1.5], 10), 0.75), area(star(14, 14, [2.5, 1], 10), 0.6)),
  diamond: tile(14, 18, area('M7 1.5L12 9L7 16.5L2 9z', 0.38), line('M-1 -1.3L15 19.3M15 -1.3L-1 19.3', 0.7, 0.6)),
  paisley: tile(
    20,
    20,
    line('M5 2.5C10 1.5 11.5 7.5 8.5 10.5C6 12.6 2 11 2.4 7.6C2.8 5.2 5.8 5.6 5 2.5z', 1.2, 0.68),
    area(disc(5.8, 8, 1.3), 0.68),
    line('M15 19C10.4 19.6 9.6 14.4 12.4 12C14.8 10.2 18 11.8 17.6 14.6C17.2 16.8 14.4 16.4 15 19z', 1, 0.6),
    area(disc(14.4, 14, 1), 0.6),
  ),
  mottled: tile(
    26,
    22,
    area(disc(5, 5, 4.2) + disc(18, 14, 5.4), 0.2),
    area(disc(7, 14, 3) + disc(16, 4, 3.2), 0.28),
    area(disc(11, 9, 1.8) + disc(23, 7, 1.6) + disc(3, 19, 1.6), 0.36),
  ),
};

/** A second colour nearer to the first than this would hardly be seen on it, in OKLab. */
const LEAST_APART = 0.12;

const LIGHT_INK = '#fffdf8';
const DARK_INK = '#22303c';
/** Light ink is not seen on a cloth that is nearer to it than this. */
const LIGHT_CLOTH = 0.3;

/** The ink of a print: the cloth's second colour where it has one that is seen on the first, else light or dark. */
function getPrintInk(item: Pick<Item, 'colours'>): string {
  const [base, second] = [getColour(item), item.colours[1]];
  if (second && (computeOkDistance(base, second) ?? 0) >= LEAST_APART) return second;
  return (computeOkDistance(base, LIGHT_INK) ?? 1) < LIGHT_CLOTH ? DARK_INK : LIGHT_INK;
}

/** A print in the ink that it has on its cloth. */
export interface DrawnPrint {
  readonly name: PrintName;
  readonly ink: string;
}

/** What is drawn on a cloth: its print or, where it has none, a weave that is seen as one; nothing on a plain one. */
export function getDrawnPrint(item: Pick<Item, 'fabric' | 'colours'>): DrawnPrint | undefined {
  if (!item.fabric) return undefined;
  const { print, weave } = item.fabric;
  const name = print !== 'solid' ? print : weave === 'herringbone' ? 'herringbone' : undefined;
  return name && { name, ink: getPrintInk(item) };
}
