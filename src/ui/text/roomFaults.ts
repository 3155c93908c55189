import type { ContainerSpec } from '../../core/records/index.ts';
import type { ContainerFault, PlaceTree, UnitFault } from '../../core/storage/index.ts';
import { formatSize, type UnitSystem } from '../../core/units/index.ts';
import { wordCount } from './grammar.ts';
import type { Disturbance } from '../../core/acts/index.ts';

/** What a container is called. */
export function wordContainerKind(kind: ContainerSpec['kind']): string {
  return { bin: 'bin', box: 'box', basket: 'basket', jar: 'jar', case: 'case' }[kind];
}

/** Like the words of the room, not in the index: only the forms of furniture need them. */

/** Why a piece cannot be so or stand there, with the measure that is missing. */
export function wordUnitFault(fault: UnitFault, units: UnitSystem): string {
  const mm = formatSize(Math.max(0, fault.availableMm), units);
  switch (fault.code) {
    case 'no-inner-width':
      return 'The boards leave no width inside: fewer columns, thinner boards or a wider piece.';
    case 'no-inner-height':
      return 'The boards leave no height inside: fewer rows, thinner boards or a taller piece.';
    case 'beyond-wall':
      return `It sticks out beyond the wall: there are ${mm} from there to the corner.`;
    case 'above-ceiling':
      return `It does not stand under the ceiling there: the headroom is ${mm}.`;
  }
}

/** Why bins do not go into their place, with what is missing. */
export function wordContainerFault(
  fault: ContainerFault,
  names: readonly string[],
  place: string,
  units: UnitSystem,
): string {
  const bin = names[fault.index] ?? 'A bin';
  if (fault.code === 'in-each-other') return `${bin} stands where another bin is.`;
  if (fault.code === 'in-the-air') return `${bin} stands ${formatSize(fault.neededMm, units)} high on no lid.`;
  const bins = fault.code === 'too-wide' ? names.slice(0, fault.index + 1).join(' and ') : bin;
  const side = { 'too-wide': 'wide', 'too-deep': 'deep', 'too-high': 'high' }[fault.code];
  return `${bins}: ${formatSize(fault.neededMm, units)} ${side}, but ${place} has ${formatSize(fault.availableMm, units)}.`;
}

/** What a change of the room would do to the things there; null when it disturbs nothing. */
export function wordDisturbance({ ousted, burst }: Disturbance, tree: PlaceTree): string | null {
  const parts: string[] = [];
  if (ousted.length > 0) parts.push(`${wordCount(ousted.length, 'thing')} in it would lie out, without a home.`);
  if (burst.length > 0) {
    const names = burst.slice(0, 3).map((id) => tree.places.get(id)?.name ?? 'the new bin');
    const more = burst.length > 3 ? ` and ${burst.length - 3} more` : '';
    parts.push(`What is in ${names.join(', ')}${more} would no longer fit; it stays there, over full.`);
  }
  return parts.length > 0 ? parts.join(' ') : null;
}
