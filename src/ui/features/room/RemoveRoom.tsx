import type { Place } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { createRemoveRoom, findRoomLoss } from '../../../core/acts/index.ts';
import { t } from '../../language/index.ts';

/** Takes a room out of the household, saying what hangs on it. */
export function RemoveRoom({ room }: { room: Place }) {
  const household = useHousehold();
  const { pieces, ousted, items, station } = findRoomLoss(household, room.id);
  const isLastStation = items > 0 && station === null;
  return (
    <div className="stitched-t pt-3 text-sm text-stone">
      <p>
        {t('{pieces, plural, one {# piece} other {# pieces}} of furniture would go with it', { pieces })}
        {ousted > 0 && t(', {ousted, plural, one {# thing} other {# things}} would lie out without a home', { ousted })}
        {items > 0 &&
          station &&
          t(', and {items, plural, one {# thing} other {# things}} used at its stations would be used at {station}', {
            items,
            station: station.name,
          })}
        {isLastStation
          ? t('. It cannot go: things are used at its stations, and no other room has one.')
          : t('. Its bins wait among the idle ones. Undo brings all back.')}
      </p>
      <Button
        look="quiet"
        disabled={isLastStation}
        onClick={() =>
          void act((now) => createRemoveRoom(now, room.id, world.nowMs()), t('Removed {room}.', { room: room.name }))
        }
      >
        {t('Remove the whole room')}
      </Button>
    </div>
  );
}
