import { createRandom, shuffle } from '../src/core/random/index.ts';
import type { Household, Stowage } from '../src/core/records/index.ts';
import { createRun } from '../src/solver/solve.ts';
import { createInstance } from './instances.ts';
import { previewPlan } from '../src/core/suppose/index.ts';

function solve(household: Household, seed: number, steps: number): Stowage {
  const run = createRun(household, seed, { binsStay: true });
  run.expect(steps);
  run.advance(steps);
  return { assignments: [...run.getSolution().assignments] };
}

/**
 * A household that lives by one tidy plan and has adopted another one, made for another way of working: other things are
 * wanted often, and at other stations. Nearly all of it has to be carried.
 */
export function createTurnedRound(
  size: { readonly lots: number; readonly places: number },
  fill: number,
  seed: number,
  steps: number,
): Household {
  const bare = createInstance(size.lots, size.places, fill, seed);
  const lived = previewPlan(bare, solve(bare, seed, steps));
  const others = shuffle(createRandom(seed + 99), [...bare.items.values()]);
  const items = new Map(
    [...bare.items.values()].map((item, i) => {
      const { stationId, usesPerMonth } = others[i]!;
      return [item.id, { ...item, stationId, usesPerMonth }];
    }),
  );
  const homes = new Map(solve({ ...bare, items }, seed + 1000, steps).assignments.map((one) => [one.lotId, one]));
  const lots = new Map(
    [...lived.lots].map(([id, lot]) => {
      const to = homes.get(id);
      return [id, to ? { ...lot, homeId: to.placeId, homeForm: to.form, homeOrder: to.order } : lot];
    }),
  );
  return { ...lived, items, lots };
}
