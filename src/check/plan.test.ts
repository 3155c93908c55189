import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../tests/household.ts';
import type { Assignment, Household, Item, LotId, PlaceId, Settings, SlotSpec } from '../core/records/index.ts';
import { checkPlan, type CheckedSpot } from './index.ts';

/** Two boxes of 100 × 50 × 40 mm, 200 g each, in one place; every test breaks one thing. */
const a = createThing('a', { forms: ['box', 'peg'] });
const b = createThing('b', { forms: ['box', 'peg'] });
const assign = (item: Item, order: number, placeId = 'cube-A1'): Assignment => ({
  lotId: `lot-${item.id}` as LotId,
  placeId: placeId as PlaceId,
  form: 'box',
  order,
});
const spot = (index: number, xMm: number, over: Partial<CheckedSpot> = {}): CheckedSpot => ({
  index,
  piece: 0,
  xMm,
  yMm: 0,
  zMm: 0,
  widthMm: 100,
  depthMm: 50,
  heightMm: 40,
  isBulk: false,
  ...over,
});

interface Case {
  readonly items?: readonly Item[];
  readonly slot?: Partial<SlotSpec>;
  readonly unit?: Parameters<typeof createUnit>[1];
  readonly settings?: Partial<Settings>;
  readonly assignments?: readonly Assignment[];
  readonly unplaced?: readonly LotId[];
  readonly spots?: readonly CheckedSpot[];
  readonly placeId?: string;
}
function check(change: Case): string[] {
  const items = change.items ?? [a, b];
  const household: Household = createHousehold(
    createUnit('cube', change.unit ?? {}, change.slot),
    items,
    items.map((item) => createLot(item)),
    change.settings,
  );
  const plan = {
    assignments: change.assignments ?? [assign(a, 0), assign(b, 1)],
    unplaced: (change.unplaced ?? []).map((lotId) => ({ lotId, reason: { code: 'full' } })),
  };
  const spots = new Map([[(change.placeId ?? 'cube-A1') as PlaceId, change.spots ?? [spot(0, 0), spot(1, 100)]]]);
  const { findings, tests } = checkPlan(household, plan, spots);
  expect(tests).toBeGreaterThan(0);
  return [...new Set(findings.map((finding) => finding.rule))];
}
const careful = (care: Item['care']) => [{ ...a, care }, b];

describe('a good plan', () => {
  it('has no findings', () => expect(check({})).toEqual([]));

  it('may leave things without a home, if it says so', () =>
    expect(check({ assignments: [assign(a, 0)], unplaced: ['lot-b' as LotId], spots: [spot(0, 0)] })).toEqual([]));

  it('may stack boxes in a bin on what carries them', () =>
    expect(check({ slot: { mode: 'volume' }, spots: [spot(0, 0), spot(1, 0, { zMm: 40 })] })).toEqual([]));

  it('may lay a box on its side in a bin', () =>
    expect(
      check({ slot: { mode: 'volume' }, spots: [spot(0, 0, { depthMm: 40, heightMm: 50 }), spot(1, 100)] }),
    ).toEqual([]));
});

describe('a plan is caught that', () => {
  it.each<[string, Case, string]>([
    ['forgets a lot', { assignments: [assign(a, 0)], spots: [spot(0, 0)] }, 'complete'],
    ['names a lot twice', { assignments: [assign(a, 0), assign(b, 1), assign(a, 2)] }, 'complete'],
    ['both places and does not place a lot', { unplaced: ['lot-a' as LotId] }, 'complete'],
    ['names a lot that is not there', { unplaced: ['ghost' as LotId] }, 'complete'],
    ['uses a unit as a place', { assignments: [assign(a, 0, 'cube'), assign(b, 1)], spots: [spot(0, 0)] }, 'place'],
    ['uses a form that the thing does not allow', { items: [{ ...a, forms: ['peg'] }, b] }, 'form'],
    ['lets something stick out', { spots: [spot(0, -1), spot(1, 100)] }, 'inside'],
    ['lets something stick out at the back', { spots: [spot(0, 0), spot(1, 100, { yMm: 320 })] }, 'inside'],
    ['puts a second row behind the first', { spots: [spot(0, 0), spot(1, 0, { yMm: 50 })] }, 'inside'],
    ['lets two things overlap', { spots: [spot(0, 0), spot(1, 99)] }, 'overlap'],
    ['lets something float', { slot: { mode: 'volume' }, spots: [spot(0, 0), spot(1, 100, { zMm: 40 })] }, 'support'],
    [
      'lets something hang over by more than a third',
      { slot: { mode: 'volume' }, spots: [spot(0, 0), spot(1, 40, { zMm: 40 })] },
      'support',
    ],
    ['draws a thing smaller than it is', { spots: [spot(0, 0, { widthMm: 90 }), spot(1, 100)] }, 'size'],
    ['tips over what must stand', { spots: [spot(0, 0, { heightMm: 100, widthMm: 40 }), spot(1, 100)] }, 'size'],
    ['loses a piece', { spots: [spot(0, 0)] }, 'size'],
    [
      'packs a hard thing as soft',
      { slot: { mode: 'volume' }, spots: [spot(0, 0, { isBulk: true }), spot(1, 0)] },
      'size',
    ],
    ['overloads a place', { slot: { loadG: 300 } }, 'load'],
    ['overloads a unit', { unit: { loadG: 300 } }, 'load'],
    ['leaves a blade to children', { items: careful(['sharp']), settings: { hasChildren: true } }, 'household'],
    ['leaves small parts to children', { items: careful(['smallPart']), settings: { hasChildren: true } }, 'household'],
    ['leaves an iron to children', { items: careful(['hot']), settings: { hasChildren: true } }, 'household'],
    ['leaves glue to children', { items: careful(['liquid']), settings: { hasChildren: true } }, 'household'],
    ['lays in the sun what must not see it', { items: careful(['noSun']), slot: { light: 'sun' } }, 'household'],
    ['lays what burns next to heat', { items: careful(['flammable']), slot: { isNearHeat: true } }, 'household'],
  ])('%s', (_, change, rule) => expect(check(change)).toContain(rule));

  it('leaves things on a heap', () => {
    const size = { widthMm: 400, heightMm: 400, depthMm: 400, boardMm: 0 };
    const heap = createUnit('Haufen', { kind: 'floor', ...size, isHeap: true });
    const household = createHousehold(heap, [a], [createLot(a)]);
    const plan = { assignments: [assign(a, 0, 'Haufen-Floor')], unplaced: [] };
    const { findings } = checkPlan(household, plan, new Map([['Haufen-Floor' as PlaceId, [spot(0, 0)]]]));
    expect(findings.map(({ rule }) => rule)).toEqual(['household']);
  });
});

describe('what is safe is not reported', () => {
  it.each<[string, Case]>([
    ['a blade in a house without children', { items: careful(['sharp']) }],
    ['a blade high up', { items: careful(['sharp']), settings: { hasChildren: true }, unit: { yMm: 1500 } }],
    [
      'a blade locked away',
      { items: careful(['sharp']), settings: { hasChildren: true }, slot: { isChildSafe: true } },
    ],
    ['what fades, in daylight', { items: careful(['noSun']), slot: { light: 'day' } }],
  ])('%s', (_, change) => expect(check(change)).toEqual([]));
});

describe('a pegboard', () => {
  const unit = { kind: 'pegboard', widthMm: 254, heightMm: 254, depthMm: 12, boardMm: 0, yMm: 1000 } as const;
  // 40 mm wide, 100 long, 18 thick. Hole 10 mm below its top, on the middle of the second column's cell.
  const ruler = createThing('a', {
    forms: ['peg'],
    box: { type: 'measuring', widthMm: 18, depthMm: 40, heightMm: 100, massG: 90, isSoft: false, hangHoleMm: 6 },
  });
  const hung = spot(0, 38.1 - 20, { zMm: 254 - 12.7 + 10 - 100, widthMm: 40, depthMm: 18, heightMm: 100 });
  const board = (change: Case): string[] =>
    check({
      items: [ruler],
      unit,
      assignments: [{ ...assign(ruler, 0, 'cube-Board'), form: 'peg' }],
      placeId: 'cube-Board',
      spots: [hung],
      ...change,
    });

  it('holds what hangs on its holes', () => expect(board({})).toEqual([]));
  it('catches a hook between the holes', () =>
    expect(board({ spots: [{ ...hung, xMm: hung.xMm + 5 }] })).toEqual(['hook']));
  it('catches what is too heavy for a hook', () =>
    expect(board({ items: [{ ...ruler, box: { ...ruler.box!, massG: 1600 } }] })).toContain('load'));
  it('catches what is thicker than the hook is long', () => {
    const thick = { ...ruler, box: { ...ruler.box!, widthMm: 39, depthMm: 40 } };
    const peg = { pitchMm: 25.4, wireMm: 4, projectionMm: 30, hookLoadG: 1500 };
    expect(board({ items: [thick], slot: { peg }, spots: [{ ...hung, depthMm: 39 }] })).toContain('hook');
  });
});

describe('soft goods', () => {
  const soft = createCloth('a', { forms: ['loose'] });
  const pile = spot(0, 0, { isBulk: true, widthMm: 350, depthMm: 350, heightMm: 20 });
  const bin = (lengthMm: number): string[] => {
    const household = createHousehold(
      createUnit('cube', {}, { mode: 'volume' }),
      [soft],
      [createLot(soft, null, { lengthMm })],
    );
    const plan = { assignments: [{ ...assign(soft, 0), form: 'loose' as const }], unplaced: [] };
    return checkPlan(household, plan, new Map([['cube-A1' as PlaceId, [pile]]])).findings.map((one) => one.rule);
  };

  it('fill three quarters of a bin and no more', () => {
    // 350 × 350 × 350 mm = 42.875 l, of which 32.16 l: 32.1 m of cloth 1 m wide and 1 mm thick.
    expect(bin(32_100)).toEqual([]);
    expect(bin(32_300)).toEqual(['volume']);
  });
});
