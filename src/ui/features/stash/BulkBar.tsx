import { useState } from 'react';
import { completeSketch, findType, TYPE_FIGURES } from '../../../core/catalog/index.ts';
import { CLOTHS } from '../../../core/measure/index.ts';
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
import { WishButton } from '../../components/WishButton.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { capitalise, wordCare, wordCloth } from '../../text/index.ts';
import { OneWordForm, PickFor } from './bulk.tsx';
import { BulkPlaces } from './BulkPlaces.tsx';
import type { StashRow } from './rows.ts';
import { createChangeLots, createChangeMany, createRemoveLots } from '../../../core/acts/index.ts';
import { t, wordTerm } from '../../language/index.ts';

/** Changes the same about everything that is ticked, as one act with one undo. */
export function BulkBar({ rows, onDone }: { rows: readonly StashRow[]; onDone: () => void }) {
  const household = useHousehold();
  // On a phone the table matters more than what could be done to it.
  const [isOpen, setOpen] = useState(false);
  const stations = getTree(household).rooms.flatMap((room) => getRoomSpec(room).stations);
  const items = [...new Set(rows.map(({ item }) => item.id))];
  const subject = t('{n, plural, one {# thing} other {# things}}', { n: items.length });
  const change = (how: (item: Item) => Item, done: string) =>
    act((now) => createChangeMany(now, subject, items, how), done);
  const isCloth = rows.every(({ item }) => item.fabric);
  const remove = () => {
    const words = t('{n, plural, one {# thing} other {# things}}', { n: rows.length });
    const ids = rows.map(({ lot }) => lot.id);
    return act(
      (now) => createRemoveLots(now, ids, words, world.nowMs()),
      t('{words} removed from the stash.', { words }),
    );
  };
  return (
    <div
      role="group"
      aria-label={t('Change all that is ticked')}
      className="flex flex-wrap items-center gap-2 border-l-4 border-woad bg-linen px-4 py-1.5 md:px-5"
    >
      <strong>{t('{rows, plural, one {# thing} other {# things}} ticked', { rows: rows.length })}</strong>
      <Button look="quiet" className="md:hidden" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        {t('Change …')}
      </Button>
      <div
        className={`${isOpen ? '' : 'max-md:hidden'} flex flex-wrap items-center gap-x-3 max-md:order-last md:ml-auto`}
      >
        {rows.length > 1 && rows.length <= 60 && (
          <>
            <WishButton wish={{ kind: 'together', lotIds: rows.map(({ lot }) => lot.id) }}>
              {t('Keep together')}
            </WishButton>
            <WishButton wish={{ kind: 'apart', lotIds: rows.map(({ lot }) => lot.id) }}>
              {t('Never together')}
            </WishButton>
          </>
        )}
        {isCloth && (
          <Button
            look="quiet"
            onClick={() =>
              void act(
                (now) =>
                  createChangeLots(
                    now,
                    t('{n, plural, one {# thing} other {# things}}', { n: rows.length }),
                    rows.map(({ lot }) => lot.id),
                    (lot) => ({ ...lot, isWashed: true, sinceMs: world.nowMs() }),
                  ),
                t('{rows, plural, one {# thing} other {# things}} washed.', { rows: rows.length }),
              )
            }
          >
            {t('All washed')}
          </Button>
        )}
        <Button look="quiet" onClick={() => void remove()}>
          {t('Remove {rows, plural, one {# thing} other {# things}}', { rows: rows.length })}
        </Button>
      </div>
      <Button look="quiet" className="max-md:ml-auto" onClick={onDone}>
        {t('Untick all')}
      </Button>
      <div
        className={`${isOpen ? 'max-md:grid' : 'max-md:hidden'} w-full grid-cols-2 items-center gap-2 max-md:order-last md:flex md:flex-wrap`}
      >
        <BulkPlaces rows={rows} />
        <PickType rows={rows} />
        <PickFor
          label={t('Used at, for all')}
          first={t('Used at …')}
          of={stations.map(({ id, name }) => [id, name])}
          onPick={(id) =>
            change((item) => ({ ...item, stationId: id as StationId }), t('{subject} changed.', { subject }))
          }
        />
        <PickFor
          label={t('Take care, for all')}
          first={t('Take care …')}
          of={CARE_FLAGS.map((flag) => [flag, wordCare(flag)])}
          onPick={(flag) =>
            change(
              (item) => ({ ...item, care: [...new Set([...item.care, flag as CareFlag])] }),
              t('{subject} changed.', { subject }),
            )
          }
        />
        <OneWordForm
          label={t('Tag for all')}
          placeholder={t('tag')}
          maxLength={40}
          send={t('Tag')}
          onSend={(word) =>
            change(
              (item) => ({ ...item, tags: [...new Set([...(item.tags ?? []), word])].slice(0, 20) }),
              t('{subject} tagged “{word}”.', { subject, word }),
            )
          }
        />
        <OneWordForm
          label={t('Uses a month, for all')}
          placeholder={t('uses a month')}
          maxLength={10}
          send={t('Set')}
          onSend={(word) => {
            const usesPerMonth = Number(word.replace(',', '.'));
            if (!(usesPerMonth >= 0 && usesPerMonth <= 1000)) return undefined;
            return change(
              (item) => ({ ...item, usesPerMonth, learntPerMonth: undefined }),
              t('{subject} changed.', { subject }),
            );
          }}
        />
        {rows.length > 1 && <HeapUp rows={rows} onDone={onDone} />}
      </div>
    </div>
  );
}

/** What all of them are: the class of cloth, or the type of what is told by types. What was measured stays. */
function PickType({ rows }: { rows: readonly StashRow[] }) {
  const kinds = new Set(rows.map(({ item }) => item.kind));
  const [kind] = kinds;
  if (!kind || kinds.size > 1) return null;
  const isCloth = kind === 'fabric' || kind === 'scrap';
  const types = TYPE_FIGURES.filter((one) => one.kind === kind).map(({ type }) => type);
  const of = isCloth
    ? CLOTHS.map(({ id }) => [id, capitalise(wordCloth(id))] as const)
    : types.map((type) => [type, wordTerm(type)] as const);
  if (of.length === 0) return null;
  const lots = new Map(rows.map(({ item, lot }) => [item.id, lot]));
  const subject = t('{n, plural, one {# thing} other {# things}}', { n: lots.size });
  const retype = (chosen: string) => (item: Item) => {
    const { stationId, id: itemId } = item;
    const lot = lots.get(itemId)!;
    const sketch = isCloth ? { kind, cloth: chosen } : { kind, type: findType(chosen, kind)?.type ?? chosen };
    const { settings } = useApp.getState().household!;
    const birth = { itemId, lotId: lot.id, stationId, nowMs: world.nowMs(), settings };
    const made = completeSketch(sketch, birth, { item, lot });
    return made.ok ? made.value.item : item;
  };
  return (
    <PickFor
      label={t('What all of it is')}
      first={isCloth ? t('Class of cloth …') : t('Type …')}
      of={of}
      onPick={(chosen) =>
        act(
          (now) => createChangeMany(now, subject, [...lots.keys()], retype(chosen)),
          `${subject}: ${isCloth ? wordCloth(chosen) : wordTerm(chosen)}.`,
        )
      }
    />
  );
}

/** What need not be kept singly becomes one heap, under a name. */
function HeapUp({ rows, onDone }: { rows: readonly StashRow[]; onDone: () => void }) {
  const heap = async (name: string) => {
    const { createHeapUp } = await import('../../../core/heaps/index.ts');
    const ids = rows.map(({ lot }) => lot.id);
    const made = { name, itemId: world.createId() as ItemId, lotId: world.createId() as LotId };
    const words = t('{name}: one heap of {rows, plural, one {# thing} other {# things}}.', { name, rows: rows.length });
    const isDone = await act((now) => createHeapUp(now, ids, made, world.nowMs()), words);
    if (isDone) onDone();
    return isDone;
  };
  return (
    <OneWordForm
      label={t('Name of the heap')}
      placeholder={t('name of the heap')}
      maxLength={120}
      send={t('Make a heap')}
      onSend={heap}
    />
  );
}
