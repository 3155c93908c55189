import { describe, expect, it } from 'vitest';
import type { Change, DaybookEvent, EventId, EventType } from '../records/index.ts';
import { computeSpent } from './index.ts';

let seq = 0;
const event = (type: EventType, atMs: number, changes: Change[], more: Partial<DaybookEvent> = {}): DaybookEvent => {
  seq += 1;
  return { id: `e${seq}` as EventId, seq, atMs, type, subject: 'x', changes, ...more };
};
const lot = (id: string, itemId: string): Change => ({ table: 'lots', id, after: { itemId } });
const item = (id: string, after: object, before?: object): Change =>
  ({ table: 'items', id, after, ...(before && { before }) }) as Change;

describe('what was spent', () => {
  it('is the price of what came in, since then', () => {
    const bought = event('received', 100, [item('a', { cost: 12.5 }), lot('l1', 'a')]);
    const more = event('changed', 200, [item('a', { cost: 20 }, { cost: 12.5 }), lot('l2', 'a')]);
    const putRight = event('changed', 210, [item('a', { cost: 25 }, { cost: 20 })]);
    const listed = event('imported', 220, [item('b', { cost: 90 }), lot('l3', 'b')]);
    const slip = event('received', 230, [item('c', { cost: 40 }), lot('l4', 'c')]);
    const back = event('undone', 240, [], { undoes: [slip.id] });
    const all = [bought, more, putRight, listed, slip, back];
    expect(computeSpent(all, 0)).toBeCloseTo(20);
    expect(computeSpent(all, 150)).toBeCloseTo(7.5);
    expect(computeSpent(all, 500)).toBe(0);
  });
});
