import { createSampleHousehold } from '../src/sample/index.ts';
import { planBoxes, USUAL_LIFT_G } from '../src/core/packup/index.ts';
import { createRandom } from '../src/core/random/index.ts';
import { drawFutures, getQuantile } from '../src/core/upkeep/resample.ts';
import { liveHistory } from '../tests/histories.ts';
import type { Bench, Figure } from './figures.ts';
import { sized, some } from './sized.ts';

const HISTORIES = sized(400, 2);

/** Made-up histories that nothing was set by: how often what came lies within the band of its own year. */
function measureForecast(): Figure[] {
  let [inside, all] = [0, 0];
  for (let seed = 70_001; seed <= 70_000 + HISTORIES; seed += 1) {
    const lived = liveHistory(seed);
    const futures = drawFutures(lived.slice(0, 12), [], -1e9, createRandom(seed));
    for (const months of [3, 6, 12]) {
      const came = lived.slice(12, 12 + months).reduce((sum, one) => sum + one, 0);
      all += 1;
      if (came >= getQuantile(futures, months, 0.1) && came <= getQuantile(futures, months, 0.9)) inside += 1;
    }
  }
  return [
    {
      name: 'forecast.band_80_share',
      value: inside / all,
      unit: `of ${HISTORIES} histories, 3, 6 and 12 months ahead`,
    },
  ];
}

const BOXES = [
  { id: 'm', name: 'Middle', widthMm: 600, depthMm: 400, heightMm: 400, count: 200 },
  { id: 's', name: 'Small', widthMm: 400, depthMm: 300, heightMm: 300, count: 200 },
];

/** Seeds and how many lots. */
const STASHES = [
  [1, 240],
  [2, 120],
  [3, 60],
] as const;

/** Seeded stashes packed into boxes of two sizes, against what no packing can do with less. */
function measurePacking(): Figure[] {
  let [boxes, least, ms] = [0, 0, 0];
  for (const [seed, size] of some(STASHES)) {
    const { household } = createSampleHousehold(seed, size);
    const startMs = performance.now();
    const plan = planBoxes(household, BOXES, USUAL_LIFT_G);
    ms += performance.now() - startMs;
    boxes += plan.boxes.length;
    least += plan.leastBoxes;
  }
  return [
    {
      name: 'pack.boxes_over_bound',
      value: boxes / least,
      unit: 'times the boxes that no packing does without, three stashes',
    },
    { name: 'pack.plan_ms', value: ms / some(STASHES).length, unit: 'ms for a stash' },
  ];
}

export const upkeepFigures: readonly Bench[] = [
  { names: ['forecast.band_80_share'], measure: measureForecast },
  { names: ['pack.boxes_over_bound', 'pack.plan_ms'], measure: measurePacking },
];
