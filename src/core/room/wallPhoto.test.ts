import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { PhotoId } from '../records/index.ts';
import { createWallPhoto, scaleByPoints } from './index.ts';

const photo = createWallPhoto('north', '0'.repeat(32) as PhotoId, 4000, { width: 1600, height: 1200 });

describe('a photo behind a wall', () => {
  it('begins as wide as the wall, on the floor', () => {
    expect(photo).toMatchObject({ wallId: 'north', xMm: 0, yMm: 0, widthMm: 4000, heightMm: 3000 });
  });

  it('is scaled by two of its points: a door drawn 1 m wide that is 80 cm', () => {
    const a = { xMm: 1000, yMm: 0 };
    const scaled = scaleByPoints(photo, a, { xMm: 2000, yMm: 0 }, 800)!;
    // Four fifths of everything; its left edge was a metre left of the first point and is 80 cm now.
    expect(scaled).toMatchObject({ widthMm: 3200, heightMm: 2400, xMm: 200, yMm: 0 });
    expect(scaleByPoints(photo, a, a, 800)).toBeNull();
    expect(scaleByPoints(photo, a, { xMm: 1001, yMm: 0 }, 1e9)).toBeNull();
  });

  it('keeps its first point and its shape, and puts the two as far apart as they are', () => {
    const mm = fc.integer({ min: 0, max: 4000 });
    fc.assert(
      fc.property(mm, mm, mm, mm, fc.integer({ min: 100, max: 5000 }), (ax, ay, bx, by, realMm) => {
        const [a, b] = [
          { xMm: ax, yMm: ay },
          { xMm: bx, yMm: by },
        ];
        fc.pre(Math.hypot(bx - ax, by - ay) > 200);
        const scaled = scaleByPoints(photo, a, b, realMm);
        fc.pre(scaled !== null);
        const shareOf = (point: typeof a) => [
          (point.xMm - photo.xMm) / photo.widthMm,
          (point.yMm - photo.yMm) / photo.heightMm,
        ];
        const [atA, atB] = [a, b].map((point) => {
          const [x, y] = shareOf(point);
          return { x: scaled!.xMm + x! * scaled!.widthMm, y: scaled!.yMm + y! * scaled!.heightMm };
        });
        expect(atA!.x).toBeCloseTo(ax, 3);
        expect(atA!.y).toBeCloseTo(ay, 3);
        expect(Math.hypot(atB!.x - atA!.x, atB!.y - atA!.y)).toBeCloseTo(realMm, 3);
        expect(scaled!.widthMm / scaled!.heightMm).toBeCloseTo(4 / 3, 9);
      }),
    );
  });
});
