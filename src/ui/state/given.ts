import type { DaybookEvent } from '../../core/records/index.ts';

/** How the sample calls the lines of the year behind it. */
const OF_SAMPLE = /^s\d+$/u;

/** Whether anything stands in a daybook but what came with the household: that stands first. */
export function hasOwnLines(events: readonly Pick<DaybookEvent, 'id'>[]): boolean {
  return events.length > 1 && !OF_SAMPLE.test(events.at(-1)!.id);
}

/** How many lines of a daybook came with the household that one began with; what follows is one's own. */
export function countGiven(events: readonly Pick<DaybookEvent, 'id'>[]): number {
  let lines = 1;
  while (lines < events.length && OF_SAMPLE.test(events[lines]!.id)) lines += 1;
  return lines;
}
