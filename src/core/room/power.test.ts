import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createHousehold, createLot, createThing, CUTTING, ROOM, SEWING } from '../../../tests/household.ts';
import type { RoomSpec } from '../records/index.ts';
import { computeCircuits, findPowerFaults, listAppliances, type Appliance } from './index.ts';

const room: RoomSpec = {
  ...ROOM.room!,
  circuits: [{ id: 'c', name: 'Sockets', volts: 230, amps: 16 }],
  sockets: [
    { id: 'north', wallId: 'north', xMm: 2000, heightMm: 300, circuitId: 'c' },
    { id: 'west', wallId: 'west', xMm: 500, heightMm: 300, circuitId: 'c' },
  ],
};
const device = (id: string, watts: number, stationId = SEWING) => {
  const item = createThing(id, { stationId });
  return { ...item, box: { ...item.box!, watts } };
};
const NONE = () => null;

describe('what runs at once', () => {
  it('hangs on the socket nearest to where one works with it', () => {
    const [iron, machine] = [device('iron', 2000, CUTTING), device('machine', 90)];
    const household = createHousehold([], [iron, machine, device('gone', 500)], [createLot(iron), createLot(machine)]);
    const [first, second, ...none] = listAppliances(household, room, NONE);
    // Cutting at (2000, 1500): 1.5 m from the north socket; sewing at (1000, 2000): 1.12 m from (0, 2500).
    expect(first).toMatchObject({ name: 'iron', socketId: 'north', leadMm: 1500, isHot: true });
    expect(second).toMatchObject({ name: 'machine', socketId: 'west', isHot: false });
    expect(second!.leadMm).toBeCloseTo(Math.hypot(1000, 500), 6);
    expect(none).toEqual([]);
    expect(listAppliances(household, { ...room, sockets: [] }, NONE)[0]).toMatchObject({ socketId: null });
  });

  const run = (watts: number, socketId: string | null = 'north', name = 'one'): Appliance => ({
    itemId: name as never,
    name,
    watts,
    isHot: watts >= 800,
    socketId,
    leadMm: 1000,
  });
  const codes = (running: readonly Appliance[], of = room) => findPowerFaults(of, running).map((one) => one.code);

  it('is added up against the breaker, and four fifths of it for hours', () => {
    // 16 A at 230 V are 3680 W; four fifths 2944 W.
    expect(computeCircuits(room, [run(2000), run(300, 'west')])).toMatchObject([{ watts: 2300, amps: 10 }]);
    expect(codes([run(2000), run(900, 'west')])).toEqual([]);
    expect(codes([run(2000), run(950, 'west')])).toEqual(['continuous']);
    expect(codes([run(2000), run(1700, 'west')])).toEqual(['breaker']);
  });

  it('is never two heaters on one lead, nor a lead across the room', () => {
    expect(codes([run(1200), run(900)])).toEqual(['two-hot']);
    expect(codes([run(1200), run(90)])).toEqual([]);
    expect(codes([{ ...run(90), leadMm: 2600 }])).toEqual(['long-lead']);
    expect(codes([run(90, null)])).toEqual(['no-socket']);
    const bare = { ...room, sockets: [{ ...room.sockets[0]!, circuitId: undefined }] };
    expect(codes([run(90)], bare)).toEqual(['no-circuit']);
  });

  it('only gets worse by more of it', () => {
    const watts = fc.array(fc.integer({ min: 10, max: 2500 }), { maxLength: 6 });
    fc.assert(
      fc.property(watts, fc.integer({ min: 10, max: 2500 }), (some, more) => {
        const running = some.map((w, i) => run(w, i % 2 ? 'north' : 'west', `a${i}`));
        const faults = (of: readonly Appliance[]) => findPowerFaults(room, of).filter((one) => one.isFault).length;
        expect(faults([...running, run(more, 'north', 'more')])).toBeGreaterThanOrEqual(faults(running));
      }),
    );
  });
});
