import { describe, expect, it } from 'vitest';
import { checkPlan } from '../check/index.ts';
import { parseRecord, type Household } from '../core/records/index.ts';
import { findPreset, getPreset, PRESETS, type Preset } from '../core/records/presets.ts';
import { createPlaceTree, computeTraits } from '../core/storage/index.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { countMoves } from './curve.ts';
import { createRun } from './solve.ts';

const { household } = createSampleHousehold(2, 160);
const tree = createPlaceTree(household.places);
const weigh = (preset: Preset): Household => ({
  ...household,
  settings: { ...household.settings, estimates: getPreset(preset) },
});

function solve(preset: Preset) {
  const of = weigh(preset);
  const run = createRun(of, 1);
  run.advance(30_000);
  const solution = run.getSolution();
  expect(checkPlan(of, solution, solution.spots).findings).toEqual([]);
  const cloth = solution.assignments.filter(({ lotId }) => {
    const item = household.items.get(household.lots.get(lotId)!.itemId)!;
    return item.kind === 'fabric';
  });
  const share = (test: (traits: ReturnType<typeof computeTraits>) => boolean) =>
    cloth.filter(({ placeId }) => test(computeTraits(tree, tree.places.get(placeId)!, of.settings))).length /
    cloth.length;
  return {
    moves: countMoves(household, solution.assignments),
    seen: share((traits) => traits.isSeeThrough),
    dustFree: share((traits) => traits.isDustProof),
  };
}

describe('a preset', () => {
  it('is sound settings, and is known again', () => {
    for (const preset of PRESETS) {
      expect(parseRecord('settings', weigh(preset).settings).ok).toBe(true);
      expect(findPreset(getPreset(preset))).toBe(preset);
    }
    expect(findPreset({ ...getPreset('usual'), doorSeconds: 7 })).toBeNull();
  });

  it('does what it says: cloth in sight, cloth out of the dust, little moved', () => {
    const [usual, seen, dustFree, settled] = (['usual', 'seen', 'dustFree', 'settled'] as const).map(solve);
    expect(seen!.seen).toBeGreaterThanOrEqual(usual!.seen);
    expect(seen!.seen).toBeGreaterThan(dustFree!.seen);
    expect(dustFree!.dustFree).toBeGreaterThan(usual!.dustFree);
    expect(settled!.moves).toBeLessThan(usual!.moves);
  });
});
