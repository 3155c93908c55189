import { t } from '../language/index.ts';

/** Names in a sentence; not in the index, the first screen says none. */

/** `Oat linen, Peat suiting and Zips`. */
export function joinNames(names: readonly string[]): string {
  return names.length < 2
    ? names.join('')
    : t('{names} and {last}', { names: names.slice(0, -1).join(', '), last: names.at(-1)! });
}

/** `Knit`, `Knit and Zips`, `Knit and 3 more`. */
export function joinFew(names: readonly string[]): string {
  return names.length < 3
    ? joinNames(names)
    : t('{names} and {count} more', { names: names[0]!, count: names.length - 1 });
}
