import { formatISO } from 'date-fns';

/** The day of an instant by the sewist's own calendar: `2026-11-28`. */
export function toDay(at: number | Date): string {
  return formatISO(at, { representation: 'date' });
}

/** The month of an instant by the sewist's own calendar: `2026-11`. */
export function toMonth(at: number | Date): string {
  return toDay(at).slice(0, 7);
}
