import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createSpool } from '../../../tests/household.ts';
import type { DaybookEvent, EventId } from '../records/index.ts';
import { computeMonthFlows } from './index.ts';

const cloth = createCloth('cloth');
const thread = createSpool('thread');
const household = createHousehold([], [cloth, thread], [createLot(cloth), createLot(thread)]);
let seq = 0;
function event(
  month: string,
  type: DaybookEvent['type'],
  id: string,
  before: object | null,
  after: object | null,
  more: object = {},
): DaybookEvent {
  seq += 1;
  const change = {
    table: 'lots',
    id,
    ...(before && { before }),
    ...(after && { after }),
  } as DaybookEvent['changes'][number];
  return {
    id: `e${seq}` as EventId,
    seq,
    atMs: Date.parse(`${month}-15T12:00:00`),
    type,
    subject: '',
    changes: [change],
    ...more,
  };
}
const GIVEN = { amount: 2000, amountUnit: 'length' };
const lot = (lengthMm: number) => ({ itemId: 'cloth', lengthMm });

describe('cloth in and out by month', () => {
  const received = event('2026-09', 'received', 'lot-cloth', null, lot(5000));
  const cut = event('2026-10', 'cut', 'lot-cloth', { lengthMm: 5000 }, { lengthMm: 3800 });
  const slip = event('2026-10', 'cut', 'lot-cloth', { lengthMm: 3800 }, { lengthMm: 800 });
  const events = [
    event('2026-09', 'catalogued', 'lot-cloth', null, lot(90_000)),
    received,
    cut,
    slip,
    event('2026-11', 'undone', 'lot-cloth', { lengthMm: 800 }, { lengthMm: 3800 }, { undoes: [slip.id] }),
    event('2026-11', 'tookOut', 'lot-cloth', { state: 'in' }, { state: 'out' }),
    event('2026-11', 'measured', 'lot-thread', {}, { lengthMm: 400_000 }),
    // 3.80 m cut and 1.15 m less than was thought: only what was cut went out.
    event('2026-11', 'measured', 'lot-cloth', { lengthMm: 3800 }, { lengthMm: 2650 }),
    event('2026-11', 'changed', 'lot-cloth', { lengthMm: 2650 }, { lengthMm: 2000 }),
    event('2026-11', 'gaveAway', 'lot-cloth', { state: 'out' }, { state: 'gone' }, GIVEN),
    event('2026-11', 'removed', 'other', { itemId: 'gone', lengthMm: 700 }, null),
    event('2020-01', 'received', 'lot-cloth', null, lot(1)),
  ];

  it('adds up what was received and cut, without what was undone, was there at first, or is no cloth', () => {
    expect(computeMonthFlows(events, household, 3, Date.parse('2026-11-25T00:00:00'))).toEqual([
      { month: '2026-09', inMm: 5000, outMm: 0 },
      { month: '2026-10', inMm: 0, outMm: 1200 },
      { month: '2026-11', inMm: 0, outMm: 2700 },
    ]);
  });

  it('counts months back over the turn of a year, from the last day too', () => {
    expect(computeMonthFlows([], household, 3, Date.parse('2027-01-31T23:00:00')).map((one) => one.month)).toEqual([
      '2026-11',
      '2026-12',
      '2027-01',
    ]);
  });
});
