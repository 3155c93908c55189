import { describe, expect, it } from 'vitest';
import { createUnit, ROOM } from '../../../tests/household.ts';
import type { PlaceId, RoomSpec, StationId } from '../records/index.ts';
import type { Piece } from './bodies.ts';
import { computeTriangle } from './triangle.ts';

const station = (name: string, xMm: number, yMm: number) => ({ id: name as StationId, name, at: { xMm, yMm } });
const room: RoomSpec = {
  ...ROOM.room!,
  // On middles of squares of 5 cm, straight lines apart: 1 m to press, 2 m to cut.
  stations: [station('Sewing', 1025, 1525), station('Pressing', 1025, 525), station('Cutting', 3025, 1525)],
};
function barrier(): Piece {
  const [place, ...slots] = createUnit('wall', { widthMm: 2000, depthMm: 300, heightMm: 900 });
  const unit = { ...place!.unit!, stand: { xMm: 2025, yMm: 1700, turnDeg: 90 } };
  return { id: 'wall' as PlaceId, name: 'Wall', unit, slots: slots.map((slot) => slot.slot!), holdsCloth: false };
}

describe('the ways of an hour of sewing', () => {
  it('are there and back, as often as one gets up', () => {
    const triangle = computeTriangle(room, [])!;
    const [press, cut, cutPress] = triangle.legs;
    expect(press).toMatchObject({ from: 'Sewing', to: 'Pressing', perHour: 12 });
    expect(press!.lengthMm).toBeCloseTo(1000, 6);
    expect(cut!.lengthMm).toBeCloseTo(2000, 6);
    // Squares go straight or across: 1 m aslant is 1.414, and 1 m more.
    expect(cutPress!.lengthMm).toBeCloseTo(1000 * Math.SQRT2 + 1000, 6);
    const byHand = 2 * (1 * 12 + 2 * 4 + (Math.SQRT2 + 1) * 2);
    expect(triangle.metresPerHour).toBeCloseTo(byHand, 6);
  });

  it('are the same whatever language names the stations', () => {
    const names = ['Nähen', 'Bügeln', 'Zuschneiden'];
    const german = { ...room, stations: room.stations.map((one, n) => ({ ...one, name: names[n]! })) };
    expect(computeTriangle(german, [])!.metresPerHour).toBe(computeTriangle(room, [])!.metresPerHour);
  });

  it('go round what stands between', () => {
    const round = computeTriangle(room, [barrier()])!;
    expect(round.legs[1]!.lengthMm).toBeGreaterThan(2500);
    expect(round.legs[0]!.lengthMm).toBeCloseTo(1000, 6);
  });

  it('are none where only one of the stations is there', () => {
    expect(computeTriangle({ ...room, stations: [room.stations[0]!] }, [])).toBeNull();
    expect(computeTriangle({ ...room, stations: [] }, [])).toBeNull();
  });
});
