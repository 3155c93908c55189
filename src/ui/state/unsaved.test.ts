import { describe, expect, it } from 'vitest';
import type { EventId } from '../../core/records/index.ts';
import { computeUnsaved } from './unsaved.ts';

const DAY = 86_400_000;
const household = (lines: number, atMs = 0) => ({
  generation: 'g',
  events: Array.from({ length: lines }, (_, i) => ({ id: `own-${i}` as EventId, atMs })),
});

describe('what is in no file yet', () => {
  it('is nothing at first, and due after sixty lines', () => {
    expect(computeUnsaved(household(1), null, 99 * DAY)).toEqual({ lines: 0, savedAtMs: null, isDue: false });
    expect(computeUnsaved(household(60), null, DAY).isDue).toBe(false);
    expect(computeUnsaved(household(61), null, DAY).isDue).toBe(true);
  });

  it('is due after two weeks, with one line', () => {
    expect(computeUnsaved(household(2), null, 13 * DAY).isDue).toBe(false);
    expect(computeUnsaved(household(2), null, 14 * DAY).isDue).toBe(true);
  });

  it('counts from the last file of the same household', () => {
    const saved = { generation: 'g', atMs: 20 * DAY, lines: 50 };
    expect(computeUnsaved(household(53), saved, 21 * DAY)).toEqual({ lines: 3, savedAtMs: 20 * DAY, isDue: false });
    expect(computeUnsaved(household(50), saved, 90 * DAY).isDue).toBe(false);
    expect(computeUnsaved(household(53), { ...saved, generation: 'other' }, 21 * DAY)).toMatchObject({ lines: 52 });
  });

  it('does not count the lines that came with the sample', () => {
    const { generation, events } = household(70, 30 * DAY);
    const given = events.map((event, i) => (i > 0 && i < 69 ? { ...event, id: `s${i}` as EventId } : event));
    expect(computeUnsaved({ generation, events: given }, null, 31 * DAY)).toMatchObject({ lines: 1, isDue: false });
  });
});
