import type { Block, StepPlace, Step } from '../../core/moves/index.ts';
import type { ContainerSpec, PlaceId } from '../../core/records/index.ts';
import { formatPlaceName, type PlaceTree } from '../../core/storage/index.ts';
import { formatMinutes } from '../../core/units/index.ts';
import { wordBinWay } from './bins.ts';
import { perLanguage, t } from '../language/index.ts';
import { joinAnd } from './grammar.ts';

/** Words of carrying; not in the index, only the move list needs them. */

export function wordSpot(spot: StepPlace, tree: PlaceTree): string {
  if (spot === 'idle') return t('out of the way');
  if (spot === 'table') return t('the table');
  if (spot === 'aside') return t('out of the way, in another room');
  if (spot === 'about') return t('wherever it lies');
  return tree.places.has(spot) ? formatPlaceName(tree, spot) : t('a place that is gone');
}

const BINS = perLanguage((): Record<ContainerSpec['kind'], readonly [one: string, several: string]> => ({
  bin: [t('bin'), t('bins')],
  box: [t('box'), t('boxes')],
  basket: [t('basket'), t('baskets')],
  jar: [t('jar'), t('jars')],
  case: [t('case'), t('cases')],
}));

/** `the empty bin Batting`, or `the bins Batting and Oilskin`, by the step that carries them. */
function wordBins({ bins: carried = [], isEmptied }: Step, tree: PlaceTree): string {
  const places = carried.flatMap(({ placeId }) => tree.places.get(placeId) ?? []);
  const kinds = new Set(places.map((place) => place.container!.kind));
  const [one, several] = BINS()[kinds.size === 1 ? [...kinds][0]! : 'bin'];
  const names = joinAnd(places.map(({ name }) => name));
  const bins = places.length === 1 ? one : several;
  return isEmptied
    ? t('the empty {bins} {names}', { bins: bins, names })
    : t('the {bins} {names}', { bins: bins, names });
}

/**
 * What one does: `Carry 5 things`, or the one by its name, `Carry the whole bin`, `Carry the empty bin Zips`, `Fold 2
 * things anew`, `Put 9 things in order`.
 */
export function wordDeed(step: Step, names: readonly string[], tree: PlaceTree): string {
  const { kind, isWholeBin, bins } = step;
  if (bins)
    return bins.length === 1
      ? t('Carry {bins}', { bins: wordBins(step, tree) })
      : t('Let {bins} change places', { bins: wordBins(step, tree) });
  const things = names.length === 1 ? names[0]! : t('{n, plural, one {# thing} other {# things}}', { n: names.length });
  if (kind === 'refold') return t('Fold {things} anew', { things });
  if (kind === 'order') return t('Put {things} in order', { things });
  return isWholeBin ? t('Carry the whole bin, {things} in it', { things }) : t('Carry {things}', { things });
}

/** The whole step in one line, for a list: what, from where, to where. */
export function wordWay({ kind, from, to, bins }: Step, tree: PlaceTree): string {
  if (bins && bins.length > 1) return t('all at once');
  if (bins)
    return wordBinWay(
      from === 'idle' ? undefined : (from as PlaceId),
      to === 'idle' ? undefined : (to as PlaceId),
      tree,
    );
  if (kind !== 'carry') return t('in {spot}', { spot: wordSpot(to, tree) });
  return t('from {from} to {to}', { from: wordSpot(from, tree), to: wordSpot(to, tree) });
}

/** What the daybook says of a step that is done. */
export function wordDone(step: Step, names: readonly string[], tree: PlaceTree): string {
  const things = step.bins
    ? wordBins(step, tree)
    : names.length === 1
      ? names[0]!
      : t('{n, plural, one {# thing} other {# things}}', { n: names.length });
  return `${things} ${wordWay(step, tree)}`;
}

/** What can be done in the time one has. */
export function wordBlock(block: Block, minutes: number): string {
  const words = t('{from, plural, one {# step} other {# steps}} take {minutes}', {
    from: block.to - block.from,
    minutes: formatMinutes(block.seconds),
  });
  return block.seconds > minutes * 60
    ? t('Nothing shorter leaves the table clear: {words}.', { words })
    : t('{words} and leave nothing on the table.', { words });
}
