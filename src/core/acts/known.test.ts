import { describe, expect, it } from 'vitest';
import { after } from '../../../tests/acts.ts';
import {
  createCloth,
  createHousehold,
  createLot,
  createSpool,
  createThing,
  createUnit,
} from '../../../tests/household.ts';
import { computeMonthFlows, type Draft } from '../daybook/index.ts';
import { listMonths } from '../daybook/tally.ts';
import { computeStock } from '../measure/index.ts';
import { addMonths } from '../catalog/sketch.ts';
import { computeLearntUses } from '../learning/index.ts';
import {
  NO_PARTS,
  createLotAlike,
  type DaybookEvent,
  type EventId,
  type ItemId,
  type LotId,
  type PlaceId,
  type Plan,
  type PlanId,
} from '../records/index.ts';
import { createAdopt, createMeasure, createPick, createRemoveItem, createReserve, createWish } from './index.ts';

/** Faults that were found once; each stands here with what showed it. */
const cloth = createCloth('cloth');
const scrap = createCloth('bits', { kind: 'scrap', forms: ['loose'], scrap: { cut: 'odd', parentItemId: cloth.id } });
const tool = createThing('tool');
const spools = createSpool('spools');
const places = createUnit('cube', { columns: 2, widthMm: 748 });
const start = createHousehold(
  places,
  [cloth, scrap, tool, spools],
  [
    createLot(cloth, 'cube-A1'),
    createLot(scrap, null, { areaMm2: 1e6, form: 'loose', homeForm: 'loose' }),
    createLot(tool, 'cube-A1'),
    createLot(spools, 'cube-B1', { count: 4 }),
  ],
);
const CLOTH = 'lot-cloth' as LotId;
const TOOL = 'lot-tool' as LotId;

describe('a cloth that is taken out of the catalogue', () => {
  it('releases the scraps that were cut from it, and what was asked for it', () => {
    const asked = after(
      start,
      (now) => createPick(now, [CLOTH], 'fabric:fibre:linen'),
      (now) => createWish(now, { id: 'w1', kind: 'stays', lotIds: [CLOTH], groupIds: [] }),
      (now) => createWish(now, { id: 'w2', kind: 'together', lotIds: [CLOTH, TOOL], groupIds: [] }),
    );
    const without = after(asked, (now) => createRemoveItem(now, cloth, 5));
    expect(without.items.get(scrap.id)!.scrap).toEqual({ cut: 'odd' });
    expect(without.settings.handPicks).toEqual([]);
    expect(without.settings.wishes).toEqual([{ id: 'w2', kind: 'together', lotIds: [TOOL], groupIds: [] }]);
  });
});

describe('adopting', () => {
  it('keeps the home of what came after the plan was made', () => {
    const score = { unplacedWeight: 0, cautions: 0, seconds: 0, parts: NO_PARTS };
    const plan: Plan = {
      id: 'p' as PlanId,
      madeAtMs: 1,
      seed: 1,
      steps: 1,
      inputsHash: '',
      score,
      before: score,
      assignments: [{ lotId: TOOL, placeId: 'cube-B1' as PlaceId, form: 'box', order: 0 }],
      unplaced: [{ lotId: 'lot-spools' as LotId, reason: { code: 'nowhere' } }],
    };
    const adopted = after(start, (now) => createAdopt(now, plan, 'plan', 2));
    expect(adopted.lots.get(TOOL)!.homeId).toBe('cube-B1');
    expect(adopted.lots.get(CLOTH)!.homeId).toBe('cube-A1');
    expect(adopted.lots.get('lot-spools' as LotId)).not.toHaveProperty('homeId');
  });
});

describe('thread that went by spools and is measured', () => {
  it('promises the same share of it by length', () => {
    const id = 'lot-spools' as LotId;
    const promised = after(start, (now) =>
      createReserve(now, id, { id: 'r', forWhat: 'a coat', note: '', amount: 2 }, 1),
    );
    const measured = { value: 800_000, sigma: 1000, way: 'weight', unit: 'length' } as const;
    const told = after(promised, (now) => createMeasure(now, id, measured, 2));
    expect(told.lots.get(id)!.reserved![0]!.amount).toBe(400_000);
  });
});

describe('as much again of what is missing', () => {
  it('is not missing, nor lent', () => {
    const lot = { ...createLot(tool), away: 'missing' as const, lentTo: 'a friend' };
    const alike = createLotAlike('again' as LotId, lot, 9);
    expect(alike).not.toHaveProperty('away');
    expect(alike).not.toHaveProperty('lentTo');
  });
});

describe('the calendar', () => {
  it('ends a month that is shorter where it ends', () => {
    expect(addMonths(new Date(2026, 7, 31, 12).getTime(), 6)).toBe('2027-02-28');
    expect(addMonths(new Date(2026, 0, 15, 23, 30).getTime(), 1)).toBe('2026-02-15');
    expect(listMonths(3, new Date(2027, 0, 31, 23, 30).getTime())).toEqual(['2026-11', '2026-12', '2027-01']);
  });

  it('counts a cut late on the last evening in that month', () => {
    const atMs = new Date(2026, 9, 31, 23, 30).getTime();
    const cut: DaybookEvent = {
      id: 'e' as EventId,
      seq: 1,
      atMs,
      type: 'cut',
      subject: '',
      changes: [{ table: 'lots', id: CLOTH, before: { lengthMm: 2000 }, after: { lengthMm: 1500 } }],
    };
    const [october] = computeMonthFlows([cut], start, 1, atMs);
    expect(october).toEqual({ month: '2026-10', inMm: 0, outMm: 500 });
  });
});

describe('uses that are learnt', () => {
  it('do not rise because a thing was removed and that was taken back', () => {
    const day = 86_400_000;
    let seq = 0;
    const event = (type: DaybookEvent['type'], days: number, changes: Draft['changes']): DaybookEvent => {
      seq += 1;
      return { id: `e${seq}` as EventId, seq, atMs: days * day, type, subject: '', changes: [...changes] };
    };
    const came = event('received', 0, [{ table: 'items', id: 'tool', after: { id: 'tool' } }]);
    const uses = [10, 40, 70, 99].map((at) =>
      event('tookOut', at, [{ table: 'lots', id: TOOL, before: {}, after: {} }]),
    );
    const gone = event('removed', 98, [{ table: 'items', id: 'tool', before: { id: 'tool' } }]);
    const back: DaybookEvent = {
      ...event('undone', 98.5, [{ table: 'items', id: 'tool', after: { id: 'tool' } }]),
      undoes: [gone.id],
    };
    const learn = (events: DaybookEvent[]) =>
      computeLearntUses(events, start, 100 * day).get('tool' as ItemId)!.perMonth;
    expect(learn([came, ...uses, gone, back])).toBe(learn([came, ...uses]));
  });
});

describe('a mark to buy again', () => {
  it('of five spools is still five spools when one lot of them is measured', () => {
    const marked = { ...start, items: new Map(start.items).set(spools.id, { ...spools, restockBelow: 5 }) };
    const lot = [...start.lots.values()].find((one) => one.itemId === spools.id)!;
    // Four spools of 250 m each.
    const measured = { value: 1_000_000, sigma: 1000, way: 'weight', unit: 'length' } as const;
    const next = after(marked, (now) => createMeasure(now, lot.id, measured, 5));
    expect(next.items.get(spools.id)!.restockBelow).toBeCloseTo(1_250_000, 6);
    const lots = [next.lots.get(lot.id)!];
    expect(computeStock(next.items.get(spools.id)!, lots)).toEqual({ amount: 1_000_000, unit: 'length' });
    // Measured again, the mark stays.
    const again = after(next, (now) => createMeasure(now, lot.id, { ...measured, value: 900_000 }, 6));
    expect(again.items.get(spools.id)!.restockBelow).toBeCloseTo(1_250_000, 6);
  });
});
