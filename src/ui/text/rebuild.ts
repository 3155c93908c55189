import type { PegFamily } from '../../core/records/index.ts';
import type { Board, PlaceTree, HookFault } from '../../core/storage/index.ts';
import { formatSize, type UnitSystem } from '../../core/units/index.ts';
import { wordCount } from './grammar.ts';
import { wordContainerFault } from './roomFaults.ts';
import type { Put, SlotFit } from '../../core/suppose/index.ts';
import { toTable } from '../../core/words/index.ts';

/** Words of a wall that is rebuilt in place; not in the index, only that needs them. */

/** What a compartment would be like, and whether what is in it still lies in it. */
function wordSlotFit(fit: SlotFit, tree: PlaceTree, side: string, units: UnitSystem): string {
  const { name } = fit.place;
  if (fit.containerFault) {
    const names = tree.getChildren(fit.place.id).map((bin) => bin.name);
    return wordContainerFault(fit.containerFault, names, name, units);
  }
  if (fit.hookFault) return wordHookFault(fit.hookFault, units);
  if (fit.overMm === null) return `${name} ${side}, empty`;
  if (!fit.isFit)
    return fit.overMm < 0
      ? `${name} ${side}: what is in it is ${formatSize(-fit.overMm, units)} too high`
      : `${name} ${side}: what is in it no longer fits`;
  return `${name} ${side}, ${formatSize(fit.overMm, units)} over what is in it`;
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
    const side = axis === 'shelf' ? `${formatSize(heightMm, units)} high` : `${formatSize(widthMm, units)} wide`;
    return wordSlotFit(fit, tree, side, units);
  });
  return `${words.join(' · ')}.`;
}

/** Where a board is, for the ear. */
export function wordBoard(board: Board, tree: PlaceTree, units: UnitSystem): string {
  const names = (ids: Board['before']) => ids.map((id) => tree.places.get(id)?.name ?? '').join(' and ');
  const what = board.axis === 'shelf' ? 'Shelf' : 'Upright';
  const where = board.axis === 'shelf' ? 'up in its piece' : 'from the left of its piece';
  // As they are counted: the second before the third, whichever is above.
  const between = [names(board.before), names(board.after)]
    .toSorted((a, b) => a.localeCompare(b, 'en', { numeric: true }))
    .join(' and ');
  return `${what} between ${between}, ${formatSize(board.atMm, units)} ${where}`;
}

/** Whether a bin goes into a compartment, and what is left over or missing. */
export function wordPut(put: Put, bin: string, place: string, units: UnitSystem): string {
  if (put.ok) {
    const turned = put.bin.container?.at?.isTurned ? ', turned' : '';
    const size = (mm: number) => formatSize(Math.max(0, mm), units);
    return `${bin} goes into ${place}${turned}: ${size(put.overMm)} over it, ${size(put.besideMm)} beside it.`;
  }
  const { fault } = put;
  switch (fault.code) {
    case 'holds-no-bins':
      return `${place} takes no bins.`;
    case 'retired':
      return `${bin} is retired.`;
    case 'loose-things':
      return `${wordCount(fault.lots, 'thing')} ${fault.lots === 1 ? 'lies' : 'lie'} loose in ${place}: take them out first.`;
    case 'no-room':
      return fault.fault
        ? wordContainerFault(fault.fault, [bin], place, units)
        : `${bin} would fit ${place} alone; beside what stands there it does not.`;
  }
}

export function wordHookFault(fault: HookFault, units: UnitSystem): string {
  switch (fault.code) {
    case 'other-family':
      return 'That hook belongs to another family of holes and does not hold here.';
    case 'thick-wire':
      return `The wire is ${formatSize(fault.neededMm, units)} thick, the holes ${formatSize(fault.availableMm, units)}.`;
    case 'no-hole':
      return 'A hook sits where the field has no hole.';
    case 'same-hole':
      return 'Two hooks sit in one hole.';
  }
}

/** What holes a field has: `round, 6.4 mm`. */
export function wordPegFamily(family: PegFamily, holeMm: number, units: UnitSystem): string {
  const size = units === 'metric' ? `${holeMm} mm` : formatSize(holeMm, units);
  return { round: `round, ${size}`, slotted: `slots, ${size} wide`, free: 'none: hooks on their own' }[family];
}

const HOOK_NAMES = toTable<string>({ short: 'short hook', long: 'long hook', strong: 'strong hook' });

/** `short hook, 5 cm, carries 1 kg` without its measures: `round-short` is a short hook. */
export function wordHookKind(id: string): string {
  return HOOK_NAMES[id.split('-')[1] ?? ''] ?? 'usual hook';
}
