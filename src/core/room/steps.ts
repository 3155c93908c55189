import type { PlanPoint, Wall } from '../records/index.ts';
import { getTurnDeg } from '../storage/index.ts';
import { normaliseTurn } from './settle.ts';

/** A wall as one measures it walking round: so long, and the corner turned at its end, clockwise, °. */
export interface WallStep {
  readonly id: string;
  readonly name: string;
  readonly lengthMm: number;
  readonly turnDeg: number;
}

/** How the first wall runs on the plan, clockwise from the right, °. */
export function getHeadingDeg([first, second]: readonly Wall[]): number {
  return getTurnDeg(first!.from, second!.from);
}

/** Where the walls of a room lead, one after the other; the last runs back to where the first began. */
export function toWallSteps(walls: readonly Wall[]): WallStep[] {
  const heading = (i: number) => {
    const from = walls[i % walls.length]!.from;
    const to = walls[(i + 1) % walls.length]!.from;
    return getTurnDeg(from, to);
  };
  return walls.map(({ id, name, from }, i) => {
    const to = walls[(i + 1) % walls.length]!.from;
    return {
      id,
      name,
      lengthMm: Math.hypot(to.xMm - from.xMm, to.yMm - from.yMm),
      turnDeg: normaliseTurn(heading(i + 1) - heading(i)),
    };
  });
}

/** The sine and cosine of a heading; exact for quarter turns, so that square rooms stay square. */
function getDirection(deg: number): [number, number] {
  const quarter = ((deg % 360) + 360) % 360;
  if (quarter === 0) return [1, 0];
  if (quarter === 90) return [0, 1];
  if (quarter === 180) return [-1, 0];
  if (quarter === 270) return [0, -1];
  return [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
}

/**
 * Walls from what was measured. The first begins at `start` and runs as `headingDeg` says, to the right at 0; of the last neither length nor
 * turn is asked, for it closes the outline.
 */
export function fromWallSteps(start: PlanPoint, steps: readonly WallStep[], headingDeg = 0): Wall[] {
  let at = start;
  let deg = headingDeg;
  return steps.map(({ id, name, lengthMm, turnDeg }) => {
    const wall: Wall = { id, name, from: at };
    const [x, y] = getDirection(deg);
    at = { xMm: at.xMm + x * lengthMm, yMm: at.yMm + y * lengthMm };
    deg += turnDeg;
    return wall;
  });
}
