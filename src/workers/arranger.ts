import { Arranger, toPositions } from '../core/room/index.ts';
import type { FromArranger, ToArranger } from './protocol.ts';
import { serveSearch } from './search.ts';

/** Tries between two looks at the clock: far less than a tenth of a second. */
const CHUNK = 10;
const PROGRESS_MS = 120;

serveSearch<Extract<ToArranger, { type: 'start' }>, FromArranger>(
  async ({ run, room, pieces, statureMm, options }, { post, breathe }) => {
    const arranger = new Arranger(room, pieces, { statureMm }, options);
    const report = (type: 'progress' | 'done') => {
      const { steps, bestWorth, best } = arranger;
      post({ type, run, steps, worth: bestWorth, positions: toPositions(best) });
    };
    let reportedMs = performance.now();
    while (!arranger.isDone) {
      arranger.advance(CHUNK);
      if (performance.now() - reportedMs < PROGRESS_MS) continue;
      report('progress');
      reportedMs = performance.now();
      if (!(await breathe())) break;
    }
    report('done');
  },
  (run, note) => ({ type: 'failed', run, note }),
);
