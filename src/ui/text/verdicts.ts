import { formatMass, formatMinutes, formatSize, type UnitSystem } from '../../core/units/index.ts';
import type { Household } from '../../core/records/index.ts';
import type { GroupVerdict, Verdict } from '../../workers/protocol.ts';
import { wordCount } from './grammar.ts';
import { wordForm } from './names.ts';

/** Words of what would come of putting a thing into a place; not in the index, only the wall needs them. */

const NEAR_NOTHING_SECONDS = 3;

function wordGain(moreSeconds: number, isHomeless: boolean): string {
  if (isHomeless) return `saves ${formatMinutes(Math.max(0, -moreSeconds))} a month of looking for it`;
  if (Math.abs(moreSeconds) < NEAR_NOTHING_SECONDS) return 'as quick as now';
  return `${formatMinutes(Math.abs(moreSeconds))} a month ${moreSeconds > 0 ? 'more' : 'less'} than now`;
}

/** `B3: on a board; 2.4 min a month less than now.` or the rule that forbids it, with the missing measure. */
export function wordVerdict(verdict: Verdict, place: string, isHomeless: boolean, units: UnitSystem): string {
  if (verdict.isGood) return `${place}: ${wordForm(verdict.form)}; ${wordGain(verdict.moreSeconds, isHomeless)}.`;
  const { code, needed, available } = verdict;
  const [need, have] = [formatSize(needed, units), formatSize(available, units)];
  switch (code) {
    case 'here':
      return `${place}: it is here.`;
    case 'full':
      return `${place}: no, it takes ${Math.round(100 * needed)} % of it and ${Math.round(100 * available)} % is free.`;
    case 'too-long':
      return `${place}: no, it is ${need} long and there are ${have}.`;
    case 'too-high':
      return `${place}: no, it is ${need} high and there are ${have}.`;
    case 'too-deep':
      return `${place}: no, it is ${need} deep and there are ${have}.`;
    case 'too-wide':
      return `${place}: no, it is ${need} across and there are ${have}.`;
    case 'small-hole':
      return `${place}: no, its hole is ${have} and the hooks are ${need} thick.`;
    case 'no-hook':
      return `${place}: no, there is no hook.`;
    case 'hook-load':
    case 'load':
      return `${place}: no, it weighs ${formatMass(needed, units)} and that carries ${formatMass(available, units)}.`;
    case 'too-much':
      return `${place}: no, it is ${needed.toFixed(1)} times what goes in.`;
    case 'children':
      return `${place}: no, within reach of children.`;
    case 'sun':
      return `${place}: no, the sun falls there.`;
    case 'heat':
      return `${place}: no, next to something hot.`;
    case 'heap':
      return `${place}: no, a heap is no home.`;
    case 'stays':
      return `${place}: no, you asked that it stays as it is.`;
    case 'not-in':
      return `${place}: no, you asked that it never goes there.`;
    case 'free':
      return `${place}: no, you keep it free.`;
    default:
      return `${place}: no, it is not kept in a way that suits.`;
  }
}

/** `B3: all 8 things; 2.4 min a month less than now.` or what forbids it, and to which of them. */
export function wordGroupVerdict(verdict: GroupVerdict, place: string, household: Household): string {
  const { units } = household.settings;
  if (verdict.isGood)
    return `${place}: all ${wordCount(verdict.forms.length, 'thing')}; ${wordGain(verdict.moreSeconds, false)}.`;
  if (verdict.code === 'here') return `${place}: all of it is here.`;
  const words = wordVerdict(verdict, place, false, units);
  const lot = verdict.lotId && household.lots.get(verdict.lotId);
  const name = lot ? household.items.get(lot.itemId)?.name : undefined;
  return name ? `${words.replace(/\.$/, '')} (${name}).` : words.replace('no, it takes', 'no, together they take');
}
