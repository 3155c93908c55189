import { useState } from 'react';
import {
  CARE_FLAGS,
  type CareFlag,
  type Item,
  type ItemId,
  type LotId,
  type StationId,
} from '../../../core/records/index.ts';
import { getRoomSpec } from '../../../core/storage/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { WishButton } from '../../components/WishButton.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { wordCare, wordCount } from '../../text/index.ts';
import { barClass } from './NarrowBar.tsx';
import type { StashRow } from './rows.ts';
import { createChangeLots, createChangeMany } from '../../../core/acts/index.ts';

/** Changes the same about everything that is ticked, as one act with one undo. */
export function BulkBar({ rows, onDone }: { rows: readonly StashRow[]; onDone: () => void }) {
  const household = useHousehold();
  // On a phone the table matters more than what could be done to it.
  const [isOpen, setOpen] = useState(false);
  const stations = getTree(household).rooms.flatMap((room) => getRoomSpec(room).stations);
  const items = [...new Set(rows.map(({ item }) => item.id))];
  const subject = wordCount(items.length, 'thing');
  const change = (how: (item: Item) => Item, done: string) =>
    act((now) => createChangeMany(now, subject, items, how), done);
  const isCloth = rows.every(({ item }) => item.fabric);
  return (
    <div
      role="group"
      aria-label="Change all that is ticked"
      className="flex flex-wrap items-center gap-2 border-l-4 border-woad bg-linen px-4 py-1.5 md:px-5"
    >
      <strong>{wordCount(rows.length, 'lot')} ticked</strong>
      <Button look="quiet" className="md:hidden" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        Change …
      </Button>
      <div className={`${isOpen ? '' : 'max-md:hidden'} flex flex-wrap items-center gap-2 max-md:order-last`}>
        <OneWordForm
          label="Tag for all"
          placeholder="tag"
          maxLength={40}
          send="Tag"
          onSend={(word) =>
            change(
              (item) => ({ ...item, tags: [...new Set([...(item.tags ?? []), word])].slice(0, 20) }),
              `${subject} tagged “${word}”.`,
            )
          }
        />
        <PickFor
          label="Used at, for all"
          first="Used at …"
          of={stations.map(({ id, name }) => [id, name])}
          onPick={(id) => change((item) => ({ ...item, stationId: id as StationId }), `${subject} changed.`)}
        />
        <PickFor
          label="Take care, for all"
          first="Take care …"
          of={CARE_FLAGS.map((flag) => [flag, wordCare(flag)])}
          onPick={(flag) =>
            change((item) => ({ ...item, care: [...new Set([...item.care, flag as CareFlag])] }), `${subject} changed.`)
          }
        />
        <OneWordForm
          label="Uses a month, for all"
          placeholder="uses a month"
          maxLength={10}
          send="Set"
          onSend={(word) => {
            const usesPerMonth = Number(word.replace(',', '.'));
            if (!(usesPerMonth >= 0 && usesPerMonth <= 1000)) return undefined;
            return change((item) => ({ ...item, usesPerMonth, learntPerMonth: undefined }), `${subject} changed.`);
          }}
        />
        {rows.length > 1 && rows.length <= 60 && (
          <>
            <WishButton wish={{ kind: 'together', lotIds: rows.map(({ lot }) => lot.id) }}>Keep together</WishButton>
            <WishButton wish={{ kind: 'apart', lotIds: rows.map(({ lot }) => lot.id) }}>Never together</WishButton>
          </>
        )}
        {rows.length > 1 && <HeapUp rows={rows} onDone={onDone} />}
        {isCloth && (
          <Button
            look="quiet"
            onClick={() =>
              void act(
                (now) =>
                  createChangeLots(
                    now,
                    wordCount(rows.length, 'lot'),
                    rows.map(({ lot }) => lot.id),
                    (lot) => ({ ...lot, isWashed: true, sinceMs: world.nowMs() }),
                  ),
                `${wordCount(rows.length, 'lot')} washed.`,
              )
            }
          >
            All washed
          </Button>
        )}
      </div>
      <Button look="quiet" className="ml-auto" onClick={onDone}>
        Untick all
      </Button>
    </div>
  );
}

/** What need not be kept singly becomes one heap, under a name. */
function HeapUp({ rows, onDone }: { rows: readonly StashRow[]; onDone: () => void }) {
  const heap = async (name: string) => {
    const { createHeapUp } = await import('../../../core/heaps/index.ts');
    const ids = rows.map(({ lot }) => lot.id);
    const made = { name, itemId: world.createId() as ItemId, lotId: world.createId() as LotId };
    const words = `${name}: one heap of ${wordCount(rows.length, 'lot')}.`;
    const isDone = await act((now) => createHeapUp(now, ids, made, world.nowMs()), words);
    if (isDone) onDone();
    return isDone;
  };
  return (
    <OneWordForm
      label="Name of the heap"
      placeholder="name of the heap"
      maxLength={120}
      send="Make a heap"
      onSend={heap}
    />
  );
}

interface OneWordFormProps {
  readonly label: string;
  readonly placeholder: string;
  readonly maxLength: number;
  readonly send: string;
  /** Nothing where the word does not read. */
  readonly onSend: (word: string) => Promise<boolean> | undefined;
}

function OneWordForm({ label, placeholder, maxLength, send, onSend }: OneWordFormProps) {
  const [text, setText] = useState('');
  return (
    <Form
      className="flex items-center gap-1"
      onSend={() => (text.trim() === '' ? undefined : onSend(text.trim())?.then((isDone) => isDone && setText('')))}
    >
      <input
        aria-label={label}
        placeholder={placeholder}
        maxLength={maxLength}
        className={`${barClass} w-28`}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <Button look="quiet" type="submit">
        {send}
      </Button>
    </Form>
  );
}

interface PickForProps {
  readonly label: string;
  readonly first: string;
  readonly of: readonly (readonly [value: string, words: string])[];
  readonly onPick: (value: string) => Promise<boolean>;
}

/** A choice that is carried out at once, and then stands on nothing again. */
function PickFor({ label, first, of, onPick }: PickForProps) {
  return (
    <select
      aria-label={label}
      className={barClass}
      value=""
      onChange={({ target: { value } }) => {
        if (value !== '') void onPick(value);
      }}
    >
      <option value="">{first}</option>
      {of.map(([value, words]) => (
        <option key={value} value={value}>
          {words}
        </option>
      ))}
    </select>
  );
}
