import type { Chronicle, DaybookEvent, Household } from '../records/index.ts';

/** Only the gate gives it: what carries it has passed. */
export declare const PASSED: unique symbol;

/** A household with its daybook that may be kept in the place of another. */
export interface WholeChronicle extends Chronicle {
  readonly [PASSED]: true;
}

const passed = new WeakMap<Household, readonly DaybookEvent[]>();

/** Whether just this household with just this daybook has passed: neither is ever changed in place. */
export function hasPassed(chronicle: Chronicle): chronicle is WholeChronicle {
  return passed.get(chronicle.household) === chronicle.events;
}

/** For the gate, and for what passed it in another worker of this program and came from there in pieces. */
export function markPassed<T extends Chronicle>(chronicle: T): T & WholeChronicle {
  passed.set(chronicle.household, chronicle.events);
  return chronicle as T & WholeChronicle;
}
