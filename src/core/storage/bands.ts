import type { Settings } from '../records/index.ts';
import { computeReach, type Reach } from './space.ts';

/** Whose reach is shown on a wall: the sewist's who stands, the sewist's on the chair, or a small member's. */
export type BandsFor = 'standing' | 'seated' | 'small';

/** Seated, what is too low or too high is reached by getting up. */
export type BandReach = Reach | 'getUp';

export interface Band {
  readonly reach: BandReach;
  readonly fromMm: number;
  readonly toMm: number;
}

const STANDING_EDGES = [0, 0.285, 0.42, 0.82, 1.2];
/** Of the chair: knee height less the hollow of the knee. */
const KNEE_SHARE = 0.285;
const BELOW_KNEE_MM = 40;
/** From hip to shoulder, from hip to the upper grip, and the arm; Drillis and Contini 1966. */
const SHOULDER_OVER_SEAT = 0.29;
const GRIP_OVER_SEAT = 0.67;
const ARM_SHARE = 0.44;

function createBands(edges: readonly (readonly [fromMm: number, reach: BandReach])[], ceilingMm: number): Band[] {
  return edges.flatMap(([from, reach], i) => {
    const fromMm = Math.max(0, from);
    const toMm = Math.min(ceilingMm, edges[i + 1]?.[0] ?? ceilingMm);
    return toMm > fromMm ? [{ reach, fromMm, toMm }] : [];
  });
}

/** Bands of reach up a wall, from the floor to the ceiling; a small member's stature where one is known. */
export function computeBands(
  { statureMm, smallStatureMm }: Pick<Settings, 'statureMm' | 'smallStatureMm'>,
  who: BandsFor,
  ceilingMm: number,
): Band[] {
  if (who === 'seated') {
    const seat = KNEE_SHARE * statureMm - BELOW_KNEE_MM;
    const shoulder = seat + SHOULDER_OVER_SEAT * statureMm;
    return createBands(
      [
        [0, 'getUp'],
        [shoulder - ARM_SHARE * statureMm, 'bend'],
        [seat, 'easy'],
        [shoulder, 'stretch'],
        [seat + GRIP_OVER_SEAT * statureMm, 'getUp'],
      ],
      ceilingMm,
    );
  }
  const stature = who === 'small' ? (smallStatureMm ?? statureMm) : statureMm;
  return createBands(
    STANDING_EDGES.map((share) => [share * stature, computeReach(share * stature + 1, stature)] as const),
    ceilingMm,
  );
}
