import { findMoves } from '../core/moves/index.ts';
import type { FromMover, ToMover } from './protocol.ts';
import { serveSearch } from './search.ts';

const PROGRESS_MS = 90;
/** What the rounds after the first may take of its time. */
const LATER_SHARE = 0.3;

serveSearch<Extract<ToMover, { type: 'start' }>, FromMover>(
  async ({ run, household, skipped, tableMm3, seed, seconds }, { post, breathe }) => {
    let isStopped = false;
    let [inRound, sinceMs] = [0, performance.now()];
    const isTimeUp = (round: number) => {
      if (round !== inRound) [inRound, sinceMs] = [round, performance.now()];
      return isStopped || performance.now() - sinceMs >= seconds * 1000 * (round === 0 ? 1 : LATER_SHARE);
    };
    const search = findMoves({ household, skipped, tableMm3, seed, isTimeUp });
    let reportedMs = performance.now();
    for (let next = search.next(); ; next = search.next()) {
      if (next.done === true) return post({ type: 'done', run, found: next.value });
      if (performance.now() - reportedMs < PROGRESS_MS) continue;
      reportedMs = performance.now();
      post({ type: 'progress', run, trips: next.value.trips, leastTrips: next.value.leastTrips });
      isStopped ||= !(await breathe());
    }
  },
  (run, note) => ({ type: 'failed', run, note }),
);
