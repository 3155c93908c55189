import type { Household, ItemId, RoomSpec, UnitSpec, PlaceId } from '../records/index.ts';
import { computeStationPoint, getWallLine, getWallPoint } from '../storage/index.ts';

/** Something with a plug, and the socket that is nearest to where it is worked with. */
export interface Appliance {
  readonly itemId: ItemId;
  readonly name: string;
  readonly watts: number;
  /** An iron, a press, a heater: never two of them on one lead. */
  readonly isHot: boolean;
  readonly socketId: string | null;
  /** From where it is worked with to that socket, as the crow flies, mm. */
  readonly leadMm: number;
}

/** What runs at once on one circuit. */
export interface CircuitLoad {
  readonly circuitId: string;
  readonly name: string;
  readonly watts: number;
  readonly amps: number;
  readonly limitAmps: number;
  readonly appliances: readonly Appliance[];
}

export interface PowerFinding {
  readonly code: 'breaker' | 'continuous' | 'two-hot' | 'no-socket' | 'long-lead' | 'no-circuit';
  readonly isFault: boolean;
  /** The circuit, socket or appliance that it is about. */
  readonly aboutId: string;
  readonly names: readonly string[];
  readonly value: number;
  readonly limit: number;
}

/** From so many watts up something is a heater, whatever it is called. */
const HOT_WATTS = 800;
/** Of the breaker, what may run for hours; figures of the room in figures.md. */
const CONTINUOUS_SHARE = 0.8;
/** A lead longer than this lies in the way. */
const LEAD_MM = 2500;

/** What in a household has a plug and is worked with in a room. */
export function listAppliances(
  household: Household,
  room: RoomSpec,
  getUnit: (id: PlaceId) => UnitSpec | null | undefined,
): Appliance[] {
  const isOwned = new Set([...household.lots.values()].filter((lot) => lot.state !== 'gone').map((lot) => lot.itemId));
  const sockets = room.sockets.map((socket) => ({
    socket,
    at: getWallPoint(getWallLine(room, socket.wallId), socket.xMm),
  }));
  return [...household.items.values()].flatMap((item): Appliance[] => {
    const watts = item.box?.watts ?? 0;
    const station = room.stations.find((one) => one.id === item.stationId);
    if (watts <= 0 || !station || !isOwned.has(item.id)) return [];
    const from = computeStationPoint(room, station, getUnit);
    let [socketId, leadMm]: [string | null, number] = [null, Infinity];
    for (const { socket, at } of sockets) {
      const mm = Math.hypot(at.xMm - from.xMm, at.yMm - from.yMm);
      if (mm < leadMm) [socketId, leadMm] = [socket.id, mm];
    }
    return [{ itemId: item.id, name: item.name, watts, isHot: watts >= HOT_WATTS, socketId, leadMm }];
  });
}

/** What each circuit of a room carries while these run at once. */
export function computeCircuits(room: RoomSpec, running: readonly Appliance[]): CircuitLoad[] {
  const circuitOf = new Map(room.sockets.map((socket) => [socket.id, socket.circuitId ?? null]));
  return room.circuits.map((circuit) => {
    const appliances = running.filter(({ socketId }) => socketId !== null && circuitOf.get(socketId) === circuit.id);
    const watts = appliances.reduce((sum, one) => sum + one.watts, 0);
    return {
      circuitId: circuit.id,
      name: circuit.name,
      watts,
      amps: watts / circuit.volts,
      limitAmps: circuit.amps,
      appliances,
    };
  });
}

/** What is wrong when these run at once. The usual cautions; local codes and an electrician decide. */
export function findPowerFaults(room: RoomSpec, running: readonly Appliance[]): PowerFinding[] {
  const found: PowerFinding[] = [];
  for (const { circuitId, name, amps, limitAmps } of computeCircuits(room, running)) {
    const about = { aboutId: circuitId, names: [name], value: amps };
    if (amps > limitAmps + 1e-9) found.push({ ...about, code: 'breaker', isFault: true, limit: limitAmps });
    else if (amps > CONTINUOUS_SHARE * limitAmps + 1e-9)
      found.push({ ...about, code: 'continuous', isFault: false, limit: CONTINUOUS_SHARE * limitAmps });
  }
  for (const socket of room.sockets) {
    const here = running.filter((one) => one.socketId === socket.id);
    const hot = here.filter((one) => one.isHot);
    const about = { aboutId: socket.id, value: hot.length, limit: 1 };
    if (hot.length > 1) found.push({ ...about, code: 'two-hot', isFault: true, names: hot.map((one) => one.name) });
    const isKnown = room.circuits.some((circuit) => circuit.id === socket.circuitId);
    if (here.length > 0 && !isKnown)
      found.push({
        ...about,
        code: 'no-circuit',
        isFault: false,
        names: here.map((one) => one.name),
        value: 0,
        limit: 0,
      });
  }
  for (const one of running) {
    const about = { aboutId: one.itemId, names: [one.name], isFault: false, value: one.leadMm, limit: LEAD_MM };
    if (one.socketId === null) found.push({ ...about, code: 'no-socket' });
    else if (one.leadMm > LEAD_MM) found.push({ ...about, code: 'long-lead' });
  }
  return found.toSorted((a, b) => Number(b.isFault) - Number(a.isFault));
}
