import Dexie from 'dexie';
import { IDBFactory, IDBObjectStore } from 'fake-indexeddb';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { Life } from '../../../tests/life.ts';
import { ACTS } from '../../../tests/lifeActs.ts';
import { many, report, TRIAL_MS } from '../../../tests/trust.ts';
import type { Draft } from '../../core/daybook/index.ts';
import type { Household } from '../../core/records/index.ts';
import { HouseholdStore } from '../../storage/index.ts';

/** Ways in which a browser's storage lets one down in the middle of an act. */
const WAYS = ['full', 'denied', 'aborted'] as const;
type Way = (typeof WAYS)[number];

/** From the `nth` record on that is written, storage fails; the records before it were written in the same transaction. */
function failFrom(way: Way, nth: number) {
  let written = 0;
  const name = { full: 'QuotaExceededError', denied: 'UnknownError', aborted: 'AbortError' }[way];
  const spies = (['add', 'put', 'delete'] as const).map((method) => {
    const real = IDBObjectStore.prototype[method];
    return vi.spyOn(IDBObjectStore.prototype, method).mockImplementation(function fail(
      this: IDBObjectStore,
      ...args: unknown[]
    ) {
      written += 1;
      if (written < nth) return (real as (...args: unknown[]) => IDBRequest).apply(this, args);
      throw new DOMException('storage failed', name);
    } as never);
  });
  return () => spies.forEach((spy) => spy.mockRestore());
}

afterEach(() => vi.restoreAllMocks());

/** What is stored, read by a store that knows nothing of the window. */
async function readStored(): Promise<Household> {
  const store = new HouseholdStore();
  const stored = await store.load();
  store.close();
  if (!stored.ok || !stored.value) throw new Error(JSON.stringify(stored).slice(0, 300));
  return stored.value.chronicle.household;
}

const listAll = ({ settings, items, lots, places, plans }: Household) =>
  JSON.stringify([
    settings,
    ...[items, lots, places, plans].map((table) => [...table].toSorted(([a], [b]) => (a < b ? -1 : 1))),
  ]);

describe('storage that fails in the middle of an act', () => {
  it(
    'of any kind leaves nothing shown as done and nothing half written, and it can be done once it works',
    {
      timeout: TRIAL_MS,
    },
    async () => {
      Dexie.dependencies.indexedDB = new IDBFactory();
      vi.resetModules();
      const { useApp } = await import('./app.ts');
      const hands = await import('./hands.ts');
      const app = () => useApp.getState();
      await hands.open();
      const bad: string[] = [];
      const tried = new Set<string>();
      let trials = 0;
      for (let seed = 1; seed <= many(1, 12); seed += 1)
        for (const name of Object.keys(ACTS)) {
          // A draft that a life of this household would make by this act now.
          let draft: Draft | null = null;
          for (let luck = 0; luck < 12 && !draft; luck += 1) {
            const life = new Life(
              { household: app().household!, events: app().events },
              seed * 1000 + luck * 77 + trials,
              `f${trials}-${luck}-`,
            );
            const made = life.propose(name);
            // What the gate refuses is refused before anything is written.
            if (made && life.write(name, made)) draft = made;
          }
          if (!draft) continue;
          tried.add(name);
          trials += 1;
          const { household: before, events } = app();
          const way = WAYS[trials % WAYS.length]!;
          const mend = failFrom(way, 1 + (Math.floor(trials / 3) % 2));
          const isDone = await hands.act(() => ({ ok: true, value: draft! }));
          const isTold = app().notice?.tone === 'fault' && app().storeFault !== null;
          mend();
          const isShown = app().household !== before || app().events !== events;
          if (isDone || isShown || !isTold) bad.push(`${name} ${way}: shown as done`);
          if (listAll(await readStored()) !== listAll(before!)) bad.push(`${name} ${way}: half written`);
          if (!(await hands.act(() => ({ ok: true, value: draft! })))) bad.push(`${name} ${way}: not done afterwards`);
          else if (app().storeFault !== null) bad.push(`${name} ${way}: the fault stays`);
        }
      report('trust.failing_acts', trials);
      report('trust.failing_bad', bad.length);
      expect(bad).toEqual([]);
      expect(await readStored()).toEqual(app().household);
      expect(tried.size).toBeGreaterThan(Object.keys(ACTS).length * 0.6);
    },
  );
});
