import './theme/theme.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './App.tsx';
import { useApp } from './state/app.ts';
import { open } from './state/hands.ts';
import { startSpeaking, useLanguage } from './state/speaking.ts';
import { startTheme } from './state/theme.ts';
import { t } from './language/index.ts';

/** What fails without anybody having reckoned with it is told all the same, and never passes for done. */
window.addEventListener('unhandledrejection', ({ reason }) => {
  useApp
    .getState()
    .tell({ tone: 'fault', text: t('That did not work ({reason}).', { reason: String(reason) }), canUndo: false });
});

startTheme();
const speaking = startSpeaking();
const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
/** The household of each day is kept at the first look: when it is opened, or come back to after midnight. */
const keepDay = () => void import('./state/backup.ts').then(({ keepSnapshot }) => keepSnapshot());
const keepFile = () => void import('./state/keptFile.ts').then(({ startKeeping }) => startKeeping());
void open().then(() => {
  keepDay();
  keepFile();
  // At hand before the first key is pressed.
  void import('../core/acts/index.ts');
  void import('./state/keptFocus.ts').then(({ keepFocus }) => keepFocus());
});
document.addEventListener('visibilitychange', () => {
  if (document.visibilityState === 'visible') keepDay();
});
if ('launchQueue' in window) void import('./state/handed.ts').then(({ takeOpenedFile }) => takeOpenedFile());
if (import.meta.env.PROD) void import('./state/offline.ts').then(({ keepOffline }) => keepOffline());
/** All of it is drawn anew in another language. */
function Spoken() {
  return <App key={useLanguage(({ language }) => language)} />;
}
await speaking;
createRoot(root).render(
  <StrictMode>
    <Spoken />
  </StrictMode>,
);
