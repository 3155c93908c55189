import Dexie from 'dexie';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Chronicle, Household, LotId } from '../../core/records/index.ts';
import { listMends } from '../../core/mending/index.ts';
import { createEmptyHousehold, createSampleHousehold } from '../../sample/index.ts';
import { createCut, createPutBack, createTakeOut } from '../../core/acts/index.ts';
import { loadMadeSample } from '../../sample/made.ts';
import { foldEvents } from '../../core/daybook/fold.ts';

/** One window of the app: a module of its own, so that two of them share only the browser's storage. */
async function openWindow() {
  vi.resetModules();
  const { useApp } = await import('./app.ts');
  const hands = await import('./hands.ts');
  await hands.open();
  return { hands, getState: useApp.getState, setState: useApp.setState, subscribe: useApp.subscribe };
}
type Window = Awaited<ReturnType<typeof openWindow>>;
const stateOf = (window: Window) => window.getState();
const lotsIn = (household: Household | null) =>
  [...household!.lots.values()].filter((lot) => lot.state === 'in').map((lot) => lot.id);
const takeOut = (window: Window, id: LotId) => window.hands.act((now) => createTakeOut(now, id, 9));

// Every test has a browser of its own: its own storage, and its own windows to talk to.
const Channel = globalThis.BroadcastChannel;
let browser = 0;
beforeEach(() => {
  browser += 1;
  const mark = browser;
  Dexie.dependencies.indexedDB = new IDBFactory();
  vi.stubGlobal(
    'BroadcastChannel',
    class extends Channel {
      constructor(name: string) {
        super(`${name} ${mark}`);
      }
    },
  );
});

/** Lines of the year that the sample has behind it. */
const GIVEN = (await loadMadeSample()).events.length;

describe('the household of a window', () => {
  it('is the sample for a new visitor, and the same again later', async () => {
    const first = await openWindow();
    expect(stateOf(first)).toMatchObject({ phase: 'ready', storeFault: null });
    expect(stateOf(first).household).toEqual(createSampleHousehold().household);
    const [id] = lotsIn(stateOf(first).household);
    expect(await takeOut(first, id!)).toBe(true);
    const again = await openWindow();
    expect(stateOf(again).household).toEqual(stateOf(first).household);
    expect(stateOf(again).events).toHaveLength(GIVEN + 1);
  });

  it('tells at once when another window goes on with a later program, and shows nothing as done that was not kept', async () => {
    const window = await openWindow();
    const before = stateOf(window).household;
    const later = new Dexie('yardmist');
    later
      .version(70)
      .stores({ items: 'id', lots: 'id', places: 'id', plans: 'id', settings: 'id', events: 'seq', meta: 'key' });
    await later.open();
    await vi.waitFor(() => expect(stateOf(window)).toMatchObject({ phase: 'ready', storeFault: { code: 'newer' } }));
    expect(await takeOut(window, lotsIn(before)[0]!)).toBe(false);
    expect(stateOf(window)).toMatchObject({
      household: before,
      notice: { tone: 'fault' },
      storeFault: { code: 'newer' },
    });
    expect(await later.table('events').count()).toBe(GIVEN);
    later.close();
  });

  it('keeps what it shows when the browser threw out what was kept, and keeps it anew', async () => {
    const window = await openWindow();
    const [first, second] = lotsIn(stateOf(window).household);
    expect(await takeOut(window, first!)).toBe(true);
    const before = stateOf(window).household;
    await Dexie.delete('yardmist');
    expect(await takeOut(window, second!)).toBe(true);
    expect(stateOf(window)).toMatchObject({ phase: 'ready', storeFault: null });
    expect(stateOf(window).household?.lots.get(second!)).toMatchObject({ state: 'out' });
    expect(stateOf(window).household?.lots.get(first!)).toEqual(before?.lots.get(first!));
    const again = await openWindow();
    expect(stateOf(again).household).toEqual(stateOf(window).household);
    expect(stateOf(again).events).toHaveLength(GIVEN + 2);
  });

  it('says what was done, offers undo, and takes it back', async () => {
    const window = await openWindow();
    const before = stateOf(window).household;
    const [id] = lotsIn(before);
    await takeOut(window, id!);
    expect(stateOf(window).notice).toMatchObject({ tone: 'done', canUndo: true });
    expect(await window.hands.undo()).toBe(true);
    expect(stateOf(window).household).toEqual(before);
    expect(stateOf(window).notice).toMatchObject({ canUndo: false });
    expect(await window.hands.undo()).toBe(false);
    expect(stateOf(window).notice).toMatchObject({ tone: 'fault', text: 'There is nothing to undo.' });
  });

  it('refuses in words what cannot be done, and writes nothing', async () => {
    const window = await openWindow();
    const lot = [...stateOf(window).household!.lots.values()].find((one) => one.lengthMm !== undefined)!;
    expect(await window.hands.act((now) => createCut(now, lot.id, 1e6, 1))).toBe(false);
    expect(stateOf(window).notice?.text).toMatch(/^There is only [\d.]+ m\. Nothing was cut\.$/);
    expect(stateOf(window).events).toHaveLength(GIVEN);
  });

  it('refuses an undo that something later builds on', async () => {
    const window = await openWindow();
    const [id] = lotsIn(stateOf(window).household);
    await takeOut(window, id!);
    const taken = stateOf(window).events.at(-1)!;
    await window.hands.act((now) => createPutBack(now, id!, 12));
    expect(await window.hands.undo(taken)).toBe(false);
    expect(stateOf(window).notice?.text).toContain('Something that came later builds on this');
  });

  it('does quick acts one after the other', async () => {
    const window = await openWindow();
    const ids = lotsIn(stateOf(window).household).slice(0, 6);
    expect(await Promise.all(ids.map((id) => takeOut(window, id)))).toEqual(ids.map(() => true));
    expect(
      stateOf(window)
        .events.slice(GIVEN)
        .map((event) => event.seq - GIVEN),
    ).toEqual([0, 1, 2, 3, 4, 5]);
    expect(foldEvents(stateOf(window).events)).toEqual({ ok: true, value: stateOf(window).household });
  });
});

describe('two windows', () => {
  it('that act at once both get through, and agree in the end', async () => {
    const one = await openWindow();
    const other = await openWindow();
    const [a, b] = lotsIn(stateOf(one).household);
    await Promise.all([takeOut(one, a!), takeOut(other, b!)]);
    await vi.waitFor(() => expect(stateOf(one).events).toHaveLength(GIVEN + 2));
    await vi.waitFor(() => expect(stateOf(other).events).toHaveLength(GIVEN + 2));
    expect(stateOf(one).household).toEqual(stateOf(other).household);
    for (const id of [a!, b!]) expect(stateOf(one).household!.lots.get(id)!.state).toBe('out');
  });

  it('that do the same thing: the second is told', async () => {
    const one = await openWindow();
    const other = await openWindow();
    const [id] = lotsIn(stateOf(one).household);
    const done = await Promise.all([takeOut(one, id!), takeOut(other, id!)]);
    expect(done.toSorted()).toEqual([false, true]);
  });

  it('show the household that one of them opened', async () => {
    const one = await openWindow();
    const other = await openWindow();
    await one.hands.replace(createEmptyHousehold(), 'Empty.');
    await vi.waitFor(() => expect(stateOf(other).household!.items.size).toBe(0));
    expect(stateOf(other).notice?.text).toContain('Another window opened another household');
  });
});

describe('another household', () => {
  it('takes the place of this one, which can be brought back', async () => {
    const window = await openWindow();
    const [id] = lotsIn(stateOf(window).household);
    await takeOut(window, id!);
    const { household, events } = stateOf(window);
    expect(await window.hands.replace(createEmptyHousehold(), 'Empty.')).toBe(true);
    expect(stateOf(window)).toMatchObject({ ticket: null, notice: { text: 'Empty.' } });
    expect(await window.hands.bringBack()).toBe(true);
    expect(stateOf(window).household).toEqual(household);
    expect(stateOf(window).events).toEqual(events);
  });

  it('has nothing to bring back at first', async () => {
    const window = await openWindow();
    expect(await window.hands.bringBack()).toBe(false);
    expect(stateOf(window).notice?.tone).toBe('fault');
  });

  it('that cannot be written leaves this one as it is', async () => {
    const window = await openWindow();
    const { household } = stateOf(window);
    const sample = createSampleHousehold(1, 10);
    const twice: Chronicle = { ...sample, events: [...sample.events, ...sample.events] };
    expect(await window.hands.replace(twice, 'Twice.')).toBe(false);
    expect(stateOf(window).household).toBe(household);
    expect(stateOf(window).notice?.tone).toBe('fault');
  });
});

describe('damaged storage', () => {
  const spoil = async (table: string, id: string, change: object) => {
    const raw = new Dexie('yardmist');
    await raw.open();
    await raw.table(table).update(id, change);
    raw.close();
  };

  it('sets one bad record apart; all else opens, works, and it can be put right', async () => {
    const first = await openWindow();
    const [id, other] = lotsIn(stateOf(first).household);
    const was = stateOf(first).household!.lots.get(id!)!;
    await spoil('lots', id!, { count: -1 });
    const window = await openWindow();
    expect(stateOf(window)).toMatchObject({ phase: 'ready', storeFault: null });
    expect(stateOf(window).household!.lots.size).toBe(319);
    expect(stateOf(window).apart).toMatchObject([{ table: 'lots', id, raw: { count: -1 } }]);
    expect(await takeOut(window, other!)).toBe(true);
    const [mend] = listMends(stateOf(window).apart);
    expect(mend).toMatchObject({ proposals: [{ path: 'count', is: -1, nearest: 0 }] });
    const right = { ...mend!, records: [{ of: mend!.of, record: { ...was } }] };
    expect(await window.hands.putRight(right, [mend!.of])).toBe(true);
    expect(stateOf(window).apart).toEqual([]);
    const again = await openWindow();
    expect(stateOf(again).apart).toEqual([]);
    expect(stateOf(again).household!.lots.get(id!)).toEqual(was);
    // Both lines can be taken back.
    expect(await again.hands.undo()).toBe(true);
    expect(await again.hands.undo()).toBe(true);
    expect(stateOf(again).household!.lots.get(other!)!.state).toBe('in');
  });

  it('does not write the sample over what is there where the settings are gone', async () => {
    const first = await openWindow();
    const [id] = lotsIn(stateOf(first).household);
    await takeOut(first, id!);
    const raw = new Dexie('yardmist');
    await raw.open();
    await raw.table('settings').clear();
    await raw.table('meta').clear();
    raw.close();
    const window = await openWindow();
    expect(stateOf(window).household!.lots.get(id!)!.state).toBe('out');
    expect(stateOf(window).household!.lots.size).toBe(320);
  });

  it('of which nothing opens keeps all as it was found, and another household is the way out', async () => {
    await openWindow();
    const raw = new Dexie('yardmist');
    await raw.open();
    const rooms = (await raw.table('places').toArray()) as { id: string; level: string }[];
    for (const { id, level } of rooms) if (level === 'room') await raw.table('places').update(id, { order: -1 });
    raw.close();
    const window = await openWindow();
    // Without a room nothing is used anywhere: everything is apart, and still there.
    expect(stateOf(window).phase).toMatch(/ready|damaged/);
    const kept = stateOf(window).apart.length + (stateOf(window).raw?.items.length ?? 0);
    expect(kept).toBeGreaterThan(200);
    expect(await window.hands.replace(createEmptyHousehold(), 'Empty.')).toBe(true);
    expect(stateOf(window)).toMatchObject({ phase: 'ready', storeFault: null });
  });
});

describe('storage that fails in mid-session', () => {
  const fail = (name: string) => {
    const broken = () => {
      throw new DOMException('no room', name);
    };
    const spies = (['put', 'add'] as const).map((way) =>
      vi.spyOn(IDBObjectStore.prototype, way).mockImplementation(broken),
    );
    return () => {
      for (const spy of spies) spy.mockRestore();
    };
  };

  it('shows nothing as done that was not kept, and goes on once it works again', async () => {
    const window = await openWindow();
    const [id, other] = lotsIn(stateOf(window).household);
    const mend = fail('QuotaExceededError');
    const before = stateOf(window).household;
    expect(await takeOut(window, id!)).toBe(false);
    expect(stateOf(window)).toMatchObject({ storeFault: { code: 'full' }, unkept: 0 });
    expect(stateOf(window).household).toBe(before);
    mend();
    expect(await takeOut(window, other!)).toBe(true);
    expect(stateOf(window).storeFault).toBeNull();
  });

  it('never writes the sample over a household that did not open for a while', async () => {
    const first = await openWindow();
    const [id, other] = lotsIn(stateOf(first).household);
    await takeOut(first, id!);
    const spy = vi.spyOn(IDBDatabase.prototype, 'transaction').mockImplementation(() => {
      throw new DOMException('busy', 'UnknownError');
    });
    const window = await openWindow();
    expect(stateOf(window)).toMatchObject({ phase: 'ready', storeFault: { code: 'denied' } });
    spy.mockRestore();
    expect(await takeOut(window, other!)).toBe(false);
    expect(stateOf(window).storeFault).toMatchObject({ code: 'taken' });
    const again = await openWindow();
    expect(stateOf(again).events).toEqual(stateOf(first).events);
  });

  it('does not drop what is only in this window when another one goes on', async () => {
    const [one, two] = [await openWindow(), await openWindow()];
    const [id, other] = lotsIn(stateOf(one).household);
    const mend = fail('QuotaExceededError');
    await takeOut(one, id!);
    one.hands.goOnUnkept();
    expect(await takeOut(one, id!)).toBe(true);
    mend();
    expect(await takeOut(two, other!)).toBe(true);
    await vi.waitFor(() => expect(stateOf(one).notice?.text).toContain('only in this window'));
    expect(stateOf(one).household!.lots.get(id!)!.state).toBe('out');
    expect(stateOf(one).events).toHaveLength(GIVEN + 1);
  });

  it('counts what is only in this window where one goes on, and keeps all of it later', async () => {
    const window = await openWindow();
    const [id, other, third] = lotsIn(stateOf(window).household);
    const mend = fail('QuotaExceededError');
    expect(await takeOut(window, id!)).toBe(false);
    window.hands.goOnUnkept();
    expect(await takeOut(window, id!)).toBe(true);
    expect(await takeOut(window, other!)).toBe(true);
    expect(stateOf(window).unkept).toBe(2);
    expect(await window.hands.keepAgain()).toBe(false);
    mend();
    expect(await takeOut(window, third!)).toBe(true);
    expect(stateOf(window)).toMatchObject({ storeFault: null, unkept: 0, isUnkept: false });
    const again = await openWindow();
    expect(stateOf(again).household).toEqual(stateOf(window).household);
    expect(stateOf(again).events).toHaveLength(GIVEN + 3);
  });
});
