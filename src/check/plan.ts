import { standPlanned } from './bins.ts';
import { findBrokenWishes } from './wishes.ts';
import { computePackage, getWholeLot, type Package } from '../core/measure/index.ts';
import type {
  CareFlag,
  Assignment,
  BinMove,
  ContainerSpec,
  Dividers,
  Household,
  ItemId,
  LotId,
  Place,
  PlaceId,
  SlotSpec,
  UnitSpec,
  Unplaced,
} from '../core/records/index.ts';

/**
 * The independent checker of plans. It reads the raw records and shares no code with packing, storage
 * or the solver; only the size of a lot in a form comes from core/measure, which has tests of its own.
 */

/** One piece where it is said to lie; mm in the frame of the place. `index` counts the place's lots in their turn. */
export interface CheckedSpot {
  readonly index: number;
  readonly piece: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly zMm: number;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly heightMm: number;
  readonly isBulk: boolean;
}

export interface CheckFinding {
  readonly rule:
    | 'complete'
    | 'place'
    | 'form'
    | 'inside'
    | 'overlap'
    | 'support'
    | 'size'
    | 'volume'
    | 'hook'
    | 'divider'
    | 'load'
    | 'household'
    | 'bin'
    | 'wish';
  readonly lotId: LotId | null;
  readonly placeId: PlaceId | null;
  readonly note: string;
}

interface Checked {
  readonly findings: readonly CheckFinding[];
  /** How many single tests were made; none would be no proof. */
  readonly tests: number;
}

interface PlanLike {
  readonly bins?: readonly BinMove[];
  readonly assignments: readonly Assignment[];
  readonly unplaced: readonly Unplaced[];
}

const TOLERANCE_MM = 0.01;
const CHILD_REACH_MM = 1500;

/** Counts what was tested and keeps what failed. */
class Ledger {
  readonly findings: CheckFinding[] = [];
  tests = 0;

  test(isGood: boolean, rule: CheckFinding['rule'], placeId: PlaceId | null, lotId: LotId | null, note: string): void {
    this.tests += 1;
    if (!isGood) this.findings.push({ rule, placeId, lotId, note });
  }
}

/** A place that a plan gives lots to, with what it is part of. */
interface Here {
  readonly household: Household;
  readonly placeId: PlaceId;
  readonly slotId: PlaceId;
  readonly unitId: PlaceId;
  readonly slot: SlotSpec;
  readonly unit: UnitSpec;
  readonly box: ContainerSpec | undefined;
  readonly mode: SlotSpec['mode'];
  /** Where things come from, and none lives. */
  readonly isHeap: boolean;
  /** Clear width, depth and height inside. */
  readonly limits: readonly [number, number, number];
  /** Where the pieces are said to lie. */
  readonly spots: readonly CheckedSpot[];
  readonly test: (isGood: boolean, rule: CheckFinding['rule'], lotId: LotId | null, note: string) => void;
}

interface Sized {
  readonly lotId: LotId;
  readonly pkg: Package | null;
}

/** Looks for anything wrong with a plan and its positions. An empty list with tests made is a pass. */
export function checkPlan(
  today: Household,
  plan: PlanLike,
  spots: ReadonlyMap<PlaceId, readonly CheckedSpot[]>,
): Checked {
  const ledger = new Ledger();
  const stood = standPlanned(today, plan.bins ?? []);
  const { household } = stood;
  for (const { placeId, note } of stood.faults) ledger.test(false, 'bin', placeId, null, note);
  ledger.tests += stood.tests - stood.faults.length;
  checkComplete(household, plan, ledger);
  const byPlace = new Map<PlaceId, Assignment[]>();
  for (const one of plan.assignments) byPlace.set(one.placeId, [...(byPlace.get(one.placeId) ?? []), one]);
  const slotLoad = new Map<PlaceId, number>();
  const unitLoad = new Map<PlaceId, number>();
  for (const [placeId, given] of byPlace) {
    const here = enter(household, placeId, spots.get(placeId) ?? [], ledger);
    if (!here) continue;
    const ordered = given.toSorted((a, b) => a.order - b.order);
    const sizes = ordered.map((one) => checkLot(here, one));
    const massG = sizes.reduce((sum, { pkg }) => sum + (pkg?.massG ?? 0), 0);
    const { box } = here;
    if (box)
      here.test(massG <= box.loadG + 1e-6, 'load', null, `${massG.toFixed(0)} g in a container for ${box.loadG} g`);
    slotLoad.set(here.slotId, (slotLoad.get(here.slotId) ?? 0) + massG);
    unitLoad.set(here.unitId, (unitLoad.get(here.unitId) ?? 0) + massG);
    checkInside(here, sizes);
  }
  for (const [id, massG] of slotLoad) {
    const tare = [...household.places.values()]
      .filter((one) => one.parentId === id)
      .reduce((sum, one) => sum + (one.container?.tareG ?? 0), 0);
    const limit = household.places.get(id)?.slot?.loadG ?? 0;
    ledger.test(massG + tare <= limit + 1e-6, 'load', id, null, `${(massG + tare).toFixed(0)} g on ${limit} g`);
  }
  for (const [id, massG] of unitLoad) {
    const limit = household.places.get(id)?.unit?.loadG ?? null;
    ledger.test(limit === null || massG <= limit, 'load', id, null, `${massG.toFixed(0)} g in the unit`);
  }
  const wishes = findBrokenWishes(household, plan.assignments);
  const broken = wishes.broken.map((one): CheckFinding => ({ rule: 'wish', ...one }));
  return { findings: [...ledger.findings, ...broken], tests: ledger.tests + wishes.tests };
}

/** Every lot that there is to store is named once, and nothing else. */
function checkComplete(household: Household, plan: PlanLike, ledger: Ledger): void {
  const told = new Map<LotId, number>();
  for (const { lotId } of [...plan.assignments, ...plan.unplaced]) told.set(lotId, (told.get(lotId) ?? 0) + 1);
  for (const lot of household.lots.values())
    if (['in', 'out', 'lent'].includes(lot.state))
      ledger.test(told.get(lot.id) === 1, 'complete', null, lot.id, `named ${told.get(lot.id) ?? 0} times`);
  for (const id of told.keys()) ledger.test(household.lots.has(id), 'complete', null, id, 'no such lot');
}

/** What there is to know of a place; null, and a finding, where it takes no lots. */
function enter(household: Household, placeId: PlaceId, spots: readonly CheckedSpot[], ledger: Ledger): Here | null {
  const parentOf = (place: Place | undefined) => (place?.parentId ? household.places.get(place.parentId) : undefined);
  const place = household.places.get(placeId);
  const slotPlace = place?.level === 'container' ? parentOf(place) : place;
  const unitPlace = parentOf(slotPlace);
  const slot = slotPlace?.slot;
  const unit = unitPlace?.unit;
  const hasBins = [...household.places.values()].some((other) => other.parentId === placeId);
  ledger.test(Boolean(slot && unit && !hasBins), 'place', placeId, null, 'not a slot or container that takes lots');
  if (!place || !slotPlace || !slot || !unitPlace || !unit) return null;
  const box = place.container;
  return {
    household,
    placeId,
    slotId: slotPlace.id,
    unitId: unitPlace.id,
    slot,
    unit,
    box,
    mode: box ? box.mode : slot.mode,
    isHeap: unit.isHeap ?? false,
    limits: box
      ? [box.outerWidthMm - 2 * box.wallMm, box.outerDepthMm - 2 * box.wallMm, box.outerHeightMm - box.wallMm]
      : [slot.widthMm, slot.depthMm, slot.heightMm],
    spots,
    test: (isGood, rule, lotId, note) => ledger.test(isGood, rule, placeId, lotId, note),
  };
}

/** The form that a lot lies in, and what the household asks for it; its size in that form. */
function checkLot({ household, slot, unit, box, isHeap, test }: Here, { lotId, form }: Assignment): Sized {
  const lot = household.lots.get(lotId);
  const item = lot && household.items.get(lot.itemId);
  const pkg = lot && item ? computePackage(item, getWholeLot(household, lot), form, household.settings) : null;
  test(Boolean(pkg && item?.forms.includes(form)), 'form', lotId, form);
  if (item) {
    const care = new Set(item.care);
    const isSafe = slot.isChildSafe || unit.yMm + slot.yMm >= CHILD_REACH_MM;
    const isExposed =
      household.settings.hasChildren &&
      !isSafe &&
      (item.box?.type === 'cord' ||
        ['sharp', 'smallPart', 'magnetic', 'hot', 'liquid'].some((flag) => care.has(flag as CareFlag)));
    test(!isExposed, 'household', lotId, 'within reach of children');
    const isShaded = box !== undefined && box.hasLid && !box.isSeeThrough;
    test(!(care.has('noSun') && slot.light === 'sun' && !isShaded), 'household', lotId, 'in the sun');
    test(!(care.has('flammable') && slot.isNearHeat), 'household', lotId, 'flammable near heat');
    test(!isHeap, 'household', lotId, 'on a heap');
  }
  return { lotId, pkg };
}

/** That all of it is there, of its own size, where it can lie, and no two in one spot. */
function checkInside(here: Here, sizes: readonly Sized[]): void {
  const { box, mode, slot, limits, spots, test } = here;
  const onHook: OnHook = new Map();
  const inCell = new Map<number, number>();
  let bulkVolume = 0;
  let rigidVolume = 0;
  for (const [index, { lotId, pkg }] of sizes.entries()) {
    if (!pkg) continue;
    const mine = spots.filter((spot) => spot.index === index);
    // A cell belongs to one lot.
    if (box?.dividers)
      for (const cell of mine.flatMap((spot) => cellsOf(spot, box.dividers!, limits))) {
        test((inCell.get(cell) ?? index) === index, 'divider', lotId, 'in a cell of another');
        inCell.set(cell, index);
      }
    const volume = pkg.alongMm * pkg.acrossMm * pkg.heightMm;
    if (mine.some((spot) => spot.isBulk)) {
      // Soft goods by three quarters, bags of many by three fifths of the room.
      bulkVolume += (volume * pkg.pieces) / (pkg.pieces > 40 ? 0.6 : 0.75);
      test(pkg.isSoft || pkg.pieces > 40, 'size', lotId, 'a hard thing was packed as soft');
      continue;
    }
    rigidVolume += volume * pkg.pieces;
    test(
      new Set(mine.map((spot) => spot.piece)).size === pkg.pieces && mine.length === pkg.pieces,
      'size',
      lotId,
      `${mine.length} spots for ${pkg.pieces} pieces`,
    );
    for (const spot of mine) {
      checkSpot(here, lotId, pkg, spot);
      if (mode === 'area' && slot.peg) checkHook(here, slot.peg, lotId, pkg, spot, onHook);
    }
  }
  checkApart(here, sizes);
  const room = limits[0] * limits[1] * limits[2];
  if (mode === 'volume')
    test(bulkVolume + rigidVolume <= room * (1 + 1e-9), 'volume', null, 'more than there is room for');
  else test(bulkVolume === 0, 'volume', null, 'soft goods where nothing holds them');
  // Only the front row of an open shelf is in reach.
  if ((mode === 'line' || mode === 'rail') && !box && slot.opening !== 'drawer' && slot.opening !== 'lid')
    test(
      spots.every((spot) => spot.yMm < TOLERANCE_MM),
      'inside',
      null,
      'a second row behind the first',
    );
}

/** One piece: its size, that it is inside, and that something holds it. */
function checkSpot({ box, mode, limits, spots, test }: Here, lotId: LotId, pkg: Package, spot: CheckedSpot): void {
  const want = [pkg.alongMm, pkg.acrossMm, pkg.heightMm].toSorted((a, b) => a - b);
  const has = [spot.widthMm, spot.depthMm, spot.heightMm].toSorted((a, b) => a - b);
  test(
    has.every((mm, i) => Math.abs(mm - want[i]!) < TOLERANCE_MM),
    'size',
    lotId,
    'another size than the thing',
  );
  const isUpright = Math.abs(spot.heightMm - pkg.heightMm) < TOLERANCE_MM;
  if (mode === 'line' || mode === 'rail' || pkg.form === 'stack' || pkg.form === 'flat')
    test(isUpright, 'size', lotId, 'not upright');
  // A stack counts its height for the pile, so sides are only checked against the inside.
  test(
    spot.xMm >= -TOLERANCE_MM &&
      spot.yMm >= -TOLERANCE_MM &&
      spot.zMm >= -TOLERANCE_MM &&
      spot.xMm + spot.widthMm <= limits[0] + TOLERANCE_MM &&
      (mode === 'area' || spot.yMm + spot.depthMm <= limits[1] + TOLERANCE_MM) &&
      spot.zMm + spot.heightMm <= limits[2] + TOLERANCE_MM,
    'inside',
    lotId,
    'sticks out',
  );
  if (mode === 'line' || mode === 'volume') {
    const carried = spots
      .filter(
        (other) => other !== spot && !other.isBulk && Math.abs(other.zMm + other.heightMm - spot.zMm) < TOLERANCE_MM,
      )
      .reduce((sum, other) => sum + shared(spot, other), 0);
    const isHeld = spot.zMm < TOLERANCE_MM || carried >= 0.7 * spot.widthMm * spot.depthMm - 1;
    test(isHeld, 'support', lotId, 'floats');
  }
  if (mode === 'rail') {
    const isHung = pkg.form === 'hanger' && Math.abs(spot.zMm + spot.heightMm - limits[2]) < TOLERANCE_MM;
    test(isHung, 'support', lotId, 'does not hang from the rail');
  }
  if (mode === 'volume' && box?.dividers)
    test(cellsOf(spot, box.dividers, limits).length === 1, 'divider', lotId, 'goes through a divider');
}

/** What hangs on each hook so far, by its column and row. */
type OnHook = Map<string, { readonly massG: number; readonly depthMm: number }>;

/** One piece on a pegboard: on a hole, on a hook that takes it. */
function checkHook(
  { household, limits, test }: Here,
  peg: NonNullable<SlotSpec['peg']>,
  lotId: LotId,
  pkg: Package,
  spot: CheckedSpot,
  onHook: OnHook,
): void {
  // The hang hole, 10 mm under the top edge in the middle, must be on a hole of the board.
  const across = (spot.xMm + spot.widthMm / 2) / peg.pitchMm - 0.5;
  const down = (limits[2] - (spot.zMm + spot.heightMm - 10)) / peg.pitchMm - 0.5;
  const isOnHole = Math.abs(across - Math.round(across)) < 1e-3 && Math.abs(down - Math.round(down)) < 1e-3;
  test(isOnHole, 'hook', lotId, 'between the holes');
  const holeMm = household.items.get(household.lots.get(lotId)?.itemId ?? ('' as ItemId))?.box?.hangHoleMm ?? 0;
  const named = peg.hooks?.find((one) => one.column === Math.round(across) && one.row === Math.round(down));
  test(!peg.hooks || named !== undefined, 'hook', lotId, 'where no hook is');
  const hook = named ?? { wireMm: peg.wireMm, projectionMm: peg.projectionMm, loadG: peg.hookLoadG };
  test(holeMm >= hook.wireMm, 'hook', lotId, 'its hole is smaller than the hook');
  const key = `${Math.round(across)} ${Math.round(down)}`;
  const on = onHook.get(key) ?? { massG: 0, depthMm: 0 };
  const now = { massG: on.massG + pkg.massG / pkg.pieces, depthMm: on.depthMm + spot.depthMm };
  onHook.set(key, now);
  test(now.massG <= hook.loadG + 1e-6, 'load', lotId, 'too heavy for a hook');
  test(now.depthMm <= hook.projectionMm + 1e-6, 'hook', lotId, 'thicker than the hook is long');
  const isReached = spot.yMm + spot.depthMm <= hook.projectionMm + TOLERANCE_MM;
  test(isReached, 'hook', lotId, 'further out than the hook');
}

/** No two hard pieces share a spot. */
function checkApart({ spots, test }: Here, sizes: readonly Sized[]): void {
  const rigid = spots.filter((spot) => !spot.isBulk);
  for (let i = 0; i < rigid.length; i += 1)
    for (let j = i + 1; j < rigid.length; j += 1) {
      const [a, b] = [rigid[i]!, rigid[j]!];
      const high = Math.min(a.zMm + a.heightMm, b.zMm + b.heightMm) - Math.max(a.zMm, b.zMm);
      test(
        !(high > TOLERANCE_MM && shared(a, b) > TOLERANCE_MM),
        'overlap',
        sizes[a.index]?.lotId ?? null,
        `overlaps ${sizes[b.index]?.lotId ?? ''}`,
      );
    }
}

/** The cells of a divided bin that a box reaches into; one more where it goes through a wall between them. */
function cellsOf(spot: CheckedSpot, dividers: Dividers, limits: readonly [number, number, number]): number[] {
  const along = (from: number, to: number, n: number, inner: number) => {
    const cell = (inner - (n - 1) * dividers.thickMm) / n;
    const reached = Array.from({ length: n }, (_, i) => i).filter((i) => {
      const start = i * (cell + dividers.thickMm);
      return Math.min(to, start + cell) - Math.max(from, start) > TOLERANCE_MM;
    });
    const start = (reached[0] ?? 0) * (cell + dividers.thickMm);
    const isWithin = from >= start - TOLERANCE_MM && to <= start + cell + TOLERANCE_MM;
    return isWithin ? reached : [...reached, n];
  };
  const columns = along(spot.xMm, spot.xMm + spot.widthMm, dividers.columns, limits[0]);
  const rows = along(spot.yMm, spot.yMm + spot.depthMm, dividers.rows, limits[1]);
  return rows.flatMap((row) => columns.map((column) => row * (dividers.columns + 1) + column));
}

/** Ground that two boxes share, seen from above, mm². */
function shared(a: CheckedSpot, b: CheckedSpot): number {
  const wide = Math.min(a.xMm + a.widthMm, b.xMm + b.widthMm) - Math.max(a.xMm, b.xMm);
  const deep = Math.min(a.yMm + a.depthMm, b.yMm + b.depthMm) - Math.max(a.yMm, b.yMm);
  return wide > TOLERANCE_MM && deep > TOLERANCE_MM ? wide * deep : 0;
}
