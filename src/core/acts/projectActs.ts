import { applyChanges } from '../daybook/fold.ts';
import { computeDifference, createChange } from '../daybook/index.ts';
import { getAmount, getAmountUnit, getReserved, listWrapped, withCostFor } from '../measure/index.ts';
import { isUsedAgain, listPromised } from '../promises/index.ts';
import {
  isOver,
  type Change,
  type Household,
  type Item,
  type Lot,
  type LotId,
  type Project,
  type ProjectId,
  type Reservation,
} from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { type Act, getLot } from './act.ts';
import { countHours, getHoursDone } from './hours.ts';

const notNull = (changes: readonly (Change | null)[]): Change[] => changes.filter((change) => change !== null);

/** Promises of lots to a project, as `keep` leaves them. */
function releasePromises(
  household: Household,
  id: ProjectId,
  keep: (promise: Reservation) => boolean,
  nowMs: number,
): Change[] {
  const lots = new Set(listPromised(household, id).map(({ lot }) => lot));
  return notNull(
    [...lots].map((lot) => {
      const reserved = lot.reserved!.filter((one) => one.projectId !== id || keep(one));
      return createChange('lots', lot.id, lot, { ...lot, reserved, sinceMs: nowMs });
    }),
  );
}

/** Adds a project, or changes one; what was promised to a need that it has no more is free again. */
export function createSaveProject(household: Household, project: Project, nowMs: number): Act {
  const before = household.projects.get(project.id) ?? null;
  if (before && !createChange('projects', project.id, before, { ...project, sinceMs: before.sinceMs }))
    return fail({ code: 'nothing-changed' });
  const needs = new Set(project.needs.map((need) => need.id));
  const isKept = ({ needId }: Reservation) => !isOver(project) && (needId === undefined || needs.has(needId));
  const stamped = createChange('projects', project.id, before, { ...project, sinceMs: nowMs });
  const released = releasePromises(household, project.id, isKept, nowMs);
  const changes = notNull([stamped, ...released]);
  const next = applyChanges(household, changes);
  const worn = next.ok ? countHours(next.value, getHoursDone(before, project)) : [];
  const all = next.ok && worn.length > 0 ? applyChanges(next.value, worn) : null;
  return ok({
    type: 'projected',
    subject: project.name,
    changes: all?.ok ? computeDifference(household, all.value) : changes,
  });
}

/** Adds projects and changes others, all at once: one line of the daybook, one undo. Those that are as they were are left out. */
export function createSaveProjects(
  household: Household,
  projects: readonly Project[],
  subject: string,
  nowMs: number,
): Act {
  // What one of them lets go of a lot is let go when the next one looks at it.
  let now = household;
  for (const project of projects) {
    const act = createSaveProject(now, project, nowMs);
    if (!act.ok && act.fault.code !== 'nothing-changed') return act;
    const next = act.ok ? applyChanges(now, act.value.changes) : null;
    if (next?.ok) now = next.value;
  }
  const changes = computeDifference(household, now);
  return changes.length === 0 ? fail({ code: 'nothing-changed' }) : ok({ type: 'imported', subject, changes });
}

/** What is promised of a lot to a need, and what is taken for it from other promises of the same lot. */
export interface PromiseWish {
  readonly projectId: ProjectId;
  readonly needId: string;
  readonly lotId: LotId;
  /** In the unit of the lot's amount: mm, mm² or pieces. */
  readonly amount: number;
  /** Promises of this lot that give way as far as need be, the first first. */
  readonly from?: readonly string[];
}

/** Promises part of a lot to a need of a project. Where not enough is free, the named promises give it up; no others do. */
export function createPromise(household: Household, wish: PromiseWish, id: string, nowMs: number): Act {
  const found = getLot(household, wish.lotId);
  const project = household.projects.get(wish.projectId);
  if (!found) return fail({ code: 'no-such-lot' });
  if (!project || isOver(project) || project.needs.every((need) => need.id !== wish.needId))
    return fail({ code: 'no-such-project' });
  const { lot, item } = found;
  if (!(wish.amount > 0)) return fail({ code: 'nothing-changed' });
  const known = (lot.reserved ?? []).find((one) => one.projectId === wish.projectId && one.needId === wish.needId);
  const others = (lot.reserved ?? []).filter((one) => one !== known);
  let lacking = wish.amount - (getAmount(item, lot) - getReserved({ ...lot, reserved: others }));
  const kept = new Map(others.map((one) => [one.id, one.amount]));
  for (const one of wish.from ?? []) {
    const given = Math.min(Math.max(0, lacking), kept.get(one) ?? 0);
    if (given > 0) kept.set(one, (kept.get(one) ?? 0) - given);
    lacking -= given;
  }
  if (lacking > 0.5)
    return fail({ code: 'reserved', available: Math.max(0, wish.amount - lacking), unit: getAmountUnit(item, lot) });
  const reserved: Reservation[] = [
    ...others.flatMap((one) => {
      const amount = kept.get(one.id)!;
      return amount > 0.5 ? [{ ...one, amount }] : [];
    }),
    {
      id: known?.id ?? id,
      projectId: wish.projectId,
      needId: wish.needId,
      note: known?.note ?? '',
      amount: Math.min(wish.amount, getAmount(item, lot)),
    },
  ];
  const change = createChange('lots', lot.id, lot, { ...lot, reserved, sinceMs: nowMs });
  if (!change) return fail({ code: 'nothing-changed' });
  return ok({
    type: 'reserved',
    subject: item.name,
    changes: [change],
    amount: wish.amount,
    amountUnit: getAmountUnit(item, lot),
    forWhat: project.name,
  });
}

/** A promise of another lot in the place of one that is not to be had; that one is free again. */
export function createInstead(
  household: Household,
  wish: PromiseWish,
  instead: { readonly lotId: LotId; readonly promiseId: string },
  id: string,
  nowMs: number,
): Act {
  const lot = household.lots.get(instead.lotId);
  if (!lot || instead.lotId === wish.lotId) return fail({ code: 'no-such-lot' });
  const reserved = (lot.reserved ?? []).filter((one) => one.id !== instead.promiseId);
  const released = createChange('lots', lot.id, lot, { ...lot, reserved, sinceMs: nowMs });
  const promise = createPromise(household, wish, id, nowMs);
  if (!promise.ok || !released) return promise;
  return ok({ ...promise.value, changes: [released, ...promise.value.changes] });
}

/**
 * What a project lacked was got: it is in the household, lies out without a home, and is promised to the need as far as
 * that goes. A tool or a pattern is only named by the need.
 */
export function createGot(
  household: Household,
  id: ProjectId,
  needId: string,
  got: { item: Item; lot: Lot },
  promiseId: string,
  nowMs: number,
): Act {
  const project = household.projects.get(id);
  const need = project?.needs.find((one) => one.id === needId);
  if (!project || !need || isOver(project)) return fail({ code: 'no-such-project' });
  const { item, lot } = got;
  const amount = isUsedAgain(item.kind) ? 0 : getAmount(item, lot);
  const reserved = amount > 0 ? [{ id: promiseId, projectId: id, needId, note: '', amount }] : undefined;
  const needs = project.needs.map((one) => {
    if (one.id !== needId) return one;
    const { isToGet: _got, ...rest } = one;
    return { ...rest, itemId: item.id };
  });
  return ok({
    type: 'received',
    subject: item.name,
    changes: notNull([
      createChange('items', item.id, household.items.get(item.id) ?? null, withCostFor(null, item, [lot])),
      createChange('lots', lot.id, household.lots.get(lot.id) ?? null, { ...lot, ...(reserved && { reserved }) }),
      createChange('projects', id, project, { ...project, needs, sinceMs: nowMs }),
    ]),
  });
}

/** A bag, box or basket comes into the house, and a project lies in it from now on. */
export function createBag(household: Household, id: ProjectId, bag: { item: Item; lot: Lot }, nowMs: number): Act {
  const project = household.projects.get(id);
  if (!project) return fail({ code: 'no-such-project' });
  const { item, lot } = bag;
  return ok({
    type: 'projected',
    subject: project.name,
    changes: notNull([
      createChange('items', item.id, household.items.get(item.id) ?? null, item),
      createChange('lots', lot.id, household.lots.get(lot.id) ?? null, lot),
      createChange('projects', id, project, { ...project, bagLotId: lot.id, sinceMs: nowMs }),
    ]),
  });
}

/** Things go into the project's bag, and are wherever that is; their homes wait for them. What is wrapped with them comes too. */
export function createGather(household: Household, id: ProjectId, lotIds: readonly LotId[], nowMs: number): Act {
  const project = household.projects.get(id);
  if (!project) return fail({ code: 'no-such-project' });
  const bag = project.bagLotId && household.lots.get(project.bagLotId);
  if (!bag || bag.state === 'gone' || bag.state === 'with' || bag.state === 'digital') return fail({ code: 'no-bag' });
  const lots = lotIds.flatMap((lotId) => {
    const lot = household.lots.get(lotId);
    if (!lot || lot.id === bag.id || lot.state === 'gone' || lot.state === 'digital') return [];
    return [lot, ...listWrapped(household, lotId)];
  });
  const changes = lots.map((lot) =>
    createChange('lots', lot.id, lot, {
      ...lot,
      state: 'with',
      withLotId: bag.id,
      placeId: undefined,
      lentTo: undefined,
      away: undefined,
      sinceMs: nowMs,
    }),
  );
  return changes.length === 0
    ? fail({ code: 'nothing-changed' })
    : ok({ type: 'gathered', subject: project.name, changes: notNull(changes) });
}

/** How a project ends. */
export type ProjectEnd = 'done' | 'givenUp';

/**
 * A project is over: what was promised to it is free, what lay in its bag lies out and goes home, and the bag is free for
 * another. One that was made marks its pattern made.
 */
export function createEndProject(household: Household, id: ProjectId, end: ProjectEnd, nowMs: number): Act {
  const project = household.projects.get(id);
  if (!project || isOver(project)) return fail({ code: 'no-such-project' });
  const { bagLotId, ...rest } = project;
  const over: Project = { ...rest, state: end, sinceMs: nowMs };
  const inBag = bagLotId ? listWrapped(household, bagLotId) : [];
  const touched = new Map<LotId, Lot>();
  for (const lot of inBag) touched.set(lot.id, { ...lot, state: 'out', withLotId: undefined, sinceMs: nowMs });
  for (const { lot } of listPromised(household, id)) {
    const now = touched.get(lot.id) ?? lot;
    touched.set(lot.id, { ...now, reserved: now.reserved!.filter((one) => one.projectId !== id), sinceMs: nowMs });
  }
  const pattern = project.patternItemId && household.items.get(project.patternItemId);
  const made =
    end === 'done' && pattern && pattern.pattern && !pattern.pattern.isMade
      ? createChange('items', pattern.id, pattern, { ...pattern, pattern: { ...pattern.pattern, isMade: true } })
      : null;
  return ok({
    type: end === 'done' ? 'finished' : 'letGo',
    subject: project.name,
    changes: notNull([
      ...[...touched].map(([lotId, lot]) => createChange('lots', lotId, household.lots.get(lotId)!, lot)),
      made,
      createChange('projects', id, project, over),
    ]),
  });
}

/** Takes a project off the list: its things come out of its bag and are free, as when it is let go. */
export function createRemoveProject(household: Household, id: ProjectId, nowMs: number): Act {
  const project = household.projects.get(id);
  if (!project) return fail({ code: 'no-such-project' });
  const end = isOver(project) ? null : createEndProject(household, id, 'givenUp', nowMs);
  const others = end?.ok ? end.value.changes.filter(({ table }) => table !== 'projects') : [];
  return ok({
    type: 'removed',
    subject: project.name,
    changes: notNull([...others, createChange('projects', id, project, null)]),
  });
}
