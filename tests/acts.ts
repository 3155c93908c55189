import { expect } from 'vitest';
import type { DaybookEvent, Household } from '../src/core/records/index.ts';
import { checkInvariants, getUndoable, passGate, planUndo, stampEvent, type Draft } from '../src/core/daybook/index.ts';

type Act = { ok: true; value: Draft } | { ok: false; fault: { code: string; available?: number } };

/** The household after one act upon the other; it holds together after each. */
export function after(household: Household, ...acts: ((household: Household) => Act)[]): Household {
  let now = household;
  for (const make of acts) {
    const draft = make(now);
    if (!draft.ok) throw new Error(draft.fault.code);
    const step = passGate(now, stampEvent(draft.value, 0, { nowMs: () => 1, createId: () => 'line' }));
    if (!step.ok) throw new Error(JSON.stringify(step.fault));
    now = step.value.household;
    expect(checkInvariants(now)).toEqual([]);
  }
  return now;
}

/** Why an act cannot be done; null when it can. */
export function faultOf(act: Act) {
  return act.ok ? null : act.fault;
}

/** The draft that takes a line back, the newest unless told otherwise. */
export function undo(household: Household, events: readonly DaybookEvent[], event = getUndoable(events)): Draft {
  const plan = event && planUndo(household, events, event);
  if (!plan?.ok) throw new Error('nothing to undo');
  return plan.value.draft;
}
