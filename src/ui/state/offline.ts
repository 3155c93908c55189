import { registerSW } from 'virtual:pwa-register';
import { useApp } from './app.ts';
import { hasDraft, watchDrafts } from './drafts.ts';
import { t } from '../language/index.ts';

/** Keeps the app itself in the browser, and says when a new one waits. */
export function keepOffline(): void {
  watchDrafts(document);
  const offer = (text: string) =>
    useApp.getState().tell({ tone: 'done', text, canUndo: false, offer: { label: t('Load it'), take } });
  const take = () => {
    if (hasDraft())
      offer(t('Something is typed and not saved yet. Save it or leave it; then the new Yardmist is loaded.'));
    else void update(true);
  };
  const update = registerSW({
    onNeedRefresh: () => offer(t('A new Yardmist is ready. What you have stays as it is.')),
  });
}
