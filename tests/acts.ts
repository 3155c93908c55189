import { expect } from 'vitest';
import type { Household } from '../src/core/records/index.ts';
import { type Draft, applyChanges, checkInvariants } from '../src/core/daybook/index.ts';

type Act = { ok: true; value: Draft } | { ok: false; fault: { code: string; available?: number } };

/** The household after one act upon the other; it holds together after each. */
export function after(household: Household, ...acts: ((household: Household) => Act)[]): Household {
  let now = household;
  for (const make of acts) {
    const draft = make(now);
    if (!draft.ok) throw new Error(draft.fault.code);
    const next = applyChanges(now, draft.value.changes);
    if (!next.ok) throw new Error(next.fault.code);
    now = next.value;
    expect(checkInvariants(now)).toEqual([]);
  }
  return now;
}

/** Why an act cannot be done; null when it can. */
export function faultOf(act: Act) {
  return act.ok ? null : act.fault;
}
