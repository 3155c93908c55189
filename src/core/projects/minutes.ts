import { isOver, type Project, type Step, type StepStation } from '../records/index.ts';
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
 * Ready ones first, then what is due soonest, then what fills the time best.
 */
export function listSittings(standings: readonly ProjectStanding[], minutes: number, pace: Pace): Sitting[] {
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
      return [
        {
          standing,
          steps: isBegun ? [first] : steps,
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
      return due === other ? b.minutes - a.minutes : due < other ? -1 : 1;
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
