import { useState } from 'react';
import { listMends, type Proposal } from '../../core/mending/index.ts';
import type { KeptApart } from '../../storage/index.ts';
import { useApp } from '../state/app.ts';
import { dropApart, putRight } from '../state/hands.ts';
import { saveRaw } from '../state/backup.ts';
import { wordRecordFault } from '../text/recordFaults.ts';
import { Button } from './Button.tsx';
import { explained } from './explained.ts';
import { perLanguage, t } from '../language/index.ts';

const TABLES = perLanguage((): Record<KeptApart['table'], string> => ({
  items: t('A thing'),
  lots: t('A thing'),
  places: t('A place'),
  plans: t('A plan'),
  projects: t('A project'),
  settings: t('The settings'),
  events: t('A line of the daybook'),
}));

const show = (value: unknown) => {
  const text = typeof value === 'string' ? value : (JSON.stringify(value) ?? t('nothing'));
  return text.length > 60 ? `${text.slice(0, 60)}…` : text;
};

function wordProposal({ is, nearest }: Proposal): string {
  if (nearest === undefined) return t('“{text}” would be left out.', { text: show(is) });
  if (typeof nearest === 'string' && typeof is === 'string' && is.startsWith(nearest))
    return t('Its first {letters} letters would be kept: “{text}”', { letters: nearest.length, text: show(nearest) });
  return t('“{text}” would become “{other}”.', { text: show(is), other: show(nearest) });
}

function nameOf(apart: KeptApart, nameOfItem: (id: string) => string | undefined): string {
  const raw = apart.raw as { name?: unknown; itemId?: unknown; subject?: unknown } | null;
  const name = [raw?.name, nameOfItem(String(raw?.itemId)), raw?.subject].find((one) => typeof one === 'string');
  return typeof name === 'string' ? `${TABLES()[apart.table]}: ${name}` : TABLES()[apart.table];
}

/** What did not read is set apart; the rest works. Here it can be put right, saved as it was found, or let go. */
export function ApartBanner() {
  const apart = useApp((state) => state.apart);
  const items = useApp((state) => state.household?.items);
  const units = useApp((state) => state.household?.settings.units ?? 'metric');
  const [isOpen, setOpen] = useState(false);
  if (apart.length === 0) return null;
  const mends = listMends(apart);
  return (
    <section
      aria-label={t('Set apart')}
      className="no-print border-b border-l-4 border-b-thread border-l-weld bg-linen px-5 py-2 text-sm"
    >
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
        <p
          role="status"
          {...explained(t('Records and lines of the daybook that could not be read when this browser opened them.'))}
        >
          {t(
            '{mends, plural, one {# record could not be read and is} other {# records could not be read and are}} set apart. All else works as before.',
            { mends: mends.length },
          )}
        </p>
        <Button look="quiet" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
          {isOpen ? t('Close') : t('Look at them')}
        </Button>
        <Button look="quiet" onClick={() => saveRaw(apart)}>
          {t('Save them as they are')}
        </Button>
      </div>
      {isOpen && (
        <ul aria-label={t('What is set apart')} className="mt-2 max-h-48 space-y-2 overflow-y-auto">
          {mends.map((mend) => (
            <li key={mend.of.n} className="dotted-row py-1">
              <p>
                <strong>{nameOf(mend.of, (id) => items?.get(id as never)?.name)}</strong>
                {mend.others.length > 0 &&
                  t(', with {others, plural, one {# record} other {# records}} that hang on it', {
                    others: mend.others.length,
                  })}
              </p>
              {mend.of.faults.slice(0, 4).map((fault) => (
                <p key={`${fault.path} ${fault.rule}`}>{wordRecordFault(fault, units)}</p>
              ))}
              {mend.proposals.map((proposal) => (
                <p key={proposal.path} className="break-words">
                  {wordProposal(proposal)}
                </p>
              ))}
              <span className="flex gap-4">
                {mend.records && (
                  <Button look="quiet" onClick={() => void putRight(mend, [mend.of, ...mend.others])}>
                    {t('Put it right')}
                  </Button>
                )}
                <Button look="quiet" onClick={() => void dropApart([mend.of, ...mend.others])}>
                  {t('Throw it away')}
                </Button>
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
