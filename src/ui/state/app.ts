import { createContext, useContext } from 'react';
import { create } from 'zustand';
import type {
  Chronicle,
  DaybookEvent,
  Household,
  Item,
  ItemId,
  Kind,
  Lot,
  LotId,
  PlaceId,
  World,
} from '../../core/records/index.ts';
import { HouseholdStore, type StoreFault } from '../../storage/index.ts';
import { wordActFault, wordCount, wordEvent, wordStoreFault } from '../text/index.ts';
import type { ActFault } from '../../core/acts/index.ts';
import {
  type Draft,
  applyChanges,
  createUndo,
  getUndoable,
  listFollowers,
  stampEvent,
} from '../../core/daybook/index.ts';

type ActResult = { readonly ok: true; readonly value: Draft } | { readonly ok: false; readonly fault: ActFault };

/** An item with a lot of it, not in the household yet. */
export interface Thing {
  readonly item: Item;
  readonly lot: Lot;
}

/** What hangs at the right. */
export type Ticket =
  | { readonly type: 'lot'; readonly id: LotId }
  | { readonly type: 'place'; readonly id: PlaceId }
  | { readonly type: 'editItem'; readonly id: ItemId; readonly lotId: LotId }
  | { readonly type: 'newItem'; readonly kind: Kind; readonly like?: LotId; readonly draft?: Thing }
  | { readonly type: 'editUnit'; readonly id: PlaceId }
  | { readonly type: 'editSlot'; readonly id: PlaceId }
  | { readonly type: 'newUnit'; readonly wallId: string }
  | { readonly type: 'pool' };

export interface Notice {
  readonly tone: 'done' | 'fault';
  readonly text: string;
  readonly canUndo: boolean;
  /** Something to do about it, other than undo; the notice stays until it is answered. */
  readonly offer?: { readonly label: string; readonly take: () => void };
}

interface AppState {
  readonly phase: 'loading' | 'ready' | 'damaged';
  readonly household: Household | null;
  readonly events: readonly DaybookEvent[];
  readonly generation: string;
  /** Set when the browser does not keep what is written. */
  readonly storeFault: StoreFault | null;
  readonly ticket: Ticket | null;
  readonly notice: Notice | null;
  /** Cutting is asked for in the ticket. */
  readonly isCutting: boolean;
  readonly open: () => Promise<void>;
  readonly act: (make: (household: Household) => ActResult, done?: string) => Promise<boolean>;
  readonly undo: (event?: DaybookEvent) => Promise<boolean>;
  readonly replace: (chronicle: Chronicle, done: string) => Promise<boolean>;
  readonly bringBack: () => Promise<boolean>;
  readonly show: (ticket: Ticket | null) => void;
  readonly setCutting: (isCutting: boolean) => void;
  readonly tell: (notice: Notice | null) => void;
}

export const world: World = { nowMs: () => Date.now(), createId: () => crypto.randomUUID() };

const store = new HouseholdStore();

/** The photos kept in this browser; they are named by their content and never change. */
export const photoStore: Pick<HouseholdStore, 'savePhotos' | 'loadPhoto' | 'loadPhotos'> = store;

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

function fold(household: Household, events: readonly DaybookEvent[]): Household | null {
  let state: Household = household;
  for (const event of events) {
    const next = applyChanges(state, event.changes);
    if (!next.ok) return null;
    state = next.value;
  }
  return state;
}

export const useApp = create<AppState>()((set, get) => {
  const refuse = (text: string) => {
    set({ notice: { tone: 'fault', text, canUndo: false } });
    return false;
  };

  /** Takes in what another window wrote. */
  const catchUp = async (): Promise<void> => {
    const { household, events, generation } = get();
    const news = await store.loadEventsFrom(events.length);
    if (!news.ok || !household) return;
    const next = news.value.generation === generation ? fold(household, news.value.events) : null;
    if (next) set({ household: next, events: [...events, ...news.value.events] });
    else await load();
  };

  const load = async (): Promise<void> => {
    const loaded = await store.load();
    if (loaded.ok && loaded.value) {
      const { chronicle, generation } = loaded.value;
      set({ phase: 'ready', household: chronicle.household, events: chronicle.events, generation });
      return;
    }
    if (!loaded.ok && loaded.fault.code === 'damaged') {
      set({ phase: 'damaged', storeFault: loaded.fault });
      return;
    }
    // A new visitor: the sample is there already, and it is theirs to try out.
    const { createSampleHousehold } = await import('../../sample/index.ts');
    const chronicle = createSampleHousehold();
    const generation = world.createId();
    const kept = loaded.ok ? await store.replace(chronicle, generation, null) : loaded;
    set({
      phase: 'ready',
      household: chronicle.household,
      events: chronicle.events,
      generation,
      storeFault: kept.ok ? null : kept.fault,
    });
  };

  /** Writes a draft made from the present state; tries once more after catching up with another window. */
  const write = async (
    make: (household: Household) => ActResult,
    done: string | undefined,
    isRetry: boolean,
  ): Promise<boolean> => {
    const { household, events, generation, storeFault } = get();
    if (!household) return false;
    const draft = make(household);
    if (!draft.ok)
      return draft.fault.code === 'nothing-changed'
        ? true
        : refuse(wordActFault(draft.fault, household.settings.units));
    const next = applyChanges(household, draft.value.changes);
    if (!next.ok)
      return refuse('Something that came later builds on this. Take the later one back first; nothing was changed.');
    const event = stampEvent(draft.value, events.length, world);
    if (storeFault === null) {
      const { length } = event.changes;
      if (length > LONG_WRITE)
        set({
          notice: {
            tone: 'done',
            text: `Keeping ${length.toLocaleString('en')} records; nothing is done until all are in …`,
            canUndo: false,
          },
        });
      const written = await store.append(event, generation);
      if (!written.ok && written.fault.code === 'behind' && !isRetry) {
        await catchUp();
        return write(make, done, true);
      }
      if (!written.ok) return refuse(wordStoreFault(written.fault));
      askToKeep();
    }
    set({
      household: next.value,
      events: [...events, event],
      notice: {
        tone: 'done',
        text: done ?? wordEvent(event, household.settings.units),
        canUndo: event.type !== 'undone',
      },
    });
    return true;
  };

  /** Takes several events back, in this order; stops at the first that cannot be. */
  const undoAll = async (chosen: readonly DaybookEvent[]): Promise<boolean> => {
    for (const event of chosen)
      if (
        !(await write(
          () => ({ ok: true, value: createUndo(event) }),
          `Took back ${wordCount(chosen.length, 'line')}.`,
          false,
        ))
      )
        return false;
    return true;
  };

  store.onNews((news) => {
    void inTurn(async () => {
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

  return {
    phase: 'loading',
    household: null,
    events: [],
    generation: '',
    storeFault: null,
    ticket: null,
    notice: null,
    isCutting: false,
    open: () => inTurn(load),
    act: (make, done) => inTurn(() => write(make, done, false)),
    undo: (event) =>
      inTurn(async () => {
        const chosen = event ?? getUndoable(get().events);
        if (!chosen) return refuse('There is nothing to undo.');
        const followers = event ? listFollowers(get().events, chosen) : [];
        if (followers.length > 0) {
          const all = [...followers, chosen];
          const text = `Something that came later builds on this, ${wordCount(followers.length, 'line')} of the daybook. Nothing was changed.`;
          const take = () => void inTurn(() => undoAll(all));
          set({
            notice: { tone: 'fault', text, canUndo: false, offer: { label: `Take back all ${all.length}`, take } },
          });
          return false;
        }
        return write(() => ({ ok: true, value: createUndo(chosen) }), undefined, false);
      }),
    replace: (chronicle, done) =>
      inTurn(async () => {
        const { household, events, storeFault } = get();
        const { toBundle } = await import('../../core/formats/index.ts');
        const previous = household ? toBundle({ household, events, photos: await store.loadPhotos() }) : null;
        const generation = world.createId();
        if (storeFault === null || storeFault.code === 'damaged') {
          const kept = await store.replace(chronicle, generation, previous);
          if (!kept.ok) return refuse(wordStoreFault(kept.fault));
          set({ storeFault: null });
        }
        set({
          phase: 'ready',
          household: chronicle.household,
          events: chronicle.events,
          generation,
          ticket: null,
          notice: { tone: 'done', text: done, canUndo: false },
        });
        return true;
      }),
    bringBack: async () => {
      const previous = await store.loadPrevious();
      if (!previous) return refuse('There is no earlier household to bring back.');
      const { parseBundle } = await import('../../core/formats/index.ts');
      const read = parseBundle(previous);
      if (!read.ok) return refuse('The earlier household does not read any more.');
      return get().replace(read.value, `${read.value.household.settings.name} is back.`);
    },
    show: (ticket) => set({ ticket, isCutting: false }),
    setCutting: (isCutting) => set({ isCutting }),
    tell: (notice) => set({ notice }),
  };
});

/** A household that is only looked at, such as a plan not yet adopted; null where the real one is shown. */
export const PreviewContext = createContext<Household | null>(null);

/** The household on a screen that is only shown when there is one: a preview's where there is one. */
export function useHousehold(): Household {
  const preview = useContext(PreviewContext);
  const real = useApp((state) => state.household);
  const household = preview ?? real;
  if (!household) throw new Error('shown before the household was loaded');
  return household;
}
