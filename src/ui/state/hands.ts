import type { Mend } from '../../core/mending/index.ts';
import type { KeptApart } from '../../storage/index.ts';
import { Acting, loadLater } from './acting.ts';
import { useApp } from './app.ts';
import type { Exchanging } from './exchanging.ts';
import { inTurn } from './inTurn.ts';
import { Kept } from './kept.ts';
import { store } from './store.ts';
import { t } from '../language/index.ts';

/**
 * All that changes the household or what is kept of it. What shows a household that is only looked at does not reach this
 * file: tools/imports.mjs proves it.
 */
const { getState: get, setState: set } = useApp;
const kept = new Kept(store, get, set);
const acting = new Acting(kept, get, set);
let exchanging: Promise<Exchanging> | null = null;
/** Loaded when it is first wanted. */
function loadExchanging(): Promise<Exchanging> {
  exchanging ??= import('./exchanging.ts').then((module) => new module.Exchanging(store, kept, acting, get, set));
  return exchanging;
}

export const { act, edit, undo } = acting;
export const replace: Exchanging['replace'] = async (...how) => (await loadExchanging()).replace(...how);
export const bringBack: Exchanging['bringBack'] = async () => (await loadExchanging()).bringBack();

/** Shows what this browser keeps. */
export const open = (): Promise<void> => inTurn(() => kept.load());

/** Tries again to keep what is only in this window. */
export const keepAgain = (): Promise<boolean> =>
  inTurn(async () => {
    const fault = await kept.keep(kept.waiting);
    if (fault) {
      set({ storeFault: fault });
      return acting.refuse((await loadLater()).wordStoreFault(fault));
    }
    set({ notice: { tone: 'done', text: t('All is kept in this browser again.'), canUndo: false } });
    return true;
  });

/** Goes on although the browser keeps nothing: in this window only. */
export const goOnUnkept = (): void => set({ isUnkept: true });

/** Lets go of what was set apart. */
export const dropApart = (apart: readonly KeptApart[]): Promise<boolean> =>
  inTurn(async () => {
    const dropped = await store.dropApart(apart.flatMap((one) => one.n ?? []));
    if (!dropped.ok) return acting.refuse((await loadLater()).wordStoreFault(dropped.fault));
    set({ apart: get().apart.filter((one) => !apart.includes(one)) });
    return true;
  });

/** Takes what was set apart back in, with its faulty field put right. */
export async function putRight({ records }: Mend, apart: readonly KeptApart[]): Promise<boolean> {
  const { createMended } = await import('../../core/mending/index.ts');
  const isDone = await act((now) => createMended(now, records ?? []), t('It is back among the others.'));
  return isDone && dropApart(apart);
}

// What other windows tell: they went on, opened another household, or run a later program.
store.onUpgrade(() => set({ storeFault: { code: 'newer', note: '' } }));
store.onNews((news) => {
  void inTurn(async () => {
    if (kept.waiting.length > 0 || !kept.isBaseKept) {
      acting.refuse(
        t('Another window went on with what is kept. What is only in this window is not in it: save it to a file.'),
      );
      return;
    }
    if (news.type !== 'replaced') return kept.catchUp();
    await kept.load();
    const text = t('Another window opened another household; this one shows it now.');
    set({ ticket: null, looked: null, notice: { tone: 'done', text, canUndo: false } });
  });
});
