import { useState } from 'react';
import { CARE_FLAGS, type CareFlag, type Item, type StationId } from '../../../core/records/index.ts';
import { getRoomSpec } from '../../../core/storage/index.ts';
import { Button } from '../../components/Button.tsx';
import { WishButton } from '../../components/WishButton.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { wordCare, wordCount } from '../../text/index.ts';
import { barClass } from './NarrowBar.tsx';
import type { StashRow } from './rows.ts';
import { createChangeLots, createChangeMany } from '../../../core/acts/index.ts';

/** Changes the same about everything that is ticked, as one act with one undo. */
export function BulkBar({ rows, onDone }: { rows: readonly StashRow[]; onDone: () => void }) {
  const household = useHousehold();
  const act = useApp((state) => state.act);
  const [tag, setTag] = useState('');
  const [uses, setUses] = useState('');
  // On a phone the table matters more than what could be done to it.
  const [isOpen, setOpen] = useState(false);
  const stations = getTree(household).rooms.flatMap((room) => getRoomSpec(room).stations);
  const items = [...new Set(rows.map(({ item }) => item.id))];
  const subject = wordCount(items.length, 'thing');
  const change = (how: (item: Item) => Item, done: string) =>
    void act((now) => createChangeMany(now, subject, items, how), done);
  const isCloth = rows.every(({ item }) => item.fabric);
  const usesNumber = Number(uses.replace(',', '.'));
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
        <form
          className="flex items-center gap-1"
          onSubmit={(event) => {
            event.preventDefault();
            const word = tag.trim();
            if (word === '') return;
            change(
              (item) => ({ ...item, tags: [...new Set([...(item.tags ?? []), word])].slice(0, 20) }),
              `${subject} tagged “${word}”.`,
            );
            setTag('');
          }}
        >
          <input
            aria-label="Tag for all"
            placeholder="tag"
            maxLength={40}
            className={`${barClass} w-28`}
            value={tag}
            onChange={(event) => setTag(event.target.value)}
          />
          <Button look="quiet" type="submit">
            Tag
          </Button>
        </form>
        <select
          aria-label="Used at, for all"
          className={barClass}
          value=""
          onChange={(event) => {
            const stationId = event.target.value as StationId;
            if (stationId) change((item) => ({ ...item, stationId }), `${subject} changed.`);
          }}
        >
          <option value="">Used at …</option>
          {stations.map((station) => (
            <option key={station.id} value={station.id}>
              {station.name}
            </option>
          ))}
        </select>
        <select
          aria-label="Mind, for all"
          className={barClass}
          value=""
          onChange={(event) => {
            const flag = event.target.value as CareFlag;
            if (flag) change((item) => ({ ...item, care: [...new Set([...item.care, flag])] }), `${subject} changed.`);
          }}
        >
          <option value="">Mind …</option>
          {CARE_FLAGS.map((flag) => (
            <option key={flag} value={flag}>
              {wordCare(flag)}
            </option>
          ))}
        </select>
        <form
          className="flex items-center gap-1"
          onSubmit={(event) => {
            event.preventDefault();
            if (uses.trim() === '' || !(usesNumber >= 0 && usesNumber <= 1000)) return;
            change((item) => ({ ...item, usesPerMonth: usesNumber, learntPerMonth: undefined }), `${subject} changed.`);
            setUses('');
          }}
        >
          <input
            aria-label="Uses a month, for all"
            maxLength={10}
            placeholder="uses a month"
            className={`${barClass} w-28`}
            value={uses}
            onChange={(event) => setUses(event.target.value)}
          />
          <Button look="quiet" type="submit">
            Set
          </Button>
        </form>
        {rows.length > 1 && rows.length <= 60 && (
          <>
            <WishButton wish={{ kind: 'together', lotIds: rows.map(({ lot }) => lot.id) }}>Keep together</WishButton>
            <WishButton wish={{ kind: 'apart', lotIds: rows.map(({ lot }) => lot.id) }}>Never together</WishButton>
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
