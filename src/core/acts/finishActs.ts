import { createChange, computeDifference } from '../daybook/index.ts';
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
import { getFreeFor } from '../promises/index.ts';
import { addScraps, type Newcomer } from './scraps.ts';

/** Odd scraps that are left over of a lot of cloth, mm². */
export interface LeftOver extends Newcomer {
  readonly of: LotId;
  readonly areaMm2: number;
}

/** What came of a project, and what is left of what was promised to it. */
export interface Finish {
  /** What is left of each lot, measured anew, in its unit; what is less than there was went into it. Others are as they were. */
  readonly left: ReadonlyMap<LotId, number>;
  readonly scraps: readonly LeftOver[];
  /** What was made, where it is kept. */
  readonly made?: { readonly item: Item; readonly lot: Lot };
}

/** What becomes of a lot of which so much is left. */
function leave(household: Household, item: Item, lot: Lot, left: number, nowMs: number): Lot {
  if (lot.lengthMm !== undefined && item.kind === 'fabric') return withRest(household, item, lot, left, nowMs);
  return left < 0.5 ? { ...lot, state: 'gone', sinceMs: nowMs } : { ...withAmount(item, lot, left), sinceMs: nowMs };
}

/**
 * A project is made: what went into it is used up and counted as its cost, what is left is as it was measured, scraps and what was
 * made are in the catalogue; all else as any project ends. One act, one undo.
 */
export function createFinish(household: Household, id: ProjectId, finish: Finish, nowMs: number): Act {
  const project = household.projects.get(id);
  if (!project || isOver(project)) return fail({ code: 'no-such-project' });
  let over = project;
  const changes: (Change | null)[] = [];
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
    const free = getFreeFor(item, lot, id);
    if (amount > free + 0.5) return fail({ code: 'reserved', available: free });
    const next = leave(household, item, lot.reserved ? { ...lot, reserved: others } : lot, left, nowMs);
    changes.push(createChange('lots', lotId, lot, next));
    if (next.state === 'gone')
      changes.push(...createReleaseWrapped(household, lotId, nowMs).filter((one) => !finish.left.has(one.id as LotId)));
    if (amount > 0.5) over = withUsed(household, over, item, needId, amount);
  }
  changes.push(createChange('projects', id, project, over));
  const used = applyChanges(
    household,
    changes.filter((change) => change !== null),
  );
  if (!used.ok) return fail({ code: 'nothing-changed' });
  const end = createEndProject(used.value, id, 'done', nowMs);
  if (!end.ok) return end;
  const ended = applyChanges(used.value, end.value.changes);
  if (!ended.ok) return fail({ code: 'nothing-changed' });
  let last = ended.value;
  const come = (came: readonly (Change | null)[]) => {
    const next = applyChanges(
      last,
      came.filter((change) => change !== null),
    );
    if (next.ok) last = next.value;
  };
  for (const { of, areaMm2, ...newcomer } of finish.scraps) {
    const lot = last.lots.get(of);
    const item = lot && last.items.get(lot.itemId);
    if (!lot || !item) return fail({ code: 'no-such-lot' });
    come(addScraps(last, item, { cut: 'odd' }, areaMm2, newcomer, lot.state === 'gone' ? null : of, nowMs));
  }
  if (finish.made) {
    const { item, lot } = finish.made;
    come([createChange('items', item.id, null, item), createChange('lots', lot.id, null, lot)]);
  }
  return ok({ ...end.value, changes: computeDifference(household, last) });
}
