import type { DoorSwing } from '../../../core/records/index.ts';
import { CheckField, SelectField } from '../../components/fields.tsx';
import type { RoomTools } from './useRoomForm.tsx';
import { Rows } from './Rows.tsx';
import { perLanguage, t } from '../../language/index.ts';

/** The lists of a room's form: its walls as one walks round them, and what is fixed on them. */

const SWINGS = perLanguage((): Record<DoorSwing, string> => ({
  in: t('opens into the room'),
  out: t('opens out of it'),
  slide: t('slides'),
  none: t('has no leaf'),
}));

export function WallRows({ fields, rows, text, remove, add, size, last, newId }: RoomTools) {
  return (
    <Rows
      of={rows.walls.fields}
      title={t('Walls, round to the right')}
      add={t('Add a wall')}
      onAdd={add(
        'walls',
        { id: newId(), name: t('Wall {number}', { number: fields.walls.length + 1 }), length: size(1000), turn: '90' },
        fields.walls.length - 1,
      )}
    >
      {(i) => {
        const isLast = i === fields.walls.length - 1;
        return (
          <>
            {text(`walls.${i}.name`, t('Wall {number}', { number: i + 1 }))}
            {isLast ? (
              <p className="text-sm text-stone">
                {last ? t('Closes the room: {lengthMm}.', { lengthMm: size(last.lengthMm) }) : t('Closes the room.')}
              </p>
            ) : (
              <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
                {text(`walls.${i}.length`, t('Length'))}
                {text(`walls.${i}.turn`, t('Then turn, °'))}
                {fields.walls.length > 3 && remove('walls', i, fields.walls[i]?.name ?? t('the wall'))}
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
      title={t('Slopes')}
      add={t('Add a slope')}
      onAdd={add('slopes', { wallId: firstWall, knee: size(1000), run: size(1000) })}
    >
      {(i) => (
        <>
          {wallField(`slopes.${i}.wallId`)}
          <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
            {text(`slopes.${i}.knee`, t('High at the wall'))}
            {text(`slopes.${i}.run`, t('Full height after'))}
            {remove('slopes', i, t('the slope'))}
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
      title={t('Doors')}
      add={t('Add a door')}
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
            {text(`doors.${i}.x`, t('From the left'), t('As you face the wall'))}
            {text(`doors.${i}.width`, t('Width'))}
            {text(`doors.${i}.height`, t('Height'))}
            <div className="col-span-2">
              <SelectField label={t('It')} {...register(`doors.${i}.swing`, { onChange: draw })}>
                {Object.entries(SWINGS()).map(([id, words]) => (
                  <option key={id} value={id}>
                    {words}
                  </option>
                ))}
              </SelectField>
            </div>
            <SelectField label={t('Hinges')} {...register(`doors.${i}.hinge`, { onChange: draw })}>
              <option value="left">{t('left')}</option>
              <option value="right">{t('right')}</option>
            </SelectField>
            <SelectField label={t('Leads to')} {...register(`doors.${i}.leadsTo`)}>
              <option value="">{t('the hall')}</option>
              {others.map(({ one, door }) => (
                <option key={door.id} value={door.id}>
                  {one.name}
                </option>
              ))}
            </SelectField>
            {text(`doors.${i}.way`, t('Way from there'))}
          </div>
          {remove('doors', i, t('the door'))}
        </>
      )}
    </Rows>
  );
}

export function WindowRows({ rows, text, wallField, remove, add, size, draw, newId, firstWall, register }: RoomTools) {
  return (
    <Rows
      of={rows.windows.fields}
      title={t('Windows')}
      add={t('Add a window')}
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
            {text(`windows.${i}.x`, t('From the left'), t('As you face the wall'))}
            {text(`windows.${i}.width`, t('Width'))}
            {text(`windows.${i}.height`, t('Height'))}
            {text(`windows.${i}.sill`, t('Sill'))}
          </div>
          <CheckField
            label={t('In the slope over the wall')}
            {...register(`windows.${i}.isInSlope`, { onChange: draw })}
          />
          {remove('windows', i, t('the window'))}
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
      title={t('Sockets')}
      add={t('Add a socket')}
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
            <SelectField label={t('On')} {...register(`sockets.${i}.circuitId`)}>
              <option value="">{t('no circuit yet')}</option>
              {fields.circuits.map((circuit) => (
                <option key={circuit.key} value={circuit.key}>
                  {circuit.name}
                </option>
              ))}
            </SelectField>
          </div>
          <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
            {text(`sockets.${i}.x`, t('From the left'), t('As you face the wall'))}
            {text(`sockets.${i}.height`, t('Height'))}
            {remove('sockets', i, t('the socket'))}
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
      title={t('Circuits')}
      add={t('Add a circuit')}
      onAdd={add('circuits', {
        key: newId(),
        name: t('Circuit {number}', { number: fields.circuits.length + 1 }),
        volts: units === 'metric' ? '230' : '120',
        amps: units === 'metric' ? '16' : '15',
      })}
    >
      {(i) => (
        <>
          {text(`circuits.${i}.name`, t('Name'))}
          <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
            {text(`circuits.${i}.volts`, t('Volts'))}
            {text(`circuits.${i}.amps`, t('Fuse, A'))}
            {remove('circuits', i, fields.circuits[i]?.name ?? t('the circuit'))}
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
      title={t('Pillars and heaters')}
      add={t('Add one')}
      onAdd={add('fixtures', {
        key: newId(),
        kind: 'heater',
        name: t('Heater'),
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
            <SelectField label={t('It is a')} {...register(`fixtures.${i}.kind`, { onChange: draw })}>
              <option value="pillar">{t('pillar')}</option>
              <option value="heater">{t('heater')}</option>
            </SelectField>
            {text(`fixtures.${i}.name`, t('Name'))}
            {text(`fixtures.${i}.x`, t('Middle, right'))}
            {text(`fixtures.${i}.y`, t('Middle, down'))}
            {text(`fixtures.${i}.width`, t('Width'))}
            {text(`fixtures.${i}.depth`, t('Depth'))}
            {text(`fixtures.${i}.height`, t('Height'))}
          </div>
          {remove('fixtures', i, fields.fixtures[i]?.name ?? t('it'))}
        </>
      )}
    </Rows>
  );
}

export function LampRows({ fields, rows, text, remove, add, size, newId }: RoomTools) {
  return (
    <Rows
      of={rows.lamps.fields}
      title={t('Lamps')}
      add={t('Add a lamp')}
      onAdd={add('lamps', {
        key: newId(),
        name: t('Lamp {number}', { number: fields.lamps.length + 1 }),
        x: size(1000),
        y: size(1000),
        height: size(2000),
      })}
    >
      {(i) => (
        <>
          <div className="grid grid-cols-2 items-start gap-2">
            {text(`lamps.${i}.name`, t('Name'))}
            {text(`lamps.${i}.height`, t('Height'))}
            {text(`lamps.${i}.x`, t('Right'))}
            {text(`lamps.${i}.y`, t('Down'))}
          </div>
          {remove('lamps', i, fields.lamps[i]?.name ?? t('the lamp'))}
        </>
      )}
    </Rows>
  );
}
