import type { PlanPoint, RoomSpec, RoomWindow } from '../records/index.ts';
import { getAxes, getTurnDeg, getWallLine, type WallLine } from '../storage/index.ts';

/** Where the sun stands: its height above the horizon, and its bearing, clockwise from north; °. */
export interface SunPosition {
  readonly heightDeg: number;
  readonly bearingDeg: number;
}

const RAD = Math.PI / 180;

/**
 * The sun at a solar hour (12 when it is highest) of a day of the year (1 to 365), seen from a latitude.
 * Declination after Cooper (1969), good to half a degree, which is less than a curtain moves.
 */
export function computeSunPosition(latitudeDeg: number, dayOfYear: number, solarHour: number): SunPosition {
  const declination = 23.45 * RAD * Math.sin((2 * Math.PI * (284 + dayOfYear)) / 365);
  const hour = (solarHour - 12) * 15 * RAD;
  const latitude = latitudeDeg * RAD;
  const up = Math.sin(latitude) * Math.sin(declination) + Math.cos(latitude) * Math.cos(declination) * Math.cos(hour);
  const east = -Math.cos(declination) * Math.sin(hour);
  const north =
    Math.cos(latitude) * Math.sin(declination) - Math.sin(latitude) * Math.cos(declination) * Math.cos(hour);
  return {
    heightDeg: Math.asin(Math.max(-1, Math.min(1, up))) / RAD,
    bearingDeg: (((Math.atan2(east, north) / RAD) % 360) + 360) % 360,
  };
}

/** A spot in the room: on the plan, and so high above the floor. */
export interface RoomPoint extends PlanPoint {
  readonly zMm: number;
}

interface Pane {
  readonly wall: WallLine;
  readonly window: RoomWindow;
  /** Of a window in a slope: how high and how far in its lower and upper edges are. */
  readonly slope: { readonly kneeMm: number; readonly risePerMm: number } | null;
}

function listPanes(room: RoomSpec): Pane[] {
  return room.windows.map((window) => {
    const slope = window.isInSlope ? room.slopes.find((one) => one.wallId === window.wallId) : undefined;
    return {
      wall: getWallLine(room, window.wallId),
      window,
      slope: slope ? { kneeMm: slope.kneeMm, risePerMm: (room.heightMm - slope.kneeMm) / slope.runMm } : null,
    };
  });
}

/** Whether a ray from a spot toward the sun leaves the room through a window. */
function comesThrough({ wall, window, slope }: Pane, from: RoomPoint, ray: readonly [number, number, number]): boolean {
  const { along, inward } = getAxes(getTurnDeg(wall.from, wall.to));
  const [dx, dy] = [from.xMm - wall.from.xMm, from.yMm - wall.from.yMm];
  const [s, inside] = [dx * along[0] + dy * along[1], dx * inward[0] + dy * inward[1]];
  const [raySide, rayIn] = [ray[0] * along[0] + ray[1] * along[1], ray[0] * inward[0] + ray[1] * inward[1]];
  // Along the ray, to the plane of the wall, or to that of the slope above it.
  const rise = slope?.risePerMm ?? 0;
  const t = slope
    ? (slope.kneeMm + rise * inside - from.zMm) / (ray[2] - rise * rayIn)
    : rayIn < 0
      ? -inside / rayIn
      : -1;
  if (!(t > 0)) return false;
  const at = s + raySide * t;
  if (at < window.xMm || at > window.xMm + window.widthMm) return false;
  const up = slope ? (inside + rayIn * t) * Math.hypot(1, rise) : from.zMm + ray[2] * t;
  return up >= window.sillMm && up <= window.sillMm + window.heightMm;
}

const STEP_HOURS = 0.25;

/** Hours of direct sun a day at a spot of the room, when the sky is clear and nothing stands outside. */
export function computeSunHours(room: RoomSpec, spot: RoomPoint, latitudeDeg: number, dayOfYear: number): number {
  const panes = listPanes(room);
  if (panes.length === 0) return 0;
  let hours = 0;
  for (let hour = STEP_HOURS / 2; hour < 24; hour += STEP_HOURS) {
    const { heightDeg, bearingDeg } = computeSunPosition(latitudeDeg, dayOfYear, hour);
    if (heightDeg <= 0) continue;
    // On the plan up is -y; it looks to `upDeg`.
    const turn = (bearingDeg - room.upDeg) * RAD;
    const flat = Math.cos(heightDeg * RAD);
    const ray = [flat * Math.sin(turn), -flat * Math.cos(turn), Math.sin(heightDeg * RAD)] as const;
    if (panes.some((pane) => comesThrough(pane, spot, ray))) hours += STEP_HOURS;
  }
  return hours;
}

/** Days that stand for the seasons: solstices, and the equinoxes, which are alike. */
export const SEASONS = { june: 172, equinox: 81, december: 355 } as const;
export type Season = keyof typeof SEASONS;

/** The season in which a spot has most sun, and how many hours a day. */
export function findSunniest(room: RoomSpec, spot: RoomPoint, latitudeDeg: number): { season: Season; hours: number } {
  let best: { season: Season; hours: number } = { season: 'june', hours: 0 };
  for (const season of Object.keys(SEASONS) as Season[]) {
    const hours = computeSunHours(room, spot, latitudeDeg, SEASONS[season]);
    if (hours > best.hours) best = { season, hours };
  }
  return best;
}
