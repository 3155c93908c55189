import { describe, expect, it } from 'vitest';
import type { Change, DaybookEvent, EventId, EventType } from '../records/index.ts';
import { computeMonthActs } from './months.ts';

const at = (text: string) => Date.parse(text);
let seq = 0;
const event = (type: EventType, day: string, changes: Change[] = [], undoes?: DaybookEvent): DaybookEvent => {
  seq += 1;
  const base = { id: `e${seq}` as EventId, seq, atMs: at(day), type, subject: '', changes };
  return undoes ? { ...base, undoes: [undoes.id] } : base;
};
const came: Change = { table: 'lots', id: 'x', before: undefined, after: { state: 'out' } };
const gone: Change = { table: 'lots', id: 'x', before: { state: 'in' }, after: { state: 'gone' } };
const removed: Change = { table: 'lots', id: 'x', before: { state: 'in' }, after: undefined };

describe('what a month brought', () => {
  it('is counted by the calendar, over the turn of a year', () => {
    const taken = event('tookOut', '2026-01-03', [
      { table: 'lots', id: 'y', before: { state: 'in' }, after: { state: 'out' } },
    ]);
    const events = [
      event('catalogued', '2025-12-01', [came]),
      event('received', '2025-12-31T23:59:59', [came, came]),
      taken,
      event('cut', '2026-01-04'),
      event('gaveAway', '2026-01-05', [gone]),
      event('removed', '2026-01-06', [removed]),
      event('received', '2026-01-07', [came]),
    ];
    expect(computeMonthActs(events, 3, at('2026-01-20'))).toEqual([
      { month: '2025-11', came: 0, left: 0, used: 0 },
      { month: '2025-12', came: 2, left: 0, used: 0 },
      { month: '2026-01', came: 1, left: 2, used: 2 },
    ]);
    const back = event('undone', '2026-01-08', [], taken);
    expect(computeMonthActs([...events, back], 1, at('2026-01-20'))[0]).toMatchObject({ used: 1 });
  });
});
