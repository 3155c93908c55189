import { createChange } from '../daybook/index.ts';
import { applyChanges } from '../daybook/fold.ts';
import { getAmount, withAmount } from '../measure/index.ts';
import {
  isOver,
  type Change,
  type Household,
  type Item,
  type Lot,
  type LotId,
  type ProjectId,
} from '../records/index.ts';
import { fail, ok } from '../result/index.ts';
import { withUsed, type Act, createReleaseWrapped } from './act.ts';
import { withRest } from './lotActs.ts';
import { createEndProject } from './projectActs.ts';

/** What came of a project, and what is left of what was promised to it. */
export interface Finish {
  /** What is left of each lot, measured anew, in its unit; what is less than there was went into it. Others are as they were. */
  readonly left: ReadonlyMap<LotId, number>;
  /** Scraps of a cloth, in mm²: with those of it that there are, or a new thing that is handed in. */
  readonly scraps: readonly { readonly item: Item; readonly lot: Lot }[];
  /** What was made, where it is kept. */
  readonly made?: { readonly item: Item; readonly lot: Lot };
}

const asGone = (lot: Lot, nowMs: number): Lot => ({
  ...lot,
  state: 'gone',
  placeId: undefined,
  homeId: undefined,
  withLotId: undefined,
  reserved: [],
  sinceMs: nowMs,
});

/** What becomes of a lot of which so much is left. */
function leave(household: Household, item: Item, lot: Lot, left: number, nowMs: number): Lot {
  if (lot.lengthMm !== undefined && item.kind === 'fabric') return withRest(household, item, lot, left, nowMs);
  return left < 0.5 ? asGone(lot, nowMs) : { ...withAmount(item, lot, left), sinceMs: nowMs };
}

/**
 * A project is made: what went into it is used up and counted as its cost, what is left is as it was measured, scraps and what was
 * made are in the catalogue; all else as any project ends. One act, one undo.
 */
export function createFinish(household: Household, id: ProjectId, finish: Finish, nowMs: number): Act {
  const project = household.projects.get(id);
  if (!project || isOver(project)) return fail({ code: 'no-such-project' });
  let over = project;
  const used: Change[] = [];
  for (const [lotId, left] of finish.left) {
    const lot = household.lots.get(lotId);
    const item = lot && household.items.get(lot.itemId);
    const promise = lot?.reserved?.find((one) => one.projectId === id);
    const isInBag = lot?.withLotId !== undefined && lot.withLotId === project.bagLotId;
    if (!lot || !item || (!promise && !isInBag) || lot.state === 'gone' || !(left >= 0))
      return fail({ code: 'no-such-lot' });
    // What was promised is cut already, and it lies in the bag still: it went into the need that it is for.
    const needId = promise?.needId ?? project.needs.find((need) => need.itemId === item.id)?.id;
    const amount = Math.max(0, getAmount(item, lot) - left);
    const others = (lot.reserved ?? []).filter((one) => one.projectId !== id);
    const promised = others.reduce((sum, one) => sum + one.amount, 0);
    if (left + 0.5 < promised)
      return fail({ code: 'reserved', available: Math.max(0, getAmount(item, lot) - promised) });
    const next = leave(household, item, lot.reserved ? { ...lot, reserved: others } : lot, left, nowMs);
    const change = createChange('lots', lotId, lot, next);
    if (change) used.push(change);
    if (next.state === 'gone')
      for (const one of createReleaseWrapped(household, lotId, nowMs))
        if (!finish.left.has(one.id as LotId)) used.push(one);
    if (amount > 0.5) over = withUsed(household, over, item, needId, amount);
  }
  const counted = createChange('projects', id, project, over);
  const after = applyChanges(household, counted ? [...used, counted] : used);
  if (!after.ok) return fail({ code: 'nothing-changed' });
  const end = createEndProject(after.value, id, 'done', nowMs);
  if (!end.ok) return end;
  const came = [...finish.scraps, ...(finish.made ? [finish.made] : [])].flatMap(({ item, lot }) => [
    createChange('items', item.id, after.value.items.get(item.id) ?? null, item),
    createChange('lots', lot.id, after.value.lots.get(lot.id) ?? null, lot),
  ]);
  const last = applyChanges(after.value, [...end.value.changes, ...came.filter((change) => change !== null)]);
  if (!last.ok) return fail({ code: 'nothing-changed' });
  // Told as one change each, from what was to what is.
  const touched = [...used, ...(counted ? [counted] : []), ...end.value.changes, ...came].flatMap((change) =>
    change ? [[change.table, change.id] as const] : [],
  );
  const seen = new Set<string>();
  const changes = touched.flatMap(([table, key]): Change[] => {
    if (seen.has(`${table} ${key}`) || (table !== 'items' && table !== 'lots' && table !== 'projects')) return [];
    seen.add(`${table} ${key}`);
    const get = (from: Household) => (from[table] as ReadonlyMap<string, object>).get(key) ?? null;
    return [createChange(table, key, get(household), get(last.value))].filter((one) => one !== null);
  });
  return ok({ ...end.value, changes });
}
