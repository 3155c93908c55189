import type { RecordFault } from '../../core/records/index.ts';
import type { AmountFault, UnitSystem } from '../../core/units/index.ts';
import type { StoreFault } from '../../storage/index.ts';
import { formatAmount } from './things.ts';
import type { ActFault } from '../../core/acts/index.ts';

/** Why a typed amount was not taken, with an example of what would be. */
export function wordAmountFault(fault: AmountFault, example: string): string {
  switch (fault.code) {
    case 'empty':
      return `Type an amount, such as ${example}.`;
    case 'not-a-number':
      return `“${fault.text}” is not an amount. Try ${example}.`;
    case 'unknown-unit':
      return `The unit “${fault.unit}” is not known. Try ${example}.`;
    case 'negative':
      return `“${fault.text}” is below zero. Try ${example}.`;
    case 'zero':
      return `It must be more than nothing. Try ${example}.`;
    case 'too-large':
      return `“${fault.text}” is more than any room holds. Try ${example}.`;
    case 'not-whole':
      return `“${fault.text}” is not a whole number. Try ${example}.`;
  }
}

export function wordActFault(fault: ActFault, units: UnitSystem): string {
  switch (fault.code) {
    case 'no-such-lot':
      return 'It is no longer in the stash. Nothing was changed.';
    case 'not-in-place':
      return 'It is out already.';
    case 'no-home':
      return 'It has no home yet. Give it a place in its ticket, or make a plan.';
    case 'home-gone':
      return 'Its home is no longer in the room. Give it another place.';
    case 'home-waits':
      return 'Its bin is not where the plan wants it yet. Carry the bin first, in Moves.';
    case 'more-than-there-is':
      return `There is only ${formatAmount(fault.available ?? 0, fault.unit ?? 'length', units)}. Nothing was cut.`;
    case 'reserved':
      return `Only ${formatAmount(fault.available ?? 0, fault.unit ?? 'length', units)} of it is not promised to something. Nothing was changed.`;
    case 'cannot-wrap':
      return 'That cannot be wrapped with it: it holds something wrapped already, or is no cloth. Nothing was changed.';
    case 'no-such-project':
      return 'That project is over or no longer there. Nothing was changed.';
    case 'no-bag':
      return 'The project has no bag or box yet, or it lies in another. Give it one first.';
    case 'no-such-place':
      return 'That place is no longer in the room. Nothing was moved.';
    case 'no-room':
      return 'Not all of it goes into that place, beside what belongs there. Nothing was changed.';
    case 'cannot-become':
      return 'It cannot become that while some of it is promised, wrapped or in a heap, or is a file. Nothing was changed.';
    case 'stale-plan':
      return 'This plan names things or places that are gone. Find a plan anew; nothing was changed.';
    case 'out-of-range':
      return 'That is more, or less, than can be kept. Nothing was changed.';
    case 'nothing-changed':
      return 'Nothing was changed.';
  }
}

export function wordStoreFault(fault: StoreFault): string {
  switch (fault.code) {
    case 'denied':
      return 'This browser does not let Yardmist keep anything (a private window, perhaps).';
    case 'full':
      return 'The browser has no room left. All that was done before is kept.';
    case 'behind':
      return 'Another window keeps changing the household. Nothing of yours was written; try again.';
    case 'damaged':
      return 'Some records in this browser cannot be read.';
    case 'taken':
      return 'There is another household in this browser, which this window could not open before. Save what is here to a file, then load the page again.';
    case 'newer':
      return 'What is in this browser is a later Yardmist’s now. Load the page again to go on with it.';
    case 'emptied':
      return 'The browser threw out what was kept here.';
    case 'unknown':
      return `The browser could not write it (${fault.note}).`;
  }
}

export function wordRecordFault(fault: RecordFault): string {
  return `${fault.path}: ${fault.message}`;
}
