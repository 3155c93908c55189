import type { Block, StepPlace, Step } from '../../core/moves/index.ts';
import { formatPlaceName, type PlaceTree } from '../../core/storage/index.ts';
import { formatMinutes } from '../../core/units/index.ts';
import { wordCount } from './grammar.ts';

/** Words of carrying; not in the index, only the move list needs them. */

export function wordSpot(spot: StepPlace, tree: PlaceTree): string {
  if (spot === 'table') return 'the table';
  if (spot === 'aside') return 'out of the way, in another room';
  if (spot === 'about') return 'wherever it lies';
  return tree.places.has(spot) ? formatPlaceName(tree, spot) : 'a place that is gone';
}

/** What one does: `Carry 5 things`, or the one by its name, `Carry the whole bin`, `Fold 2 things anew`, `Put 9 things in order`. */
export function wordDeed({ kind, isWholeBin }: Step, names: readonly string[]): string {
  const things = names.length === 1 ? names[0]! : wordCount(names.length, 'thing');
  if (kind === 'refold') return `Fold ${things} anew`;
  if (kind === 'order') return `Put ${things} in order`;
  return isWholeBin ? `Carry the whole bin, ${things} in it` : `Carry ${things}`;
}

/** The whole step in one line, for a list: what, from where, to where. */
export function wordWay({ kind, from, to }: Step, tree: PlaceTree): string {
  if (kind !== 'carry') return `in ${wordSpot(to, tree)}`;
  return `from ${wordSpot(from, tree)} to ${wordSpot(to, tree)}`;
}

/** What can be done in the time one has. */
export function wordBlock(block: Block, minutes: number): string {
  const words = `${wordCount(block.to - block.from, 'step')} take ${formatMinutes(block.seconds)}`;
  return block.seconds > minutes * 60
    ? `Nothing shorter leaves the table clear: ${words}.`
    : `${words} and leave nothing on the table.`;
}
