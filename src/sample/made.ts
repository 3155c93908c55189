import loadRecords from 'virtual:sample';
import { DEFAULT_SETTINGS, type Chronicle, type Place, type Project, type Settings } from '../core/records/index.ts';
import { createLived } from './chronicle.ts';
import { unpackItems, unpackLots, type Columns } from './packed.ts';

/** The records of a household in the order of its tables, as they are written where the app is built. */
export interface MadeRecords {
  /** Those that are not the usual ones. */
  readonly settings: Partial<Settings>;
  readonly places: readonly Place[];
  readonly items: Columns;
  readonly lots: Columns;
  readonly projects: readonly Project[];
}

const byId = <R extends { readonly id: string }>(list: readonly R[]) =>
  new Map(list.map((record): [R['id'], R] => [record.id, record]));

/**
 * Heron Loft, as `createSampleHousehold` makes it. To make it takes a second of packing; it is the same every time, so it
 * was made when the app was built, and here it is only read.
 */
export async function loadMadeSample(): Promise<Chronicle> {
  const { settings, places, items, lots, projects } = await loadRecords();
  return createLived({
    settings: { ...DEFAULT_SETTINGS, ...settings },
    places: byId(places),
    items: byId(unpackItems(items)),
    lots: byId(unpackLots(lots)),
    plans: new Map(),
    projects: byId(projects),
  });
}
