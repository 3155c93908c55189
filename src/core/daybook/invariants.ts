import { getAmount, getReserved } from '../measure/index.ts';
import {
  isOver,
  isWholeChore,
  listItemLinks,
  type Change,
  type Household,
  type Item,
  type ItemId,
  type Lot,
  type PlaceId,
  type Project,
} from '../records/index.ts';
import { checkContainers, checkHooks, createPlaceTree, listHomes, type PlaceTree } from '../storage/index.ts';

/** A broken rule across records, with the path of the record. */
export interface InvariantFault {
  readonly path: string;
  readonly code:
    | 'dangling'
    | 'not-a-leaf'
    | 'tree'
    | 'container-does-not-fit'
    | 'hook-does-not-hold'
    | 'no-station'
    | 'gone-but-placed'
    | 'over-reserved'
    | 'wrapped'
    | 'code-twice'
    | 'bag-twice'
    | 'project-over'
    | 'chore';
  readonly to: string;
}

const trees = new WeakMap<Household['places'], PlaceTree>();

/** Places are never changed in place, so that one tree does for all that asks after them. */
function getTree({ places }: Household): PlaceTree {
  const known = trees.get(places);
  if (known) return known;
  const tree = createPlaceTree(places);
  trees.set(places, tree);
  return tree;
}

const leafSets = new WeakMap<PlaceTree, ReadonlySet<PlaceId>>();

function getLeaves(tree: PlaceTree): ReadonlySet<PlaceId> {
  const known = leafSets.get(tree);
  if (known) return known;
  const leaves = new Set(tree.leaves.map((place) => place.id));
  leafSets.set(tree, leaves);
  return leaves;
}

const homeSets = new WeakMap<PlaceTree, ReadonlySet<PlaceId>>();

function getHomes(tree: PlaceTree): ReadonlySet<PlaceId> {
  const known = homeSets.get(tree);
  if (known) return known;
  const homes = listHomes(tree);
  homeSets.set(tree, homes);
  return homes;
}

/** What is to be looked at: all of a table, or those records that are touched or refer to what is. */
interface Scope {
  readonly items: Iterable<Item>;
  readonly lots: Iterable<Lot>;
  readonly projects: Iterable<Project>;
  readonly hasPlaces: boolean;
  readonly hasLabels: boolean;
}

/**
 * The records that changes can have broken a rule of: those touched, the lots and scraps of a touched item, what is
 * wrapped in a touched lot, and all that is somewhere where places are touched.
 */
function getScope(household: Household, changes: readonly Change[]): Scope {
  const touched = {
    items: new Set<string>(),
    lots: new Set<string>(),
    places: new Set<string>(),
    projects: new Set<string>(),
  };
  let hasLabels = false;
  for (const { table, id, after } of changes) {
    if (table !== 'plans' && table !== 'settings') touched[table].add(id);
    hasLabels ||= after?.['label'] !== undefined;
  }
  const hasPlaces = touched.places.size > 0;
  const isAbout = touched.items.size > 0 || touched.lots.size > 0 || touched.projects.size > 0;
  // There are few: all are looked at.
  const projects = isAbout ? household.projects.values() : [];
  if (hasPlaces)
    return { items: household.items.values(), lots: household.lots.values(), projects, hasPlaces, hasLabels };
  const items: Item[] = [];
  for (const id of touched.items) items.push(...[household.items.get(id as ItemId)].filter((one) => one !== undefined));
  if (touched.items.size > 0)
    for (const item of household.items.values())
      if (listItemLinks(item).some(({ id }) => touched.items.has(id))) items.push(item);
  const lots: Lot[] = [];
  if (!isAbout) return { items, lots, projects, hasPlaces, hasLabels };
  for (const lot of household.lots.values())
    if (
      touched.lots.has(lot.id) ||
      touched.items.has(lot.itemId) ||
      (lot.withLotId !== undefined && touched.lots.has(lot.withLotId)) ||
      (touched.projects.size > 0 && lot.reserved?.some(({ projectId }) => projectId && touched.projects.has(projectId)))
    )
      lots.push(lot);
  return { items, lots, projects, hasPlaces, hasLabels };
}

function checkItems(household: Household, tree: PlaceTree, items: Iterable<Item>, faults: InvariantFault[]): void {
  const stations = new Set(tree.rooms.flatMap((room) => room.room?.stations.map((station) => station.id) ?? []));
  for (const item of items) {
    for (const id of [item.stationId, ...(item.otherStationIds ?? [])])
      if (!stations.has(id)) faults.push({ path: `items.${item.id}.stationId`, code: 'no-station', to: id });
    for (const { path, id } of listItemLinks(item))
      if (id === item.id || !household.items.has(id))
        faults.push({ path: `items.${item.id}.${path}`, code: 'dangling', to: id });
  }
}

function checkLots(household: Household, tree: PlaceTree, lots: Iterable<Lot>, faults: InvariantFault[]): void {
  const leaves = getLeaves(tree);
  const homes = getHomes(tree);
  for (const lot of lots) {
    const path = `lots.${lot.id}`;
    const item = household.items.get(lot.itemId);
    if (!item) faults.push({ path: `${path}.itemId`, code: 'dangling', to: lot.itemId });
    else if (getReserved(lot) > getAmount(item, lot) + 0.5)
      faults.push({ path: `${path}.reserved`, code: 'over-reserved', to: String(getAmount(item, lot)) });
    for (const [i, { projectId, needId }] of (lot.reserved ?? []).entries()) {
      if (projectId === undefined) continue;
      const project = household.projects.get(projectId);
      const at = `${path}.reserved.${i}`;
      if (!project) faults.push({ path: `${at}.projectId`, code: 'dangling', to: projectId });
      else if (isOver(project)) faults.push({ path: `${at}.projectId`, code: 'project-over', to: projectId });
      else if (needId !== undefined && project.needs.every(({ id }) => id !== needId))
        faults.push({ path: `${at}.needId`, code: 'dangling', to: needId });
    }
    for (const chore of lot.chores ?? [])
      if (!isWholeChore(chore)) faults.push({ path: `${path}.chores`, code: 'chore', to: chore.id });
    if (lot.state === 'with') {
      // What wraps another is itself somewhere: nothing is wrapped in what is wrapped.
      const wrap = household.lots.get(lot.withLotId!);
      if (!wrap) faults.push({ path: `${path}.withLotId`, code: 'dangling', to: lot.withLotId! });
      else if (wrap.state === 'with' || wrap.state === 'gone' || wrap.state === 'digital')
        faults.push({ path: `${path}.withLotId`, code: 'wrapped', to: wrap.state });
    }
    for (const field of ['placeId', 'homeId'] as const) {
      const id = lot[field];
      if (id === undefined) continue;
      if (!household.places.has(id)) faults.push({ path: `${path}.${field}`, code: 'dangling', to: id });
      else if (!(field === 'homeId' ? homes : leaves).has(id))
        faults.push({ path: `${path}.${field}`, code: 'not-a-leaf', to: id });
    }
    const at = lot.placeId ?? lot.homeId;
    if (lot.state === 'gone' && at !== undefined) faults.push({ path, code: 'gone-but-placed', to: at });
  }
}

function checkProjects(household: Household, projects: Iterable<Project>, faults: InvariantFault[]): void {
  const bags = new Map<string, string>();
  for (const { id, patternItemId, needs, bagLotId } of projects) {
    const path = `projects.${id}`;
    if (patternItemId && !household.items.has(patternItemId))
      faults.push({ path: `${path}.patternItemId`, code: 'dangling', to: patternItemId });
    for (const [i, { itemId }] of needs.entries())
      if (itemId && !household.items.has(itemId))
        faults.push({ path: `${path}.needs.${i}.itemId`, code: 'dangling', to: itemId });
    if (bagLotId === undefined) continue;
    if (!household.lots.has(bagLotId)) faults.push({ path: `${path}.bagLotId`, code: 'dangling', to: bagLotId });
    const other = bags.get(bagLotId);
    if (other !== undefined) faults.push({ path: `${path}.bagLotId`, code: 'bag-twice', to: other });
    bags.set(bagLotId, id);
  }
}

function checkCodes(household: Household, faults: InvariantFault[]): void {
  const codes = new Map<string, string>();
  for (const table of ['lots', 'places', 'projects'] as const)
    for (const { id, label } of household[table].values()) {
      if (!label) continue;
      const other = codes.get(label.code);
      if (other !== undefined) faults.push({ path: `${table}.${id}.label`, code: 'code-twice', to: other });
      codes.set(label.code, id);
    }
}

function checkPlaces(household: Household, tree: PlaceTree, faults: InvariantFault[]): void {
  for (const { code, placeId } of tree.faults) faults.push({ path: `places.${placeId}`, code: 'tree', to: code });
  for (const { id, container } of household.places.values()) {
    const to = container?.goesTo?.slotId;
    if (to && !household.places.get(to)?.slot)
      faults.push({ path: `places.${id}.container.goesTo`, code: 'dangling', to });
  }
  for (const slot of household.places.values()) {
    if (!slot.slot) continue;
    const boxes = tree.getChildren(slot.id).flatMap((child) => child.container ?? []);
    const fault = checkContainers(slot.slot, boxes);
    if (fault) faults.push({ path: `places.${slot.id}`, code: 'container-does-not-fit', to: fault.code });
    const hook = checkHooks(slot.slot);
    if (hook) faults.push({ path: `places.${slot.id}`, code: 'hook-does-not-hold', to: hook.code });
  }
}

/**
 * Checks what no single record can: references, the tree, containers in their slots. With `changes`, which led to this
 * household from one that kept all rules, only what they can have broken.
 */
export function checkInvariants(household: Household, changes?: readonly Change[]): InvariantFault[] {
  const faults: InvariantFault[] = [];
  const tree = getTree(household);
  const scope: Scope = changes
    ? getScope(household, changes)
    : {
        items: household.items.values(),
        lots: household.lots.values(),
        projects: household.projects.values(),
        hasPlaces: true,
        hasLabels: true,
      };
  if (scope.hasPlaces) checkPlaces(household, tree, faults);
  checkItems(household, tree, scope.items, faults);
  checkLots(household, tree, scope.lots, faults);
  checkProjects(household, scope.projects, faults);
  if (scope.hasLabels) checkCodes(household, faults);
  return faults;
}
