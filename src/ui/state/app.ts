import { createContext, useContext, useDeferredValue } from 'react';
import { create } from 'zustand';
import { passGate, passWhole, stampEvent, type Passed, type WholeChronicle } from '../../core/daybook/index.ts';
import type { Apart } from '../../core/mending/index.ts';
import type { DaybookEvent, EventId, Household, PhotoId, World } from '../../core/records/index.ts';
import type { ActResult, AppState, Notice } from './appState.ts';
import { untilShown } from './showing.ts';
import type { BesideStore } from '../../storage/beside.ts';
import { HouseholdStore, type StoreFault } from '../../storage/index.ts';
import { wordActFault, wordCount, wordEvent, wordStoreFault } from '../text/index.ts';

/** Loaded when it is first wanted. */
const loadLater = () => import('./later.ts');

export const world: World = { nowMs: () => Date.now(), createId: () => crypto.randomUUID() };

const store = new HouseholdStore();

/** The photos kept in this browser; they are named by their content and never change. */
export const photoStore: Pick<HouseholdStore, 'savePhotos' | 'loadPhoto' | 'loadPhotos'> = store;
/** What is kept beside the household: days before, the file that was picked. */
export async function openBeside(): Promise<BesideStore> {
  const { BesideStore: Beside } = await import('../../storage/beside.ts');
  return new Beside(store);
}

/** The photos that things of a household name. */
export function listPhotoIds(household: Household): Set<PhotoId> {
  return new Set([...household.items.values()].flatMap((item) => item.photos ?? []));
}

/** The browser takes a while to keep more records than this. */
const LONG_WRITE = 2000;

/** Acts are written one after the other, so that two quick keys cannot overtake each other. */
let queue: Promise<unknown> = Promise.resolve();
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const next = queue.then(work);
  queue = next.catch(() => undefined);
  return next;
}

let isAsked = false;
/** From the first thing written on, the browser is asked not to throw it out when it needs room. */
function askToKeep(): void {
  if (isAsked) return;
  isAsked = true;
  void globalThis.navigator?.storage?.persist?.();
}

export const useApp = create<AppState>()((set, get) => {
  /** Lines that passed the gate and are only in this window yet; the whole household where it was never kept. */
  let waiting: Passed[] = [];
  let isBaseKept = true;

  /** What is done is over when it is on the screen: what comes next finds there what it speaks of. */
  const doShown = async <T>(work: () => Promise<T>): Promise<T> => {
    const done = await inTurn(work);
    await untilShown(() => get().household);
    return done;
  };

  const refuse = (text: string, offer?: Notice['offer']) => {
    set({ notice: { tone: 'fault', text, canUndo: false, ...(offer && { offer }) } });
    return false;
  };

  /** Takes in what another window wrote. */
  const catchUp = async (): Promise<void> => {
    const { household, events, generation } = get();
    const news = await store.loadEventsFrom(events.length);
    // An empty store is no news: what is here is all there is.
    if (!news.ok || !household || news.value.generation === '') return;
    let state: Household = household;
    for (const event of news.value.events) {
      const step = passGate(state, event);
      if (!step.ok || news.value.generation !== generation) return load();
      state = step.value.household;
    }
    if (news.value.generation !== generation) return load();
    set({ household: state, events: [...events, ...news.value.events] });
    return undefined;
  };

  const showSample = async (fault: StoreFault | null): Promise<void> => {
    // A new visitor: the sample is there already, and it is theirs to try out.
    const { openMadeSample } = await import('../../sample/made.ts');
    const whole = passWhole(openMadeSample());
    if (!whole.ok) throw new Error('the sample does not pass the gate');
    const generation = world.createId();
    const kept = fault ? { ok: false as const, fault } : await store.replace(whole.value, generation, null);
    isBaseKept = kept.ok;
    const { household, events } = whole.value;
    set({ phase: 'ready', household, events, generation, apart: [], storeFault: kept.ok ? null : kept.fault });
  };

  const load = async (isAgain = false): Promise<void> => {
    const loaded = await store.load();
    waiting = [];
    isBaseKept = true;
    if (loaded.ok && loaded.value) {
      const { chronicle, generation, apart } = loaded.value;
      const { household, events } = chronicle;
      set({ phase: 'ready', household, events, generation, apart, raw: null, storeFault: null, unkept: 0 });
      return;
    }
    if (loaded.ok) return showSample(null);
    const { fault } = loaded;
    if (fault.code === 'newer') {
      set({ phase: 'newer', storeFault: fault });
      return;
    }
    if (!fault.raw) return showSample(fault);
    const { salvage } = await import('../../core/mending/index.ts');
    const saved = salvage(fault.raw, { id: world.createId() as EventId, atMs: world.nowMs() });
    const generation = world.createId();
    // What could be read goes on; what could not is kept beside it, in the same transaction.
    const kept = saved && (await store.replace(saved.chronicle, generation, null, saved.apart));
    if (kept?.ok && !isAgain) return load(true);
    set({ phase: 'damaged', raw: fault.raw, storeFault: fault });
  };

  /** Keeps lines; what waits from before goes first. */
  const keep = async (passed: readonly Passed[]): Promise<StoreFault | null> => {
    const { generation, household, events } = get();
    if (!isBaseKept && household) {
      // What was kept here and did not open for a while is not written over.
      const there = await store.load();
      if (!there.ok) return there.fault;
      if (there.value) return { code: 'taken', note: '' };
      const last = passed.at(-1);
      const whole = passWhole({
        household: last?.household ?? household,
        events: [...events, ...passed.slice(waiting.length).map((one) => one.event)],
      });
      const kept = whole.ok ? await store.replace(whole.value, generation, null) : null;
      if (kept && !kept.ok) return kept.fault;
      isBaseKept = true;
    } else {
      const written = await store.append(passed, generation);
      if (!written.ok && written.fault.code === 'emptied') {
        // All of it is still here: it is kept anew, whole.
        isBaseKept = false;
        return keep(passed);
      }
      if (!written.ok) return written.fault;
    }
    waiting = [];
    set({ storeFault: null, isUnkept: false, unkept: 0 });
    askToKeep();
    return null;
  };

  /** Writes a draft made from the present state; tries once more after catching up with another window. */
  const write = async (
    make: (household: Household) => ActResult,
    done: string | undefined,
    isRetry: boolean,
  ): Promise<boolean> => {
    const { household, events, isUnkept } = get();
    if (!household) return false;
    const draft = make(household);
    if (!draft.ok)
      return draft.fault.code === 'nothing-changed'
        ? true
        : refuse(wordActFault(draft.fault, household.settings.units));
    const step = passGate(household, stampEvent(draft.value, events.length, world));
    if (!step.ok) return refuse((await loadLater()).wordGateFaults(step.fault, household));
    const { event } = step.value;
    const { length } = event.changes;
    if (length > LONG_WRITE)
      set({
        notice: {
          tone: 'done',
          text: `Keeping ${length.toLocaleString('en')} records; nothing is done until all are in …`,
          canUndo: false,
        },
      });
    const fault = await keep([...waiting, step.value]);
    if (fault?.code === 'behind' && waiting.length === 0 && !isRetry) {
      await catchUp();
      return write(make, done, true);
    }
    if (fault?.code === 'behind') return refuse(wordStoreFault(fault));
    if (fault) {
      set({ storeFault: fault });
      if (!isUnkept) return refuse(`${wordStoreFault(fault)} Nothing was changed.`);
      waiting = [...waiting, step.value];
    }
    set({
      household: step.value.household,
      events: [...events, event],
      unkept: waiting.length,
      notice: {
        tone: 'done',
        text: done ?? wordEvent(event, household.settings.units),
        canUndo: event.type !== 'undone',
      },
    });
    return true;
  };

  const takeBack = async (chosen: DaybookEvent, done?: string): Promise<boolean> => {
    const { planUndo } = await loadLater();
    return write(
      (now) => {
        const plan = planUndo(now, get().events, chosen);
        return plan.ok ? { ok: true, value: plan.value.draft } : { ok: false, fault: { code: 'nothing-changed' } };
      },
      done,
      false,
    );
  };

  store.onUpgrade(() => set({ storeFault: { code: 'newer', note: '' } }));
  store.onNews((news) => {
    void inTurn(async () => {
      if (waiting.length > 0 || !isBaseKept) {
        refuse(
          'Another window went on with what is kept. What is only in this window is not in it: save it to a file.',
        );
        return;
      }
      if (news.type === 'replaced') {
        await load();
        set({
          ticket: null,
          notice: {
            tone: 'done',
            text: 'Another window opened another household; this one shows it now.',
            canUndo: false,
          },
        });
      } else await catchUp();
    });
  });

  /** The file of the household as it is, once it is proved that it brings it back. */
  const packPrevious = async (): Promise<Uint8Array | null | 'unproved'> => {
    const { household, events } = get();
    if (!household) return null;
    const { packChronicle } = await import('../../workers/keeping.ts');
    const photos = await store.loadPhotos(listPhotoIds(household));
    const packed = await packChronicle({ household, events, photos: photos.ok ? photos.value : [] });
    return packed.ok ? packed.value : 'unproved';
  };

  const replaceBy = async (whole: WholeChronicle, done: string, apart: readonly Apart[]): Promise<boolean> => {
    const previous = await packPrevious();
    if (previous === 'unproved')
      return refuse('What is here now could not be set aside so that it can be brought back. Nothing was changed.');
    const generation = world.createId();
    const kept = await store.replace(whole, generation, previous, apart);
    if (!kept.ok && !get().isUnkept) {
      set({ storeFault: kept.fault });
      return refuse(`${wordStoreFault(kept.fault)} Nothing was changed.`);
    }
    waiting = [];
    isBaseKept = kept.ok;
    const stored = apart.length > 0 && kept.ok ? await store.load() : null;
    set({
      phase: 'ready',
      household: whole.household,
      events: whole.events,
      generation,
      apart: stored?.ok ? (stored.value?.apart ?? []) : [],
      raw: null,
      ticket: null,
      unkept: 0,
      storeFault: kept.ok ? null : kept.fault,
      notice: { tone: 'done', text: done, canUndo: false },
    });
    return true;
  };

  return {
    phase: 'loading',
    household: null,
    events: [],
    generation: '',
    apart: [],
    raw: null,
    storeFault: null,
    isUnkept: false,
    unkept: 0,
    previews: 0,
    ticket: null,
    notice: null,
    isCutting: false,
    open: () => inTurn(() => load()),
    act: (make, done) => doShown(() => write(make, done, false)),
    edit: (from, make, done) =>
      doShown(async () => {
        const { rebaseChanges, wordConflicts } = await loadLater();
        const { household } = get();
        const draft = make(from);
        if (!household || !draft.ok) return write(() => draft, done, false);
        const { conflicts } = rebaseChanges(household, draft.value.changes);
        const lay = () =>
          write(
            (now) => {
              const { changes } = rebaseChanges(now, draft.value.changes);
              const isNothing = changes.length === 0 && draft.value.changes.length > 0;
              return isNothing
                ? { ok: false, fault: { code: 'nothing-changed' } }
                : { ok: true, value: { ...draft.value, changes } };
            },
            done,
            false,
          );
        if (conflicts.length === 0) return lay();
        if (conflicts.some(({ field }) => field === ''))
          return refuse('What was edited here is gone, or was changed whole, meanwhile. Nothing was changed.');
        return refuse(`${wordConflicts(conflicts)} Nothing was changed yet.`, {
          label: 'Keep mine',
          take: () => void inTurn(lay),
        });
      }),
    undo: (event) =>
      doShown(async () => {
        const { getUndoable, planUndo } = await loadLater();
        const { household, events } = get();
        const chosen = event ?? getUndoable(events);
        const plan = household && chosen ? planUndo(household, events, chosen) : null;
        if (!chosen || !plan?.ok) return refuse(event ? 'It was taken back already.' : 'There is nothing to undo.');
        const { others } = plan.value;
        // Two pieces of work in a large household: a key that was pressed meanwhile comes between.
        await new Promise((resolve) => setTimeout(resolve));
        if (others.length === 0) return takeBack(chosen);
        const all = others.length + 1;
        return refuse(
          `Something that came later builds on this, ${wordCount(others.length, 'line')} of the daybook. Nothing was changed.`,
          {
            label: `Take back all ${all}`,
            take: () => void inTurn(() => takeBack(chosen, `Took back ${wordCount(all, 'line')}.`)),
          },
        );
      }),
    replace: (chronicle, done, { from, apart = [] } = {}) =>
      inTurn(async () => {
        if (from && get().events !== from)
          return refuse('Something was done here meanwhile. Nothing was changed; look at it again.');
        const whole = passWhole(chronicle);
        if (!whole.ok) return refuse((await loadLater()).wordGateFaults(whole.fault, chronicle.household));
        return replaceBy(whole.value, done, apart);
      }),
    bringBack: async () => {
      const previous = await store.loadPrevious();
      if (!previous.ok) return refuse(wordStoreFault(previous.fault));
      if (!previous.value) return refuse('There is no earlier household to bring back.');
      const { unpackChronicle } = await import('../../workers/keeping.ts');
      const read = await unpackChronicle(previous.value, { id: world.createId() as EventId, atMs: world.nowMs() });
      if (!read.ok || read.value.type !== 'whole') return refuse('The earlier household does not read any more.');
      const { chronicle } = read.value;
      return get().replace(chronicle, `${chronicle.household.settings.name} is back.`);
    },
    keepAgain: () =>
      inTurn(async () => {
        const fault = await keep(waiting);
        if (fault) {
          set({ storeFault: fault });
          return refuse(wordStoreFault(fault));
        }
        set({ notice: { tone: 'done', text: 'All is kept in this browser again.', canUndo: false } });
        return true;
      }),
    goOnUnkept: () => set({ isUnkept: true }),
    putRight: async ({ records }, apart) => {
      const { createMended } = await import('../../core/mending/index.ts');
      const isDone = await get().act((now) => createMended(now, records ?? []), 'It is back among the others.');
      return isDone && get().dropApart(apart);
    },
    dropApart: (apart) =>
      inTurn(async () => {
        const dropped = await store.dropApart(apart.flatMap((one) => one.n ?? []));
        if (!dropped.ok) return refuse(wordStoreFault(dropped.fault));
        set({ apart: get().apart.filter((one) => !apart.includes(one)) });
        return true;
      }),
    show: (ticket) => set({ ticket, isCutting: false }),
    setCutting: (isCutting) => set({ isCutting }),
    tell: (notice) => set({ notice }),
  };
});

/** A household that is only looked at, such as a plan not yet adopted; null where the real one is shown. */
export const PreviewContext = createContext<Household | null>(null);

/**
 * The household on a screen that is only shown when there is one: a preview's where there is one. It is drawn in slices
 * after an act, so that a large stash lets the next key in.
 */
export function useHousehold(): Household {
  const preview = useContext(PreviewContext);
  const real = useDeferredValue(useApp((state) => state.household));
  const household = preview ?? real;
  if (!household) throw new Error('shown before the household was loaded');
  return household;
}
