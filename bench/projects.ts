// What its package names as its main file cannot be imported.
import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import {
  computeLeastLength,
  computeOutlineArea,
  createLayoutSearch,
  type Block,
  type Sheet,
} from '../src/core/layout/index.ts';
import { computeTableLength, createProjectFacts, listShapes, suggestCloths } from '../src/core/projects/index.ts';
import { createRandom, type Random } from '../src/core/random/index.ts';
import type { Need, Project, ProjectId } from '../src/core/records/index.ts';
import { HAND_LAID, HAND_WIDTHS_CM } from '../tests/garments.ts';
import { createSampleHousehold } from '../src/sample/index.ts';
import type { Bench, Figure } from './figures.ts';
import { sized } from './sized.ts';

const WIDTHS_MM = [1120, 1400, 1500];
const PER_CLASS = sized(6, 1);
/** Each layout is looked for so long, as on the screen. */
const SEARCH_MS = sized(2000, 50);
/** Orders tried between two looks at the clock. */
const TRIES = sized(10, 1);

function searchInTime(blocks: readonly Block[], sheet: Sheet, seed: number): { lengthMm: number; firstMs: number } {
  const startMs = performance.now();
  const search = createLayoutSearch(blocks, sheet, createRandom(seed));
  const firstMs = performance.now() - startMs;
  while (search.advance(TRIES) && performance.now() - startMs < SEARCH_MS);
  return { lengthMm: search.getBest().lengthMm, firstMs };
}

/** The pieces of one garment or two: a few large ones, as many middling, and small ones such as cuffs and pockets. */
function createPieces(random: Random, mayTurn: boolean): Block[] {
  const count = 8 + Math.floor(random() * 33);
  return Array.from({ length: count }, (_, n): Block => {
    const share = n / count;
    const [w, h] = share < 0.25 ? [520, 1100] : share < 0.6 ? [300, 620] : [140, 260];
    const size = (mm: number) => Math.round(mm * (0.55 + 0.6 * random()));
    // With the grain the small ones may lie either way, the others may not.
    return { piece: n, widthMm: size(w), heightMm: size(h), mayTurn: mayTurn && share >= 0.6 };
  });
}

/** The shortest length on which the peer puts all of it in one go; it packs into a box that is given, so that is tried shorter and shorter. */
function measurePeer(blocks: readonly Block[], widthMm: number, leastMm: number, turns: boolean): number {
  const fits = (lengthMm: number) => {
    const packer = new MaxRectsPacker(widthMm, lengthMm, 0, {
      smart: false,
      pot: false,
      square: false,
      allowRotation: turns,
    });
    packer.addArray(blocks.map((one) => ({ width: one.widthMm, height: one.heightMm, x: 0, y: 0 }) as never));
    return (
      packer.bins.length === 1 && !packer.bins[0]!.rects.some((rect) => (rect as { oversized?: boolean }).oversized)
    );
  };
  let [low, high] = [Math.ceil(leastMm), Math.ceil(leastMm * 3)];
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    if (fits(middle)) high = middle;
    else low = middle + 1;
  }
  return high;
}

function measureLayouts(): Figure[] {
  const figures: Figure[] = [];
  const ratios: number[] = [];
  let slowestMs = 0;
  for (const turns of [false, true])
    for (const widthMm of WIDTHS_MM) {
      let [ours, peers, bounds] = [0, 0, 0];
      for (let n = 0; n < PER_CLASS; n += 1) {
        const blocks = createPieces(createRandom(widthMm * 100 + n), turns);
        const { lengthMm, firstMs } = searchInTime(blocks, { widthMm }, n);
        slowestMs = Math.max(slowestMs, firstMs);
        const areaMm = blocks.reduce((sum, one) => sum + one.widthMm * one.heightMm, 0) / widthMm;
        if (!turns) ratios.push(lengthMm / areaMm);
        ours += lengthMm;
        // The peer cannot turn some pieces and not others.
        peers += measurePeer(blocks, widthMm, computeLeastLength(blocks, { widthMm }), false);
        bounds += areaMm;
      }
      const name = `projects.layout_over_bound.${turns ? 'grain' : 'one_way'}_${widthMm / 10}`;
      figures.push({ name, value: ours / bounds, unit: '' }, { name: `${name}.peer`, value: peers / bounds, unit: '' });
    }
  return [
    { name: 'projects.layout_over_bound', value: ratios.reduce((a, b) => a + b, 0) / ratios.length, unit: '' },
    ...figures,
    { name: 'projects.layout_ms', value: slowestMs, unit: 'ms to the first answer, the slowest' },
  ];
}

/** Shapes instead of rectangles: bodices, sleeves, legs and collars, both ways up or one way. */
function measureShapes(): Figure[] {
  const shapes = listShapes();
  const drawn = ['bodice', 'sleeve', 'leg', 'half-bodice', 'collar'];
  let slowestMs = 0;
  const figures = [true, false].flatMap((isOneWay): Figure[] => {
    let [ours, boxes, bounds] = [0, 0, 0];
    for (let n = 0; n < PER_CLASS; n += 1) {
      const blocks = createPieces(createRandom(9000 + n), false).map((block): Block => {
        const shape = shapes.find(({ id }) => id === drawn[block.piece % drawn.length])!;
        return { ...block, mayFlip: !isOneWay, outline: shape.draw(block.widthMm, block.heightMm) };
      });
      const sheet = { widthMm: 1400 };
      const { lengthMm, firstMs } = searchInTime(blocks, sheet, n);
      slowestMs = Math.max(slowestMs, firstMs);
      ours += lengthMm;
      boxes += searchInTime(
        blocks.map(({ outline: _shape, ...block }) => block),
        sheet,
        n,
      ).lengthMm;
      bounds += blocks.reduce((sum, one) => sum + computeOutlineArea(one.outline!), 0) / sheet.widthMm;
    }
    const name = `projects.shapes_over_bound.${isOneWay ? 'one_way' : 'both_ways'}`;
    return [
      { name, value: ours / bounds, unit: 'of the area of the shapes' },
      { name: `${name}.as_boxes`, value: boxes / bounds, unit: 'the same laid as rectangles' },
    ];
  });
  return [...figures, { name: 'projects.shapes_ms', value: slowestMs, unit: 'ms to the first answer, the slowest' }];
}

/** What the rule between two widths is off by: garments laid by hand on three widths, whose middle one is taken from the outer two. */
function measureTable(): Figure[] {
  const errors = HAND_LAID.map(({ lengths }) => {
    const [narrow, middle, wide] = HAND_WIDTHS_CM.map((cm, n) => ({
      widthMm: cm * 10,
      lengthMm: lengths[n]! * 10,
    })) as [Row, Row, Row];
    return Math.abs(computeTableLength([narrow, wide], middle.widthMm).lengthMm - middle.lengthMm) / middle.lengthMm;
  });
  const mean = errors.reduce((a, b) => a + b, 0) / errors.length;
  const most = Math.max(...errors);
  return [
    {
      name: 'projects.table_error_percent',
      value: 100 * mean,
      unit: `% of lengths laid by hand, the mean of ${errors.length} garments; at most ${(100 * most).toFixed(1)}`,
    },
  ];
}

interface Row {
  readonly widthMm: number;
  readonly lengthMm: number;
}

const COATS = sized(20, 1);

/** Which of some six hundred lengths of cloth would do: from the household as it is to the list. */
function measureSuggest(): Figure[] {
  const { household } = createSampleHousehold(3, sized(1800, 60));
  const need: Need = { id: 'n', kind: 'fabric', part: 'main' };
  const project: Project = {
    id: 'p' as ProjectId,
    name: 'Smock',
    state: 'planned',
    makes: [{ size: '38', count: 1 }],
    notes: '',
    needs: [need],
    steps: [],
    sinceMs: 0,
  };
  const lengths = [...household.lots.values()].filter(
    (lot) => household.items.get(lot.itemId)?.kind === 'fabric',
  ).length;
  const times = Array.from({ length: COATS }, () => {
    const startMs = performance.now();
    suggestCloths(createProjectFacts(household), project, need);
    return performance.now() - startMs;
  }).toSorted((a, b) => a - b);
  return [
    {
      name: 'projects.suggest_600_ms',
      value: times[Math.floor(COATS / 2)]!,
      unit: `ms, the middle of ${COATS}; ${lengths} lengths`,
    },
  ];
}

export const projectFigures: readonly Bench[] = [
  { names: ['projects.table_error_percent'], measure: measureTable },
  { names: ['projects.suggest_600_ms'], measure: measureSuggest },
  { names: ['projects.layout_over_bound', 'projects.layout_ms'], measure: measureLayouts },
  {
    names: ['projects.shapes_over_bound.one_way', 'projects.shapes_over_bound.both_ways', 'projects.shapes_ms'],
    measure: measureShapes,
  },
];
