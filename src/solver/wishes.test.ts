import { describe, expect, it } from 'vitest';
import { checkPlan } from '../check/index.ts';
import type { Household, LotId, PlaceId, Wish } from '../core/records/index.ts';
import { computeGroups } from '../core/grouping/index.ts';
import { createPlaceTree } from '../core/storage/index.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { createRun, solveFirstFit } from './solve.ts';

const { household } = createSampleHousehold(3, 120);
const tree = createPlaceTree(household.places);
const groups = computeGroups(household).toSorted((a, b) => b.lots.length - a.lots.length);
let count = 0;
const wish = (kind: Wish['kind'], rest: Partial<Wish>): Wish => ({
  id: `w${(count += 1)}`,
  kind,
  lotIds: [],
  groupIds: [],
  placeId: undefined,
  ...rest,
});
const ask = (...wishes: Wish[]): Household => ({ ...household, settings: { ...household.settings, wishes } });

function solve(of: Household, steps = 12_000) {
  const run = createRun(of, 1);
  run.advance(steps);
  const solution = run.getSolution();
  const placeOf = new Map(solution.assignments.map((one) => [one.lotId, one.placeId]));
  return { solution, placeOf, findings: checkPlan(of, solution, solution.spots).findings };
}
const plain = solve(household);
const placed = [...household.lots.values()].filter((lot) => lot.placeId !== undefined);
const unitOf = (id: PlaceId) => tree.getPath(id).find((place) => place.level === 'unit')!.id;

describe('what is asked of a plan', () => {
  it('stays where it is, in its form, though elsewhere would be better', () => {
    const moved = placed.filter((lot) => plain.placeOf.get(lot.id) && plain.placeOf.get(lot.id) !== lot.placeId);
    const lots = moved.slice(0, 4);
    expect(lots).toHaveLength(4);
    const { placeOf, findings, solution } = solve(ask(wish('stays', { lotIds: lots.map((lot) => lot.id) })));
    expect(findings).toEqual([]);
    for (const lot of lots)
      if (placeOf.has(lot.id)) {
        expect(placeOf.get(lot.id)).toBe(lot.placeId);
        expect(solution.assignments.find((one) => one.lotId === lot.id)?.form).toBe(lot.form);
      }
    expect(lots.filter((lot) => placeOf.has(lot.id)).length).toBeGreaterThan(1);
  });

  it('leaves a piece alone: nothing comes in, and what is in it stays', () => {
    const id = unitOf(placed[0]!.placeId!);
    const { placeOf, findings } = solve(ask(wish('stays', { placeId: id })));
    expect(findings).toEqual([]);
    // What is out for a while and belongs there comes back.
    const isThere = (at: PlaceId | undefined) => at !== undefined && unitOf(at) === id;
    const there = new Set(
      [...household.lots.values()].filter((lot) => isThere(lot.placeId ?? lot.homeId)).map((lot) => lot.id),
    );
    for (const [lotId, placeId] of placeOf) if (unitOf(placeId) === id) expect(there.has(lotId)).toBe(true);
  });

  it('keeps a place free and a group out of a piece', () => {
    const used = [...new Set(plain.placeOf.values())];
    const [free] = used;
    const group = groups[0]!;
    const away = unitOf(plain.placeOf.get(group.lots.find((lot) => plain.placeOf.has(lot.id))!.id)!);
    const of = ask(wish('free', { placeId: free }), wish('notIn', { groupIds: [group.id], placeId: away }));
    const { placeOf, findings } = solve(of);
    expect(findings).toEqual([]);
    expect([...placeOf.values()]).not.toContain(free);
    for (const lot of group.lots) if (placeOf.has(lot.id)) expect(unitOf(placeOf.get(lot.id)!)).not.toBe(away);
  });

  it('puts together what is to be together, from the first plan on, also when it overlaps', () => {
    const same = groups[0]!.lots.filter((lot) => plain.placeOf.has(lot.id));
    const far = same.filter((lot) => plain.placeOf.get(lot.id) !== plain.placeOf.get(same[0]!.id));
    const lotIds = [same[0]!.id, ...far.slice(0, 2).map((lot) => lot.id)];
    const of = ask(wish('together', { lotIds: lotIds.slice(0, 2) }), wish('together', { lotIds: lotIds.slice(1) }));
    for (const steps of [0, 12_000]) {
      const { placeOf, findings } = solve(of, steps);
      expect(findings).toEqual([]);
      expect(new Set(lotIds.map((id) => placeOf.get(id))).size).toBe(1);
    }
    const first = solveFirstFit(of);
    expect(checkPlan(of, first, first.spots).findings).toEqual([]);
  });

  it('keeps lots and groups apart', () => {
    const mixed = [...plain.placeOf].filter(([lotId, placeId]) =>
      [...plain.placeOf].some(([other, at]) => other !== lotId && at === placeId),
    );
    const [a] = mixed[0]!;
    const b = mixed.find(([lotId, placeId]) => lotId !== a && placeId === plain.placeOf.get(a))![0];
    const of = ask(
      wish('apart', { lotIds: [a, b] }),
      wish('apart', { groupIds: groups.slice(0, 3).map((group) => group.id) }),
    );
    const { placeOf, findings } = solve(of);
    expect(findings).toEqual([]);
    expect(placeOf.get(a)).not.toBe(placeOf.get(b));
  });

  it('passes over what is gone or is a file, in a set that is otherwise kept together', () => {
    const [a, b, ...rest] = groups[0]!.lots;
    const lots = new Map(household.lots);
    lots.set(rest[0]!.id, { ...rest[0]!, state: 'gone', placeId: undefined, homeId: undefined });
    const lotIds = [a!.id, b!.id, rest[0]!.id, 'never-was' as LotId];
    const of = {
      ...ask(wish('together', { lotIds }), wish('apart', { lotIds: [rest[0]!.id, 'never-was' as LotId] })),
      lots,
    };
    const { placeOf, findings } = solve(of);
    expect(findings).toEqual([]);
    expect(placeOf.get(a!.id)).toBe(placeOf.get(b!.id));
  });

  it('is never broken, whatever is asked at once; the checker sees it where it is', () => {
    for (let seed = 1; seed <= 5; seed += 1) {
      const sample = createSampleHousehold(seed, 90).household;
      const lots = [...sample.lots.values()];
      const leaves = createPlaceTree(sample.places).leaves;
      const ids = (from: number, n: number) => lots.slice(from * seed, from * seed + n).map((lot) => lot.id);
      const of: Household = {
        ...sample,
        settings: {
          ...sample.settings,
          wishes: [
            wish('stays', { lotIds: ids(1, 3) }),
            wish('free', { placeId: leaves[seed]!.id }),
            wish('notIn', { lotIds: ids(5, 6), placeId: leaves[seed + 3]!.parentId }),
            wish('together', { lotIds: ids(7, 3) }),
            wish('apart', { lotIds: ids(9, 4) }),
            // What is no more is passed over.
            wish('together', { lotIds: ['gone' as LotId] }),
            wish('free', { placeId: 'gone' as PlaceId }),
          ],
        },
      };
      const run = createRun(of, seed);
      run.advance(8000);
      const solution = run.getSolution();
      expect(checkPlan(of, solution, solution.spots).findings).toEqual([]);
      const other = {
        ...of,
        settings: { ...of.settings, wishes: [wish('free', { placeId: solution.assignments[0]!.placeId })] },
      };
      expect(checkPlan(other, solution, solution.spots).findings).toContainEqual(
        expect.objectContaining({ rule: 'wish', note: 'in a place that is kept free' }),
      );
    }
  });
});
