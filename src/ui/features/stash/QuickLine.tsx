import { useEffect, useMemo, useRef, useState } from 'react';
import { completeSketch, parseLine, type Birth } from '../../../core/catalog/index.ts';
import { computeHeap, createHeap, describeHeap, isUnlikelyHeap, readHeap } from '../../../core/heaps/index.ts';
import { computePackage, getAmount } from '../../../core/measure/index.ts';
import { KINDS, type ItemId, type Kind, type LotId } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { EXAMPLE, quickClass } from './quick.ts';
import { inSession, Session, useSessionName } from './Session.tsx';
import { TwinHint } from './TwinHint.tsx';
import { explained } from '../../components/explained.ts';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { withNewIds } from '../../state/newThing.ts';
import type { Thing } from '../../state/appState.ts';
import { getUsualStations } from '../../state/usualStations.ts';
import {
  capitalise,
  wordAmount,
  wordAmountFault,
  wordForm,
  wordKind,
  wordMeaning,
  wordPackage,
  wordRecordFault,
  wordThing,
} from '../../text/index.ts';
import { wordDoubts } from '../../text/doubts.ts';
import { wordHeapMeasures } from '../../text/heaps.ts';
import { createSaveItem } from '../../../core/acts/index.ts';

interface QuickLineProps {
  readonly kind: Kind;
  /** It has the focus already. */
  readonly isWanted: boolean;
  /** What was typed before this was loaded, and whether Enter was pressed then. */
  readonly typed: string;
  readonly isEntered: boolean;
}

const HOW =
  'What you typed and, where you typed nothing, what is usual for its kind; its package and weight are worked out from those.';

/** While it is typed; what is taken in has ids of its own. */
const TYPED = { itemId: 'typed' as ItemId, lotId: 'typed' as LotId };

/** A line as it reads: what it is, and the thing or heap that it makes. */
function useRead(text: string, kind: Kind, kindSaid: Kind | null) {
  const household = useHousehold();
  const { units } = household.settings;
  const heap = useMemo(() => readHeap(text, units), [text, units]);
  const line = useMemo(
    () => parseLine(heap?.rest ?? text, { kind: kindSaid ?? kind, units, isKindSaid: kindSaid !== null }),
    [heap, text, kind, kindSaid, units],
  );
  const made = useMemo(() => {
    const birth: Birth = {
      ...TYPED,
      nowMs: world.nowMs(),
      stationId: getUsualStations(household)(line.sketch.kind, line.sketch.type),
      settings: household.settings,
    };
    const single = completeSketch(line.sketch, birth);
    if (!heap || !single.ok) return single;
    const { item, lot } = single.value;
    const told = computeHeap(item, lot, heap.by, heap.value, household.settings, heap.pieces);
    return told ? { ...single, value: { item, lot: { ...lot, ...told } } } : single;
  }, [line, heap, household]);
  return { heap, line, made };
}

/** What is asked before a line is taken in; null where nothing about it is unlikely. */
function useQuestion(line: ReturnType<typeof parseLine>, made: ReturnType<typeof completeSketch>): string | null {
  const { settings } = useHousehold();
  const { units } = settings;
  if (!made.ok) return null;
  const { item, lot } = made.value;
  if (!lot.heap) return line.doubts.length === 0 ? null : wordDoubts(line.doubts, units);
  if (!isUnlikelyHeap(item, lot, settings)) return null;
  return `Is it really ${wordHeapMeasures(describeHeap(item, lot, settings), units)}? Enter again takes it in.`;
}

/** One line that becomes a thing: it shows how it was read, Enter takes it in, and the next begins at once. */
export function QuickLine({ kind, isWanted, typed, isEntered }: QuickLineProps) {
  const household = useHousehold();
  const { units } = household.settings;
  const show = useApp((state) => state.show);
  const input = useRef<HTMLInputElement>(null);
  const [text, setText] = useState(typed);
  const [last, setLast] = useState('');
  const [isTried, setTried] = useState(false);
  /** What it is, where the sewist said so; and the line that was asked about already. */
  const [kindSaid, setKindSaid] = useState<Kind | null>(null);
  const [asked, setAsked] = useState<string | null>(null);
  const isEmpty = text.trim() === '';

  const session = useSessionName();
  const { heap, line, made } = useRead(text, kind, kindSaid);
  const isHeap = made.ok && made.value.lot.heap !== undefined;
  const needsAmount = !isHeap && line.sketch.kind === 'fabric' && line.sketch.lengthMm === undefined;
  const problem = line.faults[0]
    ? wordAmountFault(line.faults[0], units === 'metric' ? '3.4m' : '2 1/2 yd')
    : line.sketch.name === undefined
      ? 'Say what it is, too.'
      : needsAmount
        ? `Say how long it is, such as ${units === 'metric' ? '3.4m' : '2 1/2 yd'}.`
        : heap && made.ok && !isHeap
          ? 'Things of that kind are not measured so: say how many pieces.'
          : made.ok
            ? null
            : made.fault.map(wordRecordFault).join('; ');

  // What is unlikely is asked once: pressed again, it is taken as it reads.
  const question = useQuestion(line, made);
  const isAsked = question !== null && asked === text;
  const takeIn = async () => {
    setTried(true);
    if (problem !== null || !made.ok) return;
    if (question !== null && !isAsked) return setAsked(text);
    const promised = withPromise(withNewIds(made.value), line.reservedFor);
    const { item } = promised;
    const lot = inSession(household, promised.lot);
    // The next line begins at once, while this one is still being kept.
    setText('');
    setTried(false);
    setKindSaid(null);
    input.current?.focus();
    const words = `${item.name} is in: ${wordAmount(item, lot, units)}.`;
    const isIn = await (lot.heap
      ? act((now) => createHeap(now, item, lot), words)
      : act((now) => createSaveItem(now, item, [lot]), words));
    if (isIn) setLast(text);
    else setText((now) => (now === '' ? text : now));
  };
  const enterNow = useRef(isEntered);
  useEffect(() => {
    if (!enterNow.current) return;
    enterNow.current = false;
    void takeIn();
  });
  const openForm = () => {
    if (!made.ok) return setTried(true);
    const draft = withPromise(withNewIds(made.value), line.reservedFor);
    show({ type: 'newItem', kind: made.value.item.kind, draft });
    setText('');
  };

  const thing = made.ok ? made.value : null;
  return (
    <Form aria-label="Quick add" isEndless onSend={takeIn}>
      {!isEmpty && (
        <QuickRead
          thing={thing}
          kind={line.sketch.kind}
          parts={line.parts}
          problem={isTried || line.faults.length > 0 ? problem : null}
          question={isAsked ? question : null}
          onKind={setKindSaid}
          onForm={openForm}
        />
      )}
      <input
        ref={input}
        id="quick-line"
        type="text"
        aria-label="Add in one line"
        aria-describedby={isEmpty ? undefined : 'quick-read'}
        autoComplete="off"
        maxLength={300}
        placeholder={`${session ? `Into ${session}` : 'Add in one line'}: ${EXAMPLE[kind][units === 'metric' ? 0 : 1]}`}
        className={quickClass}
        autoFocus={isWanted}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.altKey && event.key.toLowerCase() === 'k') {
            event.preventDefault();
            const at = KINDS.indexOf(line.sketch.kind);
            setKindSaid(KINDS[(at + 1) % KINDS.length]!);
          } else if (event.key === 'Enter' && event.altKey) {
            event.preventDefault();
            openForm();
          } else if (event.key === 'ArrowUp' && isEmpty && last !== '') {
            event.preventDefault();
            setText(last);
          } else if (event.key === 'Escape' && !isEmpty) {
            event.preventDefault();
            setText('');
            setTried(false);
            setKindSaid(null);
          }
        }}
      />
    </Form>
  );
}

interface QuickReadProps {
  readonly thing: Thing | null;
  /** What it is taken for, also where nothing comes of it. */
  readonly kind: Kind;
  readonly parts: ReturnType<typeof parseLine>['parts'];
  /** What is wrong with it, where that is to be said yet. */
  readonly problem: string | null;
  /** What is asked before it is taken. */
  readonly question: string | null;
  readonly onKind: (kind: Kind) => void;
  readonly onForm: () => void;
}

/** What would come in, and how each word was read. */
function QuickRead({ thing, kind, parts, problem, question, onKind, onForm }: QuickReadProps) {
  const { settings } = useHousehold();
  const { units } = settings;
  const pkg = thing && computePackage(thing.item, thing.lot, thing.lot.form, settings);
  const isSome = thing !== null && getAmount(thing.item, thing.lot) > 0;
  return (
    <div
      id="quick-read"
      data-draft
      className="absolute right-0 bottom-full left-0 z-10 mb-2 max-h-[60vh] overflow-y-auto border border-thread bg-paper px-4 py-3 shadow-md"
    >
      <div className="flex items-center gap-3" {...explained(HOW, 'The draft')}>
        {thing && <Swatch item={thing.item} className="size-8 shrink-0" />}
        <span>
          {thing && <strong className="mr-1 font-display text-lg">{thing.item.name || '…'}</strong>}
          <select
            aria-label="What it is"
            className="mr-1 h-9 rounded border border-thread bg-paper px-1 font-semibold text-ink"
            value={kind}
            onChange={({ target }) => onKind(target.value as Kind)}
          >
            {KINDS.map((one) => (
              <option key={one} value={one}>
                {wordKind(one)}
              </option>
            ))}
          </select>
          {thing && (
            <>
              <span className="text-stone">{isSome && wordAmount(thing.item, thing.lot, units)}</span>
              <span className="block text-sm text-stone">
                {wordThing(thing.item, units)}
                {thing.lot.heap &&
                  `. A heap: ${wordHeapMeasures(describeHeap(thing.item, thing.lot, settings), units)}`}
                {pkg && isSome && !thing.lot.heap && `. ${capitalise(wordForm(pkg.form))}: ${wordPackage(pkg, units)}`}
              </span>
            </>
          )}
        </span>
      </div>
      {parts.length > 0 && (
        <dl
          aria-label="How it was read"
          className="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-sm"
          {...explained('As you typed it.', 'How it was read')}
        >
          {parts.map((part) => (
            <div key={part.from} className="flex gap-1.5">
              <dt className="stitched-b font-semibold">{part.text}</dt>
              <dd className="text-stone">{wordMeaning(part.means)}</dd>
            </div>
          ))}
        </dl>
      )}
      {problem !== null && (
        <p role="alert" className="mt-2 font-semibold text-madder">
          {problem}
        </p>
      )}
      {question !== null && (
        <p role="alert" className="mt-2 border-l-4 border-weld bg-linen px-3 py-1 font-semibold">
          {question}
        </p>
      )}
      {thing && <TwinHint item={thing.item} />}
      <Session />
      <p className="mt-2 text-sm text-stone">
        <kbd>Enter</kbd> takes it in. <kbd>Alt+K</kbd> makes it something else. <kbd>Alt+Enter</kbd>{' '}
        <Button look="quiet" onClick={onForm}>
          opens the form
        </Button>
      </p>
    </div>
  );
}

/** What the line promised the thing to: all of it. */
function withPromise(thing: Thing, forWhat: string | null): Thing {
  const amount = getAmount(thing.item, thing.lot);
  if (forWhat === null || amount <= 0) return thing;
  return {
    item: thing.item,
    lot: { ...thing.lot, reserved: [{ id: world.createId(), forWhat, note: '', amount }] },
  };
}
