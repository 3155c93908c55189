import type { Reason } from '../../core/records/index.ts';
import type { Cure } from '../../core/suppose/index.ts';
import { formatPlaceName, getAncestor, type PlaceTree } from '../../core/storage/index.ts';
import { formatMass, formatMinutes, formatSize, type UnitSystem } from '../../core/units/index.ts';
import type { HomeOffer, LotReason } from '../../workers/protocol.ts';
import { wordCount } from './grammar.ts';
import { wordReach } from './names.ts';

function wordUses(perMonth: number): string {
  if (perMonth === 0) return 'not used lately';
  const times = Math.round(perMonth);
  return `used ${perMonth < 1 ? 'less than once' : times === 1 ? 'once' : times === 2 ? 'twice' : `${times} times`} a month`;
}

/** Why something found no home, with the measure that is missing and where it came nearest. */
export function wordUnplaced(reason: Reason, tree: PlaceTree, units: UnitSystem): string {
  const place = reason.placeId ? formatPlaceName(tree, reason.placeId) : '';
  const needed = reason.needed ?? 0;
  const available = reason.available ?? 0;
  const [needMm, haveMm] = [formatSize(needed, units), formatSize(available, units)];
  switch (reason.code) {
    case 'too-long':
      return `${needMm} long; the longest place that takes its kind is ${place} with ${haveMm}.`;
    case 'too-high':
      return `${needMm} high; the nearest is ${place} with ${haveMm}.`;
    case 'too-deep':
      return `${needMm} deep; the nearest is ${place} with ${haveMm}.`;
    case 'too-wide':
      return `${needMm} across; the nearest is ${place} with ${haveMm}.`;
    case 'hook-load':
    case 'load':
      return `It weighs ${formatMass(needed, units)}; ${place} carries ${formatMass(available, units)}.`;
    case 'small-hole':
      return `Its hole is ${haveMm} across; the hooks of ${place} are ${needMm} thick.`;
    case 'too-much':
      return `It is too much even for ${place} empty: ${needed.toFixed(1)} times what goes in.`;
    case 'full':
      return `It would fit ${place}, but needs ${Math.round(needed * 100)} % of it and ${Math.round(available * 100)} % is free.`;
    case 'laden':
      return `It weighs ${formatMass(needed, units)}; ${place} can carry only ${formatMass(available, units)} more.`;
    case 'not-packed':
      return `${place} has room for it in sum, but no way was found to lay it beside what is there.`;
    case 'stays':
      return `It would fit ${place}, but you said what stays where it is.`;
    case 'not-in':
      return `It would fit ${place}, but you said that it never goes there.`;
    case 'free':
      return `It would fit ${place}, which you keep free.`;
    case 'apart':
      return `${place} would take it, but something is there that it is never to be with.`;
    case 'together':
      return `No place takes all of what you keep together; alone it would fit ${place}.`;
    case 'children':
      return 'Every place that it fits is within reach of children.';
    case 'sun':
      return 'Every place that it fits has the sun on it.';
    case 'heap':
      return 'It would only fit a heap, which is no home.';
    case 'heat':
      return 'Every place that it fits is next to something hot.';
    default:
      return 'None of its ways to be kept suits any place in the room.';
  }
}

/** `say that Drawer 4 locks`, `raise Peg field by 10 cm`. */
export function wordCure(cure: Cure, tree: PlaceTree, units: UnitSystem): string {
  if (cure.code === 'lock') return `say that ${formatPlaceName(tree, cure.placeId)} locks`;
  return `raise ${getAncestor(tree, cure.placeId, 'unit')?.name ?? ''} by ${formatSize(cure.mm, units)}`;
}

/** `If Drawer 4 locked`, `If Peg field hung 10 cm higher`. */
export function wordCured(cure: Cure, tree: PlaceTree, units: UnitSystem): string {
  if (cure.code === 'lock') return `If ${formatPlaceName(tree, cure.placeId)} locked`;
  return `If ${getAncestor(tree, cure.placeId, 'unit')?.name ?? ''} hung ${formatSize(cure.mm, units)} higher`;
}

export function wordLotReason(reason: LotReason, tree: PlaceTree, units: UnitSystem): string {
  switch (reason.code) {
    case 'kin':
      return `With ${wordCount(reason.count, 'other')} of its group.`;
    case 'alone':
      return 'The only one of its group here.';
    case 'reach': {
      const uses = reason.usesPerMonth;
      return `Height: ${wordReach(reason.reach)}; ${wordUses(uses)}.`;
    }
    case 'dark':
      return 'Dark, so it does not fade.';
    case 'seen':
      return 'In sight, so it is not forgotten.';
    case 'on-table':
      return `On the table: in the way of the work, ${formatMinutes(reason.seconds)} a month.`;
    case 'spare':
      return `${formatSize(reason.spareMm, units)} to spare.`;
    case 'elsewhere':
      if (Math.abs(reason.moreSeconds) < 3) return `${formatPlaceName(tree, reason.placeId)} would do as well.`;
      return reason.moreSeconds > 0
        ? `Next best: ${formatPlaceName(tree, reason.placeId)}, ${formatMinutes(reason.moreSeconds)} a month more.`
        : `${formatPlaceName(tree, reason.placeId)} would save ${formatMinutes(-reason.moreSeconds)} a month.`;
  }
}

/** What a place costs beside where the thing is now. A homeless thing is looked for everywhere, so any home saves. */
export function wordHomeOffer({ moreSeconds }: Pick<HomeOffer, 'moreSeconds'>, isHomeless: boolean): string {
  const minutes = formatMinutes(Math.abs(moreSeconds));
  if (Math.abs(moreSeconds) < 3) return isHomeless ? 'hardly any time a month' : 'as quick as now';
  if (moreSeconds > 0) return isHomeless ? `${minutes} a month` : `${minutes} a month more`;
  return isHomeless ? `saves ${minutes} a month of looking for it` : `saves ${minutes} a month`;
}
