import { wordCount } from './grammar.ts';
import type { PlanStanding } from '../../core/acts/index.ts';

/** What a plan does not know, or knows and is no more; null where it is whole. */
export function wordStale({ newLots, goneLots, gonePlaces }: PlanStanding): string | null {
  const parts = [
    newLots.length > 0 && `${wordCount(newLots.length, 'thing')} came since`,
    goneLots > 0 && `${wordCount(goneLots, 'thing')} in it ${goneLots === 1 ? 'is' : 'are'} gone`,
    gonePlaces > 0 && `${wordCount(gonePlaces, 'thing')} would go to a place that is gone`,
  ].filter((one) => one !== false);
  return parts.length > 0 ? parts.join(', ') : null;
}
