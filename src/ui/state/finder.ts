import { useDeferredValue, useEffect, useMemo } from 'react';
import { create } from 'zustand';
import type { Finder, Found } from '../../core/finding/index.ts';
import type { Household } from '../../core/records/index.ts';
import { listAlike } from '../language/index.ts';

/** One index for the page; it follows the household act by act. It loads after the first screen. */
let finder: Finder | null = null;
/** Counts up when more of a household is indexed than before, so that what is shown is found anew. */
const useIndexed = create<{ readonly version: number }>()(() => ({ version: 0 }));

/** So long a slice of indexing may keep the page from answering. */
const SLICE_MS = 12;
let wanted: Household | null = null;

async function index(): Promise<void> {
  if (!finder) {
    const { createFinder } = await import('../../core/finding/index.ts');
    finder = createFinder(listAlike);
  }
  const household = wanted;
  if (!household) return;
  const until = performance.now() + SLICE_MS;
  if (finder.sync(household, () => performance.now() > until)) {
    if (wanted === household) wanted = null;
    useIndexed.setState(({ version }) => ({ version: version + 1 }));
    if (wanted !== null) setTimeout(() => void index(), 0);
  } else setTimeout(() => void index(), 4);
}

const NONE: readonly Found[] = [];

/** Lots that a text means, best first; a large household is indexed little by little and found as it goes. */
export function useFound(household: Household, text: string, limit: number): readonly Found[] {
  const isAsked = text.trim() !== '';
  // Where nothing is asked, nothing is drawn anew when more of it could be found.
  const version = useDeferredValue(useIndexed((state) => (isAsked ? state.version : 0)));
  useEffect(() => {
    const isIdle = wanted === null;
    wanted = household;
    // After what is drawn.
    if (isIdle) setTimeout(() => void index(), 0);
  }, [household]);
  // The version says that the same index finds more.
  return useMemo(
    () => (version === 0 || !isAsked ? NONE : (finder?.find(text, limit) ?? NONE)),
    [text, isAsked, limit, version],
  );
}
