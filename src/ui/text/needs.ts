import type { GroupNeeds } from '../../core/grouping/index.ts';
import type { StowForm } from '../../core/records/index.ts';
import { formatSize, formatSizes, formatVolume, type UnitSystem } from '../../core/units/index.ts';
import { perLanguage, t } from '../language/index.ts';

const LINE = perLanguage((): Partial<Record<StowForm, string>> => ({
  board: t('of shelf on boards'),
  envelope: t('of row, standing'),
  spool: t('of spools side by side'),
  file: t('of shelf, folded and standing'),
  box: t('side by side'),
  roll: t('of rolls side by side'),
  hanger: t('of rail'),
  bag: t('of bags side by side'),
}));

/** A need in words, and how its figure was made. */
export interface NeedWords {
  readonly words: string;
  readonly how: string;
}

/** The space a group needs in each way of keeping it, the most usual first. */
export function explainNeeds(needs: GroupNeeds, units: UnitSystem): NeedWords[] {
  const { lines, drawer, pileMm, volumeMm3, pegMm2, pieces } = needs;
  const of = t('{n, plural, one {# piece} other {# pieces}}', { n: pieces });
  const rows: NeedWords[] = [];
  if (pegMm2 !== null) {
    const side = Math.sqrt(pegMm2);
    rows.push({
      words: t('{sizes} of peg field', { sizes: formatSizes([side, side], units) }),
      how: t('The width × height of {pieces}, added up and drawn as a square.', { pieces: of }),
    });
  }
  for (const { form, mm, isMixed } of lines)
    rows.push({
      words: `${formatSize(mm, units)} ${LINE()[form] ?? t('side by side')}`,
      how: isMixed
        ? t('The thickness of {pieces} side by side, each as it is kept, added up: no one form suits them all.', {
            pieces: of,
          })
        : t('The thickness of {pieces} side by side, added up.', { pieces: of }),
    });
  if (drawer)
    rows.push({
      words: t('{rows, plural, one {# row} other {# rows}} in a drawer of {size}', {
        rows: drawer.rows,
        size: formatSize(drawer.widthMm, units),
      }),
      how: t(
        'The length of the row of {pieces} through the inner width of the middle one of your drawers, rounded up.',
        {
          pieces: of,
        },
      ),
    });
  if (pileMm !== null)
    rows.push({
      words: t('{size} of pile, folded flat', { size: formatSize(pileMm, units) }),
      how: t('The height of {pieces} folded to your panel, one on the other.', { pieces: of }),
    });
  if (volumeMm3 !== null)
    rows.push({
      words: t('{volume} in bins or drawers', { volume: formatVolume(volumeMm3, units) }),
      how: t(
        'The volume of {pieces} with the air that stays between: soft goods fill three quarters of a bin, hard ones five eighths.',
        { pieces: of },
      ),
    });
  return rows;
}
