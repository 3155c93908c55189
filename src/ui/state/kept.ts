import { passGate, passWhole, type Passed } from '../../core/daybook/index.ts';
import type { EventId, Household } from '../../core/records/index.ts';
import type { Result } from '../../core/result/index.ts';
import type { HouseholdStore, Stored, StoreFault } from '../../storage/index.ts';
import type { AppState } from './appState.ts';
import { world } from './world.ts';

let isAsked = false;
/** From the first thing written on, the browser is asked not to throw it out when it needs room. */
function askToKeep(): void {
  if (isAsked) return;
  isAsked = true;
  void globalThis.navigator?.storage?.persist?.();
}

/** What the browser keeps of the state, and what of it is only in this window. */
export class Kept {
  /** Lines that passed the gate and are only in this window yet. */
  waiting: readonly Passed[] = [];
  /** False where the whole household was never kept, or is there no more. */
  isBaseKept = true;

  constructor(
    private readonly store: HouseholdStore,
    private readonly get: () => AppState,
    private readonly set: (part: Partial<AppState>) => void,
  ) {}

  /** What is kept, read in a worker where there is anything: it may be much. Till then what is out is shown. */
  private async read(): Promise<Result<Stored | null, StoreFault>> {
    const first = await this.store.loadGlimpse();
    if (first === null || typeof Worker === 'undefined') return this.store.load();
    if (!this.get().household) this.set({ glimpse: first.glimpse });
    const { openStored } = await import('../../workers/opening.ts');
    return (await openStored()) ?? this.store.load();
  }

  /** Shows what is kept; the sample where nothing is yet, and what could be read of what is damaged. */
  async load(isAgain = false): Promise<void> {
    const loaded = await this.read();
    this.waiting = [];
    this.isBaseKept = true;
    if (loaded.ok && loaded.value) {
      const { chronicle, generation, apart } = loaded.value;
      const { household, events } = chronicle;
      this.set({ phase: 'ready', household, events, generation, apart, raw: null, storeFault: null, unkept: 0 });
      return;
    }
    if (loaded.ok) return this.showSample(null);
    const { fault } = loaded;
    if (fault.code === 'newer') {
      this.set({ phase: 'newer', storeFault: fault });
      return;
    }
    if (!fault.raw) return this.showSample(fault);
    const { salvage } = await import('../../core/mending/index.ts');
    const saved = salvage(fault.raw, { id: world.createId() as EventId, atMs: world.nowMs() });
    // What could be read goes on; what could not is kept beside it, in the same transaction.
    const kept = saved && (await this.store.replace(saved.chronicle, world.createId(), null, saved.apart));
    if (kept?.ok && !isAgain) return this.load(true);
    this.set({ phase: 'damaged', raw: fault.raw, storeFault: fault });
  }

  /** Takes in what another window wrote. */
  async catchUp(): Promise<void> {
    const { household, events, generation } = this.get();
    const news = await this.store.loadEventsFrom(events.length);
    // An empty store is no news: what is here is all there is.
    if (!news.ok || !household || news.value.generation === '') return;
    let state: Household = household;
    for (const event of news.value.events) {
      const step = passGate(state, event);
      if (!step.ok || news.value.generation !== generation) return this.load();
      state = step.value.household;
    }
    if (news.value.generation !== generation) return this.load();
    this.set({ household: state, events: [...events, ...news.value.events] });
  }

  /** Keeps lines; what waits from before is the first of them. Null where they are kept. */
  async keep(passed: readonly Passed[]): Promise<StoreFault | null> {
    const { generation, household } = this.get();
    if (!this.isBaseKept && household) {
      const fault = await this.keepWhole(passed, household);
      if (fault) return fault;
    } else {
      const written = await this.store.append(passed, generation);
      if (!written.ok && written.fault.code === 'emptied') {
        // All of it is still here: it is kept anew, whole.
        this.isBaseKept = false;
        return this.keep(passed);
      }
      if (!written.ok) return written.fault;
    }
    this.waiting = [];
    this.set({ storeFault: null, isUnkept: false, unkept: 0 });
    askToKeep();
    return null;
  }

  private async keepWhole(passed: readonly Passed[], household: Household): Promise<StoreFault | null> {
    const { generation, events } = this.get();
    // What was kept here and did not open for a while is not written over.
    const there = await this.store.load();
    if (!there.ok) return there.fault;
    if (there.value) return { code: 'taken', note: '' };
    const whole = passWhole({
      household: passed.at(-1)?.household ?? household,
      events: [...events, ...passed.slice(this.waiting.length).map((one) => one.event)],
    });
    const kept = whole.ok ? await this.store.replace(whole.value, generation, null) : null;
    if (kept && !kept.ok) return kept.fault;
    this.isBaseKept = true;
    return null;
  }

  private async showSample(fault: StoreFault | null): Promise<void> {
    // A new visitor: the sample is there already, and it is theirs to try out.
    const { loadMadeSample } = await import('../../sample/made.ts');
    const whole = passWhole(await loadMadeSample());
    if (!whole.ok) throw new Error('the sample does not pass the gate');
    const generation = world.createId();
    const kept = fault ? { ok: false as const, fault } : await this.store.replace(whole.value, generation, null);
    this.isBaseKept = kept.ok;
    const { household, events } = whole.value;
    this.set({ phase: 'ready', household, events, generation, apart: [], storeFault: kept.ok ? null : kept.fault });
  }
}
