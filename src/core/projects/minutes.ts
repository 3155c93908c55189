import { computeDeltaE, getLab, getMatch } from '../colour/index.ts';
import { isOver, type Item, type Project, type Step, type StepStation } from '../records/index.ts';
import { computeLeft, getStepMinutes, listOpenSteps, type ProjectStanding } from './standing.ts';

/** How much longer or shorter steps take at a station than was thought: 1 for just as thought. */
export type Pace = Readonly<Record<StepStation, number>>;

/** So many steps weigh as much as what was thought: a few slow evenings do not change all of it. */
const PRIOR_STEPS = 4;
const STATIONS: readonly StepStation[] = ['cutting', 'sewing', 'overlocking', 'pressing', 'handwork', 'other'];

/**
 * Learns from steps that are done and were timed: the sum of their minutes over what was thought of them, with a prior of
 * four steps that took as long as was thought.
 */
export function learnPace(projects: Iterable<Project>): Pace {
  const sums = new Map(STATIONS.map((station) => [station, { spent: 0, thought: 0, count: 0 }]));
  for (const { steps } of projects)
    for (const step of steps) {
      if (step.doneAtMs === undefined || step.spentMinutes === undefined) continue;
      const sum = sums.get(step.station)!;
      sum.spent += step.spentMinutes;
      sum.thought += getStepMinutes(step);
      sum.count += 1;
    }
  return Object.fromEntries(
    [...sums].map(([station, { spent, thought, count }]) => {
      const prior = count > 0 ? (thought / count) * PRIOR_STEPS : 1;
      return [station, (spent + prior) / (thought + prior)];
    }),
  ) as unknown as Pace;
}

/** What a step is likely to take still, min. */
export function computeStepLeft(step: Step, pace: Pace): number {
  return computeLeft(getStepMinutes(step) * pace[step.station], step);
}

/** Steps of one project that go into the time, one after the other. */
export interface Sitting {
  readonly standing: ProjectStanding;
  readonly steps: readonly Step[];
  readonly minutes: number;
  /** The first of them does not go in whole: it is begun. */
  readonly isBegun: boolean;
  /** Nothing stands in the way: what it takes is there, and where there is a bag, it is in it. */
  readonly isReady: boolean;
  /** Sewn with what is on the machine, or with another thread; null where it is not sewn, or nobody knows. */
  readonly threading: 'on' | 'other' | null;
  /** Something of it is pressed. */
  readonly needsIron: boolean;
}

/** Whether what is on the machine is the thread of a project: the one it names, or one that is near its cloth for a seam. */
function judgeThreading(
  { needs }: ProjectStanding,
  steps: readonly Step[],
  threaded: readonly Item[],
): Sitting['threading'] {
  if (threaded.length === 0 || steps.every(({ station }) => station !== 'sewing' && station !== 'overlocking'))
    return null;
  const own = needs.flatMap(({ need, item }) => (need.kind === 'thread' && item ? [item] : []));
  if (own.length > 0) return own.some((item) => threaded.some(({ id }) => id === item.id)) ? 'on' : 'other';
  const cloth = needs.find(({ need, item }) => need.kind === 'fabric' && item)?.item;
  const wanted = cloth ? getLab(cloth) : null;
  if (!wanted) return null;
  const isNear = threaded.some((item) => {
    const lab = getLab(item);
    return lab !== null && getMatch(computeDeltaE(wanted, lab)) !== 'off';
  });
  return isNear ? 'on' : 'other';
}

/** Steps at one station, of several projects, that are done better at once. */
export interface Batch {
  readonly station: StepStation;
  readonly steps: readonly { readonly project: Project; readonly step: Step }[];
  readonly minutes: number;
}

/** A step that is begun goes on for so long at least, min: less is not worth taking it out. */
const LEAST_MINUTES = 10;

/** From cutting on nothing that is missing keeps one from the next step; before, cloth does. */
function isReady({ project, missing, toGather }: ProjectStanding): boolean {
  // The pattern is looked up where it lies; what is promised must be at hand.
  const isScattered = toGather.some((lot) => lot.reserved?.some(({ projectId }) => projectId === project.id));
  const isBegun = project.steps.some((step) => step.doneAtMs !== undefined);
  const isClothMissing = missing.some(({ need }) => need.kind === 'fabric');
  return (isBegun || !isClothMissing) && (project.bagLotId === undefined || !isScattered);
}

/**
 * What can be done in so many minutes: for each project its next steps that go in, or the next one begun where none does.
 * Ready ones first, then what is due soonest, then what the machine is threaded for, then what fills the time best. `threaded`:
 * what is on the machines.
 */
export function listSittings(
  standings: readonly ProjectStanding[],
  minutes: number,
  pace: Pace,
  threaded: readonly Item[] = [],
): Sitting[] {
  return standings
    .flatMap((standing): Sitting[] => {
      if (isOver(standing.project) || standing.project.state === 'idea') return [];
      const open = listOpenSteps(standing.project);
      const [first] = open;
      if (!first) return [];
      const steps: Step[] = [];
      let sum = 0;
      for (const step of open) {
        const takes = computeStepLeft(step, pace);
        if (sum + takes > minutes) break;
        steps.push(step);
        sum += takes;
      }
      const isBegun = steps.length === 0;
      if (isBegun && minutes < LEAST_MINUTES) return [];
      const done = isBegun ? [first] : steps;
      return [
        {
          standing,
          steps: done,
          threading: judgeThreading(standing, done, threaded),
          needsIron: done.some(({ station }) => station === 'pressing'),
          minutes: isBegun ? minutes : sum,
          isBegun,
          isReady: isReady(standing),
        },
      ];
    })
    .toSorted((a, b) => {
      if (a.isReady !== b.isReady) return a.isReady ? -1 : 1;
      if (a.isBegun !== b.isBegun) return a.isBegun ? 1 : -1;
      const [due, other] = [a.standing.project.due ?? '9999', b.standing.project.due ?? '9999'];
      if (due !== other) return due < other ? -1 : 1;
      const isOther = (one: Sitting) => Number(one.threading === 'other');
      return isOther(a) - isOther(b) || b.minutes - a.minutes;
    });
}

/** Next steps of several projects at one station: set up once, done in one go. Only where there are two and more. */
export function listBatches(standings: readonly ProjectStanding[], pace: Pace): Batch[] {
  const byStation = new Map<StepStation, { project: Project; step: Step }[]>();
  for (const standing of standings) {
    const { project, next: step } = standing;
    if (!step || isOver(project) || project.state === 'idea' || !isReady(standing)) continue;
    byStation.set(step.station, [...(byStation.get(step.station) ?? []), { project, step }]);
  }
  return [...byStation]
    .filter(([station, steps]) => steps.length > 1 && station !== 'other')
    .map(([station, steps]) => ({
      station,
      steps,
      minutes: steps.reduce((sum, { step }) => sum + computeStepLeft(step, pace), 0),
    }));
}
