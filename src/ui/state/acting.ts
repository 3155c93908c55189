import { passGate, stampEvent } from '../../core/daybook/index.ts';
import type { DaybookEvent, Household } from '../../core/records/index.ts';
import { wordEvent } from '../text/index.ts';
import type { AppState, Make, Notice } from './appState.ts';
import { countGiven } from './given.ts';
import { inTurn } from './inTurn.ts';
import type { Kept } from './kept.ts';
import { untilShown } from './showing.ts';
import { world } from './world.ts';
import { formatNumber, t } from '../language/index.ts';

/** Loaded when it is first wanted. */
export const loadLater = () => import('./later.ts');

/** The browser takes a while to keep more records than this. */
const LONG_WRITE = 2000;

/** The acts of the sewist: each goes through the gate, is kept, and only then shown. */
export class Acting {
  constructor(
    private readonly kept: Kept,
    private readonly get: () => AppState,
    private readonly set: (part: Partial<AppState>) => void,
  ) {}

  /** Does something to the household as it is; false where it was refused, which is told. */
  readonly act = (make: Make, done?: string): Promise<boolean> => this.doShown(() => this.write(make, done));

  /**
   * What a form changed, against the household that it began from: what changed elsewhere meanwhile is kept, and where
   * both changed the same the sewist is asked.
   */
  readonly edit = (from: Household, make: Make, done?: string): Promise<boolean> =>
    this.doShown(async () => {
      const { rebaseChanges, wordConflicts } = await loadLater();
      const { household } = this.get();
      const draft = make(from);
      if (!household || !draft.ok) return this.write(() => draft, done);
      const { conflicts } = rebaseChanges(household, draft.value.changes);
      const lay = () =>
        this.write((now) => {
          const { changes } = rebaseChanges(now, draft.value.changes);
          const isNothing = changes.length === 0 && draft.value.changes.length > 0;
          return isNothing
            ? { ok: false, fault: { code: 'nothing-changed' } }
            : { ok: true, value: { ...draft.value, changes } };
        }, done);
      if (conflicts.length === 0) return lay();
      if (conflicts.some(({ field }) => field === ''))
        return this.refuse(t('What was edited here is gone, or was changed whole, meanwhile. Nothing was changed.'));
      return this.refuse(t('{conflicts} Nothing was changed yet.', { conflicts: wordConflicts(conflicts) }), {
        label: t('Keep mine'),
        take: () => void inTurn(lay),
      });
    });

  /** Takes a line of the daybook back, the last one where none is named. */
  readonly undo = (event?: DaybookEvent): Promise<boolean> =>
    this.doShown(async () => {
      const { getUndoable, planUndo } = await loadLater();
      const { household, events } = this.get();
      // What came with the sample is nothing that one did.
      const own = event ?? getUndoable(events);
      const chosen = own && (event || own.seq >= countGiven(events)) ? own : null;
      const plan = household && chosen ? planUndo(household, events, chosen) : null;
      if (!chosen || !plan?.ok)
        return this.refuse(event ? t('It was taken back already.') : t('There is nothing to undo.'));
      const { others } = plan.value;
      // Two pieces of work in a large household: a key that was pressed meanwhile comes between.
      await new Promise((resolve) => setTimeout(resolve));
      if (others.length === 0) return this.takeBack(chosen);
      const all = others.length + 1;
      return this.refuse(
        t(
          'Something that came later builds on this, {others, plural, one {# line} other {# lines}} of the daybook. Nothing was changed.',
          { others: others.length },
        ),
        {
          label: t('Take back all {all}', { all }),
          take: () =>
            void inTurn(() =>
              this.takeBack(chosen, t('Took back {all, plural, one {# line} other {# lines}}.', { all })),
            ),
        },
      );
    });

  /** Says that nothing was done, and what there is to do about it. */
  refuse(text: string, offer?: Notice['offer']): false {
    this.set({ notice: { tone: 'fault', text, canUndo: false, ...(offer && { offer }) } });
    return false;
  }

  /** What is done is over when it is on the screen: what comes next finds there what it speaks of. */
  private async doShown<T>(work: () => Promise<T>): Promise<T> {
    const done = await inTurn(work);
    await untilShown(() => this.get().household);
    return done;
  }

  private async takeBack(chosen: DaybookEvent, done?: string): Promise<boolean> {
    const { planUndo } = await loadLater();
    return this.write((now) => {
      const plan = planUndo(now, this.get().events, chosen);
      return plan.ok ? { ok: true, value: plan.value.draft } : { ok: false, fault: { code: 'nothing-changed' } };
    }, done);
  }

  /** Writes a draft made from the present state; tries once more after catching up with another window. */
  private async write(make: Make, done: string | undefined, isRetry = false): Promise<boolean> {
    const { kept } = this;
    const { household, events, isUnkept } = this.get();
    if (!household) return false;
    const draft = make(household);
    if (!draft.ok)
      return draft.fault.code === 'nothing-changed'
        ? true
        : this.refuse((await loadLater()).wordActFault(draft.fault, household.settings.units));
    const step = passGate(household, stampEvent(draft.value, events.length, world));
    if (!step.ok) return this.refuse((await loadLater()).wordGateFaults(step.fault, household));
    const { event } = step.value;
    this.tellLong(event);
    const fault = await kept.keep([...kept.waiting, step.value]);
    if (fault?.code === 'behind' && kept.waiting.length === 0 && !isRetry) {
      await kept.catchUp();
      return this.write(make, done, true);
    }
    if (fault?.code === 'behind') return this.refuse((await loadLater()).wordStoreFault(fault));
    if (fault) {
      this.set({ storeFault: fault });
      if (!isUnkept)
        return this.refuse(
          t('{storeFault} Nothing was changed.', { storeFault: (await loadLater()).wordStoreFault(fault) }),
        );
      kept.waiting = [...kept.waiting, step.value];
    }
    this.set({
      household: step.value.household,
      events: [...events, event],
      unkept: kept.waiting.length,
      notice: {
        tone: 'done',
        text: done ?? wordEvent(event, household.settings.units),
        canUndo: event.type !== 'undone',
      },
    });
    return true;
  }

  private tellLong({ changes }: DaybookEvent): void {
    if (changes.length <= LONG_WRITE) return;
    const count = formatNumber(changes.length);
    const text = t('Keeping {count} records; nothing is done until all are in …', { count });
    this.set({ notice: { tone: 'done', text, canUndo: false } });
  }
}
