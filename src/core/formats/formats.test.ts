import { existsSync, readFileSync } from 'node:fs';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { NO_PARTS, type Chronicle, type Photo, type Place, type Plan } from '../records/index.ts';
import { BUNDLE_VERSION, migrateBundle } from '../records/migrations.ts';
import { computeDoorPoint, getWallLine, listWalls } from '../storage/index.ts';
import { openBundle, parseBundle, toBundle } from './index.ts';
import { namePhoto } from './photoName.ts';
import { createAdopt, createCut } from '../acts/index.ts';
import { applyChanges, foldEvents } from '../daybook/fold.ts';
import { stampEvent } from '../daybook/index.ts';

function open(bytes: Uint8Array): Record<string, any> {
  return JSON.parse(strFromU8(unzipSync(bytes)['household.json']!)) as Record<string, any>;
}
function close(contents: unknown): Uint8Array {
  return zipSync({ 'household.json': strToU8(JSON.stringify(contents)) });
}
function faultsOf(bytes: Uint8Array): { code: string; path: string }[] {
  const read = parseBundle(bytes);
  return read.ok ? [] : read.fault.map(({ code, path }) => ({ code, path }));
}

/** The sample after a plan was adopted and cloth was cut. */
function createLived(): Chronicle {
  const sample = createSampleHousehold(1, 60);
  let { household } = sample;
  const events = [...sample.events];
  const world = { nowMs: () => 1, createId: () => `n${events.length}` };
  const cloth = [...household.lots.values()].find((lot) => (lot.lengthMm ?? 0) > 1000)!;
  const score = { unplacedWeight: 0, cautions: 0, seconds: 1, parts: NO_PARTS };
  const plan = {
    id: 'p1',
    madeAtMs: 1,
    seed: 1,
    steps: 1,
    inputsHash: 'x',
    score,
    before: score,
    adoptedAtMs: undefined,
    unplaced: [],
    assignments: [
      {
        lotId: cloth.id,
        placeId:
          cloth.placeId ??
          household.lots.get(cloth.id)!.homeId ??
          [...household.lots.values()].find((lot) => lot.placeId)!.placeId!,
        form: 'stack',
        order: 0,
      },
    ],
  } as unknown as Plan;
  for (const draft of [createCut(household, cloth.id, 700, 2), createAdopt(household, plan, 'Plan', 3)]) {
    if (!draft.ok) throw new Error(draft.fault.code);
    const next = applyChanges(household, draft.value.changes);
    if (!next.ok) {
      // The adoption was made from the state before the cut; make it again from the one after.
      throw new Error('conflict');
    }
    household = next.value;
    events.push(stampEvent(draft.value, events.length, world));
  }
  return { household, events };
}

describe('the bundle', () => {
  it('comes back identical, to the byte', () => {
    const lived = createLived();
    const bytes = toBundle(lived);
    const read = parseBundle(bytes);
    expect(read).toEqual({ ok: true, value: lived });
    expect(read.ok && toBundle(read.value)).toEqual(bytes);
  });

  it.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15])(
    'of version %i still loads, with its daybook',
    (version) => {
      const golden = readFileSync(new URL(`./golden/v${version}.json`, import.meta.url));
      const read = parseBundle(zipSync({ 'household.json': new Uint8Array(golden) }));
      if (!read.ok) throw new Error(JSON.stringify(read.fault));
      const { household, events } = read.value;
      // The last of them have a kit, with two lines of its own; and a project.
      expect(household.lots.size).toBe(version >= 11 ? 9 : 8);
      expect(events).toHaveLength(
        version >= 15 ? 13 : version >= 13 ? 11 : version >= 12 ? 10 : version >= 11 ? 8 : version >= 6 ? 6 : 2,
      );
      // What it said then, and what it could not say yet.
      expect(household.settings.estimates).toMatchObject({
        fadeSeconds: 40,
        homelessSeconds: 90,
        hiddenSeconds: 6,
        // A price of those days that nobody had changed became today's; prices of what is no longer priced are gone.
        tableSeconds: 240,
        rentSeconds: 0.6,
        strangerSeconds: 120,
      });
      const { sorting, bounds, wishes } = household.settings;
      expect(sorting.scrap).toEqual({ levels: ['colour'], order: 'wheel', tags: [] });
      expect(sorting.kit.levels).toEqual(['type']);
      expect(bounds.lengthMm).toEqual([914.4, 4572]);
      if (version >= 5) {
        expect(sorting.fabric).toEqual({ levels: ['lengthClass'], order: 'length', tags: [] });
        expect(wishes?.[0]?.groupIds).toEqual(['pattern:numberRun:100', 'kit:type:kit', 'fabric:lengthClass:0']);
      } else expect(sorting.fabric).toEqual({ levels: ['fibre'], order: 'wheel', tags: [] });
      // Walls that did not go round do now; the ceilings over them are as they were.
      const [loft, landing] = [...household.places.values()].flatMap((place) => place.room ?? []);
      expect(listWalls(loft!).map((wall) => [wall.id, wall.lengthMm])).toEqual([
        ['north', 4200],
        ['east', 3100],
        ['south', 4200],
        ['wall-4', 3100],
      ]);
      expect(getWallLine(loft!, 'east').ceiling).toEqual([
        { xMm: 0, yMm: 2300 },
        { xMm: 2300, yMm: 2300 },
        { xMm: 3100, yMm: 1100 },
      ]);
      expect(computeDoorPoint(loft!, loft!.doors[0]!)).toMatchObject({ xMm: expect.closeTo(0, 6), yMm: 700 });
      expect(listWalls(landing!)).toHaveLength(4);
      expect(landing!.doors[0]!.wayMm).toBe(1500);
      if (version === 3) {
        const measured = [...household.lots.values()].find((lot) => lot.measuredBy === 'roll');
        expect(measured?.amountSigma).toBe(120);
        expect(events[1]).toMatchObject({ type: 'measured', amount: 3950, amountUnit: 'length' });
      }
      expect(parseBundle(toBundle(read.value))).toEqual(read);
    },
  );

  it('makes projects of kits, as the daybook tells them', () => {
    const golden = readFileSync(new URL('./golden/v11.json', import.meta.url));
    const read = parseBundle(zipSync({ 'household.json': new Uint8Array(golden) }));
    if (!read.ok) throw new Error(JSON.stringify(read.fault));
    const { household, events } = read.value;
    expect([...household.projects.values()]).toEqual([
      {
        id: 'i9',
        name: 'Bell smock kit',
        state: 'cut',
        makes: [],
        notes: 'a smock',
        needs: [
          { id: 'part-0', kind: 'other', part: 'body', isThere: true },
          { id: 'part-1', kind: 'other', part: 'sleeves', isThere: true },
        ],
        steps: [],
        bagLotId: 'l9',
        sinceMs: 0,
      },
    ]);
    expect(events.at(-1)!.changes.map(({ table }) => table)).toEqual(['items', 'projects']);
    expect(household.items.get('i9' as never)).not.toHaveProperty('kit');
  });

  it('keeps a project as it was written, with what is promised to it', () => {
    const golden = readFileSync(new URL('./golden/v12.json', import.meta.url));
    const read = parseBundle(zipSync({ 'household.json': new Uint8Array(golden) }));
    if (!read.ok) throw new Error(JSON.stringify(read.fault));
    const raw = JSON.parse(golden.toString()) as { projects: { id: string }[] };
    const { projects, lots } = read.value.household;
    expect(projects.get('p12' as never)).toEqual(raw.projects.find(({ id }) => id === 'p12'));
    expect(lots.get('l1' as never)!.reserved!.at(-1)).toEqual({
      id: 'r12',
      projectId: 'p12',
      needId: 'n1',
      note: '',
      amount: 700,
    });
  });

  it('marks as heaps the floors that were called so, in all that the daybook tells of them', () => {
    const golden = readFileSync(new URL('./golden/v15.json', import.meta.url));
    const read = parseBundle(zipSync({ 'household.json': new Uint8Array(golden) }));
    if (!read.ok) throw new Error(JSON.stringify(read.fault));
    const { household, events } = read.value;
    const listHeaps = (places: Iterable<Place>) => [...places].filter(({ unit }) => unit?.isHeap).map(({ id }) => id);
    // One was made as a heap in another language; one became one by its name, and was its own floor from the first line on.
    expect(listHeaps(household.places.values())).toEqual(['r1-u14', 'r1-u5']);
    const whole = events.flatMap(({ changes }) =>
      changes.flatMap(({ after }) => (after ? [after as unknown as Place] : [])),
    );
    expect(listHeaps(whole).toSorted()).toEqual(['r1-u14', 'r1-u5']);
    expect(foldEvents(events)).toEqual({ ok: true, value: household });
  });

  it('keeps flaws, sizes of scraps and a budget as they were written', () => {
    const golden = readFileSync(new URL('./golden/v13.json', import.meta.url));
    const read = parseBundle(zipSync({ 'household.json': new Uint8Array(golden) }));
    if (!read.ok) throw new Error(JSON.stringify(read.fault));
    const { lots, settings } = read.value.household;
    expect(lots.get('l1' as never)).toMatchObject({ widthMm: 900, flaws: [{ note: 'a stain', widthMm: 50 }] });
    expect(settings).toMatchObject({ budgetPerYear: 300, scrapSizes: [{ sideMm: 127, worth: 4 }] });
  });

  it('keeps what comes round as it was written', () => {
    const golden = readFileSync(new URL('./golden/v14.json', import.meta.url));
    const read = parseBundle(zipSync({ 'household.json': new Uint8Array(golden) }));
    if (!read.ok) throw new Error(JSON.stringify(read.fault));
    expect(read.value.household.lots.get('l1' as never)!.chores).toEqual([
      { id: 'c14', work: 'other', name: 'Air it', everyDays: 180, doneAtMs: 1_750_000_000_000, hours: 0 },
    ]);
  });

  it('has a golden file of every version before this one', () => {
    for (let version = 1; version < BUNDLE_VERSION; version += 1)
      expect(existsSync(new URL(`./golden/v${version}.json`, import.meta.url))).toBe(true);
  });

  it.each([
    ['an empty file', new Uint8Array(0), 'empty'],
    ['a picture', strToU8('\x89PNG....'), 'not-a-bundle'],
    ['another archive', zipSync({ 'notes.txt': strToU8('hello') }), 'not-a-bundle'],
    ['half a bundle', toBundle(createSampleHousehold(1, 60)).slice(0, 4000), 'damaged'],
    ['broken text', zipSync({ 'household.json': strToU8('{"format":') }), 'damaged'],
    ['another format', close({ format: 'else', version: 1 }), 'not-a-bundle'],
    ['a bundle from the future', close({ format: 'yardmist-bundle', version: 99 }), 'too-new'],
  ])('refuses %s', (_, bytes, code) => expect(faultsOf(bytes)[0]?.code).toBe(code));

  it('lifts the prices of version 8 that nobody changed, and no others', () => {
    const raw = JSON.parse(readFileSync(new URL('./golden/v8.json', import.meta.url), 'utf8')) as {
      settings: { estimates: Record<string, number> };
    };
    expect(raw.settings.estimates).toMatchObject({ nameSeconds: 5, looseSeconds: 150, floorSeconds: 40 });
    raw.settings.estimates['looseSeconds'] = 77;
    const lifted = migrateBundle(raw as never);
    if (!lifted.ok) throw new Error(lifted.fault);
    const { estimates } = lifted.value['settings'] as typeof raw.settings;
    expect(estimates).toMatchObject({ nameSeconds: 60, looseSeconds: 77, floorSeconds: 120, carryBinSeconds: 60 });
  });

  it('never throws, whatever stands in the file', () => {
    const whole = [1, 2, 3].map((version) =>
      readFileSync(new URL(`./golden/v${version}.json`, import.meta.url), 'utf8'),
    );
    whole.push(JSON.stringify(open(toBundle(createSampleHousehold(1, 6)))));
    const junk = fc.constantFrom(null, 7, -1, 'x', [], {}, [null], [7], { changes: 5 }, true, 1e99);
    fc.assert(
      fc.property(fc.nat(whole.length - 1), fc.array(fc.tuple(fc.nat(), junk), { minLength: 1 }), (which, spoils) => {
        const raw = JSON.parse(whole[which]!) as Record<string, unknown>;
        for (const [where, what] of spoils) {
          // Walks down to some node and puts something else in its place.
          let at = raw;
          for (let step = where + 1; ; step = Math.floor(step / 3)) {
            const keys = Object.keys(at);
            const key = keys[step % Math.max(1, keys.length)];
            if (key === undefined) break;
            if (step < 3 || typeof at[key] !== 'object' || at[key] === null) {
              at[key] = structuredClone(what);
              break;
            }
            at = at[key] as Record<string, unknown>;
          }
        }
        const read = parseBundle(close(raw));
        if (!read.ok) expect(read.fault.length).toBeGreaterThan(0);
      }),
      { numRuns: 150 },
    );
  });

  it('brings photos with it, and refuses what only says that it is one', () => {
    const lived = createLived();
    const picture = Uint8Array.from([
      ...new TextEncoder().encode('RIFF....WEBPVP8X'),
      ...Array.from({ length: 24 }, () => 0),
    ]);
    const photo: Photo = { id: namePhoto(picture), type: 'image/webp', bytes: picture, swatch: picture };
    const bytes = toBundle({ ...lived, photos: [photo] });
    expect(parseBundle(bytes)).toEqual({ ok: true, value: { ...lived, photos: [photo] } });
    const drawing = new TextEncoder().encode('<svg xmlns="http://www.w3.org/2000/svg" onload="x()"></svg>');
    for (const evil of [
      { ...photo, bytes: drawing },
      { ...photo, swatch: drawing },
    ])
      expect(faultsOf(toBundle({ ...lived, photos: [evil] }))[0]?.path).toContain('photos/');
    const half = unzipSync(bytes);
    delete half[`photos/${photo.id}.swatch.webp`];
    const swatchPath = `photos/${photo.id}.swatch.webp`;
    expect(faultsOf(zipSync(half))).toEqual([{ code: 'record', path: swatchPath }]);
    // Another picture under its name; and a byte of it that went wrong on the way.
    const other = picture.slice();
    other[38] = 7;
    const path = `photos/${photo.id}.webp`;
    expect(faultsOf(toBundle({ ...lived, photos: [{ ...photo, bytes: other }] }))).toEqual([{ code: 'record', path }]);
    const at = bytes.findIndex((_, i) => picture.every((byte, n) => bytes[i + n] === byte));
    const turned = bytes.slice();
    turned[at + 38]! ^= 1;
    expect(faultsOf(turned)).toMatchObject([{ code: 'record' }]);
    const opened = openBundle(turned);
    expect(opened).toMatchObject({
      ok: true,
      value: { photos: [], photoFaults: [{ note: 'is not as it was written' }] },
    });
  });

  it('names every fault with its path', () => {
    const raw = open(toBundle(createSampleHousehold(1, 60)));
    const cloth = (raw['items'] as { kind: string }[]).findIndex((item) => item.kind === 'fabric');
    raw['items'][cloth].fabric.widthMm = -140;
    raw['lots'][3].count = 'two';
    raw['lots'][4].id = raw['lots'][5].id;
    raw['places'][0].surprise = 1;
    const faults = faultsOf(close(raw));
    expect(faults).toContainEqual({ code: 'record', path: `items.${cloth}.fabric.widthMm` });
    expect(faults).toContainEqual({ code: 'record', path: 'lots.3.count' });
    expect(faults).toContainEqual({ code: 'duplicate', path: 'lots.5.id' });
    expect(faults).toContainEqual({ code: 'record', path: 'places.0.surprise' });
  });

  it('refuses records that do not hang together or that the daybook does not tell', () => {
    const raw = open(toBundle(createSampleHousehold(1, 60)));
    raw['lots'].find((lot: { placeId: string | null }) => lot.placeId).placeId = 'nowhere';
    const codes = faultsOf(close(raw)).map((fault) => fault.code);
    expect(codes).toContain('invariant');
    expect(codes).toContain('daybook');
  });
});
