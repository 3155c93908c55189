import { Link } from 'react-router';
import type { PlaceId } from '../../../core/records/index.ts';
import { tabClass } from '../../components/Page.tsx';
import { useHousehold } from '../../state/app.ts';
import { useChoices } from '../../state/choices.ts';
import { getTree, getWalls } from '../../state/derived.ts';
import { t } from '../../language/index.ts';

interface RoomTabsProps {
  readonly roomId: PlaceId;
  /** The id of the room whose plan is shown, or of the wall. */
  readonly here: string;
}

/** The plans of all rooms, and the walls of the one that is looked at. */
export function RoomTabs({ roomId, here }: RoomTabsProps) {
  const household = useHousehold();
  const { rooms } = getTree(household);
  const tab = (to: string, id: string, name: string, onClick?: () => void) => (
    <li key={id}>
      <Link to={to} className={tabClass(id === here)} aria-current={id === here ? 'page' : undefined} onClick={onClick}>
        {name}
      </Link>
    </li>
  );
  const plan = (id: PlaceId, name: string) =>
    tab(`/room/plan/${id}`, id, rooms.length > 1 ? t('Plan of {name}', { name }) : t('Floor plan'));
  return (
    <ul className="flex gap-1">
      {tab('/room/balance', 'balance', t('Balance'))}
      {rooms.map((room) => (
        <li key={room.id} className="contents">
          <ul className="contents">
            {plan(room.id, room.name)}
            {room.id === roomId &&
              getWalls(household)
                .filter((one) => one.room.id === roomId)
                .map(({ id, wall }) => tab(`/room/${id}`, id, wall.name, () => useChoices.setState({ wallId: id })))}
          </ul>
        </li>
      ))}
    </ul>
  );
}
