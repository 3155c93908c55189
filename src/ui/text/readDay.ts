import { format, isValid, parse } from 'date-fns';
import { t } from '../language/index.ts';

/** A day of every year as one types it: the reader's way, or as it is recorded; null for what is none. */
export function readDayOfYear(text: string): string | null {
  // A leap year: 29 February is a day too.
  const from = new Date(2024, 0, 1);
  const bare = text.replaceAll(' ', '');
  // Who writes `15.4` or `15. 4.` means the same.
  for (const typed of [bare, `${bare}.`])
    for (const pattern of [t('MM-dd'), 'MM-dd']) {
      const date = parse(typed, pattern, from);
      if (isValid(date)) return format(date, 'MM-dd');
    }
  return null;
}
