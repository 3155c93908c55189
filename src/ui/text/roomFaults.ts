import type { ContainerSpec } from '../../core/records/index.ts';
import type { ContainerFault, PlaceTree, UnitFault } from '../../core/storage/index.ts';
import { formatSize, type UnitSystem } from '../../core/units/index.ts';
import type { Disturbance } from '../../core/acts/index.ts';
import { t } from '../language/index.ts';
import { joinAnd } from './grammar.ts';

/** What a container is called. */
export function wordContainerKind(kind: ContainerSpec['kind']): string {
  return { bin: t('bin'), box: t('box'), basket: t('basket'), jar: t('jar'), case: t('case') }[kind];
}

/** Like the words of the room, not in the index: only the forms of furniture need them. */

/** Why a piece cannot be so or stand there, with the measure that is missing. */
export function wordUnitFault(fault: UnitFault, units: UnitSystem): string {
  const mm = formatSize(Math.max(0, fault.availableMm), units);
  switch (fault.code) {
    case 'no-inner-width':
      return t('The boards leave no width inside: fewer columns, thinner boards or a wider piece.');
    case 'no-inner-height':
      return t('The boards leave no height inside: fewer rows, thinner boards or a taller piece.');
    case 'beyond-wall':
      return t('It sticks out beyond the wall: there are {mm} from there to the corner.', { mm });
    case 'above-ceiling':
      return t('It does not stand under the ceiling there: the headroom is {mm}.', { mm });
  }
}

/** Why bins do not go into their place, with what is missing. */
export function wordContainerFault(
  fault: ContainerFault,
  names: readonly string[],
  place: string,
  units: UnitSystem,
): string {
  const bin = names[fault.index] ?? t('A bin');
  if (fault.code === 'in-each-other') return t('{bin} stands where another bin is.', { bin });
  if (fault.code === 'in-the-air')
    return t('{bin} stands {size} high on no lid.', { bin, size: formatSize(fault.neededMm, units) });
  const bins = fault.code === 'too-wide' ? joinAnd(names.slice(0, fault.index + 1)) : bin;
  const side = { 'too-wide': t('wide'), 'too-deep': t('deep'), 'too-high': t('high') }[fault.code];
  return t('{bins}: {size} {side}, but {place} has {room}.', {
    bins,
    size: formatSize(fault.neededMm, units),
    side,
    place,
    room: formatSize(fault.availableMm, units),
  });
}

/** What a change of the room would do to the things there; null when it disturbs nothing. */
export function wordDisturbance({ ousted, burst }: Disturbance, tree: PlaceTree): string | null {
  const parts: string[] = [];
  if (ousted.length > 0)
    parts.push(
      t('{ousted, plural, one {# thing} other {# things}} in it would lie out, without a home.', {
        ousted: ousted.length,
      }),
    );
  if (burst.length > 0) {
    const names = burst.slice(0, 3).map((id) => tree.places.get(id)?.name ?? t('the new bin'));
    const more = burst.length > 3 ? t(' and {burst} more', { burst: burst.length - 3 }) : '';
    parts.push(
      t('What is in {names}{more} would no longer fit; it stays there, over full.', { names: names.join(', '), more }),
    );
  }
  return parts.length > 0 ? parts.join(' ') : null;
}
