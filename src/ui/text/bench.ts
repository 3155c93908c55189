import type { HomeOffer } from '../../workers/protocol.ts';
import { wordCount } from './grammar.ts';

/** Words of the bench; not in the index, only its screens need them. */

const DAY_MS = 86_400_000;
const DAYS_A_MONTH = 30.44;

/** `since today`, `for 3 days`. */
export function wordSince(sinceMs: number, nowMs: number): string {
  if (nowMs - sinceMs < DAY_MS && new Date(sinceMs).getDate() === new Date(nowMs).getDate()) return 'since today';
  const days = Math.round((nowMs - sinceMs) / DAY_MS);
  return `for ${days < 60 ? wordCount(days, 'day') : wordCount(Math.round(days / DAYS_A_MONTH), 'month')}`;
}

/** What a place would be like with the thing in it: its kin there, who else, how full. */
export function wordCompany({ kin, others, fill }: HomeOffer): string {
  const company = [
    kin > 0 ? `with ${wordCount(kin, 'other')} of its group` : '',
    others > 0 ? `${kin > 0 ? 'and' : 'beside'} ${wordCount(others, 'other group')}` : '',
  ].filter(Boolean);
  return `${company.length > 0 ? company.join(' ') : 'on its own'}; then ${Math.round(100 * fill)} % full`;
}
