import type { Block, StepPlace, Step } from '../../core/moves/index.ts';
import type { PlaceId } from '../../core/records/index.ts';
import { formatPlaceName, type PlaceTree } from '../../core/storage/index.ts';
import { formatMinutes } from '../../core/units/index.ts';
import { wordBinWay } from './bins.ts';
import { wordCount } from './grammar.ts';

/** Words of carrying; not in the index, only the move list needs them. */

export function wordSpot(spot: StepPlace, tree: PlaceTree): string {
  if (spot === 'idle') return 'out of the way';
  if (spot === 'table') return 'the table';
  if (spot === 'aside') return 'out of the way, in another room';
  if (spot === 'about') return 'wherever it lies';
  return tree.places.has(spot) ? formatPlaceName(tree, spot) : 'a place that is gone';
}

/** `the empty bin Batting`, or `the bins Batting and Oilskin`, by the step that carries them. */
function wordBins({ bins = [], isEmptied }: Step, tree: PlaceTree): string {
  const places = bins.flatMap(({ placeId }) => tree.places.get(placeId) ?? []);
  const kinds = new Set(places.map((place) => place.container!.kind));
  const kind = kinds.size === 1 ? [...kinds][0]! : 'bin';
  const names = places.map(({ name }) => name).join(' and ');
  return `the ${isEmptied ? 'empty ' : ''}${places.length === 1 ? kind : kind === 'box' ? 'boxes' : `${kind}s`} ${names}`;
}

/**
 * What one does: `Carry 5 things`, or the one by its name, `Carry the whole bin`, `Carry the empty bin Zips`, `Fold 2
 * things anew`, `Put 9 things in order`.
 */
export function wordDeed(step: Step, names: readonly string[], tree: PlaceTree): string {
  const { kind, isWholeBin, bins } = step;
  if (bins) return bins.length === 1 ? `Carry ${wordBins(step, tree)}` : `Let ${wordBins(step, tree)} change places`;
  const things = names.length === 1 ? names[0]! : wordCount(names.length, 'thing');
  if (kind === 'refold') return `Fold ${things} anew`;
  if (kind === 'order') return `Put ${things} in order`;
  return isWholeBin ? `Carry the whole bin, ${things} in it` : `Carry ${things}`;
}

/** The whole step in one line, for a list: what, from where, to where. */
export function wordWay({ kind, from, to, bins }: Step, tree: PlaceTree): string {
  if (bins && bins.length > 1) return 'all at once';
  if (bins)
    return wordBinWay(
      from === 'idle' ? undefined : (from as PlaceId),
      to === 'idle' ? undefined : (to as PlaceId),
      tree,
    );
  if (kind !== 'carry') return `in ${wordSpot(to, tree)}`;
  return `from ${wordSpot(from, tree)} to ${wordSpot(to, tree)}`;
}

/** What the daybook says of a step that is done. */
export function wordDone(step: Step, names: readonly string[], tree: PlaceTree): string {
  const things = step.bins ? wordBins(step, tree) : names.length === 1 ? names[0]! : wordCount(names.length, 'thing');
  return `${things} ${wordWay(step, tree)}`;
}

/** What can be done in the time one has. */
export function wordBlock(block: Block, minutes: number): string {
  const words = `${wordCount(block.to - block.from, 'step')} take ${formatMinutes(block.seconds)}`;
  return block.seconds > minutes * 60
    ? `Nothing shorter leaves the table clear: ${words}.`
    : `${words} and leave nothing on the table.`;
}
