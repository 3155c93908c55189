import type { Household, RoomSpec, PlaceId, UnitSpec } from '../records/index.ts';
import { isStationFor, type Task } from '../tasks/index.ts';

/** A table's height against the one who works at it. */
export interface HeightAdvice {
  readonly task: Task;
  readonly heightMm: number;
  readonly fromMm: number;
  readonly toMm: number;
  /** Of risers under its legs, where it is too low; 0 otherwise. */
  readonly risersMm: number;
  /** So much higher one stands or sits, where it is too high; 0 otherwise. */
  readonly raiseMm: number;
  /** Of the chair, where one sits. */
  readonly seatMm: number | null;
}

/** Elbow of one who stands, and knee, as shares of stature; after Drillis and Contini 1966. */
const ELBOW_SHARE = 0.63;
const KNEE_SHARE = 0.285;
/** The hollow of the knee is below its joint; a chair is as high. */
const BELOW_KNEE_MM = 40;
/** Seat to elbow: what of the stature lies between hip and elbow, and the flesh one sits on. */
const SEAT_TO_ELBOW_SHARE = 0.1;
const SITTING_MM = 70;
/** Below the elbow: cutting 5 to 10 cm, pressing with weight on the iron 10 to 15. */
const BELOW_ELBOW: Readonly<Record<'cutting' | 'pressing', readonly [number, number]>> = {
  cutting: [50, 100],
  pressing: [100, 150],
};
/** The forearm lies level from the top of the table to the bed of a machine on it. */
const MACHINE_BED_MM = 70;

const TASKS: readonly Task[] = ['cutting', 'sewing', 'pressing'];

/** What is done at a piece: the first of the stations tied to it whose name says so. */
export function findTask(room: RoomSpec, unitId: PlaceId): Task | null {
  const tied = room.stations.filter((station) => station.unitId === unitId);
  return TASKS.find((task) => tied.some(({ name }) => isStationFor(name, task))) ?? null;
}

/** How high a table should be for its task and this stature, and what gets it there. */
export function adviseHeight(heightMm: number, task: Task, statureMm: number): HeightAdvice {
  let [fromMm, toMm, seatMm]: [number, number, number | null] = [0, 0, null];
  if (task === 'sewing') {
    seatMm = KNEE_SHARE * statureMm - BELOW_KNEE_MM;
    const elbowMm = seatMm + SEAT_TO_ELBOW_SHARE * statureMm + SITTING_MM;
    [fromMm, toMm] = [elbowMm - MACHINE_BED_MM, elbowMm];
  } else {
    const [least, most] = BELOW_ELBOW[task];
    [fromMm, toMm] = [ELBOW_SHARE * statureMm - most, ELBOW_SHARE * statureMm - least];
  }
  return {
    task,
    heightMm,
    fromMm,
    toMm,
    risersMm: Math.max(0, fromMm - heightMm),
    raiseMm: Math.max(0, heightMm - toMm),
    seatMm,
  };
}

/** The widest cloth that is owned, laid on a table. */
export interface Spread {
  readonly name: string;
  readonly clothMm: number;
  /** It hangs over so far, laid whole and laid folded once, across the deep side of the table. */
  readonly overMm: number;
  readonly foldedOverMm: number;
  /** The longest length, and how often it is moved along until all of it was on the table. */
  readonly longestName: string;
  readonly longestMm: number;
  readonly shifts: number;
  /** Cutting mats that are owned and how much of the top they cover, 0 to 1; more than lies flat on it counts once. */
  readonly mats: number;
  readonly matShare: number;
}

/** What of the widest and the longest cloth a table takes; null where there is no cloth. */
export function computeSpread(household: Household, table: UnitSpec): Spread | null {
  let [widest, longest]: [readonly [string, number] | null, readonly [string, number]] = [null, ['', 0]];
  let [mats, matMm2] = [0, 0];
  for (const lot of household.lots.values()) {
    const item = household.items.get(lot.itemId);
    if (!item || lot.state === 'gone') continue;
    if (item.kind === 'fabric' && item.fabric) {
      if (!widest || item.fabric.widthMm > widest[1]) widest = [item.name, item.fabric.widthMm];
      if ((lot.lengthMm ?? 0) > longest[1]) longest = [item.name, lot.lengthMm ?? 0];
    } else if (item.box && /\bmats?\b/i.test(`${item.box.type} ${item.name}`)) {
      const [a = 0, b = 0] = [item.box.widthMm, item.box.depthMm, item.box.heightMm].toSorted((x, y) => y - x);
      mats += lot.count;
      matMm2 += a * b * lot.count;
    }
  }
  if (!widest) return null;
  const [along, deep] = [Math.max(table.widthMm, table.depthMm), Math.min(table.widthMm, table.depthMm)];
  return {
    name: widest[0],
    clothMm: widest[1],
    overMm: Math.max(0, widest[1] - deep),
    foldedOverMm: Math.max(0, widest[1] / 2 - deep),
    longestName: longest[0],
    longestMm: longest[1],
    shifts: Math.max(0, Math.ceil(longest[1] / along) - 1),
    mats,
    matShare: Math.min(1, matMm2 / (table.widthMm * table.depthMm)),
  };
}
