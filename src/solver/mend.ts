import { takesRoom, type Stowage, type Household, type LotId, type Wish } from '../core/records/index.ts';
import { createFacts, type Facts } from './model/index.ts';
import { describeAt, recount, State } from './score/index.ts';
import { constructFromPresent, PackingCache, repairPacking } from './search/index.ts';
import { createRun, type Run, type Solution } from './solve.ts';
import { withBerths } from '../core/storage/index.ts';
import { previewPlan } from '../core/suppose/index.ts';
import { listBinMoves, priceBins } from './bins.ts';

/** What of a plan no longer holds. */
export interface Stale {
  /** Lots that came since, or had no home in the plan. */
  readonly homeless: readonly LotId[];
  /** Lots whose place is no more. */
  readonly ousted: readonly LotId[];
  /** Lots that no longer go, or may no longer go, where the plan has them: they grew, the place shrank, a rule changed. */
  readonly burst: readonly LotId[];
  /** A wish speaks against where they would be. */
  readonly refused: readonly LotId[];
}

/** Carries the plan out in thought, packs every place for real, and sees what cannot stay. */
export function findStale(household: Household, plan: Stowage): Stale {
  const preview = previewPlan(household, plan);
  const forbidden = listForbidden(preview);
  // In the form that the plan has it, and nowhere else.
  const facts = createFacts(withOthersStaying(preview, forbidden));
  const state = new State(facts);
  constructFromPresent(state);
  repairPacking(state, new PackingCache(facts));
  const planned = new Set(plan.assignments.map((one) => one.lotId));
  const [homeless, ousted, burst, refused]: [LotId[], LotId[], LotId[], LotId[]] = [[], [], [], []];
  for (const [l, lot] of facts.lots.entries()) {
    if (lot.placeId === undefined) (planned.has(lot.id) ? ousted : homeless).push(lot.id);
    else if (forbidden.has(lot.id)) refused.push(lot.id);
    else if (state.getPlace(l) !== facts.present[l]) burst.push(lot.id);
  }
  return { homeless, ousted, burst, refused };
}

/** Lots that a wish forbids to be where they are. */
function listForbidden(household: Household): ReadonlySet<LotId> {
  const { lots, present, wishes } = createFacts(household);
  return new Set(lots.flatMap(({ id }, l) => (present[l]! >= 0 && wishes.forbid(l, present[l]!) ? [id] : [])));
}

/** The household with a plan carried out, in which all stays but what is given. */
function withOthersStaying(preview: Household, loose: ReadonlySet<LotId>): Household {
  const lotIds = [...preview.lots.values()].flatMap((lot) =>
    takesRoom(lot) && lot.placeId !== undefined && !loose.has(lot.id) ? [lot.id] : [],
  );
  const wish: Wish = { id: 'stays-as-planned', kind: 'stays', lotIds, groupIds: [], placeId: undefined };
  const { settings } = preview;
  return { ...preview, settings: { ...settings, wishes: [...(settings.wishes ?? []), wish] } };
}

/** Things of the plan that are still good move only where that brings so many times what carrying costs. */
const LOATH = 32;

/** A search for what is stale of a plan. What it finds is scored from how things really are. */
export interface Mending {
  readonly stale: Stale;
  readonly run: Run;
  /** Whether things that were not stale may move too: there was no room otherwise. */
  readonly isWider: boolean;
  readonly getSolution: () => Solution;
}

function score(real: Facts, { assignments }: Solution, carried: number): Solution['score'] {
  const byLot = new Map(assignments.map((one) => [one.lotId, one]));
  // As the plan would have it, but with what carrying costs from where things are.
  const planned = { ...real, lots: real.lots.map((lot) => ({ ...lot, form: byLot.get(lot.id)?.form ?? lot.form })) };
  const offered = describeAt(planned, (lot) => byLot.get(lot.id)?.placeId);
  return priceBins(real, offered, recount(real, offered), carried);
}

/**
 * Begins to mend a plan: only what is stale is placed anew. Where that leaves more without a home than need be, `isWider`
 * lets the others move too, loath as they are.
 */
export function startMending(household: Household, plan: Stowage, seed: number, isWider: boolean): Mending {
  const stale = findStale(household, plan);
  const preview = previewPlan(household, plan);
  const loose = new Set([...stale.homeless, ...stale.ousted, ...stale.burst, ...stale.refused]);
  const run = isWider
    ? createRun(preview, seed, { carryFactor: LOATH })
    : createRun(withOthersStaying(preview, loose), seed, { binsStay: true });
  // Priced from where things are, with containers where the plan has them.
  const real = createFacts(
    { ...household, places: preview.places },
    { isOpen: false, berths: withBerths(household.places) },
  );
  return {
    stale,
    run,
    isWider,
    getSolution() {
      const solution = run.getSolution();
      const carried = listBinMoves(withBerths(household.places), preview.places).length;
      return {
        ...solution,
        bins: listBinMoves(household.places, preview.places),
        score: score(real, solution, carried),
      };
    },
  };
}
