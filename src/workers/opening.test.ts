import Dexie from 'dexie';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { passWhole } from '../core/daybook/index.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { Database } from '../storage/database.ts';
import { HouseholdStore } from '../storage/index.ts';
import { openStored } from './opening.ts';

// What other tests of this run keep under the same name, or still close, is not here.
const shared = Dexie.dependencies.indexedDB;
beforeEach(() => void (Dexie.dependencies.indexedDB = new IDBFactory()));
afterEach(() => void (Dexie.dependencies.indexedDB = shared));

describe('the opener', () => {
  it('tells nothing where nothing is kept, then all of it, checked, and last what does not read', async () => {
    expect(await openStored()).toEqual({ ok: true, value: null });
    const whole = passWhole(createSampleHousehold(1, 900));
    if (!whole.ok) throw new Error('the sample does not pass');
    const store = new HouseholdStore();
    await store.replace(whole.value, 'g1', null);
    const opened = await openStored();
    const here = await store.load();
    expect(opened).toEqual(here);
    // It passed in the worker: it is let through as it is, and may be kept.
    const chronicle = opened?.ok ? opened.value!.chronicle : null!;
    expect(passWhole(chronicle)).toEqual({ ok: true, value: chronicle });
    const database = new Database('yardmist');
    const lot = (await database.lots.toArray())[0]!;
    await database.lots.put({ ...lot, count: -4 });
    database.close();
    const damaged = await openStored();
    expect(damaged).toMatchObject({ ok: false, fault: { code: 'damaged', note: '1 faults' } });
    expect(damaged?.ok === false && damaged.fault.raw).toBeDefined();
    store.close();
  });
});
