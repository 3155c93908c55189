import { useEffect, useState } from 'react';
import { useFieldArray, useForm } from 'react-hook-form';
import { toWallSteps } from '../../../core/room/index.ts';
import type { DoorSwing, Place, RoomSpec } from '../../../core/records/index.ts';
import { computeFootprint, standUnit } from '../../../core/storage/index.ts';
import { formatSize } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { CheckField, SelectField, TextField } from '../../components/fields.tsx';
import { useApp, world } from '../../state/app.ts';
import { useBegan } from '../../state/began.ts';
import { getTree } from '../../state/derived.ts';
import { readRoomFields, sketchRoom, toRoomFields, type RoomFields } from './roomForm.ts';
import { Rows } from './Rows.tsx';
import { RemoveRoom } from './RemoveRoom.tsx';
import { SaveFoot } from './SaveFoot.tsx';
import { createSavePlaces } from '../../../core/acts/index.ts';

interface RoomFormProps {
  readonly room: Place;
  /** What is typed, as far as it reads; the plan shows it at once. */
  readonly onDraft: (room: RoomSpec | null) => void;
  readonly onDone: () => void;
}

const SWINGS: Record<DoorSwing, string> = {
  in: 'opens into the room',
  out: 'opens out of it',
  slide: 'slides',
  none: 'has no leaf',
};

/** The measures of a room: its walls as one walks round them, and what is fixed on them. */
export function RoomForm({ room, onDraft, onDone }: RoomFormProps) {
  const [household, restart] = useBegan();
  const { units } = household.settings;
  const tree = getTree(household);
  const edit = useApp((state) => state.edit);
  const base = room.room!;
  const [isTried, setTried] = useState(false);
  const {
    register,
    control,
    watch,
    getValues,
    setFocus,
    handleSubmit,
    formState: { isDirty },
  } = useForm<RoomFields>({
    defaultValues: toRoomFields(room.name, base, units),
  });
  const rows = {
    walls: useFieldArray({ control, name: 'walls', keyName: 'rowKey' }),
    slopes: useFieldArray({ control, name: 'slopes', keyName: 'rowKey' }),
    doors: useFieldArray({ control, name: 'doors', keyName: 'rowKey' }),
    windows: useFieldArray({ control, name: 'windows', keyName: 'rowKey' }),
    sockets: useFieldArray({ control, name: 'sockets', keyName: 'rowKey' }),
    circuits: useFieldArray({ control, name: 'circuits', keyName: 'rowKey' }),
    lamps: useFieldArray({ control, name: 'lamps', keyName: 'rowKey' }),
    fixtures: useFieldArray({ control, name: 'fixtures', keyName: 'rowKey' }),
  };
  useEffect(() => setFocus('name'), [setFocus]);
  const fields = watch();
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
    <SelectField label="In" {...register(path as 'name', { onChange: draw })}>
      {wallOptions}
    </SelectField>
  );
  const others = tree.rooms
    .filter((one) => one.id !== room.id)
    .flatMap((one) => one.room!.doors.map((door) => ({ one, door })));
  const remove = (list: keyof typeof rows, index: number, what: string) => (
    <Button
      look="quiet"
      aria-label={`Remove ${what}`}
      onClick={() => {
        rows[list].remove(index);
        requestAnimationFrame(draw);
      }}
    >
      Remove
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
  const key = () => world.createId();
  const firstWall = fields.walls[0]?.id ?? '';

  const save = async () => {
    setTried(true);
    if (!read.ok) return;
    const { name, room: next } = read.value;
    // What stood at a wall that is no more stands where it stood, free.
    const walls = new Set(next.walls.map((wall) => wall.id));
    const moved = tree.getChildren(room.id).flatMap((place): Place[] => {
      const { unit } = place;
      if (!unit || walls.has(unit.wallId)) return [];
      const { xMm, yMm, turnDeg } = computeFootprint(base, unit);
      return [{ ...place, unit: standUnit(next, unit, { xMm, yMm, turnDeg }) }];
    });
    const isDone = await edit(household, (from) =>
      createSavePlaces(from, name, [{ ...room, name, room: next }, ...moved], [], world.nowMs()),
    );
    if (!isDone) return;
    restart();
    onDone();
  };
  const count = Object.keys(faults).length;
  const problem =
    (isTried || isDirty) && count > 0
      ? `${Object.values(faults)[0]}${count > 1 ? ` ${count - 1} more to mend.` : ''} See the field above.`
      : null;

  return (
    <form
      noValidate
      aria-label={`Measures of ${room.name}`}
      className="space-y-3"
      onSubmit={(event) => void handleSubmit(save)(event)}
    >
      <h2 className="font-display text-[21px] font-semibold">The room as measured</h2>
      {text('name', 'Name')}
      <div className="grid grid-cols-2 items-start gap-3">
        {text('height', 'Ceiling')}
        {text('up', 'Top looks to, °', '0 where it is north')}
        {text('latitude', 'Latitude, °', 'For the sun; empty: 50')}
      </div>
      <Rows
        title="Walls, round to the right"
        add="Add a wall"
        onAdd={add(
          'walls',
          { id: key(), name: `Wall ${fields.walls.length + 1}`, length: size(1000), turn: '90' },
          fields.walls.length - 1,
        )}
      >
        {rows.walls.fields.map((row, i) => {
          const isLast = i === fields.walls.length - 1;
          return (
            <li key={row.rowKey} className="dotted-row pb-2">
              {text(`walls.${i}.name`, `Wall ${i + 1}`)}
              {isLast ? (
                <p className="text-sm text-stone">
                  {last ? `Closes the room: ${size(last.lengthMm)}.` : 'Closes the room.'}
                </p>
              ) : (
                <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
                  {text(`walls.${i}.length`, 'Length')}
                  {text(`walls.${i}.turn`, 'Then turn, °')}
                  {fields.walls.length > 3 && remove('walls', i, fields.walls[i]?.name ?? 'the wall')}
                </div>
              )}
            </li>
          );
        })}
      </Rows>
      <Rows
        title="Slopes"
        add="Add a slope"
        onAdd={add('slopes', { wallId: firstWall, knee: size(1000), run: size(1000) })}
      >
        {rows.slopes.fields.map((row, i) => (
          <li key={row.rowKey} className="dotted-row pb-2">
            {wallField(`slopes.${i}.wallId`)}
            <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
              {text(`slopes.${i}.knee`, 'High at the wall')}
              {text(`slopes.${i}.run`, 'Full height after')}
              {remove('slopes', i, 'the slope')}
            </div>
          </li>
        ))}
      </Rows>
      <Rows
        title="Doors"
        add="Add a door"
        onAdd={add('doors', {
          key: key(),
          wallId: firstWall,
          x: size(0),
          width: size(800),
          height: size(2000),
          hinge: 'left',
          swing: 'in',
          leadsTo: '',
          way: size(0),
        })}
      >
        {rows.doors.fields.map((row, i) => (
          <li key={row.rowKey} className="dotted-row pb-2">
            <div className="grid grid-cols-2 items-start gap-2">
              {wallField(`doors.${i}.wallId`)}
              {text(`doors.${i}.x`, 'From the left')}
              {text(`doors.${i}.width`, 'Width')}
              {text(`doors.${i}.height`, 'Height')}
              <SelectField label="It" {...register(`doors.${i}.swing`, { onChange: draw })}>
                {Object.entries(SWINGS).map(([id, words]) => (
                  <option key={id} value={id}>
                    {words}
                  </option>
                ))}
              </SelectField>
              <SelectField label="Hinges" {...register(`doors.${i}.hinge`, { onChange: draw })}>
                <option value="left">left</option>
                <option value="right">right</option>
              </SelectField>
              <SelectField label="Leads to" {...register(`doors.${i}.leadsTo`)}>
                <option value="">the hall</option>
                {others.map(({ one, door }) => (
                  <option key={door.id} value={door.id}>
                    {one.name}
                  </option>
                ))}
              </SelectField>
              {text(`doors.${i}.way`, 'So far from there')}
            </div>
            {remove('doors', i, 'the door')}
          </li>
        ))}
      </Rows>
      <Rows
        title="Windows"
        add="Add a window"
        onAdd={add('windows', {
          key: key(),
          wallId: firstWall,
          x: size(0),
          sill: size(900),
          width: size(800),
          height: size(1000),
          isInSlope: false,
        })}
      >
        {rows.windows.fields.map((row, i) => (
          <li key={row.rowKey} className="dotted-row pb-2">
            <div className="grid grid-cols-2 items-start gap-2">
              {wallField(`windows.${i}.wallId`)}
              {text(`windows.${i}.x`, 'From the left')}
              {text(`windows.${i}.width`, 'Width')}
              {text(`windows.${i}.height`, 'Height')}
              {text(`windows.${i}.sill`, 'Sill')}
            </div>
            <CheckField
              label="In the slope over the wall"
              {...register(`windows.${i}.isInSlope`, { onChange: draw })}
            />
            {remove('windows', i, 'the window')}
          </li>
        ))}
      </Rows>
      <Rows
        title="Sockets"
        add="Add a socket"
        onAdd={add('sockets', {
          key: key(),
          wallId: firstWall,
          x: size(300),
          height: size(300),
          circuitId: fields.circuits[0]?.key ?? '',
        })}
      >
        {rows.sockets.fields.map((row, i) => (
          <li key={row.rowKey} className="dotted-row pb-2">
            <div className="grid grid-cols-2 gap-2">
              {wallField(`sockets.${i}.wallId`)}
              <SelectField label="On" {...register(`sockets.${i}.circuitId`)}>
                <option value="">no circuit yet</option>
                {fields.circuits.map((circuit) => (
                  <option key={circuit.key} value={circuit.key}>
                    {circuit.name}
                  </option>
                ))}
              </SelectField>
            </div>
            <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
              {text(`sockets.${i}.x`, 'From the left')}
              {text(`sockets.${i}.height`, 'Height')}
              {remove('sockets', i, 'the socket')}
            </div>
          </li>
        ))}
      </Rows>
      <Rows
        title="Circuits"
        add="Add a circuit"
        onAdd={add('circuits', {
          key: key(),
          name: `Circuit ${fields.circuits.length + 1}`,
          volts: units === 'metric' ? '230' : '120',
          amps: units === 'metric' ? '16' : '15',
        })}
      >
        {rows.circuits.fields.map((row, i) => (
          <li key={row.rowKey} className="dotted-row pb-2">
            {text(`circuits.${i}.name`, 'Name')}
            <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
              {text(`circuits.${i}.volts`, 'Volts')}
              {text(`circuits.${i}.amps`, 'Fuse, A')}
              {remove('circuits', i, fields.circuits[i]?.name ?? 'the circuit')}
            </div>
          </li>
        ))}
      </Rows>
      <Rows
        title="Pillars and heaters"
        add="Add one"
        onAdd={add('fixtures', {
          key: key(),
          kind: 'heater',
          name: 'Heater',
          x: size(1000),
          y: size(1000),
          width: size(200),
          depth: size(200),
          height: size(600),
        })}
      >
        {rows.fixtures.fields.map((row, i) => (
          <li key={row.rowKey} className="dotted-row pb-2">
            <div className="grid grid-cols-2 items-start gap-2">
              <SelectField label="It is a" {...register(`fixtures.${i}.kind`, { onChange: draw })}>
                <option value="pillar">pillar</option>
                <option value="heater">heater</option>
              </SelectField>
              {text(`fixtures.${i}.name`, 'Name')}
              {text(`fixtures.${i}.x`, 'Middle, right')}
              {text(`fixtures.${i}.y`, 'Middle, down')}
              {text(`fixtures.${i}.width`, 'Width')}
              {text(`fixtures.${i}.depth`, 'Depth')}
              {text(`fixtures.${i}.height`, 'Height')}
            </div>
            {remove('fixtures', i, fields.fixtures[i]?.name ?? 'it')}
          </li>
        ))}
      </Rows>
      <Rows
        title="Lamps"
        add="Add a lamp"
        onAdd={add('lamps', {
          key: key(),
          name: `Lamp ${fields.lamps.length + 1}`,
          x: size(1000),
          y: size(1000),
          height: size(2000),
        })}
      >
        {rows.lamps.fields.map((row, i) => (
          <li key={row.rowKey} className="dotted-row pb-2">
            <div className="grid grid-cols-2 items-start gap-2">
              {text(`lamps.${i}.name`, 'Name')}
              {text(`lamps.${i}.height`, 'Height')}
              {text(`lamps.${i}.x`, 'Right')}
              {text(`lamps.${i}.y`, 'Down')}
            </div>
            {remove('lamps', i, fields.lamps[i]?.name ?? 'the lamp')}
          </li>
        ))}
      </Rows>
      {tree.rooms.length > 1 && <RemoveRoom room={room} />}
      {/* What was typed is not thrown away by one key. */}
      <SaveFoot problem={problem} warned={null} leave="Leave it" onLeave={onDone} isLeftByEscape={!isDirty} />
    </form>
  );
}
