import type { PlaceTraits, Reach, Space } from '../storage/index.ts';

/** What hangs on a board or stands on a pin takes room as deep as this. */
const HUNG_DEPTH_MM = 100;
/** How much of the worth of room at hand is left where one bends, stretches, kneels or climbs; estimates. */
const REACH_SHARE: Readonly<Record<Reach, number>> = { easy: 1, bend: 0.8, stretch: 0.8, kneel: 0.6, stool: 0.4 };
/** And in a room in which nobody works. */
const ELSEWHERE_SHARE = 0.5;

/** A place that is in use at all is no longer there for the next bolt or bag: so much of its worth is taken at once; an estimate. */
export const OPENED_SHARE = 0.6;

/** The worth of all the room in a place, in litres at hand. */
export function computeWorth(
  { mode, widthMm, depthMm, heightMm }: Space,
  { reach }: Pick<PlaceTraits, 'reach'>,
  isWorkedIn: boolean,
): number {
  const depth = mode === 'area' ? HUNG_DEPTH_MM : depthMm;
  return ((widthMm * depth * heightMm) / 1e6) * REACH_SHARE[reach] * (isWorkedIn ? 1 : ELSEWHERE_SHARE);
}
