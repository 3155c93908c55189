import { joinAnd } from './grammar.ts';
import { t } from '../language/index.ts';

/** Names in a sentence; not in the index, the first screen says none. */

/** `Knit`, `Knit and Zips`, `Knit and 3 more`. */
export function joinFew(names: readonly string[]): string {
  return names.length < 3
    ? joinAnd(names)
    : t('{names} and {count} more', { names: names[0]!, count: names.length - 1 });
}
