import { Form } from '../../components/Form.tsx';
import { RemoveRoom } from './RemoveRoom.tsx';
import {
  CircuitRows,
  DoorRows,
  FixtureRows,
  LampRows,
  SlopeRows,
  SocketRows,
  WallRows,
  WindowRows,
} from './RoomRows.tsx';
import { SaveFoot } from './SaveFoot.tsx';
import { useRoomForm, type RoomFormProps } from './useRoomForm.tsx';

/** The measures of a room: its walls as one walks round them, and what is fixed on them. */
export function RoomForm(props: RoomFormProps) {
  const { tools, problem, isDirty, leave, hasOthers, onSubmit } = useRoomForm(props);
  const { text } = tools;
  const { room } = props;
  return (
    <Form aria-label={`Measures of ${room.name}`} className="space-y-3" onSend={() => onSubmit()}>
      <h2 className="font-display text-[21px] font-semibold">The room as measured</h2>
      {text('name', 'Name')}
      <div className="grid grid-cols-2 items-start gap-3">
        {text('height', 'Ceiling')}
        {text('up', 'Top of the plan faces, °', '0 where it is north')}
        {text('latitude', 'Latitude, °', 'For the sun; empty: 50')}
      </div>
      <WallRows {...tools} />
      <SlopeRows {...tools} />
      <DoorRows {...tools} />
      <WindowRows {...tools} />
      <SocketRows {...tools} />
      <CircuitRows {...tools} />
      <FixtureRows {...tools} />
      <LampRows {...tools} />
      {hasOthers && <RemoveRoom room={room} />}
      {/* What was typed is not thrown away by one key. */}
      <SaveFoot problem={problem} warned={null} leave="Leave it" onLeave={leave} isLeftByEscape={!isDirty} />
    </Form>
  );
}
