import type { Household } from '../../core/records/index.ts';

/** FNV-1a over what a plan depends on: a plan whose hash no longer matches is stale. Eight hex digits. */
export function computeInputsHash(household: Household): string {
  let hash = 0x811c9dc5;
  const add = (text: string) => {
    for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0;
  };
  add(JSON.stringify(household.settings));
  for (const place of household.places.values()) add(JSON.stringify(place));
  for (const item of household.items.values()) add(JSON.stringify({ ...item, name: '', notes: '' }));
  for (const { id, itemId, lengthMm, count, state } of household.lots.values())
    if (state !== 'gone') add(`${id}|${itemId}|${lengthMm}|${count}`);
  return hash.toString(16).padStart(8, '0');
}
