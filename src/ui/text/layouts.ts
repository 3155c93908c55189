import type { Layout } from '../../core/layout/index.ts';
import { formatClothLength, formatSize, type UnitSystem } from '../../core/units/index.ts';
import { t } from '../language/index.ts';
import { joinSentences } from './grammar.ts';

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
    return t('{left, plural, one {# piece} other {# pieces}} too wide for it: {size} can be used.', {
      left: endless.left.length,
      size: formatSize(usableMm, units),
    });
  if (lots === 0 && haveMm <= 0) return '';
  if (exact && exact.left.length === 0)
    return lots > 1
      ? t('It fits on the {lots} pieces together.', { lots })
      : isPlain
        ? t('It fits, with little to spare.')
        : t('It fits on what there is, round its flaws and edges.');
  if (!exact && takesMm <= haveMm + 0.5)
    return t('It fits, {clothLength} to spare.', { clothLength: formatClothLength(haveMm - takesMm, units) });
  const short =
    isPlain || !exact ? t('Short of {clothLength}.', { clothLength: formatClothLength(takesMm - haveMm, units) }) : '';
  const left =
    exact && !isPlain
      ? t('{left, plural, one {# piece} other {# pieces}} of it will not go on.', { left: exact.left.length })
      : '';
  const other = spare ? t('Enough if the {spare} is of another cloth.', { spare }) : '';
  return joinSentences([short, left, other]);
}
