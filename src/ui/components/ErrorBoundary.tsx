import { Component, type ReactNode } from 'react';
import { Button } from './Button.tsx';
import { t } from '../language/index.ts';

/** Catches what a screen throws: says what was kept, and what to do. */
export class ErrorBoundary extends Component<{ children: ReactNode }, { error: unknown }> {
  override state = { error: null as unknown };

  static getDerivedStateFromError(error: unknown) {
    return { error };
  }

  override render() {
    const { error } = this.state;
    if (error === null) return this.props.children;
    return (
      <main className="mx-auto max-w-xl p-10">
        <h1 className="font-display text-2xl font-semibold">{t('This screen broke')}</h1>
        <p className="mt-3">{t('Everything you confirmed is kept in this browser. Reload the page to go on.')}</p>
        <p className="mt-3 text-sm text-stone">{error instanceof Error ? error.message : t('An unknown fault.')}</p>
        <Button className="mt-5" onClick={() => window.location.assign('/')}>
          {t('Reload')}
        </Button>
      </main>
    );
  }
}
