import records from 'virtual:sample';
import type { Chronicle, Household } from '../core/records/index.ts';
import { createChronicle } from './chronicle.ts';

export { createEmptyHousehold } from './chronicle.ts';

/** The records of a household in the order of its tables, as they are written where the app is built. */
export interface MadeRecords extends Pick<Household, 'settings'> {
  readonly places: readonly (readonly [string, unknown])[];
  readonly items: readonly (readonly [string, unknown])[];
  readonly lots: readonly (readonly [string, unknown])[];
}

/**
 * Heron Loft, as `createSampleHousehold` makes it. To make it takes a second of packing; it is the same every time, so it
 * was made when the app was built, and here it is only read.
 */
export function openMadeSample(): Chronicle {
  const { settings, places, items, lots } = records;
  const table = (entries: MadeRecords['lots']) => new Map(entries) as Map<never, never>;
  return createChronicle({
    settings,
    places: table(places),
    items: table(items),
    lots: table(lots),
    plans: new Map(),
  });
}
