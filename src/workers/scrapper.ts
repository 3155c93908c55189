import { createScrapSearch } from '../core/scraps/index.ts';
import type { FromScrapper, ToScrapper } from './protocol.ts';
import { serveSearch } from './search.ts';

serveSearch<Extract<ToScrapper, { type: 'start' }>, FromScrapper>(
  async ({ run, region, sizes, isOneWay, seconds }, { post, breathe }) => {
    const startMs = performance.now();
    const search = createScrapSearch(region, sizes, isOneWay);
    const report = (type: 'progress' | 'done') =>
      post({ type, run, plan: search.getBest(), mostWorth: search.most.byShape });
    report('progress');
    while (performance.now() - startMs < seconds * 1000 && (await breathe()) && search.advance()) report('progress');
    report('done');
  },
  (run, note) => ({ type: 'failed', run, note }),
);
