import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createUnit } from '../../../tests/household.ts';
import type { Change, DaybookEvent, EventId, EventType, Household, Item, Lot } from '../records/index.ts';
import { createGrow } from '../acts/index.ts';
import { applyChanges } from '../daybook/fold.ts';
import { computeGrowth, createLearn } from './index.ts';

const DAY = 86_400_000;
const YEAR = 365.25;
const NOW = 2000 * DAY;

const cotton = (id: string) => createCloth(id);
const wool = (id: string): Item => createCloth(id, { fabric: { ...createCloth('x').fabric!, fibre: 'wool' } });
const cottons = Array.from({ length: 6 }, (_, i) => cotton(`cotton ${i}`));
const wools = Array.from({ length: 6 }, (_, i) => wool(`wool ${i}`));
const lots = [...cottons, ...wools].map((item) => createLot(item, 'case-A1', { lengthMm: 2000 }));
const household = createHousehold(createUnit('case', {}), [...cottons, ...wools], lots);

let seq = 0;
const event = (
  type: EventType,
  daysAgo: number,
  changes: Change[],
  more: Partial<DaybookEvent> = {},
): DaybookEvent => ({
  id: `e${(seq += 1)}` as EventId,
  seq,
  atMs: NOW - daysAgo * DAY,
  type,
  subject: 'x',
  changes,
  ...more,
});
const came = (item: Item, daysAgo: number, lot: Lot = lots.find(({ itemId }) => itemId === item.id)!) =>
  event('received', daysAgo, [{ table: 'lots', id: lot.id, after: { ...lot } }]);
const cutOff = (item: Item, daysAgo: number, fromMm: number, toMm: number) =>
  event('cut', daysAgo, [
    {
      table: 'lots',
      id: lots.find(({ itemId }) => itemId === item.id)!.id,
      before: { lengthMm: fromMm },
      after: { lengthMm: toMm },
    },
  ]);
/** The daybook began so long ago. */
const begun = (daysAgo: number) => event('settingsChanged', daysAgo, []);
const rates = (events: DaybookEvent[], of: Household = household) =>
  Object.fromEntries(computeGrowth(events, of, NOW).map(({ groupId, perYear }) => [groupId, perYear]));

describe('how groups grow', () => {
  it('is what came less what was cut off, in things, believed the less the younger the daybook and the smaller the group', () => {
    const events = [
      begun(3 * YEAR),
      ...[0, 1, 2, 3].map((i) => came(cottons[i]!, 40 * (i + 1))),
      // A quarter of one length, and half of another.
      cutOff(cottons[4]!, 30, 2000, 1500),
      cutOff(cottons[5]!, 20, 2000, 1000),
      // A group that shrinks.
      came(wools[0]!, 100),
      cutOff(wools[1]!, 90, 2000, 200),
      cutOff(wools[2]!, 80, 2000, 200),
    ];
    // 4 − 0.25 − 0.5 things came to six, within a year: 3.25 / (1 + 0.5) / (6 + 4) = 0.2167.
    expect(rates(events)).toEqual({ 'fabric:fibre:cotton': 0.22 });
    // Of a daybook of half a year after its first weeks it is 3.25 / (0.5 + 0.5) / 10.
    expect(rates([begun(YEAR / 2 + 42), ...events.slice(1)])).toEqual({ 'fabric:fibre:cotton': 0.33 });
  });

  it('does not take writing a stash down for growth, nor what is old, taken back or only entered', () => {
    const first = came(cottons[0]!, 50);
    const undone = event('undone', 49, [], { undoes: [first.id] });
    expect(rates([begun(YEAR), first, undone])).toEqual({});
    expect(rates([begun(3 * YEAR), ...cottons.map((item) => came(item, 1.5 * YEAR))])).toEqual({});
    // In the first weeks, and twelve on one day.
    expect(rates([begun(41), ...cottons.map((item, i) => came(item, i + 1))])).toEqual({});
    expect(rates([begun(YEAR), ...[...cottons, ...wools].map((item) => came(item, 10))])).toEqual({});
  });

  it('counts what went for good as what it was', () => {
    const gone = wool('gone');
    const lot = createLot(gone, null, { lengthMm: 500 });
    const went = event('gaveAway', 10, [
      { table: 'items', id: gone.id, before: { ...gone } },
      { table: 'lots', id: lot.id, before: { ...lot } },
    ]);
    const events = [begun(3 * YEAR), came(wools[0]!, 100), came(wools[1]!, 90), came(wools[2]!, 80)];
    // Three of six came, and one that is no more went.
    expect(rates(events)).toEqual({ 'fabric:fibre:wool': 0.2 });
    expect(rates([...events, went])).toEqual({ 'fabric:fibre:wool': 0.13 });
    // Given away, and kept on record: one of three that came went again.
    const given = { ...household, lots: new Map(household.lots).set(lots[6]!.id, { ...lots[6]!, state: 'gone' }) };
    const gave = event('gaveAway', 10, [
      { table: 'lots', id: lots[6]!.id, before: { state: 'in', placeId: 'case-A1' }, after: { state: 'gone' } },
    ]);
    // 2 / 1.5 / (5 + 4).
    expect(rates([...events, gave], given as Household)).toEqual({ 'fabric:fibre:wool': 0.15 });
  });

  it('is kept before a search, but for what the sewist says', () => {
    const events = [begun(3 * YEAR), ...[0, 1, 2, 3].map((i) => came(cottons[i]!, 40 * (i + 1)))];
    const apply = (of: Household, act: ReturnType<typeof createGrow>) => {
      if (!act.ok) throw new Error(act.fault.code);
      const next = applyChanges(of, act.value.changes);
      if (!next.ok) throw new Error(JSON.stringify(next.fault));
      return next.value;
    };
    const learnt = apply(household, createLearn(household, events, NOW));
    expect(learnt.settings.growth).toEqual([{ groupId: 'fabric:fibre:cotton', perYear: 0.27, isSaid: false }]);
    expect(createLearn(learnt, events, NOW).ok).toBe(false);
    const said = apply(learnt, createGrow(learnt, 'fabric:fibre:cotton', 0));
    expect(createLearn(said, events, NOW).ok).toBe(false);
    expect(said.settings.growth).toEqual([{ groupId: 'fabric:fibre:cotton', perYear: 0, isSaid: true }]);
    const asked = apply(said, createGrow(said, 'fabric:fibre:cotton', null));
    expect(apply(asked, createLearn(asked, events, NOW)).settings.growth?.[0]?.perYear).toBe(0.27);
    // When nothing came for long it is forgotten.
    expect(apply(learnt, createLearn(learnt, [], NOW)).settings.growth).toBeUndefined();
  });
});
