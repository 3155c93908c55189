import { createContext, useContext, useDeferredValue } from 'react';
import { create } from 'zustand';
import type { Household } from '../../core/records/index.ts';
import type { BesideStore } from '../../storage/beside.ts';
import { HouseholdStore } from '../../storage/index.ts';
import { wordStoreFault } from '../text/index.ts';
import { Acting } from './acting.ts';
import type { AppState } from './appState.ts';
import { inTurn } from './inTurn.ts';
import { Kept } from './kept.ts';
import { Exchanging } from './exchanging.ts';

export { listPhotoIds } from './exchanging.ts';
export { world } from './world.ts';

const store = new HouseholdStore();

/** The photos kept in this browser; they are named by their content and never change. */
export const photoStore: Pick<HouseholdStore, 'savePhotos' | 'loadPhoto' | 'loadPhotos'> = store;
/** What is kept beside the household: days before, the file that was picked. */
export async function openBeside(): Promise<BesideStore> {
  const { BesideStore: Beside } = await import('../../storage/beside.ts');
  return new Beside(store);
}

/** What other windows tell: they went on, opened another household, or run a later program. */
function listen(kept: Kept, acting: Acting, set: (part: Partial<AppState>) => void): void {
  store.onUpgrade(() => set({ storeFault: { code: 'newer', note: '' } }));
  store.onNews((news) => {
    void inTurn(async () => {
      if (kept.waiting.length > 0 || !kept.isBaseKept) {
        acting.refuse(
          'Another window went on with what is kept. What is only in this window is not in it: save it to a file.',
        );
        return;
      }
      if (news.type !== 'replaced') return kept.catchUp();
      await kept.load();
      const text = 'Another window opened another household; this one shows it now.';
      set({ ticket: null, notice: { tone: 'done', text, canUndo: false } });
    });
  });
}

/** What is only in this window, what does not read, and what could be put right of it. */
function createCare(
  kept: Kept,
  acting: Acting,
  get: () => AppState,
  set: (part: Partial<AppState>) => void,
): Pick<AppState, 'keepAgain' | 'goOnUnkept' | 'putRight' | 'dropApart'> {
  return {
    keepAgain: () =>
      inTurn(async () => {
        const fault = await kept.keep(kept.waiting);
        if (fault) {
          set({ storeFault: fault });
          return acting.refuse(wordStoreFault(fault));
        }
        set({ notice: { tone: 'done', text: 'All is kept in this browser again.', canUndo: false } });
        return true;
      }),
    goOnUnkept: () => set({ isUnkept: true }),
    putRight: async ({ records }, apart) => {
      const { createMended } = await import('../../core/mending/index.ts');
      const isDone = await acting.act((now) => createMended(now, records ?? []), 'It is back among the others.');
      return isDone && get().dropApart(apart);
    },
    dropApart: (apart) =>
      inTurn(async () => {
        const dropped = await store.dropApart(apart.flatMap((one) => one.n ?? []));
        if (!dropped.ok) return acting.refuse(wordStoreFault(dropped.fault));
        set({ apart: get().apart.filter((one) => !apart.includes(one)) });
        return true;
      }),
  };
}

export const useApp = create<AppState>()((set, get) => {
  const kept = new Kept(store, get, set);
  const acting = new Acting(kept, get, set);
  const exchanging = new Exchanging(store, kept, acting, get, set);
  listen(kept, acting, set);
  return {
    phase: 'loading',
    household: null,
    events: [],
    generation: '',
    apart: [],
    raw: null,
    storeFault: null,
    isUnkept: false,
    unkept: 0,
    previews: 0,
    ticket: null,
    notice: null,
    isCutting: false,
    open: () => inTurn(() => kept.load()),
    act: acting.act,
    edit: acting.edit,
    undo: acting.undo,
    replace: exchanging.replace,
    bringBack: exchanging.bringBack,
    ...createCare(kept, acting, get, set),
    show: (ticket) => set({ ticket, isCutting: false }),
    setCutting: (isCutting) => set({ isCutting }),
    tell: (notice) => set({ notice }),
  };
});

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
