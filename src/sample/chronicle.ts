import { dropAbsent, type Change, type Chronicle, type EventId, type Household } from '../core/records/index.ts';
import { liveYear } from './year.ts';

/** Demo data carries a fixed date, so that it is the same every time. */
export const SAMPLE_NOW_MS = Date.UTC(2026, 9, 1, 9, 0, 0);

/** A household with a daybook of one line, from which it follows. */
export function createChronicle(made: Household, atMs = SAMPLE_NOW_MS): Chronicle {
  const tidy = <R extends { id: string }>(table: ReadonlyMap<R['id'], R>) =>
    new Map([...table].map(([id, record]) => [id, dropAbsent(record)]));
  const household: Household = {
    settings: dropAbsent(made.settings),
    places: tidy(made.places),
    items: tidy(made.items),
    lots: tidy(made.lots),
    plans: tidy(made.plans),
    projects: tidy(made.projects),
  };
  const changes: Change[] = [];
  const came = (table: Change['table'], id: string, record: object) =>
    changes.push({ table, id, after: record as Record<string, unknown> });
  for (const place of household.places.values()) came('places', place.id, place);
  for (const item of household.items.values()) came('items', item.id, item);
  for (const lot of household.lots.values()) came('lots', lot.id, lot);
  for (const project of household.projects.values()) came('projects', project.id, project);
  const { settings } = household;
  came('settings', settings.id, settings);
  return {
    household,
    events: [{ id: 'e0' as EventId, seq: 0, atMs, type: 'catalogued', subject: settings.name, changes }],
  };
}

/** A household with the year behind it that led to it. */
export function createLived(made: Household): Chronicle {
  return liveYear(createChronicle(made).household, SAMPLE_NOW_MS, createChronicle);
}
