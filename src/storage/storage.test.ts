import { readFileSync } from 'node:fs';
import Dexie from 'dexie';
import { afterEach, describe, expect, it } from 'vitest';
import type { Chronicle, EventId, Household, ItemId, LotId, Photo, PhotoId } from '../core/records/index.ts';
import { undo } from '../../tests/acts.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { Database } from './database.ts';
import { BesideStore } from './beside.ts';
import { HouseholdStore } from './index.ts';
import { createImport, createTakeOut } from '../core/acts/index.ts';
import { createPlaceTree, formatPlaceName } from '../core/storage/index.ts';
import { foldEvents } from '../core/daybook/fold.ts';
import { passGate, passWhole, stampEvent, type Passed } from '../core/daybook/index.ts';

const pass = (chronicle: Chronicle) => {
  const whole = passWhole(chronicle);
  if (!whole.ok) throw new Error(JSON.stringify(whole.fault));
  return whole.value;
};
const sample = pass(createSampleHousehold(1, 40));
const world = { nowMs: () => 5, createId: () => `e-${Math.trunc(performance.now() * 1000)}` };
let name = '';
let opened: HouseholdStore[] = [];
let count = 0;

function open(): HouseholdStore {
  const store = new HouseholdStore(name);
  opened.push(store);
  return store;
}
async function begin() {
  count += 1;
  name = `test-${count}`;
  const store = open();
  expect(await store.replace(sample, 'g1', null)).toEqual({ ok: true, value: null });
  return store;
}
function stepOf(household: Household, draft: Parameters<typeof stampEvent>[0], seq: number): Passed {
  const step = passGate(household, stampEvent(draft, seq, world));
  if (!step.ok) throw new Error(JSON.stringify(step.fault));
  return step.value;
}
function takeOut(): Passed {
  const lot = [...sample.household.lots.values()].find((one) => one.state === 'in')!;
  const draft = createTakeOut(sample.household, lot.id, 9);
  if (!draft.ok) throw new Error(draft.fault.code);
  return stepOf(sample.household, draft.value, 1);
}
afterEach(() => {
  for (const store of opened) store.close();
  opened = [];
});

describe('the household in the browser', () => {
  it('is empty at first, then comes back as it was put', async () => {
    count += 1;
    name = `test-${count}`;
    expect(await open().load()).toEqual({ ok: true, value: null });
    const store = await begin();
    expect(await store.load()).toEqual({ ok: true, value: { chronicle: sample, generation: 'g1', apart: [] } });
  });

  it('tells first what is out, the newest before all else, with what it is and where it belongs', async () => {
    count += 1;
    name = `test-${count}`;
    expect(await open().loadGlimpse()).toBeNull();
    const store = await begin();
    const step = takeOut();
    await store.append([step], 'g1');
    const first = await store.loadGlimpse();
    const { household, isAllOut } = first!.glimpse!;
    expect(isAllOut).toBe(true);
    const out = [...step.household.lots.values()].filter(({ state }) => state === 'out');
    expect(out.length).toBeGreaterThan(0);
    expect([...household.lots.values()]).toEqual(expect.arrayContaining(out));
    expect(household.lots.size).toBe(out.length);
    // Said just as it will be once all is there.
    const [some, all] = [createPlaceTree(household.places), createPlaceTree(step.household.places)];
    for (const { itemId, homeId } of out) {
      expect(household.items.get(itemId)).toEqual(step.household.items.get(itemId));
      if (homeId) expect(formatPlaceName(some, homeId)).toBe(formatPlaceName(all, homeId));
    }
    expect(household.places.size).toBeLessThan(step.household.places.size);
  });

  it('tells only the newest of very many that are out, and nothing of what does not read', async () => {
    const store = await begin();
    const database = new Database(name);
    const lots = await database.lots.toArray();
    const many = Array.from({ length: 100 }, (_none, n) => {
      const { placeId: _placeId, ...lot } = lots.find(({ homeId }) => homeId !== undefined)!;
      return { ...lot, id: `many-${n}` as LotId, state: 'out' as const, sinceMs: 1e12 + n };
    });
    await database.lots.bulkAdd(many);
    const first = await store.loadGlimpse();
    expect(first!.glimpse!.isAllOut).toBe(false);
    expect(first!.glimpse!.household.lots.has('many-99' as LotId)).toBe(true);
    expect(first!.glimpse!.household.lots.has('many-3' as LotId)).toBe(false);
    await database.lots.put({ ...many[99]!, count: -1 });
    expect(await store.loadGlimpse()).toEqual({ glimpse: null });
    database.close();
  });

  it('writes an event with its changes, and its undo', async () => {
    const store = await begin();
    const step = takeOut();
    expect((await store.append([step], 'g1')).ok).toBe(true);
    const loaded = await store.load();
    expect(loaded.ok && loaded.value?.chronicle.household).toEqual(step.household);
    const back = stepOf(step.household, undo(step.household, [...sample.events, step.event]), 2);
    await store.append([back], 'g1');
    const undone = await store.load();
    expect(undone.ok && undone.value?.chronicle.household).toEqual(sample.household);
  });

  it('lets the second of two windows know that it is behind, and writes nothing of it', async () => {
    await begin();
    const other = open();
    const step = takeOut();
    expect((await opened[0]!.append([step], 'g1')).ok).toBe(true);
    const late: Passed = { ...step, event: { ...step.event, id: 'late' as EventId } };
    expect(await other.append([late], 'g1')).toMatchObject({ ok: false, fault: { code: 'behind' } });
    const news = await other.loadEventsFrom(1);
    expect(news.ok && news.value.events).toEqual([step.event]);
    expect(await other.append([late], 'another household')).toMatchObject({ ok: false, fault: { code: 'behind' } });
  });

  it('writes nothing when one of the changes fails', async () => {
    const store = await begin();
    const step = takeOut();
    const id = step.event.changes[0]!.id as LotId;
    const broken: Passed = {
      ...step,
      household: { ...step.household, lots: new Map([[id, { noId: 1 } as never]]) },
    };
    expect((await store.append([broken], 'g1')).ok).toBe(false);
    expect(await store.load()).toMatchObject({ ok: true, value: { chronicle: sample, generation: 'g1' } });
  });

  it('keeps what an import replaces, and is untouched by an import that fails', async () => {
    const store = await begin();
    const twice: typeof sample = { ...sample, events: [...sample.events, ...sample.events] };
    expect((await store.replace(twice, 'g2', null)).ok).toBe(false);
    expect(await store.load()).toMatchObject({ ok: true, value: { generation: 'g1' } });
    await store.replace(sample, 'g2', new Uint8Array([1, 2, 3]));
    expect(await store.loadPrevious()).toEqual({ ok: true, value: new Uint8Array([1, 2, 3]) });
  });

  it('hands out what it found where something of it does not read', async () => {
    const store = await begin();
    const raw = new Database(name);
    const id = [...sample.household.lots.keys()][0]!;
    await raw.lots.update(id, { count: -3 });
    raw.close();
    const loaded = await store.load();
    expect(loaded).toMatchObject({ ok: false, fault: { code: 'damaged' } });
    expect(!loaded.ok && loaded.fault.raw?.lots).toHaveLength(sample.household.lots.size);
  });

  it.each(['settings', 'meta'] as const)(
    'calls it damage where %s are missing, not an empty browser',
    async (table) => {
      const store = await begin();
      const raw = new Database(name);
      await raw.table(table).clear();
      raw.close();
      expect(await store.load()).toMatchObject({ ok: false, fault: { code: 'damaged' } });
    },
  );

  it('neither opens nor changes what a later program wrote', async () => {
    const store = await begin();
    store.close();
    const later = new Dexie(name);
    later.version(99).stores({ items: 'id', more: 'id' });
    await later.open();
    await later.table('more').add({ id: 'x' });
    later.close();
    const early = open();
    expect(await early.load()).toMatchObject({ ok: false, fault: { code: 'newer' } });
    expect(await early.append([takeOut()], 'g1')).toMatchObject({ ok: false, fault: { code: 'newer' } });
    expect(await early.replace(sample, 'g2', null)).toMatchObject({ ok: false, fault: { code: 'newer' } });
    const again = new Dexie(name);
    await again.open();
    expect(again.verno).toBe(99);
    expect(await again.table('more').count()).toBe(1);
    again.close();
  });

  it('keeps the households of the last seven days', async () => {
    const store = await begin();
    const beside = new BesideStore(store);
    for (let day = 10; day < 20; day += 1)
      await beside.saveSnapshot({
        day: `2026-11-${day}`,
        atMs: day,
        name: 'x',
        lots: 1,
        lines: 1,
        bytes: new Uint8Array([day]),
      });
    const kept = await beside.loadSnapshots();
    expect(kept.ok && kept.value.map((one) => one.day)).toEqual(
      [19, 18, 17, 16, 15, 14, 13].map((day) => `2026-11-${day}`),
    );
    await store.replace(sample, 'g2', null);
    const after = await beside.loadSnapshots();
    expect(after.ok && after.value).toHaveLength(7);
  });

  it('keeps what was set apart until it is let go', async () => {
    const store = await begin();
    const apart = [{ table: 'lots' as const, id: 'l', raw: { id: 'l', count: -3 }, faults: [] }];
    await store.replace(sample, 'g2', null, apart);
    const loaded = await store.load();
    const kept = loaded.ok ? (loaded.value?.apart ?? []) : [];
    expect(kept).toMatchObject(apart);
    await store.dropApart(kept.flatMap((one) => one.n ?? []));
    expect(await store.load()).toMatchObject({ ok: true, value: { apart: [] } });
  });

  it.each([2, 3, 4, 5, 6, 7, 8, 9, 10, 15])('lifts what a program of bundle version %i stored', async (version) => {
    count += 1;
    name = `test-${count}`;
    const old = JSON.parse(readFileSync(`src/core/formats/golden/v${version}.json`, 'utf8')) as Record<
      string,
      object[]
    >;
    const raw = new Dexie(name);
    const isIndexed = version > 12;
    raw.version(isIndexed ? 12 : version - 1).stores({
      items: 'id',
      lots: isIndexed ? 'id, [state+sinceMs]' : 'id',
      places: isIndexed ? 'id, name' : 'id',
      plans: 'id',
      settings: 'id',
      events: 'seq',
      meta: 'key',
      ...(version > 3 && { photos: 'id' }),
      ...(isIndexed && { snapshots: 'day', apart: '++n', projects: 'id' }),
    });
    for (const table of ['items', 'lots', 'places', 'plans', 'events', ...(isIndexed ? ['projects'] : [])])
      await raw.table(table).bulkAdd(old[table]!);
    await raw.table('settings').add(old['settings']);
    await raw.table('meta').add({ key: 'generation', value: 'g0' });
    raw.close();
    const loaded = await open().load();
    if (!loaded.ok || !loaded.value) throw new Error(JSON.stringify(loaded).slice(0, 2000));
    const { household, events } = loaded.value.chronicle;
    expect(household.settings.estimates.hiddenSeconds).toBe(6);
    expect([...household.places.values()].filter(({ unit }) => unit?.isHeap)).toHaveLength(version >= 15 ? 2 : 0);
    expect(foldEvents(events)).toEqual({ ok: true, value: household });
  });

  it('keeps photos beside the records, and with another household too', async () => {
    const store = await begin();
    const photo: Photo = {
      id: 'ab'.repeat(16) as PhotoId,
      type: 'image/webp',
      bytes: new Uint8Array([1, 2]),
      swatch: new Uint8Array([3]),
    };
    expect(await store.savePhotos([photo, photo])).toEqual({ ok: true, value: null });
    expect(await store.loadPhoto(photo.id)).toEqual(photo);
    expect(await store.loadPhotos([photo.id, 'cd'.repeat(16) as PhotoId])).toEqual({ ok: true, value: [photo] });
    expect(await store.loadPhoto('cd'.repeat(16) as PhotoId)).toBeNull();
    await store.replace({ ...sample, photos: [] }, 'g2', null);
    expect(await store.loadPhoto(photo.id)).toEqual(photo);
  });

  it('throws out photos that nothing names, the second time it is asked; what a day before or what is apart names stays', async () => {
    const store = await begin();
    const beside = new BesideStore(store);
    const [named, ofSnapshot, ofApart, loose] = ['a1', 'b2', 'c3', 'd4'].map((part) => part.repeat(16) as PhotoId);
    const bytes = new Uint8Array([1]);
    const all = [named!, ofSnapshot!, ofApart!, loose!];
    await store.savePhotos(all.map((id) => ({ id, type: 'image/webp', bytes, swatch: bytes })));
    const here = async () => {
      const found = await store.loadPhotos(all);
      return found.ok ? found.value.map((photo) => photo.id) : [];
    };
    const item = sample.household.items.values().next().value!;
    const apart = [{ table: 'items' as const, id: 'gone', raw: { ...item, photos: [ofApart] }, faults: [] }];
    expect((await store.replace(sample, 'g2', null, apart)).ok).toBe(true);
    const snapshot = { day: '2026-11-01', atMs: 1, name: 'Loft', lots: 1, lines: 1, bytes };
    await beside.saveSnapshot(snapshot);
    // A day of an older program does not say what it names.
    expect(await beside.sweepPhotos(new Set([named!]))).toEqual({ ok: true, value: 0 });
    expect(await beside.sweepPhotos(new Set([named!]))).toEqual({ ok: true, value: 0 });
    await beside.saveSnapshot({ ...snapshot, photoIds: [ofSnapshot!] });
    expect(await beside.sweepPhotos(new Set([named!]))).toEqual({ ok: true, value: 0 });
    expect(await here()).toEqual(all);
    expect(await beside.sweepPhotos(new Set([named!]))).toEqual({ ok: true, value: 1 });
    expect(await here()).toEqual(all.slice(0, 3));
    expect(await beside.sweepPhotos(new Set([named!]))).toEqual({ ok: true, value: 0 });
  });

  it('writes a long list in one go, and reads it back', async () => {
    const store = await begin();
    const things = [...sample.household.items.values()].slice(0, 8).map((item, n) => {
      const id = `new-${n}` as ItemId;
      const lot = [...sample.household.lots.values()].find((one) => one.itemId === item.id)!;
      const loose = {
        ...lot,
        id: `lot-new-${n}` as LotId,
        itemId: id,
        state: 'out' as const,
        placeId: undefined,
        homeId: undefined,
      };
      return { item: { ...item, id }, lots: [loose] };
    });
    const draft = createImport(sample.household, 'a list', things);
    if (!draft.ok) throw new Error(draft.fault.code);
    const step = stepOf(sample.household, draft.value, 1);
    expect((await store.append([step], 'g1')).ok).toBe(true);
    const loaded = await store.load();
    expect(loaded.ok && loaded.value?.chronicle.household).toEqual(step.household);
  });
});
