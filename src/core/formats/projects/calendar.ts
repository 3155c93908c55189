import { createEvents, type DateArray } from 'ics';
import { isOver, type Project } from '../../records/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';

/**
 * The days on which projects are due, as a calendar that any calendar program takes (iCalendar, RFC 5545): a whole day each, with
 * what it is about, and always the same id, so that taking it in again changes and does not double. What is over is left out.
 */
export function toCalendar(
  projects: Iterable<Project>,
  words: (project: Project) => string,
): Result<string, 'calendar'> {
  const due = [...projects].filter((project) => project.due !== undefined && !isOver(project));
  const { error, value } = createEvents(
    due.map((project) => {
      const day = project.due!.split('-').map(Number) as unknown as DateArray;
      return {
        uid: `${project.id}@yardmist`,
        productId: 'yardmist',
        title: project.name,
        description: words(project),
        start: day,
        duration: { days: 1 },
        busyStatus: 'FREE' as const,
        transp: 'TRANSPARENT' as const,
      };
    }),
  );
  return error || typeof value !== 'string' ? fail('calendar') : ok(value);
}
