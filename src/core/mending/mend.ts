import { getAmount, getReserved } from '../measure/index.ts';
import {
  isWholeChore,
  isOver,
  relinkItem,
  type Change,
  type Household,
  type Lot,
  type Project,
  type Reservation,
} from '../records/index.ts';
import { checkContainers, createPlaceTree, listHomes, withoutBerth } from '../storage/index.ts';
import { createChange, fitReserved } from '../daybook/index.ts';
import { releaseFromProject } from '../promises/index.ts';

/** What broke when two good halves came together, bins and stations: the bins in `came` give way. */
export function mendRooms(household: Household, came: (id: string) => boolean): Change[] {
  const tree = createPlaceTree(household.places);
  const changes: (Change | null)[] = [];
  for (const slot of household.places.values()) {
    if (!slot.slot) continue;
    const bins = [...tree.getChildren(slot.id)];
    // Bins go to the pool, the last first, until the rest stand as they did.
    while (
      checkContainers(
        slot.slot,
        bins.flatMap((bin) => bin.container ?? []),
      ) !== null
    ) {
      const last = bins.findLastIndex((bin) => came(bin.id));
      if (last < 0) break;
      const [bin] = bins.splice(last, 1);
      const { at: _at, ...container } = bin!.container!;
      changes.push(createChange('places', bin!.id, bin!, { ...bin!, parentId: undefined, container }));
    }
  }
  // A bin whose compartment is gone waits in the pool; a compartment whose piece is gone goes with it.
  for (const { placeId } of tree.faults) {
    const place = household.places.get(placeId)!;
    if (place.container) {
      const { at: _at, ...container } = place.container;
      changes.push(createChange('places', placeId, place, { ...place, parentId: undefined, container }));
    } else changes.push(createChange('places', placeId, place, null));
  }
  // A bin that was to stand in a compartment that is gone stays where it stands.
  for (const place of household.places.values()) {
    const to = place.container?.goesTo?.slotId;
    if (to && !household.places.get(to)?.slot)
      changes.push(createChange('places', place.id, place, withoutBerth(place)));
  }
  const stations = tree.rooms.flatMap((room) => room.room?.stations.map((station) => station.id) ?? []);
  const [first] = stations;
  for (const item of household.items.values()) {
    const isLost = !stations.includes(item.stationId);
    const others = item.otherStationIds?.filter((id) => stations.includes(id));
    const linked = relinkItem(item, (id) => (household.items.has(id) && id !== item.id ? id : undefined));
    if (!(isLost && first) && others?.length === item.otherStationIds?.length && linked === item) continue;
    changes.push(
      createChange('items', item.id, item, {
        ...linked,
        ...(isLost && first && { stationId: first }),
        ...(others && { otherStationIds: others }),
      }),
    );
  }
  return changes.filter((change) => change !== null);
}

/** What was promised to a project that is no more, or is over, is free; a need that is no more leaves it to the project. */
function mendPromise({ projects }: Household, promise: Reservation): Reservation[] {
  const { projectId, needId } = promise;
  if (projectId === undefined) return [promise];
  const project = projects.get(projectId);
  if (!project || isOver(project)) return [];
  if (needId === undefined || project.needs.some(({ id }) => id === needId)) return [promise];
  const { needId: _gone, ...rest } = promise;
  return [rest];
}

/** A project whose pattern, cloth or bag is no more goes on without it; two do not share a bag. */
export function mendProjects(household: Household): Change[] {
  const bags = new Set<string>();
  return [...household.projects.values()].flatMap((project) => {
    const next: Project = releaseFromProject(
      project,
      (id) => !household.items.has(id),
      (id) => !household.lots.has(id) || bags.has(id),
    );
    if (next.bagLotId) bags.add(next.bagLotId);
    return createChange('projects', project.id, project, next) ?? [];
  });
}

/** A thing in a place that is no more lies out, and the like. */
export function mendLots(household: Household): Change[] {
  const tree = createPlaceTree(household.places);
  const leaves = new Set(tree.leaves.map((place) => place.id));
  const homes = listHomes(tree);
  return [...household.lots.values()].flatMap((lot) => {
    const item = household.items.get(lot.itemId);
    if (!item) return [];
    let next: Lot = lot;
    if (next.placeId !== undefined && !leaves.has(next.placeId)) next = { ...next, state: 'out', placeId: undefined };
    if (next.state === 'in' && next.placeId === undefined) next = { ...next, state: 'out' };
    if (next.state !== 'in' && next.placeId !== undefined) next = { ...next, placeId: undefined };
    if (next.homeId !== undefined && (next.state === 'gone' || !homes.has(next.homeId)))
      next = { ...next, homeId: undefined };
    if (next.state === 'with') {
      const wrap = household.lots.get(next.withLotId!);
      if (!wrap || wrap.state === 'with' || wrap.state === 'gone' || wrap.state === 'digital')
        next = { ...next, state: 'out', withLotId: undefined };
    } else if (next.withLotId !== undefined) next = { ...next, withLotId: undefined };
    const reserved = next.reserved?.flatMap((one) => mendPromise(household, one));
    if (reserved && reserved.some((one, i) => one !== next.reserved![i])) next = { ...next, reserved };
    const chores = next.chores?.filter(isWholeChore);
    if (chores && chores.length < next.chores!.length) next = { ...next, chores };
    if (getReserved(next) > getAmount(item, next) + 0.5) next = fitReserved(item, next);
    return createChange('lots', lot.id, lot, next) ?? [];
  });
}
