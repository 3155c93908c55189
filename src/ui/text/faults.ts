import type { AmountFault, UnitSystem } from '../../core/units/index.ts';
import type { StoreFault } from '../../storage/index.ts';
import { formatAmount } from './things.ts';
import type { ActFault } from '../../core/acts/index.ts';
import { t } from '../language/index.ts';

/** Why a typed amount was not taken, with an example of what would be. */
export function wordAmountFault(fault: AmountFault, example: string): string {
  switch (fault.code) {
    case 'empty':
      return t('Type an amount, such as {example}.', { example });
    case 'not-a-number':
      return t('“{fault}” is not an amount. Try {example}.', { fault: fault.text, example });
    case 'unknown-unit':
      return t('The unit “{unit}” is not known. Try {example}.', { unit: fault.unit, example });
    case 'negative':
      return t('“{fault}” is below zero. Try {example}.', { fault: fault.text, example });
    case 'zero':
      return t('It must be more than nothing. Try {example}.', { example });
    case 'too-large':
      return t('“{fault}” is more than any room holds. Try {example}.', { fault: fault.text, example });
    case 'not-whole':
      return t('“{fault}” is not a whole number. Try {example}.', { fault: fault.text, example });
  }
}

export function wordActFault(fault: ActFault, units: UnitSystem): string {
  switch (fault.code) {
    case 'no-such-lot':
      return t('It is no longer in the stash. Nothing was changed.');
    case 'not-in-place':
      return t('It is out already.');
    case 'no-home':
      return t('It has no home yet. Give it a place in its ticket, or make a plan.');
    case 'home-gone':
      return t('Its home is no longer in the room. Give it another place.');
    case 'home-waits':
      return t('Its bin is not where the plan wants it yet. Carry the bin first, in Moves.');
    case 'more-than-there-is':
      return t('There is only {amount}. Nothing was cut.', {
        amount: formatAmount(fault.available ?? 0, fault.unit ?? 'length', units),
      });
    case 'reserved':
      return t('Only {amount} of it is not promised to something. Nothing was changed.', {
        amount: formatAmount(fault.available ?? 0, fault.unit ?? 'length', units),
      });
    case 'cannot-wrap':
      return t(
        'That cannot be wrapped with it: it holds something wrapped already, or is no cloth. Nothing was changed.',
      );
    case 'no-such-project':
      return t('That project is over or no longer there. Nothing was changed.');
    case 'no-bag':
      return t('The project has no bag or box yet, or it lies in another. Give it one first.');
    case 'no-such-place':
      return t('That place is no longer in the room. Nothing was moved.');
    case 'no-room':
      return t('Not all of it goes into that place, beside what belongs there. Nothing was changed.');
    case 'cannot-become':
      return t(
        'It cannot become that while some of it is promised, wrapped or in a heap, or is a file. Nothing was changed.',
      );
    case 'stale-plan':
      return t('This plan names things or places that are gone. Find a plan anew; nothing was changed.');
    case 'out-of-range':
      return t('That is more, or less, than can be kept. Nothing was changed.');
    case 'nothing-changed':
      return t('Nothing was changed.');
  }
}

export function wordStoreFault(fault: StoreFault): string {
  switch (fault.code) {
    case 'denied':
      return t('This browser does not let Yardmist keep anything (a private window, perhaps).');
    case 'full':
      return t('The browser has no room left. All that was done before is kept.');
    case 'behind':
      return t('Another window keeps changing the household. Nothing of yours was written; try again.');
    case 'damaged':
      return t('Some records in this browser cannot be read.');
    case 'taken':
      return t(
        'There is another household in this browser, which this window could not open before. Save what is here to a file, then load the page again.',
      );
    case 'newer':
      return t('What is in this browser is a later Yardmist’s now. Load the page again to go on with it.');
    case 'emptied':
      return t('The browser threw out what was kept here.');
    case 'unknown':
      return t('The browser could not write it ({note}).', { note: fault.note });
  }
}
