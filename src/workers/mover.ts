import { findMoves } from '../core/moves/index.ts';
import type { FromMover, ToMover } from './protocol.ts';
import { serveSearch } from './search.ts';

const PROGRESS_MS = 90;

serveSearch<Extract<ToMover, { type: 'start' }>, FromMover>(
  async ({ run, household, skipped, tableMm3, seed, seconds }, { post, breathe }) => {
    let isStopped = false;
    const nowMs = () => performance.now();
    const search = findMoves({ household, skipped, tableMm3, seed, seconds, nowMs, isStopped: () => isStopped });
    let reportedMs = nowMs();
    for (let next = search.next(); ; next = search.next()) {
      if (next.done === true) return post({ type: 'done', run, found: next.value });
      if (nowMs() - reportedMs < PROGRESS_MS) continue;
      reportedMs = nowMs();
      post({ type: 'progress', run, trips: next.value.trips, leastTrips: next.value.leastTrips });
      isStopped ||= !(await breathe());
    }
  },
  (run, note) => ({ type: 'failed', run, note }),
);
