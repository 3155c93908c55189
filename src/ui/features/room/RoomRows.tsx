import type { DoorSwing } from '../../../core/records/index.ts';
import { CheckField, SelectField } from '../../components/fields.tsx';
import type { RoomTools } from './useRoomForm.tsx';
import { Rows } from './Rows.tsx';

/** The lists of a room's form: its walls as one walks round them, and what is fixed on them. */

const SWINGS: Record<DoorSwing, string> = {
  in: 'opens into the room',
  out: 'opens out of it',
  slide: 'slides',
  none: 'has no leaf',
};

export function WallRows({ fields, rows, text, remove, add, size, last, newId }: RoomTools) {
  return (
    <Rows
      of={rows.walls.fields}
      title="Walls, round to the right"
      add="Add a wall"
      onAdd={add(
        'walls',
        { id: newId(), name: `Wall ${fields.walls.length + 1}`, length: size(1000), turn: '90' },
        fields.walls.length - 1,
      )}
    >
      {(i) => {
        const isLast = i === fields.walls.length - 1;
        return (
          <>
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
          </>
        );
      }}
    </Rows>
  );
}

export function SlopeRows({ rows, text, wallField, remove, add, size, firstWall }: RoomTools) {
  return (
    <Rows
      of={rows.slopes.fields}
      title="Slopes"
      add="Add a slope"
      onAdd={add('slopes', { wallId: firstWall, knee: size(1000), run: size(1000) })}
    >
      {(i) => (
        <>
          {wallField(`slopes.${i}.wallId`)}
          <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
            {text(`slopes.${i}.knee`, 'High at the wall')}
            {text(`slopes.${i}.run`, 'Full height after')}
            {remove('slopes', i, 'the slope')}
          </div>
        </>
      )}
    </Rows>
  );
}

export function DoorRows({
  rows,
  text,
  wallField,
  remove,
  add,
  size,
  draw,
  others,
  newId,
  firstWall,
  register,
}: RoomTools) {
  return (
    <Rows
      of={rows.doors.fields}
      title="Doors"
      add="Add a door"
      onAdd={add('doors', {
        key: newId(),
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
      {(i) => (
        <>
          <div className="grid grid-cols-2 items-start gap-2">
            {wallField(`doors.${i}.wallId`)}
            {text(`doors.${i}.x`, 'From the left', 'As you face the wall')}
            {text(`doors.${i}.width`, 'Width')}
            {text(`doors.${i}.height`, 'Height')}
            <div className="col-span-2">
              <SelectField label="It" {...register(`doors.${i}.swing`, { onChange: draw })}>
                {Object.entries(SWINGS).map(([id, words]) => (
                  <option key={id} value={id}>
                    {words}
                  </option>
                ))}
              </SelectField>
            </div>
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
            {text(`doors.${i}.way`, 'Way from there')}
          </div>
          {remove('doors', i, 'the door')}
        </>
      )}
    </Rows>
  );
}

export function WindowRows({ rows, text, wallField, remove, add, size, draw, newId, firstWall, register }: RoomTools) {
  return (
    <Rows
      of={rows.windows.fields}
      title="Windows"
      add="Add a window"
      onAdd={add('windows', {
        key: newId(),
        wallId: firstWall,
        x: size(0),
        sill: size(900),
        width: size(800),
        height: size(1000),
        isInSlope: false,
      })}
    >
      {(i) => (
        <>
          <div className="grid grid-cols-2 items-start gap-2">
            {wallField(`windows.${i}.wallId`)}
            {text(`windows.${i}.x`, 'From the left', 'As you face the wall')}
            {text(`windows.${i}.width`, 'Width')}
            {text(`windows.${i}.height`, 'Height')}
            {text(`windows.${i}.sill`, 'Sill')}
          </div>
          <CheckField label="In the slope over the wall" {...register(`windows.${i}.isInSlope`, { onChange: draw })} />
          {remove('windows', i, 'the window')}
        </>
      )}
    </Rows>
  );
}

export function SocketRows({
  fields,
  rows,
  text,
  wallField,
  remove,
  add,
  size,
  newId,
  firstWall,
  register,
}: RoomTools) {
  return (
    <Rows
      of={rows.sockets.fields}
      title="Sockets"
      add="Add a socket"
      onAdd={add('sockets', {
        key: newId(),
        wallId: firstWall,
        x: size(300),
        height: size(300),
        circuitId: fields.circuits[0]?.key ?? '',
      })}
    >
      {(i) => (
        <>
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
            {text(`sockets.${i}.x`, 'From the left', 'As you face the wall')}
            {text(`sockets.${i}.height`, 'Height')}
            {remove('sockets', i, 'the socket')}
          </div>
        </>
      )}
    </Rows>
  );
}

export function CircuitRows({ fields, rows, text, remove, add, newId, units }: RoomTools) {
  return (
    <Rows
      of={rows.circuits.fields}
      title="Circuits"
      add="Add a circuit"
      onAdd={add('circuits', {
        key: newId(),
        name: `Circuit ${fields.circuits.length + 1}`,
        volts: units === 'metric' ? '230' : '120',
        amps: units === 'metric' ? '16' : '15',
      })}
    >
      {(i) => (
        <>
          {text(`circuits.${i}.name`, 'Name')}
          <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
            {text(`circuits.${i}.volts`, 'Volts')}
            {text(`circuits.${i}.amps`, 'Fuse, A')}
            {remove('circuits', i, fields.circuits[i]?.name ?? 'the circuit')}
          </div>
        </>
      )}
    </Rows>
  );
}

export function FixtureRows({ fields, rows, text, remove, add, size, draw, newId, register }: RoomTools) {
  return (
    <Rows
      of={rows.fixtures.fields}
      title="Pillars and heaters"
      add="Add one"
      onAdd={add('fixtures', {
        key: newId(),
        kind: 'heater',
        name: 'Heater',
        x: size(1000),
        y: size(1000),
        width: size(200),
        depth: size(200),
        height: size(600),
      })}
    >
      {(i) => (
        <>
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
        </>
      )}
    </Rows>
  );
}

export function LampRows({ fields, rows, text, remove, add, size, newId }: RoomTools) {
  return (
    <Rows
      of={rows.lamps.fields}
      title="Lamps"
      add="Add a lamp"
      onAdd={add('lamps', {
        key: newId(),
        name: `Lamp ${fields.lamps.length + 1}`,
        x: size(1000),
        y: size(1000),
        height: size(2000),
      })}
    >
      {(i) => (
        <>
          <div className="grid grid-cols-2 items-start gap-2">
            {text(`lamps.${i}.name`, 'Name')}
            {text(`lamps.${i}.height`, 'Height')}
            {text(`lamps.${i}.x`, 'Right')}
            {text(`lamps.${i}.y`, 'Down')}
          </div>
          {remove('lamps', i, fields.lamps[i]?.name ?? 'the lamp')}
        </>
      )}
    </Rows>
  );
}
