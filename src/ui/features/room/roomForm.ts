import {
  checkRoom,
  fromWallSteps,
  getHeadingDeg,
  toWallSteps,
  type RoomFault,
  type WallStep,
} from '../../../core/room/index.ts';
import type { DoorSwing, Fixture, RoomSpec } from '../../../core/records/index.ts';
import type { Result } from '../../../core/result/index.ts';
import { formatSize, parseLengthMm, type UnitSystem } from '../../../core/units/index.ts';
import { wordAmountFault } from '../../text/index.ts';
import { wordRoomFault } from '../../text/room.ts';
import { formatShort, t } from '../../language/index.ts';

/** What stands in the form of a room: text as it was typed, row by row. */
export interface RoomFields {
  name: string;
  height: string;
  up: string;
  latitude: string;
  walls: { id: string; name: string; length: string; turn: string }[];
  slopes: { wallId: string; knee: string; run: string }[];
  doors: {
    key: string;
    wallId: string;
    x: string;
    width: string;
    height: string;
    hinge: 'left' | 'right';
    swing: DoorSwing;
    leadsTo: string;
    way: string;
  }[];
  windows: {
    key: string;
    wallId: string;
    x: string;
    sill: string;
    width: string;
    height: string;
    isInSlope: boolean;
  }[];
  sockets: { key: string; wallId: string; x: string; height: string; circuitId: string }[];
  circuits: { key: string; name: string; volts: string; amps: string }[];
  lamps: { key: string; name: string; x: string; y: string; height: string }[];
  fixtures: {
    key: string;
    kind: Fixture['kind'];
    name: string;
    x: string;
    y: string;
    width: string;
    depth: string;
    height: string;
  }[];
}

/** The fields of a room as it is; the plan's corner from which it is measured is the first wall's begin. */
export function toRoomFields(name: string, room: RoomSpec, units: UnitSystem): RoomFields {
  const size = (mm: number) => formatSize(mm, units);
  const degrees = (deg: number) => formatShort(deg, 2);
  return {
    name,
    height: size(room.heightMm),
    up: degrees(room.upDeg),
    latitude: room.latitudeDeg === undefined ? '' : degrees(room.latitudeDeg),
    walls: toWallSteps(room.walls).map((wall) => ({
      id: wall.id,
      name: wall.name,
      length: size(wall.lengthMm),
      turn: degrees(wall.turnDeg),
    })),
    slopes: room.slopes.map((slope) => ({ wallId: slope.wallId, knee: size(slope.kneeMm), run: size(slope.runMm) })),
    doors: room.doors.map((door) => ({
      key: door.id,
      wallId: door.wallId,
      x: size(door.xMm),
      width: size(door.widthMm),
      height: size(door.heightMm),
      hinge: door.hinge,
      swing: door.swing,
      leadsTo: door.leadsTo ?? '',
      way: size(door.wayMm),
    })),
    windows: room.windows.map((window) => ({
      key: window.id,
      wallId: window.wallId,
      x: size(window.xMm),
      sill: size(window.sillMm),
      width: size(window.widthMm),
      height: size(window.heightMm),
      isInSlope: window.isInSlope ?? false,
    })),
    sockets: room.sockets.map((socket) => ({
      key: socket.id,
      wallId: socket.wallId,
      x: size(socket.xMm),
      height: size(socket.heightMm),
      circuitId: socket.circuitId ?? '',
    })),
    circuits: room.circuits.map(({ id, name: what, volts, amps }) => ({
      key: id,
      name: what,
      volts: formatShort(volts),
      amps: formatShort(amps),
    })),
    lamps: (room.lamps ?? []).map((lamp) => ({
      key: lamp.id,
      name: lamp.name,
      x: size(lamp.at.xMm),
      y: size(lamp.at.yMm),
      height: size(lamp.heightMm),
    })),
    fixtures: room.fixtures.map((fixture) => ({
      key: fixture.id,
      kind: fixture.kind,
      name: fixture.name,
      x: size(fixture.at.xMm),
      y: size(fixture.at.yMm),
      width: size(fixture.widthMm),
      depth: size(fixture.depthMm),
      height: size(fixture.heightMm),
    })),
  };
}

/** Faults by the path of their field, such as `walls.2.length`. */
export type RoomFaults = Readonly<Record<string, string>>;

/** A room as it was typed, and what does not read; where something does not, the room is none to be drawn. */
interface TypedRoom {
  readonly name: string;
  readonly room: RoomSpec;
  readonly faults: Record<string, string>;
}

/** The room as far as it can be drawn: also one whose walls cross; null where a measure does not read. */
export function sketchRoom(fields: RoomFields, base: RoomSpec, units: UnitSystem): RoomSpec | null {
  const { room, faults } = readTyped(fields, base, units);
  return Object.keys(faults).some((path) => !path.endsWith('name')) ? null : room;
}

/**
 * Reads the form into a room. A field that still says what it said for `base` keeps the exact measure, which its
 * rounded text would lose. A room whose walls cross, or whose doors are wider than their walls, is refused with
 * the place of the fault.
 */
export function readRoomFields(
  fields: RoomFields,
  base: RoomSpec,
  units: UnitSystem,
): Result<{ name: string; room: RoomSpec }, RoomFaults> {
  const { name, room, faults } = readTyped(fields, base, units);
  if (Object.keys(faults).length === 0)
    for (const fault of checkRoom(room)) faults[pathOf(fault, fields)] ??= wordRoomFault(fault, units);
  return Object.keys(faults).length > 0 ? { ok: false, fault: faults } : { ok: true, value: { name, room } };
}

/** The exact measures of a room by the field that shows them, found by the row's own name. */
function listExact(base: RoomSpec, units: UnitSystem): ReadonlyMap<string, number> {
  const exact = new Map<string, number>();
  const remember = (id: string, measures: Readonly<Record<string, number>>) => {
    for (const [name, mm] of Object.entries(measures)) exact.set(`${id} ${name} ${formatSize(mm, units)}`, mm);
  };
  remember('room', { height: base.heightMm });
  for (const wall of toWallSteps(base.walls)) remember(wall.id, { length: wall.lengthMm });
  for (const slope of base.slopes) remember(`slope ${slope.wallId}`, { knee: slope.kneeMm, run: slope.runMm });
  for (const door of base.doors)
    remember(door.id, { x: door.xMm, width: door.widthMm, height: door.heightMm, way: door.wayMm });
  for (const one of base.windows)
    remember(one.id, { x: one.xMm, sill: one.sillMm, width: one.widthMm, height: one.heightMm });
  for (const socket of base.sockets) remember(socket.id, { x: socket.xMm, height: socket.heightMm });
  for (const { id, at, heightMm } of base.lamps ?? []) remember(id, { x: at.xMm, y: at.yMm, height: heightMm });
  for (const { id, at, widthMm, depthMm, heightMm } of base.fixtures)
    remember(id, { x: at.xMm, y: at.yMm, width: widthMm, depth: depthMm, height: heightMm });
  return exact;
}

/** Reads the fields of the form one by one; what does not read is told by its path, and something stands in for it. */
class FieldReader {
  readonly faults: Record<string, string> = {};
  private readonly exact: ReadonlyMap<string, number>;
  private readonly example: string;

  constructor(
    base: RoomSpec,
    private readonly units: UnitSystem,
  ) {
    this.exact = listExact(base, units);
    this.example = units === 'metric' ? t('120 cm') : t('4 ft');
  }

  /** mm; `id` is the row's own name. */
  readSize(path: string, id: string, text: string, isPositive = false): number {
    const { faults, example } = this;
    const known = this.exact.get(`${id} ${path.split('.').at(-1)!} ${text.trim()}`);
    if (known !== undefined) return known;
    const parsed = parseLengthMm(text, this.units === 'metric' ? 'cm' : 'in');
    if (!parsed.ok) faults[path] = wordAmountFault(parsed.fault, example);
    else if (isPositive && parsed.value <= 0) faults[path] = wordAmountFault({ code: 'zero', text }, example);
    else if (parsed.value > 50_000) faults[path] = t('No room is that large. Such as {example}.', { example });
    else return parsed.value;
    return 1000;
  }

  readDegrees(path: string, text: string, known: number | undefined): number {
    if (known !== undefined) return known;
    const value = Number(text.replace(',', '.'));
    if (text.trim() !== '' && Number.isFinite(value) && Math.abs(value) <= 360) return value;
    this.faults[path] = t('Degrees, such as 90; to the left -90.');
    return 90;
  }

  readNumber(path: string, text: string, most: number, hint: string): number {
    const value = Number(text.replace(',', '.'));
    if (text.trim() !== '' && value >= 1 && value <= most) return value;
    this.faults[path] = hint;
    return 1;
  }

  readName(path: string, text: string, hint: string, otherwise: string): string {
    if (text.trim() === '') this.faults[path] = hint;
    return text.trim() || otherwise;
  }
}

function readWalls({ walls: typed }: RoomFields, base: RoomSpec, before: RoomFields, reader: FieldReader) {
  // What was not touched keeps its exact corners.
  const isSame = JSON.stringify(typed) === JSON.stringify(before.walls);
  const oldSteps = toWallSteps(base.walls);
  const steps = typed.map((wall, i): WallStep => {
    const isLast = i === typed.length - 1;
    const name = reader.readName(`walls.${i}.name`, wall.name, t('Give it a name, such as North wall.'), t('Wall'));
    const wasTurn = before.walls.find((one) => one.id === wall.id)?.turn;
    const knownTurn = wasTurn === wall.turn ? oldSteps.find((one) => one.id === wall.id)?.turnDeg : undefined;
    return {
      id: wall.id,
      name,
      lengthMm: isLast ? 0 : reader.readSize(`walls.${i}.length`, wall.id, wall.length, true),
      turnDeg: isLast ? 0 : reader.readDegrees(`walls.${i}.turn`, wall.turn, knownTurn),
    };
  });
  return isSame ? base.walls : fromWallSteps(base.walls[0]!.from, steps, getHeadingDeg(base.walls));
}

/** What is in the walls: doors and windows. */
function readOpenings(fields: RoomFields, reader: FieldReader): Pick<RoomSpec, 'doors' | 'windows'> {
  const read = reader.readSize.bind(reader);
  return {
    doors: fields.doors.map((door, i) => ({
      id: door.key,
      wallId: door.wallId,
      xMm: read(`doors.${i}.x`, door.key, door.x),
      widthMm: read(`doors.${i}.width`, door.key, door.width, true),
      heightMm: read(`doors.${i}.height`, door.key, door.height, true),
      hinge: door.hinge,
      swing: door.swing,
      wayMm: read(`doors.${i}.way`, door.key, door.way),
      ...(door.leadsTo !== '' && { leadsTo: door.leadsTo }),
    })),
    windows: fields.windows.map((window, i) => ({
      id: window.key,
      wallId: window.wallId,
      xMm: read(`windows.${i}.x`, window.key, window.x),
      sillMm: read(`windows.${i}.sill`, window.key, window.sill),
      widthMm: read(`windows.${i}.width`, window.key, window.width, true),
      heightMm: read(`windows.${i}.height`, window.key, window.height, true),
      ...(window.isInSlope && { isInSlope: true }),
    })),
  };
}

function readPower(fields: RoomFields, reader: FieldReader): Pick<RoomSpec, 'circuits' | 'sockets'> {
  return {
    circuits: fields.circuits.map((circuit, i) => ({
      id: circuit.key,
      name: circuit.name.trim() || t('Circuit'),
      volts: reader.readNumber(`circuits.${i}.volts`, circuit.volts, 500, t('Volts, such as 230.')),
      amps: reader.readNumber(`circuits.${i}.amps`, circuit.amps, 200, t('Amperes of its fuse, such as 16.')),
    })),
    sockets: fields.sockets.map((socket, i) => ({
      id: socket.key,
      // A circuit that is no more leaves its sockets on none.
      circuitId: fields.circuits.some((one) => one.key === socket.circuitId) ? socket.circuitId : undefined,
      wallId: socket.wallId,
      xMm: reader.readSize(`sockets.${i}.x`, socket.key, socket.x),
      heightMm: reader.readSize(`sockets.${i}.height`, socket.key, socket.height),
    })),
  };
}

/** What stands or hangs in the room and is no furniture. */
function readFixed(fields: RoomFields, base: RoomSpec, reader: FieldReader): Pick<RoomSpec, 'lamps' | 'fixtures'> {
  const read = reader.readSize.bind(reader);
  return {
    ...((fields.lamps.length > 0 || base.lamps) && {
      lamps: fields.lamps.map((lamp, i) => ({
        id: lamp.key,
        name: lamp.name.trim() || t('Lamp'),
        at: {
          xMm: read(`lamps.${i}.x`, lamp.key, lamp.x),
          yMm: read(`lamps.${i}.y`, lamp.key, lamp.y),
        },
        heightMm: read(`lamps.${i}.height`, lamp.key, lamp.height, true),
      })),
    }),
    fixtures: fields.fixtures.map((fixture, i) => ({
      id: fixture.key,
      kind: fixture.kind,
      name: fixture.name.trim() || t('Pillar'),
      at: {
        xMm: read(`fixtures.${i}.x`, fixture.key, fixture.x),
        yMm: read(`fixtures.${i}.y`, fixture.key, fixture.y),
      },
      widthMm: read(`fixtures.${i}.width`, fixture.key, fixture.width, true),
      depthMm: read(`fixtures.${i}.depth`, fixture.key, fixture.depth, true),
      heightMm: read(`fixtures.${i}.height`, fixture.key, fixture.height, true),
    })),
  };
}

function readTyped(fields: RoomFields, base: RoomSpec, units: UnitSystem): TypedRoom {
  const before = toRoomFields('', base, units);
  const reader = new FieldReader(base, units);
  const name = reader.readName('name', fields.name, t('Give it a name, such as Sewing room.'), '');
  const { latitude } = fields;
  const knownLatitude = latitude === before.latitude ? base.latitudeDeg : undefined;
  const room: RoomSpec = {
    ...base,
    walls: readWalls(fields, base, before, reader),
    heightMm: reader.readSize('height', 'room', fields.height, true),
    upDeg: reader.readDegrees('up', fields.up, fields.up === before.up ? base.upDeg : undefined),
    ...(latitude.trim() !== '' && { latitudeDeg: reader.readDegrees('latitude', latitude, knownLatitude) }),
    slopes: fields.slopes.map((slope, i) => ({
      wallId: slope.wallId,
      kneeMm: reader.readSize(`slopes.${i}.knee`, `slope ${slope.wallId}`, slope.knee),
      runMm: reader.readSize(`slopes.${i}.run`, `slope ${slope.wallId}`, slope.run, true),
    })),
    ...readOpenings(fields, reader),
    ...readPower(fields, reader),
    ...readFixed(fields, base, reader),
  };
  return { name, room, faults: reader.faults };
}

/** The field at which a fault of the whole is shown. */
function pathOf({ at }: RoomFault, fields: RoomFields): string {
  const wall = fields.walls.findIndex((one) => one.id === at);
  if (wall >= 0) return `walls.${wall}.name`;
  for (const list of ['doors', 'windows', 'sockets', 'fixtures', 'lamps'] as const) {
    const row = fields[list].findIndex((one) => one.key === at);
    if (row >= 0) return `${list}.${row}.x`;
  }
  return 'name';
}
