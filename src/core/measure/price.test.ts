import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import type { Item, Lot, LotId } from '../records/index.ts';
import { computeUnitPrice, computeWorth, withCostFor } from './price.ts';

const { household } = createSampleHousehold(1, 60);
const cloth = [...household.items.values()].find((item) => item.kind === 'fabric')!;
const one = [...household.lots.values()].find((lot) => lot.itemId === cloth.id)!;
const priced = (cost: number | undefined, costFor?: number): Item => {
  const { cost: _c, costFor: _f, ...bare } = cloth;
  return { ...bare, ...(cost !== undefined && { cost }), ...(costFor !== undefined && { costFor }) };
};
const lot = (id: string, lengthMm: number): Lot => ({ ...one, id: id as LotId, lengthMm });

describe('what cloth has cost', () => {
  it('is reckoned by the metre that it was paid for, whatever is left', () => {
    // 3 m for 36.00: 12.00 a metre; of 1.25 m left the worth is 15.00.
    const item = priced(36, 3000);
    expect(computeUnitPrice(item, [lot('a', 1250)])! * 1000).toBeCloseTo(12);
    expect(computeWorth(item, [lot('a', 1250)])).toBeCloseTo(15);
    expect(computeWorth(priced(undefined), [lot('a', 1250)])).toBeNull();
    // Nobody said for how much: for what there is.
    expect(computeWorth(priced(20), [lot('a', 500), lot('b', 500)])).toBeCloseTo(20);
  });

  it('is told of what there is when it is said, and of what came when more came', () => {
    const before = { item: priced(36, 3000), lots: [lot('a', 1000)] };
    expect(withCostFor(null, priced(36), [lot('a', 3000)]).costFor).toBe(3000);
    expect(withCostFor(before, priced(40, 3000), [lot('a', 1000)]).costFor).toBe(1000);
    // 2 m more for 30.00: 66.00 for 5 m.
    const more = withCostFor(before, priced(66, 3000), [lot('a', 1000), lot('b', 2000)]);
    expect(more.costFor).toBe(5000);
    expect(withCostFor(before, priced(36, 3000), [lot('a', 200)]).costFor).toBe(3000);
    expect(withCostFor(before, priced(undefined, 3000), [lot('a', 200)])).not.toHaveProperty('costFor');
  });
});
