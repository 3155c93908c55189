import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import type { LotId, Place, PlaceId, UnitSpec } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { computeLoads, computeOwnMassG, findLoadFaults } from './index.ts';

/** A piece with things of so many grams, each 40 mm high, in its compartments. */
function weigh(
  unit: Partial<UnitSpec>,
  grams: Readonly<Record<string, number>>,
  change: (place: Place) => Place = (one) => one,
) {
  const places = createUnit('u', unit).map(change);
  const things = Object.entries(grams).map(([slot, massG]) => {
    const item = createThing(`t-${slot}`, {});
    return { item: { ...item, box: { ...item.box!, massG } }, slot };
  });
  const household = createHousehold(
    places,
    things.map(({ item }) => item),
    things.map(({ item, slot }) => createLot(item, `u-${slot}` as PlaceId, { id: `l-${slot}` as LotId })),
  );
  const tree = createPlaceTree(household.places);
  const [load] = computeLoads(household, tree, 'room' as PlaceId);
  return { household, tree, load: load!, faults: findLoadFaults(household, tree, load!) };
}

const CASE: Partial<UnitSpec> = {
  kind: 'bookcase',
  widthMm: 800,
  heightMm: 1800,
  depthMm: 300,
  boardMm: 20,
  columns: 1,
  rows: 2,
};

describe('the weight of a piece and what is in it', () => {
  it('agrees with a bookcase worked by hand', () => {
    // Two sides of 1800 × 300 × 20, three shelves of 800 × 300 × 20, a back of 800 × 1800 × 3: 40.32e6 mm³ × 0.65 g/cm³.
    const volume = 2 * 1800 * 300 * 20 + 3 * 800 * 300 * 20 + 800 * 1800 * 3;
    expect(volume).toBe(40_320_000);
    const { load } = weigh(CASE, { 'Shelf 1': 10_000 });
    expect(load.ownG).toBeCloseTo(26_208, 3);
    expect(load.contentG).toBe(10_000);
    // The shelf is 280 deep behind a board of 20: its middle is 160 from the back; the case's own at 150.
    const deep = (10_000 * 160 + 26_208 * 150) / 36_208;
    expect(load.centre.deepMm).toBeCloseTo(deep, 6);
    expect(load.centre.heightMm).toBeCloseTo((10_000 * (20 + 20) + 26_208 * 900) / 36_208, 6);
    // What holds it back, 36.208 kg on 147 mm, against a pull at 1.8 m.
    expect(load.tipsAtG).toBeCloseTo((36_208 * (300 - deep)) / 1800, 6);
  });

  it('counts what hangs or is anchored as what cannot tip', () => {
    expect(weigh({ ...CASE, isAnchored: true }, {}).load.tipsAtG).toBeNull();
    expect(weigh({ ...CASE, yMm: 1200, heightMm: 400 }, {}).load.tipsAtG).toBeNull();
    expect(weigh({ ...CASE, isAnchored: true }, {}).faults).toEqual([]);
    expect(weigh(CASE, {}).faults).toMatchObject([{ code: 'anchor', isFault: false, unitId: 'u' }]);
    expect(weigh({ ...CASE, heightMm: 700 }, {}).faults).toEqual([]);
  });

  it('never asks to anchor what rolls, nor a low shelf that a climbing child does not tip', () => {
    expect(weigh({ ...CASE, hasWheels: true }, {}).faults).toMatchObject([{ code: 'rolls', isFault: false }]);
    // 60 cm high and 20 deep: slender, but 40 kg at the bottom hold it. Empty, a child tips it.
    const low = { ...CASE, heightMm: 600, depthMm: 200, loadG: undefined };
    expect(weigh(low, {}).faults).toMatchObject([{ code: 'anchor' }]);
    const slot = createUnit('u', low)
      .find((one) => one.level === 'slot')!
      .id.slice(2);
    const filled = weigh(low, { [slot]: 120_000 }, (one) =>
      one.slot ? { ...one, slot: { ...one.slot, loadG: 200_000 } } : one,
    );
    expect(filled.load.tipsAtG).toBeGreaterThan(15_000);
    expect(filled.faults).toEqual([]);
  });

  it('knows how many drawers pulled out tip a chest', () => {
    const chest: Partial<UnitSpec> = {
      kind: 'drawers',
      widthMm: 500,
      heightMm: 700,
      depthMm: 400,
      boardMm: 10,
      columns: 1,
      rows: 4,
    };
    expect(weigh(chest, {}).load.drawersThatTip).toBeNull();
    // 20 kg in one drawer, 390 mm out of a chest of about 16 kg on 200 mm.
    const heavy = weigh(chest, { 'Drawer 1': 20_000 });
    expect(heavy.load.drawersThatTip).toBe(1);
    expect(heavy.faults.map((one) => one.code)).toEqual(['slot-load', 'drawers-tip']);
    const two = weigh(chest, { 'Drawer 1': 7000, 'Drawer 2': 7000 });
    expect(two.load.drawersThatTip).toBe(2);
  });

  it('says what is overloaded and what is too heavy to lift', () => {
    const found = weigh(CASE, { 'Shelf 1': 21_000, 'Shelf 2': 19_000 });
    // 80 cm of shelf carry 20 kg.
    expect(found.faults.filter((one) => one.code === 'slot-load')).toMatchObject([
      { placeId: 'u-Shelf 1', massG: 21_000, limitG: 20_000 },
    ]);
    const limited = weigh({ ...CASE, loadG: 30_000 }, { 'Shelf 1': 15_000, 'Shelf 2': 16_000 });
    expect(limited.faults.find((one) => one.code === 'unit-load')).toMatchObject({ massG: 31_000, limitG: 30_000 });

    const bin = {
      kind: 'bin',
      outerWidthMm: 300,
      outerDepthMm: 250,
      outerHeightMm: 250,
      wallMm: 3,
      mode: 'volume',
      tareG: 700,
      loadG: 9000,
      isSeeThrough: false,
      hasLid: false,
    } as const;
    const places = createUnit('u', CASE);
    const withBin: Place = {
      id: 'b' as PlaceId,
      parentId: 'u-Shelf 2' as PlaceId,
      level: 'container',
      name: 'b',
      order: 0,
      container: bin,
    };
    const item = createThing('irons', {});
    const heavy = { ...item, box: { ...item.box!, massG: 9600 } };
    const household = createHousehold([...places, withBin], [heavy], [createLot(heavy, withBin.id)]);
    const tree = createPlaceTree(household.places);
    const [load] = computeLoads(household, tree, 'room' as PlaceId);
    expect(load!.contentG).toBe(10_300);
    const faults = findLoadFaults(household, tree, load!);
    // 10.3 kg, and the shelf is at 91 cm: within the easy band of 1.68 m.
    expect(faults.find((one) => one.code === 'bin-lift')).toMatchObject({
      placeId: 'b',
      massG: 10_300,
      limitG: 10_000,
    });
    expect(faults.find((one) => one.code === 'bin-load')).toMatchObject({ massG: 10_300, limitG: 9700 });
  });

  it('sums upwards to the same, wherever things lie, and is harder to tip the lower and heavier it is filled', () => {
    const { household } = createSampleHousehold();
    const tree = createPlaceTree(household.places);
    for (const room of tree.rooms)
      for (const load of computeLoads(household, tree, room.id))
        expect(load.slots.reduce((sum, slot) => sum + slot.massG, 0)).toBeCloseTo(load.contentG, 6);

    const grams = fc.integer({ min: 0, max: 30_000 });
    fc.assert(
      fc.property(grams, grams, fc.integer({ min: 1, max: 5000 }), (low, high, more) => {
        const before = weigh(CASE, { 'Shelf 1': low, 'Shelf 2': high }).load;
        const heavier = weigh(CASE, { 'Shelf 1': low + more, 'Shelf 2': high }).load;
        expect(heavier.tipsAtG!).toBeGreaterThan(before.tipsAtG!);
        // A pull at the top knows only how far back the weight is; the centre tells how high.
        expect(heavier.centre.heightMm).toBeLessThanOrEqual(Math.max(before.centre.heightMm, 40) + 1e-6);
        const taller = weigh({ ...CASE, heightMm: 1900 }, { 'Shelf 1': low, 'Shelf 2': high }).load;
        expect(taller.tipsAtG!).toBeLessThan(before.tipsAtG!);
      }),
      { numRuns: 40 },
    );
  });

  it('of an empty piece grows with every side of it', () => {
    const side = fc.integer({ min: 200, max: 2000 });
    fc.assert(
      fc.property(
        side,
        side,
        side,
        fc.constantFrom('cubes', 'bookcase', 'drawers', 'table', 'pegboard'),
        (w, h, d, kind) => {
          const unit = createUnit('u', { kind, widthMm: w, heightMm: h, depthMm: d, boardMm: 16 })[0]!.unit!;
          const mass = computeOwnMassG(unit);
          expect(mass).toBeGreaterThan(0);
          expect(computeOwnMassG({ ...unit, widthMm: w + 100 })).toBeGreaterThan(mass);
          expect(computeOwnMassG({ ...unit, depthMm: d + 100 })).toBeGreaterThan(mass);
        },
      ),
    );
  });
});
