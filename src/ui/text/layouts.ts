import type { Layout } from '../../core/layout/index.ts';
import { formatClothLength, formatSize, type UnitSystem } from '../../core/units/index.ts';
import { wordCount } from './grammar.ts';

/** What a layout says of whether there is enough. Lengths in mm. */
interface LaidOut {
  readonly takesMm: number;
  readonly haveMm: number;
  /** So many lots are promised; none, nothing can be said. */
  readonly lots: number;
  /** One length without flaws, as wide as its cloth. */
  readonly isPlain: boolean;
  readonly usableMm: number;
  /** On as much as it takes, and on the very lots. */
  readonly endless: Layout;
  readonly exact: Layout | null;
  /** Without this piece the others go on. */
  readonly spare: string | null;
}

export function wordLaid(laid: LaidOut, units: UnitSystem): string {
  const { takesMm, haveMm, lots, isPlain, usableMm, endless, exact, spare } = laid;
  if (endless.left.length > 0)
    return `${wordCount(endless.left.length, 'piece')} too wide for it: ${formatSize(usableMm, units)} can be used.`;
  if (lots === 0 && haveMm <= 0) return '';
  if (exact && exact.left.length === 0)
    return lots > 1
      ? `It fits on the ${lots} pieces together.`
      : isPlain
        ? 'It fits, with little to spare.'
        : 'It fits on what there is, round its flaws and edges.';
  if (!exact && takesMm <= haveMm + 0.5) return `It fits, ${formatClothLength(haveMm - takesMm, units)} to spare.`;
  const short = isPlain || !exact ? `Short of ${formatClothLength(takesMm - haveMm, units)}.` : '';
  const left = exact && !isPlain ? `${wordCount(exact.left.length, 'piece')} of it will not go on.` : '';
  const other = spare ? `Enough if the ${spare} is of another cloth.` : '';
  return [short, left, other].filter(Boolean).join(' ');
}
