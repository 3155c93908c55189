import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createUnit, ROOM } from '../../../tests/household.ts';
import type { PlaceId } from '../records/index.ts';
import { getPointOf, standUnit } from '../storage/index.ts';
import type { Piece } from './bodies.ts';
import { isInside } from './polygon.ts';
import { computeFree, listBodies, listZones, type Zone } from './zones.ts';

const room = ROOM.room!;
const outline = room.walls.map((wall) => wall.from);

function piece(id: string, x: number, y: number, turnDeg: number, width: number, depth: number): Piece {
  const unit = createUnit(id, { kind: 'bookcase', widthMm: width, depthMm: depth, heightMm: 1000 })[0]!.unit!;
  const stand = { xMm: x, yMm: y, turnDeg };
  return { id: id as PlaceId, name: id, unit: standUnit(room, unit, stand), slots: [], holdsCloth: false };
}

const GRID_MM = 10;

/** The slow twin: a row of points is pushed away from the front, centimetre by centimetre, until one is in the way. */
function pushOut(zone: Zone, pieces: readonly (readonly { xMm: number; yMm: number }[])[]): number {
  const { print } = zone.body;
  const half = (print.widthMm / 2) * (1 - 2 * zone.insetShare) - 1;
  for (let away = 1; away < zone.neededMm; away += GRID_MM)
    for (let across = -half; across <= half; across += GRID_MM / 2) {
      const point = getPointOf(print, Math.min(half, across), print.depthMm / 2 + away);
      if (!isInside(outline, point) || pieces.some((corners) => isInside(corners, point))) return away;
    }
  return zone.neededMm;
}

describe('the space before a piece', () => {
  it('is what pushing out point by point finds, to a grid of 1 cm', () => {
    const at = fc.record({
      x: fc.integer({ min: 500, max: 3500 }),
      y: fc.integer({ min: 500, max: 2500 }),
      turn: fc.integer({ min: -180, max: 180 }),
      width: fc.integer({ min: 300, max: 1200 }),
      depth: fc.integer({ min: 200, max: 600 }),
    });
    fc.assert(
      fc.property(at, fc.array(at, { maxLength: 4 }), (own, others) => {
        const pieces = [own, ...others].map((one, i) => piece(`p${i}`, one.x, one.y, one.turn, one.width, one.depth));
        const bodies = listBodies(room, pieces, []);
        const [zone] = listZones(bodies[0]!);
        const { freeMm, by } = computeFree(zone!, bodies, outline);
        const slow = pushOut(
          zone!,
          bodies.slice(1).map((body) => body.corners),
        );
        // What cuts a corner between two points of the grid is only the fast one's to see.
        expect(freeMm).toBeLessThanOrEqual(slow + 1e-6);
        if (by === null && freeMm < zone!.neededMm) expect(slow - freeMm).toBeLessThanOrEqual(2 * GRID_MM + 2);
        if (freeMm >= zone!.neededMm) expect(slow).toBe(zone!.neededMm);
      }),
      { numRuns: 200 },
    );
  });

  it('never grows when one more piece stands in the room', () => {
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 3700 }), fc.integer({ min: 300, max: 2700 }), (x, y) => {
        const own = piece('own', 2000, 400, 0, 800, 300);
        const alone = listBodies(room, [own], []);
        const two = listBodies(room, [own, piece('other', x, y, 20, 500, 400)], []);
        const free = (bodies: typeof alone) => computeFree(listZones(bodies[0]!)[0]!, bodies, outline).freeMm;
        expect(free(two)).toBeLessThanOrEqual(free(alone) + 1e-9);
      }),
    );
  });
});
