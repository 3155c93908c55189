import { describe, expect, it } from 'vitest';
import { createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { checkList, orderMoves } from '../../../tests/moveLists.ts';
import { bin } from '../../../tests/rooms.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { createPlan, createRun } from '../../solver/solve.ts';
import { createAdopt, createStep } from '../acts/index.ts';
import { createPlaceTree, formatPlaceName } from '../storage/index.ts';
import { checkInvariants } from '../daybook/index.ts';
import { applyChanges } from '../daybook/fold.ts';
import type { Household, Place, PlaceId, PlanId } from '../records/index.ts';
import { computeProgress, listTrees, type Step } from './index.ts';

const LITRE = 1e6;

const order = (household: Household) => orderMoves(household, 200 * LITRE, 20);
const check = (household: Household, steps: readonly Step[]) => checkList(household, steps, 200 * LITRE);

const goesTo = (place: Place, slotId?: string): Place => ({
  ...place,
  container: { ...place.container!, goesTo: slotId ? { slotId: slotId as PlaceId } : {} },
});
const idle = (id: string): Place => {
  const { parentId: _parentId, ...rest } = bin(id, 'x');
  return rest;
};

/** Things of 1.4 l in cubes and bins, by where they are and where they belong. */
function room(
  places: readonly Place[],
  ways: Record<string, readonly [from: string, to: string | undefined]>,
): Household {
  const items = Object.keys(ways).map((id) =>
    createThing(id, {
      forms: ['box'],
      box: { type: 'box', widthMm: 100, depthMm: 200, heightMm: 70, massG: 300, isSoft: false },
    }),
  );
  const lots = items.map((item) => {
    const [from, to] = ways[item.id]!;
    return createLot(item, from, { homeId: to as PlaceId });
  });
  return createHousehold(places, items, lots);
}

const cubes = createUnit('cube', { columns: 3, widthMm: 16 + 3 * 366 });
const tell = ({ kind, from, to, lotIds, bins }: Step) =>
  `${kind} ${bins?.map((one) => one.placeId).join('+') ?? lotIds.join('+')}: ${from} ${to}`;

describe('containers in a move list', () => {
  it('wait until what is loose in their compartment is out of it, and are filled then', () => {
    const home = room([...cubes, goesTo(idle('b'), 'cube-A1')], { x: ['cube-A1', 'b'], y: ['cube-A1', 'cube-B1'] });
    const { steps, found } = order(home);
    expect(steps.map(tell)).toEqual([
      'carry lot-y: cube-A1 cube-B1',
      'carry lot-x: cube-A1 table',
      'bins b: idle cube-A1',
      'carry lot-x: table b',
    ]);
    expect(found.leastTrips).toBeLessThanOrEqual(steps.length);
    expect(check(home, steps).findings).toEqual([]);
  });

  it('are named where they stand by then', () => {
    const home = room([...cubes, goesTo(bin('b', 'cube-A1'), 'cube-B1')], { x: ['cube-C1', 'b'], y: ['b', 'b'] });
    const { steps } = order(home);
    const names = listTrees(createPlaceTree(home.places), steps).map((tree) => formatPlaceName(tree, 'b' as PlaceId));
    expect(steps.map(tell)).toEqual(['bins b: cube-A1 cube-B1', 'carry lot-x: cube-C1 b']);
    expect(names).toEqual(['cube › A1 › b', 'cube › B1 › b']);
  });

  it('are carried with what is in them, and leave room for what comes loose', () => {
    const home = room([...cubes, goesTo(bin('b', 'cube-A1'), 'cube-B1')], { x: ['b', 'b'], y: ['cube-C1', 'cube-A1'] });
    const { steps } = order(home);
    expect(steps.map(tell)).toEqual(['bins b: cube-A1 cube-B1', 'carry lot-y: cube-C1 cube-A1']);
    expect(check(home, steps).findings).toEqual([]);
  });

  it('that stand in each other’s way change places at once', () => {
    const home = room([...cubes, goesTo(bin('a', 'cube-A1'), 'cube-B1'), goesTo(bin('b', 'cube-B1'), 'cube-A1')], {
      x: ['a', 'a'],
      y: ['b', 'b'],
    });
    const { steps } = order(home);
    expect(steps.map(tell)).toEqual(['bins a+b: cube-A1 cube-B1']);
    expect(check(home, steps).findings).toEqual([]);
  });

  it('go out of the way once they are empty; what has no home lies about then', () => {
    const home = room([...cubes, goesTo(bin('a', 'cube-A1'))], { x: ['a', 'cube-B1'], y: ['a', undefined] });
    const { steps } = order(home);
    expect(steps.map(tell)).toEqual(['carry lot-x: a cube-B1', 'bins a: cube-A1 idle']);
    expect(check(home, steps).findings).toEqual([]);
  });

  it('are done one after the other, each step a good household, until nothing is left', () => {
    for (const seed of [1, 2, 3]) {
      const { household: sample } = createSampleHousehold(seed, 160);
      const { settings } = sample;
      // Nothing speaks against carrying a bin.
      const estimates = { ...settings.estimates, carryBinSeconds: 0 };
      const bare = { ...sample, settings: { ...settings, estimates } };
      const run = createRun(bare, seed);
      run.expect(40_000);
      run.advance(40_000);
      const plan = createPlan(run, run.getSolution(), seed, 'p' as PlanId, 1);
      expect(plan.bins?.length ?? 0).toBeGreaterThan(0);
      const adopted = createAdopt(bare, plan, 'Plan', 2);
      if (!adopted.ok) throw new Error(adopted.fault.code);
      const start = applyChanges(bare, adopted.value.changes);
      if (!start.ok) throw new Error('conflict');
      let household = start.value;
      expect(checkInvariants(household)).toEqual([]);
      const { steps, found } = order(household);
      expect(found.stuckBins).toEqual([]);
      expect(check(household, steps).findings).toEqual([]);
      for (const [k, step] of steps.entries()) {
        const progress = computeProgress(household, steps);
        expect(progress).toMatchObject({ isStale: false, next: k });
        const act = createStep(household, step, step.lotIds, 'step', 3);
        if (!act.ok) throw new Error(`${k} ${step.kind} ${act.fault.code}`);
        const next = applyChanges(household, act.value.changes);
        if (!next.ok) throw new Error('conflict');
        household = next.value;
        expect(checkInvariants(household)).toEqual([]);
      }
      expect(computeProgress(household, steps)).toMatchObject({ isStale: false, next: steps.length });
      expect([...household.places.values()].filter(({ container }) => container?.goesTo)).toEqual([]);
    }
  });
});
