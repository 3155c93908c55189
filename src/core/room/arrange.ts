import { createRandom, pick, type Random } from '../random/index.ts';
import type { PlaceId, PlanPoint, RoomSpec, Settings, UnitSpec } from '../records/index.ts';
import { computeFootprint, computeReachPoint, computeStationPoint, listCorners, listWalls } from '../storage/index.ts';
import { meetInHeight, createBody, type Piece } from './bodies.ts';
import { createScene, findFar, findNear, type Finding } from './findings.ts';
import { isInside } from './polygon.ts';
import { normaliseTurn, settleUnit } from './settle.ts';
import { computeTriangle } from './triangle.ts';

/** How often a month something in a piece is fetched for the work at a station. */
export interface Fetch {
  readonly unitId: PlaceId;
  /** Of the stations of the room. */
  readonly stationId: string;
  readonly perMonth: number;
}

/** What an arrangement is worth: less is better. */
export interface Worth {
  /** Faults and cautions, by how much is missing, and the metres. */
  readonly cost: number;
  readonly faults: number;
  readonly cautions: number;
  /** Walked in an hour of sewing: between the stations, and to fetch what is used there. */
  readonly metresPerHour: number;
}

export interface ArrangeOptions {
  readonly seed: number;
  /** Tries in all: the same seed and number give the same arrangement. */
  readonly steps: number;
  readonly fetches: readonly Fetch[];
}

/** Prices, in metres an hour: a fault is never worth its metres, a caution sometimes is. */
const FAULT = 400;
const CAUTION = 25;
const MISSING_FAULT = 1;
const MISSING_CAUTION = 0.05;
const SUN_HOUR = 10;
/** Carrying a piece of furniture has to be worth it. */
const MOVED = 8;
/** What is neither a table nor on wheels belongs to a wall. */
const ADRIFT = 40;
/** Hours of sewing in a month, to bring fetching and the ways of an hour together; an estimate. */
const HOURS_PER_MONTH = 20;
const FIRST_TEMPERATURE = 250;
const LAST_TEMPERATURE = 2;
const SNAP_MM = 120;

function priceFinding({ isFault, missingMm, sun }: Finding): number {
  if (sun) return CAUTION + SUN_HOUR * sun.hours;
  return isFault ? FAULT + MISSING_FAULT * missingMm : CAUTION + MISSING_CAUTION * missingMm;
}

/** What findings cost together, in metres an hour. */
export const priceFindings = (findings: readonly Finding[]) =>
  findings.reduce((sum, one) => sum + priceFinding(one), 0);

/** Metres an hour of sewing takes: the triangle round the furniture, and the fetching as the crow flies. */
function computeMetres(room: RoomSpec, pieces: readonly Piece[], fetches: readonly Fetch[]): number {
  const units = new Map(pieces.map((piece) => [piece.id, piece.unit]));
  let metres = computeTriangle(room, pieces)?.metresPerHour ?? 0;
  const spots = new Map<string, PlanPoint>(
    room.stations.map((station) => [station.id, computeStationPoint(room, station, (id) => units.get(id))]),
  );
  for (const { unitId, stationId, perMonth } of fetches) {
    const [unit, from] = [units.get(unitId), spots.get(stationId)];
    if (!unit || !from) continue;
    const to = computeReachPoint(room, unit, unit.widthMm / 2);
    metres += (2 * Math.hypot(to.xMm - from.xMm, to.yMm - from.yMm) * perMonth) / 1000 / HOURS_PER_MONTH;
  }
  return metres;
}

/** Judges an arrangement as the search does. */
export function computeWorth(
  room: RoomSpec,
  pieces: readonly Piece[],
  settings: Pick<Settings, 'statureMm'>,
  fetches: readonly Fetch[],
): Worth {
  const scene = createScene(room, pieces, settings);
  return toWorth([...findNear(scene), ...findFar(scene)], computeMetres(room, pieces, fetches));
}

function toWorth(findings: readonly Finding[], metresPerHour: number): Worth {
  const faults = findings.filter((one) => one.isFault).length;
  return {
    cost: priceFindings(findings) + metresPerHour,
    faults,
    cautions: findings.length - faults,
    metresPerHour,
  };
}

/** Pieces that go along with another: what stands under a table, what hangs over it on the same wall. */
function findRiders(room: RoomSpec, pieces: readonly Piece[]): ReadonlyMap<PlaceId, readonly PlaceId[]> {
  const bodies = pieces.map((piece) => createBody(room, piece));
  const riders = new Map<PlaceId, PlaceId[]>();
  for (const body of bodies) {
    const carrier = bodies.find(
      (other) =>
        other !== body &&
        body.piece!.unit.wallId === other.piece!.unit.wallId &&
        other.piece!.unit.yMm === 0 &&
        other.print.widthMm * other.print.depthMm > body.print.widthMm * body.print.depthMm &&
        !meetInHeight(body, other) &&
        isInside(listCorners(other.print), body.print),
    );
    if (carrier) riders.set(carrier.piece!.id, [...(riders.get(carrier.piece!.id) ?? []), body.piece!.id]);
  }
  return riders;
}

/** What is tall or anchored needs a wall at its back, or it tips. */
const FREE_TO_MM = 1200;
const needsWall = ({ kind, isAnchored, heightMm }: UnitSpec) =>
  kind !== 'table' && (isAnchored || heightMm > FREE_TO_MM);

const isSame = (a: UnitSpec, b: UnitSpec) =>
  a.wallId === b.wallId &&
  a.xMm === b.xMm &&
  a.stand?.xMm === b.stand?.xMm &&
  a.stand?.yMm === b.stand?.yMm &&
  a.stand?.turnDeg === b.stand?.turnDeg;

const priceAdrift = (unit: UnitSpec) => {
  if (needsWall(unit)) return FAULT;
  return unit.kind === 'table' || unit.hasWheels ? 0 : ADRIFT;
};

/**
 * Looks for a better arrangement of a room by simulated annealing: pieces go along their wall, to another, into
 * the room, change places, turn; what is locked stays. A try is given up as soon as the part of its price that
 * is quickly known exceeds what would be accepted, which changes no decision.
 */
export class Arranger {
  steps = 0;
  best: readonly Piece[];
  bestWorth: Worth;
  readonly startWorth: Worth;
  private readonly random: Random;
  private readonly riders: ReadonlyMap<PlaceId, readonly PlaceId[]>;
  private readonly movable: readonly number[];
  private now: Piece[];
  private nowPrice: number;
  private bestPrice: number;

  constructor(
    private readonly room: RoomSpec,
    private readonly start: readonly Piece[],
    private readonly settings: Pick<Settings, 'statureMm'>,
    private readonly options: ArrangeOptions,
  ) {
    this.random = createRandom(options.seed);
    this.riders = findRiders(room, start);
    const carried = new Set([...this.riders.values()].flat());
    const isHeld = ({ id, unit }: Piece) =>
      (unit.isFixed ?? false) ||
      (this.riders.get(id) ?? []).some((rider) => start.find((one) => one.id === rider)?.unit.isFixed);
    this.movable = start.flatMap((piece, i) => (isHeld(piece) || carried.has(piece.id) ? [] : [i]));
    this.now = [...start];
    this.best = this.now;
    this.startWorth = computeWorth(room, start, settings, options.fetches);
    this.bestWorth = this.startWorth;
    this.nowPrice = this.startWorth.cost;
    this.bestPrice = this.nowPrice;
  }

  get isDone(): boolean {
    return this.steps >= this.options.steps || this.movable.length === 0;
  }

  /** So many tries more. */
  advance(tries: number): void {
    for (let i = 0; i < tries && !this.isDone; i += 1) this.step();
  }

  private step(): void {
    const { room, random, settings, options } = this;
    const share = this.steps / options.steps;
    const temperature = FIRST_TEMPERATURE * (LAST_TEMPERATURE / FIRST_TEMPERATURE) ** share;
    this.steps += 1;
    const next = this.propose();
    // The most that is accepted is drawn first: whatever exceeds it is refused, however it goes on.
    const most = this.nowPrice - temperature * Math.log(Math.max(1e-12, random()));
    let price = 0;
    for (const [i, { unit }] of next.entries())
      if (!isSame(unit, this.start[i]!.unit)) price += MOVED + (unit.stand ? priceAdrift(unit) : 0);
    const scene = createScene(room, next, settings);
    const near = findNear(scene);
    price += priceFindings(near);
    if (price > most) return;
    const far = findFar(scene);
    price += priceFindings(far);
    if (price > most) return;
    const metres = computeMetres(room, next, options.fetches);
    price += metres;
    if (price > most) return;
    this.now = next;
    this.nowPrice = price;
    if (price < this.bestPrice - 1e-6) {
      this.best = next;
      this.bestPrice = price;
      this.bestWorth = toWorth([...near, ...far], metres);
    }
  }

  /** A neighbour of the arrangement as it is. */
  private propose(): Piece[] {
    const { random, now, movable } = this;
    const next = [...now];
    const at = pick(random, movable);
    const roll = random();
    if (roll < 0.15 && movable.length > 1) this.exchange(next, at, pick(random, movable));
    else if (roll < 0.55) this.putAtWall(next, at, now[at]!.unit.wallId);
    else if (roll < 0.8) this.putAtWall(next, at, pick(random, this.room.walls).id);
    else this.putFree(next, at);
    return next;
  }

  private carry(next: Piece[], at: number, unit: UnitSpec): void {
    const piece = next[at]!;
    const old = piece.unit;
    next[at] = { ...piece, unit };
    for (const id of this.riders.get(piece.id) ?? []) {
      const i = next.findIndex((one) => one.id === id);
      const rider = next[i]!;
      // Along a wall it keeps its distance; what hangs stays on the wall when a table goes into the room.
      if (!old.stand && !unit.stand) {
        const xMm = Math.max(0, rider.unit.xMm + unit.xMm - old.xMm);
        next[i] = { ...rider, unit: { ...rider.unit, wallId: unit.wallId, xMm, stand: undefined } };
      } else if (rider.unit.yMm === 0) {
        const from = computeFootprint(this.room, old);
        const to = computeFootprint(this.room, unit);
        const is = computeFootprint(this.room, rider.unit);
        const turn = ((to.turnDeg - from.turnDeg) * Math.PI) / 180;
        const [dx, dy] = [is.xMm - from.xMm, is.yMm - from.yMm];
        const stand = {
          xMm: to.xMm + dx * Math.cos(turn) - dy * Math.sin(turn),
          yMm: to.yMm + dx * Math.sin(turn) + dy * Math.cos(turn),
          turnDeg: normaliseTurn(is.turnDeg + to.turnDeg - from.turnDeg),
        };
        next[i] = { ...rider, unit: settleUnit(this.room, rider.unit, stand, [], 0) };
      }
    }
  }

  private putAtWall(next: Piece[], at: number, wallId: string): void {
    const { random, room } = this;
    const { unit } = next[at]!;
    const wall = listWalls(room).find((one) => one.id === wallId)!;
    const end = wall.lengthMm - unit.widthMm;
    if (end < 0) return;
    const beside = next.filter((other, i) => i !== at && !other.unit.stand && other.unit.wallId === wallId);
    const marks = [0, end, ...beside.flatMap(({ unit: u }) => [u.xMm - unit.widthMm, u.xMm + u.widthMm])];
    const sure = marks.filter((mark) => mark >= 0 && mark <= end);
    const roll = random();
    const free =
      roll < 0.75 ? random() * end : unit.wallId === wallId ? unit.xMm + (random() - 0.5) * 400 : random() * end;
    const xMm = roll < 0.5 ? pick(random, sure) : Math.round(Math.min(end, Math.max(0, free)) / 10) * 10;
    this.carry(next, at, { ...unit, wallId, xMm, stand: undefined });
  }

  private putFree(next: Piece[], at: number): void {
    const { random, room } = this;
    const { unit } = next[at]!;
    // What hangs cannot stand.
    if (unit.yMm > 0) return this.putAtWall(next, at, unit.wallId);
    const print = computeFootprint(room, unit);
    const xs = room.walls.map((wall) => wall.from.xMm);
    const ys = room.walls.map((wall) => wall.from.yMm);
    const between = (values: readonly number[]) =>
      Math.min(...values) + random() * (Math.max(...values) - Math.min(...values));
    const isFar = random() < 0.4;
    const stand = {
      xMm: isFar ? between(xs) : print.xMm + (random() - 0.5) * 600,
      yMm: isFar ? between(ys) : print.yMm + (random() - 0.5) * 600,
      turnDeg: random() < 0.4 ? normaliseTurn(print.turnDeg + pick(random, [90, 180, 270])) : print.turnDeg,
    };
    const others = next.filter((_, i) => i !== at).map((piece) => piece.unit);
    this.carry(next, at, settleUnit(room, unit, stand, others, SNAP_MM));
  }

  private exchange(next: Piece[], a: number, b: number): void {
    const { room } = this;
    const [one, other] = [next[a]!.unit, next[b]!.unit];
    if (a === b || one.yMm > 0 !== other.yMm > 0) return;
    const take = (unit: UnitSpec, spot: UnitSpec): UnitSpec => {
      if (spot.stand) return settleUnit(room, unit, spot.stand, [], SNAP_MM);
      return { ...unit, wallId: spot.wallId, xMm: spot.xMm, stand: undefined };
    };
    this.carry(next, a, take(one, other));
    this.carry(next, b, take(other, one));
  }
}
