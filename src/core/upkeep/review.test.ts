import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import type { Change, DaybookEvent, EventId, EventType, Household, Item, Lot } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { listDue, listReview, takeSitting, type ReviewEntry } from './index.ts';

const DAY_MS = 86_400_000;
const NOW = Date.UTC(2026, 10, 30, 12);
const ago = (months: number) => NOW - Math.round((months + 0.01) * (365.25 / 12) * DAY_MS);

const linen = createCloth('linen', { colours: ['#c8b99a'] });
const wool = createCloth('wool', { colours: ['#3a2c2a'], fabric: { ...createCloth('x').fabric!, fibre: 'wool' } });
const glue = createThing('glue', {
  kind: 'notion',
  box: { type: 'glue', widthMm: 50, depthMm: 50, heightMm: 160, massG: 150, isSoft: false },
});
const veil = createCloth('veil', { care: ['heirloom'], colours: ['#ffffff'] });
const shears = createThing('shears');

let seq = 0;
const event = (type: EventType, atMs: number, lot: Lot, change: Partial<Change> = {}): DaybookEvent => ({
  id: `e${(seq += 1)}` as EventId,
  seq,
  atMs,
  type,
  subject: 'x',
  changes: [{ table: 'lots', id: lot.id, before: {}, after: {}, ...change }],
});
const came = (lot: Lot, atMs: number) => {
  const { before: _, ...bare } = event('received', atMs, lot).changes[0]!;
  return { ...event('received', atMs, lot), changes: [{ ...bare, after: { ...lot } }] };
};

function build(
  items: Item[],
  lots: Lot[],
): { household: Household; review: (events: DaybookEvent[]) => ReviewEntry[] } {
  const household = createHousehold(createUnit('case', { widthMm: 1000, heightMm: 1000 }), items, lots);
  const tree = createPlaceTree(household.places);
  return { household, review: (events) => listReview(household, events, tree, NOW) };
}
const codes = (entries: ReviewEntry[]) =>
  Object.fromEntries(entries.map(({ item, reasons }) => [item.id, reasons.map(({ code }) => code)]));

describe('the going-through', () => {
  const at = { homeId: 'case-A1' as Lot['homeId'] };
  const old = createLot(linen, 'case-A1', { ...at, lengthMm: 3000, sinceMs: ago(40) } as Partial<Lot>);
  const used = createLot(wool, 'case-A1', { ...at, lengthMm: 3000, sinceMs: ago(40) } as Partial<Lot>);
  const tool = createLot(shears, 'case-A1', { ...at, sinceMs: ago(20) } as Partial<Lot>);

  it('takes cloth after a year and other things after two, counted from their last use', () => {
    const { review } = build([linen, wool, shears], [old, used, tool]);
    const events = [came(old, ago(40)), came(used, ago(40)), came(tool, ago(20)), event('tookOut', ago(3), used)];
    expect(codes(review(events))).toEqual({ linen: ['unused'] });
    expect(review(events)[0]!.reasons[0]).toMatchObject({ months: 40 });
    // Carried and counted is not used; and what was taken back was not.
    const carried = [...events.slice(0, 3), event('carried', ago(1), old), event('counted', ago(1), used)];
    expect(Object.keys(codes(review(carried)))).toEqual(expect.arrayContaining(['linen', 'wool']));
  });

  it('leaves in peace what was gone through, what is promised, and what leaves already', () => {
    const looked = { ...old, lookedAtMs: ago(2) };
    const promised = { ...used, reserved: [{ id: 'r', forWhat: 'a cap', note: '', amount: 100 }] };
    const leaving = { ...tool, sinceMs: ago(50), leaving: { toWhom: 'Oda' } };
    const { review } = build([linen, wool, shears], [looked, promised, leaving]);
    expect(review([])).toEqual([]);
    const later = build([linen], [{ ...old, lookedAtMs: ago(13) }]);
    expect(later.review([])[0]!.reasons).toEqual([{ code: 'unused', months: 13 }]);
  });

  it('takes what is past its day first, heirlooms to air, and one of two alike', () => {
    const bad = createLot(glue, 'case-A1', { ...at, expiresOn: '2026-11-01', sinceMs: ago(5) } as Partial<Lot>);
    const opened = createLot({ ...glue, id: 'glue-2' as Item['id'] }, 'case-A1', {
      ...at,
      openedOn: '2025-01-01',
      sinceMs: ago(5),
    } as Partial<Lot>);
    const aired = createLot(veil, 'case-A1', { ...at, lengthMm: 2000, sinceMs: ago(14) } as Partial<Lot>);
    const twin = createCloth('linen-2', { name: 'linen', colours: ['#c8b99a'] });
    const other = createLot(twin, 'case-A1', { ...at, lengthMm: 1000, sinceMs: ago(2) } as Partial<Lot>);
    const first = { ...old, sinceMs: ago(3) };
    const { review } = build(
      [glue, { ...glue, id: 'glue-2' as Item['id'], name: 'Other pot' }, veil, linen, twin],
      [bad, opened, aired, other, first],
    );
    const found = review([]);
    expect(codes(found)).toMatchObject({ glue: ['expired'], 'glue-2': ['dried'], veil: ['air'], linen: ['twin'] });
    expect(
      found
        .slice(0, 2)
        .map(({ item }) => item.id)
        .toSorted(),
    ).toEqual(['glue', 'glue-2']);
    expect(codes(found)).not.toHaveProperty('linen-2');
  });

  it('goes by what the room costs: litres at hand times months', () => {
    const much = createLot(wool, 'case-A1', { ...at, lengthMm: 9000, sinceMs: ago(30) } as Partial<Lot>);
    const little = createLot(linen, 'case-A1', { ...at, lengthMm: 500, sinceMs: ago(31) } as Partial<Lot>);
    const { review } = build([linen, wool], [much, little]);
    const [first, second] = review([]);
    expect([first!.item.id, second!.item.id]).toEqual(['wool', 'linen']);
    expect(first!.rent).toBeGreaterThan(second!.rent);
  });

  it('goes into a quarter of an hour at one’s own pace', () => {
    const entries = Array.from({ length: 200 }, (_, n) => ({ rent: n }) as ReviewEntry);
    expect(takeSitting(entries, 15)).toHaveLength(100);
    expect(takeSitting(entries, 15, 30)).toHaveLength(30);
    expect(takeSitting(entries, 15, 1e9)).toHaveLength(1);
    expect(takeSitting([], 15)).toEqual([]);
  });
});

describe('what comes round', () => {
  const machine = createThing('machine', { kind: 'other' });
  const chores: Lot['chores'] = [
    { id: 'oil', work: 'oil', everyHours: 8, doneAtMs: NOW, hours: 9 },
    { id: 'service', work: 'service', everyDays: 365, everyHours: 100, doneAtMs: NOW - 355 * DAY_MS, hours: 20 },
    { id: 'lint', work: 'lint', everyHours: 8, doneAtMs: NOW, hours: 2 },
  ];
  const household = createHousehold(
    createUnit('case', {}),
    [machine, linen, glue, shears],
    [
      createLot(machine, 'case-A1', { chores }),
      createLot(linen, null, { lengthMm: 3000, isWashed: false, leaving: { toWhom: 'Oda', by: '2026-12-10' } }),
      createLot(glue, 'case-A1', { openedOn: '2025-06-15' }),
      createLot(shears, null, { state: 'lent', lentTo: 'Oda', dueBackOn: '2099-01-01' }),
    ],
  );

  it('is told until a day, what is due now first', () => {
    const due = listDue(household, NOW, '2026-12-31');
    expect(due.map(({ code, on }) => [code, on])).toEqual([
      ['chore', null],
      ['wash', null],
      ['chore', '2026-12-10'],
      ['leaves', '2026-12-10'],
      // Glue keeps a year and a half.
      ['expires', '2026-12-15'],
    ]);
    expect(listDue(household, NOW, '2099-12-31').at(-1)).toMatchObject({ code: 'back', on: '2099-01-01' });
  });

  it('knows the turns of the seasons, of this year or the next', () => {
    const season = {
      id: 's',
      name: 'Winter cloth',
      groupIds: [],
      tag: 'winter',
      awayPlaceId: 'case' as never,
      goesOn: '04-15',
      comesOn: '12-01',
    };
    const with2 = { ...household, settings: { ...household.settings, seasons: [season] } };
    const turns = listDue(with2, NOW, '2027-12-31').filter(({ code }) => code === 'season');
    expect(turns.map(({ on, ...one }) => [on, one.code === 'season' && one.way])).toEqual([
      ['2026-12-01', 'comes'],
      ['2027-04-15', 'goes'],
    ]);
  });

  it('tells of what is below its mark, once a thing', () => {
    const low = { ...glue, restockBelow: 3 };
    const some = createHousehold(
      [],
      [low],
      [createLot(low, null, {}), { ...createLot(low, null, {}), id: 'two' as Lot['id'] }],
    );
    expect(listDue(some, NOW, '2026-12-01').map(({ code }) => code)).toEqual(['restock']);
  });
});
