import type { Household, Nook, Place, PlaceId, UnitSpec, Ware } from '../records/index.ts';
import {
  checkUnitOnWall,
  createPlaceTree,
  findNook,
  getRoomSpec,
  listWalls,
  type PlaceTree,
  getBoxSize,
  getSlotSize,
  nestBoxes,
  fromOwnPart,
} from '../storage/index.ts';
import { computeFindings } from './findings.ts';
import { listPieces } from './pieces.ts';
import { createSavePlaces } from '../acts/index.ts';
import { applyChanges } from '../daybook/fold.ts';

/** Some of a ware put somewhere: the new places, the compartment or room they are in, and how many of the ware they are. */
export interface Got {
  readonly ware: Ware;
  readonly within: PlaceId;
  readonly places: readonly Place[];
  readonly count: number;
}

/** The places under new ids: those of a search are the same every time, and an id is never used again. */
export function withNewIds(places: readonly Place[], createId: () => string): Place[] {
  const ids = new Map(places.map((place) => [place.id, createId() as PlaceId]));
  return places.map((place) => ({
    ...place,
    id: ids.get(place.id)!,
    parentId: (place.parentId && ids.get(place.parentId)) ?? place.parentId,
  }));
}

/** Nobody puts more bins than these into one compartment. */
const MOST_AT_ONCE = 40;

export function getCost({ ware, count }: Got): number {
  return ware.cost * count;
}

/** The household with what was got; null where it does not go in. */
export function withGot(household: Household, got: readonly Got[]): Household | null {
  const saved = got.flatMap((one) => one.places);
  if (saved.length === 0) return household;
  const act = createSavePlaces(household, '', saved, [], 0);
  const next = act.ok ? applyChanges(household, act.value.changes) : act;
  return next.ok ? next.value : null;
}

/** Where up to `left` bins of a ware would stand: in compartments that hold none, closely nested, or in corners that others leave. */
function listBinSpots(tree: PlaceTree, ware: Ware, left: number, createId: () => string): Got[] {
  const box = ware.container!;
  const found: Got[] = [];
  for (const room of tree.rooms)
    for (const unit of tree.getChildren(room.id))
      for (const place of tree.getChildren(unit.id)) {
        const { slot } = place;
        if (!slot || (slot.mode !== 'line' && slot.mode !== 'volume')) continue;
        const children = tree.getChildren(place.id);
        const boxes = children.flatMap((child) => child.container ?? []);
        const nooks: Nook[] = [];
        if (boxes.length === 0)
          nooks.push(
            ...nestBoxes(getSlotSize(slot), getBoxSize(box), { canTurn: true, canStack: box.hasLid }).nooks.slice(
              0,
              Math.min(left, MOST_AT_ONCE),
            ),
          );
        else
          while (nooks.length < left) {
            const at = findNook(slot, [...boxes, ...nooks.map((nook) => ({ ...box, at: nook }))], box);
            if (!at) break;
            nooks.push(at);
          }
        if (nooks.length === 0) continue;
        const order = Math.max(-1, ...children.map((child) => child.order)) + 1;
        const places = nooks.map((at, i): Place => {
          const id = createId() as PlaceId;
          const name = nooks.length > 1 ? `${ware.name} ${i + 1}` : ware.name;
          return { id, parentId: place.id, level: 'container', name, order: order + i, container: { ...box, at } };
        });
        found.push({ ware, within: place.id, places, count: places.length });
      }
  return found;
}

/** What hangs may hang higher or lower than is usual, mm; what stands stands. */
const HIGHER_MM = [0, 200, 400, 600, -300];
const listHeights = ({ yMm }: UnitSpec) =>
  yMm > 0 ? HIGHER_MM.map((more) => yMm + more).filter((mm) => mm > 0) : [yMm];

/** Where along a wall a piece touches none that stands or hangs there: at its ends, and beside each of them. */
function listFreeXs(standing: readonly UnitSpec[], piece: UnitSpec, wallMm: number): number[] {
  const { widthMm, heightMm, yMm } = piece;
  const beside = standing.filter((unit) => unit.yMm < yMm + heightMm && yMm < unit.yMm + unit.heightMm);
  const marks = [0, wallMm - widthMm, ...beside.flatMap((unit) => [unit.xMm + unit.widthMm, unit.xMm - widthMm])];
  return [...new Set(marks)]
    .filter((x) => x >= 0 && x + widthMm <= wallMm)
    .filter((x) => beside.every((unit) => unit.xMm >= x + widthMm || unit.xMm + unit.widthMm <= x))
    .toSorted((a, b) => a - b);
}

/** Where a piece would stand: at each wall, at the first gap where the room is no worse for it. */
function listPieceSpots(household: Household, tree: PlaceTree, ware: Ware, createId: () => string): Got[] {
  const part = ware.piece!;
  const found: Got[] = [];
  for (const room of tree.rooms) {
    const spec = getRoomSpec(room);
    const pieces = listPieces(household, tree, room.id);
    const countFaults = (all: typeof pieces) =>
      computeFindings(spec, all, household.settings).filter((one) => one.isFault).length;
    const before = countFaults(pieces);
    for (const wall of listWalls(spec)) {
      const standing = pieces.flatMap(({ unit }) => (!unit.stand && unit.wallId === wall.id ? [unit] : []));
      const id = createId() as PlaceId;
      const unit = listHeights(part.unit)
        .flatMap((yMm) => {
          const at = { ...part.unit, wallId: wall.id, yMm };
          return listFreeXs(standing, at, wall.lengthMm).map((xMm): UnitSpec => ({ ...at, xMm }));
        })
        .find((one) => {
          if (checkUnitOnWall(one, wall) !== null) return false;
          const piece = {
            id,
            name: ware.name,
            unit: one,
            slots: part.slots.map(({ slot }) => slot),
            holdsCloth: false,
          };
          return countFaults([...pieces, piece]) <= before;
        });
      if (!unit) continue;
      const order = tree.getChildren(room.id).length;
      const places: Place[] = [
        { id, parentId: room.id, level: 'unit', name: ware.name, order, unit },
        ...fromOwnPart(part, id, createId),
      ];
      found.push({ ware, within: room.id, places, count: 1 });
    }
  }
  return found;
}

/** Every spot for some of a ware, of which `left` may still be got. */
export function listSpots(household: Household, ware: Ware, left: number, createId: () => string): Got[] {
  if (left <= 0) return [];
  const tree = createPlaceTree(household.places);
  return ware.container ? listBinSpots(tree, ware, left, createId) : listPieceSpots(household, tree, ware, createId);
}
