import { createSavePlaces } from '../../../core/acts/index.ts';
import type { Household, Place, PlaceId, UnitSpec } from '../../../core/records/index.ts';
import { furnishing, listPieces, tieStations, type Furnished, type ToStand } from '../../../core/room/index.ts';
import {
  applyUnitSpec,
  BIN_SIZES,
  createPlaceTree,
  listPartSizes,
  PARTS,
  type Part,
} from '../../../core/storage/index.ts';
import { putBin } from '../../../core/suppose/index.ts';
import { capitalise } from '../../text/index.ts';
import { wordBinSize, wordPart } from '../../text/room.ts';
import { world } from '../../state/app.ts';
import { edit } from '../../state/hands.ts';
import { t } from '../../language/index.ts';

/** In the place of a wall: on the side of a cupboard or another tall piece. */
export const ON_SIDE = 'side';

/** So many of a part, in one of its common sizes, at a wall or anywhere. */
export interface WantedPart {
  readonly count: number;
  readonly size: number;
  readonly wallId: string;
}
/** So many bins of a size; those that stand go where they fit, the others stay idle. */
export interface WantedBins {
  readonly count: number;
  readonly isIdle: boolean;
}

export type WantedParts = Readonly<Record<string, WantedPart>>;
export type WantedBinsBySize = Readonly<Record<string, WantedBins>>;

interface Made {
  readonly toStand: ToStand;
  readonly unit: Place;
  readonly slots: readonly Place[];
}

function makePart(part: Part, size: number, wallId: string, room: Place, name: string, order: number): Made | null {
  const measures = listPartSizes(part)[size] ?? part.unit;
  const anyWall = room.room!.walls[0]!.id;
  const unit: UnitSpec = {
    ...part.unit,
    ...measures,
    kind: part.kind,
    wallId: wallId === '' || wallId === ON_SIDE ? anyWall : wallId,
    xMm: 0,
    isAnchored: false,
  };
  const id = world.createId() as PlaceId;
  const layout = applyUnitSpec(id, null, unit, [], world.createId);
  if (!layout.ok) return null;
  const slots = layout.kept.map((place) => ({ ...place, slot: { ...place.slot!, ...part.slots } }));
  const isOnSide = wallId === ON_SIDE;
  const toStand = {
    id,
    name,
    unit,
    slots: slots.map(({ slot }) => slot),
    wallId: wallId === '' || isOnSide ? null : wallId,
    isOnSide,
  };
  return { toStand, unit: { id, parentId: room.id, level: 'unit', name, order, unit }, slots };
}

/** A name that nothing beside it has: `Bookcase`, `Bookcase 2`. */
function nameFreely(base: string, taken: Set<string>): string {
  let name = base;
  for (let n = 2; taken.has(name); n += 1) name = `${base} ${n}`;
  taken.add(name);
  return name;
}

const withPlaces = (household: Household, more: readonly Place[]): Household => ({
  ...household,
  places: new Map([...household.places, ...more.map((place) => [place.id, place] as const)]),
});

/** Bins of their sizes, put where they go in or left idle. */
function makeBins(household: Household, wanted: WantedBinsBySize, taken: Set<string>) {
  const made: Place[] = [];
  const unfit: string[] = [];
  for (const { id, container } of BIN_SIZES) {
    const { count, isIdle } = wanted[id] ?? { count: 0, isIdle: true };
    for (let i = 0; i < count; i += 1) {
      const now = withPlaces(household, made);
      const tree = createPlaceTree(now.places);
      const name = nameFreely(capitalise(wordBinSize(id)), taken);
      const idle: Place = {
        id: world.createId() as PlaceId,
        level: 'container',
        name,
        order: tree.pool.length,
        container,
      };
      // A compartment that is open in front takes bins; a drawer keeps what it has.
      const slots = isIdle
        ? []
        : [...now.places.values()].filter(({ slot }) => slot?.opening === 'open' || slot?.opening === 'door');
      const stood = slots
        .filter((slot) => tree.getChildren(slot.id).length === 0)
        .map((slot) => putBin(now, tree, idle, slot))
        .find((put) => put.ok);
      const bin = stood?.ok ? stood.bin : idle;
      made.push(bin);
      if (!isIdle && !stood?.ok) unfit.push(name);
    }
  }
  return { made, unfit };
}

/** What became of it all. */
export interface FurnishDone {
  readonly stood: number;
  /** Names of what found no spot. */
  readonly left: readonly string[];
  readonly bins: number;
  readonly idle: number;
  /** Names of bins that were to stand and go into no compartment: they are idle. */
  readonly unfit: readonly string[];
}

/**
 * Stands furniture and bins in a room, as one act, telling how far it is after each piece. Null where nothing was
 * done.
 */
export async function furnishRoom(
  household: Household,
  room: Place,
  parts: WantedParts,
  bins: WantedBinsBySize,
  onStep: (done: number, all: number) => void,
): Promise<FurnishDone | null> {
  const tree = createPlaceTree(household.places);
  const taken = new Set([...household.places.values()].map(({ name }) => name));
  let order = tree.getChildren(room.id).length;
  const made = PARTS.flatMap((part) => {
    const { count = 0, size = 0, wallId = '' } = parts[part.id] ?? {};
    return Array.from({ length: count }, () => {
      order += 1;
      return makePart(part, size, wallId, room, nameFreely(capitalise(wordPart(part.id)), taken), order - 1);
    });
  }).filter((one) => one !== null);
  const standing = listPieces(household, tree, room.id);
  const steps = furnishing(
    room.room!,
    standing,
    made.map(({ toStand }) => toStand),
    household.settings,
  );
  let last: Furnished = { stood: [], left: [] };
  for (const now of steps) {
    last = now;
    onStep(now.stood.length + now.left.length, made.length);
    await new Promise((resolve) => setTimeout(resolve));
  }
  const places = last.stood.flatMap(({ id, unit }) => {
    const one = made.find(({ unit: place }) => place.id === id)!;
    return [{ ...one.unit, unit }, ...one.slots];
  });
  const furnished = withPlaces(household, places);
  const { made: boxes, unfit } = makeBins(furnished, bins, taken);
  const spec = tieStations(room.room!, last.stood);
  const saved = [...places, ...boxes, ...(places.length > 0 ? [{ ...room, room: spec }] : [])];
  const done = {
    stood: last.stood.length,
    left: last.left.map(({ name }) => name),
    bins: boxes.filter(({ parentId }) => parentId !== undefined).length,
    idle: boxes.filter(({ parentId }) => parentId === undefined).length,
    unfit,
  };
  if (saved.length === 0) return done.left.length > 0 ? done : null;
  const isKept = await edit(
    household,
    (from) => createSavePlaces(from, room.name, saved, [], world.nowMs()),
    t('It stands in the room.'),
  );
  return isKept ? done : null;
}
