import type { Household, Plan } from '../core/records/index.ts';

/** What the planner is asked. One run at a time; `run` tells its messages from those of an earlier one. */
export type ToPlanner =
  | {
      readonly type: 'start';
      readonly run: number;
      readonly household: Household;
      readonly seed: number;
      readonly seconds: number;
    }
  | { readonly type: 'stop'; readonly run: number };

/** What the planner answers. `stopped` ends with its best so far, like `done`. */
export type FromPlanner =
  | {
      readonly type: 'progress';
      readonly run: number;
      readonly steps: number;
      readonly elapsedMs: number;
      readonly unplaced: number;
      readonly seconds: number;
      readonly beforeSeconds: number;
    }
  | {
      readonly type: 'done';
      readonly run: number;
      readonly plan: Plan;
      readonly checks: { readonly tests: number; readonly findings: number };
      readonly isStopped: boolean;
    }
  | { readonly type: 'failed'; readonly run: number; readonly note: string };
