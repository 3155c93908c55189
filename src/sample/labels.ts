import { createCode, computePlaceContents, listPlaceSayings, type PlaceContent } from '../core/labels/index.ts';
import type { Household, Label, Place, PlaceId } from '../core/records/index.ts';
import { createPlaceTree } from '../core/storage/index.ts';

const MARK = 'heron-loft';
const WEEKS_AGO_MS = 9 * 7 * 86_400_000;

/** Words that one writes in a hurry, on every so many-th label. */
const HASTY = ['Misc bits', 'Odds and ends', 'Boat stuff'];

/**
 * Labels as a busy household has them: one place in five has none, one in six was filled with something else since, and
 * a few say what nobody understands.
 */
export function labelRooms(household: Household, nowMs: number): Household {
  const contents = [...computePlaceContents(household, createPlaceTree(household.places)).values()];
  const labelled = contents.filter(({ parts }, i) => parts.length > 0 && i % 5 !== 4);
  const marked: Household = { ...household, settings: { ...household.settings, mark: MARK } };
  const places = new Map<PlaceId, Place>(household.places);
  for (const [i, content] of labelled.entries()) {
    const then: PlaceContent =
      i % 6 === 2 && content.parts.length > 1 ? { ...content, parts: content.parts.slice(0, -1) } : content;
    const label: Label = {
      code: createCode(MARK, content.placeId, new Set()),
      words: i % 9 === 5 ? HASTY[Math.floor(i / 9) % HASTY.length] : undefined,
      printedAtMs: nowMs - WEEKS_AGO_MS,
      says: listPlaceSayings(then),
      swatches: [...content.swatches],
    };
    places.set(content.placeId, { ...places.get(content.placeId)!, label });
  }
  return { ...marked, places };
}

const MONTH_MS = 30 * 86_400_000;

/** Some places were gone through and counted: now and then one, on a quiet evening. */
export function countRooms(household: Household, nowMs: number): Household {
  const places = new Map<PlaceId, Place>(household.places);
  const { leaves } = createPlaceTree(household.places);
  for (const [i, { id }] of leaves.entries())
    if (i % 5 === 1) places.set(id, { ...places.get(id)!, countedAtMs: nowMs - (1 + (i % 9)) * MONTH_MS });
  return { ...household, places };
}
