import type { GroupNeeds } from '../../core/grouping/index.ts';
import type { StowForm } from '../../core/records/index.ts';
import { formatSize, formatSizes, formatVolume, type UnitSystem } from '../../core/units/index.ts';

const LINE: Partial<Record<StowForm, string>> = {
  board: 'of shelf on boards',
  envelope: 'of row, standing',
  spool: 'of spools side by side',
  file: 'standing, folded',
  box: 'side by side',
  roll: 'of rolls side by side',
};

/** The space a group needs in each way of keeping it, the most usual first. */
export function wordNeeds(needs: GroupNeeds, units: UnitSystem): string[] {
  const { lineMm, lineForm, pileMm, volumeMm3, pegMm2 } = needs;
  const words: string[] = [];
  if (pegMm2 !== null) {
    const side = Math.sqrt(pegMm2);
    words.push(`${formatSizes([side, side], units)} of peg field`);
  }
  if (lineMm !== null && lineForm) words.push(`${formatSize(lineMm, units)} ${LINE[lineForm] ?? 'side by side'}`);
  if (pileMm !== null) words.push(`${formatSize(pileMm, units)} of pile, folded flat`);
  if (volumeMm3 !== null) words.push(`${formatVolume(volumeMm3, units)} in bins or drawers`);
  return words;
}
