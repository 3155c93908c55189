import { useDeferredValue, useEffect, useMemo } from 'react';
import { computeProgress, type Progress, type Step } from '../../../core/moves/index.ts';
import type { Household, LotId } from '../../../core/records/index.ts';
import { useHousehold } from '../../state/app.ts';
import { useChoices } from '../../state/choices.ts';
import { getMadeFor, useMoveRun, type MoveRun } from './moveRun.ts';

export interface Moves {
  readonly household: Household;
  /** Null while an order is looked for that holds. */
  readonly steps: readonly Step[] | null;
  readonly progress: Progress | null;
  readonly skipped: readonly LotId[];
  readonly onTable: number;
  /** Seconds of all that is left. */
  readonly leftSeconds: number;
  /** How far the search is that it came from, or comes from. */
  readonly run: Pick<MoveRun, 'found' | 'status' | 'isRefitting' | 'note'>;
}

/** The move list as it stands; one that no longer holds is made anew from how things are. */
export function useMoves(): Moves {
  const household = useHousehold();
  // A long list is drawn in slices.
  const { found, status, madeFor, isRefitting, note } = useDeferredValue(useMoveRun());
  const ids = useChoices((state) => state.skippedIds);
  const skipped = useMemo(() => ids.filter((id) => household.lots.has(id as LotId)) as LotId[], [ids, household]);
  const progress = useMemo(
    () =>
      found
        ? computeProgress(household, found.steps, new Set([...skipped, ...found.stuckIds, ...found.stuckBinIds]))
        : null,
    [household, found, skipped],
  );
  const isMadeForThis = madeFor === getMadeFor(household, skipped);
  const isGood = found !== null && progress !== null && !progress.isStale && isMadeForThis;
  useEffect(() => {
    const isOnIt = status === 'searching' && isMadeForThis;
    if (!isGood && !isOnIt && !isRefitting && status !== 'failed') useMoveRun.getState().start(household, skipped);
  }, [isGood, isMadeForThis, isRefitting, status, household, skipped]);
  const onTable = useMemo(() => [...household.lots.values()].filter((lot) => lot.away === 'table').length, [household]);
  const leftSeconds = useMemo(
    () => (isGood ? found.steps.reduce((sum, step, k) => sum + (progress.isOpen[k] ? step.seconds : 0), 0) : 0),
    [isGood, found, progress],
  );
  return {
    household,
    steps: isGood ? found.steps : null,
    progress: isGood ? progress : null,
    skipped,
    onTable,
    leftSeconds,
    run: { found, status, isRefitting, note },
  };
}
