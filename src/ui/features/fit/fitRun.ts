import { create } from 'zustand';
import type { Household, LotId, Plan, Stowage, Score } from '../../../core/records/index.ts';
import { withGot, type Got } from '../../../core/room/index.ts';
import { startPlanner, type PlannerHandle } from '../../../workers/client.ts';
import type { Aim, CurvePlan, FromPlanner, Mended, PlanChecks } from '../../../workers/protocol.ts';
import { t } from '../../language/index.ts';

/** A search and what it found, kept while one looks at other screens. */
interface FitRun {
  readonly status: 'idle' | 'running' | 'done' | 'failed';
  readonly seconds: number;
  readonly progress: Extract<FromPlanner, { type: 'progress' }> | null;
  readonly plan: Plan | null;
  readonly checks: PlanChecks | null;
  /** Plans from few moves to many, of which one can be taken; null until they are asked for. */
  readonly curve: readonly CurvePlan[] | null;
  readonly note: string;
  /** As much of the best so far as is drawn while the search goes on. */
  readonly bestSoFar: Stowage | null;
  /** No plan is better by more than so many percent, as far as is proven; null until something is. */
  readonly bound: { readonly mostPercent: number; readonly isLast: boolean } | null;
  /** What was supposed, where the plan is for a household that is not; such a plan is only looked at. */
  readonly supposed: string | null;
  /** What to get, how many trials it took to find out, and for which household; null until it is asked for. */
  readonly got: { readonly list: readonly Got[]; readonly trials: number; readonly asked: Household } | null;
  readonly getting: Extract<FromPlanner, { type: 'getting' }> | null;
  /** What of a plan was stale and was placed anew. */
  readonly mended: Mended | null;
  /** What was asked for that the plan was mended for, and how the plan stood before. */
  readonly asked: { readonly words: string; readonly before: Score } | null;
  /** Whether what is looked for is what to get. */
  readonly isGetting: boolean;
  /** The household the plan was made for. */
  readonly household: Household | null;
  readonly start: (household: Household, seed: number, seconds: number) => void;
  /** Looks on from the plan in hand: what it ends with is never worse. */
  readonly goOn: (household: Household, seconds: number) => void;
  /** Looks for what few moves would bring. */
  readonly startCurve: (household: Household, seed: number, seconds: number) => void;
  /** Looks for a plan with as few containers in use as can be. */
  readonly startFree: (household: Household) => void;
  /** Looks for a plan with few moves in which these lots stay where they are now. */
  readonly startMend: (household: Household, stayIds: readonly LotId[]) => void;
  /** Looks for a plan with few moves for a household as it might be. */
  readonly startSupposed: (household: Household, supposed: string) => void;
  /** Places only what is stale of a plan anew. */
  readonly startRepair: (household: Household, plan: Stowage) => void;
  /** Mends a plan around something that was asked since it was found. */
  readonly startAround: (household: Household, plan: Plan, words: string, changed?: Stowage) => void;
  /** Looks for the cheapest things to get with which all has a home. */
  readonly startGet: (household: Household) => void;
  readonly choose: (point: CurvePlan) => void;
  /** Shows a plan that was kept; it was checked when it was made. */
  readonly look: (plan: Plan, household: Household) => void;
  readonly stop: () => void;
  readonly discard: () => void;
}

let handle: PlannerHandle | null = null;

/** Four fifths of what can be saved. */
const GOOD_SHARE = 0.8;
/** So long the smaller questions are searched for, which start from how things are. */
const FEW_SECONDS = 4;

const NOTHING = {
  progress: null,
  plan: null,
  checks: null,
  curve: null,
  note: '',
  bestSoFar: null,
  bound: null,
  supposed: null,
  got: null,
  getting: null,
  isGetting: false,
  asked: null,
  mended: null,
} as const;

/** What a search goes on from, without what else a plan says. */
const toStowage = ({ assignments, bins }: Stowage): Stowage => ({ assignments, ...(bins && { bins }) });

function begin(household: Household, seconds: number, aim: Aim, seed = 1): void {
  const set = useFitRun.setState;
  handle?.abandon();
  set({ ...NOTHING, status: 'running', seconds, household, isGetting: aim.type === 'get' });
  const listen = (message: FromPlanner) => {
    if (message.type === 'progress') {
      set({ progress: message });
      if (message.best) set({ bestSoFar: message.best });
    } else if (message.type === 'failed') set({ status: 'failed', note: message.note, bestSoFar: null });
    else if (message.type === 'done')
      set({
        status: 'done',
        plan: message.plan,
        checks: message.checks,
        mended: message.mended ?? null,
        bestSoFar: null,
      });
    else if (message.type === 'bound') set({ bound: message });
    else if (message.type === 'getting') set({ getting: message });
    else if (message.type === 'got') {
      const { got, plan, checks, trials } = message;
      const supposed = got.length > 0 ? t('With what you could get') : null;
      set({ status: 'done', plan, checks, got: { list: got, trials, asked: household }, supposed });
      if (supposed) set({ household: withGot(household, got) });
    } else {
      const { points } = message;
      // The first that brings most of the gain is the one to look at.
      const good = points.find((point) => point.gainShare >= GOOD_SHARE) ?? points.at(-1);
      set({ status: 'done', curve: points, plan: good?.plan ?? null, checks: good?.checks ?? null, bestSoFar: null });
    }
  };
  handle = startPlanner(household, seed, seconds, listen, aim);
}

export const useFitRun = create<FitRun>()((set, get) => ({
  status: 'idle',
  seconds: 0,
  household: null,
  ...NOTHING,
  start(household, seed, seconds) {
    begin(household, seconds, { type: 'best' }, seed);
  },
  goOn(household, seconds) {
    const { plan } = get();
    if (plan) begin(household, seconds, { type: 'best', from: toStowage(plan) }, plan.seed + 1);
  },
  startCurve(household, seed, seconds) {
    begin(household, seconds, { type: 'curve' }, seed);
  },
  startFree(household) {
    begin(household, FEW_SECONDS, { type: 'free' });
  },
  startMend(household, stayIds) {
    begin(household, FEW_SECONDS, { type: 'mend', stayIds });
  },
  startSupposed(household, supposed) {
    begin(household, FEW_SECONDS, { type: 'mend', stayIds: [] });
    set({ supposed });
  },
  startRepair(household, plan) {
    begin(household, FEW_SECONDS, { type: 'repair', plan: toStowage(plan) });
  },
  startAround(household, plan, words, changed = plan) {
    begin(household, FEW_SECONDS, { type: 'repair', plan: toStowage(changed) });
    set({ asked: { words, before: plan.score } });
  },
  startGet(household) {
    begin(household, FEW_SECONDS, { type: 'get' });
  },
  look(plan, household) {
    handle?.abandon();
    set({ ...NOTHING, status: 'done', plan, household });
  },
  choose({ plan, checks }) {
    set({ plan, checks });
  },
  stop() {
    const { status, bound } = get();
    if (status === 'running' || bound?.isLast === false) handle?.stop();
  },
  discard() {
    handle?.abandon();
    set({ ...NOTHING, status: 'idle', household: null });
  },
}));
