import { pack3D, RotationType } from 'binpackingjs/3d';
// What its package names as its main file cannot be imported.
import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import { fillMany, fillOne } from '../src/core/packing/blocks.ts';
import type { Size } from '../src/core/packing/gaps.ts';
import { createRandom, type Random } from '../src/core/random/index.ts';
import {
  computeBoxBound,
  createFlatInstances,
  createSolidInstances,
  type PackingInstance,
} from '../tests/packingClasses.ts';
import type { Bench, Figure } from './figures.ts';
import { sized, some } from './sized.ts';

const PER_SIZE = sized(10, 1);

function createTimer(ms: number): () => boolean {
  const until = performance.now() + ms;
  return () => performance.now() < until;
}

const toBlock = (turns: readonly Size[]) => ({ turns, volume: turns[0]![0] * turns[0]![1] * turns[0]![2] });

/** All boxes of all instances over all bounds; and what the peer needs. */
function measureClasses(
  name: string,
  instances: readonly PackingInstance[],
  ms: number,
  countByPeer: (one: PackingInstance) => number,
): Figure[] {
  let [ours, peers, bounds] = [0, 0, 0];
  for (const instance of instances) {
    const bound = computeBoxBound(instance);
    const blocks = instance.blocks.map((size) => toBlock([size]));
    ours += fillMany(blocks, { size: instance.box, bound, goOn: createTimer(ms) }).length;
    peers += countByPeer(instance);
    bounds += bound;
  }
  return [
    { name: `packing.${name}.bins_over_lower_bound`, value: ours / bounds, unit: '' },
    { name: `packing.${name}.bins_over_lower_bound_peer`, value: peers / bounds, unit: '' },
  ];
}

function countFlat({ box, blocks }: PackingInstance): number {
  const packer = new MaxRectsPacker(box[0], box[1], 0, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: false,
  });
  packer.addArray(blocks.map(([width, height]) => ({ width, height, x: 0, y: 0 }) as never));
  return packer.bins.length;
}

function countSolid({ box: [width, depth, height], blocks }: PackingInstance): number {
  const { packedBins, unfitItems } = pack3D({
    bins: blocks.map((_, i) => ({ name: String(i), width, height, depth, maxWeight: Infinity })),
    items: blocks.map(([w, d, h], i) => ({
      name: String(i),
      width: w,
      height: h,
      depth: d,
      weight: 0,
      allowedRotations: [RotationType.WHD],
    })),
  });
  if (unfitItems.length > 0) throw new Error('the peer left something out');
  return packedBins.filter((bin) => bin.items.length > 0).length;
}

/** Cuts a box into pieces, the larger more often, then takes some away until so much of it is full. */
function cutSet(random: Random, box: Size, axes: readonly number[], least: number, fill: number): Size[] {
  const count = 10 + Math.floor(random() * 20);
  const volumeOf = (size: readonly number[]) => size[0]! * size[1]! * size[2]!;
  let pieces: number[][] = [[...box]];
  while (pieces.length < count) {
    const tried = [0, 1, 2].map(() => Math.floor(random() * pieces.length));
    const index = tried.toSorted((a, b) => volumeOf(pieces[b]!) - volumeOf(pieces[a]!))[0]!;
    const axis = axes[Math.floor(random() * axes.length)]!;
    const length = pieces[index]![axis]!;
    if (length < 2 * least) {
      if (pieces.every((piece) => axes.every((a) => piece[a]! < 2 * least))) break;
      continue;
    }
    const at = least + Math.floor(random() * (length - 2 * least + 1));
    const [one, other] = [pieces[index]!.with(axis, at), pieces[index]!.with(axis, length - at)];
    pieces = [...pieces.toSpliced(index, 1, one), other];
  }
  let sum = volumeOf(box);
  for (;;) {
    const most = sum - fill * volumeOf(box);
    const spare = pieces.flatMap((piece, i) => (volumeOf(piece) <= most ? [i] : []));
    if (spare.length === 0) break;
    const [gone] = pieces.splice(spare[Math.floor(random() * spare.length)]!, 1);
    sum -= volumeOf(gone!);
  }
  return pieces as unknown as Size[];
}

const SETS = sized(200, 2);

function countFound(box: Size, axes: readonly number[], least: number, fill: number, isCarried: boolean): number {
  const random = createRandom(5);
  let found = 0;
  for (let i = 0; i < SETS; i += 1) {
    const blocks = cutSet(random, box, axes, least, fill).map(([w, d, h]) =>
      toBlock(
        isCarried
          ? [
              [w, d, h],
              [d, w, h],
            ]
          : [[w, d, h]],
      ),
    );
    if (fillOne(blocks, { size: box, mustBeCarried: isCarried, goOn: createTimer(100) })) found += 1;
  }
  return (100 * found) / SETS;
}

export const packingFigures: readonly Bench[] = [
  {
    names: ['packing.area.bins_over_lower_bound', 'packing.area.bins_over_lower_bound_peer'],
    measure: () => measureClasses('area', some(createFlatInstances(PER_SIZE), 4), 20, countFlat),
  },
  {
    names: ['packing.volume.bins_over_lower_bound', 'packing.volume.bins_over_lower_bound_peer'],
    measure: () => measureClasses('volume', some(createSolidInstances(PER_SIZE), 4), sized(300, 20), countSolid),
  },
  {
    names: ['packing.one_place.found_percent.area', 'packing.one_place.found_percent.volume'],
    measure: () => [
      {
        name: 'packing.one_place.found_percent.area',
        value: countFound([40, 30, 1], [0, 1], 2, 0.9, false),
        unit: '%',
      },
      {
        name: 'packing.one_place.found_percent.volume',
        value: countFound([400, 300, 250], [0, 1, 2], 40, 0.65, true),
        unit: '%',
      },
    ],
  },
];
