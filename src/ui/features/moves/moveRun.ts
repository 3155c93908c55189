import { create } from 'zustand';
import { getTableMm3, type FoundMoves } from '../../../core/moves/index.ts';
import type { Household, LotId, Plan } from '../../../core/records/index.ts';
import { startMover, startPlanner, type PlannerHandle } from '../../../workers/client.ts';
import { useApp, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { createAdopt } from '../../../core/acts/index.ts';
import { toHomePlan } from '../../../core/suppose/index.ts';
import { t } from '../../language/index.ts';

/** So long orders are tried; more brings little. */
const SECONDS = 2;
const REFIT_SECONDS = 3;

/** The move list in hand; it is made anew from how things are whenever it no longer holds. */
export interface MoveRun {
  readonly status: 'idle' | 'searching' | 'done' | 'failed';
  /** Trips of the best order so far, and what none does without. */
  readonly progress: { readonly trips: number; readonly leastTrips: number } | null;
  readonly found: FoundMoves | null;
  /** For which table and what skipped it was made. */
  readonly madeFor: string;
  readonly note: string;
  /** A new home is looked for, for something that did not fit. */
  readonly isRefitting: boolean;
  readonly start: (household: Household, skipped: readonly LotId[]) => void;
  readonly stop: () => void;
  readonly refit: (name: string) => void;
}

export function getMadeFor(household: Household, skipped: readonly LotId[]): string {
  return JSON.stringify([getTableMm3(household.settings), [...skipped].sort()]);
}

/** Whether something has a home by it that it had not, or another one, and nothing loses its home. */
function isGain({ lots }: Household, { assignments, unplaced }: Plan): boolean {
  const homeOf = (id: LotId) => lots.get(id)?.homeId;
  return (
    assignments.some(({ lotId, placeId }) => homeOf(lotId) !== placeId) &&
    unplaced.every(({ lotId }) => homeOf(lotId) === undefined)
  );
}

let handle: PlannerHandle | null = null;

export const useMoveRun = create<MoveRun>()((set, get) => ({
  status: 'idle',
  progress: null,
  found: null,
  madeFor: '',
  note: '',
  isRefitting: false,
  start(household, skipped) {
    handle?.abandon();
    // The one in hand does not hold any more, and is not gone by meanwhile.
    set({ status: 'searching', progress: null, found: null, madeFor: getMadeFor(household, skipped) });
    const tableMm3 = getTableMm3(household.settings);
    handle = startMover({ household, skipped, tableMm3, seed: 1, seconds: SECONDS }, (message) => {
      if (message.type === 'progress') set({ progress: message });
      else if (message.type === 'done') set({ status: 'done', found: message.found, progress: null });
      else set({ status: 'failed', note: message.note, found: null });
    });
  },
  stop() {
    if (get().status === 'searching') handle?.stop();
  },
  refit(name) {
    const { household, tell } = useApp.getState();
    if (!household) return;
    set({ isRefitting: true });
    startPlanner(
      household,
      1,
      REFIT_SECONDS,
      (message) => {
        if (message.type === 'failed') {
          set({ isRefitting: false });
          tell({
            tone: 'fault',
            text: t('No new home was found for {name}: {note}', { name, note: message.note }),
            canUndo: false,
          });
        }
        if (message.type !== 'done') return;
        // What breaks a rule, takes a home away or changes nothing is told instead of adopted.
        if (message.checks.findings > 0 || !isGain(household, message.plan)) {
          set({ isRefitting: false });
          tell({
            tone: 'fault',
            text: t('No new home was found for {name}. Nothing was changed.', { name }),
            canUndo: false,
          });
          return;
        }
        void act((now) => createAdopt(now, message.plan, t('a new home for {name}', { name }), world.nowMs())).then(
          () => set({ isRefitting: false }),
        );
      },
      { type: 'repair', plan: toHomePlan(household) },
    );
  },
}));
