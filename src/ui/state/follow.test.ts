import { afterEach, describe, expect, it } from 'vitest';
import type { PlaceId } from '../../core/records/index.ts';
import { useApp } from './app.ts';
import { follow } from './follow.ts';

const FORM = { type: 'newUnit', wallId: 'north' } as const;
const NEXT = { type: 'editUnit', id: 'cubes' as PlaceId } as const;

/** An act that ends when it is told to. */
function begin() {
  useApp.getState().show(FORM);
  let end: (isDone: boolean) => void = () => {};
  const followed = follow(new Promise((resolve) => (end = resolve)), NEXT);
  return { followed, end };
}

describe('what follows from an act', () => {
  afterEach(() => useApp.setState({ ticket: null }));

  it('is shown when it is done', async () => {
    const { followed, end } = begin();
    end(true);
    expect(await followed).toBe(true);
    expect(useApp.getState().ticket).toBe(NEXT);
  });

  it('is not shown where it was refused', async () => {
    const { followed, end } = begin();
    end(false);
    expect(await followed).toBe(false);
    expect(useApp.getState().ticket).toBe(FORM);
  });

  it('does not come back where it was left, or something else was opened, while it was kept', async () => {
    for (const turnedTo of [null, { type: 'pool' } as const]) {
      const { followed, end } = begin();
      useApp.getState().show(turnedTo);
      end(true);
      expect(await followed).toBe(true);
      expect(useApp.getState().ticket).toBe(turnedTo);
    }
  });
});
