import { create } from 'zustand';
import type { Household, Plan } from '../../../core/records/index.ts';
import { startPlanner, type PlannerHandle } from '../../../workers/client.ts';
import type { CurvePlan, FromPlanner, PlanChecks } from '../../../workers/protocol.ts';

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
  /** The household the plan was made for. */
  readonly household: Household | null;
  readonly start: (household: Household, seed: number, seconds: number) => void;
  /** Looks for what few moves would bring. */
  readonly startCurve: (household: Household, seed: number, seconds: number) => void;
  readonly choose: (point: CurvePlan) => void;
  /** Shows a plan that was kept; it was checked when it was made. */
  readonly look: (plan: Plan, household: Household) => void;
  readonly stop: () => void;
  readonly discard: () => void;
}

let handle: PlannerHandle | null = null;

/** Four fifths of what can be saved. */
const GOOD_SHARE = 0.8;

const NOTHING = { progress: null, plan: null, checks: null, curve: null, note: '' } as const;

export const useFitRun = create<FitRun>()((set, get) => ({
  status: 'idle',
  seconds: 0,
  household: null,
  ...NOTHING,
  start(household, seed, seconds) {
    handle?.abandon();
    set({ ...NOTHING, status: 'running', seconds, household });
    handle = startPlanner(household, seed, seconds, (message) => {
      if (message.type === 'progress') set({ progress: message });
      else if (message.type === 'failed') set({ status: 'failed', note: message.note });
      else if (message.type === 'done') set({ status: 'done', plan: message.plan, checks: message.checks });
    });
  },
  startCurve(household, seed, seconds) {
    handle?.abandon();
    set({ ...NOTHING, status: 'running', seconds, household });
    const listen = (message: FromPlanner) => {
      if (message.type === 'progress') set({ progress: message });
      else if (message.type === 'failed') set({ status: 'failed', note: message.note });
      else if (message.type === 'curve') {
        const { points } = message;
        // The first that brings most of the gain is the one to look at.
        const good = points.find((point) => point.gainShare >= GOOD_SHARE) ?? points.at(-1);
        set({ status: 'done', curve: points, plan: good?.plan ?? null, checks: good?.checks ?? null });
      }
    };
    handle = startPlanner(household, seed, seconds, listen, true);
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
