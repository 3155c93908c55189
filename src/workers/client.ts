import type { Household } from '../core/records/index.ts';
import type { FromPlanner, ToPlanner } from './protocol.ts';

/** A search that goes on in the background. */
export interface PlannerHandle {
  /** Ends the search; its best so far still arrives. */
  readonly stop: () => void;
  /** Drops the search and what it found. */
  readonly abandon: () => void;
}

let lastRun = Date.now() % 1_000_000;

/** Starts the planner in a worker of its own. Messages of the run go to `listener`, the last is `done` or `failed`. */
export function startPlanner(
  household: Household,
  seed: number,
  seconds: number,
  listener: (message: FromPlanner) => void,
): PlannerHandle {
  lastRun += 1;
  const run = lastRun;
  const worker = new Worker(new URL('./planner.ts', import.meta.url), { type: 'module' });
  const send = (message: ToPlanner) => worker.postMessage(message);
  worker.onmessage = ({ data }: MessageEvent<FromPlanner>) => {
    if (data.run !== run) return;
    listener(data);
    if (data.type !== 'progress') worker.terminate();
  };
  worker.onerror = (event) => {
    listener({ type: 'failed', run, note: event.message });
    worker.terminate();
  };
  send({ type: 'start', run, household, seed, seconds });
  return { stop: () => send({ type: 'stop', run }), abandon: () => worker.terminate() };
}
