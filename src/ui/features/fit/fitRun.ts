import { create } from 'zustand';
import type { Assignment, Household, LotId, Plan, PlanId } from '../../../core/records/index.ts';
import { startPlanner, type PlannerHandle } from '../../../workers/client.ts';
import type { Aim, CurvePlan, FromPlanner, PlanChecks } from '../../../workers/protocol.ts';

/** A search and what it found, kept while one looks at other screens. */
interface FitRun {
  readonly status: 'idle' | 'running' | 'done' | 'failed';
  readonly seconds: number;
  readonly progress: Extract<FromPlanner, { type: 'progress' }> | null;
  readonly plan: Plan | null;
  readonly checks: PlanChecks | null;
  /** Plans from few moves to many, of which one can be taken; null until they are asked for. */
  readonly curve: readonly CurvePlan[] | null;
  readonly note: string;
  /** The best so far as a plan to look at while the search goes on. */
  readonly sketch: Plan | null;
  /** No plan is better by more than so many percent, as far as is proven; null until something is. */
  readonly bound: { readonly mostPercent: number; readonly isLast: boolean } | null;
  /** What was supposed, where the plan is for a household that is not; such a plan is only looked at. */
  readonly supposed: string | null;
  /** The household the plan was made for. */
  readonly household: Household | null;
  readonly start: (household: Household, seed: number, seconds: number) => void;
  /** Looks for what few moves would bring. */
  readonly startCurve: (household: Household, seed: number, seconds: number) => void;
  /** Looks for a plan with as few containers in use as can be. */
  readonly startFree: (household: Household, seconds: number) => void;
  /** Looks for a plan with few moves in which these lots stay where they are now. */
  readonly startMend: (household: Household, stayIds: readonly LotId[], seconds: number) => void;
  /** Looks for a plan with few moves for a household as it might be. */
  readonly startSupposed: (household: Household, supposed: string, seconds: number) => void;
  readonly choose: (point: CurvePlan) => void;
  /** Shows a plan that was kept; it was checked when it was made. */
  readonly look: (plan: Plan, household: Household) => void;
  readonly stop: () => void;
  readonly discard: () => void;
}

let handle: PlannerHandle | null = null;

/** Four fifths of what can be saved. */
const GOOD_SHARE = 0.8;

const NOTHING = {
  progress: null,
  plan: null,
  checks: null,
  curve: null,
  note: '',
  sketch: null,
  bound: null,
  supposed: null,
} as const;

/** As much of a plan as is drawn. */
function createSketch(assignments: readonly Assignment[]): Plan {
  const parts = { fetching: 0, searching: 0, splitting: 0, crowding: 0, moving: 0, wear: 0 };
  const score = { unplacedWeight: 0, cautions: 0, seconds: 0, parts };
  const base = { id: 'sketch' as PlanId, madeAtMs: 0, seed: 0, steps: 0, inputsHash: '', unplaced: [] };
  return { ...base, score, before: score, assignments: [...assignments], adoptedAtMs: null };
}

function begin(household: Household, seconds: number, aim: Aim, seed = 1): void {
  const set = useFitRun.setState;
  handle?.abandon();
  set({ ...NOTHING, status: 'running', seconds, household });
  const listen = (message: FromPlanner) => {
    if (message.type === 'progress') {
      set({ progress: message });
      if (message.sketch) set({ sketch: createSketch(message.sketch) });
    } else if (message.type === 'failed') set({ status: 'failed', note: message.note, sketch: null });
    else if (message.type === 'done') set({ status: 'done', plan: message.plan, checks: message.checks, sketch: null });
    else if (message.type === 'bound') set({ bound: message });
    else {
      const { points } = message;
      // The first that brings most of the gain is the one to look at.
      const good = points.find((point) => point.gainShare >= GOOD_SHARE) ?? points.at(-1);
      set({ status: 'done', curve: points, plan: good?.plan ?? null, checks: good?.checks ?? null, sketch: null });
    }
  };
  handle = startPlanner(household, seed, seconds, listen, aim);
}

export const useFitRun = create<FitRun>()((set, get) => ({
  status: 'idle',
  seconds: 0,
  household: null,
  ...NOTHING,
  start(household, seed, seconds) {
    begin(household, seconds, { type: 'best' }, seed);
  },
  startCurve(household, seed, seconds) {
    begin(household, seconds, { type: 'curve' }, seed);
  },
  startFree(household, seconds) {
    begin(household, seconds, { type: 'free' });
  },
  startMend(household, stayIds, seconds) {
    begin(household, seconds, { type: 'mend', stayIds });
  },
  startSupposed(household, supposed, seconds) {
    begin(household, seconds, { type: 'mend', stayIds: [] });
    set({ supposed });
  },
  look(plan, household) {
    handle?.abandon();
    set({ ...NOTHING, status: 'done', plan, household });
  },
  choose({ plan, checks }) {
    set({ plan, checks });
  },
  stop() {
    if (get().status === 'running') handle?.stop();
  },
  discard() {
    handle?.abandon();
    set({ ...NOTHING, status: 'idle', household: null });
  },
}));
