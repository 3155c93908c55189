import { describe, expect, it } from 'vitest';
import { ROOM } from '../../../../tests/household.ts';
import type { RoomSpec } from '../../../core/records/index.ts';
import { listWalls } from '../../../core/storage/index.ts';
import { createRooms } from '../../../sample/room.ts';
import { readRoomFields, sketchRoom, toRoomFields, type RoomFields } from './roomForm.ts';

const rooms = createRooms(2).flatMap((place) => (place.room ? [{ name: place.name, room: place.room }] : []));
const base = ROOM.room!;
const fields = (change: Partial<RoomFields> = {}): RoomFields => ({
  ...toRoomFields('Room', base, 'metric'),
  ...change,
});
const read = (of: RoomFields, room: RoomSpec = base) => readRoomFields(of, room, 'metric');
const faultsOf = (of: RoomFields) => {
  const result = read(of);
  return result.ok ? {} : result.fault;
};
const withWall = (at: number, change: object) =>
  fields().walls.map((wall, i) => (i === at ? { ...wall, ...change } : wall));

describe('the measures of a room', () => {
  it.each(['metric', 'imperial'] as const)('change nothing of what is opened and saved as it was, in %s', (units) => {
    for (const { name, room } of rooms)
      expect(readRoomFields(toRoomFields(name, room, units), room, units)).toEqual({ ok: true, value: { name, room } });
  });

  it('keep what was not typed exact', () => {
    const odd: RoomSpec = { ...base, heightMm: 2413.7, doors: [{ ...base.doors[0]!, xMm: 1234.56 }] };
    const result = read({ ...toRoomFields('Room', odd, 'metric'), name: 'Loft' }, odd);
    expect(result).toEqual({ ok: true, value: { name: 'Loft', room: odd } });
  });

  it('put sockets on circuits with their fuse, and leave them on none when one goes', () => {
    const socket = { key: 's', wallId: 'north', x: '1 m', height: '30 cm', circuitId: 'c' };
    const circuit = { key: 'c', name: 'Attic', volts: '230', amps: '16' };
    const result = read(fields({ sockets: [socket], circuits: [circuit] }));
    expect(result).toMatchObject({
      ok: true,
      value: { room: { sockets: [{ circuitId: 'c' }], circuits: [{ id: 'c', name: 'Attic', volts: 230, amps: 16 }] } },
    });
    const without = read(fields({ sockets: [socket] }));
    expect(without).toMatchObject({ ok: true, value: { room: { sockets: [{ circuitId: undefined }], circuits: [] } } });
    for (const amps of ['', '0', '-16', 'many', '1e9'])
      expect(faultsOf(fields({ circuits: [{ ...circuit, amps }] }))['circuits.0.amps']).toContain('such as 16');
  });

  it('make the last wall as long as it must be', () => {
    const result = read(fields({ walls: withWall(0, { length: '4.6 m' }) }));
    if (!result.ok) throw new Error(JSON.stringify(result.fault));
    const walls = listWalls(result.value.room);
    expect(walls.map((wall) => Math.round(wall.lengthMm))).toEqual([
      4600,
      3000,
      4000,
      Math.round(Math.hypot(600, 3000)),
    ]);
    expect(walls.at(-1)!.from).toEqual({ xMm: 600, yMm: 3000 });
  });

  it.each([
    ['a length that is none', { walls: withWall(1, { length: 'abc' }) }, 'walls.1.length', 'is not an amount'],
    ['a wall of nothing', { walls: withWall(1, { length: '0' }) }, 'walls.1.length', 'more than nothing'],
    ['a wall of a kilometre', { walls: withWall(1, { length: '1000 m' }) }, 'walls.1.length', 'No room is that large'],
    ['a corner that is none', { walls: withWall(0, { turn: 'right' }) }, 'walls.0.turn', 'Degrees'],
    ['a wall without a name', { walls: withWall(2, { name: ' ' }) }, 'walls.2.name', 'Give it a name'],
    ['no name', { name: '' }, 'name', 'Give it a name'],
    ['a ceiling below zero', { height: '-2 m' }, 'height', 'below zero'],
    [
      'a door wider than its wall',
      { doors: fields().doors.map((door) => ({ ...door, width: '4 m' })) },
      'doors.0.x',
      '190 cm are left',
    ],
    [
      'walls that go round to the left',
      { walls: fields().walls.map((wall) => ({ ...wall, turn: '-90' })) },
      'walls.0.name',
      'to the left',
    ],
  ] as const)('say at the field what is wrong with %s', (_, change, path, words) =>
    expect(faultsOf(fields(change as unknown as Partial<RoomFields>))[path]).toContain(words),
  );

  it('take a room in feet and inches', () => {
    const given = toRoomFields('Room', base, 'imperial');
    const result = readRoomFields(
      {
        ...given,
        height: '8 ft',
        walls: given.walls.map((wall, i) => (i === 1 ? { ...wall, length: '11 ft' } : wall)),
      },
      base,
      'imperial',
    );
    if (!result.ok) throw new Error(JSON.stringify(result.fault));
    expect(result.value.room.heightMm).toBeCloseTo(2438.4, 6);
    expect(listWalls(result.value.room)[1]!.lengthMm).toBeCloseTo(3352.8, 6);
  });
});

describe('a room half typed', () => {
  it('is drawn while its walls cross, and not while a measure does not read', () => {
    const crossing = fields({ walls: withWall(1, { turn: '-90' }) });
    expect(read(crossing).ok).toBe(false);
    expect(sketchRoom(crossing, base, 'metric')?.walls).toHaveLength(4);
    expect(sketchRoom(fields({ name: '' }), base, 'metric')).toEqual(base);
    expect(sketchRoom(fields({ height: 'high' }), base, 'metric')).toBeNull();
  });
});
