import type { GroupNeeds } from '../../core/grouping/index.ts';
import type { StowForm } from '../../core/records/index.ts';
import { formatSize, formatSizes, formatVolume, type UnitSystem } from '../../core/units/index.ts';
import { wordCount } from './grammar.ts';

const LINE: Partial<Record<StowForm, string>> = {
  board: 'of shelf on boards',
  envelope: 'of row, standing',
  spool: 'of spools side by side',
  file: 'of shelf, folded and standing',
  box: 'side by side',
  roll: 'of rolls side by side',
  hanger: 'of rail',
  bag: 'of bags side by side',
};

/** A need in words, and how its figure was made. */
export interface NeedWords {
  readonly words: string;
  readonly how: string;
}

/** The space a group needs in each way of keeping it, the most usual first. */
export function explainNeeds(needs: GroupNeeds, units: UnitSystem): NeedWords[] {
  const { lines, drawer, pileMm, volumeMm3, pegMm2, pieces } = needs;
  const of = wordCount(pieces, 'piece');
  const rows: NeedWords[] = [];
  if (pegMm2 !== null) {
    const side = Math.sqrt(pegMm2);
    rows.push({
      words: `${formatSizes([side, side], units)} of peg field`,
      how: `The width × height of ${of}, added up and drawn as a square.`,
    });
  }
  for (const { form, mm, isMixed } of lines)
    rows.push({
      words: `${formatSize(mm, units)} ${LINE[form] ?? 'side by side'}`,
      how: isMixed
        ? `The thickness of ${of} side by side, each as it is kept, added up: no one form suits them all.`
        : `The thickness of ${of} side by side, added up.`,
    });
  if (drawer)
    rows.push({
      words: `${wordCount(drawer.rows, 'row')} in a drawer of ${formatSize(drawer.widthMm, units)}`,
      how: `The length of the row of ${of} through the inner width of the middle one of your drawers, rounded up.`,
    });
  if (pileMm !== null)
    rows.push({
      words: `${formatSize(pileMm, units)} of pile, folded flat`,
      how: `The height of ${of} folded to your panel, one on the other.`,
    });
  if (volumeMm3 !== null)
    rows.push({
      words: `${formatVolume(volumeMm3, units)} in bins or drawers`,
      how: `The volume of ${of} with the air that stays between: soft goods fill three quarters of a bin, hard ones five eighths.`,
    });
  return rows;
}
