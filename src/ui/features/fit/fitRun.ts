import { create } from 'zustand';
import type { Household, Plan } from '../../../core/records/index.ts';
import { startPlanner, type PlannerHandle } from '../../../workers/client.ts';
import type { FromPlanner } from '../../../workers/protocol.ts';

/** A search and what it found, kept while one looks at other screens. */
interface FitRun {
  readonly status: 'idle' | 'running' | 'done' | 'failed';
  readonly seconds: number;
  readonly progress: Extract<FromPlanner, { type: 'progress' }> | null;
  readonly plan: Plan | null;
  readonly checks: { readonly tests: number; readonly findings: number } | null;
  readonly note: string;
  /** The household the plan was made for. */
  readonly household: Household | null;
  readonly start: (household: Household, seed: number, seconds: number) => void;
  readonly stop: () => void;
  readonly discard: () => void;
}

let handle: PlannerHandle | null = null;

export const useFitRun = create<FitRun>()((set, get) => ({
  status: 'idle',
  seconds: 0,
  progress: null,
  plan: null,
  checks: null,
  note: '',
  household: null,
  start(household, seed, seconds) {
    handle?.abandon();
    set({ status: 'running', seconds, progress: null, plan: null, checks: null, note: '', household });
    handle = startPlanner(household, seed, seconds, (message) => {
      if (message.type === 'progress') set({ progress: message });
      else if (message.type === 'failed') set({ status: 'failed', note: message.note });
      else set({ status: 'done', plan: message.plan, checks: message.checks });
    });
  },
  stop() {
    if (get().status === 'running') handle?.stop();
  },
  discard() {
    handle?.abandon();
    set({ status: 'idle', progress: null, plan: null, checks: null, household: null });
  },
}));
