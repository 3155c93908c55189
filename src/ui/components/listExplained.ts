import { isPhone } from './phone.ts';

/** A way numbers in sight were made, and those made so. */
export interface Explained {
  readonly how: string;
  readonly values: readonly string[];
  /** In the row that was being looked at, or on the ticket beside it. */
  readonly isNear: boolean;
}

/** A choice of places to look for what the eye is on, the nearest first. */
const NEAR = 'tr, li, form, aside, section';
const VALUE_CHARS = 90;

/**
 * Every marked number that is in the window now, those made alike together,
 * told apart by whether they are of the row that has the focus, or its ticket.
 */
export function listExplained(page: Document): Explained[] {
  const isNarrow = isPhone();
  const near = page.activeElement?.closest(NEAR);
  const found = new Map<string, Explained & { values: string[] }>();
  for (const one of page.querySelectorAll<HTMLElement>('[data-how]')) {
    const box = one.getBoundingClientRect();
    // A phone shows a screen bit by bit: there all of it counts.
    const isInSight = box.bottom > 0 && box.top < innerHeight && box.right > 0 && box.left < innerWidth;
    const isSeen = box.width > 0 && (isInSight || isNarrow);
    const value = (one.dataset['how'] || one.textContent).trim().slice(0, VALUE_CHARS);
    if (!isSeen || value === '') continue;
    const isNear = (near?.contains(one) ?? false) || one.closest('aside') !== null;
    const key = `${isNear} ${one.title}`;
    const entry = found.get(key) ?? { how: one.title, values: [], isNear };
    if (!entry.values.includes(value)) entry.values.push(value);
    found.set(key, entry);
  }
  return [...found.values()];
}
