import { t } from '../language/index.ts';

/** Written out by hand: every screen says a day, and the first of them is loaded with as little as can be. */
const write = (pattern: string) => (_: string, year: string, month: string, day: string) =>
  pattern.replace('yyyy', year).replace('MM', month).replace('dd', day);

/** A day of the records, as the reader writes days: in English as it is recorded, for that is read the same everywhere. */
export function wordDay(day: string): string {
  return day.replace(/^(\d{4})-(\d\d)-(\d\d)$/u, write(t('yyyy-MM-dd')));
}

/** A day of every year, `04-15`. */
export function wordDayOfYear(day: string): string {
  return day.replace(/^()(\d\d)-(\d\d)$/u, write(t('MM-dd')));
}
