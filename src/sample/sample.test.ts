import { describe, expect, it } from 'vitest';
import { parseRecord } from '../core/records/index.ts';
import { createPlaceTree } from '../core/storage/index.ts';
import { createEmptyHousehold, createSampleHousehold } from './index.ts';
import { createKitchenHousehold } from './kitchen.ts';
import { loadMadeSample } from './made.ts';
import { packItems, packLots, unpackItems, unpackLots } from './packed.ts';
import { foldEvents } from '../core/daybook/fold.ts';
import { checkInvariants, passGate } from '../core/daybook/index.ts';
import { computeLearntUses, createLearn } from '../core/learning/index.ts';
import { SAMPLE_NOW_MS } from './chronicle.ts';

describe('Heron Loft', () => {
  const { household, events } = createSampleHousehold();

  it('is the same where the build wrote it down', async () => {
    const made = await loadMadeSample();
    expect(made).toEqual({ household, events });
    expect([...made.household.lots.keys()]).toEqual([...household.lots.keys()]);
  });

  it('comes back whole from the columns that it is written down in', () => {
    const [items, lots] = [[...household.items.values()], [...household.lots.values()]];
    expect(unpackItems(packItems(items))).toEqual(items);
    expect(unpackLots(packLots(lots))).toEqual(lots);
  });

  it('has about 240 items, 320 lots, 3 stations and 45 places, some without a home', () => {
    const tree = createPlaceTree(household.places);
    expect(household.lots.size).toBe(320);
    expect(household.items.size).toBeGreaterThan(225);
    expect(household.items.size).toBeLessThan(260);
    expect(tree.leaves).toHaveLength(45);
    const homeless = [...household.lots.values()].filter((lot) => lot.homeId === undefined);
    expect(homeless.length).toBeGreaterThan(5);
    expect(homeless.length).toBeLessThan(40);
  });

  it('passes every record class and every invariant', () => {
    for (const table of ['items', 'lots', 'places'] as const)
      for (const record of household[table].values())
        expect(parseRecord(table, record), `${table} ${record.id}`).toMatchObject({ ok: true });
    expect(checkInvariants(household)).toEqual([]);
  });

  it('is the fold of its daybook, and the same every time', () => {
    expect(foldEvents(events)).toEqual({ ok: true, value: household });
    expect(createSampleHousehold()).toEqual({ household, events });
    expect(createSampleHousehold(2).household).not.toEqual(household);
  });
});

describe('the year behind Heron Loft', () => {
  const { household, events } = createSampleHousehold();
  const count = (type: string) => events.filter((event) => event.type === type).length;

  it('is lived in: received, cut for something, taken out, lent, counted and labelled, in every month', () => {
    expect(events.length).toBeGreaterThan(300);
    expect(events.length).toBeLessThan(900);
    for (const [type, least] of [
      ['received', 30],
      ['tookOut', 150],
      ['putBack', 150],
      ['cut', 25],
      ['lent', 1],
      ['returned', 1],
      ['counted', 5],
      ['relabelled', 1],
    ] as const)
      expect(count(type), type).toBeGreaterThanOrEqual(least);
    const months = new Set(events.map(({ atMs }) => new Date(atMs).toISOString().slice(0, 7)));
    expect(months.size).toBeGreaterThanOrEqual(12);
    expect(events.every(({ atMs }, i) => i === 0 || atMs >= events[i - 1]!.atMs)).toBe(true);
    expect(events.at(-1)!.atMs).toBeLessThanOrEqual(SAMPLE_NOW_MS);
  });

  it('passes the gate line by line', () => {
    const first = foldEvents(events.slice(0, 1));
    if (!first.ok) throw new Error('the first line does not fold');
    let now = first.value;
    for (const event of events.slice(1)) {
      const step = passGate(now, event);
      expect(step.ok, `${event.seq} ${event.type} ${event.subject}`).toBe(true);
      if (step.ok) now = step.value.household;
    }
    expect(now).toEqual(household);
  });

  it('teaches how often things are used, and that groups grow', () => {
    const learnt = computeLearntUses(events, household, SAMPLE_NOW_MS);
    expect([...learnt.values()].filter(({ uses }) => uses > 0).length).toBeGreaterThan(60);
    expect(createLearn(household, events, SAMPLE_NOW_MS).ok).toBe(true);
  });
});

describe('Tern Steps', () => {
  const { household, events } = createKitchenHousehold();

  it('is a beginner’s kitchen: about thirty items, a peg field, a cart, a bench and a table that is kept free', () => {
    expect(household.items.size).toBeGreaterThan(27);
    expect(household.items.size).toBeLessThan(37);
    expect(createPlaceTree(household.places).leaves).toHaveLength(5);
    expect(household.settings.wishes?.[0]).toMatchObject({ kind: 'free', placeId: 'k1-u1' });
    expect([...household.lots.values()].some((lot) => lot.placeId === 'k1-u1-s1')).toBe(true);
  });

  it('passes every record class and invariant, and is the fold of its daybook', () => {
    for (const table of ['items', 'lots', 'places'] as const)
      for (const record of household[table].values())
        expect(parseRecord(table, record), `${table} ${record.id}`).toMatchObject({ ok: true });
    expect(parseRecord('settings', household.settings).ok).toBe(true);
    expect(checkInvariants(household)).toEqual([]);
    expect(foldEvents(events)).toEqual({ ok: true, value: household });
  });
});

describe('other households', () => {
  it('grow with the number of lots', () => {
    const { household } = createSampleHousehold(3, 600);
    expect(household.lots.size).toBe(600);
    expect(createPlaceTree(household.places).leaves).toHaveLength(90);
    expect(checkInvariants(household)).toEqual([]);
  });

  it('can begin empty, with a room to measure', () => {
    const { household, events } = createEmptyHousehold();
    expect(checkInvariants(household)).toEqual([]);
    expect(foldEvents(events)).toEqual({ ok: true, value: household });
    expect(household.lots.size).toBe(0);
  });
});
