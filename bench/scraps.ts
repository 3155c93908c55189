import { createRandom } from '../src/core/random/index.ts';
import type { Point } from '../src/core/layout/index.ts';
import { createScrapSearch, USUAL_SIZES } from '../src/core/scraps/index.ts';
import type { Bench, Figure } from './figures.ts';

const OUTLINES = 200;
/** A long run looks so many times closer than the first answer does. */
const LONG_LOOKS = 4;

/** A scrap as it is left over: five to ten corners round its middle, 25 to 80 cm across. */
function createOutline(seed: number): Point[] {
  const random = createRandom(seed);
  const corners = 5 + Math.floor(random() * 6);
  const mm = 125 + random() * 275;
  return Array.from({ length: corners }, (_, n) => {
    const angle = (2 * Math.PI * n) / corners;
    const out = 0.5 + 0.5 * random();
    return { xMm: mm * (1 + out * Math.cos(angle)), yMm: mm * (1 + out * Math.sin(angle)) };
  });
}

/** The first answer against a long run, and both against what no cutting can beat. */
function measureScraps(): Figure[] {
  let [first, long, bound] = [0, 0, 0];
  const times: number[] = [];
  for (let seed = 1; seed <= OUTLINES; seed += 1) {
    const region = { outlines: [createOutline(seed)], holes: [] };
    const startMs = performance.now();
    const search = createScrapSearch(region, USUAL_SIZES);
    times.push(performance.now() - startMs);
    first += search.getBest().worth;
    for (let look = 0; look < LONG_LOOKS && search.advance(); look += 1);
    long += search.getBest().worth;
    bound += search.most.byShape;
  }
  return [
    { name: 'scraps.squares_over_bound', value: first / long, unit: `of a long run, ${OUTLINES} outlines, four sizes` },
    { name: 'scraps.long_over_bound', value: long / bound, unit: 'of what no cutting can beat' },
    {
      name: 'scraps.plan_ms',
      value: times.toSorted((a, b) => a - b)[Math.floor(OUTLINES * 0.95)]!,
      unit: 'ms to the first answer, 95 of 100',
    },
  ];
}

export const scrapFigures: readonly Bench[] = [
  { names: ['scraps.squares_over_bound', 'scraps.long_over_bound', 'scraps.plan_ms'], measure: measureScraps },
];
