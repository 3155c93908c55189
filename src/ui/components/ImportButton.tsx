import { lazy, Suspense, useEffect, useEffectEvent, useRef, useState } from 'react';
import type { MergePlan } from '../../core/merging/index.ts';
import type { Chronicle, EventId } from '../../core/records/index.ts';
import type { Unpacked } from '../../workers/protocol.ts';
import { useApp, world } from '../state/app.ts';
import { useHanded } from '../state/handed.ts';
import { replace } from '../state/hands.ts';
import { wordBundleFault } from '../text/bundleFaults.ts';
import { wordLineFault } from '../text/lineFaults.ts';
import { Button } from './Button.tsx';
import { FileInput } from './FileInput.tsx';
import { t } from '../language/index.ts';

const JoinPanel = lazy(async () => ({ default: (await import('./JoinPanel.tsx')).JoinPanel }));

function wordContents({ household, events }: Chronicle): string {
  const { lots, places, settings } = household;
  const parts = [
    t('{n, plural, one {# thing} other {# things}}', { n: lots.size }),
    t('{n, plural, one {# place} other {# places}}', { n: places.size }),
  ];
  return t('{settings}: {parts}, {events, plural, one {# daybook line} other {# daybook lines}}', {
    settings: settings.name,
    parts: parts.join(', '),
    events: events.length,
  });
}

type Rest = Extract<Unpacked, { type: 'faulty' }>['rest'];

/** Opens a bundle file: read and checked whole, every fault listed; what it would replace is said before it does. */
export function ImportButton({ label = t('Open a file') }: { label?: string }) {
  const input = useRef<HTMLInputElement>(null);
  const [faults, setFaults] = useState<string[]>([]);
  const [offered, setOffered] = useState<Chronicle | null>(null);
  /** Where the file has faults: what of it could be opened. */
  const [rest, setRest] = useState<Rest>(null);
  /** Where the file is of the same household and has lines that this one has not. */
  const [joining, setJoining] = useState<MergePlan | null>(null);
  /** What stops the reading, while a file is read. */
  const [reading, setReading] = useState<AbortController | null>(null);

  const read = async (file: File) => {
    const stop = new AbortController();
    setReading(stop);
    setFaults([]);
    setOffered(null);
    setRest(null);
    setJoining(null);
    try {
      const { unpackChronicle } = await import('../../workers/keeping.ts');
      const bytes = new Uint8Array(await file.arrayBuffer());
      const stamp = { id: world.createId() as EventId, atMs: world.nowMs() };
      const read = await unpackChronicle(bytes, stamp, stop.signal);
      if (!read.ok) {
        if (read.fault.code !== 'stopped') setFaults([wordLineFault(read.fault)]);
        return;
      }
      const { value } = read;
      if (value.type === 'faulty') {
        setFaults(value.faults.map(wordBundleFault));
        setRest(value.rest);
        return;
      }
      const { chronicle } = value;
      setOffered(chronicle);
      const now = useApp.getState();
      if (!now.household) return;
      const { planMerge } = await import('../../core/merging/index.ts');
      const plan = planMerge({ household: now.household, events: now.events }, chronicle);
      setJoining(plan.ok && plan.value.theirsNew.length > 0 ? plan.value : null);
    } catch (error) {
      setFaults([t('The file could not be read ({error}).', { error: String(error) })]);
    } finally {
      setReading(null);
    }
  };

  // A file that was opened from outside is read as one that is chosen here.
  const takeHanded = useEffectEvent(() => {
    const { file } = useHanded.getState();
    if (!file) return;
    useHanded.setState({ file: null });
    void read(file);
  });
  useEffect(() => {
    void Promise.resolve().then(() => takeHanded());
    return useHanded.subscribe(() => takeHanded());
  }, []);

  return (
    <div>
      <FileInput ref={input} label={t('Yardmist file')} accept=".zip" onFiles={([file]) => void read(file!)} />
      {reading ? (
        <p role="status" className="flex items-center gap-3">
          {t('Reading the file…')}
          <Button data-key="escape" onClick={() => reading.abort()}>
            {t('Stop')}
          </Button>
        </p>
      ) : (
        <Button onClick={() => input.current?.click()}>{label}</Button>
      )}
      {offered && <Offered chronicle={offered} joining={joining} onDone={() => setOffered(null)} />}
      {faults.length > 0 && (
        <FileFaults
          faults={faults}
          rest={rest}
          onDone={() => {
            setRest(null);
            setFaults([]);
          }}
        />
      )}
    </div>
  );
}

interface OfferedProps {
  readonly chronicle: Chronicle;
  readonly joining: MergePlan | null;
  readonly onDone: () => void;
}

/** What a file holds, and what it would take the place of. */
function Offered({ chronicle, joining, onDone }: OfferedProps) {
  const household = useApp((state) => state.household);
  const events = useApp((state) => state.events);
  // Both went on since: then the two can be joined.
  const isOther = joining !== null && joining.mineNew.length > 0;
  return (
    <div role="status" className="mt-3 border-l-4 border-woad bg-linen p-3">
      <p>
        {t('The file is whole:')} <strong>{wordContents(chronicle)}</strong>.
      </p>
      {household && (
        <p className="mt-1">
          {t('It takes the place of {contents}. That one is set aside and can be brought back.', {
            contents: wordContents({ household, events }),
          })}
        </p>
      )}
      {joining && isOther && (
        <Suspense>
          <JoinPanel plan={joining} onDone={onDone} />
        </Suspense>
      )}
      <div className="mt-2 flex flex-wrap gap-3">
        <Button
          look={isOther ? 'plain' : 'strong'}
          onClick={() => {
            void replace(chronicle, t('Opened {name}.', { name: chronicle.household.settings.name }));
            onDone();
          }}
        >
          {isOther ? t('Open it instead') : t('Open it')}
        </Button>
        <Button onClick={onDone}>{t('Keep what is here')}</Button>
      </div>
    </div>
  );
}

interface FileFaultsProps {
  readonly faults: readonly string[];
  readonly rest: Rest;
  readonly onDone: () => void;
}

/** Why a file was not opened, and what of it could be. */
function FileFaults({ faults, rest, onDone }: FileFaultsProps) {
  const isWhole = rest?.apart.length === 0;
  return (
    <div role="alert" className="mt-3 border-l-4 border-madder bg-linen p-3 text-sm">
      <p className="font-semibold">{t('The file was not opened. What you have is untouched.')}</p>
      <ul className="mt-1 list-disc pl-5">
        {faults.slice(0, 3).map((fault) => (
          <li key={fault} className="break-words">
            {fault}
          </li>
        ))}
      </ul>
      {faults.length > 3 && <p className="mt-1">{t('and {faults} more.', { faults: faults.length - 3 })}</p>}
      {rest && (
        <div className="mt-2">
          <p>
            {isWhole
              ? t('All of it reads, but the daybook tells some of it otherwise; a last line in it will say so:')
              : t(
                  'Without {apart, plural, one {# record that does} other {# records that do}} not read, the rest is whole:',
                  { apart: rest.apart.length },
                )}{' '}
            <strong>{wordContents(rest.chronicle)}</strong>.
          </p>
          <Button
            className="mt-2"
            onClick={() => {
              const { chronicle, apart } = rest;
              const { name } = chronicle.household.settings;
              const done = isWhole ? t('Opened {name}.', { name }) : t('Opened what could be read.');
              void replace(chronicle, done, { apart });
              onDone();
            }}
          >
            {isWhole
              ? t('Open it all the same')
              : t('{apart, plural, one {Open it without that one} other {Open it without these #}}', {
                  apart: rest.apart.length,
                })}
          </Button>
        </div>
      )}
    </div>
  );
}
