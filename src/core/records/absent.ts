/**
 * The value without the fields that have none, at any depth; the same object where there is nothing to leave out. What
 * is recorded has one way of having no value: the field is absent.
 */
export function dropAbsent<T>(value: T): T {
  if (typeof value !== 'object' || value === null) return value;
  if (Array.isArray(value)) {
    const list = value.map((one: unknown) => dropAbsent(one));
    return list.some((one, i) => one !== value[i]) ? (list as T) : value;
  }
  let isWhole = true;
  const kept: [string, unknown][] = [];
  for (const [key, field] of Object.entries(value)) {
    const dropped: unknown = dropAbsent(field as unknown);
    if (dropped !== field || dropped === undefined) isWhole = false;
    if (dropped !== undefined) kept.push([key, dropped]);
  }
  return isWhole ? value : (Object.fromEntries(kept) as T);
}

/** A field that no record can have: one without a value, or one whose name means something to the language itself. */
export interface BadField {
  readonly path: string;
  readonly rule: 'absent' | 'name';
}

const TAKEN_NAMES: ReadonlySet<string> = new Set(['__proto__', 'constructor', 'prototype']);

/** The first bad field at any depth, or null. `most` levels deep at most: a record is never as deep. */
export function findBadField(value: unknown, path: string, most = 20): BadField | null {
  if (value === null || value === undefined || most === 0) return { path, rule: 'absent' };
  if (typeof value !== 'object') return null;
  for (const key of Object.keys(value)) {
    const inner = path === '' ? key : `${path}.${key}`;
    if (TAKEN_NAMES.has(key)) return { path: inner, rule: 'name' };
    const found = findBadField((value as Record<string, unknown>)[key], inner, most - 1);
    if (found) return found;
  }
  return null;
}
