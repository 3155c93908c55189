import { findBrokenWishes } from './wishes.ts';
import { computePackage, getWholeLot } from '../core/measure/index.ts';
import type {
  Assignment,
  Dividers,
  Household,
  ItemId,
  LotId,
  Place,
  PlaceId,
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
  readonly assignments: readonly Assignment[];
  readonly unplaced: readonly Unplaced[];
}

const TOLERANCE_MM = 0.01;
const CHILD_REACH_MM = 1500;

/** Looks for anything wrong with a plan and its positions. An empty list with tests made is a pass. */
export function checkPlan(
  household: Household,
  plan: PlanLike,
  spots: ReadonlyMap<PlaceId, readonly CheckedSpot[]>,
): Checked {
  const findings: CheckFinding[] = [];
  let tests = 0;
  const test = (
    isGood: boolean,
    rule: CheckFinding['rule'],
    placeId: PlaceId | null,
    lotId: LotId | null,
    note: string,
  ) => {
    tests += 1;
    if (!isGood) findings.push({ rule, placeId, lotId, note });
  };
  const parentOf = (place: Place | undefined) => (place?.parentId ? household.places.get(place.parentId) : undefined);

  const told = new Map<LotId, number>();
  for (const { lotId } of [...plan.assignments, ...plan.unplaced]) told.set(lotId, (told.get(lotId) ?? 0) + 1);
  for (const lot of household.lots.values())
    if (['in', 'out', 'lent'].includes(lot.state))
      test(told.get(lot.id) === 1, 'complete', null, lot.id, `named ${told.get(lot.id) ?? 0} times`);
  for (const id of told.keys()) test(household.lots.has(id), 'complete', null, id, 'no such lot');

  const byPlace = new Map<PlaceId, Assignment[]>();
  for (const one of plan.assignments) byPlace.set(one.placeId, [...(byPlace.get(one.placeId) ?? []), one]);
  const slotLoad = new Map<PlaceId, number>();
  const unitLoad = new Map<PlaceId, number>();

  for (const [placeId, given] of byPlace) {
    const place = household.places.get(placeId);
    const slotPlace = place?.level === 'container' ? parentOf(place) : place;
    const unitPlace = parentOf(slotPlace);
    const slot = slotPlace?.slot;
    const unit = unitPlace?.unit;
    const hasBins = [...household.places.values()].some((other) => other.parentId === placeId);
    test(Boolean(slot && unit && !hasBins), 'place', placeId, null, 'not a slot or container that takes lots');
    if (!place || !slotPlace || !slot || !unitPlace || !unit) continue;
    const box = place.container;
    const inner = box
      ? [box.outerWidthMm - 2 * box.wallMm, box.outerDepthMm - 2 * box.wallMm, box.outerHeightMm - box.wallMm]
      : [slot.widthMm, slot.depthMm, slot.heightMm];
    const mode = box ? box.mode : slot.mode;
    const limits = inner as [number, number, number];
    const ordered = given.toSorted((a, b) => a.order - b.order);
    let massG = 0;
    const sizes = ordered.map((one) => {
      const lot = household.lots.get(one.lotId);
      const item = lot && household.items.get(lot.itemId);
      const pkg = lot && item ? computePackage(item, getWholeLot(household, lot), one.form, household.settings) : null;
      test(Boolean(pkg && item?.forms.includes(one.form)), 'form', placeId, one.lotId, one.form);
      massG += pkg?.massG ?? 0;
      if (item) {
        const care = new Set(item.care);
        const isSafe = slot.isChildSafe || unit.yMm + slot.yMm >= CHILD_REACH_MM;
        const isExposed = household.settings.hasChildren && !isSafe && (care.has('sharp') || care.has('smallPart'));
        test(!isExposed, 'household', placeId, one.lotId, 'within reach of children');
        const isShaded = box !== undefined && box.hasLid && !box.isSeeThrough;
        test(!(care.has('noSun') && slot.light === 'sun' && !isShaded), 'household', placeId, one.lotId, 'in the sun');
        test(!(care.has('flammable') && slot.isNearHeat), 'household', placeId, one.lotId, 'flammable near heat');
      }
      return { lotId: one.lotId, pkg };
    });
    if (box)
      test(massG <= box.loadG + 1e-6, 'load', placeId, null, `${massG.toFixed(0)} g in a container for ${box.loadG} g`);
    slotLoad.set(slotPlace.id, (slotLoad.get(slotPlace.id) ?? 0) + massG);
    unitLoad.set(unitPlace.id, (unitLoad.get(unitPlace.id) ?? 0) + massG);

    const here = spots.get(placeId) ?? [];
    const onHook = new Map<string, { massG: number; depthMm: number }>();
    const inCell = new Map<number, number>();
    let bulkVolume = 0;
    let rigidVolume = 0;
    for (const [index, { lotId, pkg }] of sizes.entries()) {
      if (!pkg) continue;
      const mine = here.filter((spot) => spot.index === index);
      // A cell belongs to one lot.
      if (box?.dividers)
        for (const cell of mine.flatMap((spot) => cellsOf(spot, box.dividers!, limits))) {
          test((inCell.get(cell) ?? index) === index, 'divider', placeId, lotId, 'in a cell of another');
          inCell.set(cell, index);
        }
      const volume = pkg.alongMm * pkg.acrossMm * pkg.heightMm;
      if (mine.some((spot) => spot.isBulk)) {
        // Soft goods by three quarters, bags of many by three fifths of the room.
        bulkVolume += (volume * pkg.pieces) / (pkg.pieces > 40 ? 0.6 : 0.75);
        test(pkg.isSoft || pkg.pieces > 40, 'size', placeId, lotId, 'a hard thing was packed as soft');
        continue;
      }
      rigidVolume += volume * pkg.pieces;
      test(
        new Set(mine.map((spot) => spot.piece)).size === pkg.pieces && mine.length === pkg.pieces,
        'size',
        placeId,
        lotId,
        `${mine.length} spots for ${pkg.pieces} pieces`,
      );
      const want = [pkg.alongMm, pkg.acrossMm, pkg.heightMm].toSorted((a, b) => a - b);
      for (const spot of mine) {
        const has = [spot.widthMm, spot.depthMm, spot.heightMm].toSorted((a, b) => a - b);
        test(
          has.every((mm, i) => Math.abs(mm - want[i]!) < TOLERANCE_MM),
          'size',
          placeId,
          lotId,
          'another size than the thing',
        );
        const isUpright = Math.abs(spot.heightMm - pkg.heightMm) < TOLERANCE_MM;
        if (mode === 'line' || mode === 'rail' || pkg.form === 'stack' || pkg.form === 'flat')
          test(isUpright, 'size', placeId, lotId, 'not upright');
        // A stack counts its height for the pile, so sides are only checked against the inside.
        test(
          spot.xMm >= -TOLERANCE_MM &&
            spot.yMm >= -TOLERANCE_MM &&
            spot.zMm >= -TOLERANCE_MM &&
            spot.xMm + spot.widthMm <= limits[0] + TOLERANCE_MM &&
            (mode === 'area' || spot.yMm + spot.depthMm <= limits[1] + TOLERANCE_MM) &&
            spot.zMm + spot.heightMm <= limits[2] + TOLERANCE_MM,
          'inside',
          placeId,
          lotId,
          'sticks out',
        );
        if (mode === 'line' || mode === 'volume') {
          const carried = here
            .filter(
              (other) =>
                other !== spot && !other.isBulk && Math.abs(other.zMm + other.heightMm - spot.zMm) < TOLERANCE_MM,
            )
            .reduce((sum, other) => sum + shared(spot, other), 0);
          test(
            spot.zMm < TOLERANCE_MM || carried >= 0.7 * spot.widthMm * spot.depthMm - 1,
            'support',
            placeId,
            lotId,
            'floats',
          );
        }
        if (mode === 'rail')
          test(
            pkg.form === 'hanger' && Math.abs(spot.zMm + spot.heightMm - limits[2]) < TOLERANCE_MM,
            'support',
            placeId,
            lotId,
            'does not hang from the rail',
          );
        if (mode === 'volume' && box?.dividers)
          test(cellsOf(spot, box.dividers, limits).length === 1, 'divider', placeId, lotId, 'goes through a divider');
        if (mode === 'area' && slot.peg) {
          // The hang hole, 10 mm under the top edge in the middle, must be on a hole of the board.
          const across = (spot.xMm + spot.widthMm / 2) / slot.peg.pitchMm - 0.5;
          const down = (limits[2] - (spot.zMm + spot.heightMm - 10)) / slot.peg.pitchMm - 0.5;
          test(
            Math.abs(across - Math.round(across)) < 1e-3 && Math.abs(down - Math.round(down)) < 1e-3,
            'hook',
            placeId,
            lotId,
            'between the holes',
          );
          const holeMm = household.items.get(household.lots.get(lotId)?.itemId ?? ('' as ItemId))?.box?.hangHoleMm ?? 0;
          const named = slot.peg.hooks?.find(
            (one) => one.column === Math.round(across) && one.row === Math.round(down),
          );
          test(!slot.peg.hooks || named !== undefined, 'hook', placeId, lotId, 'where no hook is');
          const usual = { wireMm: slot.peg.wireMm, projectionMm: slot.peg.projectionMm, loadG: slot.peg.hookLoadG };
          const hook = named ?? usual;
          test(holeMm >= hook.wireMm, 'hook', placeId, lotId, 'its hole is smaller than the hook');
          const key = `${Math.round(across)} ${Math.round(down)}`;
          const on = onHook.get(key) ?? { massG: 0, depthMm: 0 };
          onHook.set(key, { massG: on.massG + pkg.massG / pkg.pieces, depthMm: on.depthMm + spot.depthMm });
          const now = onHook.get(key)!;
          test(now.massG <= hook.loadG + 1e-6, 'load', placeId, lotId, 'too heavy for a hook');
          test(now.depthMm <= hook.projectionMm + 1e-6, 'hook', placeId, lotId, 'thicker than the hook is long');
          test(
            spot.yMm + spot.depthMm <= hook.projectionMm + TOLERANCE_MM,
            'hook',
            placeId,
            lotId,
            'further out than the hook',
          );
        }
      }
    }
    const rigid = here.filter((spot) => !spot.isBulk);
    for (let i = 0; i < rigid.length; i += 1)
      for (let j = i + 1; j < rigid.length; j += 1) {
        const [a, b] = [rigid[i]!, rigid[j]!];
        const high = Math.min(a.zMm + a.heightMm, b.zMm + b.heightMm) - Math.max(a.zMm, b.zMm);
        test(
          !(high > TOLERANCE_MM && shared(a, b) > TOLERANCE_MM),
          'overlap',
          placeId,
          ordered[a.index]?.lotId ?? null,
          `overlaps ${ordered[b.index]?.lotId ?? ''}`,
        );
      }
    const room = limits[0] * limits[1] * limits[2];
    if (mode === 'volume')
      test(bulkVolume + rigidVolume <= room * (1 + 1e-9), 'volume', placeId, null, 'more than there is room for');
    else test(bulkVolume === 0, 'volume', placeId, null, 'soft goods where nothing holds them');
    // Only the front row of an open shelf is in reach.
    if ((mode === 'line' || mode === 'rail') && !box && slot.opening !== 'drawer' && slot.opening !== 'lid')
      test(
        here.every((spot) => spot.yMm < TOLERANCE_MM),
        'inside',
        placeId,
        null,
        'a second row behind the first',
      );
  }
  for (const [id, massG] of slotLoad) {
    const tare = [...household.places.values()]
      .filter((one) => one.parentId === id)
      .reduce((sum, one) => sum + (one.container?.tareG ?? 0), 0);
    const limit = household.places.get(id)?.slot?.loadG ?? 0;
    test(massG + tare <= limit + 1e-6, 'load', id, null, `${(massG + tare).toFixed(0)} g on ${limit} g`);
  }
  for (const [id, massG] of unitLoad) {
    const limit = household.places.get(id)?.unit?.loadG ?? null;
    test(limit === null || massG <= limit, 'load', id, null, `${massG.toFixed(0)} g in the unit`);
  }
  const wishes = findBrokenWishes(household, plan.assignments);
  tests += wishes.tests;
  for (const { lotId, placeId, note } of wishes.broken) findings.push({ rule: 'wish', lotId, placeId, note });
  return { findings, tests };
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
