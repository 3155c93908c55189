import { useEffect, useState } from 'react';
import { useFieldArray, useForm, type Control } from 'react-hook-form';
import { toWallSteps } from '../../../core/room/index.ts';
import type { Place, RoomSpec } from '../../../core/records/index.ts';
import { formatSize } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { SelectField, TextField } from '../../components/fields.tsx';
import { world } from '../../state/app.ts';
import { edit } from '../../state/hands.ts';
import { useBegan } from '../../state/began.ts';
import { getTree } from '../../state/derived.ts';
import { useTyped } from '../../state/typed.ts';
import { listFreed } from './listFreed.ts';
import { readRoomFields, sketchRoom, toRoomFields, type RoomFields } from './roomForm.ts';
import { createSavePlaces } from '../../../core/acts/index.ts';
import { t } from '../../language/index.ts';
import { joinSentences } from '../../text/grammar.ts';

export interface RoomFormProps {
  readonly room: Place;
  /** What is typed, as far as it reads; the plan shows it at once. */
  readonly onDraft: (room: RoomSpec | null) => void;
  readonly onDone: () => void;
}

/** What the lists of a room's form are made with. */
export type RoomTools = ReturnType<typeof useRoomForm>['tools'];

/** The rows of each list, which come and go. */
function useRows(control: Control<RoomFields>) {
  return {
    walls: useFieldArray({ control, name: 'walls', keyName: 'rowKey' }),
    slopes: useFieldArray({ control, name: 'slopes', keyName: 'rowKey' }),
    doors: useFieldArray({ control, name: 'doors', keyName: 'rowKey' }),
    windows: useFieldArray({ control, name: 'windows', keyName: 'rowKey' }),
    sockets: useFieldArray({ control, name: 'sockets', keyName: 'rowKey' }),
    circuits: useFieldArray({ control, name: 'circuits', keyName: 'rowKey' }),
    lamps: useFieldArray({ control, name: 'lamps', keyName: 'rowKey' }),
    fixtures: useFieldArray({ control, name: 'fixtures', keyName: 'rowKey' }),
  };
}

/** A room as its form has it: what is typed, what of it does not read, and how it is saved. */
export function useRoomForm({ room, onDraft, onDone }: RoomFormProps) {
  const [household, restart] = useBegan();
  const { units } = household.settings;
  const tree = getTree(household);
  const base = room.room!;
  const [isTried, setTried] = useState(false);
  const {
    register,
    control,
    watch,
    getValues,
    reset,
    setFocus,
    handleSubmit,
    formState: { isDirty },
  } = useForm<RoomFields>({
    defaultValues: toRoomFields(room.name, base, units),
  });
  const rows = useRows(control);
  const fields = watch();
  const drop = useTyped(`room-${room.id}`, fields, isDirty, (typed) => reset(typed, { keepDefaultValues: true }));
  useEffect(() => setFocus('name'), [setFocus]);
  const read = readRoomFields(fields, base, units);
  const faults = read.ok ? {} : read.fault;
  const size = (mm: number) => formatSize(mm, units);
  const sketch = sketchRoom(fields, base, units);
  const last = sketch ? toWallSteps(sketch.walls).at(-1) : null;
  const faultOf = (path: string) => faults[path];
  const draw = () => {
    onDraft(sketchRoom(getValues(), base, units));
  };
  const text = (path: string, label: string, hint?: string) => (
    <TextField
      label={label}
      of={
        path === 'name' ? 'places.name' : path.endsWith('.name') ? `places.room.${path.split('.')[0]}.name` : undefined
      }
      hint={hint}
      fault={faultOf(path)}
      {...register(path as 'name', { onChange: draw, shouldUnregister: false })}
    />
  );
  const wallOptions = fields.walls.map((wall) => (
    <option key={wall.id} value={wall.id}>
      {wall.name}
    </option>
  ));
  const wallField = (path: string) => (
    <SelectField label={t('In')} {...register(path as 'name', { onChange: draw })}>
      {wallOptions}
    </SelectField>
  );
  const others = tree.rooms
    .filter((one) => one.id !== room.id)
    .flatMap((one) => one.room!.doors.map((door) => ({ one, door })));
  const remove = (list: keyof typeof rows, index: number, what: string) => (
    <Button
      look="quiet"
      aria-label={t('Remove {what}', { what })}
      onClick={() => {
        rows[list].remove(index);
        requestAnimationFrame(draw);
      }}
    >
      {t('Remove')}
    </Button>
  );
  const add = (list: keyof typeof rows, row: object, at?: number) => () => {
    const { append, insert } = rows[list] as unknown as {
      append: (row: object) => void;
      insert: (at: number, row: object) => void;
    };
    if (at === undefined) append(row);
    else insert(at, row);
    requestAnimationFrame(draw);
  };
  const newId = () => world.createId();
  const firstWall = fields.walls[0]?.id ?? '';

  const save = async () => {
    setTried(true);
    if (!read.ok) return;
    const { name, room: next } = read.value;
    const moved = listFreed(tree, room, next);
    const isDone = await edit(household, (from) =>
      createSavePlaces(from, name, [{ ...room, name, room: next }, ...moved], [], world.nowMs()),
    );
    if (!isDone) return;
    drop();
    restart();
    onDone();
  };
  const leave = () => {
    drop();
    onDone();
  };
  const count = Object.keys(faults).length;
  const problem =
    (isTried || isDirty) && count > 0
      ? joinSentences([
          Object.values(faults)[0]!,
          count > 1 ? t('{count} more to mend.', { count: count - 1 }) : '',
          t('See the field above.'),
        ])
      : null;

  const tools = {
    fields,
    rows,
    units,
    size,
    last,
    text,
    wallField,
    register,
    draw,
    others,
    remove,
    add,
    newId,
    firstWall,
  };
  return { tools, problem, isDirty, leave, hasOthers: tree.rooms.length > 1, onSubmit: handleSubmit(save) };
}
