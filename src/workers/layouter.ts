import { createLayoutSearch } from '../core/layout/index.ts';
import { createRandom } from '../core/random/index.ts';
import type { FromLayouter, ToLayouter } from './protocol.ts';
import { serveSearch } from './search.ts';

/** Blocks laid between two looks at the clock: some ten ms. */
const LAID = 400;
const PROGRESS_MS = 120;

serveSearch<Extract<ToLayouter, { type: 'start' }>, FromLayouter>(
  async ({ run, blocks, sheet, seed, seconds }, { post, breathe }) => {
    const startMs = performance.now();
    const search = createLayoutSearch(blocks, sheet, createRandom(seed));
    const report = (type: 'progress' | 'done') =>
      post({ type, run, tries: search.countTries(), layout: search.getBest(), leastMm: search.leastMm });
    report('progress');
    let reportedMs = performance.now();
    const tries = Math.max(1, Math.floor(LAID / Math.max(1, blocks.length)));
    while (search.advance(tries) && performance.now() - startMs < seconds * 1000) {
      if (performance.now() - reportedMs < PROGRESS_MS) continue;
      report('progress');
      reportedMs = performance.now();
      if (!(await breathe())) break;
    }
    report('done');
  },
  (run, note) => ({ type: 'failed', run, note }),
);
