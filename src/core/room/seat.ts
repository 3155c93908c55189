import { computeStationPoint, getAxes, getPointOf } from '../storage/index.ts';
import type { Body } from './bodies.ts';
import type { Finding, Scene } from './findings.ts';
import { computeGapMm, computeOverlapMm } from './polygon.ts';

/** One sits at a table up to this high, and stands at a higher one. */
const SEATED_TOP_MM = 800;
/** Knees and a pedal. */
const KNEES_MM = 600;
const SLACK_MM = 5;
/** What is fetched every day and more is wanted without getting up. */
const DAILY_PER_MONTH = 30;
/** Shoulder to grip as a share of stature, and the shoulder over the seat, after Drillis and Contini 1966; the chair turns. */
const ARM_SHARE = 0.44;
const SHOULDER_OVER_SEAT = 0.29;
/** The seat: the knee, less its hollow. */
const KNEE_SHARE = 0.285;
const BELOW_KNEE_MM = 40;

/** Above what one works on, for hands and an iron. */
const HANDS_MM = 500;
/** A shelf this deep over the back of it leaves room. */
const LEAN_MM = 320;

const isSeated = ({ piece }: Body) =>
  piece?.unit.kind === 'table' && piece.unit.access !== 'around' && piece.unit.heightMm <= SEATED_TOP_MM;

/** Room for the knees under a table at which one sits: the widest stretch with nothing below. */
function findKnees({ bodies }: Scene, table: Body): Finding[] {
  const { along } = getAxes(table.print.turnDeg);
  const half = table.print.widthMm / 2;
  const taken = bodies
    .filter((other) => other !== table && other.toMm <= table.fromMm + SLACK_MM && other.toMm > SLACK_MM)
    .filter((other) => computeOverlapMm(table.corners, other.corners) > SLACK_MM)
    .map((other): readonly [number, number, string] => {
      const at = other.corners.map(
        (corner) => (corner.xMm - table.print.xMm) * along[0] + (corner.yMm - table.print.yMm) * along[1],
      );
      return [Math.min(...at), Math.max(...at), other.id];
    })
    .toSorted((a, b) => a[0] - b[0]);
  let [widest, from] = [0, -half];
  for (const [start, end] of taken) {
    widest = Math.max(widest, Math.min(start, half) - from);
    from = Math.max(from, end);
  }
  widest = Math.max(widest, half - from);
  if (taken.length === 0 || widest >= KNEES_MM - SLACK_MM) return [];
  return [
    {
      code: 'knees',
      isFault: false,
      bodyId: table.id,
      otherId: taken[0]![2],
      missingMm: KNEES_MM - widest,
      neededMm: KNEES_MM,
      where: table.corners,
    },
  ];
}

/** What is wanted daily at a table where one sits, and cannot be had from the chair. */
function findOutOfReach({ room, bodies, statureMm }: Scene, table: Body): Finding[] {
  const stations = room.stations.filter((station) => station.unitId === table.id);
  return stations.flatMap((station) => {
    const seat = computeStationPoint(room, station, () => table.piece!.unit);
    const reachMm = ARM_SHARE * statureMm;
    const shoulderMm = (KNEE_SHARE + SHOULDER_OVER_SEAT) * statureMm - BELOW_KNEE_MM;
    return bodies.flatMap((body): Finding[] => {
      const perMonth = body.piece?.fetched?.get(station.id) ?? 0;
      if (body === table || perMonth < DAILY_PER_MONTH) return [];
      // Down to what is low one bends; up one stretches only the arm.
      const gap = Math.hypot(computeGapMm([seat], body.corners), Math.max(0, body.fromMm - shoulderMm));
      if (gap <= reachMm + SLACK_MM) return [];
      return [
        {
          code: 'reach-chair',
          isFault: false,
          bodyId: body.id,
          otherId: table.id,
          missingMm: gap - reachMm,
          neededMm: reachMm,
          where: [getPointOf(body.print, 0, body.print.depthMm / 2)],
        },
      ];
    });
  });
}

/** Something close above a lid that opens upwards, or above a piece one works on. */
function findOver({ room, bodies }: Scene, body: Body): Finding[] {
  const hasLid = body.piece?.slots.some((slot) => slot.opening === 'lid') ?? false;
  const isWorkedOn = room.stations.some((station) => station.unitId === body.id);
  if (!hasLid && !isWorkedOn) return [];
  const neededMm = isWorkedOn ? HANDS_MM : body.print.depthMm;
  return bodies.flatMap((other): Finding[] => {
    const gap = other.fromMm - body.toMm;
    if (other === body || gap < -SLACK_MM || gap >= neededMm - SLACK_MM) return [];
    // What hangs at the back of a table is not over the hands.
    const isInFront = computeOverlapMm(body.corners, other.corners) > Math.min(body.print.depthMm / 2, LEAN_MM);
    if (!isInFront) return [];
    const about = { bodyId: body.id, otherId: other.id, missingMm: neededMm - gap, neededMm, where: body.corners };
    return [{ ...about, code: isWorkedOn ? 'work-under' : 'lid-under', isFault: true }];
  });
}

/** What is wrong for one who sits at a table, works on a piece or opens its lid. */
export function findSeat(scene: Scene, body: Body): Finding[] {
  const over = findOver(scene, body);
  return !isSeated(body) ? over : [...over, ...findKnees(scene, body), ...findOutOfReach(scene, body)];
}
