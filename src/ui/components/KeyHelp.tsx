import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { Link, useLocation } from 'react-router';
import { findGuide } from '../text/guide.ts';
import { Button, linkClass } from './Button.tsx';
import { SCREENS } from './Selvage.tsx';

const KEYS: readonly [string, string][] = [
  ['F', 'Find: where is it?'],
  ['T', 'Take out what is selected'],
  ['B', 'Put it back'],
  ['C', 'Cut from it'],
  ['M', 'Measure it: how much is there?'],
  ['R', 'Promise it to something'],
  ['X', 'Used, lent, given away, gone'],
  ['Y', 'Tidy up what is out; P puts away what has no home; O counts'],
  ['Q', 'Quick add: one line in the stash'],
  ['N', 'New, by a form, in the stash or on the wall'],
  ['D', 'Another like this'],
  ['W', 'Rebuild the wall in place; M carries a bin'],
  ['S', 'Find a plan; K what few moves would bring; in Moves, begin; on the bench, scan; save labels'],
  ['A', 'Adopt the plan; on the floor plan, arrange; in a count, all is there'],
  ['+ −', 'Zoom the wall; 0 shows it whole'],
  ['E', 'Edit what is selected'],
  ['U', 'Undo the last thing'],
  ['J', 'The daybook: all that was done'],
  ['H', 'How each number in sight was made'],
  ['?', 'All keys, and how it is done'],
  ['Esc', 'Close what is open'],
];

export function KeyHelp({ onClose }: { onClose: () => void }) {
  const { slug, task } = findGuide(useLocation().pathname);
  return (
    <Dialog open onClose={onClose} className="relative z-30">
      <div aria-hidden className="fixed inset-0 bg-ink/30" />
      <div className="fixed inset-0 grid place-items-center p-4">
        <DialogPanel className="max-h-full w-full max-w-3xl overflow-y-auto bg-paper p-6 shadow-md">
          <DialogTitle className="font-display text-xl font-semibold">All keys</DialogTitle>
          <dl className="mt-4 gap-8 md:columns-2">
            {[...KEYS, ...SCREENS.map(({ name }, i): [string, string] => [String(i + 1), name])].map(([key, what]) => (
              <div key={key} className="dotted-row flex gap-4 py-1">
                <dt className="w-10 shrink-0">
                  <kbd className="rounded border border-thread bg-linen px-2 text-sm font-semibold">{key}</kbd>
                </dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <p className="mt-5 flex flex-wrap items-center gap-5">
            <Button look="strong" onClick={onClose}>
              Close
            </Button>
            <Link className={linkClass} to={`/guide/${slug}`} onClick={onClose}>
              How to: {task}
            </Link>
            <Link className={linkClass} to="/guide" onClick={onClose}>
              All tasks, with pictures
            </Link>
            <Link className={linkClass} to="/ways" onClick={onClose}>
              Where do I…
            </Link>
          </p>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
