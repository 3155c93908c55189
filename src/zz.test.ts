import { it } from 'vitest';
import { createSampleHousehold } from './sample/index.ts';
import { createKitchenHousehold } from './sample/kitchen.ts';
import { createRun } from './solver/solve.ts';
import { createPlaceTree, formatPlaceName, withBins } from './core/storage/index.ts';
import { findSense } from './core/sense/index.ts';
it('x', () => {
  for (const h of [createSampleHousehold().household, createKitchenHousehold().household]) {
    const run = createRun(h, 1);
    console.log(
      'places',
      run.facts.tree.leaves.length,
      run.facts.places.length,
      'kinds',
      run.facts.standings.kinds.length,
    );
    run.expect(1200000);
    const t0 = Date.now();
    run.advance(1200000);
    const s = run.getSolution();
    console.log(
      Date.now() - t0,
      'ms',
      (run.evaluated / (Date.now() - t0)) * 1000,
      s.score.seconds,
      s.score.unplacedWeight,
      JSON.stringify(s.score.parts),
    );
    const tree = createPlaceTree(h.places),
      then = createPlaceTree(withBins(h.places, s.bins));
    for (const b of s.bins)
      console.log(formatPlaceName(tree, b.placeId), '->', formatPlaceName(then, b.placeId), JSON.stringify(b.at));
    const f = findSense({ ...h, places: withBins(h.places, s.bins) }, s.assignments as never);
    console.log(
      'mixed',
      f.mixed.length,
      '/',
      f.used.length,
      'groups',
      f.groupsInPlace,
      'scattered',
      f.scattered.length,
      'loose',
      f.looseSmall.length,
      'emptyholders',
      f.emptyHolders.length,
      'tops',
      f.onWorkTops.length,
      'emptybins',
      f.emptyBins.length,
    );
    const r2 = createRun(h, 1, { binsStay: true });
    r2.expect(1200000);
    const t1 = Date.now();
    r2.advance(1200000);
    console.log(
      Date.now() - t1,
      'ms',
      (r2.evaluated / (Date.now() - t1)) * 1000,
      'stay:',
      r2.getSolution().score.seconds,
      JSON.stringify(r2.getSolution().score.parts),
    );
  }
}, 100000);
