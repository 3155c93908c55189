import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { PlaceId, RoomSpec, UnitSpec } from '../records/index.ts';
import { computeFootprint, computeSlots, getPointOf, PARTS } from '../storage/index.ts';
import {
  computeFindings,
  createBareRoom,
  furnish,
  placeDoor,
  placeWindow,
  shapeRoom,
  tieStations,
  type ToStand,
} from './index.ts';

const SETTINGS = { statureMm: 1680 };
const BARE = createBareRoom('r' as PlaceId, 'Room', 0, [], () => 'door').room!;
const shaped = shapeRoom(BARE, 'rectangle', { widthMm: 4200, depthMm: 3400, heightMm: 2400 });
const withDoor = placeDoor(shaped, 'near', 600, 'door')!;
const room = placeWindow(withDoor, 'far', 2000, 'window')!;

let made = 0;
function want(partId: string, wallId: string | null = null): ToStand {
  const part = PARTS.find(({ id }) => id === partId)!;
  const unit: UnitSpec = { ...part.unit, kind: part.kind, wallId: 'far', xMm: 0, isAnchored: true };
  const slots = computeSlots(unit);
  if (!slots.ok) throw new Error('slots');
  made += 1;
  return { id: `u${made}` as PlaceId, name: partId, unit, slots: slots.slots.map(({ slot }) => slot), wallId };
}
const faults = (...args: Parameters<typeof computeFindings>) => computeFindings(...args).filter((one) => one.isFault);

describe('furniture that is stood along the walls', () => {
  it('hits nothing, covers no window, and leaves the ways free', () => {
    const { stood, left } = furnish(
      room,
      [],
      [want('cube-shelf'), want('bookcase'), want('dresser'), want('table'), want('peg-round'), want('cart')],
      SETTINGS,
    );
    expect(left).toEqual([]);
    const findings = computeFindings(room, stood, SETTINGS);
    expect(findings.filter((one) => one.isFault)).toEqual([]);
    expect(findings.map(({ code }) => code)).not.toContain('window-covered');
  });

  it('hangs on the side of a cupboard where it is wanted so, with its back to it', () => {
    const strip = want('peg-round');
    const narrow = { ...strip, unit: { ...strip.unit, widthMm: 280, heightMm: 900 }, isOnSide: true };
    const { stood, left } = furnish(room, [], [narrow, want('cupboard', 'far')], SETTINGS);
    expect(left).toEqual([]);
    const [cupboard, hung] = [stood.find(({ name }) => name === 'cupboard')!, stood.find(({ id }) => id === strip.id)!];
    expect(hung.unit.stand).toBeDefined();
    const [a, b] = [computeFootprint(room, cupboard.unit), computeFootprint(room, hung.unit)];
    // Half the cupboard and half the strip apart, along the wall; as deep in the room as the cupboard's middle.
    expect(Math.abs(a.xMm - b.xMm)).toBeCloseTo(cupboard.unit.widthMm / 2 + 6, 6);
    expect(b.yMm).toBeCloseTo(a.yMm, 6);
    // It looks away from the cupboard.
    const front = getPointOf(b, 0, 100);
    expect(Math.abs(front.xMm - a.xMm)).toBeGreaterThan(Math.abs(b.xMm - a.xMm));
    expect(hung.unit.yMm + hung.unit.heightMm).toBeLessThanOrEqual(cupboard.unit.heightMm);
    // Without anything tall there is no side.
    expect(furnish(room, [], [narrow], SETTINGS).left).toHaveLength(1);
  });

  it('goes to the wall it is wanted at, or is left', () => {
    const four = [1, 2, 3, 4, 5].map(() => want('bookcase', 'left'));
    const { stood, left } = furnish(room, [], four, SETTINGS);
    // A wall of 3.4 m takes four of 80 cm, less where the door opens.
    expect(stood.every(({ unit }) => unit.wallId === 'left')).toBe(true);
    expect(stood.length).toBeGreaterThanOrEqual(3);
    expect(stood.length + left.length).toBe(5);
    expect(faults(room, stood, SETTINGS)).toEqual([]);
  });

  it('stands a cutting table so that one walks round it', () => {
    const { stood } = furnish(room, [], [want('cutting-table'), want('bookcase')], SETTINGS);
    expect(stood.find(({ name }) => name === 'cutting-table')!.unit.stand).toBeDefined();
    expect(computeFindings(room, stood, SETTINGS).filter(({ code }) => code === 'zone-around')).toEqual([]);
  });

  it('takes its stations along, but for what was tied by hand', () => {
    const station = (id: string, name: string, unitId?: string) =>
      ({ id, name, at: { xMm: 500, yMm: 500 }, ...(unitId && { unitId }) }) as RoomSpec['stations'][number];
    const { stood } = furnish(room, [], [want('cutting-table'), want('table')], SETTINGS);
    const at = (name: string) => stood.find((one) => one.name === name)!.id;
    const all = [station('c', 'Cutting'), station('s', 'Sewing'), station('p', 'Pressing')];
    const tied = tieStations({ ...room, stations: all }, stood).stations.map(({ unitId }) => unitId);
    expect(tied).toEqual([at('cutting-table'), at('table'), undefined]);
    const byHand = [station('s', 'Sewing', at('cutting-table')), station('c', 'Cutting')];
    expect(tieStations({ ...room, stations: byHand }, stood).stations.map(({ unitId }) => unitId)).toEqual([
      at('cutting-table'),
      undefined,
    ]);
  });

  it('is left where it does not go in, however it is turned', () => {
    const cell = shapeRoom(BARE, 'rectangle', { widthMm: 1000, depthMm: 1000, heightMm: 1500 });
    const { stood, left } = furnish(cell, [], [want('bookcase'), want('cutting-table')], SETTINGS);
    expect([stood.length, left.length]).toEqual([0, 2]);
  });

  it('makes no fault in any room, with anything in it', () => {
    const parts = fc.array(fc.constantFrom(...PARTS.map(({ id }) => id)), { minLength: 1, maxLength: 5 });
    const mm = fc.integer({ min: 1500, max: 6000 });
    fc.assert(
      fc.property(mm, mm, fc.integer({ min: 0, max: 6000 }), parts, (widthMm, depthMm, at, ids) => {
        const any = shapeRoom(BARE, 'rectangle', { widthMm, depthMm, heightMm: 2400 });
        const open = placeDoor(any, 'near', at, 'door') ?? any;
        const { stood, left } = furnish(
          open,
          [],
          ids.map((id) => want(id)),
          SETTINGS,
        );
        expect(stood.length + left.length).toBe(ids.length);
        expect(faults(open, stood, SETTINGS)).toEqual([]);
      }),
      { numRuns: 25 },
    );
  });
});
