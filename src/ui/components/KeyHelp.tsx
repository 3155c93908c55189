import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { Link, useLocation } from 'react-router';
import { findGuide } from '../text/guide.ts';
import { Button, linkClass } from './Button.tsx';
import { SCREENS } from './Selvage.tsx';
import { perLanguage, t } from '../language/index.ts';

const KEYS = perLanguage((): readonly [string, string][] => [
  ['F', t('Find: where is it?')],
  ['T', t('Take out what is selected')],
  ['B', t('Put it back')],
  ['C', t('Cut from it')],
  ['M', t('Measure it: how much is there?')],
  ['R', t('Promise it to something')],
  ['X', t('Used, lent, given away, gone')],
  ['Y', t('Tidy up what is out; P puts away what has no home; O counts')],
  ['Q', t('Quick add: one line in the stash')],
  ['N', t('New, by a form, in the stash or on the wall')],
  ['D', t('Another like this')],
  ['W', t('Rebuild the wall in place; M carries a bin')],
  ['S', t('Find a plan; K what few moves would bring; in Moves, begin; on the bench, scan; save labels')],
  ['A', t('Adopt the plan; on the floor plan, arrange; in a count, all is there')],
  ['+ −', t('Zoom the wall; 0 shows it whole')],
  ['E', t('Edit what is selected')],
  ['U', t('Undo the last thing')],
  ['J', t('The daybook: all that was done')],
  ['H', t('How each number in sight was made')],
  ['?', t('All keys, and how it is done')],
  ['Esc', t('Close what is open')],
]);

export function KeyHelp({ onClose }: { onClose: () => void }) {
  const { slug, task } = findGuide(useLocation().pathname);
  return (
    <Dialog open onClose={onClose} className="relative z-30">
      <div aria-hidden className="fixed inset-0 bg-ink/30" />
      <div className="fixed inset-0 grid place-items-center p-4">
        <DialogPanel className="max-h-full w-full max-w-3xl overflow-y-auto bg-paper p-6 shadow-md">
          <DialogTitle className="font-display text-xl font-semibold">{t('All keys')}</DialogTitle>
          <dl className="mt-4 gap-8 md:columns-2">
            {[...KEYS(), ...SCREENS().map(({ name }, i): [string, string] => [String(i + 1), name])].map(
              ([key, what]) => (
                <div key={key} className="dotted-row flex gap-4 py-1">
                  <dt className="w-10 shrink-0">
                    <kbd className="rounded border border-thread bg-linen px-2 text-sm font-semibold">{key}</kbd>
                  </dt>
                  <dd>{what}</dd>
                </div>
              ),
            )}
          </dl>
          <p className="mt-5 flex flex-wrap items-center gap-5">
            <Button look="strong" onClick={onClose}>
              {t('Close')}
            </Button>
            <Link className={linkClass} to={`/guide/${slug}`} onClick={onClose}>
              {t('How to: {task}', { task })}
            </Link>
            <Link className={linkClass} to="/guide" onClick={onClose}>
              {t('All tasks, with pictures')}
            </Link>
            <Link className={linkClass} to="/ways" onClick={onClose}>
              {t('Where do I…')}
            </Link>
          </p>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
