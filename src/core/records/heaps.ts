import { isFields as isRaw, type Fields as Raw } from './fields.ts';
import { mapChanges } from './lifting.ts';

/** What a heap had in its name, in the languages of those days. */
const NAMED = /\b(?:heap|haufen)\b/i;

/** Every state of a place that a bundle tells: as it is last, so that what is there has the last word. */
function listPlaces(raw: Raw): Raw[] {
  const told: Raw[] = [];
  mapChanges(raw, (change) => {
    const { table, id } = change;
    if (table === 'places')
      for (const state of [change['before'], change['after']]) if (isRaw(state)) told.push({ ...state, id });
    return change;
  });
  const { places } = raw;
  return [...told, ...(Array.isArray(places) ? (places as unknown[]).filter(isRaw) : [])];
}

/**
 * Before version 16 a stretch of floor was a heap by its name, or its compartment's. Which ones were by what they were last called is
 * said of them in all that the daybook tells: it tells the same state as before.
 */
export function markHeaps(raw: Raw): Raw {
  const names = new Map<unknown, string>();
  const parents = new Map<unknown, unknown>();
  for (const { id, level, name, parentId } of listPlaces(raw)) {
    if (typeof name === 'string') names.set(id, name);
    if (level === 'slot') parents.set(id, parentId);
  }
  const heaps = new Set<unknown>();
  for (const [id, name] of names) if (NAMED.test(name)) heaps.add(parents.get(id) ?? id);
  const lift = (id: unknown, state: unknown) => {
    if (!isRaw(state) || !heaps.has(id)) return state;
    const { unit } = state;
    return isRaw(unit) && unit['kind'] === 'floor' ? { ...state, unit: { ...unit, isHeap: true } } : state;
  };
  const lifted = mapChanges(raw, (change) => {
    const { table, id } = change;
    if (table !== 'places') return change;
    return {
      ...change,
      ...('before' in change && { before: lift(id, change['before']) }),
      ...('after' in change && { after: lift(id, change['after']) }),
    };
  });
  const { places } = raw;
  const mark = (place: unknown) => (isRaw(place) ? lift(place['id'], place) : place);
  return { ...lifted, places: Array.isArray(places) ? (places as unknown[]).map(mark) : places };
}
