import { createRandom } from '../src/core/random/index.ts';
import { computeOutlineArea, type Point } from '../src/core/layout/index.ts';
import { createScrapSearch, PAPERS, readScrapPhoto, USUAL_SIZES } from '../src/core/scraps/index.ts';
import { createSheet, takePhoto } from '../tests/camera.ts';
import { createStar } from '../tests/outlines.ts';
import type { Bench, Figure } from './figures.ts';
import { sized } from './sized.ts';

const OUTLINES = sized(200, 2);
/** A long run looks so many times closer than the first answer does. */
const LONG_LOOKS = 4;

/** A scrap as it is left over: five to ten corners round its middle, 25 to 80 cm across. */
function createOutline(seed: number): Point[] {
  const random = createRandom(seed);
  const corners = 5 + Math.floor(random() * 6);
  const mm = 125 + random() * 275;
  return createStar(
    Array.from({ length: corners }, () => 0.5 + 0.5 * random()),
    mm,
  );
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

const PHOTOS = sized(10, 1);

/** Photos by the made-up camera in known perspective: the area that is read against the one that lies there. */
function measureOutlines(): Figure[] {
  const errors = Array.from({ length: PHOTOS }, (_, n) => {
    const random = createRandom(300 + n);
    const shift = () => (random() - 0.5) * 60;
    const corners = [
      { x: 30 + shift(), y: 25 + shift() },
      { x: 450 + shift(), y: 25 + shift() },
      { x: 480 + shift(), y: 345 + shift() },
      { x: shift(), y: 345 + shift() },
    ];
    const outline = createOutline(900 + n);
    const most = Math.max(...outline.map(({ xMm, yMm }) => Math.max(xMm, yMm)));
    const scrap = outline.map(({ xMm, yMm }) => ({ xMm: 440 + (xMm / most) * 380, yMm: 150 + (yMm / most) * 380 }));
    const things = [
      { outline: createSheet(110, 180, (random() - 0.5) * 20), colour: '#f4f2ee' },
      { outline: scrap, colour: ['#2f5d86', '#a63d32', '#e2c65a'][n % 3]! },
    ];
    const read = readScrapPhoto(takePhoto({ table: '#5c4636', things }, corners, n), PAPERS.a4);
    const area = computeOutlineArea(scrap);
    return read.ok ? Math.abs(read.value.areaMm2 - area) / area : 1;
  });
  const mean = errors.reduce((a, b) => a + b, 0) / PHOTOS;
  return [
    {
      name: 'scraps.outline_error_percent',
      value: 100 * mean,
      unit: `% of the area, the mean of ${PHOTOS} photos; at most ${(100 * Math.max(...errors)).toFixed(1)}`,
    },
  ];
}

export const scrapFigures: readonly Bench[] = [
  { names: ['scraps.squares_over_bound', 'scraps.long_over_bound', 'scraps.plan_ms'], measure: measureScraps },
  { names: ['scraps.outline_error_percent'], measure: measureOutlines },
];
