import { createContext, useContext, useDeferredValue } from 'react';
import { create } from 'zustand';
import type { Household } from '../../core/records/index.ts';
import type { AppState, Looked } from './appState.ts';

export { world } from './world.ts';

/** What is shown. It changes what is kept by none of its own means: that is for `hands.ts`. */
export const useApp = create<AppState>()((set) => ({
  phase: 'loading',
  household: null,
  glimpse: null,
  events: [],
  generation: '',
  apart: [],
  raw: null,
  storeFault: null,
  isUnkept: false,
  unkept: 0,
  ticket: null,
  looked: null,
  notice: null,
  isCutting: false,
  show: (ticket) => set({ ticket, looked: null, isCutting: false }),
  look: (looked) => set({ looked, ticket: null, isCutting: false }),
  setCutting: (isCutting) => set({ isCutting }),
  tell: (notice) => set({ notice }),
}));

/** A household that is only looked at, such as a plan not yet adopted; null where the real one is shown. */
export const PreviewContext = createContext<Household | null>(null);

/**
 * The household on a screen that is only shown when there is one: a preview's where there is one. It is drawn in slices
 * after an act, so that a large stash lets the next key in.
 */
export function useHousehold(): Household {
  const preview = useContext(PreviewContext);
  const real = useDeferredValue(useApp((state) => state.household));
  const household = preview ?? real;
  if (!household) throw new Error('shown before the household was loaded');
  return household;
}

/**
 * Whether all of the household is there to be shown. Before that the first screen shows a glimpse of it, and what is
 * done there is done as soon as the rest is in.
 */
export const useIsWhole = (): boolean => useDeferredValue(useApp((state) => state.household)) !== null;

/** Opens the ticket of a lot or place; of what is only looked at, the one that offers nothing to do. */
export function useOpen(): (what: Looked) => void {
  const isPreview = useContext(PreviewContext) !== null;
  return useApp((state) => (isPreview ? state.look : state.show));
}
