import { useState } from 'react';
import { Link } from 'react-router';
import { createLiftWish, createWish, findWish } from '../../../core/acts/index.ts';
import { createBoxesGone, createBoxPacked, createUnpackBack, findBoxRoom } from '../../../core/packup/index.ts';
import type { Household, Lot, Place } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { t } from '../../language/index.ts';

/** What belongs in each box, and how much of it is in. */
function listContents(household: Household, boxes: readonly Place[]): Map<string, { all: Lot[]; inside: number }> {
  const contents = new Map(boxes.map(({ id }) => [id as string, { all: [] as Lot[], inside: 0 }]));
  for (const lot of household.lots.values()) {
    const of = contents.get(lot.homeId ?? '') ?? contents.get(lot.placeId ?? '');
    if (!of || lot.state === 'gone') continue;
    of.all.push(lot);
    const at = contents.get(lot.placeId ?? '');
    if (at) at.inside += 1;
  }
  return contents;
}

/** The boxes while they are packed, under way and unpacked. */
export function BoxesPacked({ boxes }: { boxes: readonly Place[] }) {
  const household = useHousehold();
  const events = useApp((state) => state.events);
  const contents = listContents(household, boxes);
  const inside = [...contents.values()].reduce((sum, one) => sum + one.inside, 0);
  const all = [...household.lots.values()].filter((lot) => contents.has(lot.homeId ?? '')).length;
  return (
    <section aria-label={t('Moving boxes')} className="max-w-3xl">
      <h2 className="font-display text-xl font-semibold">{t('Moving house')}</h2>
      <p {...explained(t('Things whose place is a box now, of those that belong in one.'))}>
        {inside === 0 && all === 0
          ? t('Everything has another home: the boxes can go.')
          : t(
              '{inside, plural, one {# thing} other {# things}} in {boxes, plural, one {# box} other {# boxes}}; {all} belong in them.',
              { inside, boxes: boxes.length, all },
            )}
      </p>
      <p className="mt-1 flex flex-wrap gap-x-5">
        <Link className="text-woad underline underline-offset-4" to="/labels">
          {t('Print their labels')}
        </Link>
        <Link className="text-woad underline underline-offset-4" to="/moves">
          {t('Carry it step by step')}
        </Link>
        <Link className="text-woad underline underline-offset-4" to="/room">
          {t('The new room')}
        </Link>
        <Link className="text-woad underline underline-offset-4" to="/fit">
          {t('New homes')}
        </Link>
      </p>
      <ol aria-label={t('Boxes')} className="mt-3">
        {boxes.map((box) => (
          <Box key={box.id} box={box} {...contents.get(box.id)!} />
        ))}
      </ol>
      <OldRooms />
      <div className="mt-4 flex flex-wrap gap-3">
        {inside === 0 && all === 0 ? (
          <Button
            look="strong"
            onClick={() => void act((now) => createBoxesGone(now, world.nowMs()), t('The boxes are gone.'))}
          >
            {t('The boxes are empty and go')}
          </Button>
        ) : (
          <Button
            onClick={() =>
              void act(
                (now) => createUnpackBack(now, events, world.nowMs()),
                t('Everything belongs where it was before. Moves says how to carry it.'),
              )
            }
          >
            {t('Back to where it was')}
          </Button>
        )}
      </div>
    </section>
  );
}

function Box({ box, all, inside }: { box: Place; all: readonly Lot[]; inside: number }) {
  const household = useHousehold();
  const [isOpen, setOpen] = useState(false);
  const isPacked = all.every((lot) => lot.placeId === box.id);
  return (
    <li className="dotted-row py-1" aria-label={box.name}>
      <div className="flex flex-wrap items-center gap-x-4">
        <button
          type="button"
          data-name
          aria-expanded={isOpen}
          className="min-h-9 font-semibold hover:underline"
          onClick={() => setOpen(!isOpen)}
        >
          {box.name}
        </button>
        <span className="min-w-0 flex-1 text-stone" {...explained(t('Lying in it now, of what belongs in it.'))}>
          {all.length === 0
            ? t('empty')
            : isPacked
              ? t('packed, {all, plural, one {# thing} other {# things}}', { all: all.length })
              : t('{inside} of {all} in it', { inside, all: all.length })}
        </span>
        {!isPacked && all.length > 0 && (
          <Button
            look="quiet"
            onClick={() =>
              void act((now) => createBoxPacked(now, box.id, world.nowMs()), t('{box} is packed.', { box: box.name }))
            }
          >
            {t('It is packed')}
          </Button>
        )}
      </div>
      {isOpen && (
        <ul className="pb-1 pl-4" aria-label={t('In {box}', { box: box.name })}>
          {all.map((lot) => {
            const item = household.items.get(lot.itemId);
            return (
              item && (
                <li key={lot.id} className="flex items-center gap-2">
                  <Swatch item={item} className="size-5 shrink-0" />
                  <span data-name>{item.name}</span>
                </li>
              )
            );
          })}
        </ul>
      )}
    </li>
  );
}

/** Rooms that are left: nothing goes into them for now, and they are come back to. */
function OldRooms() {
  const household = useHousehold();
  const tree = getTree(household);
  const boxRoom = findBoxRoom(household);
  const rooms = tree.rooms.filter((room) => room.id !== boxRoom?.id);
  return (
    <fieldset className="mt-4">
      <legend className="font-bold">{t('Rooms that nothing goes into for now')}</legend>
      {rooms.map((room) => {
        const like = { kind: 'free', lotIds: [], groupIds: [], placeId: room.id } as const;
        const wish = findWish(household, { ...like, lotIds: [], groupIds: [] });
        return (
          <label key={room.id} className="flex min-h-9 items-center gap-2">
            <input
              type="checkbox"
              className="size-4 accent-woad"
              checked={wish !== null}
              onChange={() =>
                void act((now) =>
                  wish
                    ? createLiftWish(now, wish.id)
                    : createWish(now, {
                        id: world.createId(),
                        kind: 'free',
                        lotIds: [],
                        groupIds: [],
                        placeId: room.id,
                      }),
                )
              }
            />
            <span data-name>{room.name}</span>
          </label>
        );
      })}
      <p className="text-sm text-stone">{t('A room that is left stays as it is drawn, to be come back to.')}</p>
    </fieldset>
  );
}
