import { t } from '../language/index.ts';

/** Names in a sentence; not in the index, the first screen says none. */

/** `Oat linen, Peat suiting and Zips`. */
export function joinNames(names: readonly string[]): string {
  return names.length < 2
    ? names.join('')
    : t('{names} and {names2}', { names: names.slice(0, -1).join(', '), names2: names.at(-1)! });
}

/** `Knit`, `Knit and Zips`, `Knit and 3 more`. */
export function joinFew(names: readonly string[]): string {
  return names.length < 3
    ? joinNames(names)
    : t('{names} and {names2} more', { names: names[0]!, names2: names.length - 1 });
}
