import { describe, expect, it } from 'vitest';
import { createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { createChronicle } from '../../sample/index.ts';
import { createTakeOut } from '../acts/index.ts';
import { passGate, passWhole, stampEvent } from '../daybook/index.ts';
import type { Chronicle, EventId, LotId } from '../records/index.ts';
import { createMended, listMends, salvage, type RawHousehold } from './index.ts';

type Fields = Record<string, unknown>;
const STAMP = { id: 'mended' as EventId, atMs: 1 };
const tool = createThing('tool');
const ham = createThing('ham');
const start = createChronicle(
  createHousehold(
    [...createUnit('cube', {}), ...createUnit('rack', { xMm: 1000 })],
    [tool, ham],
    [createLot(tool, 'cube-A1'), createLot(ham, 'rack-A1')],
  ),
);
const TOOL = 'lot-tool' as LotId;

const toRaw = ({ household, events }: Chronicle): RawHousehold =>
  structuredClone({
    settings: household.settings,
    places: [...household.places.values()],
    items: [...household.items.values()],
    lots: [...household.lots.values()],
    plans: [...household.plans.values()],
    projects: [...household.projects.values()],
    events,
  });
const spoil = (raw: RawHousehold, table: 'places' | 'items' | 'lots', id: string, change: Fields): RawHousehold => ({
  ...raw,
  [table]: (raw[table] as Fields[]).map((one) => (one['id'] === id ? { ...one, ...change } : one)),
});
const open = (raw: RawHousehold) => {
  const saved = salvage(raw, STAMP);
  if (!saved) throw new Error('nothing could be read');
  return saved;
};
const put = ({ household, events }: Chronicle, mend: ReturnType<typeof listMends>[number]) => {
  const draft = createMended(household, mend.records!);
  if (!draft.ok) throw new Error(draft.fault.code);
  const event = stampEvent(draft.value, events.length, { nowMs: () => 2, createId: () => `put-${events.length}` });
  const passed = passGate(household, event);
  if (!passed.ok) throw new Error(JSON.stringify(passed.fault));
  return { household: passed.value.household, events: [...events, event] };
};

describe('a piece of furniture that does not read', () => {
  const { chronicle, apart } = open(spoil(toRaw(start), 'places', 'cube', { order: -1 }));

  it('is apart with its compartments, and what lay in them lies out; all else is as it was', () => {
    expect(apart.map(({ table, id }) => `${table} ${id}`)).toEqual(['places cube', 'places cube-A1', 'lots lot-tool']);
    expect(chronicle.household.lots.get(TOOL)).toMatchObject({ state: 'out' });
    expect(chronicle.household.lots.get('lot-ham' as LotId)).toEqual(start.household.lots.get('lot-ham' as LotId));
  });

  it('is told in the words of who opened it, wherever it is read', () => {
    expect(chronicle.events.at(-1)).toMatchObject({ type: 'mended', subject: 'what could be read' });
    const raw = spoil(toRaw(start), 'places', 'cube', { order: -1 });
    const german = salvage(raw, { ...STAMP, subject: 'was lesbar war' });
    expect(german?.chronicle.events.at(-1)).toMatchObject({ subject: 'was lesbar war' });
  });

  it('comes back whole: the compartments, and what lay in them', () => {
    const [mend, ...more] = listMends(apart);
    expect(more).toEqual([]);
    expect(mend).toMatchObject({ of: { id: 'cube' }, proposals: [{ path: 'order', is: -1, nearest: 0 }] });
    const back = put(chronicle, mend!);
    expect(back.household).toEqual(start.household);
    expect(passWhole(back).ok).toBe(true);
  });

  it('leaves alone what was given another place meanwhile', () => {
    const { household, events } = chronicle;
    const lot = household.lots.get(TOOL)!;
    const lots = new Map(household.lots).set(TOOL, { ...lot, state: 'in', placeId: 'rack-A1' as never });
    const back = put({ household: { ...household, lots }, events }, listMends(apart)[0]!);
    expect(back.household.places.has('cube-A1' as never)).toBe(true);
    expect(back.household.lots.get(TOOL)).toMatchObject({ placeId: 'rack-A1' });
  });
});

describe('a thing and its shelf that both do not read', () => {
  it.each([
    ['cube', 'tool'],
    ['tool', 'cube'],
  ])('come back one after the other, %s first', (first, second) => {
    const raw = spoil(spoil(toRaw(start), 'places', 'cube', { order: -1 }), 'items', 'tool', { usesPerMonth: -5 });
    const { chronicle, apart } = open(raw);
    const mend = (id: string, of: typeof apart) => listMends(of).find((one) => one.of.id === id)!;
    const one = mend(first, apart);
    const left = apart.filter((other) => other !== one.of && !one.others.includes(other));
    const back = put(put(chronicle, one), mend(second, left));
    expect(back.household.lots).toEqual(start.household.lots);
    expect([...back.household.places.keys()].toSorted()).toEqual([...start.household.places.keys()].toSorted());
  });
});

describe('a daybook', () => {
  const act = createTakeOut(start.household, TOOL, 5);
  if (!act.ok) throw new Error(act.fault.code);
  const line = stampEvent(act.value, 1, { nowMs: () => 5, createId: () => 'e1' });
  const lived = { household: start.household, events: [...start.events, line] };

  it('keeps its lines where a record differs from them, and a last one says so', () => {
    const { chronicle, apart } = open(toRaw(lived));
    expect(apart).toEqual([]);
    expect(chronicle.events.map((event) => event.type)).toEqual(['catalogued', 'tookOut', 'mended']);
    expect(chronicle.household).toEqual(start.household);
  });

  it('keeps those before a line that does not follow, and sets the others apart', () => {
    const wrong = { ...line, changes: [{ ...line.changes[0]!, before: { state: 'lent' } }] };
    const { chronicle, apart } = open(toRaw({ ...lived, events: [...start.events, wrong] }));
    expect(chronicle.events.map((event) => event.type)).toEqual(['catalogued']);
    expect(apart).toMatchObject([{ table: 'events', id: 'e1', raw: wrong }]);
  });

  it('brings the settings whole again where they did not read', () => {
    const raw = toRaw(lived);
    const { chronicle, apart } = open({ ...raw, settings: { ...(raw.settings as Fields), statureMm: 1 } });
    expect(chronicle.household.settings).toEqual({ ...start.household.settings, statureMm: 1680 });
    expect(apart).toMatchObject([{ table: 'settings' }]);
    expect(listMends(apart)[0]!.proposals).toEqual([{ path: 'statureMm', is: 1, nearest: 800 }]);
  });
});
