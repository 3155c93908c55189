import { describe, expect, it } from 'vitest';
import { computeUnsaved } from './unsaved.ts';

const DAY = 86_400_000;
const household = (lines: number, atMs = 0) => ({
  generation: 'g',
  events: Array.from({ length: lines }, () => ({ atMs })),
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
});
