import type { Household, Lot, Place, PlaceId, UnitSpec } from '../records/index.ts';
import { computeTraits, type PlaceTree } from '../storage/index.ts';
import { listInRoom } from './pieces.ts';
import { computePresentPackage, groupLotsByPlace, SLACK_G } from '../whereabouts/index.ts';

/** What lies in a compartment or bin, and what it is said to carry, g. */
export interface PlaceLoad {
  readonly placeId: PlaceId;
  readonly massG: number;
  readonly limitG: number;
}

/** A piece of furniture with what is in it, weighed. Lengths in mm from its left, its back and the floor under it. */
export interface UnitLoad {
  readonly unitId: PlaceId;
  /** Of the empty piece; an estimate from its boards. */
  readonly ownG: number;
  readonly contentG: number;
  readonly slots: readonly PlaceLoad[];
  readonly bins: readonly PlaceLoad[];
  readonly centre: { readonly alongMm: number; readonly deepMm: number; readonly heightMm: number };
  /** A steady pull forward at its top from which it tips, as the mass that would pull so; null where it cannot tip. */
  readonly tipsAtG: number | null;
  /** So many full drawers pulled out together tip it by themselves; null where none do. */
  readonly drawersThatTip: number | null;
}

/** Chipboard, g/mm³. */
const BOARD_G_PER_MM3 = 650e-6;
const BACK_MM = 3;
const TABLE_TOP_MM = 25;
const TABLE_LEGS_G = 5000;
/** An empty drawer of half a square metre of thin board and its runners, by the area of its floor, g/mm². */
const DRAWER_G_PER_MM2 = 0.012;

/** The empty piece, weighed by its boards, g. */
export function computeOwnMassG(unit: UnitSpec): number {
  const { widthMm: w, heightMm: h, depthMm: d, boardMm, columns, rows } = unit;
  switch (unit.kind) {
    case 'cubes':
    case 'bookcase':
    case 'closet':
    case 'drawers': {
      const boards = (columns + 1) * h * d * boardMm + (rows + 1) * w * d * boardMm + w * h * BACK_MM;
      const drawers = unit.kind === 'drawers' ? columns * rows * (w / columns) * d * DRAWER_G_PER_MM2 : 0;
      return boards * BOARD_G_PER_MM3 + drawers;
    }
    case 'table':
      return w * d * TABLE_TOP_MM * BOARD_G_PER_MM3 + TABLE_LEGS_G;
    case 'pegboard':
      return w * h * Math.max(3, d / 2) * BOARD_G_PER_MM3;
    case 'spoolRack':
    case 'rail':
      return 3000;
    case 'floor':
      return 0;
  }
}

/** Whether a piece stands on the floor by itself and can fall forward. */
const canTip = (unit: UnitSpec) =>
  unit.yMm === 0 && !unit.isAnchored && ['cubes', 'bookcase', 'closet', 'drawers'].includes(unit.kind);

interface Part {
  readonly massG: number;
  readonly alongMm: number;
  readonly deepMm: number;
  readonly heightMm: number;
}

function getCentre(parts: readonly Part[]): { alongMm: number; deepMm: number; heightMm: number; massG: number } {
  const massG = parts.reduce((sum, part) => sum + part.massG, 0);
  const mean = (pick: (part: Part) => number) =>
    massG === 0 ? 0 : parts.reduce((sum, part) => sum + part.massG * pick(part), 0) / massG;
  return {
    massG,
    alongMm: mean((part) => part.alongMm),
    deepMm: mean((part) => part.deepMm),
    heightMm: mean((part) => part.heightMm),
  };
}

/** The least number of drawers that, pulled out with what is in them, bring the centre before the front edge. */
function countDrawersThatTip(restMomentG: number, pulls: readonly number[]): number | null {
  let rest = restMomentG;
  for (const [n, pull] of pulls.toSorted((a, b) => b - a).entries()) {
    rest -= pull;
    if (rest < 0) return n + 1;
  }
  return null;
}

/** Weighs one piece of furniture and all that is in it, from the things upwards. */
function weighUnit(
  household: Household,
  tree: PlaceTree,
  unitPlace: Place,
  byPlace: ReadonlyMap<PlaceId, Lot[]>,
): UnitLoad {
  const unit = unitPlace.unit!;
  const slots: PlaceLoad[] = [];
  const bins: PlaceLoad[] = [];
  const parts: Part[] = [];
  const pulls: number[] = [];
  const weigh = (place: Place) => {
    let massG = 0;
    let momentMm = 0;
    for (const lot of byPlace.get(place.id) ?? []) {
      const pkg = computePresentPackage(household, lot);
      if (!pkg) continue;
      massG += pkg.massG;
      momentMm += (pkg.massG * pkg.heightMm) / 2;
    }
    return { massG, midMm: massG === 0 ? 0 : momentMm / massG };
  };
  for (const slotPlace of tree.getChildren(unitPlace.id)) {
    const slot = slotPlace.slot!;
    const at = { alongMm: slot.xMm + slot.widthMm / 2, deepMm: unit.depthMm - slot.depthMm / 2 };
    let slotG = 0;
    const add = (massG: number, aboveMm: number) => {
      slotG += massG;
      parts.push({ massG, ...at, heightMm: slot.yMm + Math.min(slot.heightMm, aboveMm) });
    };
    const inBins = tree.getChildren(slotPlace.id);
    for (const bin of inBins) {
      const { massG, midMm } = weigh(bin);
      const box = bin.container!;
      bins.push({ placeId: bin.id, massG: massG + box.tareG, limitG: box.loadG + box.tareG });
      add(massG + box.tareG, (box.at?.zMm ?? 0) + Math.min(box.outerHeightMm / 2, midMm + box.wallMm));
    }
    const { massG, midMm } = weigh(slotPlace);
    add(massG, midMm);
    slots.push({ placeId: slotPlace.id, massG: slotG, limitG: slot.loadG });
    if (slot.opening === 'drawer') pulls.push((slotG + slot.widthMm * slot.depthMm * DRAWER_G_PER_MM2) * slot.depthMm);
  }
  const contentG = parts.reduce((sum, part) => sum + part.massG, 0);
  const ownG = computeOwnMassG(unit);
  const own = { massG: ownG, alongMm: unit.widthMm / 2, deepMm: unit.depthMm / 2, heightMm: unit.heightMm / 2 };
  const { massG, ...centre } = getCentre([...parts, own]);
  // About its front lower edge: what holds it back against a pull at its top.
  const momentG = massG * (unit.depthMm - centre.deepMm);
  return {
    unitId: unitPlace.id,
    ownG,
    contentG,
    slots,
    bins,
    centre,
    tipsAtG: canTip(unit) ? momentG / unit.heightMm : null,
    drawersThatTip: canTip(unit) ? countDrawersThatTip(momentG, pulls) : null,
  };
}

/** Weighs every piece of a room. */
export function computeLoads(household: Household, tree: PlaceTree, roomId: PlaceId): UnitLoad[] {
  const byPlace = groupLotsByPlace(household, 'is', listInRoom(tree, roomId));
  return tree.getChildren(roomId).flatMap((place) => (place.unit ? [weighUnit(household, tree, place, byPlace)] : []));
}

/** Compartments, bins and whole pieces in any room that carry more than they may, the worst first. */
export function findOverloads(household: Household, tree: PlaceTree): PlaceLoad[] {
  const byPlace = groupLotsByPlace(household, 'is');
  const loads = [...tree.places.values()].flatMap((place) =>
    place.unit ? [weighUnit(household, tree, place, byPlace)] : [],
  );
  return loads
    .flatMap(({ unitId, contentG, slots, bins }) => {
      const limitG = tree.places.get(unitId)!.unit!.loadG ?? Infinity;
      return [...slots, ...bins, { placeId: unitId, massG: contentG, limitG }];
    })
    .filter(({ massG, limitG }) => massG > limitG + SLACK_G)
    .toSorted((a, b) => b.massG / b.limitG - a.massG / a.limitG);
}

/** Something that is too heavy or can fall. */
export interface LoadFinding {
  readonly code:
    'slot-load' | 'unit-load' | 'bin-load' | 'bin-lift' | 'anchor' | 'rolls' | 'drawers-tip' | 'drawers-roll';
  readonly isFault: boolean;
  readonly unitId: PlaceId;
  /** The compartment or bin, or the piece itself. */
  readonly placeId: PlaceId;
  readonly massG: number;
  /** What it may weigh; of a piece that can tip, the pull at its top that does it. */
  readonly limitG: number;
  readonly drawers?: number;
}

/** Higher than this, or this many times as high as deep, furniture is anchored to a wall (figures.md). */
const ANCHOR_HEIGHT_MM = 750;
const ANCHOR_RATIO = 2.5;
/** A low piece that is slender all the same is let be where a child that climbs on it does not tip it: about three years old. */
const CLIMBER_G = 15_000;

/** Whether a piece is so tall, or so slender, that it is anchored. */
export function isTippy(unit: UnitSpec): boolean {
  return canTip(unit) && (unit.heightMm > ANCHOR_HEIGHT_MM || unit.heightMm > ANCHOR_RATIO * unit.depthMm);
}
/** What one lifts in a bin, and what one lifts above the shoulder. */
const LIFT_G = 10_000;
const HIGH_LIFT_G = 5000;
/** So many drawers are left open at once without thinking. */
const DRAWERS_AT_ONCE = 2;

/** What of a weighed piece is overloaded, can tip, or is too heavy to lift. */
export function findLoadFaults(household: Household, tree: PlaceTree, load: UnitLoad): LoadFinding[] {
  const { unitId } = load;
  const unit = tree.places.get(unitId)!.unit!;
  const found: LoadFinding[] = [];
  const add = (one: Omit<LoadFinding, 'unitId'>) => found.push({ ...one, unitId });
  for (const { placeId, massG, limitG } of load.slots)
    if (massG > limitG + SLACK_G) add({ code: 'slot-load', isFault: true, placeId, massG, limitG });
  if (unit.loadG !== undefined && load.contentG > unit.loadG + SLACK_G)
    add({ code: 'unit-load', isFault: true, placeId: unitId, massG: load.contentG, limitG: unit.loadG });
  for (const { placeId, massG, limitG } of load.bins) {
    if (massG > limitG + SLACK_G) add({ code: 'bin-load', isFault: true, placeId, massG, limitG });
    const { reach } = computeTraits(tree, tree.places.get(placeId)!, household.settings);
    const liftG = reach === 'stretch' || reach === 'stool' ? HIGH_LIFT_G : LIFT_G;
    if (massG > liftG + SLACK_G) add({ code: 'bin-lift', isFault: false, placeId, massG, limitG: liftG });
  }
  const massG = load.ownG + load.contentG;
  if (load.drawersThatTip !== null)
    add({
      code: unit.hasWheels ? 'drawers-roll' : 'drawers-tip',
      isFault: load.drawersThatTip <= DRAWERS_AT_ONCE,
      placeId: unitId,
      massG,
      limitG: load.tipsAtG ?? 0,
      drawers: load.drawersThatTip,
    });
  else if (load.tipsAtG !== null && isTippy(unit) && (unit.heightMm > ANCHOR_HEIGHT_MM || load.tipsAtG < CLIMBER_G))
    // What rolls cannot be anchored.
    add({ code: unit.hasWheels ? 'rolls' : 'anchor', isFault: false, placeId: unitId, massG, limitG: load.tipsAtG });
  return found;
}
