import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';
import { computeBoardLength, computeBoardThickness, CLOTHS } from '../src/core/measure/index.ts';
import { getFetchSeconds, type Household } from '../src/core/records/index.ts';
import { createRandom } from '../src/core/random/index.ts';
import { createSampleHousehold } from '../src/sample/index.ts';
import { createRun, solveFirstFit } from '../src/solver/solve.ts';

export interface Figure {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
}

interface Bench {
  readonly names: readonly string[];
  readonly measure: () => Figure[];
}

const SEARCH_MS = 5000;

function search(household: Household, ms: number) {
  const run = createRun(household, 1);
  const until = performance.now() + ms;
  while (performance.now() < until) run.advance(4000);
  return run.getSolution();
}

function measureDemo(): Figure[] {
  const { household } = createSampleHousehold();
  const peer = solveFirstFit(household);
  const plan = search(household, SEARCH_MS);
  const [ours, theirs] = [getFetchSeconds(plan.score), getFetchSeconds(peer.score)];
  return [
    { name: 'placement.demo.unplaced', value: plan.unplaced.length, unit: 'lots' },
    { name: 'placement.demo.unplaced_first_fit', value: peer.unplaced.length, unit: 'lots' },
    { name: 'placement.demo.gain_percent', value: 100 * (1 - ours / theirs), unit: '%' },
  ];
}

function measureFirstPlan(): Figure[] {
  const { household } = createSampleHousehold(1, 600);
  // The first run warms the machine up; the median of the rest is told.
  const times = Array.from({ length: 6 }, () => {
    const start = performance.now();
    createRun(household, 1).getSolution();
    return performance.now() - start;
  }).slice(1);
  return [{ name: 'placement.600.ms_to_first_plan', value: times.toSorted((a, b) => a - b)[2]!, unit: 'ms' }];
}

/** Script that the page needs before its first screen, the sample of a new visitor included. */
function measureFirstLoad(): Figure[] {
  const dist = new URL('../dist/', import.meta.url);
  interface Chunk {
    readonly file: string;
    readonly isEntry?: boolean;
    readonly imports?: readonly string[];
  }
  const manifest = JSON.parse(readFileSync(new URL('.vite/manifest.json', dist), 'utf8')) as Record<string, Chunk>;
  const files = new Set<string>();
  const add = (key: string) => {
    const chunk = manifest[key];
    if (!chunk || files.has(chunk.file)) return;
    files.add(chunk.file);
    for (const next of chunk.imports ?? []) add(next);
  };
  for (const [key, chunk] of Object.entries(manifest))
    if (chunk.isEntry || key.endsWith('StashPage.tsx') || key.endsWith('sample/index.ts')) add(key);
  const bytes = [...files]
    .filter((file) => file.endsWith('.js'))
    .reduce((sum, file) => sum + gzipSync(readFileSync(fileURLToPath(new URL(file, dist)))).length, 0);
  return [{ name: 'app.first_load_kb_gzip', value: bytes / 1000, unit: 'kB' }];
}

/** Length to board thickness and back, over all cloths and usual lengths; the worst of it. */
function measureBoard(): Figure[] {
  const random = createRandom(1);
  const board = { widthMm: 170, thicknessMm: 1 };
  let worst = 0;
  for (const { layerMm, stacking, spread } of CLOTHS)
    for (let i = 0; i < 500; i += 1) {
      const lengthMm = 300 + random() * 12_000;
      const wrap = { layers: 1 + Math.floor(random() * 6), stackedMm: layerMm * stacking };
      const back = computeBoardLength(computeBoardThickness(lengthMm, board, wrap), board, wrap, spread).value;
      worst = Math.max(worst, Math.abs(back / lengthMm - 1));
    }
  return [{ name: 'measure.board_roundtrip_error_percent', value: 100 * worst, unit: '%' }];
}

export const figures: readonly Bench[] = [
  {
    names: ['placement.demo.unplaced', 'placement.demo.unplaced_first_fit', 'placement.demo.gain_percent'],
    measure: measureDemo,
  },
  { names: ['placement.600.ms_to_first_plan'], measure: measureFirstPlan },
  { names: ['app.first_load_kb_gzip'], measure: measureFirstLoad },
  { names: ['measure.board_roundtrip_error_percent'], measure: measureBoard },
];
