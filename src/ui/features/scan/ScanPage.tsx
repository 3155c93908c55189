import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { listInHand } from '../../../core/labels/index.ts';
import type { LotId, PlaceId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { startCodeReader, type CodeReader } from '../../../workers/client.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { explained } from '../../components/explained.ts';
import { LotLine } from '../../components/LotLine.tsx';
import { Page } from '../../components/Page.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { useHand } from '../../state/hand.ts';
import { putBack } from '../../state/putBack.ts';
import { getLotsByPlace } from '../../state/whereabouts.ts';
import { wordAmount, wordCount } from '../../text/index.ts';
import { wordLineFault } from '../../text/lineFaults.ts';
import { wordScanFault } from '../../text/scan.ts';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { Camera } from './Camera.tsx';
import { useScanner } from './useScanner.ts';
import { useScanning, type Answer } from './useScanning.ts';
import { createReturn } from '../../../core/acts/index.ts';
import { FileInput } from '../../components/FileInput.tsx';

/** Scans labels one after the other: a thing comes into the hand, a place takes what is in it. */
export function ScanPage() {
  const household = useHousehold();
  const scanned = useHand((state) => state.ids);
  const hand = useMemo(() => listInHand(household, scanned), [household, scanned]);
  const navigate = useNavigate();
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [isCamera, setCamera] = useState(false);
  const [isReading, setReading] = useState(false);
  const reader = useRef<CodeReader | null>(null);
  // A worker is started for the first picture only.
  const getReader = useCallback(() => (reader.current ??= startCodeReader()), []);
  useEffect(
    () => () => {
      reader.current?.drop();
      reader.current = null;
    },
    [],
  );

  const { put, scan } = useScanning(setAnswer);
  const scanner = useScanner((code) => void scan(code));

  const readPicture = async (file: File) => {
    setReading(true);
    const read = await getReader().read(file);
    setReading(false);
    if (!read.ok) {
      setAnswer({ kind: 'picture', words: `${file.name}: ${wordLineFault(read.fault)}` });
      return;
    }
    const codes = read.value;
    if (codes === null || codes.length === 0) {
      const words =
        codes === null
          ? `${file.name} is no picture that this browser reads.`
          : `No code was found on ${file.name}. Nearer, straight on and with more light it is found.`;
      setAnswer({ kind: 'picture', words });
      return;
    }
    for (const code of codes) await scan(code);
  };

  return (
    <Page title="Scan" aside={<TicketPane hint="The ticket of what was scanned hangs here." />}>
      <div className="min-h-0 flex-1 space-y-5 px-4 py-4 md:overflow-y-auto md:px-8">
        <Button look="quiet" data-key="escape" onClick={() => void navigate('/bench')}>
          ← The bench
        </Button>
        <CodeForm
          scanner={scanner}
          isCamera={isCamera}
          isReading={isReading}
          onCode={(code) => void scan(code)}
          onCamera={() => setCamera(!isCamera)}
          onPicture={(file) => void readPicture(file)}
        />
        {isCamera && <Camera reader={getReader} onCode={(code) => void scan(code)} />}
        <div aria-live="polite">
          {answer ? (
            <AnswerCard answer={answer} onPress={put} onLeave={() => setAnswer(null)} />
          ) : (
            <p className="max-w-xl text-stone">
              Scan a thing and it is in your hand; scan more, then a place, and they are put there. A place alone says
              what is in it.
            </p>
          )}
        </div>
        <InHand ids={hand} />
      </div>
    </Page>
  );
}

interface CodeFormProps {
  readonly scanner: ReturnType<typeof useScanner>;
  readonly isCamera: boolean;
  readonly isReading: boolean;
  readonly onCode: (code: string) => void;
  readonly onCamera: () => void;
  readonly onPicture: (file: File) => void;
}

/** A code is typed, seen by the camera, found on a picture or sent by the hand scanner. */
function CodeForm({ scanner, isCamera, isReading, onCode, onCamera, onPicture }: CodeFormProps) {
  const [text, setText] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const files = useRef<HTMLInputElement>(null);
  return (
    <Form
      className="flex max-w-xl flex-wrap items-end gap-3"
      onSend={() => {
        if (text.trim() !== '') onCode(text);
        setText('');
        field.current?.focus();
      }}
    >
      <label className="min-w-48 flex-1">
        <span className="block text-sm text-stone">Code on the label</span>
        <input
          maxLength={60}
          ref={field}
          autoFocus
          autoComplete="off"
          autoCapitalize="characters"
          spellCheck={false}
          className="h-14 w-full rounded border border-stone/60 bg-field px-3 text-xl tracking-widest uppercase"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <Button type="submit" look="strong" className="min-h-14 md:min-h-14">
        Go
      </Button>
      <div className="flex w-full flex-wrap gap-3">
        <Button onClick={onCamera}>{isCamera ? 'Camera off' : 'Camera'}</Button>
        <Button disabled={isReading} onClick={() => files.current?.click()}>
          {isReading ? 'Looking for a code …' : 'A picture of a label'}
        </Button>
        <FileInput
          ref={files}
          label="Picture of a label"
          accept="image/*"
          onFiles={([picture]) => onPicture(picture!)}
        />
        <span className="self-center text-sm text-stone">
          {scanner === 'there' ? (
            <>
              <a href="/devices/scanner" target="_blank" rel="noreferrer" className="text-woad underline">
                A made-up hand scanner
              </a>{' '}
              listens: its button sends what it reads here.
            </>
          ) : scanner === 'absent' ? (
            'No hand scanner answers here; typing does as well.'
          ) : (
            'Looking for a hand scanner …'
          )}
        </span>
      </div>
    </Form>
  );
}

function InHand({ ids }: { ids: readonly LotId[] }) {
  const household = useHousehold();
  const drop = (id: LotId) => useHand.setState(({ ids: all }) => ({ ids: all.filter((one) => one !== id) }));
  const held = ids.flatMap((id) => {
    const lot = household.lots.get(id);
    const item = lot && household.items.get(lot.itemId);
    return lot && item && lot.state !== 'in' && lot.state !== 'gone' ? [{ lot, item }] : [];
  });
  const tree = getTree(household);
  if (held.length === 0) return null;
  return (
    <section aria-label="In your hand" className="max-w-xl">
      <h2 className="font-display text-xl font-semibold">In your hand</h2>
      <ul>
        {held.map(({ lot, item }) => (
          <li key={lot.id} className="dotted-row flex flex-wrap items-center gap-x-3 py-1.5">
            <Swatch item={item} className="size-9 shrink-0" />
            <span className="min-w-0 flex-1">
              <span data-name className="block font-semibold">
                {item.name}
              </span>
              <span className="block text-sm text-stone">
                {lot.homeId ? `lives in ${formatPlaceName(tree, lot.homeId)}` : 'has no home yet'}
              </span>
            </span>
            {lot.state === 'lent' ? (
              <Button
                look="quiet"
                onClick={() => void act((now) => createReturn(now, lot.id, world.nowMs())).then(() => drop(lot.id))}
              >
                It came back
              </Button>
            ) : (
              <Button
                look="quiet"
                disabled={lot.homeId === undefined}
                onClick={() =>
                  void putBack(lot.id).then((isDone) => {
                    if (isDone) drop(lot.id);
                  })
                }
              >
                Home with it
              </Button>
            )}
            <Button look="quiet" aria-label={`Lay ${item.name} down`} onClick={() => drop(lot.id)}>
              Lay it down
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function AnswerCard({
  answer,
  onPress,
  onLeave,
}: {
  answer: Answer;
  onPress: (placeId: PlaceId, lotIds: readonly LotId[], isPressed: boolean) => Promise<void>;
  onLeave: () => void;
}) {
  const household = useHousehold();
  const tree = getTree(household);
  const nameOf = (id: LotId) => household.items.get(household.lots.get(id)?.itemId ?? ('' as never))?.name ?? 'a thing';
  const listOf = (ids: readonly LotId[]) => (ids.length === 1 ? nameOf(ids[0]!) : wordCount(ids.length, 'thing'));
  const fault = (words: string) => (
    <p role="alert" className="max-w-xl border-l-4 border-madder bg-linen px-3 py-2">
      {words}
    </p>
  );
  if (answer.kind === 'picture') return fault(answer.words);
  if (answer.kind === 'done')
    return (
      <p
        className="max-w-xl border-l-4 border-moss bg-linen px-3 py-2 text-lg"
        {...explained('What was put there just now.')}
      >
        <strong>{listOf(answer.lotIds)}</strong> {answer.lotIds.length === 1 ? 'is' : 'are'} in{' '}
        <strong>{formatPlaceName(tree, answer.placeId)}</strong>.
      </p>
    );
  if (answer.kind === 'full')
    return (
      <div role="alert" className="max-w-xl border-l-4 border-weld bg-linen px-3 py-2">
        <p className="text-lg">
          {listOf(answer.lotIds)} {answer.lotIds.length === 1 ? 'does' : 'do'} not go into{' '}
          {formatPlaceName(tree, answer.placeId)} beside what lies there.
        </p>
        <div className="mt-2 flex flex-wrap gap-3">
          <Button onClick={() => void onPress(answer.placeId, answer.lotIds, true)}>There all the same</Button>
          <Button onClick={onLeave}>Keep it in the hand</Button>
        </div>
      </div>
    );
  const { scanned } = answer;
  switch (scanned.kind) {
    case 'fault':
      return fault(wordScanFault(scanned.fault));
    case 'twice':
      return fault('Read twice; the second time nothing was done.');
    case 'gone':
      return fault(`${nameOf(scanned.lotId)} is no longer in the stash, as the daybook has it.`);
    case 'not-a-home':
      return fault(
        `${tree.places.get(scanned.placeId)?.name ?? 'That place'} takes nothing itself now: it stands idle, or bins stand in it. Scan one of them.`,
      );
    case 'put':
    case 'project':
      return null;
    case 'take':
    case 'in-hand':
      return <ScannedThing id={scanned.lotId} isAgain={scanned.kind === 'in-hand'} />;
    case 'look':
      return <Look placeId={scanned.placeId} />;
  }
}

function ScannedThing({ id, isAgain }: { id: LotId; isAgain: boolean }) {
  const household = useHousehold();
  const show = useApp((state) => state.show);
  const lot = household.lots.get(id);
  const item = lot && household.items.get(lot.itemId);
  if (!lot || !item) return null;
  return (
    <button
      type="button"
      className="flex w-full max-w-xl items-center gap-4 border border-ink bg-paper px-4 py-3 text-left hover:bg-linen"
      onClick={() => show({ type: 'lot', id })}
    >
      <Swatch item={item} className="size-16 shrink-0" />
      <span className="min-w-0">
        <span data-name className="block font-display text-[25px] leading-tight font-semibold">
          {item.name}
        </span>
        <span className="block text-stone" {...explained('As its ticket says.')}>
          {wordAmount(item, lot, household.settings.units)};{' '}
          {lot.state === 'lent'
            ? `lent to ${lot.lentTo ?? 'somebody'}`
            : isAgain
              ? 'it is in your hand already'
              : 'it is in your hand'}
        </span>
      </span>
    </button>
  );
}

function Look({ placeId }: { placeId: PlaceId }) {
  const household = useHousehold();
  const tree = getTree(household);
  const lots = getLotsByPlace(household).get(placeId) ?? [];
  const { units } = household.settings;
  return (
    <section aria-label="What is in it" className="max-w-xl">
      <h2 className="font-display text-xl font-semibold">{formatPlaceName(tree, placeId)}</h2>
      <p className="text-stone" {...explained('The things that lie in it now, counted.')}>
        {lots.length === 0 ? 'Nothing is in it.' : wordCount(lots.length, 'thing')}{' '}
        <Link to={`/bench/count/${placeId}`} className="text-woad underline">
          Count what is here
        </Link>
      </p>
      <ul>
        {lots.map((lot) => {
          const item = household.items.get(lot.itemId)!;
          return (
            <LotLine key={lot.id} id={lot.id} item={item} how="As its ticket says.">
              {wordAmount(item, lot, units)}
            </LotLine>
          );
        })}
      </ul>
    </section>
  );
}
