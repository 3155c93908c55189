import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { parseLine } from '../src/core/catalog/index.ts';
import { computeGroups, type Group } from '../src/core/grouping/index.ts';
import { computeHeap, createDivideHeaps } from '../src/core/heaps/index.ts';
import { applyChanges } from '../src/core/daybook/fold.ts';
import { computePackage } from '../src/core/measure/index.ts';
import { SOFT_SHARE } from '../src/core/packing/index.ts';
import {
  getFetchSeconds,
  getUses,
  takesRoom,
  type HeapWay,
  type Household,
  type Item,
  type ItemId,
  type Kind,
  type Lot,
  type LotId,
} from '../src/core/records/index.ts';
import { createSampleHousehold } from '../src/sample/index.ts';
import { createRun } from '../src/solver/solve.ts';
import type { Bench, Figure } from './figures.ts';
import { isSmall, sized, some } from './sized.ts';

const SEEDS = some([1, 2, 3, 4, 5]);
const LEAST_LOTS = 4;
const STEPS = sized(400_000, 2000);

interface Real {
  readonly item: Item;
  readonly lot: Lot;
}

const membersOf = (household: Household, group: Group): Real[] =>
  group.lots.flatMap((lot) => {
    const item = household.items.get(lot.itemId);
    return item && takesRoom(lot) && !lot.heap ? [{ item, lot }] : [];
  });

const volumeOf = (household: Household, { item, lot }: Real): number => {
  const pkg =
    computePackage(item, lot, 'loose', household.settings) ??
    computePackage(item, lot, item.forms[0]!, household.settings);
  return pkg ? pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces : 0;
};

/** The group as one would measure it: cloth by its pile or its bins, patterns by the row, what is small by the piece. */
function measureGroup(household: Household, reals: readonly Real[]): readonly (readonly [HeapWay, number])[] {
  const sum = (of: (one: Real) => number) => reals.reduce((all, one) => all + of(one), 0);
  const { settings } = household;
  const [{ item }] = reals as [Real];
  if (item.kind === 'fabric') {
    const pile = sum((one) => computePackage(one.item, one.lot, 'stack', settings)?.heightMm ?? 0);
    return [
      ['pile', pile],
      ['room', sum((one) => volumeOf(household, one)) / SOFT_SHARE],
    ];
  }
  const pieces = sum(({ lot }) => lot.count);
  if (item.kind !== 'pattern') return [['pieces', pieces]];
  return [
    ['row', sum((one) => (computePackage(one.item, one.lot, 'envelope', settings)?.alongMm ?? 0) * one.lot.count)],
  ];
}

/** One thing that stands for all of a group: of the middle size, cloth of the middle thickness. */
function toUsual(household: Household, reals: readonly Real[]): Real {
  const sizeOf = (one: Real) => one.item.fabric?.layerMm ?? volumeOf(household, one) / Math.max(1, one.lot.count);
  const sorted = reals.toSorted((a, b) => sizeOf(a) - sizeOf(b));
  return sorted[Math.floor(sorted.length / 2)]!;
}

/** How far the amount and the volume of a heap are from those of the same things listed one by one, in the mean over groups and measures. */
function measureErrors(): Figure[] {
  const errors: { amount: number; volume: number }[] = [];
  for (const seed of SEEDS) {
    const { household } = createSampleHousehold(seed, sized(600, 120));
    for (const group of computeGroups(household)) {
      const reals = membersOf(household, group);
      if (reals.length < LEAST_LOTS) continue;
      const { item, lot } = toUsual(household, reals);
      const sum = (of: (one: Real) => number) => reals.reduce((all, one) => all + of(one), 0);
      const amount = sum((one) => (item.kind === 'fabric' ? (one.lot.lengthMm ?? 0) : one.lot.count));
      const volume = sum((one) => volumeOf(household, one));
      for (const [by, value] of measureGroup(household, reals)) {
        const told = computeHeap(item, lot, by, value, household.settings);
        if (!told || !(amount > 0) || !(volume > 0)) continue;
        const told2 = item.kind === 'fabric' ? told.lengthMm! : told.count;
        errors.push({
          amount: Math.abs(told2 / amount - 1),
          volume: Math.abs(volumeOf(household, { item, lot: { ...lot, ...told } }) / volume - 1),
        });
      }
    }
  }
  const mean = (of: 'amount' | 'volume') => (100 * errors.reduce((sum, one) => sum + one[of], 0)) / errors.length;
  return [
    { name: 'heap.error_percent.amount', value: mean('amount'), unit: `% in ${errors.length} heaps` },
    { name: 'heap.error_percent.volume', value: mean('volume'), unit: `% in ${errors.length} heaps` },
  ];
}

/** The household with every group of some size as one heap, in the parts that a plan would have of it. */
function heapUp(household: Household): Household {
  const [items, lots] = [new Map(household.items), new Map(household.lots)];
  for (const group of computeGroups(household)) {
    const reals = membersOf(household, group);
    const [measure] = reals.length < LEAST_LOTS ? [] : measureGroup(household, reals);
    if (!measure) continue;
    const usual = toUsual(household, reals);
    const told = computeHeap(usual.item, usual.lot, ...measure, household.settings);
    if (!told) continue;
    for (const { lot } of reals) lots.delete(lot.id);
    const id = `heap-${group.id.replaceAll(/\W/gu, '-')}`;
    const { placeId: _p, homeId: _h, reserved: _r, label: _l, withLotId: _w, away: _a, ...loose } = usual.lot;
    const usesPerMonth = reals.reduce((sum, { item }) => sum + getUses(item), 0);
    items.set(id as ItemId, { ...usual.item, id: id as ItemId, usesPerMonth, learntPerMonth: undefined });
    lots.set(id as LotId, { ...loose, ...told, id: id as LotId, itemId: id as ItemId, state: 'out' });
  }
  const heaped = { ...household, items, lots };
  let next = 0;
  const divided = createDivideHeaps(heaped, () => `part-${(next += 1)}` as LotId);
  const after = divided.ok ? applyChanges(heaped, divided.value.changes) : null;
  if (!after?.ok) return heaped;
  // What was used so often as a whole is used as much less often in each part.
  const parts = new Map<ItemId, number>();
  for (const { itemId } of after.value.lots.values()) parts.set(itemId, (parts.get(itemId) ?? 0) + 1);
  for (const [id, item] of items)
    if (id.startsWith('heap-')) items.set(id, { ...item, usesPerMonth: item.usesPerMonth / (parts.get(id) ?? 1) });
  return { ...after.value, items };
}

function plan(household: Household) {
  // Where things lie today says nothing in either of the two.
  const bare = new Map(
    [...household.lots].map(([id, { placeId: _p, homeId: _h, away: _a, ...lot }]) => [
      id,
      takesRoom(lot) ? { ...lot, state: 'out' as const } : lot,
    ]),
  );
  const run = createRun({ ...household, lots: bare }, 1);
  run.expect(STEPS);
  run.advance(STEPS);
  const { score, assignments, unplaced } = run.getSolution();
  return {
    seconds: getFetchSeconds(score),
    places: new Set(assignments.map(({ placeId }) => placeId)).size,
    unplaced: unplaced.length,
  };
}

/** A plan of heaps beside the plan of the same things listed: fetching time, places in use, what found no home. */
function measurePlans(): Figure[] {
  const { household } = createSampleHousehold();
  const [listed, heaps] = [plan(household), plan(heapUp(household))];
  return [
    { name: 'heap.plan_seconds_over_listed', value: heaps.seconds / listed.seconds, unit: 'of the fetching' },
    { name: 'heap.plan_places_over_listed', value: heaps.places / listed.places, unit: 'of the places in use' },
    { name: 'heap.plan_without_home', value: heaps.unplaced, unit: `heaps; listed ${listed.unplaced} things` },
  ];
}

/** The browser test counts what it taps and presses; `npm test` runs it anyway, so small it is only looked whether it is there. */
function measureSetout(): Figure[] {
  const asked = ['playwright', 'test', 'e2e/setout.spec.ts', '-g', 'bare room', '--reporter=json'];
  const { stdout } = spawnSync('npx', isSmall ? [...asked, '--list'] : asked, { encoding: 'utf8', maxBuffer: 1e8 });
  const found = isSmall
    ? /"title":\s*"[^"]*bare room()/u.exec(stdout)
    : /"type":\s*"setout\.acts_to_first_plan",\s*"description":\s*"(\d+)"/u.exec(stdout);
  return [{ name: 'setout.acts_to_first_plan', value: Number(found?.[1] ?? NaN), unit: 'taps and keys but text' }];
}

const LIST_OF = 50;

/** Fifty lines of all kinds as people write them, each with its Enter; what is asked costs one more. */
function measureKeys(): Figure[] {
  const corpus = readFileSync('src/core/catalog/corpus.txt', 'utf8').trimEnd().split('\n');
  let kind: Kind = 'fabric';
  const lines = corpus.flatMap((line): (readonly [string, Kind])[] => {
    if (!line.startsWith('@')) return [[line.split(' → ')[0]!, kind]];
    kind = line.slice(1).split(' ')[0] as Kind;
    return [];
  });
  const step = lines.length / LIST_OF;
  const chosen = Array.from({ length: LIST_OF }, (_, i) => lines[Math.floor(i * step)]!);
  const keys = chosen.map(([text, page]) => {
    const { doubts } = parseLine(text, { kind: page, units: 'metric' });
    return [...text].length + 1 + Number(doubts.length > 0);
  });
  const mean = keys.reduce((sum, one) => sum + one, 0) / keys.length;
  return [{ name: 'catalog.keys_per_thing', value: mean, unit: `keys, ${LIST_OF} things by the quick line` }];
}

export const heapFigures: readonly Bench[] = [
  { names: ['heap.error_percent.amount', 'heap.error_percent.volume'], measure: measureErrors },
  {
    names: ['heap.plan_seconds_over_listed', 'heap.plan_places_over_listed', 'heap.plan_without_home'],
    measure: measurePlans,
  },
  { names: ['setout.acts_to_first_plan'], measure: measureSetout },
  { names: ['catalog.keys_per_thing'], measure: measureKeys },
];
