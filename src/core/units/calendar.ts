const pad = (n: number, digits: number) => String(n).padStart(digits, '0');

/** The day of an instant by the sewist's own calendar: `2026-11-28`. By hand: the first screen is loaded with it. */
export function toDay(at: number | Date): string {
  const date = new Date(at);
  return [pad(date.getFullYear(), 4), pad(date.getMonth() + 1, 2), pad(date.getDate(), 2)].join('-');
}

/** The month of an instant by the sewist's own calendar: `2026-11`. */
export function toMonth(at: number | Date): string {
  return toDay(at).slice(0, 7);
}
