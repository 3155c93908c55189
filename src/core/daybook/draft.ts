import { invertChanges } from './fold.ts';
import type { AmountUnit, Change, DaybookEvent, EventId, EventType, World } from '../records/index.ts';

/** An event before it is written: the store gives it its number, time and id. */
export interface Draft {
  readonly type: EventType;
  readonly subject: string;
  readonly changes: readonly Change[];
  readonly amount?: number;
  readonly amountUnit?: AmountUnit;
  readonly undoes?: EventId;
  readonly forWhat?: string;
}

/** A new event that takes an earlier one back. Whether it still can is seen when it is applied. */
export function createUndo(event: DaybookEvent): Draft {
  return { type: 'undone', subject: event.subject, changes: invertChanges(event.changes), undoes: event.id };
}

/** Gives a draft its number, time and id. Optional fields that are absent stay absent. */
export function stampEvent(draft: Draft, seq: number, world: World): DaybookEvent {
  const event: DaybookEvent = {
    id: world.createId() as EventId,
    seq,
    atMs: world.nowMs(),
    type: draft.type,
    subject: draft.subject.slice(0, 200),
    changes: [...draft.changes],
  };
  if (draft.amount !== undefined) event.amount = draft.amount;
  if (draft.amountUnit !== undefined) event.amountUnit = draft.amountUnit;
  if (draft.undoes !== undefined) event.undoes = draft.undoes;
  if (draft.forWhat) event.forWhat = draft.forWhat.slice(0, 120);
  return event;
}
