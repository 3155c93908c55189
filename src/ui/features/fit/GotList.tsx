import { getCost, withNewIds, type Got } from '../../../core/room/index.ts';
import { formatPlaceName, getRoomSpec, type PlaceTree } from '../../../core/storage/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { useChoices } from '../../state/choices.ts';
import { getTree } from '../../state/derived.ts';
import { useFitRun } from './fitRun.ts';
import { createSavePlaces } from '../../../core/acts/index.ts';
import { formatFixed, t } from '../../language/index.ts';

/** `into Tall cubes › A3`, or for a piece `at the Free wall of Kitchen`. */
function wordSpot(tree: PlaceTree, { within, places }: Got): string {
  const unit = places[0]?.unit;
  const room = unit && tree.places.get(within);
  if (!room) return t('into {placeName}', { placeName: formatPlaceName(tree, within) });
  const wall = getRoomSpec(room).walls.find((one) => one.id === unit.wallId);
  return t('at the {wall} of {room}', { wall: wall?.name ?? t('wall'), room: room.name });
}

/** What a search for things to get has found: how many of what, where each would stand, and what all costs. */
export function GotList({ unplaced }: { unplaced: number }) {
  const household = useHousehold();
  const got = useFitRun((state) => state.got);
  const start = useFitRun((state) => state.start);
  const seconds = useChoices((state) => state.fitSeconds);
  const supposed = useFitRun((state) => state.household);
  if (!got) return null;
  const { list, trials } = got;
  const tree = getTree(supposed ?? household);
  const total = list.reduce((sum, one) => sum + getCost(one), 0);
  const left =
    unplaced === 0
      ? ''
      : t(' {unplaced, plural, one {# thing} other {# things}} would still be without a home.', { unplaced });
  const tried = t(
    '{trials, plural, one {# set of things was} other {# sets of things were}} tried, each with a search of its own and real packing.',
    { trials },
  );
  const how =
    list.length === 0
      ? t(
          '{tried} A thing is tried where it fits, and where by its measures it would take something that has no home.',
          { tried },
        )
      : t(
          '{tried} Without any one of these, something would lose its home, as far as the search can see; a cheaper set was looked for and not found.',
          { tried },
        );
  if (list.length === 0)
    return (
      <p className="mt-3 border-l-4 border-woad bg-linen p-3" {...explained(how)}>
        {unplaced === 0
          ? t('You need nothing: all has a home.')
          : t('Nothing on your list would help.{left}', { left })}
      </p>
    );
  // In a room that was changed since, something else may stand there by now.
  const isSameRoom = got.asked.places === household.places;
  return (
    <section aria-label={t('To get')} className="mt-3 border-l-4 border-woad bg-linen p-3">
      <ul>
        {list.map((one) => (
          <li key={one.places[0]!.id} className="flex items-baseline gap-2">
            <span className="min-w-0 flex-1" {...explained(how)}>
              {one.count} × <strong>{one.ware.name}</strong>{' '}
              <span className="text-sm text-stone">{wordSpot(tree, one)}</span>
            </span>
            <span className="tabular" {...explained(t('What one costs, times how many.'))}>
              {formatFixed(getCost(one), 2)}
            </span>
          </li>
        ))}
      </ul>
      <p className="mt-1 flex items-baseline justify-between font-semibold">
        <span>{t('Together')}</span>
        <span className="tabular" {...explained(how)}>
          {formatFixed(total, 2)}
        </span>
      </p>
      <p {...explained(how)}>{unplaced === 0 ? t('With it all has a home.') : left}</p>
      {!isSameRoom && (
        <p className="mt-2 text-stone">{t('The room has changed since: ask again before you put them in.')}</p>
      )}
      {isSameRoom && (
        <Button
          className="mt-2"
          onClick={() =>
            void act(
              (now) =>
                createSavePlaces(
                  now,
                  list.map((one) => one.ware.name).join(', '),
                  withNewIds(
                    list.flatMap((one) => one.places),
                    world.createId,
                  ),
                  [],
                  world.nowMs(),
                ),
              t('They stand in the room now; a plan with them is looked for.'),
            ).then((isDone) => {
              if (isDone) start(useApp.getState().household!, 1, seconds);
            })
          }
        >
          {t('They are here now')}
        </Button>
      )}
    </section>
  );
}
