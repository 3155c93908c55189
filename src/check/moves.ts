import { computePackage, getWholeLot } from '../core/measure/index.ts';
import type { Assignment, Household, LotId, Place, PlaceId, StowForm } from '../core/records/index.ts';
import { checkPlan, type CheckedSpot, type CheckFinding } from './plan.ts';

/**
 * The independent checker of move lists. It carries everything out by the raw records, and after each step looks at the
 * place that something came to, at the piece of furniture around it, at the table and at what was lifted. It shares no
 * code with what makes move lists, with packing or with storage.
 */

interface CheckedStep {
  readonly kind: 'carry' | 'refold' | 'order';
  readonly lotIds: readonly LotId[];
  readonly forms: readonly StowForm[];
  readonly from: string;
  readonly to: string;
}

export interface MoveFinding {
  readonly step: number;
  readonly rule: 'from' | 'table' | 'lift' | 'home' | CheckFinding['rule'];
  readonly note: string;
}

const LIFT_G = 10_000;
const HIGH_LIFT_G = 5000;
const ARMFUL_MM3 = 45_000_000;
const SHOULDER = 0.82;
/** What is about things and not about the whole plan. */
const LOCAL = new Set<CheckFinding['rule']>([
  'inside',
  'overlap',
  'support',
  'size',
  'volume',
  'hook',
  'divider',
  'load',
]);

interface Whereabouts {
  readonly spot: string;
  readonly form: StowForm;
}

/**
 * Looks for anything wrong with a list of steps. `pack` gives positions for the lots of a place in this order, which
 * are then checked piece by piece; null where it found none, which is a finding too. A place that was over full before
 * the first step only has to take what comes once it takes anything.
 */
export function checkMoves(
  household: Household,
  steps: readonly CheckedStep[],
  tableMm3: number,
  pack: (placeId: PlaceId, inside: readonly { lotId: LotId; form: StowForm }[]) => readonly CheckedSpot[] | null,
): { readonly findings: readonly MoveFinding[]; readonly tests: number } {
  const findings: MoveFinding[] = [];
  let tests = 0;
  const test = (isGood: boolean, step: number, rule: MoveFinding['rule'], note: string) => {
    tests += 1;
    if (!isGood) findings.push({ step, rule, note });
  };
  const where = new Map<LotId, Whereabouts>();
  for (const lot of household.lots.values()) {
    if (lot.state === 'in') where.set(lot.id, { spot: lot.placeId!, form: lot.form });
    if (lot.state === 'out' && lot.away !== 'missing') where.set(lot.id, { spot: lot.away ?? 'about', form: lot.form });
  }
  const sizeOf = (id: LotId, form: StowForm) => {
    const lot = household.lots.get(id)!;
    return computePackage(household.items.get(lot.itemId)!, getWholeLot(household, lot), form, household.settings);
  };
  const bulkOf = (id: LotId, form: StowForm) => {
    const pkg = sizeOf(id, form);
    return pkg ? pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces : 0;
  };
  const climb = (id: string, level: Place['level']) => {
    let place = household.places.get(id as PlaceId);
    while (place && place.level !== level) place = place.parentId ? household.places.get(place.parentId) : undefined;
    return place;
  };
  const isHigh = (spot: string) => {
    const [slot, unit] = [climb(spot, 'slot')?.slot, climb(spot, 'unit')?.unit];
    if (!slot || !unit) return false;
    // By the floor of the place: the hand is never below it.
    return unit.yMm + slot.yMm >= SHOULDER * household.settings.statureMm;
  };
  const onTable = () =>
    [...where].reduce((sum, [id, one]) => sum + (one.spot === 'table' ? bulkOf(id, one.form) : 0), 0);

  for (const [k, step] of steps.entries()) {
    let [massG, bulkMm3] = [0, 0];
    for (const [i, id] of step.lotIds.entries()) {
      const now = where.get(id);
      test(now?.spot === step.from, k, 'from', `${id} is in ${now?.spot ?? 'nothing'}, not ${step.from}`);
      const lot = household.lots.get(id);
      if (!lot || !now) continue;
      massG += sizeOf(id, now.form)?.massG ?? 0;
      bulkMm3 += bulkOf(id, now.form);
      where.set(id, { spot: step.to, form: step.forms[i]! });
    }
    const liftG = isHigh(step.from) || isHigh(step.to) ? HIGH_LIFT_G : LIFT_G;
    if (step.kind === 'carry' && step.lotIds.length > 1) {
      test(massG <= liftG + 1e-6, k, 'lift', `${massG.toFixed(0)} g at once`);
      test(bulkMm3 <= ARMFUL_MM3 * (1 + 1e-9), k, 'lift', `${(bulkMm3 / 1e6).toFixed(1)} l at once`);
    }
    if (step.to === 'table') {
      const bulk = onTable();
      test(
        bulk <= tableMm3 * (1 + 1e-9),
        k,
        'table',
        `${(bulk / 1e6).toFixed(1)} l on a table for ${(tableMm3 / 1e6).toFixed(1)}`,
      );
    }
    const unit = climb(step.to, 'unit');
    if (!unit || step.kind === 'order') continue;
    const assignments: Assignment[] = [];
    const spots = new Map<PlaceId, readonly CheckedSpot[]>();
    const here = new Map<PlaceId, { lotId: LotId; form: StowForm }[]>();
    for (const [lotId, { spot, form }] of where) {
      if (climb(spot, 'unit') !== unit) continue;
      const placeId = spot as PlaceId;
      const list = here.get(placeId) ?? [];
      here.set(placeId, list);
      assignments.push({ lotId, placeId, form, order: list.length });
      list.push({ lotId, form });
    }
    const packed = pack(step.to as PlaceId, here.get(step.to as PlaceId) ?? []);
    test(packed !== null, k, 'inside', `${step.to} does not take what is in it`);
    if (!packed) continue;
    spots.set(step.to as PlaceId, packed);
    const told = new Set(assignments.map((one) => one.lotId));
    const unplaced = [...household.lots.keys()]
      .filter((id) => !told.has(id))
      .map((lotId) => ({ lotId, reason: { code: 'elsewhere' } }));
    const checked = checkPlan(household, { assignments, unplaced }, spots);
    tests += checked.tests;
    const slotId = climb(step.to, 'slot')?.id;
    for (const { rule, placeId, note } of checked.findings)
      if (LOCAL.has(rule) && (placeId === step.to || placeId === slotId || placeId === unit.id))
        findings.push({ step: k, rule, note });
  }
  for (const [id, { spot, form }] of where) {
    const lot = household.lots.get(id)!;
    if (lot.homeId === undefined) continue;
    const isHome = spot === lot.homeId && (form === lot.homeForm || sizeOf(id, lot.homeForm) === null);
    test(isHome, steps.length, 'home', `${id} ends in ${spot}`);
  }
  return { findings, tests };
}
