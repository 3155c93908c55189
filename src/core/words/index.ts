/**
 * A table of words. Only what was put into it is in it, whatever is looked up: a plain object has an answer to
 * `constructor` and `__proto__` too.
 */
export function toTable<T>(entries: Readonly<Record<string, T>>): Readonly<Record<string, T>> {
  return Object.freeze(Object.assign(Object.create(null) as Record<string, T>, entries));
}
