import { format, parseISO } from 'date-fns';
import { useEffect, useState } from 'react';
import type { Snapshot } from '../../../storage/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { openBeside } from '../../state/store.ts';
import { replace } from '../../state/hands.ts';
import { keepSnapshot, readSnapshot, type SinceThen } from '../../state/backup.ts';
import { wordStoreFault } from '../../text/index.ts';
import { formatNumber, t } from '../../language/index.ts';

const formatKb = (bytes: Uint8Array) => `${formatNumber(Math.max(1, Math.round(bytes.length / 1000)))} kB`;

/** The household as it was when it was first opened on each of the last days; any of them can be come back to. */
export function DaysBefore() {
  const [days, setDays] = useState<readonly Snapshot[] | string>([]);
  const [looked, setLooked] = useState<{ readonly of: Snapshot; readonly since: SinceThen | null } | null>(null);
  useEffect(() => {
    let isWanted = true;
    // This morning's may be on its way.
    void keepSnapshot()
      .catch(() => undefined)
      .then(() => openBeside())
      .then((beside) => beside.loadSnapshots())
      .then((kept) => {
        if (isWanted) setDays(kept.ok ? kept.value : wordStoreFault(kept.fault));
      });
    return () => {
      isWanted = false;
    };
  }, []);
  const goBack = async ({ day }: Snapshot, { chronicle }: SinceThen) => {
    if (
      await replace(
        chronicle,
        t('All is as it was on the morning of {day}.', { day: format(parseISO(day), t('d MMMM')) }),
      )
    )
      setLooked(null);
  };
  return (
    <section aria-label={t('Days before')} className="max-w-md">
      <h2 className="font-display text-lg font-semibold">{t('Days before')}</h2>
      <p className="mt-1 text-stone">
        {t(
          'The last seven days on which something was done are kept in this browser, each as it was when you first opened it.',
        )}
      </p>
      {typeof days === 'string' ? (
        <p role="alert" className="mt-2">
          {days}
        </p>
      ) : days.length === 0 ? (
        <p className="mt-2">
          {t('None yet: the first is kept the next time you open Yardmist after doing something.')}
        </p>
      ) : (
        <ul className="mt-2">
          {days.map((one) => (
            <li key={one.day} className="dotted-row py-1">
              <div className="flex flex-wrap items-baseline justify-between gap-x-4">
                <span>
                  <time dateTime={one.day} className="font-semibold">
                    {format(parseISO(one.day), t('EEEE d MMMM'))}
                  </time>{' '}
                  <span
                    className="text-stone"
                    {...explained(t('Its things, and what its packed records take in this browser.'))}
                  >
                    {t('{day}, {lots, plural, one {# thing} other {# things}}, {kb}', {
                      day: one.name,
                      lots: one.lots,
                      kb: formatKb(one.bytes),
                    })}
                  </span>
                </span>
                <Button
                  look="quiet"
                  onClick={() => void readSnapshot(one).then((since) => setLooked({ of: one, since }))}
                >
                  {t('What would change?')}
                </Button>
              </div>
              {looked?.of.day === one.day && (
                <div role="status" className="my-1 border-l-4 border-woad bg-linen p-2">
                  {looked.since === null ? (
                    t('It cannot be read.')
                  ) : (
                    <>
                      <p
                        {...explained(t('Records that came, went or differ, and lines of the daybook written since.'))}
                      >
                        {looked.since.changed === 0
                          ? t('Nothing: all is as it was then.')
                          : t(
                              '{changed, plural, one {# record} other {# records}} would be as then, and {lines, plural, one {# line} other {# lines}} of the daybook gone. What is here now is set aside and can be brought back.',
                              { changed: looked.since.changed, lines: looked.since.lines },
                            )}
                      </p>
                      {looked.since.changed > 0 && (
                        <Button className="mt-1" onClick={() => void goBack(one, looked.since!)}>
                          {t('Go back to it')}
                        </Button>
                      )}
                    </>
                  )}
                </div>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
