import { createSavePlaces } from '../../../core/acts/index.ts';
import type { Climate, LotId, Place } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { Unanswered } from '../../components/Unanswered.tsx';
import { useGrown } from '../../components/useGrown.ts';
import { explained } from '../../components/explained.ts';
import { CheckField } from '../../components/fields.tsx';
import { useHousehold, useOpen, world } from '../../state/app.ts';
import { edit } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { formatFixed, perLanguage, t } from '../../language/index.ts';

const CLIMATES = perLanguage((): readonly (readonly [Climate, string])[] => [
  ['damp', t('damp')],
  ['hot', t('hot')],
  ['cold', t('cold')],
  ['swinging', t('swings between them')],
]);
const MOST = 6;
const NOTHING = { fading: [], against: [], carried: [] };

/** What fades where, what a room does to its things, and which tools are carried about. */
export function LightAndAir() {
  const household = useHousehold();
  const tree = getTree(household);
  const { answer, again } = useAnswer(household, 'air', null);
  const { fading, against, carried } = answer ?? NOTHING;
  const rooms = useGrown(tree.rooms, 8);
  const toggle = (room: Place, climate: Climate) => {
    const before = room.room!.climates ?? [];
    const climates = before.includes(climate) ? before.filter((one) => one !== climate) : [...before, climate];
    const { climates: _, ...bare } = room.room!;
    const saved: Place = { ...room, room: { ...bare, ...(climates.length > 0 && { climates }) } };
    return edit(household, (from) => createSavePlaces(from, room.name, [saved], [], world.nowMs()));
  };
  return (
    <section aria-label={t('Light and air')} className="mt-6 max-w-3xl">
      <h2 className="font-display text-xl font-semibold">{t('Light and air')}</h2>
      {fading.length > 0 && (
        <ul aria-label={t('What fades')}>
          {fading.slice(0, MOST).map(({ placeId, hours, lotIds }) => (
            <li key={placeId} className="dotted-row py-1">
              <span
                {...explained(
                  t(
                    'Direct sun through the windows at its front edge, month by month, with a clear sky and nothing outside; curtains and clouds make it less.',
                  ),
                )}
              >
                <strong data-name>{formatPlaceName(tree, placeId)}</strong>{' '}
                {t('has up to {hours} hours of sun a year; in it fade', { hours: Math.round(hours / 10) * 10 })}
              </span>{' '}
              <Names ids={lotIds} />
            </li>
          ))}
        </ul>
      )}
      <Unanswered again={again} />
      {answer?.fading.length === 0 && <p className="text-stone">{t('Nothing that fades lies in the sun.')}</p>}
      {rooms.map((room) => (
        <fieldset key={room.id} className="mt-2 flex flex-wrap items-center gap-x-5">
          <legend className="float-left mr-4 font-semibold" data-name>
            {t('{room} is', { room: room.name })}
          </legend>
          {CLIMATES().map(([climate, name]) => (
            <CheckField
              key={climate}
              label={name}
              checked={room.room!.climates?.includes(climate) ?? false}
              onChange={() => void toggle(room, climate)}
            />
          ))}
        </fieldset>
      ))}
      {against.map(({ roomId, climate, lotIds }) => (
        <p key={`${roomId} ${climate}`} className="mt-1">
          <span className="text-madder">
            <span data-name>{tree.places.get(roomId)?.name}</span>{' '}
            {t('is {find}:', { find: CLIMATES().find(([one]) => one === climate)![1] })}
          </span>{' '}
          {t('better elsewhere')} <Names ids={lotIds} />
        </p>
      ))}
      {carried.length > 0 && (
        <>
          <h3 className="mt-3 font-bold">{t('Would pay to have twice')}</h3>
          <ul>
            {carried.slice(0, MOST).map(({ item, minutesPerMonth, cost, cart }) => (
              <li
                key={item.id}
                {...explained(
                  t(
                    'Every other use is at another of its stations: so far to walk there and back, by how often it is used.',
                  ),
                )}
              >
                <span data-name>{item.name}</span>
                {t(': {minutesPerMonth} min a month between its stations', {
                  minutesPerMonth: Math.round(minutesPerMonth),
                })}
                {cost !== null && t('; another costs about {cost}', { cost: formatFixed(cost, 2) })}
                {cart && (
                  <>
                    {t('; or keep it in')} <span data-name>{cart.name}</span>
                    {t(', which rolls to both')}
                  </>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

/** A few things by their names, the others counted. */
function Names({ ids }: { ids: readonly LotId[] }) {
  const household = useHousehold();
  const open = useOpen();
  return (
    <span {...explained(t('The first of them by name.'))}>
      {ids.slice(0, MOST).map((id, n) => (
        <span key={id}>
          {n > 0 && ', '}
          <button
            type="button"
            data-name
            className="text-woad underline underline-offset-4"
            onClick={() => open({ type: 'lot', id })}
          >
            {household.items.get(household.lots.get(id)!.itemId)?.name}
          </button>
        </span>
      ))}
      {ids.length > MOST && t(' and {most} more', { most: ids.length - MOST })}
    </span>
  );
}
