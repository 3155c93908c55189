import type { RoomSpec } from '../records/index.ts';
import { isStationFor } from '../tasks/index.ts';
import type { Piece } from './bodies.ts';

/**
 * Stations that belong to no piece yet are tied to the tables that came: cutting to one that is walked round, sewing to one at which
 * one sits. What the sewist tied stays tied.
 */
export function tieStations(room: RoomSpec, pieces: readonly Piece[]): RoomSpec {
  const tied = new Set(room.stations.map(({ unitId }) => unitId));
  const tables = pieces.filter(({ id, unit }) => unit.kind === 'table' && !tied.has(id));
  const round = tables.find(({ unit }) => unit.access === 'around');
  const seat = tables.find(({ unit }) => unit.access !== 'around');
  const stations = room.stations.map((station) => {
    if (station.unitId !== undefined) return station;
    const table = isStationFor(station.name, 'cutting')
      ? round
      : isStationFor(station.name, 'sewing')
        ? seat
        : undefined;
    return table ? { ...station, unitId: table.id } : station;
  });
  return { ...room, stations };
}
