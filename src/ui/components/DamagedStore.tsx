import { useApp } from '../state/app.ts';
import { wordRecordFault, wordStoreFault } from '../text/index.ts';
import { Button } from './Button.tsx';
import { ImportButton } from './ImportButton.tsx';

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
