import type { PegFamily } from '../../core/records/index.ts';
import type { Board, PlaceTree, HookFault } from '../../core/storage/index.ts';
import { formatSize, type UnitSystem } from '../../core/units/index.ts';
import { wordContainerFault } from './roomFaults.ts';
import type { Put, SlotFit } from '../../core/suppose/index.ts';
import { toTable } from '../../core/words/index.ts';
import { perLanguage, t } from '../language/index.ts';
import { joinAnd } from './grammar.ts';

/** Words of a wall that is rebuilt in place; not in the index, only that needs them. */

/** What a compartment would be like, and whether what is in it still lies in it. */
function wordSlotFit(fit: SlotFit, tree: PlaceTree, side: string, units: UnitSystem): string {
  const { name } = fit.place;
  if (fit.containerFault) {
    const names = tree.getChildren(fit.place.id).map((bin) => bin.name);
    return wordContainerFault(fit.containerFault, names, name, units);
  }
  if (fit.hookFault) return wordHookFault(fit.hookFault, units);
  if (fit.overMm === null) return t('{name} {side}, empty', { name, side });
  if (!fit.isFit)
    return fit.overMm < 0
      ? t('{name} {side}: what is in it is {size} too high', { name, side, size: formatSize(-fit.overMm, units) })
      : t('{name} {side}: what is in it no longer fits', { name, side });
  return t('{name} {side}, {size} over what is in it', { name, side, size: formatSize(fit.overMm, units) });
}

/** All that a board's move does, said at once. */
export function wordSlotFits(
  fits: readonly SlotFit[],
  tree: PlaceTree,
  axis: Board['axis'],
  units: UnitSystem,
): string {
  const words = fits.map((fit) => {
    const { heightMm, widthMm } = fit.place.slot!;
    const side =
      axis === 'shelf'
        ? t('{size} high', { size: formatSize(heightMm, units) })
        : t('{size} wide', { size: formatSize(widthMm, units) });
    return wordSlotFit(fit, tree, side, units);
  });
  return `${words.join(' · ')}.`;
}

/** Where a board is, for the ear. */
export function wordBoard(board: Board, tree: PlaceTree, units: UnitSystem): string {
  const names = (ids: Board['before']) => joinAnd(ids.map((id) => tree.places.get(id)?.name ?? ''));
  const what = board.axis === 'shelf' ? t('Shelf') : t('Upright');
  const where = board.axis === 'shelf' ? t('up in its piece') : t('from the left of its piece');
  // As they are counted: the second before the third, whichever is above.
  const between = [names(board.before), names(board.after)]
    .toSorted((a, b) => a.localeCompare(b, 'en', { numeric: true }))
    .join(t(' and '));
  return t('{what} between {between}, {size} {where}', { what, between, size: formatSize(board.atMm, units), where });
}

/** Whether a bin goes into a compartment, and what is left over or missing. */
export function wordPut(put: Put, bin: string, place: string, units: UnitSystem): string {
  if (put.ok) {
    const turned = put.bin.container?.at?.isTurned ? t(', turned') : '';
    const size = (mm: number) => formatSize(Math.max(0, mm), units);
    return t('{bin} goes into {place}{turned}: {overMm} over it, {besideMm} beside it.', {
      bin,
      place,
      turned,
      overMm: size(put.overMm),
      besideMm: size(put.besideMm),
    });
  }
  const { fault } = put;
  switch (fault.code) {
    case 'holds-no-bins':
      return t('{place} takes no bins.', { place });
    case 'retired':
      return t('{bin} is retired.', { bin });
    case 'loose-things':
      return t('{lots, plural, one {# thing lies} other {# things lie}} loose in {place}: take them out first.', {
        lots: fault.lots,
        place,
      });
    case 'no-room':
      return fault.fault
        ? wordContainerFault(fault.fault, [bin], place, units)
        : t('{bin} would fit {place} alone; beside what stands there it does not.', { bin, place });
  }
}

export function wordHookFault(fault: HookFault, units: UnitSystem): string {
  switch (fault.code) {
    case 'other-family':
      return t('That hook belongs to another family of holes and does not hold here.');
    case 'thick-wire':
      return t('The wire is {wire} thick, the holes {holes}.', {
        wire: formatSize(fault.neededMm, units),
        holes: formatSize(fault.availableMm, units),
      });
    case 'no-hole':
      return t('A hook sits where the field has no hole.');
    case 'same-hole':
      return t('Two hooks sit in one hole.');
  }
}

/** What holes a field has: `round, 6.4 mm`. */
export function wordPegFamily(family: PegFamily, holeMm: number, units: UnitSystem): string {
  const size = units === 'metric' ? t('{holeMm} mm', { holeMm }) : formatSize(holeMm, units);
  return {
    round: t('round, {size}', { size }),
    slotted: t('slots, {size} wide', { size }),
    free: t('none: hooks on their own'),
  }[family];
}

const HOOK_NAMES = perLanguage(() =>
  toTable<string>({ short: t('short hook'), long: t('long hook'), strong: t('strong hook') }),
);

/** `short hook, 5 cm, carries 1 kg` without its measures: `round-short` is a short hook. */
export function wordHookKind(id: string): string {
  return HOOK_NAMES()[id.split('-')[1] ?? ''] ?? t('usual hook');
}
