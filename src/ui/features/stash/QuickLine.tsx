import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import {
  completeWord,
  createWordBook,
  type completeSketch,
  type Meaning,
  type parseLine,
} from '../../../core/catalog/index.ts';
import { createHeap, describeHeap, isUnlikelyHeap } from '../../../core/heaps/index.ts';
import { getAmount } from '../../../core/measure/index.ts';
import { KINDS, type Household, type Kind } from '../../../core/records/index.ts';
import { Form } from '../../components/Form.tsx';
import { EXAMPLE, quickClass } from './quick.ts';
import { QuickRead } from './QuickRead.tsx';
import { inSession, useSessionName } from './Session.tsx';
import { SpeakButton } from './SpeakButton.tsx';
import { pasteLines, QuickMany, takeInMany } from './QuickMany.tsx';
import { NOTHING_SAID, splitLine, useRead, wordProblem } from './useRead.ts';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { forgetHabits, rememberHabits } from '../../state/habits.ts';
import { derive } from '../../state/derived.ts';
import { withNewIds } from '../../state/newThing.ts';
import type { Thing } from '../../state/appState.ts';
import { wordAmount } from '../../text/index.ts';
import { wordDoubts } from '../../text/doubts.ts';
import { wordHeapMeasures } from '../../text/heaps.ts';
import { createSaveItem } from '../../../core/acts/index.ts';
import { getLineLanguage, perLanguage, t } from '../../language/index.ts';

interface QuickLineProps {
  readonly kind: Kind;
  /** It has the focus already. */
  readonly isWanted: boolean;
  /** What was typed before this was loaded, and whether Enter was pressed then. */
  readonly typed: string;
  readonly isEntered: boolean;
}

const getWordBook = derive((items: Household['items']) =>
  perLanguage(() => createWordBook(items.values(), getLineLanguage()?.line)),
);

/** What is missing of the word that is being typed; null where it is not known. */
function useWordRest(text: string): string | null {
  const { items } = useHousehold();
  return useMemo(() => (text === '' ? null : completeWord(text, getWordBook(items)())), [text, items]);
}

/** Does at the first drawing what was asked for before it. */
function useOnce(isWanted: boolean, run: () => void): void {
  const now = useRef(isWanted);
  useEffect(() => {
    if (!now.current) return;
    now.current = false;
    run();
  });
}

const isAtEnd = ({ selectionStart, value }: HTMLInputElement): boolean => selectionStart === value.length;

/** What is asked before a line is taken in; null where nothing about it is unlikely. */
function useQuestion(line: ReturnType<typeof parseLine>, made: ReturnType<typeof completeSketch>): string | null {
  const { settings } = useHousehold();
  const { units } = settings;
  if (!made.ok) return null;
  const { item, lot } = made.value;
  if (!lot.heap)
    return line.doubts.length === 0
      ? null
      : t('{asked} Enter again takes it in.', { asked: wordDoubts(line.doubts, units) });
  if (!isUnlikelyHeap(item, lot, settings)) return null;
  return t('Is it really {heapMeasures}? Enter again takes it in.', {
    heapMeasures: wordHeapMeasures(describeHeap(item, lot, settings), units),
  });
}

interface LineKeys {
  readonly kind: () => void;
  readonly form: () => void;
  /** Nothing where there is nothing to repeat, to clear or to add. */
  readonly again: (() => void) | null;
  readonly clear: (() => void) | null;
  readonly rest: (() => void) | null;
}

/** The keys of the line, beside Enter. */
function pressKey(event: KeyboardEvent<HTMLInputElement>, { kind, form, again, clear, rest }: LineKeys): void {
  const { key, altKey, shiftKey, currentTarget } = event;
  const run =
    (altKey && key.toLowerCase() === 'k' && kind) ||
    (altKey && key === 'Enter' && form) ||
    (key === 'ArrowUp' && again) ||
    (key === 'Escape' && clear) ||
    (key === 'Tab' && !shiftKey && isAtEnd(currentTarget) && rest);
  if (!run) return;
  event.preventDefault();
  run();
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
  /** What the sewist said that some words mean. */
  const [meant, setMeant] = useState<ReadonlyMap<string, Meaning>>(NOTHING_SAID.meant);
  const read = useRead(text, { kind, kindSaid, meant });
  const { line, made, recalled } = read;
  const many = splitLine(text);
  const rest = useWordRest(text);
  const problem = wordProblem(read, units);

  // What is unlikely is asked once: pressed again, it is taken as it reads.
  const question = useQuestion(line, made);
  const isAsked = question !== null && asked === text;
  const clear = () => {
    setText('');
    setTried(false);
    setKindSaid(null);
    setMeant(NOTHING_SAID.meant);
  };
  const takeIn = async () => {
    setTried(true);
    if (many.length > 1) return void ((await takeInMany(many, kind)) && clear());
    if (problem !== null || !made.ok) return;
    if (question !== null && !isAsked) return setAsked(text);
    const promised = withPromise(withNewIds(made.value), line.reservedFor);
    const { item } = promised;
    const lot = inSession(household, promised.lot);
    // The next line begins at once, while this one is still being kept.
    clear();
    rememberHabits(line.sketch);
    input.current?.focus();
    const words = t('{name} is in: {amount}.', { name: item.name, amount: wordAmount(item, lot, units) });
    const isIn = await (lot.heap
      ? act((now) => createHeap(now, item, lot), words)
      : act((now) => createSaveItem(now, item, [lot]), words));
    if (isIn) setLast(text);
    else setText((now) => (now === '' ? text : now));
  };
  useOnce(isEntered, () => void takeIn());
  const addRest = () => {
    setText(`${text}${rest} `);
    input.current?.focus();
  };
  const openForm = () => {
    if (!made.ok) return setTried(true);
    const draft = withPromise(withNewIds(made.value), line.reservedFor);
    show({ type: 'newItem', kind: made.value.item.kind, draft });
    setText('');
  };

  const thing = made.ok ? made.value : null;
  return (
    <Form aria-label={t('Quick add')} isEndless onSend={takeIn}>
      {many.length > 1 && <QuickMany lines={many} kind={kind} isTried={isTried} />}
      {!isEmpty && many.length <= 1 && (
        <QuickRead
          thing={thing}
          kind={line.sketch.kind}
          parts={line.parts}
          recalled={recalled}
          rest={rest === null ? null : `${/\S+$/u.exec(text)?.[0] ?? ''}${rest}`}
          onRest={addRest}
          onMeant={(word, means) => {
            setMeant(means ? new Map([...meant, [word, means]]) : new Map([...meant].filter(([one]) => one !== word)));
            input.current?.focus();
          }}
          // That it is just its name would not measure a heap.
          unread={read.isUnmeasured ? null : (line.faults[0]?.text ?? null)}
          onForget={() => {
            forgetHabits(line.sketch);
            input.current?.focus();
          }}
          problem={isTried || line.faults.length > 0 ? problem : null}
          question={isAsked ? question : null}
          onKind={setKindSaid}
          onForm={openForm}
        />
      )}
      <SpeakButton onHeard={(heard) => setText((now) => `${now} ${heard}`.trim())} />
      <input
        ref={input}
        id="quick-line"
        type="text"
        aria-label={t('Add in one line')}
        aria-describedby={isEmpty ? undefined : 'quick-read'}
        autoComplete="off"
        maxLength={300}
        placeholder={`${session ? t('Into {session}', { session }) : t('Add in one line')}: ${EXAMPLE()[kind][units === 'metric' ? 0 : 1]}`}
        className={quickClass}
        autoFocus={isWanted}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onPaste={(event) => pasteLines(event, setText)}
        onKeyDown={(event) =>
          pressKey(event, {
            kind: () => setKindSaid(KINDS[(KINDS.indexOf(line.sketch.kind) + 1) % KINDS.length]!),
            form: openForm,
            again: isEmpty && last !== '' ? () => setText(last) : null,
            clear: isEmpty ? null : clear,
            rest: rest === null ? null : addRest,
          })
        }
      />
    </Form>
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
