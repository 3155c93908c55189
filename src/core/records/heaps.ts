import { isFields as isRaw, type Fields as Raw } from './fields.ts';
import { mapStates } from './lifting.ts';

/** What a heap had in its name, in the languages of those days. */
const NAMED = /\b(?:heap|haufen)\b/i;

/**
 * Before version 16 a stretch of floor was a heap by its name, or its compartment's. Which ones were by what they were last called is
 * said of them in all that the daybook tells: it tells the same state as before.
 */
export function markHeaps(raw: Raw): Raw {
  const names = new Map<unknown, string>();
  const parents = new Map<unknown, unknown>();
  const look = (place: unknown, id: unknown) => {
    if (!isRaw(place)) return place;
    if (typeof place['name'] === 'string') names.set(id, place['name']);
    if (place['level'] === 'slot') parents.set(id, place['parentId']);
    return place;
  };
  const { places } = raw;
  const mapPlaces = (map: (place: unknown, id: unknown) => unknown) =>
    Array.isArray(places)
      ? (places as unknown[]).map((place) => map(place, isRaw(place) ? place['id'] : undefined))
      : places;
  // What is there has the last word.
  mapStates(raw, 'places', look);
  mapPlaces(look);
  const heaps = new Set<unknown>();
  for (const [id, name] of names) if (NAMED.test(name)) heaps.add(parents.get(id) ?? id);
  const mark = (place: unknown, id: unknown) => {
    const unit = isRaw(place) && heaps.has(id) ? place['unit'] : null;
    return isRaw(unit) && unit['kind'] === 'floor' ? { ...(place as Raw), unit: { ...unit, isHeap: true } } : place;
  };
  return { ...mapStates(raw, 'places', mark), places: mapPlaces(mark) };
}
