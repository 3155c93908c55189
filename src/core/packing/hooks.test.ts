import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/index.ts';
import type { Package } from '../measure/index.ts';
import type { PegHook } from '../records/index.ts';
import type { Space } from '../storage/index.ts';
import { computeShare, packPlace } from './index.ts';

function thing(alongMm: number, acrossMm: number, heightMm: number, pieces = 1, massG = 100, holeMm = 8): Package {
  return { form: 'peg', alongMm, acrossMm, heightMm, pieces, massG: massG * pieces, isSoft: false, holeMm };
}
function hook(column: number, row: number, projectionMm = 80, more: Partial<PegHook> = {}): PegHook {
  return { family: 'round', column, row, wireMm: 4, projectionMm, loadG: 1500, ...more };
}
/** 12 by 8 holes of 25 mm. */
function field(...hooks: PegHook[]): Space {
  const peg = { pitchMm: 25, wireMm: 4, projectionMm: 80, hookLoadG: 1500, hooks };
  return { mode: 'area', widthMm: 300, heightMm: 200, depthMm: 12, rowsRun: 'x', peg, pinPitchMm: 0 };
}

describe('a peg field with hooks of its own', () => {
  it('hangs a tool by its hole, 10 mm over the hook, behind nothing while a hook is empty', () => {
    const packed = packPlace([thing(40, 10, 100), thing(40, 10, 100)], field(hook(1, 0), hook(5, 0)));
    if (packed.status !== 'packed') throw new Error(packed.status);
    // The second hole is at 37.5, the top row at 187.5 up; 20 to each side, 100 down from 197.5.
    expect(packed.spots).toMatchObject([
      { index: 0, xMm: 17.5, yMm: 0, zMm: 97.5, widthMm: 40, heightMm: 100 },
      { index: 1, xMm: 117.5, yMm: 0, zMm: 97.5 },
    ]);
  });

  it('hangs what is more behind each other, as far as the hook reaches and carries', () => {
    const blocks = thing(40, 15, 60, 5);
    const packed = packPlace([blocks], field(hook(2, 0)));
    if (packed.status !== 'packed') throw new Error(packed.status);
    expect(packed.spots.map((spot) => spot.yMm)).toEqual([0, 15, 30, 45, 60]);
    // 80 mm hold five of 15, and 1500 g fifteen of 100: a share of 5/5.
    expect(computeShare(blocks, field(hook(2, 0)))).toEqual({ ok: true, share: 1 });
    expect(packPlace([thing(40, 15, 60, 6)], field(hook(2, 0))).status).toBe('not-found');
    expect(packPlace([thing(40, 15, 60, 4, 400)], field(hook(2, 0))).status).toBe('not-found');
  });

  it('says why nothing hangs: no hook, too thick a wire, too short, too weak, too near the edge', () => {
    expect(computeShare(thing(40, 10, 100), field())).toMatchObject({ fault: { code: 'no-hook' } });
    const thick = computeShare(thing(40, 10, 100, 1, 100, 3), field(hook(2, 0)));
    expect(thick).toEqual({ ok: false, fault: { code: 'small-hole', needed: 4, available: 3 } });
    expect(computeShare(thing(40, 90, 100), field(hook(2, 0)))).toMatchObject({
      fault: { code: 'too-deep', needed: 90, available: 80 },
    });
    expect(computeShare(thing(40, 10, 100, 1, 1600), field(hook(2, 0)))).toMatchObject({
      fault: { code: 'hook-load', needed: 1600, available: 1500 },
    });
    // The first hole is 12.5 from the edge.
    expect(computeShare(thing(40, 10, 100), field(hook(0, 0)))).toMatchObject({
      fault: { code: 'too-wide', needed: 40, available: 25 },
    });
    expect(computeShare(thing(40, 10, 100), field(hook(2, 7)))).toMatchObject({ fault: { code: 'too-long' } });
    // The usual hook of a field without named ones has a wire too.
    const usual = { ...field(), peg: { pitchMm: 25, wireMm: 4, projectionMm: 80, hookLoadG: 1500 } };
    expect(computeShare(thing(40, 10, 100, 1, 100, 3), usual)).toMatchObject({ fault: { code: 'small-hole' } });
  });

  it('takes the short hook for what is thin and leaves the long one', () => {
    const packed = packPlace([thing(20, 10, 60), thing(20, 70, 60)], field(hook(1, 0, 80), hook(6, 0, 30)));
    if (packed.status !== 'packed') throw new Error(packed.status);
    expect(packed.spots.find((spot) => spot.index === 0)?.xMm).toBe(6.5 * 25 - 10);
  });

  it('finds what trying every hook finds, or says that it did not', () => {
    let packedCount = 0;
    let missed = 0;
    fc.assert(
      fc.property(fc.integer(), (seed) => {
        const random = createRandom(seed);
        const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
        const hooks = Array.from({ length: whole(1, 4) }, (_, i) =>
          hook(whole(0, 2) + 3 * i, whole(0, 3), whole(2, 8) * 10, { loadG: whole(2, 6) * 100, wireMm: whole(3, 6) }),
        );
        const things = Array.from({ length: whole(1, 4) }, () =>
          thing(whole(2, 12) * 10, whole(1, 4) * 10, whole(4, 14) * 10, 1, whole(1, 4) * 100, whole(4, 9)),
        );
        const space = field(...hooks);
        const packed = packPlace(things, space);
        const isPossible = tryAll(things, hooks, []);
        if (packed.status !== 'packed') {
          if (packed.status === 'impossible') expect(isPossible).toBe(false);
          else if (isPossible) missed += 1;
          return;
        }
        packedCount += 1;
        // The hook of each is where its hole is; what came out is one of the ways that hold.
        const chosen = things.map((one, index) => {
          const spot = packed.spots.find((each) => each.index === index)!;
          const column = (spot.xMm + one.alongMm / 2) / 25 - 0.5;
          return hooks.findIndex((each) => Math.abs(each.column - column) < 1e-6);
        });
        expect(holds(things, hooks, chosen)).toBe(true);
      }),
      { numRuns: 300, seed: 7 },
    );
    expect(packedCount).toBeGreaterThan(60);
    expect(missed).toBeLessThan(packedCount / 10);
  });
});

/** The rules once more, by other means: what hangs on which hook. */
function holds(things: readonly Package[], hooks: readonly PegHook[], chosen: readonly number[]): boolean {
  const boxes = things.map((one, i) => {
    const at = hooks[chosen[i]!]!;
    const middle = 25 * at.column + 12.5;
    const top = 25 * at.row + 12.5 - 10;
    return { left: middle - one.alongMm / 2, right: middle + one.alongMm / 2, top, bottom: top + one.heightMm };
  });
  return (
    hooks.every((each, h) => {
      const on = things.filter((_, i) => chosen[i] === h);
      return (
        on.reduce((sum, one) => sum + one.acrossMm, 0) <= each.projectionMm &&
        on.reduce((sum, one) => sum + one.massG, 0) <= each.loadG &&
        on.every((one) => one.holeMm! >= each.wireMm)
      );
    }) &&
    boxes.every((box) => box.left >= 0 && box.right <= 300 && box.bottom <= 200) &&
    boxes.every((a, i) =>
      boxes.every(
        (b, j) =>
          j <= i ||
          chosen[i] === chosen[j] ||
          Math.min(a.right, b.right) <= Math.max(a.left, b.left) ||
          Math.min(a.bottom, b.bottom) <= Math.max(a.top, b.top),
      ),
    )
  );
}

function tryAll(things: readonly Package[], hooks: readonly PegHook[], chosen: readonly number[]): boolean {
  if (chosen.length === things.length) return holds(things, hooks, chosen);
  return hooks.some((_, h) => tryAll(things, hooks, [...chosen, h]));
}
