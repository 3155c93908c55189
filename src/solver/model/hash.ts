import { getWholeLot } from '../../core/measure/index.ts';
import { takesRoom, type Household } from '../../core/records/index.ts';

/** FNV-1a over what a plan depends on: a plan whose hash no longer matches is stale. Eight hex digits. */
export function computeInputsHash(household: Household): string {
  let hash = 0x811c9dc5;
  const add = (text: string) => {
    for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0;
  };
  add(JSON.stringify({ ...household.settings, mark: undefined }));
  for (const place of household.places.values()) {
    // Where containers stand is a part of the plan: carrying them does not make it stale.
    const { at: _at, goesTo: _goesTo, ...container } = place.container ?? {};
    const box = place.container && { parentId: undefined, order: 0, container };
    add(JSON.stringify({ ...place, ...box, label: undefined, countedAtMs: undefined }));
  }
  for (const item of household.items.values()) add(JSON.stringify({ ...item, name: '', notes: '' }));
  for (const lot of household.lots.values()) {
    if (!takesRoom(lot)) continue;
    // With what is wrapped in it, for that makes it thicker.
    const { id, itemId, lengthMm, areaMm2, count, holder } = getWholeLot(household, lot);
    add([id, itemId, lengthMm, areaMm2, count, holder].join('|'));
  }
  return hash.toString(16).padStart(8, '0');
}
