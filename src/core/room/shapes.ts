import { getNaming } from '../naming/index.ts';
import type { Door, PlanPoint, RoomSpec, RoomWindow, Station, Wall } from '../records/index.ts';
import {
  computeCeilingMm,
  computeInsideMm,
  getAxes,
  getTurnDeg,
  getWallLine,
  listWalls,
  type WallLine,
  getExtent,
} from '../storage/index.ts';
import { isInside } from './polygon.ts';

/** Rooms that a few measures tell. */
export const ROOM_SHAPES = ['rectangle', 'ell', 'roof', 'corner', 'closet'] as const;
export type RoomShape = (typeof ROOM_SHAPES)[number];

/** From wall to wall as one stands at the door, and up to the ceiling, mm. */
export interface ShapeMeasures {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly heightMm: number;
  /** Of an L: how wide and how deep the corner is that is missing, at the right of the far end. */
  readonly missingWidthMm?: number;
  readonly missingDepthMm?: number;
  /** Under a roof: how high it is at the far wall, where the slope comes down; and how far from it it is as high as the room. */
  readonly kneeMm?: number;
  readonly slopeMm?: number;
}

/** One stands so far before a closet. */
const BEFORE_CLOSET_MM = 800;
const DOOR_HEIGHT_MM = 2000;

type Corner = readonly [id: string, name: string, xMm: number, yMm: number];

const outline = (corners: readonly Corner[]): Wall[] =>
  corners.map(([id, name, xMm, yMm]) => ({ id, name, from: { xMm, yMm } }));

const rectangle = (w: number, d: number, names: readonly [string, string, string, string]): Wall[] =>
  outline([
    ['far', names[0], 0, 0],
    ['right', names[1], w, 0],
    ['near', names[2], w, d],
    ['left', names[3], 0, d],
  ]);

/** A side without a wall: one walks in all along it. */
const openSide = (wallId: string, widthMm: number, heightMm: number): Door => ({
  id: `open-${wallId}`,
  wallId,
  xMm: 0,
  widthMm,
  heightMm,
  hinge: 'left',
  swing: 'none',
  wayMm: 0,
});

/**
 * A room of a shape and its measures, with what else is known of it (stations, the way it looks); doors and windows of
 * before are gone with the walls they were in. A rectangle, an L and a room under a roof have no door yet, a corner and a
 * closet are open where one comes in.
 */
export function shapeRoom(before: RoomSpec, shape: RoomShape, measures: ShapeMeasures): RoomSpec {
  const shaped = drawShape(before, shape, measures);
  return { ...shaped, stations: moveStations(before, shaped) };
}

/** Stations where they were in proportion; in an L, before the wall that is whole. */
function moveStations(before: RoomSpec, after: RoomSpec): Station[] {
  const [was, is] = [getExtent(before), getExtent(after)];
  const outline = after.walls.map(({ from }) => from);
  const share = (value: number, from: number, to: number) => (value - from) / (to - from || 1);
  return before.stations.map((station) => {
    const [across, down] = [share(station.at.xMm, was.left, was.right), share(station.at.yMm, was.top, was.bottom)];
    const at = { xMm: is.left + across * (is.right - is.left), yMm: is.top + down * (is.bottom - is.top) };
    const middle = { xMm: is.left + (is.right - is.left) / 4, yMm: (is.top + is.bottom) / 2 };
    return { ...station, at: isInside(outline, at) ? at : middle };
  });
}

function drawShape(before: RoomSpec, shape: RoomShape, measures: ShapeMeasures): RoomSpec {
  const { widthMm: w, depthMm: d, heightMm } = measures;
  const { sides } = getNaming();
  const plain: RoomSpec = {
    ...before,
    walls: rectangle(w, d, [sides.far, sides.right, sides.door, sides.left]),
    heightMm,
    slopes: [],
    doors: [],
    windows: [],
    sockets: [],
    fixtures: [],
    arrangements: [],
  };
  delete plain.lamps;
  switch (shape) {
    case 'rectangle':
      return plain;
    case 'ell': {
      const [mw, md] = [measures.missingWidthMm ?? w / 3, measures.missingDepthMm ?? d / 3];
      const walls = outline([
        ['far', sides.far, 0, 0],
        ['inner-right', sides.innerRight, w - mw, 0],
        ['inner-far', sides.innerFar, w - mw, md],
        ['right', sides.right, w, md],
        ['near', sides.door, w, d],
        ['left', sides.left, 0, d],
      ]);
      return { ...plain, walls };
    }
    case 'roof': {
      const kneeMm = Math.min(heightMm, measures.kneeMm ?? 1000);
      // Without another measure a roof of 45°.
      const runMm = Math.max(1, measures.slopeMm ?? Math.min(d, heightMm - kneeMm));
      return { ...plain, slopes: kneeMm < heightMm ? [{ wallId: 'far', kneeMm, runMm }] : [] };
    }
    case 'corner': {
      const walls = rectangle(w, d, [sides.back, sides.openSide, sides.openFront, sides.side]);
      return { ...plain, walls, doors: [openSide('near', w, heightMm), openSide('right', d, heightMm)] };
    }
    case 'closet': {
      const deep = d + BEFORE_CLOSET_MM;
      const walls = rectangle(w, deep, [sides.closetBack, sides.closetRight, sides.openFront, sides.closetLeft]);
      return { ...plain, walls, doors: [openSide('near', w, heightMm)] };
    }
  }
}

/** The wall that a point is nearest to, and how far along it; null in a room without walls. */
export function findNearestWall(room: RoomSpec, point: PlanPoint): { wall: WallLine; alongMm: number } | null {
  let best: { wall: WallLine; alongMm: number; offMm: number } | null = null;
  for (const wall of listWalls(room)) {
    const { along } = getAxes(getTurnDeg(wall.from, wall.to));
    const raw = (point.xMm - wall.from.xMm) * along[0] + (point.yMm - wall.from.yMm) * along[1];
    const alongMm = Math.min(wall.lengthMm, Math.max(0, raw));
    const offMm = Math.hypot(computeInsideMm(wall, point), raw - alongMm);
    if (!best || offMm < best.offMm) best = { wall, alongMm, offMm };
  }
  return best;
}

const USUAL_DOOR_MM = 800;
const USUAL_WINDOW_MM = 1000;
const SILL_MM = 900;
const WINDOW_HEIGHT_MM = 1100;
/** Openings end so far before a corner, and are put on whole steps. */
const CORNER_MM = 50;
const ROUND_MM = 50;

interface Opening {
  readonly xMm: number;
  readonly widthMm: number;
}

/** Free stretches of a wall between what is open in it. */
function listStretches(wall: WallLine, open: readonly Opening[]): { from: number; to: number }[] {
  const stretches: { from: number; to: number }[] = [];
  let from = CORNER_MM;
  for (const { xMm, widthMm } of open.toSorted((a, b) => a.xMm - b.xMm)) {
    stretches.push({ from, to: xMm - CORNER_MM });
    from = Math.max(from, xMm + widthMm + CORNER_MM);
  }
  return [...stretches, { from, to: wall.lengthMm - CORNER_MM }];
}

/** Where an opening of the usual width goes that is wanted at a point of a wall: there, or as near as what is open already lets it. */
function findOpening(room: RoomSpec, wall: WallLine, alongMm: number, usualMm: number): Opening | null {
  const open = [...room.doors, ...room.windows.filter((one) => !one.isInSlope)].filter((one) => one.wallId === wall.id);
  let best: (Opening & { readonly offMm: number }) | null = null;
  for (const { from, to } of listStretches(wall, open)) {
    const widthMm = Math.min(usualMm, to - from);
    // What is narrower than half of it is no door and no window.
    if (widthMm < usualMm / 2) continue;
    const wanted = Math.round((alongMm - widthMm / 2) / ROUND_MM) * ROUND_MM;
    const xMm = Math.min(to - widthMm, Math.max(from, wanted));
    const offMm = Math.abs(xMm + widthMm / 2 - alongMm);
    if (!best || offMm < best.offMm) best = { xMm, widthMm, offMm };
  }
  return best && { xMm: best.xMm, widthMm: best.widthMm };
}

/** A door of the usual size where a wall was tapped; null where the wall has no room for one. */
export function placeDoor(room: RoomSpec, wallId: string, alongMm: number, id: string): RoomSpec | null {
  const wall = getWallLine(room, wallId);
  const at = findOpening(room, wall, alongMm, USUAL_DOOR_MM);
  if (!at) return null;
  // Its hinges are at the nearer corner, so that it opens against a wall.
  const hinge = at.xMm + at.widthMm / 2 < wall.lengthMm / 2 ? 'left' : 'right';
  const heightMm = Math.min(DOOR_HEIGHT_MM, computeTopMm(wall, at));
  const door: Door = { id, wallId: wall.id, ...at, heightMm, hinge, swing: 'in', wayMm: 0 };
  return heightMm < DOOR_HEIGHT_MM / 2 ? null : { ...room, doors: [...room.doors, door] };
}

/** A window of the usual size where a wall was tapped; null where the wall has no room for one. */
export function placeWindow(room: RoomSpec, wallId: string, alongMm: number, id: string): RoomSpec | null {
  const wall = getWallLine(room, wallId);
  const at = findOpening(room, wall, alongMm, USUAL_WINDOW_MM);
  if (!at) return null;
  const topMm = computeTopMm(wall, at);
  const sillMm = Math.min(SILL_MM, topMm / 2);
  const heightMm = Math.min(WINDOW_HEIGHT_MM, topMm - sillMm);
  const window: RoomWindow = { id, wallId: wall.id, ...at, sillMm, heightMm };
  return heightMm < WINDOW_HEIGHT_MM / 4 ? null : { ...room, windows: [...room.windows, window] };
}

/** How high the wall is where something is opened in it. */
function computeTopMm({ ceiling }: WallLine, { xMm, widthMm }: Opening): number {
  const inside = ceiling.filter((point) => point.xMm > xMm && point.xMm < xMm + widthMm).map((point) => point.yMm);
  return Math.min(computeCeilingMm(ceiling, xMm), computeCeilingMm(ceiling, xMm + widthMm), ...inside);
}
