import { useRouteError } from 'react-router';
import { createEmptyHousehold, createSampleHousehold } from '../../sample/index.ts';
import { useApp } from '../state/app.ts';
import { wordRecordFault, wordStoreFault } from '../text/index.ts';
import { Button } from './Button.tsx';
import { ImportButton } from './ImportButton.tsx';

/** What is shown when a screen broke or the stored household does not read: what happened, what was kept, what to do. */
export function Trouble() {
  const phase = useApp((state) => state.phase);
  return phase === 'damaged' ? <DamagedStore /> : <BrokenScreen />;
}

function BrokenScreen() {
  const error = useRouteError();
  return (
    <main className="mx-auto max-w-xl p-10">
      <h1 className="font-display text-2xl font-semibold">This screen broke</h1>
      <p className="mt-3">Everything you confirmed is kept in this browser. Reload the page to go on.</p>
      <p className="mt-3 text-sm text-stone">{error instanceof Error ? error.message : String(error)}</p>
      <Button className="mt-5" onClick={() => window.location.assign('/')}>
        Reload
      </Button>
    </main>
  );
}

function DamagedStore() {
  const { storeFault, replace } = useApp.getState();
  const faults = storeFault?.faults ?? [];
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
        <Button onClick={() => void replace(createSampleHousehold(), 'The sample is here.')}>Open the sample</Button>
        <Button onClick={() => void replace(createEmptyHousehold(), 'An empty household is ready.')}>
          Start empty
        </Button>
      </div>
    </main>
  );
}
