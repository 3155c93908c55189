import './theme/theme.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './App.tsx';
import { useApp } from './state/app.ts';

const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
void useApp.getState().open();
if (import.meta.env.PROD) void import('./state/offline.ts').then(({ keepOffline }) => keepOffline());
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
