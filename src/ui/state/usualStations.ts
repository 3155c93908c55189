import { findType, findTypeTask } from '../../core/catalog/index.ts';
import type { Kind, StationId } from '../../core/records/index.ts';
import { getRoomSpec } from '../../core/storage/index.ts';
import { isStationFor } from '../../core/tasks/index.ts';
import { derive, getTree } from './derived.ts';

/**
 * Apart from what the first screen derives: it knows the catalog, which is large.
 *
 * Where things of a type, or of a kind, are mostly used; where there are none yet, at the station for the work that they are for, or at
 * the first.
 */
export const getUsualStations = derive((household) => {
  const counts = new Map<string, Map<StationId, number>>();
  const count = (key: string, stationId: StationId) => {
    const of = counts.get(key) ?? new Map<StationId, number>();
    counts.set(key, of.set(stationId, (of.get(stationId) ?? 0) + 1));
  };
  for (const { kind, box, stationId } of household.items.values()) {
    count(kind, stationId);
    if (box) count(`${kind} ${box.type}`, stationId);
  }
  const stations = getTree(household).rooms.flatMap((room) => getRoomSpec(room).stations);
  const findMost = (key: string) => [...(counts.get(key) ?? [])].toSorted((a, b) => b[1] - a[1])[0]?.[0];
  return (kind: Kind, type?: string): StationId => {
    const same = type === undefined ? undefined : findMost(`${kind} ${findType(type, kind)?.type ?? type}`);
    if (same !== undefined) return same;
    const task = findTypeTask(type, kind);
    const made = task && stations.find(({ name }) => isStationFor(name, task))?.id;
    return made ?? findMost(kind) ?? stations[0]?.id ?? ('' as StationId);
  };
});
