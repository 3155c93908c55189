import { GERMAN } from '../german/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createCloth, createLot, createPattern, createThing } from '../../../tests/household.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { computeGroups } from '../grouping/index.ts';
import { computePackage } from '../measure/index.ts';
import { SOFT_SHARE } from '../packing/index.ts';
import { DEFAULT_SETTINGS, type Heap, type HeapWay, type Item, type Lot, type LotId } from '../records/index.ts';
import {
  computeHeap,
  countParts,
  describeHeap,
  divideHeap,
  gatherHeap,
  isUnlikelyHeap,
  isUnmeasuredHeap,
  readHeap,
  takeOutOfHeap,
} from './index.ts';

const settings = DEFAULT_SETTINGS;
const WAYS: readonly HeapWay[] = ['pieces', 'pile', 'row', 'mass', 'room'];

function make(item: Item, by: HeapWay, value: number): Lot {
  const lot = createLot(item);
  const told = computeHeap(item, lot, by, value, settings);
  if (!told) throw new Error(`not measured by ${by}`);
  return { ...lot, ...told };
}

describe('a heap', () => {
  it('of patterns in a row is as many as their thickness tells', () => {
    const pattern = createPattern('p', 100);
    const { thicknessMm } = pattern.pattern!;
    const lot = make(pattern, 'row', 1300);
    expect(lot.count).toBe(Math.round(1300 / thicknessMm));
    // A row stands loose by 6 %, envelopes differ by 12 %: 13.4 % of them.
    expect(lot.heap!.countSigma / (1300 / thicknessMm)).toBeCloseTo(0.134, 3);
  });

  it('of cotton in a pile is as long as its layers tell', () => {
    // 1,400 mm wide on panels of 300 × 280: five layers a fold; a length of 2 m is 7.14 folds and half a fold that is empty.
    const cloth = createCloth('c', {
      fabric: { ...createCloth('x').fabric!, widthMm: 1400, layerMm: 0.4, stacking: 1 },
    });
    const each = 5 * (2000 / 280 + 0.5) * 0.4;
    const lot = make(cloth, 'pile', 620);
    expect(lot.count).toBe(Math.round(620 / each));
    expect(lot.lengthMm).toBeCloseTo((620 / each) * 2000, 3);
    expect(lot.amountSigma! / lot.lengthMm!).toBeCloseTo(Math.hypot(0.1, 0.12), 4);
  });

  it('of cloth that was only counted is in doubt by how long its pieces are', () => {
    const lot = make(createCloth('c'), 'pieces', 40);
    expect([lot.count, lot.heap!.countSigma]).toEqual([40, 0]);
    expect(lot.amountSigma! / lot.lengthMm!).toBeCloseTo(Math.hypot(0.35, 0.6 / Math.sqrt(40)), 4);
  });

  it('is described as it was measured, whatever it was measured by', () => {
    const things = [createCloth('c'), createPattern('p', 7), createThing('b')];
    fc.assert(
      fc.property(
        fc.constantFrom(...things),
        fc.constantFrom(...WAYS),
        fc.integer({ min: 30, max: 400 }),
        (item, by, n) => {
          const back = describeHeap(item, make(item, 'pieces', n), settings)[by];
          if (back === null) return;
          const again = describeHeap(item, make(item, by, back), settings);
          for (const way of WAYS)
            if (again[way] !== null)
              expect(again[way]! / describeHeap(item, make(item, 'pieces', n), settings)[way]!).toBeCloseTo(1, 1);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('of nothing is none', () => {
    const item = createCloth('c');
    for (const value of [0, -3, Number.NaN])
      expect(computeHeap(item, createLot(item), 'pile', value, settings)).toBeNull();
  });

  it('in parts is what it was, and put together again it is itself', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), fc.integer({ min: 1, max: 30 }), (pieces, parts) => {
        const item = createCloth('c');
        const lot = make(item, 'pieces', pieces);
        let n = 0;
        const divided = divideHeap(lot, parts, () => `part-${(n += 1)}` as LotId);
        expect(divided[0]!.id).toBe(lot.id);
        expect(new Set(divided.map(({ id }) => id)).size).toBe(divided.length);
        expect(
          Math.max(...divided.map(({ count }) => count)) - Math.min(...divided.map(({ count }) => count)),
        ).toBeLessThan(2);
        const back = gatherHeap(divided);
        expect(back.count).toBe(lot.count);
        expect(back.lengthMm).toBeCloseTo(lot.lengthMm!, 6);
        expect(back.amountSigma).toBeCloseTo(lot.amountSigma!, 6);
        expect(back.heap!.measured).toBeCloseTo(lot.heap!.measured, 6);
      }),
    );
    // Forty lengths are 40 × 300 × 280 mm × their height: several parts; a thing that is listed is not parted.
    const item = createCloth('c');
    expect(countParts(item, make(item, 'pieces', 40), settings)).toBeGreaterThan(2);
    expect(countParts(item, { ...make(item, 'pieces', 40), heap: undefined }, settings)).toBe(1);
    expect(countParts(item, make(item, 'pieces', 5), settings)).toBe(1);
  });

  it('is less by what is listed out of it, and goes when nothing is left', () => {
    const item = createCloth('c');
    const lot = make(item, 'pieces', 3);
    const listed = { ...createLot(item), count: 1, lengthMm: 2500 };
    const first = takeOutOfHeap(item, lot, listed)!;
    expect([first.count, first.lengthMm]).toEqual([2, 3500]);
    const second = takeOutOfHeap(item, first, listed)!;
    expect([second.count, second.lengthMm]).toEqual([1, 1000]);
    // One is doubtful by no more than all of it.
    expect(second.amountSigma).toBeLessThanOrEqual(1000);
    expect(takeOutOfHeap(item, second, listed)).toBeNull();
  });
});

/** Of a group of a stash: all its lots, and one thing that is as they are on the average. */
function listStashes(seed: number) {
  const { household } = createSampleHousehold(seed, 320);
  return computeGroups(household).flatMap(({ lots, kind }) => {
    const items = lots.map((lot) => household.items.get(lot.itemId)!);
    if (kind !== 'fabric' || lots.length < 8) return [];
    const mean = (of: (item: Item) => number) => items.reduce((sum, one) => sum + of(one), 0) / items.length;
    const fabric = {
      ...items[0]!.fabric!,
      widthMm: mean((one) => one.fabric!.widthMm),
      grammageGsm: mean((one) => one.fabric!.grammageGsm),
      layerMm: mean((one) => one.fabric!.layerMm),
    };
    return [{ lots, items, usual: { ...items[0]!, fabric } }];
  });
}

describe('heaps of a stash against the same things listed one by one', () => {
  it('are off by less than 15 % on the average in amount, measured by pile, row, weight or room', () => {
    const errors = new Map<HeapWay, number[]>();
    for (const seed of [1, 2, 3, 4, 5])
      for (const { lots, items, usual } of listStashes(seed)) {
        const sum = (of: (item: Item, lot: Lot) => number) => lots.reduce((all, lot, i) => all + of(items[i]!, lot), 0);
        const real = sum((_, lot) => lot.lengthMm!);
        const sizeOf = (form: 'stack' | 'loose', of: (pkg: NonNullable<ReturnType<typeof computePackage>>) => number) =>
          sum((item, lot) => of(computePackage(item, lot, form, settings)!));
        const measures: [HeapWay, number][] = [
          ['pile', sizeOf('stack', (pkg) => pkg.heightMm)],
          ['mass', sizeOf('loose', (pkg) => pkg.massG)],
          ['room', sizeOf('loose', (pkg) => pkg.alongMm * pkg.acrossMm * pkg.heightMm) / SOFT_SHARE],
        ];
        for (const [by, value] of measures) {
          const told = computeHeap(usual, lots[0]!, by, value, settings)!;
          errors.set(by, [...(errors.get(by) ?? []), Math.abs(told.lengthMm! / real - 1)]);
        }
      }
    for (const [by, list] of errors) {
      const mean = list.reduce((sum, one) => sum + one, 0) / list.length;
      expect(mean, by).toBeLessThan(0.15);
    }
    expect([...errors.keys()]).toEqual(['pile', 'mass', 'room']);
  });

  it('say how much they are in doubt: the truth is within two deviations nearly always', () => {
    const heaps: Heap[] = [];
    let within = 0;
    for (const seed of [1, 2, 3, 4, 5, 6])
      for (const { lots, usual } of listStashes(seed)) {
        const real = lots.reduce((sum, lot) => sum + lot.lengthMm!, 0);
        const told = computeHeap(usual, lots[0]!, 'pieces', lots.length, settings)!;
        heaps.push(told.heap);
        if (Math.abs(told.lengthMm! - real) <= 2 * told.amountSigma!) within += 1;
      }
    expect(heaps.length).toBeGreaterThan(20);
    expect(within / heaps.length).toBeGreaterThan(0.85);
  });
});

describe('a line that speaks of a heap', () => {
  it.each([
    ['cottons pile 62cm', 'cottons', 'pile', 620, null],
    ['cottons 40 pieces pile 62 cm', 'cottons', 'pile', 620, 40],
    ['patterns, a row of 1.3 m', 'patterns', 'row', 1300, null],
    ['wool 3 bins of 30 l', 'wool', 'room', 90e6, null],
    ['buttons 2 boxes 5 l', 'buttons', 'room', 10e6, null],
    ['heap of 40 buttons', 'buttons', 'pieces', 40, null],
    ['a heap of 12 kg linen', 'linen', 'mass', 12_000, null],
    ['jersey heap 25', 'jersey', 'pieces', 25, null],
    ['fleece heap 60 l', 'fleece', 'room', 60e6, null],
    // Whatever is measured in such a line is the heap, and no number with a unit counts pieces.
    ['heap of cotton 40 cm', 'cotton', 'pile', 400, null],
    ['cotton heap 40cm high', 'cotton', 'pile', 400, null],
    ['heap of wool 3 kg', 'wool', 'mass', 3000, null],
    ['heap of jersey, 40 l', 'jersey', 'room', 40e6, null],
    ['heap of 12 pieces poplin 2,5 kg', 'poplin', 'mass', 2500, 12],
    ['about 30 lengths cotton, stack of 45', 'cotton', 'pile', 450, 30],
  ] as const)('“%s”', (text, rest, by, value, pieces) => {
    expect(readHeap(text, 'metric')).toEqual({ rest, by, value, pieces });
  });

  it.each([
    'linen twill oat 3.4m x 140',
    'ruler 15 x 60 cm',
    'pile cotton velvet 2 m',
    'fur pile 25 mm 2 m',
    '4 fat quarters',
    'row counter',
    'heap',
    'heap of cotton 12 m',
    'heap of poplin 140 cm wide',
    'heap of jersey 2 bins',
    'heap of cotton 60 x 40 cm',
    'heap of cotton 60×40 cm',
    'heap of cotton 30 m',
  ])('“%s” speaks of none', (text) => {
    expect(readHeap(text, 'metric')).toBeNull();
  });

  it('asks how much a heap is that only is called one', () => {
    expect(isUnmeasuredHeap('heap of jersey, 2 bins', 'metric')).toBe(true);
    expect(isUnmeasuredHeap('Haufen Jersey', 'metric', GERMAN.heap)).toBe(true);
    expect(isUnmeasuredHeap('Haufen Jersey, 2 Kisten zu 30 l', 'metric', GERMAN.heap)).toBe(false);
    expect(isUnmeasuredHeap('heap of jersey, 2 bins of 30 l', 'metric')).toBe(false);
    expect(isUnmeasuredHeap('cheap jersey 2 m', 'metric')).toBe(false);
  });

  it('in German', () => {
    expect(readHeap('Haufen Baumwolle 40 cm', 'metric', GERMAN.heap)).toMatchObject({ rest: 'Baumwolle', value: 400 });
    expect(readHeap('Haufen Wolle 3,5 kg', 'metric', GERMAN.heap)).toMatchObject({ rest: 'Wolle', value: 3500 });
  });

  it('in inches', () => {
    expect(readHeap('cottons pile 25', 'imperial')).toMatchObject({ by: 'pile', value: 635 });
  });
});

describe('a heap that nobody has', () => {
  it('is asked about: a pile as high as a tower, not one that fills a room’s shelves', () => {
    const cloth = createCloth('cottons');
    expect(isUnlikelyHeap(cloth, make(cloth, 'pile', 900_000), settings)).toBe(true);
    expect(isUnlikelyHeap(cloth, make(cloth, 'mass', 600_000), settings)).toBe(true);
    expect(isUnlikelyHeap(cloth, make(cloth, 'pile', 6000), settings)).toBe(false);
    expect(isUnlikelyHeap(cloth, make(cloth, 'room', 900e6), settings)).toBe(false);
  });

  it('is asked about where its pieces and its measure do not go together: two lengths of 60 kg, not forty', () => {
    const cloth = createCloth('cottons');
    const counted = (pieces: number) => {
      const lot = createLot(cloth);
      return { ...lot, ...computeHeap(cloth, lot, 'mass', 60_000, settings, pieces)! };
    };
    expect(isUnlikelyHeap(cloth, counted(2), settings)).toBe(true);
    expect(isUnlikelyHeap(cloth, counted(40), settings)).toBe(false);
  });
});
