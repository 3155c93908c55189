import { computePackage, getWholeLot } from '../core/measure/index.ts';
import type { Assignment, BinMove, Household, LotId, Place, PlaceId, StowForm } from '../core/records/index.ts';
import { standPlanned } from './bins.ts';
import { checkPlan, type CheckedSpot, type CheckFinding } from './plan.ts';

/**
 * The independent checker of move lists. It carries everything out by the raw records, and after each step looks at the
 * place that something came to, at the piece of furniture around it, at the table and at what was lifted. It shares no
 * code with what makes move lists, with packing or with storage.
 */

interface CheckedStep {
  readonly kind: 'carry' | 'refold' | 'order' | 'bins';
  readonly bins?: readonly BinMove[];
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

type Pack = (placeId: PlaceId, inside: readonly { lotId: LotId; form: StowForm }[]) => readonly CheckedSpot[] | null;

/** Where everything is while the list is carried out, and what is wrong so far. */
class Carrying {
  readonly findings: MoveFinding[] = [];
  readonly where = new Map<LotId, Whereabouts>();
  tests = 0;

  constructor(private household: Household) {
    for (const lot of household.lots.values()) {
      if (lot.state === 'in') this.where.set(lot.id, { spot: lot.placeId!, form: lot.form });
      if (lot.state === 'out' && lot.away !== 'missing')
        this.where.set(lot.id, {
          spot: lot.away === 'table' || lot.away === 'aside' ? lot.away : 'about',
          form: lot.form,
        });
    }
  }

  test(isGood: boolean, step: number, rule: MoveFinding['rule'], note: string): void {
    this.tests += 1;
    if (!isGood) this.findings.push({ step, rule, note });
  }

  sizeOf(id: LotId, form: StowForm) {
    const { household } = this;
    const lot = household.lots.get(id)!;
    return computePackage(household.items.get(lot.itemId)!, getWholeLot(household, lot), form, household.settings);
  }

  climb(id: string, level: Place['level']): Place | undefined {
    const { places } = this.household;
    let place = places.get(id as PlaceId);
    while (place && place.level !== level) place = place.parentId ? places.get(place.parentId) : undefined;
    return place;
  }

  /** What was carried at once, from where to where: all there, and no more than one lifts and holds. */
  carry(k: number, step: CheckedStep): void {
    let [massG, bulkMm3] = [0, 0];
    for (const [i, id] of step.lotIds.entries()) {
      const now = this.where.get(id);
      this.test(now?.spot === step.from, k, 'from', `${id} is in ${now?.spot ?? 'nothing'}, not ${step.from}`);
      if (!this.household.lots.has(id) || !now) continue;
      massG += this.sizeOf(id, now.form)?.massG ?? 0;
      bulkMm3 += this.bulkOf(id, now.form);
      this.where.set(id, { spot: step.to, form: step.forms[i]! });
    }
    if (step.kind !== 'carry' || step.lotIds.length < 2) return;
    const liftG = this.isHigh(step.from) || this.isHigh(step.to) ? HIGH_LIFT_G : LIFT_G;
    this.test(massG <= liftG + 1e-6, k, 'lift', `${massG.toFixed(0)} g at once`);
    this.test(bulkMm3 <= ARMFUL_MM3 * (1 + 1e-9), k, 'lift', `${(bulkMm3 / 1e6).toFixed(1)} l at once`);
  }

  /** Containers that were carried: they stand there, nothing loose is where they came to, and nothing that lives in one that went away. */
  carryBins(k: number, bins: readonly BinMove[]): void {
    const stood = standPlanned(this.household, bins);
    this.household = stood.household;
    this.tests += stood.tests - stood.faults.length;
    for (const { placeId, note } of stood.faults) this.test(false, k, 'bin', `${placeId} ${note}`);
    for (const { placeId, slotId } of bins) {
      const closed = slotId ?? placeId;
      for (const [id, { spot, form }] of this.where) {
        if (spot !== closed) continue;
        const { homeId } = this.household.lots.get(id)!;
        this.test(homeId === undefined, k, 'bin', `${id} is in the way of ${placeId}`);
        this.where.set(id, { spot: 'about', form });
      }
    }
  }

  /** Whether every container ends where it was to be carried. */
  checkBins(k: number, today: Household): void {
    for (const { id, container } of today.places.values())
      if (container?.goesTo)
        this.test(
          this.household.places.get(id)?.parentId === container.goesTo.slotId,
          k,
          'home',
          `${id} was not carried`,
        );
  }

  checkTable(k: number, tableMm3: number): void {
    const bulk = [...this.where].reduce(
      (sum, [id, one]) => sum + (one.spot === 'table' ? this.bulkOf(id, one.form) : 0),
      0,
    );
    const note = `${(bulk / 1e6).toFixed(1)} l on a table for ${(tableMm3 / 1e6).toFixed(1)}`;
    this.test(bulk <= tableMm3 * (1 + 1e-9), k, 'table', note);
  }

  /** The place that something came to, and the piece of furniture around it, by the checker of plans. */
  checkArrival(k: number, to: PlaceId, unit: Place, pack: Pack): void {
    const { household } = this;
    const assignments: Assignment[] = [];
    const here = new Map<PlaceId, { lotId: LotId; form: StowForm }[]>();
    for (const [lotId, { spot, form }] of this.where) {
      if (this.climb(spot, 'unit') !== unit) continue;
      const placeId = spot as PlaceId;
      const list = here.get(placeId) ?? [];
      here.set(placeId, list);
      assignments.push({ lotId, placeId, form, order: list.length });
      list.push({ lotId, form });
    }
    const packed = pack(to, here.get(to) ?? []);
    this.test(packed !== null, k, 'inside', `${to} does not take what is in it`);
    if (!packed) return;
    const told = new Set(assignments.map((one) => one.lotId));
    const unplaced = [...household.lots.keys()]
      .filter((id) => !told.has(id))
      .map((lotId) => ({ lotId, reason: { code: 'elsewhere' } }));
    const checked = checkPlan(household, { assignments, unplaced }, new Map([[to, packed]]));
    this.tests += checked.tests;
    const touched = new Set<PlaceId | null | undefined>([to, this.climb(to, 'slot')?.id, unit.id]);
    for (const { rule, placeId, note } of checked.findings)
      if (LOCAL.has(rule) && touched.has(placeId)) this.findings.push({ step: k, rule, note });
  }

  private bulkOf(id: LotId, form: StowForm): number {
    const pkg = this.sizeOf(id, form);
    return pkg ? pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces : 0;
  }

  private isHigh(spot: string): boolean {
    const [slot, unit] = [this.climb(spot, 'slot')?.slot, this.climb(spot, 'unit')?.unit];
    if (!slot || !unit) return false;
    // By the floor of the place: the hand is never below it.
    return unit.yMm + slot.yMm >= SHOULDER * this.household.settings.statureMm;
  }
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
  pack: Pack,
): { readonly findings: readonly MoveFinding[]; readonly tests: number } {
  const carrying = new Carrying(household);
  for (const [k, step] of steps.entries()) {
    if (step.bins) {
      carrying.carryBins(k, step.bins);
      continue;
    }
    carrying.carry(k, step);
    if (step.to === 'table') carrying.checkTable(k, tableMm3);
    const unit = carrying.climb(step.to, 'unit');
    if (unit && step.kind !== 'order') carrying.checkArrival(k, step.to as PlaceId, unit, pack);
  }
  carrying.checkBins(steps.length, household);
  for (const [id, { spot, form }] of carrying.where) {
    const lot = household.lots.get(id)!;
    if (lot.homeId === undefined) continue;
    const isHome = spot === lot.homeId && (form === lot.homeForm || carrying.sizeOf(id, lot.homeForm) === null);
    carrying.test(isHome, steps.length, 'home', `${id} ends in ${spot}`);
  }
  return { findings: carrying.findings, tests: carrying.tests };
}
