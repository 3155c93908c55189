import type { HomeOffer } from '../../workers/protocol.ts';
import { t } from '../language/index.ts';

/** Words of the bench; not in the index, only its screens need them. */

const DAY_MS = 86_400_000;
const DAYS_A_MONTH = 30.44;

/** `since today`, `for 3 days`. */
export function wordSince(sinceMs: number, nowMs: number): string {
  if (nowMs - sinceMs < DAY_MS && new Date(sinceMs).getDate() === new Date(nowMs).getDate()) return t('since today');
  const days = Math.round((nowMs - sinceMs) / DAY_MS);
  return days < 60
    ? t('for {days, plural, one {# day} other {# days}}', { days })
    : t('for {months, plural, one {# month} other {# months}}', { months: Math.round(days / DAYS_A_MONTH) });
}

/** What a place would be like with the thing in it: its kin there, who else, how full. */
export function wordCompany({ kin, others, fill }: HomeOffer): string {
  const company = [
    kin > 0 ? t('with {kin, plural, one {# other} other {# others}} of its group', { kin }) : '',
    others > 0
      ? kin > 0
        ? t('and {others, plural, one {# other group} other {# other groups}}', { others })
        : t('beside {others, plural, one {# other group} other {# other groups}}', { others })
      : '',
  ].filter(Boolean);
  return t('{company}; then {fill} % full', {
    company: company.length > 0 ? company.join(' ') : t('on its own'),
    fill: Math.round(100 * fill),
  });
}
