import type { Place } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { wordCount } from '../../text/index.ts';
import { createRemoveRoom, findRoomLoss } from '../../../core/acts/index.ts';

/** Takes a room out of the household, saying what hangs on it. */
export function RemoveRoom({ room }: { room: Place }) {
  const household = useHousehold();
  const { pieces, ousted, items, station } = findRoomLoss(household, room.id);
  const isLastStation = items > 0 && station === null;
  return (
    <div className="stitched-t pt-3 text-sm text-stone">
      <p>
        {`${wordCount(pieces, 'piece')} of furniture would go with it`}
        {ousted > 0 && `, ${wordCount(ousted, 'thing')} would lie out without a home`}
        {items > 0 &&
          station &&
          `, and ${wordCount(items, 'thing')} used at its stations would be used at ${station.name}`}
        {isLastStation
          ? '. It cannot go: things are used at its stations, and no other room has one.'
          : '. Its bins wait among the idle ones. Undo brings all back.'}
      </p>
      <Button
        look="quiet"
        disabled={isLastStation}
        onClick={() => void act((now) => createRemoveRoom(now, room.id, world.nowMs()), `Removed ${room.name}.`)}
      >
        Remove the whole room
      </Button>
    </div>
  );
}
