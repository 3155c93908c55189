import { Component, type ReactNode } from 'react';
import { useApp } from '../state/app.ts';
import { wordRecordFault, wordStoreFault } from '../text/index.ts';
import { Button } from './Button.tsx';
import { ImportButton } from './ImportButton.tsx';

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

/** The stored household does not read: nothing is thrown away until the sewist says so. */
export function DamagedStore() {
  const storeFault = useApp((state) => state.storeFault);
  const replace = useApp((state) => state.replace);
  const faults = storeFault?.faults ?? [];
  const begin = async (which: 'sample' | 'empty') => {
    const { createEmptyHousehold, createSampleHousehold } = await import('../../sample/index.ts');
    if (which === 'sample') await replace(createSampleHousehold(), 'The sample is here.');
    else await replace(createEmptyHousehold(), 'An empty household is ready.');
  };
  return (
    <main className="mx-auto max-w-2xl p-10">
      <h1 className="font-display text-2xl font-semibold">Some records do not read any more</h1>
      <p className="mt-3">
        {storeFault ? wordStoreFault(storeFault) : ''} Nothing was thrown away. Open your latest saved file, or begin
        anew; what is stored now is replaced only then.
      </p>
      <ul className="mt-3 max-h-60 overflow-auto bg-linen p-3 text-sm">
        {faults.slice(0, 50).map((fault) => (
          <li key={`${fault.path} ${fault.rule}`}>{wordRecordFault(fault)}</li>
        ))}
      </ul>
      <div className="mt-5 flex gap-3">
        <ImportButton />
        <Button onClick={() => void begin('sample')}>Open the sample</Button>
        <Button onClick={() => void begin('empty')}>Start empty</Button>
      </div>
    </main>
  );
}
