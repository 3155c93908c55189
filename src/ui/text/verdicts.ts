import { formatMass, formatMinutes, formatSize, type UnitSystem } from '../../core/units/index.ts';
import type { Household } from '../../core/records/index.ts';
import type { GroupVerdict, Verdict } from '../../workers/protocol.ts';
import { wordForm } from './names.ts';
import { formatFixed, t } from '../language/index.ts';

/** Words of what would come of putting a thing into a place; not in the index, only the wall needs them. */

const NEAR_NOTHING_SECONDS = 3;

function wordGain(moreSeconds: number, isHomeless: boolean): string {
  if (isHomeless)
    return t('saves {minutes} a month of looking for it', { minutes: formatMinutes(Math.max(0, -moreSeconds)) });
  if (Math.abs(moreSeconds) < NEAR_NOTHING_SECONDS) return t('as quick as now');
  const minutes = formatMinutes(Math.abs(moreSeconds));
  return moreSeconds > 0
    ? t('{minutes} a month more than now', { minutes })
    : t('{minutes} a month less than now', { minutes });
}

/** `B3: on a board; 2.4 min a month less than now.` or the rule that forbids it, with the missing measure. */
export function wordVerdict(verdict: Verdict, place: string, isHomeless: boolean, units: UnitSystem): string {
  if (verdict.isGood) return `${place}: ${wordForm(verdict.form)}; ${wordGain(verdict.moreSeconds, isHomeless)}.`;
  const { code, needed, available } = verdict;
  const [need, have] = [formatSize(needed, units), formatSize(available, units)];
  switch (code) {
    case 'here':
      return t('{place}: it is here.', { place });
    case 'full':
      return t('{place}: no, it takes {needed} % of it and {available} % is free.', {
        place,
        needed: Math.round(100 * needed),
        available: Math.round(100 * available),
      });
    case 'too-long':
      return t('{place}: no, it is {need} long and there are {have}.', { place, need, have });
    case 'too-high':
      return t('{place}: no, it is {need} high and there are {have}.', { place, need, have });
    case 'too-deep':
      return t('{place}: no, it is {need} deep and there are {have}.', { place, need, have });
    case 'too-wide':
      return t('{place}: no, it is {need} across and there are {have}.', { place, need, have });
    case 'small-hole':
      return t('{place}: no, its hole is {have} and the hooks are {need} thick.', { place, have, need });
    case 'no-hook':
      return t('{place}: no, there is no hook.', { place });
    case 'hook-load':
    case 'load':
      return t('{place}: no, it weighs {mass} and that carries {most}.', {
        place,
        mass: formatMass(needed, units),
        most: formatMass(available, units),
      });
    case 'too-much':
      return t('{place}: no, it is {needed} times what goes in.', { place, needed: formatFixed(needed, 1) });
    case 'children':
      return t('{place}: no, within reach of children.', { place });
    case 'sun':
      return t('{place}: no, the sun falls there.', { place });
    case 'heat':
      return t('{place}: no, next to something hot.', { place });
    case 'heap':
      return t('{place}: no, a heap is no home.', { place });
    case 'stays':
      return t('{place}: no, you asked that it stays as it is.', { place });
    case 'not-in':
      return t('{place}: no, you asked that it never goes there.', { place });
    case 'free':
      return t('{place}: no, you keep it free.', { place });
    default:
      return t('{place}: no, it is not kept in a way that suits.', { place });
  }
}

/** `B3: all 8 things; 2.4 min a month less than now.` or what forbids it, and to which of them. */
export function wordGroupVerdict(verdict: GroupVerdict, place: string, household: Household): string {
  const { units } = household.settings;
  if (verdict.isGood)
    return t('{place}: all {forms, plural, one {# thing} other {# things}}; {gain}.', {
      place,
      forms: verdict.forms.length,
      gain: wordGain(verdict.moreSeconds, false),
    });
  if (verdict.code === 'here') return t('{place}: all of it is here.', { place });
  const words = wordVerdict(verdict, place, false, units);
  const lot = verdict.lotId && household.lots.get(verdict.lotId);
  const name = lot ? household.items.get(lot.itemId)?.name : undefined;
  if (name) return `${words.replace(/\.$/, '')} (${name}).`;
  if (verdict.code !== 'full') return words;
  return t('{place}: no, together they take {needed} % of it and {available} % is free.', {
    place,
    needed: Math.round(100 * verdict.needed),
    available: Math.round(100 * verdict.available),
  });
}
