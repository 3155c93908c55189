import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';
import Papa from 'papaparse';
import { parseTable, readTable, recogniseColumns, toCsv } from '../src/core/formats/csv/index.ts';
import { createFinder } from '../src/core/finding/index.ts';
import { computeBoardLength, computeBoardThickness, CLOTHS, computeReading } from '../src/core/measure/index.ts';
import {
  createLooseLot,
  DEFAULT_SETTINGS,
  getFetchSeconds,
  type Household,
  type Item,
  type Lot,
  type MeasureWay,
} from '../src/core/records/index.ts';
import { workedExamples } from './worked.ts';
import { Arranger, computeFindings, listFetches, listPieces, moveUnit } from '../src/core/room/index.ts';
import { createPlaceTree, nestBoxes } from '../src/core/storage/index.ts';
import { tryCorpus } from '../tests/findCorpus.ts';
import { countByTrying } from '../tests/nestBrute.ts';
import { createRandom } from '../src/core/random/index.ts';
import { heapFigures } from './heaps.ts';
import { median } from './median.ts';
import { moveFigures } from './moves.ts';
import { packingFigures } from './packing.ts';
import { projectFigures } from './projects.ts';
import { scrapFigures } from './scraps.ts';
import { upkeepFigures } from './upkeep.ts';
import { placementFigures } from './placement.ts';
import { senseFigures } from './sense.ts';
import { createSampleHousehold } from '../src/sample/index.ts';
import { createRun, solveFirstFit } from '../src/solver/solve.ts';
import { createImport } from '../src/core/acts/index.ts';
import { applyChanges } from '../src/core/daybook/fold.ts';
import { sized } from './sized.ts';

export interface Figure {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
}

export interface Bench {
  readonly names: readonly string[];
  readonly measure: () => Figure[] | Promise<Figure[]>;
}

const SEARCH_MS = sized(5000, 100);

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

/** One piece after the other a centimetre along; what judging the whole room after each takes. */
/** A seeded thousand of boxes in boxes, counted fast and by trying every spot. */
function measureFits(): Figure[] {
  const random = createRandom(11);
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  let errors = 0;
  let tried = 0;
  while (tried < sized(1000, 5)) {
    const [w, d, a, b] = [whole(2, 11), whole(2, 11), whole(1, 6), whole(1, 6)];
    if (a * b * 12 < w * d) continue;
    tried += 1;
    const canTurn = random() < 0.8;
    const room = { widthMm: w * 10, depthMm: d * 10, heightMm: 50 };
    const box = { widthMm: a * 10, depthMm: b * 10, heightMm: 50 };
    if (nestBoxes(room, box, { canTurn, canStack: false }).count !== countByTrying(w, d, a, b, canTurn)) errors += 1;
  }
  return [{ name: 'fits.error_count', value: errors, unit: 'of 1000' }];
}

/** The sample's room arranged anew, with as many tries as the screen gives it. */
function measureArrange(): Figure[] {
  const { household } = createSampleHousehold();
  const tree = createPlaceTree(household.places);
  const room = tree.rooms[0]!;
  const pieces = listPieces(household, tree, room.id);
  const fetches = listFetches(household, tree, room.id);
  const startMs = performance.now();
  const arranger = new Arranger(room.room!, pieces, household.settings, { seed: 1, steps: sized(6000, 100), fetches });
  while (!arranger.isDone) arranger.advance(100);
  const seconds = (performance.now() - startMs) / 1000;
  const { startWorth, bestWorth } = arranger;
  const metresSaved = 100 * (1 - bestWorth.metresPerHour / startWorth.metresPerHour);
  return [
    { name: 'room.arrange.gain_percent', value: 100 * (1 - bestWorth.cost / startWorth.cost), unit: '%' },
    { name: 'room.arrange.faults_left', value: bestWorth.faults, unit: '' },
    { name: 'room.arrange.metres_saved_percent', value: metresSaved, unit: '%' },
    { name: 'room.arrange.seconds', value: seconds, unit: 's' },
  ];
}

function measureFindings(): Figure[] {
  const { household } = createSampleHousehold();
  const tree = createPlaceTree(household.places);
  const room = tree.rooms[0]!;
  const pieces = listPieces(household, tree, room.id);
  const times: number[] = [];
  for (let n = 0; n < sized(420, 24); n += 1) {
    const at = n % pieces.length;
    const piece = pieces[at]!;
    const neighbours = pieces.map((one) => one.unit);
    const start = performance.now();
    pieces[at] = { ...piece, unit: moveUnit(room.room!, piece.unit, { xMm: 10, yMm: 0 }, neighbours, 0) };
    computeFindings(room.room!, pieces, household.settings);
    times.push(performance.now() - start);
  }
  const sorted = times.slice(20).toSorted((a, b) => a - b);
  return [{ name: 'room.findings.us_per_move', value: 1000 * sorted[Math.floor(sorted.length / 2)]!, unit: 'us' }];
}

/** Script that the page needs before its first screen, a new visitor's included; their sample is data, told beside it. */
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
    if (chunk.isEntry || key.endsWith('BenchPage.tsx') || key.endsWith('sample/made.ts')) add(key);
  const sample = readdirSync(new URL('assets/', dist)).find((file) => /^sample-.*\.json$/.test(file));
  if (!sample) throw new Error('the build wrote no sample');
  const weigh = (file: string) => gzipSync(readFileSync(fileURLToPath(new URL(file, dist)))).length;
  const bytes = [...files].filter((file) => file.endsWith('.js')).reduce((sum, file) => sum + weigh(file), 0);
  return [
    { name: 'app.first_load_kb_gzip', value: bytes / 1000, unit: 'kB' },
    { name: 'app.sample_kb_gzip', value: weigh(`assets/${sample}`) / 1000, unit: 'kB' },
  ];
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

const ROWS = sized(20_000, 40);

/** A list of so many cloths, as a spreadsheet would give it: no ids, many things alike. */
function createList(rows: number): string {
  const { household } = createSampleHousehold(1, sized(4000, 60));
  const [head = '', ...body] = toCsv(household, 'fabric')
    .replace('\ufeff', '')
    .trim()
    .split('\r\n')
    .map((line) => line.replace(/,[^,]*,[^,]*$/, ''));
  return [head, ...Array.from({ length: rows }, (_, i) => body[i % body.length])].join('\n');
}

/** Reading, checking and applying a list, over parsing its text alone; both timed in turn. */
function measureImport(): Figure[] {
  const text = createList(ROWS);
  const { household } = createSampleHousehold(1, 1);
  const empty: Household = { ...household, items: new Map(), lots: new Map() };
  const [parsing, whole]: [number[], number[]] = [[], []];
  for (let round = 0; round < sized(7, 1); round += 1) {
    let start = performance.now();
    Papa.parse(text, { skipEmptyLines: 'greedy' });
    parsing.push(performance.now() - start);
    start = performance.now();
    const table = parseTable(text);
    if (!table.ok) throw new Error(table.fault.code);
    let ids = 0;
    const read = readTable(table.value, empty, {
      kind: 'fabric',
      units: 'metric',
      nowMs: 1,
      stationOf: () => [...household.items.values()][0]!.stationId,
      createId: () => `n${(ids += 1)}`,
      ...recogniseColumns(table.value, 'fabric'),
    });
    const draft = createImport(empty, 'a list', read.things);
    if (!draft.ok || read.things.length !== ROWS) throw new Error(`${read.faults.length} faults`);
    applyChanges(empty, draft.value.changes);
    whole.push(performance.now() - start);
  }
  return [
    { name: 'import.csv.20000.ms', value: median(whole), unit: 'ms' },
    { name: 'import.csv.20000.ratio_to_parse', value: median(whole) / median(parsing), unit: 'times' },
  ];
}

/** What people type, with slips, other words for it, colours and numbers. */
const QUERIES = [
  'linen',
  'dresmaking',
  'green wool',
  'zipper',
  'oat twill',
  'serger thread',
  'coton check',
  '412',
  'navy',
  'heron',
  'skirt',
  'topstiching rust',
  'where is the dark green wool',
];

/** Finding in 20,000 lots, over looking through the same words one by one. */
function measureSearch(): Figure[] {
  const { household } = createSampleHousehold(1, sized(20_000, 60));
  const finder = createFinder();
  finder.sync(household);
  const texts = [...household.lots.values()].map((lot) => {
    const item = household.items.get(lot.itemId)!;
    return `${item.name} ${JSON.stringify(item)}`.toLowerCase();
  });
  const [times, peers]: [number[], number[]] = [[], []];
  for (let round = 0; round < sized(12, 1); round += 1)
    for (const query of QUERIES) {
      let start = performance.now();
      finder.find(query, 12);
      times.push(performance.now() - start);
      start = performance.now();
      const terms = query.split(' ');
      texts.filter((text) => terms.every((term) => text.includes(term)));
      peers.push(performance.now() - start);
    }
  const p95 = (values: readonly number[]) => values.toSorted((a, b) => a - b)[Math.floor(values.length * 0.95)]!;
  return [
    { name: 'find.20000.p95_ms', value: p95(times), unit: 'ms' },
    { name: 'find.20000.ratio_to_scan', value: p95(times) / p95(peers), unit: 'times' },
  ];
}

/** Worked by hand in core/measure/reading.test.ts: what the panel tells over what is right. */
const WORKED: readonly [name: string, item: Item, way: MeasureWay, reading: number, right: number][] = workedExamples();

function measureWorked(): Figure[] {
  return WORKED.map(([name, item, way, reading, right]) => {
    const lot = createLooseLot('l' as Lot['id'], item, 1, item.kind === 'fabric' ? 1 : undefined, 0);
    const told = computeReading(item, lot, DEFAULT_SETTINGS, way, reading)?.amount.value ?? NaN;
    return { name: `measure.${name}.error_percent`, value: 100 * Math.abs(told / right - 1), unit: '%' };
  });
}

export const figures: readonly Bench[] = [
  ...packingFigures,
  ...projectFigures,
  ...scrapFigures,
  ...upkeepFigures,
  ...placementFigures,
  ...senseFigures,
  ...heapFigures,
  ...moveFigures,
  {
    names: ['placement.demo.unplaced', 'placement.demo.unplaced_first_fit', 'placement.demo.gain_percent'],
    measure: measureDemo,
  },
  { names: ['room.findings.us_per_move'], measure: measureFindings },
  { names: ['fits.error_count'], measure: measureFits },
  {
    names: [
      'room.arrange.gain_percent',
      'room.arrange.faults_left',
      'room.arrange.metres_saved_percent',
      'room.arrange.seconds',
    ],
    measure: measureArrange,
  },
  { names: ['app.first_load_kb_gzip', 'app.sample_kb_gzip'], measure: measureFirstLoad },
  { names: ['measure.board_roundtrip_error_percent'], measure: measureBoard },
  { names: WORKED.map(([name]) => `measure.${name}.error_percent`), measure: measureWorked },
  { names: ['find.20000.p95_ms', 'find.20000.ratio_to_scan'], measure: measureSearch },
  {
    names: ['find.corpus_top3_percent'],
    measure: () => {
      const { questions, good } = tryCorpus();
      return [{ name: 'find.corpus_top3_percent', value: (100 * good) / questions, unit: '%' }];
    },
  },
  { names: ['import.csv.20000.ms', 'import.csv.20000.ratio_to_parse'], measure: measureImport },
  {
    names: [
      'stash.scroll.20000.longest_task_ms',
      'find.20000.longest_task_ms',
      'screen.20000.main_thread_ms',
      'screen.20000.longest_task_ms',
    ],
    measure: async () => (await import('./browser.ts')).measureScroll('desk'),
  },
  {
    names: [
      'phone.stash.scroll.20000.longest_task_ms',
      'phone.find.20000.longest_task_ms',
      'phone.screen.20000.main_thread_ms',
      'phone.screen.20000.longest_task_ms',
    ],
    measure: async () => (await import('./browser.ts')).measureScroll('phone'),
  },
  {
    names: ['app.act.20000.longest_task_ms', 'app.act.20000_over_320', 'app.save.20000.longest_task_ms'],
    measure: async () => (await import('./browser.ts')).measureActs(),
  },
  {
    names: ['phone.act.20000.longest_task_ms', 'phone.save.20000.longest_task_ms'],
    measure: async () => (await import('./browser.ts')).measureActsInHand(),
  },
  {
    names: [
      'app.start.20000.main_thread_ms',
      'app.start.20000_over_2000',
      'app.start.20000.longest_task_after_ms',
      'app.start.20000.whole_ms',
    ],
    measure: async () => (await import('./start.ts')).measureStart(),
  },
  { names: ['app.memory.after_200_acts'], measure: async () => (await import('./start.ts')).measureMemory() },
  {
    names: ['wall.3000.pan_fps', 'wall.3000.longest_task_ms', 'wall.3000.shapes'],
    measure: async () => (await import('./browser.ts')).measureWall(),
  },
  { names: ['review.100_keys'], measure: async () => (await import('./browser.ts')).measureThrough() },
  { names: ['photo.100.longest_main_task_ms'], measure: async () => (await import('./browser.ts')).measurePhotos() },
];
