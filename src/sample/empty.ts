import { DEFAULT_SETTINGS, type Chronicle, type Place, type PlaceId } from '../core/records/index.ts';
import { getNaming } from '../core/naming/index.ts';
import { createBareRoom } from '../core/room/index.ts';
import { createChronicle } from './chronicle.ts';
import { STATIONS } from './stations.ts';

/** What a household needs to begin: one bare room with a table to work at. */
function createFirstRoom(): Place {
  const { room, cutting, sewing, pressing } = getNaming();
  const stations = [
    { id: STATIONS.cutting, name: cutting, at: { xMm: 2000, yMm: 1800 } },
    { id: STATIONS.sewing, name: sewing, at: { xMm: 2000, yMm: 900 } },
    { id: STATIONS.pressing, name: pressing, at: { xMm: 1000, yMm: 1500 } },
  ];
  return createBareRoom('r1' as PlaceId, room, 0, stations, () => 'door');
}

/** A household with a bare room and nothing in it, to be set out. */
export function createEmptyHousehold(): Chronicle {
  const room = createFirstRoom();
  return createChronicle({
    settings: { ...DEFAULT_SETTINGS, name: getNaming().household, setout: { done: [] } },
    items: new Map(),
    lots: new Map(),
    places: new Map([[room.id, room]]),
    plans: new Map(),
    projects: new Map(),
  });
}
