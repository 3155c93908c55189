import { createSavePlaces } from '../../../core/acts/index.ts';
import type { Place } from '../../../core/records/index.ts';
import { placeDoor, placeWindow } from '../../../core/room/index.ts';
import { getWallLine } from '../../../core/storage/index.ts';
import { useApp, world } from '../../state/app.ts';
import { edit } from '../../state/hands.ts';
import { t } from '../../language/index.ts';

/** Puts a door or a window into a wall, so far along it; in its middle where null. */
export async function putOpening(
  room: Place,
  what: 'door' | 'window',
  wallId: string,
  alongMm: number | null,
): Promise<void> {
  const wall = getWallLine(room.room!, wallId);
  const put = what === 'door' ? placeDoor : placeWindow;
  const spec = put(room.room!, wallId, alongMm ?? wall.lengthMm / 2, world.createId());
  if (!spec) {
    const text =
      what === 'door'
        ? t('{wall} has no room for a door there.', { wall: wall.name })
        : t('{wall} has no room for a window there.', { wall: wall.name });
    return useApp.setState({ notice: { tone: 'fault', text, canUndo: false } });
  }
  const next = { ...room, room: spec };
  const { household } = useApp.getState();
  if (!household) return;
  await edit(
    household,
    (from) => createSavePlaces(from, room.name, [next], [], world.nowMs()),
    what === 'door' ? t('A door in {wall}.', { wall: wall.name }) : t('A window in {wall}.', { wall: wall.name }),
  );
}
