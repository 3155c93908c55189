import type { RoomSpec, Settings, UnitSpec } from '../records/index.ts';
import { finish, mapInSlices, type Slices } from '../slices/index.ts';
import { computeCeilingAt, getAxes, getPointOf, getWallLine, getWallPoint, listWalls } from '../storage/index.ts';
import { listFixtureBodies, meetInHeight, type Body, type Piece } from './bodies.ts';
import { createFloorGrid, findCell, findFreeCell, findWidestWays, getCellPoint } from './floorGrid.ts';
import { findShadow } from './lamp.ts';
import { findSeat } from './seat.ts';
import { findSunniest, type Season } from './sun.ts';
import { computeGapMm, computeOutsideMm, computeOverlapMm, isInside, type Polygon } from './polygon.ts';
import {
  computeFree,
  getDoorPolygon,
  getZonePolygon,
  LEAST_WALKWAY_MM,
  listBodies,
  listZones,
  WALKWAY_MM,
  type ZoneUse,
} from './zones.ts';

export type FindingCode =
  | 'outside'
  | 'overlap'
  | 'headroom'
  | 'door-swing'
  | 'door-way'
  | `zone-${ZoneUse}`
  | 'stoop'
  | 'unreachable'
  | 'way-narrow'
  | 'way-tight'
  | 'socket-behind'
  | 'heater-near'
  | 'window-covered'
  | 'reach-over'
  | 'knees'
  | 'lid-under'
  | 'work-under'
  | 'reach-chair'
  | 'own-shadow'
  | 'sun-on';

/** Something that is wrong with how the room is arranged, where it is, and by how many mm. */
export interface Finding {
  readonly code: FindingCode;
  /** A fault cannot stay; a caution can be lived with. */
  readonly isFault: boolean;
  /** The piece it is about, and what it meets: another piece, a door, socket, window or fixture. */
  readonly bodyId: string;
  readonly otherId: string | null;
  readonly missingMm: number;
  readonly neededMm: number;
  /** Where it is on the plan: a face, or a single point. */
  readonly where: Polygon;
  /** So many more pieces lie beyond a narrow spot. */
  readonly more?: number;
  /** When the sun shines on it most, and how many hours a day. */
  readonly sun?: { readonly season: Season; readonly hours: number };
}

const SLACK_MM = 5;
const CELL_MM = 50;
const HEATER_MM = 1000;
/** A cloth this far from the wall covers neither socket nor window. */
const NEAR_WALL_MM = 150;
const REACH_OVER_MM = 650;
const DOOR_REACH_MM = 900;
/** From here up one may stand at a table to reach what hangs behind it. */
const HUNG_FROM_MM = 700;

/** A room with its furniture, ready to be judged. */
export interface Scene {
  readonly room: RoomSpec;
  readonly bodies: readonly Body[];
  readonly outline: Polygon;
  readonly statureMm: number;
}

function findOutside({ room, outline }: Scene, body: Body): Finding[] {
  const out = Math.max(...body.corners.map((corner) => computeOutsideMm(outline, corner)));
  const found: Finding[] = [];
  const about = { bodyId: body.id, otherId: null, where: body.corners, isFault: true };
  if (out > SLACK_MM) found.push({ ...about, code: 'outside', missingMm: out, neededMm: 0 });
  const ceiling = Math.min(...body.corners.map((corner) => computeCeilingAt(room, corner)));
  if (body.toMm > ceiling + SLACK_MM)
    found.push({ ...about, code: 'headroom', missingMm: body.toMm - ceiling, neededMm: body.toMm });
  return found;
}

function findOverlaps({ bodies }: Scene, body: Body, index: number): Finding[] {
  const found: Finding[] = [];
  for (const other of bodies.slice(index + 1)) {
    if (!meetInHeight(body, other)) continue;
    const deep = computeOverlapMm(body.corners, other.corners);
    if (deep > SLACK_MM)
      found.push({
        code: 'overlap',
        isFault: true,
        bodyId: body.id,
        otherId: other.id,
        missingMm: deep,
        neededMm: 0,
        where: body.corners,
      });
  }
  return found;
}

function findDoors({ room, bodies }: Scene): Finding[] {
  return room.doors.flatMap((door) => {
    const swept = getDoorPolygon(room, door);
    const span = { fromMm: 0, toMm: door.heightMm };
    return bodies.flatMap((body): Finding[] => {
      if (!meetInHeight(body, span) || body.fixture) return [];
      const deep = computeOverlapMm(body.corners, swept);
      if (deep <= SLACK_MM) return [];
      return [
        {
          code: door.swing === 'in' ? 'door-swing' : 'door-way',
          isFault: true,
          bodyId: body.id,
          otherId: door.id,
          missingMm: deep,
          neededMm: door.swing === 'in' ? door.widthMm : LEAST_WALKWAY_MM,
          where: swept,
        },
      ];
    });
  });
}

function findZones({ room, bodies, outline, statureMm }: Scene, body: Body): Finding[] {
  return listZones(body).flatMap((zone) => {
    const { neededMm, use } = zone;
    const { freeMm, by } = computeFree(zone, bodies, outline);
    const found: Finding[] = [];
    const isFault = freeMm < Math.min(neededMm, LEAST_WALKWAY_MM) - SLACK_MM;
    if (freeMm < neededMm - SLACK_MM)
      found.push({
        code: `zone-${use}`,
        isFault,
        bodyId: body.id,
        otherId: by?.id ?? null,
        missingMm: neededMm - freeMm,
        neededMm,
        where: getZonePolygon(zone, neededMm),
      });
    else if (use !== 'chair') {
      const foot = getPointOf(body.print, 0, body.print.depthMm / 2 + LEAST_WALKWAY_MM / 2);
      const ceiling = computeCeilingAt(room, foot);
      if (ceiling < statureMm + 30)
        found.push({
          code: 'stoop',
          isFault: false,
          bodyId: body.id,
          otherId: null,
          missingMm: statureMm + 30 - ceiling,
          neededMm: statureMm + 30,
          where: [foot],
        });
    }
    return found;
  });
}

/** Ways from the first door to all pieces; where it gets narrow, all pieces beyond are told of together. */
function findWays({ room, bodies, outline }: Scene): Finding[] {
  const [door] = room.doors;
  if (!door) return [];
  const grid = createFloorGrid(outline, bodies, CELL_MM);
  const wall = getWallLine(room, door.wallId);
  const before = getWallPoint(wall, door.xMm + door.widthMm / 2, Math.min(450, door.widthMm / 2 + 50));
  // No way is wider than its door: beside it 60 cm count as enough.
  const reach = Math.ceil(DOOR_REACH_MM / CELL_MM);
  for (let dy = -reach; dy <= reach; dy += 1)
    for (let dx = -reach; dx <= reach; dx += 1) {
      if (dx * dx + dy * dy >= reach * reach) continue;
      const cell = findCell(grid, { xMm: before.xMm + dx * CELL_MM, yMm: before.yMm + dy * CELL_MM });
      if (cell >= 0 && grid.clearMm[cell]! >= (LEAST_WALKWAY_MM - CELL_MM) / 2)
        grid.clearMm[cell] = Math.max(grid.clearMm[cell]!, WALKWAY_MM / 2);
    }
  const start = findFreeCell(grid, before, CELL_MM);
  const { halfMm, narrowest } = findWidestWays(grid, start);
  const byNarrow = new Map<number, Finding>();
  for (const body of bodies) {
    const zone = listZones(body).find(({ side }) => side === 0);
    if (!zone) continue;
    let [best, at] = [-1, -1];
    const half = body.print.widthMm / 2;
    const { along, inward } = getAxes(body.print.turnDeg);
    const deepest = WALKWAY_MM + (body.fromMm >= HUNG_FROM_MM ? REACH_OVER_MM : 0);
    for (let across = -half + CELL_MM / 2; across <= half; across += CELL_MM)
      for (let front = LEAST_WALKWAY_MM / 2; front <= deepest; front += CELL_MM) {
        const deep = body.print.depthMm / 2 + front;
        const cell = findCell(grid, {
          xMm: body.print.xMm + along[0] * across + inward[0] * deep,
          yMm: body.print.yMm + along[1] * across + inward[1] * deep,
        });
        if (cell >= 0 && halfMm[cell]! > best) [best, at] = [halfMm[cell]!, cell];
      }
    const widthMm = best < 0 ? 0 : 2 * best + CELL_MM;
    if (widthMm >= WALKWAY_MM) continue;
    const code = best < 0 ? 'unreachable' : widthMm < LEAST_WALKWAY_MM ? 'way-narrow' : 'way-tight';
    const narrow = at < 0 ? -1 - byNarrow.size : narrowest[at]!;
    const neededMm = code === 'way-tight' ? WALKWAY_MM : LEAST_WALKWAY_MM;
    const known = byNarrow.get(narrow);
    if (known) {
      byNarrow.set(narrow, { ...known, more: (known.more ?? 0) + 1 });
      continue;
    }
    byNarrow.set(narrow, {
      code,
      isFault: code !== 'way-tight',
      bodyId: body.id,
      otherId: door.id,
      missingMm: neededMm - widthMm,
      neededMm,
      where: [at < 0 ? getPointOf(body.print, 0, body.print.depthMm / 2) : getCellPoint(grid, narrowest[at]!)],
    });
  }
  return [...byNarrow.values()];
}

/** Sockets and windows behind furniture, cloth near what gets hot. */
function findCovered({ room, bodies }: Scene): Finding[] {
  const found: Finding[] = [];
  const walls = new Map(listWalls(room).map((wall) => [wall.id, wall]));
  const covers = (body: Body, wallId: string, fromX: number, toX: number) => {
    const wall = walls.get(wallId);
    if (!wall || !body.piece) return 0;
    const strip = [
      getWallPoint(wall, fromX, 0),
      getWallPoint(wall, toX, 0),
      getWallPoint(wall, toX, NEAR_WALL_MM),
      getWallPoint(wall, fromX, NEAR_WALL_MM),
    ];
    return computeOverlapMm(body.corners, strip);
  };
  for (const body of bodies) {
    const about = { bodyId: body.id, isFault: false, where: body.corners };
    for (const socket of room.sockets) {
      const isBehind = body.fromMm < socket.heightMm && body.toMm > socket.heightMm;
      const deep = isBehind ? covers(body, socket.wallId, socket.xMm - 40, socket.xMm + 40) : 0;
      if (deep > SLACK_MM)
        found.push({ ...about, code: 'socket-behind', otherId: socket.id, missingMm: deep, neededMm: NEAR_WALL_MM });
    }
    for (const window of room.windows) {
      if (window.isInSlope) continue;
      const high = Math.min(body.toMm, window.sillMm + window.heightMm) - Math.max(body.fromMm, window.sillMm);
      if (high > SLACK_MM && covers(body, window.wallId, window.xMm, window.xMm + window.widthMm) > SLACK_MM)
        found.push({ ...about, code: 'window-covered', otherId: window.id, missingMm: high, neededMm: 0 });
    }
    for (const heater of bodies) {
      if (heater.fixture?.kind !== 'heater' || !body.piece?.holdsCloth || body.fromMm > heater.toMm + HEATER_MM)
        continue;
      const gap = computeGapMm(body.corners, heater.corners);
      if (gap < HEATER_MM - SLACK_MM)
        found.push({
          ...about,
          code: 'heater-near',
          otherId: heater.id,
          missingMm: HEATER_MM - gap,
          neededMm: HEATER_MM,
        });
    }
  }
  return found;
}

/** Half an hour of sun a day is what cloth that is moved now and then does not mind. */
const SUN_HOURS = 0.5;
const LATITUDE_DEG = 50;

/** The sun on a piece where it stands; pieces that do not move are not asked twice. */
interface KnownSun {
  readonly room: RoomSpec;
  readonly slots: Piece['slots'];
  readonly sun: NonNullable<Finding['sun']>;
}
const sunOn = new WeakMap<UnitSpec, KnownSun>();

function findSun({ room }: Scene, body: Body): Finding[] {
  const { piece, print } = body;
  if (!piece?.holdsCloth || room.windows.length === 0) return [];
  const { unit, slots } = piece;
  let known = sunOn.get(unit);
  if (known?.room !== room || known.slots !== slots) {
    let sun: NonNullable<Finding['sun']> = { season: 'june', hours: 0 };
    for (const slot of slots) {
      if (slot.opening !== 'open' || slot.light === 'dark') continue;
      const across = slot.xMm + slot.widthMm / 2 - unit.widthMm / 2;
      const at = getPointOf(print, across, print.depthMm / 2 - 20);
      const spot = { ...at, zMm: unit.yMm + slot.yMm + slot.heightMm / 2 };
      const found = findSunniest(room, spot, room.latitudeDeg ?? LATITUDE_DEG);
      if (found.hours > sun.hours) sun = found;
    }
    known = { room, slots, sun };
    sunOn.set(unit, known);
  }
  if (known.sun.hours < SUN_HOURS) return [];
  const about = { isFault: false, bodyId: body.id, otherId: null, missingMm: 0, neededMm: 0 };
  return [{ ...about, code: 'sun-on', where: body.corners, sun: known.sun }];
}

/** What hangs over something deep is reached by leaning. */
function findLeaning({ bodies }: Scene, body: Body): Finding[] {
  return bodies.flatMap((other): Finding[] => {
    if (other === body || !body.piece || !other.piece || body.fromMm < other.toMm - SLACK_MM) return [];
    // Its front is this much nearer to the room than the front of what hangs above.
    const front = getPointOf(body.print, 0, body.print.depthMm / 2 + 1);
    if (!isInside(other.corners, front)) return [];
    const leanMm = other.print.depthMm - body.print.depthMm;
    return leanMm > REACH_OVER_MM + SLACK_MM
      ? [
          {
            code: 'reach-over',
            isFault: false,
            bodyId: body.id,
            otherId: other.id,
            missingMm: leanMm - REACH_OVER_MM,
            neededMm: REACH_OVER_MM,
            where: other.corners,
          },
        ]
      : [];
  });
}

export function createScene(room: RoomSpec, pieces: readonly Piece[], settings: Pick<Settings, 'statureMm'>): Scene {
  return {
    room,
    bodies: listBodies(room, pieces, listFixtureBodies(room)),
    outline: room.walls.map((wall) => wall.from),
    statureMm: settings.statureMm,
  };
}

/** What two bodies alone tell: everything but the ways through the room and the sun, which cost most to know. */
export function findNear(scene: Scene): Finding[] {
  return [
    ...scene.bodies.flatMap((body, index) => [
      ...(body.piece ? findOutside(scene, body) : []),
      ...findOverlaps(scene, body, index),
      ...findZones(scene, body),
      ...findLeaning(scene, body),
      ...findSeat(scene, body),
      ...findShadow(scene, body),
    ]),
    ...findDoors(scene),
    ...findCovered(scene),
  ];
}

/** The ways from the door, and the sun. */
function* findFarInSlices(scene: Scene): Slices<Finding[]> {
  const sunny = yield* mapInSlices(scene.bodies, (body) => findSun(scene, body), 1);
  return [...sunny.flat(), ...findWays(scene)];
}
export const findFar = (scene: Scene): Finding[] => finish(findFarInSlices(scene));

/**
 * Judges an arrangement: what overlaps, what doors and drawers hit, where one cannot stand, walk or stand up,
 * what is behind furniture or too near to heat. Worst first, faults before cautions. Lengths in mm.
 */
export function* computeFindingsInSlices(
  room: RoomSpec,
  pieces: readonly Piece[],
  settings: Pick<Settings, 'statureMm'>,
): Slices<Finding[]> {
  const scene = createScene(room, pieces, settings);
  const near = findNear(scene);
  yield;
  const found = [...near, ...(yield* findFarInSlices(scene))];
  return found.toSorted((a, b) => Number(b.isFault) - Number(a.isFault) || b.missingMm - a.missingMm);
}

export const computeFindings = (...of: Parameters<typeof computeFindingsInSlices>): Finding[] =>
  finish(computeFindingsInSlices(...of));
