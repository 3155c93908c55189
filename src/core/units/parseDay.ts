import { isValid, parse } from 'date-fns';
import { toDay } from './calendar.ts';

/** Days that read one way only: as they are recorded, and with points, where the day comes first. */
const DAY_FORMATS = ['yyyy-MM-dd', 'd.M.yyyy'];

/** A day as somebody else's table writes it, as `2027-05-31`; null for what is none, or could be two (`5/6/2027`). */
export function parseDay(text: string): string | null {
  const bare = text.replaceAll(' ', '');
  for (const pattern of DAY_FORMATS) {
    const date = parse(bare, pattern, new Date(0));
    // A year of two digits is none of the sewist's.
    if (isValid(date) && date.getFullYear() >= 1000) return toDay(date);
  }
  return null;
}
