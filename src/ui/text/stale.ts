import type { PlanStanding } from '../../core/acts/index.ts';
import { t } from '../language/index.ts';

/** What a plan does not know, or knows and is no more; null where it is whole. */
export function wordStale({ newLots, goneLots, gonePlaces }: PlanStanding): string | null {
  const parts = [
    newLots.length > 0 &&
      t('{newLots, plural, one {# thing} other {# things}} came since', { newLots: newLots.length }),
    goneLots > 0 && t('{goneLots, plural, one {# thing in it is} other {# things in it are}} gone', { goneLots }),
    gonePlaces > 0 &&
      t('{gonePlaces, plural, one {# thing} other {# things}} would go to a place that is gone', { gonePlaces }),
  ].filter((one) => one !== false);
  return parts.length > 0 ? parts.join(', ') : null;
}
