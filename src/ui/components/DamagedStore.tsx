import { useApp } from '../state/app.ts';
import { replace } from '../state/hands.ts';
import { saveRaw } from '../state/backup.ts';
import { Button } from './Button.tsx';
import { ImportButton } from './ImportButton.tsx';
import { t } from '../language/index.ts';

/** Nothing of what is stored could be opened, or a later program wrote it: nothing is thrown away until the sewist says so. */
export function DamagedStore() {
  const phase = useApp((state) => state.phase);
  const raw = useApp((state) => state.raw);
  const begin = async (which: 'sample' | 'empty') => {
    const [{ createEmptyHousehold }, { loadMadeSample }] = await Promise.all([
      import('../../sample/empty.ts'),
      import('../../sample/made.ts'),
    ]);
    if (which === 'sample') await replace(await loadMadeSample(), t('The sample is here.'));
    else await replace(createEmptyHousehold(), t('An empty household is ready.'));
  };
  if (phase === 'newer')
    return (
      <main className="mx-auto max-w-2xl p-10">
        <h1 className="font-display text-2xl font-semibold">{t('A later Yardmist was here')}</h1>
        <p className="mt-3">
          {t(
            'What is kept in this browser was written by a later Yardmist than this one. This one neither opens nor changes it. Load the page again to get the later one; if this stays, start the newest program.',
          )}
        </p>
        <Button className="mt-5" onClick={() => window.location.reload()}>
          {t('Load again')}
        </Button>
      </main>
    );
  return (
    <main className="mx-auto max-w-2xl p-10">
      <h1 className="font-display text-2xl font-semibold">{t('What is kept here cannot be read')}</h1>
      <p className="mt-3">
        {t(
          'Nothing was thrown away. Save what is stored, as it was found, first; it may still be put right by hand. Then open your latest saved file, or begin anew: only that replaces what is stored.',
        )}
      </p>
      <div className="mt-5 flex flex-wrap gap-3">
        {raw && (
          <Button look="strong" onClick={() => saveRaw(raw)}>
            {t('Save what is stored')}
          </Button>
        )}
        <ImportButton />
        <Button onClick={() => void begin('sample')}>{t('Open the sample')}</Button>
        <Button onClick={() => void begin('empty')}>{t('Start empty')}</Button>
      </div>
    </main>
  );
}
