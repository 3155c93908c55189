import { format, isValid, parseISO } from 'date-fns';
import { t } from '../language/index.ts';

/** A day of the records, as the reader writes days: in English as it is recorded, for that is read the same everywhere. */
export function wordDay(day: string): string {
  const date = parseISO(day);
  return isValid(date) ? format(date, t('yyyy-MM-dd')) : day;
}

/** A day of every year, `04-15`. */
export function wordDayOfYear(day: string): string {
  const date = parseISO(`2024-${day}`);
  return isValid(date) ? format(date, t('MM-dd')) : day;
}
