import type { PlaceId, RoomSpec, Settings, SlotSpec, UnitSpec } from '../records/index.ts';
import { computeFootprint, getExtent, getPointOf, listWalls, standUnit } from '../storage/index.ts';
import { priceFindings } from './arrange.ts';
import type { Piece } from './bodies.ts';
import { createScene, findFar, findNear, type Finding } from './findings.ts';

/** A piece that is to stand in a room, somewhere: its measures, and the wall it is wanted at. */
export interface ToStand {
  readonly id: PlaceId;
  readonly name: string;
  /** Where it stands in its measures says nothing yet; how high it hangs does. */
  readonly unit: UnitSpec;
  readonly slots: readonly SlotSpec[];
  /** Null: at any wall. */
  readonly wallId: string | null;
  /** It hangs on the side of something tall, not at a wall. */
  readonly isOnSide?: boolean;
}

/** Pieces where they stand, and those for which there is no room. */
export interface Furnished {
  readonly stood: readonly Piece[];
  readonly left: readonly ToStand[];
}

/** Spots along a wall are tried so far apart, and those in the room; mm. */
const STEP_MM = 150;
const FREE_STEP_MM = 300;
/** What is hung is tried at other heights too, above and below where it usually hangs. */
const HANG_MM = [0, 200, -200, 400, 600, -400] as const;
/** Prices, in those of findings: a piece in a corner leaves more wall than one in the middle; hung higher it is reached worse. */
const PER_CORNER_MM = 0.01;
const PER_HUNG_MM = 0.02;

/** A piece with its measures where it would stand; not yet judged. */
interface Spot {
  readonly unit: UnitSpec;
  /** What the spot costs by itself. */
  readonly price: number;
}

const isBeside = (a: UnitSpec, b: UnitSpec) => a.yMm < b.yMm + b.heightMm && b.yMm < a.yMm + a.heightMm;

/** Spots along the walls: in the corners, beside what stands there, and every few steps between. */
function* listWallSpots(room: RoomSpec, { unit, wallId }: ToStand, standing: readonly Piece[]): Generator<Spot> {
  for (const wall of listWalls(room)) {
    if (wallId !== null && wall.id !== wallId) continue;
    const end = wall.lengthMm - unit.widthMm;
    if (end < -0.5) continue;
    for (const rise of unit.yMm > 0 ? HANG_MM : [0]) {
      const yMm = Math.max(0, unit.yMm + rise);
      const here = { ...unit, wallId: wall.id, yMm, stand: undefined };
      const beside = standing.filter(
        (one) => !one.unit.stand && one.unit.wallId === wall.id && isBeside(one.unit, here),
      );
      const marks = new Set([0, Math.max(0, end)]);
      for (const one of beside)
        for (const x of [one.unit.xMm - unit.widthMm, one.unit.xMm + one.unit.widthMm]) marks.add(x);
      for (let x = STEP_MM; x < end; x += STEP_MM) marks.add(x);
      for (const xMm of [...marks].toSorted((a, b) => a - b)) {
        if (xMm < 0 || xMm > Math.max(0, end) + 0.5) continue;
        const toNext = Math.min(
          xMm,
          Math.max(0, end) - xMm,
          ...beside.flatMap(({ unit: o }) => [Math.abs(xMm - o.xMm - o.widthMm), Math.abs(o.xMm - xMm - unit.widthMm)]),
        );
        yield { unit: { ...here, xMm }, price: PER_CORNER_MM * toNext + PER_HUNG_MM * Math.abs(rise) };
      }
    }
  }
}

/** Spots in the room, for what one walks round. */
function* listFreeSpots(room: RoomSpec, { unit, wallId }: ToStand): Generator<Spot> {
  const { left, right, top, bottom } = getExtent(room);
  const wall = listWalls(room).find(({ id }) => id === wallId) ?? listWalls(room)[0];
  if (!wall) return;
  for (let x = left + FREE_STEP_MM; x < right; x += FREE_STEP_MM)
    for (let y = top + FREE_STEP_MM; y < bottom; y += FREE_STEP_MM)
      for (const turnDeg of [0, 90])
        yield {
          unit: { ...unit, wallId: wall.id, xMm: 0, yMm: 0, stand: { xMm: x, yMm: y, turnDeg } },
          price: PER_CORNER_MM * Math.hypot(x - (left + right) / 2, y - (top + bottom) / 2),
        };
}

/** The sides of what stands there and is high and deep enough, the thing with its back to it, a hand below the top. */
function* listSideSpots(room: RoomSpec, { unit }: ToStand, standing: readonly Piece[]): Generator<Spot> {
  for (const { unit: tall } of standing) {
    if (tall.yMm > 0 || tall.kind === 'table' || tall.depthMm < unit.widthMm || tall.heightMm < unit.heightMm) continue;
    const print = computeFootprint(room, tall);
    for (const side of [-1, 1]) {
      const { xMm, yMm } = getPointOf(print, side * (tall.widthMm / 2 + unit.depthMm / 2), 0);
      // What looks to the left of a piece is turned a quarter to the right, and the other way round.
      const stand = { xMm, yMm, turnDeg: (((print.turnDeg - side * 90) % 360) + 360) % 360 };
      const highest = tall.heightMm - unit.heightMm;
      const at = { ...unit, yMm: Math.min(unit.yMm, highest) };
      yield { unit: standUnit(room, at, stand), price: PER_HUNG_MM * (unit.yMm - at.yMm) };
    }
  }
}

const countFaults = (findings: readonly Finding[]) => findings.filter((one) => one.isFault).length;

/** The best of some spots of one piece beside those that stand already; null where each would be a fault. */
function chooseSpot(
  room: RoomSpec,
  one: ToStand,
  spots: Iterable<Spot>,
  standing: readonly Piece[],
  settings: Pick<Settings, 'statureMm'>,
): Piece | null {
  const before = createScene(room, standing, settings);
  const [nearBefore, farBefore] = [findNear(before), findFar(before)];
  const judged: { piece: Piece; price: number }[] = [];
  for (const { unit, price } of spots) {
    const piece: Piece = { id: one.id, name: one.name, unit, slots: one.slots, holdsCloth: true };
    const near = findNear(createScene(room, [...standing, piece], settings));
    if (countFaults(near) > countFaults(nearBefore)) continue;
    judged.push({ piece, price: price + priceFindings(near) - priceFindings(nearBefore) });
  }
  let best: { piece: Piece; price: number } | null = null;
  for (const { piece, price } of judged.toSorted((a, b) => a.price - b.price)) {
    // What the ways through the room cost comes on top: a spot that is dearer without them is not looked at.
    if (best && price >= best.price) break;
    const far = findFar(createScene(room, [...standing, piece], settings));
    if (countFaults(far) > countFaults(farBefore)) continue;
    const whole = price + Math.max(0, priceFindings(far) - priceFindings(farBefore));
    if (!best || whole < best.price) best = { piece, price: whole };
  }
  return best?.piece ?? null;
}

function findSpot(
  room: RoomSpec,
  one: ToStand,
  standing: readonly Piece[],
  settings: Pick<Settings, 'statureMm'>,
): Piece | null {
  if (one.isOnSide) return chooseSpot(room, one, listSideSpots(room, one, standing), standing, settings);
  const isWalkedRound = one.unit.kind === 'table' && one.unit.access === 'around';
  const free = isWalkedRound ? chooseSpot(room, one, listFreeSpots(room, one), standing, settings) : null;
  return free ?? chooseSpot(room, one, listWallSpots(room, one, standing), standing, settings);
}

/** The large first, what stands before what hangs, and last what hangs on another. */
const compareBulk = (a: ToStand, b: ToStand) =>
  Number(a.isOnSide ?? false) - Number(b.isOnSide ?? false) ||
  Number(a.unit.yMm > 0) - Number(b.unit.yMm > 0) ||
  b.unit.widthMm * b.unit.depthMm - a.unit.widthMm * a.unit.depthMm;

/**
 * Stands pieces in a room, one after the other along its walls, where nothing hits another, a door or a window, and where
 * one still gets by; what is walked round goes into the room. What finds no spot beside the larger ones is left, and
 * the faults of what stood before are not made worse.
 */
export function furnish(...all: Parameters<typeof furnishing>): Furnished {
  let last: Furnished = { stood: [], left: [] };
  for (const now of furnishing(...all)) last = now;
  return last;
}

/** The same, told after each piece: a room full takes a second or two. */
export function* furnishing(
  room: RoomSpec,
  standing: readonly Piece[],
  wanted: readonly ToStand[],
  settings: Pick<Settings, 'statureMm'>,
): Generator<Furnished> {
  const stood: Piece[] = [];
  const left: ToStand[] = [];
  for (const one of wanted.toSorted(compareBulk)) {
    const piece = findSpot(room, one, [...standing, ...stood], settings);
    if (piece) stood.push(piece);
    else left.push(one);
    yield { stood, left };
  }
}
