import { createEvents, type DateArray } from 'ics';
import { isOver, type Project } from '../../records/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';

/** Something on a day, under a key that stays the same. */
export interface CalendarDay {
  readonly key: string;
  readonly on: string;
  readonly title: string;
  readonly description?: string;
}

/**
 * Days as a calendar that any calendar program takes (iCalendar, RFC 5545): a whole day each, and always the same id, so that taking it
 * in again changes and does not double.
 */
export function toDueCalendar(days: readonly CalendarDay[]): Result<string, 'calendar'> {
  const { error, value } = createEvents(
    days.map(({ key, on, title, description }) => ({
      uid: `${key}@yardmist`,
      productId: 'yardmist',
      title,
      ...(description !== undefined && { description }),
      start: on.split('-').map(Number) as unknown as DateArray,
      duration: { days: 1 },
      busyStatus: 'FREE' as const,
      transp: 'TRANSPARENT' as const,
    })),
  );
  return error || typeof value !== 'string' ? fail('calendar') : ok(value);
}

/** The days on which projects are due, with what each is about. What is over is left out. */
export function toCalendar(
  projects: Iterable<Project>,
  words: (project: Project) => string,
): Result<string, 'calendar'> {
  const due = [...projects].filter((project) => project.due !== undefined && !isOver(project));
  return toDueCalendar(
    due.map((project) => ({ key: project.id, on: project.due!, title: project.name, description: words(project) })),
  );
}
