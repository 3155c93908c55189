import { computeThreadOn, getAmount, getAmountUnit, getReserved } from '../measure/index.ts';
import {
  isOver,
  type AmountUnit,
  type Household,
  type Item,
  type Lot,
  type LotId,
  type Need,
  type Project,
  type ProjectId,
  type Step,
  type StepStation,
} from '../records/index.ts';
import { toTable } from '../words/index.ts';
import { computeThreadNeed, toSpools } from './threads.ts';
import { computeClothNeed, type ClothAt, type NeedFound } from './need.ts';
import { isUsedAgain, nameOfPromise, type Promised } from '../promises/index.ts';

/** Somebody else who holds some of a cloth that a need is to be made of. */
export interface Rival {
  readonly lot: Lot;
  readonly promiseId: string;
  /** Null where it is promised in words only. */
  readonly projectId: ProjectId | null;
  readonly name: string;
  readonly amount: number;
}

/** How a need stands. `there`: met, or cut already; `short`: some of it is promised; `got`: it is to be got; `open`: nothing yet. */
export type NeedState = 'there' | 'short' | 'toGet' | 'open';

export interface NeedStanding {
  readonly need: Need;
  readonly unit: AmountUnit;
  /** All that it takes, in its unit; null where that is not known. */
  readonly needed: number | null;
  /** How that was found, for cloth. */
  readonly found: NeedFound | null;
  readonly promised: readonly Promised[];
  readonly promisedAmount: number;
  /** What is still missing, in its unit: all of it less what is cut and what is promised; null where that is not known. */
  readonly missing: number | null;
  readonly state: NeedState;
  /** Thread that its seams take, mm, and that is on all its spools; null where nobody said how much is sewn, or there are none. */
  readonly threadMm: number | null;
  readonly onSpoolsMm: number | null;
  /** What it is to be made of, where that is settled. */
  readonly item: Item | null;
  /** What of that is free, in its unit, and who holds the rest. */
  readonly free: number;
  readonly rivals: readonly Rival[];
}

/** A step takes about so many minutes where nobody has said otherwise. Estimates; they are learnt from the timer. */
const STEP_MINUTES = toTable<number>({
  cutting: 45,
  sewing: 40,
  overlocking: 20,
  pressing: 15,
  handwork: 40,
  other: 20,
});

export function getStepMinutes({ minutes, station }: Pick<Step, 'minutes' | 'station'>): number {
  return minutes ?? STEP_MINUTES[station satisfies StepStation]!;
}

/** What a step is likely to take still: less what was spent on it; one that takes longer than thought still takes a little. Minutes. */
export function computeLeft(minutes: number, { spentMinutes = 0 }: Pick<Step, 'spentMinutes'>): number {
  return Math.max(minutes / 4, minutes - spentMinutes);
}

/** Steps that are not done, in their order. */
export function listOpenSteps({ steps }: Pick<Project, 'steps'>): Step[] {
  return steps.filter((step) => step.doneAtMs === undefined);
}

/** Amounts nearer than this are the same. */
const LEAST = 0.5;
/** A cloth that nobody has chosen yet is thought of as cotton of this width, mm, washed. */
const THOUGHT_WIDTH_MM = 1400;
const THOUGHT: ClothAt = {
  fabric: { fibre: 'cotton', cloth: 'poplin', widthMm: THOUGHT_WIDTH_MM, print: 'solid' },
  isWashed: true,
};

/** What is asked after all lots at once, so that a wall of projects looks at them once. */
export interface ProjectFacts {
  readonly household: Household;
  readonly promisedOf: ReadonlyMap<ProjectId, readonly Promised[]>;
  readonly lotsOf: ReadonlyMap<string, readonly Lot[]>;
  /** What lies in a bag, by the lot that it is. */
  readonly inBag: ReadonlyMap<LotId, readonly Lot[]>;
}

function push<K, V>(map: Map<K, V[]>, key: K, value: V): void {
  const known = map.get(key);
  if (known) known.push(value);
  else map.set(key, [value]);
}

/** One look at all lots. */
export function createProjectFacts(household: Household): ProjectFacts {
  const lotsOf = new Map<string, Lot[]>();
  const promisedOf = new Map<ProjectId, Promised[]>();
  const inBag = new Map<LotId, Lot[]>();
  for (const lot of household.lots.values()) {
    const item = household.items.get(lot.itemId);
    if (!item || lot.state === 'gone') continue;
    push(lotsOf, lot.itemId, lot);
    if (lot.withLotId) push(inBag, lot.withLotId, lot);
    for (const promise of lot.reserved ?? [])
      if (promise.projectId) push(promisedOf, promise.projectId, { lot, item, promise });
  }
  return { household, promisedOf, lotsOf, inBag };
}

function listRivals({ household }: ProjectFacts, lots: readonly Lot[], project: Project): Rival[] {
  return lots.flatMap((lot) =>
    (lot.reserved ?? []).flatMap((promise): Rival[] => {
      const { id, projectId, amount } = promise;
      if (projectId === project.id) return [];
      return [{ lot, promiseId: id, projectId: projectId ?? null, name: nameOfPromise(household, promise), amount }];
    }),
  );
}

/** How one need of a project stands. */
function computeNeedStanding(facts: ProjectFacts, project: Project, need: Need): NeedStanding {
  const { household } = facts;
  const promised = (facts.promisedOf.get(project.id) ?? []).filter(({ promise }) => promise.needId === need.id);
  const item = promised[0]?.item ?? (need.itemId && household.items.get(need.itemId)) ?? null;
  const lots = item ? (facts.lotsOf.get(item.id) ?? []) : [];
  const unit = item && lots[0] ? getAmountUnit(item, lots[0]) : need.kind === 'fabric' ? 'length' : 'count';
  const pattern = project.patternItemId && household.items.get(project.patternItemId);
  const first = promised[0]?.lot ?? lots[0];
  const cloth = item?.fabric ? { fabric: item.fabric, isWashed: first?.isWashed ?? false } : THOUGHT;
  const found = need.kind === 'fabric' ? computeClothNeed(project, need, pattern || undefined, cloth) : null;
  const threadMm = need.kind === 'thread' ? computeThreadNeed(need) : null;
  const ofThread = item && first && threadMm !== null ? toSpools(item, first, threadMm) : null;
  const needed = found ? (found.ok ? found.value.lengthMm : null) : (need.amount ?? ofThread ?? 1);
  const promisedAmount = promised.reduce((sum, { promise }) => sum + promise.amount, 0);
  const used = need.used ?? 0;
  const missing = needed === null ? null : Math.max(0, needed - used - promisedAmount);
  const isOwned = isUsedAgain(need.kind) && lots.length > 0;
  const isThere = need.isThere === true || isOwned || (missing !== null && missing <= LEAST && needed! > 0);
  const state = isThere ? 'there' : need.isToGet ? 'toGet' : promisedAmount + used > 0 ? 'short' : 'open';
  return {
    need,
    unit,
    needed,
    found,
    promised,
    promisedAmount,
    missing: isThere ? 0 : missing,
    state,
    threadMm,
    onSpoolsMm: item?.thread ? lots.reduce((sum, lot) => sum + computeThreadOn(item, lot), 0) : null,
    item,
    free: lots.reduce((sum, lot) => sum + Math.max(0, getAmount(item!, lot) - getReserved(lot)), 0),
    rivals: listRivals(facts, lots, project),
  };
}

/** How a project stands: what of it is there, and whether another wants the same. */
export interface ProjectStanding {
  readonly project: Project;
  readonly needs: readonly NeedStanding[];
  readonly missing: readonly NeedStanding[];
  /** Needs that are short while another holds what they are to be made of. */
  readonly contested: readonly NeedStanding[];
  readonly minutesLeft: number;
  readonly next: Step | null;
  /** In its bag, and promised things that are not. */
  readonly gathered: readonly Lot[];
  readonly toGather: readonly Lot[];
}

export function computeStanding(facts: ProjectFacts, project: Project): ProjectStanding {
  const needs = project.needs.map((need) => computeNeedStanding(facts, project, need));
  const missing = isOver(project) ? [] : needs.filter(({ state }) => state !== 'there');
  const open = listOpenSteps(project);
  const { bagLotId } = project;
  const isIn = (lot: Lot) => bagLotId !== undefined && lot.state === 'with' && lot.withLotId === bagLotId;
  // What is promised, and one of each tool and pattern that is used for it.
  const named = [
    project.patternItemId,
    ...project.needs.flatMap((need) => (isUsedAgain(need.kind) ? need.itemId : [])),
  ];
  const wanted = new Map((facts.promisedOf.get(project.id) ?? []).map(({ lot }) => [lot.id, lot]));
  for (const id of named) {
    const lots = (id ? (facts.lotsOf.get(id) ?? []) : []).filter((lot) => lot.state !== 'digital');
    const lot = lots.find(isIn) ?? lots[0];
    if (lot && bagLotId !== lot.id) wanted.set(lot.id, lot);
  }
  return {
    project,
    needs,
    missing,
    contested: missing.filter(({ rivals }) => rivals.length > 0),
    minutesLeft: open.reduce((sum, step) => sum + computeLeft(getStepMinutes(step), step), 0),
    next: open[0] ?? null,
    gathered: bagLotId === undefined ? [] : (facts.inBag.get(bagLotId) ?? []),
    toGather: [...wanted.values()].filter((lot) => !isIn(lot)),
  };
}
