import { readFileSync } from 'node:fs';
import Dexie from 'dexie';
import { afterEach, describe, expect, it } from 'vitest';
import type { DaybookEvent, EventId, ItemId, LotId, Photo, PhotoId } from '../core/records/index.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { Database } from './database.ts';
import { HouseholdStore } from './index.ts';
import { createImport, createTakeOut } from '../core/acts/index.ts';
import { type Draft, applyChanges, createUndo, foldEvents, stampEvent } from '../core/daybook/index.ts';

const sample = createSampleHousehold(1, 40);
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
function takeOut(): { event: DaybookEvent; draft: Draft } {
  const lot = [...sample.household.lots.values()].find((one) => one.state === 'in')!;
  const draft = createTakeOut(sample.household, lot.id, 9);
  if (!draft.ok) throw new Error(draft.fault.code);
  return { draft: draft.value, event: stampEvent(draft.value, 1, world) };
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
    expect(await store.load()).toEqual({ ok: true, value: { chronicle: sample, generation: 'g1' } });
  });

  it('writes an event with its changes, and its undo', async () => {
    const store = await begin();
    const { event, draft } = takeOut();
    expect((await store.append(event, 'g1')).ok).toBe(true);
    const after = applyChanges(sample.household, draft.changes);
    const loaded = await store.load();
    expect(loaded.ok && loaded.value?.chronicle.household).toEqual(after.ok && after.value);
    await store.append(stampEvent(createUndo(event), 2, world), 'g1');
    const undone = await store.load();
    expect(undone.ok && undone.value?.chronicle.household).toEqual(sample.household);
  });

  it('lets the second of two windows know that it is behind, and writes nothing of it', async () => {
    await begin();
    const other = open();
    const { event } = takeOut();
    expect((await opened[0]!.append(event, 'g1')).ok).toBe(true);
    const late = { ...event, id: 'late' as EventId };
    expect(await other.append(late, 'g1')).toMatchObject({ ok: false, fault: { code: 'behind' } });
    const news = await other.loadEventsFrom(1);
    expect(news.ok && news.value.events).toEqual([event]);
    expect(await other.append(late, 'another household')).toMatchObject({ ok: false, fault: { code: 'behind' } });
  });

  it('writes nothing when one of the changes fails', async () => {
    const store = await begin();
    const { event } = takeOut();
    const broken: DaybookEvent = {
      ...event,
      changes: [...event.changes, { table: 'items', id: 'x', before: null, after: { noId: 1 } }],
    };
    expect((await store.append(broken, 'g1')).ok).toBe(false);
    expect(await store.load()).toEqual({ ok: true, value: { chronicle: sample, generation: 'g1' } });
  });

  it('keeps what an import replaces, and is untouched by an import that fails', async () => {
    const store = await begin();
    const twice = { ...sample, events: [...sample.events, ...sample.events] };
    expect((await store.replace(twice, 'g2', null)).ok).toBe(false);
    expect(await store.load()).toMatchObject({ ok: true, value: { generation: 'g1' } });
    await store.replace(sample, 'g2', new Uint8Array([1, 2, 3]));
    expect(await store.loadPrevious()).toEqual(new Uint8Array([1, 2, 3]));
  });

  it('reports a damaged record with its path instead of showing it', async () => {
    const store = await begin();
    const raw = new Database(name);
    const id = [...sample.household.lots.keys()][0]!;
    await raw.lots.update(id, { count: -3 });
    raw.close();
    expect(await store.load()).toMatchObject({
      ok: false,
      fault: { code: 'damaged', faults: [{ path: `lots.${id}.count` }] },
    });
  });

  it('lifts what an earlier version stored', async () => {
    count += 1;
    name = `test-${count}`;
    const old = JSON.parse(readFileSync('src/core/formats/golden/v2.json', 'utf8')) as Record<string, object[]>;
    const raw = new Dexie(name);
    raw.version(1).stores({
      items: 'id',
      lots: 'id',
      places: 'id',
      plans: 'id',
      settings: 'id',
      events: 'seq',
      meta: 'key',
    });
    for (const table of ['items', 'lots', 'places', 'plans', 'events']) await raw.table(table).bulkAdd(old[table]!);
    await raw.table('settings').add(old['settings']);
    await raw.table('meta').add({ key: 'generation', value: 'g0' });
    raw.close();
    const loaded = await open().load();
    if (!loaded.ok || !loaded.value) throw new Error(JSON.stringify(loaded));
    const { household, events } = loaded.value.chronicle;
    expect(household.settings.estimates.hiddenSeconds).toBe(6);
    expect(foldEvents(events)).toEqual({ ok: true, value: household });
  });

  it('keeps photos beside the records, and lets go of them with another household', async () => {
    const store = await begin();
    const photo: Photo = {
      id: 'ab'.repeat(16) as PhotoId,
      type: 'image/webp',
      bytes: new Uint8Array([1, 2]),
      swatch: new Uint8Array([3]),
    };
    expect(await store.savePhotos([photo, photo])).toEqual({ ok: true, value: null });
    expect(await store.loadPhoto(photo.id)).toEqual(photo);
    expect(await store.loadPhotos()).toEqual([photo]);
    expect(await store.loadPhoto('cd'.repeat(16) as PhotoId)).toBeNull();
    await store.replace({ ...sample, photos: [] }, 'g2', null);
    expect(await store.loadPhotos()).toEqual([]);
    await store.replace({ ...sample, photos: [photo] }, 'g3', null);
    expect(await store.loadPhoto(photo.id)).toEqual(photo);
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
        placeId: null,
        homeId: null,
      };
      return { item: { ...item, id }, lots: [loose] };
    });
    const draft = createImport(sample.household, 'a list', things);
    if (!draft.ok) throw new Error(draft.fault.code);
    expect((await store.append(stampEvent(draft.value, 1, world), 'g1')).ok).toBe(true);
    const after = applyChanges(sample.household, draft.value.changes);
    const loaded = await store.load();
    expect(loaded.ok && loaded.value?.chronicle.household).toEqual(after.ok && after.value);
  });
});
