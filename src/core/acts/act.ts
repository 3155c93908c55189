import { type Draft, createChange } from '../daybook/index.ts';
import { computeUnitPrice, getAmountUnit, listWrapped } from '../measure/index.ts';
import type {
  AmountUnit,
  Change,
  EventType,
  Item,
  Lot,
  LotId,
  PlaceId,
  Household,
  Project,
  Reservation,
} from '../records/index.ts';
import { type Result, fail, ok } from '../result/index.ts';

/** Why an act cannot be done. */
export interface ActFault {
  readonly code:
    | 'no-such-lot'
    | 'not-in-place'
    | 'no-home'
    | 'home-gone'
    | 'home-waits'
    | 'more-than-there-is'
    | 'reserved'
    | 'cannot-wrap'
    | 'no-such-place'
    | 'no-room'
    | 'cannot-become'
    | 'no-such-project'
    | 'no-bag'
    | 'nothing-changed'
    | 'out-of-range'
    | 'stale-plan';
  readonly available?: number;
  readonly unit?: AmountUnit;
  readonly placeId?: PlaceId;
}

export type Act = Result<Draft, ActFault>;

export function getLot(household: Household, id: LotId): { lot: Lot; item: Item } | null {
  const lot = household.lots.get(id);
  const item = lot && household.items.get(lot.itemId);
  return lot && item && lot.state !== 'gone' ? { lot, item } : null;
}

/** An event about one lot, with what hangs on it. */
export function createLotDraft(
  type: EventType,
  item: Item,
  before: Lot,
  after: Lot,
  amount?: number,
  more: readonly Change[] = [],
): Act {
  const change = createChange('lots', before.id, before, after);
  if (!change) return fail({ code: 'nothing-changed' });
  const told = amount === undefined ? {} : { amount, amountUnit: getAmountUnit(item, before) };
  return ok({ type, subject: item.name, changes: [change, ...more], ...told });
}

/** The project, which knows how much of what it needs was cut or used already, and what that has cost. */
export function withUsed(
  household: Household,
  project: Project,
  item: Item,
  needId: string | undefined,
  amount: number,
): Project {
  const lots = [...household.lots.values()].filter((lot) => lot.itemId === item.id);
  const price = computeUnitPrice(item, lots);
  return {
    ...project,
    needs: project.needs.map((need) => (need.id === needId ? { ...need, used: (need.used ?? 0) + amount } : need)),
    ...(price !== null && { spent: (project.spent ?? 0) + price * amount }),
  };
}

/** What changes about a project when something that is promised to it is cut. */
export function countUsed(household: Household, item: Item, promise: Reservation, amount: number): Change[] {
  const project = promise.projectId && household.projects.get(promise.projectId);
  if (!project) return [];
  return [
    createChange('projects', project.id, project, withUsed(household, project, item, promise.needId, amount)),
  ].filter((change) => change !== null);
}

/** What was wrapped with a lot that is no more lies out; what was gathered in a bag still has its home. */
export function createReleaseWrapped(household: Household, id: LotId, nowMs: number): Change[] {
  return listWrapped(household, id).flatMap(
    (lot) =>
      createChange('lots', lot.id, lot, {
        ...lot,
        state: 'out',
        withLotId: undefined,
        sinceMs: nowMs,
      }) ?? [],
  );
}
