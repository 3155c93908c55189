import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useState } from 'react';
import { Button } from './Button.tsx';
import { listExplained, type Explained } from './listExplained.ts';
import { t } from '../language/index.ts';

const SHOWN = 3;

function wordValues(values: readonly string[]): string {
  const more = values.length - SHOWN;
  return `${values.slice(0, SHOWN).join(' · ')}${more > 0 ? t(' and {more} more', { more }) : ''}`;
}

/** How every number in sight was made; those of the row one was in come first. */
export function HowHelp({ onClose }: { onClose: () => void }) {
  // Read once: the dialog itself takes the focus from the row it tells about.
  const [all] = useState(() => listExplained(document));
  const near = all.filter((one) => one.isNear);
  const far = all.filter((one) => !one.isNear);
  return (
    <Dialog open onClose={onClose} className="relative z-30">
      <div aria-hidden className="fixed inset-0 bg-ink/30" />
      <div className="fixed inset-0 grid place-items-center p-4">
        <DialogPanel className="flex max-h-full w-full max-w-2xl flex-col bg-paper p-6 shadow-md">
          <DialogTitle className="font-display text-xl font-semibold">{t('How these numbers were made')}</DialogTitle>
          <div className="mt-3 min-h-0 overflow-y-auto" tabIndex={0} role="region" aria-label={t('Numbers in sight')}>
            {all.length === 0 && <p>{t('No number is in sight here.')}</p>}
            {near.length > 0 && <HowList name={t('Where you are')} rows={near} />}
            {far.length > 0 && (
              <HowList name={near.length > 0 ? t('Elsewhere on the screen') : t('On the screen')} rows={far} />
            )}
          </div>
          <Button className="mt-4 self-start" look="strong" onClick={onClose}>
            {t('Close')}
          </Button>
        </DialogPanel>
      </div>
    </Dialog>
  );
}

function HowList({ name, rows }: { name: string; rows: readonly Explained[] }) {
  return (
    <>
      <h3 className="mt-2 text-sm font-semibold text-stone">{name}</h3>
      <dl>
        {rows.map(({ how, values }) => (
          <div key={how} className="dotted-row grid gap-x-4 py-1.5 sm:grid-cols-[1fr_2fr]">
            <dt className="tabular font-semibold">{wordValues(values)}</dt>
            <dd>{how}</dd>
          </div>
        ))}
      </dl>
    </>
  );
}
