import { createLayoutSearch, findSpare } from '../core/layout/index.ts';
import { createRandom } from '../core/random/index.ts';
import type { FromLayouter, ToLayouter } from './protocol.ts';
import { serveSearch } from './search.ts';

/** Blocks laid between two looks at the clock: some ten ms. */
const LAID = 400;
const PROGRESS_MS = 120;

serveSearch<Extract<ToLayouter, { type: 'start' }>, FromLayouter>(
  async ({ run, blocks, sheets, seed, seconds }, { post, breathe }) => {
    const startMs = performance.now();
    const search = createLayoutSearch(blocks, sheets, createRandom(seed));
    const report = (type: 'progress' | 'done', spare: number | null = null) =>
      post({ type, run, tries: search.countTries(), layout: search.getBest(), leastMm: search.leastMm, spare });
    report('progress');
    let reportedMs = performance.now();
    const tries = Math.max(1, Math.floor(LAID / Math.max(1, blocks.length)));
    while (search.advance(tries) && performance.now() - startMs < seconds * 1000) {
      if (performance.now() - reportedMs < PROGRESS_MS) continue;
      report('progress');
      reportedMs = performance.now();
      if (!(await breathe())) break;
    }
    const isShort = search.getBest().left.length > 0 && sheets.some(({ lengthMm }) => lengthMm !== undefined);
    report('done', isShort ? findSpare(blocks, sheets, createRandom(seed)) : null);
  },
  (run, note) => ({ type: 'failed', run, note }),
);
