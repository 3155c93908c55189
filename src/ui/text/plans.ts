import type { Reason } from '../../core/records/index.ts';
import type { Cure } from '../../core/suppose/index.ts';
import { formatPlaceName, getAncestor, type PlaceTree } from '../../core/storage/index.ts';
import { formatMass, formatMinutes, formatSize, type UnitSystem } from '../../core/units/index.ts';
import type { HomeOffer, LotReason } from '../../workers/protocol.ts';
import { wordReach } from './names.ts';
import { formatFixed, t } from '../language/index.ts';
import { wordChange } from './change.ts';

function wordUses(perMonth: number): string {
  if (perMonth === 0) return t('not used lately');
  const times = Math.round(perMonth);
  return t('used {often} a month', {
    often:
      perMonth < 1
        ? t('less than once')
        : times === 1
          ? t('once')
          : times === 2
            ? t('twice')
            : t('{times} times', { times }),
  });
}

/** Why something found no home, with the measure that is missing and where it came nearest. */
export function wordUnplaced(reason: Reason, tree: PlaceTree, units: UnitSystem): string {
  const place = reason.placeId ? formatPlaceName(tree, reason.placeId) : '';
  const needed = reason.needed ?? 0;
  const available = reason.available ?? 0;
  const [needMm, haveMm] = [formatSize(needed, units), formatSize(available, units)];
  switch (reason.code) {
    case 'too-long':
      return t('{needMm} long; the longest place that takes its kind is {place} with {haveMm}.', {
        needMm,
        place,
        haveMm,
      });
    case 'too-high':
      return t('{needMm} high; the nearest is {place} with {haveMm}.', { needMm, place, haveMm });
    case 'too-deep':
      return t('{needMm} deep; the nearest is {place} with {haveMm}.', { needMm, place, haveMm });
    case 'too-wide':
      return t('{needMm} across; the nearest is {place} with {haveMm}.', { needMm, place, haveMm });
    case 'hook-load':
    case 'load':
      return t('It weighs {mass}; {place} carries {most}.', {
        mass: formatMass(needed, units),
        place,
        most: formatMass(available, units),
      });
    case 'small-hole':
      return t('Its hole is {haveMm} across; the hooks of {place} are {needMm} thick.', { haveMm, place, needMm });
    case 'too-much':
      return t('It is too much even for {place} empty: {needed} times what goes in.', {
        place,
        needed: formatFixed(needed, 1),
      });
    case 'full':
      return t('It would fit {place}, but needs {needed} % of it and {available} % is free.', {
        place,
        needed: Math.round(needed * 100),
        available: Math.round(available * 100),
      });
    case 'laden':
      return t('It weighs {mass}; {place} can carry only {left} more.', {
        mass: formatMass(needed, units),
        place,
        left: formatMass(available, units),
      });
    case 'not-packed':
      return t('{place} has room for it in sum, but no way was found to lay it beside what is there.', { place });
    case 'stays':
      return t('It would fit {place}, but you said what stays where it is.', { place });
    case 'not-in':
      return t('It would fit {place}, but you said that it never goes there.', { place });
    case 'free':
      return t('It would fit {place}, which you keep free.', { place });
    case 'apart':
      return t('{place} would take it, but something is there that it is never to be with.', { place });
    case 'together':
      return t('No place takes all of what you keep together; alone it would fit {place}.', { place });
    case 'children':
      return t('Every place that it fits is within reach of children.');
    case 'sun':
      return t('Every place that it fits has the sun on it.');
    case 'heap':
      return t('It would only fit a heap, which is no home.');
    case 'heat':
      return t('Every place that it fits is next to something hot.');
    default:
      return t('None of its ways to be kept suits any place in the room.');
  }
}

/** `say that Drawer 4 locks`, `raise Peg field by 10 cm`. */
export function wordCure(cure: Cure, tree: PlaceTree, units: UnitSystem): string {
  if (cure.code === 'lock') return t('say that {placeName} locks', { placeName: formatPlaceName(tree, cure.placeId) });
  return t('raise {ancestor} by {size}', {
    ancestor: getAncestor(tree, cure.placeId, 'unit')?.name ?? '',
    size: formatSize(cure.mm, units),
  });
}

/** `If Drawer 4 locked`, `If Peg field hung 10 cm higher`. */
export function wordCured(cure: Cure, tree: PlaceTree, units: UnitSystem): string {
  if (cure.code === 'lock') return t('If {placeName} locked', { placeName: formatPlaceName(tree, cure.placeId) });
  return t('If {ancestor} hung {size} higher', {
    ancestor: getAncestor(tree, cure.placeId, 'unit')?.name ?? '',
    size: formatSize(cure.mm, units),
  });
}

export function wordLotReason(reason: LotReason, tree: PlaceTree, units: UnitSystem): string {
  switch (reason.code) {
    case 'kin':
      return t('With {count, plural, one {# other} other {# others}} of its group.', { count: reason.count });
    case 'alone':
      return t('The only one of its group here.');
    case 'reach': {
      const uses = reason.usesPerMonth;
      return t('Height: {reach}; {uses}.', { reach: wordReach(reason.reach), uses: wordUses(uses) });
    }
    case 'dark':
      return t('Dark, so it does not fade.');
    case 'seen':
      return t('In sight, so it is not forgotten.');
    case 'on-table':
      return t('On the table: in the way of the work, {minutes} a month.', { minutes: formatMinutes(reason.seconds) });
    case 'spare':
      return t('{size} to spare.', { size: formatSize(reason.spareMm, units) });
    case 'elsewhere':
      if (Math.abs(reason.moreSeconds) < 3)
        return t('{placeName} would do as well.', { placeName: formatPlaceName(tree, reason.placeId) });
      return reason.moreSeconds > 0
        ? t('Next best: {placeName}, {minutes} a month more.', {
            placeName: formatPlaceName(tree, reason.placeId),
            minutes: formatMinutes(reason.moreSeconds),
          })
        : t('{placeName} would save {minutes} a month.', {
            placeName: formatPlaceName(tree, reason.placeId),
            minutes: formatMinutes(-reason.moreSeconds),
          });
  }
}

/** What a place costs beside where the thing is now. A homeless thing is looked for everywhere, so any home saves. */
export function wordHomeOffer({ moreSeconds }: Pick<HomeOffer, 'moreSeconds'>, isHomeless: boolean): string {
  const minutes = formatMinutes(Math.abs(moreSeconds));
  if (Math.abs(moreSeconds) < 3) return isHomeless ? t('hardly any time a month') : t('as quick as now');
  if (moreSeconds > 0) return isHomeless ? t('{minutes} a month', { minutes }) : wordChange(moreSeconds);
  return isHomeless
    ? t('saves {minutes} a month of looking for it', { minutes })
    : t('saves {minutes} a month', { minutes });
}
