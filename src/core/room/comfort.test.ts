import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createThing, createUnit, ROOM } from '../../../tests/household.ts';
import type { PlaceId } from '../records/index.ts';
import type { Task } from '../tasks/index.ts';
import { adviseHeight, computeSpread, findTask } from './index.ts';

describe('the height of a table', () => {
  it('for cutting is 5 to 10 cm below the elbow', () => {
    // 1.70 m: elbow at 1071.
    expect(adviseHeight(900, 'cutting', 1700)).toEqual({
      task: 'cutting',
      heightMm: 900,
      fromMm: 971,
      toMm: 1021,
      risersMm: 71,
      raiseMm: 0,
      seatMm: null,
    });
    expect(adviseHeight(1000, 'cutting', 1700)).toMatchObject({ risersMm: 0, raiseMm: 0 });
  });

  it('for sewing is below the elbow of one who sits by no more than the machine is high', () => {
    // 1.70 m: knee at 484.5, seat 444.5; elbow 170 + 70 above it, 684.5.
    const advice = adviseHeight(740, 'sewing', 1700);
    expect(advice.seatMm).toBeCloseTo(444.5, 6);
    expect(advice.fromMm).toBeCloseTo(614.5, 6);
    expect(advice.raiseMm).toBeCloseTo(740 - 684.5, 6);
  });

  it('grows with who works there, and risers bring it just to where it suits', () => {
    const task = fc.constantFrom<Task>('cutting', 'sewing', 'pressing');
    fc.assert(
      fc.property(
        task,
        fc.integer({ min: 1200, max: 2100 }),
        fc.integer({ min: 300, max: 1300 }),
        (what, stature, height) => {
          const advice = adviseHeight(height, what, stature);
          expect(advice.fromMm).toBeLessThan(advice.toMm);
          expect(adviseHeight(height, what, stature + 50).fromMm).toBeGreaterThan(advice.fromMm);
          const raised = adviseHeight(height + advice.risersMm, what, stature);
          expect(raised.risersMm).toBeCloseTo(0, 6);
          if (advice.risersMm > 0) expect(raised.raiseMm).toBe(0);
        },
      ),
    );
  });

  it('goes by the station that is tied to the piece', () => {
    const at = (name: string) => ({
      ...ROOM.room!,
      stations: [{ id: 's' as never, name, at: { xMm: 0, yMm: 0 }, unitId: 'u' as PlaceId }],
    });
    expect(['Cutting', 'Sewing', 'Ironing', 'Tea'].map((name) => findTask(at(name), 'u' as PlaceId))).toEqual([
      'cutting',
      'sewing',
      'pressing',
      null,
    ]);
    expect(findTask(at('Cutting'), 'other' as PlaceId)).toBeNull();
  });
});

describe('cloth laid on a table', () => {
  const table = createUnit('t', { kind: 'table', widthMm: 1500, depthMm: 700, heightMm: 900, boardMm: 0 })[0]!.unit!;

  it('hangs over by what is wider, and is moved along by what is longer', () => {
    const wide = createCloth('wide');
    const broad = { ...wide, fabric: { ...wide.fabric!, widthMm: 1600 } };
    const long = createCloth('long');
    const mat = createThing('Cutting mat');
    const mats = { ...mat, box: { ...mat.box!, widthMm: 600, depthMm: 2, heightMm: 450 } };
    const household = createHousehold(
      [],
      [broad, long, mats],
      [createLot(broad), createLot(long, null, { lengthMm: 6100 }), createLot(mats, null, { count: 2 })],
    );
    expect(computeSpread(household, table)).toEqual({
      name: 'wide',
      clothMm: 1600,
      overMm: 900,
      foldedOverMm: 100,
      longestName: 'long',
      longestMm: 6100,
      // 6.1 m on 1.5 m: it lies five times, so it is moved four times.
      shifts: 4,
      mats: 2,
      matShare: (2 * 600 * 450) / (1500 * 700),
    });
    expect(computeSpread(createHousehold([], [], []), table)).toBeNull();
  });
});
