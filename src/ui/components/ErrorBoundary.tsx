import { Component, type ReactNode } from 'react';
import { Button } from './Button.tsx';

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
        <h1 className="font-display text-2xl font-semibold">This screen broke</h1>
        <p className="mt-3">Everything you confirmed is kept in this browser. Reload the page to go on.</p>
        <p className="mt-3 text-sm text-stone">{error instanceof Error ? error.message : 'An unknown fault.'}</p>
        <Button className="mt-5" onClick={() => window.location.assign('/')}>
          Reload
        </Button>
      </main>
    );
  }
}
