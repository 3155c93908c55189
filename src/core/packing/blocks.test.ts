import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computeBoxBound, createFlatInstances, createSolidInstances } from '../../../tests/packingClasses.ts';
import { createRandom } from '../random/index.ts';
import { fillMany, fillOne, type Block, type Laid } from './blocks.ts';
import { Gaps, type Size } from './gaps.ts';

const toBlock = (size: Size): Block => ({ turns: [size], volume: size[0] * size[1] * size[2] });

/** Each block once, all within the box, none in another. */
function expectSound(boxes: readonly (readonly Laid[])[], count: number, box: Size): void {
  expect(boxes.flatMap((laid) => laid.map((one) => one.block)).toSorted((a, b) => a - b)).toEqual(
    Array.from({ length: count }, (_, i) => i),
  );
  for (const laid of boxes)
    for (const [i, a] of laid.entries()) {
      const [ax, ay, az] = [a.x + a.size[0], a.y + a.size[1], a.z + a.size[2]];
      expect(Math.min(a.x, a.y, a.z)).toBeGreaterThanOrEqual(0);
      expect(ax <= box[0] && ay <= box[1] && az <= box[2]).toBe(true);
      for (const b of laid.slice(i + 1)) {
        const isApart =
          ax <= b.x ||
          b.x + b.size[0] <= a.x ||
          ay <= b.y ||
          b.y + b.size[1] <= a.y ||
          az <= b.z ||
          b.z + b.size[2] <= a.z;
        expect(isApart).toBe(true);
      }
    }
}

describe('the gaps of a box', () => {
  it('have a spot exactly where one is found by trying all, and the lowest and farthest of them', () => {
    const side = fc.integer({ min: 1, max: 4 });
    fc.assert(
      fc.property(fc.array(fc.tuple(side, side, side), { maxLength: 12 }), (sizes) => {
        const box = [5, 6, 4] as const;
        const gaps = new Gaps(box);
        const taken = new Set<string>();
        const isFree = (x: number, y: number, z: number, [w, d, h]: Size) => {
          for (let i = x; i < x + w; i += 1)
            for (let j = y; j < y + d; j += 1)
              for (let k = z; k < z + h; k += 1) if (taken.has(`${i} ${j} ${k}`)) return false;
          return true;
        };
        for (const size of sizes) {
          const [w, d, h] = size;
          let lowest: number[] | null = null;
          for (let z = 0; z + h <= box[2]; z += 1)
            for (let y = 0; y + d <= box[1]; y += 1)
              for (let x = 0; x + w <= box[0]; x += 1) if (isFree(x, y, z, size)) lowest ??= [x, y, z];
          const isFound = gaps.find(w, d, h, 'corner', null) < Infinity;
          expect(isFound ? [gaps.x, gaps.y, gaps.z] : null).toEqual(lowest);
          if (!isFound) continue;
          const { x, y, z } = gaps;
          for (let i = x; i < x + w; i += 1)
            for (let j = y; j < y + d; j += 1) for (let k = z; k < z + h; k += 1) taken.add(`${i} ${j} ${k}`);
          gaps.take(x, y, z, w, d, h, [1, 1, 1]);
        }
      }),
      { numRuns: 300, seed: 5 },
    );
  });
});

describe('one box', () => {
  it('takes four that only go round its middle, turned by a search', () => {
    // Bricks of 2 × 3 round a hole of 1 × 1 in a floor of 5 × 5.
    const brick: Block = {
      turns: [
        [2, 3, 1],
        [3, 2, 1],
      ],
      volume: 6,
    };
    const one: Block = { turns: [[1, 1, 1]], volume: 1 };
    const laid = fillOne([brick, brick, brick, brick, one], {
      size: [5, 5, 1],
      mustBeCarried: false,
      goOn: (tried) => tried < 300,
    });
    expectSound([laid!], 5, [5, 5, 1]);
  });

  it('lets nothing float where things must be carried', () => {
    const flat = toBlock([4, 4, 1]);
    const post = toBlock([1, 1, 3]);
    const options = { size: [4, 4, 4] as const, goOn: (tried: number) => tried < 100 };
    // The plate would have to stand on a post a sixteenth of its size; below it, it fits.
    const laid = fillOne([post, flat], { ...options, mustBeCarried: true })!;
    expect(laid.find((one) => one.block === 1)!.z).toBe(0);
  });

  it('is the same for the same seed', () => {
    const random = createRandom(3);
    const blocks = Array.from({ length: 12 }, () =>
      toBlock([1 + Math.floor(random() * 5), 1 + Math.floor(random() * 5), 1]),
    );
    const fill = () => fillOne(blocks, { size: [9, 12, 1], mustBeCarried: false, goOn: (tried) => tried < 200 });
    expect(fill()).toEqual(fill());
  });
});

describe('many boxes', () => {
  it('take each block once, apart and inside, in no fewer than the bound and no more than first fit needs', () => {
    const pick = <T>(list: readonly T[], every: number) => list.filter((_, i) => i % every === 0);
    for (const instance of [...pick(createFlatInstances(1), 4), ...pick(createSolidInstances(1), 5)]) {
      const blocks = instance.blocks.map(toBlock);
      const bound = computeBoxBound(instance);
      const fill = (most: number) => fillMany(blocks, { size: instance.box, bound, goOn: (tried) => tried < most });
      const [first, searched] = [fill(1), fill(60)];
      expectSound(searched, blocks.length, instance.box);
      expect(searched.length).toBeGreaterThanOrEqual(bound);
      expect(searched.length).toBeLessThanOrEqual(first.length);
    }
  });

  it('are never fewer than the bound, also where the least number is known', () => {
    // Cut from whole boxes, so that so many are enough.
    const random = createRandom(9);
    for (let round = 0; round < 30; round += 1) {
      const boxes = 2 + Math.floor(random() * 4);
      const blocks: Size[] = [];
      for (let i = 0; i < boxes; i += 1) {
        const [a, b] = [1 + Math.floor(random() * 18), 1 + Math.floor(random() * 18)];
        blocks.push([a, 20, 1], [20 - a, b, 1], [20 - a, 20 - b, 1]);
      }
      expect(computeBoxBound({ box: [20, 20, 1], blocks })).toBeLessThanOrEqual(boxes);
    }
  });
});
