import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createUnit, ROOM } from '../../../tests/household.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import type { PlaceId, RoomSpec, UnitSpec } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { Arranger, computeFindings, computeWorth, listFetches, listPieces, type Piece } from './index.ts';

const room = ROOM.room!;
const settings = { statureMm: 1680 };

function piece(id: string, unit: Partial<UnitSpec>): Piece {
  const [place, ...slots] = createUnit(id, unit);
  return { id: id as PlaceId, name: id, unit: place!.unit!, slots: slots.map((slot) => slot.slot!), holdsCloth: false };
}
const SHELF: Partial<UnitSpec> = { kind: 'bookcase', widthMm: 800, heightMm: 1800, depthMm: 300, columns: 1, rows: 5 };
const TABLE: Partial<UnitSpec> = { kind: 'table', widthMm: 1400, heightMm: 740, depthMm: 650, boardMm: 0 };
const DRAWERS: Partial<UnitSpec> = { kind: 'drawers', widthMm: 480, heightMm: 700, depthMm: 500, rows: 4, boardMm: 12 };

function arrange(pieces: readonly Piece[], steps: number, seed = 1, of: RoomSpec = room, fetches = NONE): Arranger {
  const arranger = new Arranger(of, pieces, settings, { seed, steps, fetches });
  while (!arranger.isDone) arranger.advance(50);
  return arranger;
}
const NONE: ReturnType<typeof listFetches> = [];
const unitOf = (arranger: Arranger, id: string) => arranger.best.find((one) => one.id === id)!.unit;

describe('a room arranged anew', () => {
  const crowded = [piece('a', { ...SHELF, xMm: 1000 }), piece('b', { ...SHELF, xMm: 1400 }), piece('c', DRAWERS)];

  it('has no fault that a free wall can mend', () => {
    expect(computeFindings(room, crowded, settings).some((one) => one.code === 'overlap')).toBe(true);
    const { best, bestWorth } = arrange(crowded, 400);
    expect(bestWorth.faults).toBe(0);
    expect(computeFindings(room, best, settings).filter((one) => one.isFault)).toEqual([]);
  });

  it('leaves what is locked, and what is sound', () => {
    const [a, b, c] = crowded as [Piece, Piece, Piece];
    const locked = { ...a, unit: { ...a.unit, isFixed: true } };
    const { best } = arrange([locked, b, c], 300);
    expect(best[0]!.unit).toEqual(locked.unit);
    const sound = [a, c];
    expect(computeFindings(room, sound, settings)).toEqual([]);
    expect(arrange(sound, 200).best).toEqual(sound);
    expect(arrange([locked], 100).steps).toBe(0);
  });

  it('takes along what stands under a table, and never parts what is locked from it', () => {
    const table = piece('table', { ...TABLE, xMm: 500 });
    const under = piece('under', { ...DRAWERS, xMm: 600 });
    const blocked = piece('shelf', { ...SHELF, xMm: 700, isFixed: true });
    const found = arrange([table, under, blocked], 600);
    expect(found.bestWorth.faults).toBe(0);
    const [moved, rider] = [unitOf(found, 'table'), unitOf(found, 'under')];
    expect(moved.xMm === 500 && moved.wallId === table.unit.wallId && !moved.stand).toBe(false);
    if (!moved.stand) {
      expect(rider.wallId).toBe(moved.wallId);
      expect(rider.xMm - moved.xMm).toBe(100);
    }
    const held = arrange([table, { ...under, unit: { ...under.unit, isFixed: true } }], 100);
    expect(held.steps).toBe(0);
  });

  it('brings what is fetched often nearer to where it is used', () => {
    const station = { id: 'st' as never, name: 'Sewing', at: { xMm: 500, yMm: 1200 } };
    const of = { ...room, stations: [station] };
    const far = [piece('shelf', { ...SHELF, xMm: 3000 })];
    const fetches = [{ unitId: 'shelf' as PlaceId, stationId: 'st', perMonth: 200 }];
    const found = arrange(far, 400, 1, of, fetches);
    // Straight there and back, 200 times in 20 hours.
    expect(found.startWorth.metresPerHour).toBeGreaterThan(40);
    expect(found.bestWorth.metresPerHour).toBeLessThan(found.startWorth.metresPerHour / 2);
  });

  it('is the same for the same seed however it is sliced, never worse than before, and priced as it is judged', () => {
    fc.assert(
      fc.property(fc.nat(1000), (seed) => {
        const whole = arrange(crowded, 60, seed);
        const sliced = new Arranger(room, crowded, settings, { seed, steps: 60, fetches: [] });
        while (!sliced.isDone) sliced.advance(7);
        expect(sliced.best).toEqual(whole.best);
        expect(whole.bestWorth).toEqual(computeWorth(room, whole.best, settings, []));
        expect(whole.bestWorth.cost).toBeLessThanOrEqual(whole.startWorth.cost);
      }),
      { numRuns: 8 },
    );
  });

  it('keeps what is tall or anchored at a wall', () => {
    const tall = piece('tall', { ...SHELF, xMm: 1000 });
    const low = piece('low', { ...SHELF, heightMm: 600, isAnchored: true, xMm: 1300 });
    for (const seed of [1, 2, 3])
      for (const { unit } of arrange([tall, low, piece('c', DRAWERS)], 300, seed).best.slice(0, 2))
        expect(unit.stand ?? null).toBeNull();
  });

  it('knows what is fetched from each piece for each station', () => {
    const { household } = createSampleHousehold();
    const tree = createPlaceTree(household.places);
    const [loft] = tree.rooms;
    const fetches = listFetches(household, tree, loft!.id);
    const ids = new Set(listPieces(household, tree, loft!.id).map((one) => one.id));
    expect(fetches.every((one) => ids.has(one.unitId) && one.perMonth > 0)).toBe(true);
    const inLoft = [...household.lots.values()].filter((lot) => {
      const at = lot.placeId ?? lot.homeId;
      return at !== undefined && lot.state !== 'gone' && tree.getPath(at)[0]?.id === loft!.id;
    });
    const uses = inLoft.reduce((sum, lot) => sum + household.items.get(lot.itemId)!.usesPerMonth, 0);
    expect(fetches.reduce((sum, one) => sum + one.perMonth, 0)).toBeCloseTo(uses, 6);
  });
});
