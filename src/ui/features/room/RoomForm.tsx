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
import { t } from '../../language/index.ts';

/** The measures of a room: its walls as one walks round them, and what is fixed on them. */
export function RoomForm(props: RoomFormProps) {
  const { tools, problem, isDirty, leave, hasOthers, onSubmit } = useRoomForm(props);
  const { text } = tools;
  const { room } = props;
  return (
    <Form aria-label={t('Measures of {room}', { room: room.name })} className="space-y-3" onSend={() => onSubmit()}>
      <h2 className="font-display text-[21px] font-semibold">{t('The room as measured')}</h2>
      {text('name', t('Name'))}
      <div className="grid grid-cols-2 items-start gap-3">
        {text('height', t('Ceiling'))}
        {text('up', t('Top of the plan faces, °'), t('0 where it is north'))}
        {text('latitude', t('Latitude, °'), t('For the sun; empty: 50'))}
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
      <SaveFoot problem={problem} warned={null} leave={t('Leave it')} onLeave={leave} isLeftByEscape={!isDirty} />
    </Form>
  );
}
