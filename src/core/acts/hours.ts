import { createChange } from '../daybook/index.ts';
import type { Change, Household, Item, Lot, Project } from '../records/index.ts';

/** Work that is done on a machine. */
type MachineWork = 'sewing' | 'overlocking';

/** The most that is noted of a needle or for a chore, h. */
const MOST_HOURS = 1000;

/** The work that a thing's hours are counted by: an overlocker is called one, all else is worn by sewing. */
const getWork = ({ name }: Item): MachineWork => (/overlock|serger/iu.test(name) ? 'overlocking' : 'sewing');

function withHours(item: Item, lot: Lot, by: Readonly<Record<MachineWork, number>>): Lot {
  const hours = by[getWork(item)];
  if (hours === 0) return lot;
  return {
    ...lot,
    ...(lot.usedHours !== undefined && { usedHours: Math.min(MOST_HOURS, lot.usedHours + hours) }),
    ...(lot.chores && {
      chores: lot.chores.map((chore) =>
        chore.everyHours === undefined ? chore : { ...chore, hours: Math.min(20 * MOST_HOURS, chore.hours + hours) },
      ),
    }),
  };
}

/** Hours of work are counted for the needle that is in use, and for what is to be done about machines by their hours. */
export function countHours(household: Household, by: Readonly<Record<MachineWork, number>>): Change[] {
  return [...household.lots.values()].flatMap((lot) => {
    const item = household.items.get(lot.itemId);
    const counts = lot.usedHours !== undefined || lot.chores?.some(({ everyHours }) => everyHours !== undefined);
    if (!item || !counts || lot.state === 'gone') return [];
    return createChange('lots', lot.id, lot, withHours(item, lot, by)) ?? [];
  });
}

/** Hours of the steps that are done now and were not before: what was noted, else what was thought. */
export function getHoursDone(before: Project | null, after: Project): Record<MachineWork, number> {
  const known = new Map(before?.steps.map((step) => [step.id, step]));
  const by = { sewing: 0, overlocking: 0 };
  for (const step of after.steps) {
    if (step.station !== 'sewing' && step.station !== 'overlocking') continue;
    if (step.doneAtMs === undefined || known.get(step.id)?.doneAtMs !== undefined) continue;
    by[step.station] += (step.spentMinutes ?? step.minutes ?? 0) / 60;
  }
  return by;
}
