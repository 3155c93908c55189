import { registerSW } from 'virtual:pwa-register';
import { useApp } from './app.ts';

/** Keeps the app itself in the browser, and says when a new one waits. */
export function keepOffline(): void {
  const update = registerSW({
    onNeedRefresh() {
      useApp.getState().tell({
        tone: 'done',
        text: 'A new Yardmist is ready. What you have stays as it is.',
        canUndo: false,
        offer: { label: 'Load it', take: () => void update(true) },
      });
    },
  });
}
