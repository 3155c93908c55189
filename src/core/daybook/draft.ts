import type { AmountUnit, Change, DaybookEvent, EventId, EventType, World } from '../records/index.ts';

/** An event before it is written: the store gives it its number, time and id. */
export interface Draft {
  readonly type: EventType;
  readonly subject: string;
  readonly changes: readonly Change[];
  readonly amount?: number;
  readonly amountUnit?: AmountUnit;
  readonly undoes?: readonly EventId[];
  readonly forWhat?: string;
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
  if (draft.undoes !== undefined) event.undoes = [...draft.undoes];
  if (draft.forWhat) event.forWhat = draft.forWhat.slice(0, 120);
  return event;
}
