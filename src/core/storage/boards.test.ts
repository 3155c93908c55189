import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createRandom, pick } from '../random/index.ts';
import type { Place, PlaceId, UnitSpec } from '../records/index.ts';
import { applyUnitSpec, divideSlot, joinSlots, listBoards, moveBoard } from './boards.ts';

const BOOKCASE: UnitSpec = {
  kind: 'bookcase',
  wallId: 'east',
  xMm: 0,
  yMm: 0,
  widthMm: 800,
  heightMm: 1000,
  depthMm: 300,
  boardMm: 20,
  columns: 1,
  rows: 2,
  isAnchored: true,
  loadG: undefined,
};
// Inside each: 320 wide and high, 380 deep.
const CUBES: UnitSpec = {
  ...BOOKCASE,
  kind: 'cubes',
  widthMm: 1040,
  heightMm: 1720,
  depthMm: 400,
  columns: 3,
  rows: 5,
};

let count = 0;
const createId = () => `p${(count += 1)}`;

function build(unit: UnitSpec): Place[] {
  const made = applyUnitSpec('u' as PlaceId, null, unit, [], createId);
  if (!made.ok) throw new Error(made.fault.code);
  return made.kept;
}
function merge(slots: readonly Place[], changed: readonly Place[]): Place[] {
  const by = new Map(changed.map((place) => [place.id, place]));
  return [
    ...slots.map((place) => by.get(place.id) ?? place),
    ...changed.filter((one) => !slots.some(({ id }) => id === one.id)),
  ];
}
function divide(unit: UnitSpec, slots: readonly Place[], name: string, axis: 'shelf' | 'upright'): Place[] {
  const parts = divideSlot(
    unit,
    slots.find((one) => one.name === name)!,
    slots,
    axis,
    createId,
  );
  if (!parts.ok) throw new Error(parts.fault.code);
  return merge(slots, parts.value);
}
const spanOf = (slots: readonly Place[], name: string) => {
  const { xMm, yMm, widthMm, heightMm } = slots.find((one) => one.name === name)!.slot!;
  return [xMm, yMm, widthMm, heightMm];
};

describe('the shelf of a bookcase', () => {
  const slots = build(BOOKCASE);

  it('goes as far as 2 cm from its neighbours, and both compartments follow', () => {
    const [shelf, ...rest] = listBoards(BOOKCASE, slots);
    expect(rest).toEqual([]);
    // 470 each: from 20 to 490, and from 510 to 980.
    expect(shelf).toMatchObject({ axis: 'shelf', atMm: 490, thickMm: 20, leastMm: 40, mostMm: 940, isFixed: false });
    expect([shelf!.fromMm, shelf!.toMm]).toEqual([20, 780]);
    const moved = merge(slots, moveBoard(slots, shelf!, 600));
    expect(spanOf(moved, 'Shelf 2')).toEqual([20, 20, 760, 580]);
    expect(spanOf(moved, 'Shelf 1')).toEqual([20, 620, 760, 360]);
    expect(spanOf(merge(slots, moveBoard(slots, shelf!, 5000)), 'Shelf 1')).toEqual([20, 960, 760, 20]);
  });

  it('stays at its height when the piece grows taller; the topmost compartment takes the difference', () => {
    const moved = merge(slots, moveBoard(slots, listBoards(BOOKCASE, slots)[0]!, 600));
    const grown = applyUnitSpec(
      'u' as PlaceId,
      BOOKCASE,
      { ...BOOKCASE, heightMm: 1200, widthMm: 900 },
      moved,
      createId,
    );
    if (!grown.ok) throw new Error(grown.fault.code);
    expect(spanOf(grown.kept, 'Shelf 2')).toEqual([20, 20, 860, 580]);
    expect(spanOf(grown.kept, 'Shelf 1')).toEqual([20, 620, 860, 560]);
    const low = applyUnitSpec('u' as PlaceId, BOOKCASE, { ...BOOKCASE, heightMm: 650 }, moved, createId);
    expect(low).toMatchObject({ ok: false, fault: { code: 'no-inner-height', availableMm: 10 } });
  });

  it('is even again in an even bookcase', () => {
    const grown = applyUnitSpec('u' as PlaceId, BOOKCASE, { ...BOOKCASE, heightMm: 1200 }, slots, createId);
    expect(grown.ok && grown.kept.map(({ slot }) => slot!.heightMm)).toEqual([570, 570]);
  });

  it('comes out, and the lower compartment is all of it', () => {
    const joined = joinSlots(slots, listBoards(BOOKCASE, slots)[0]!)!;
    expect(joined.gone.name).toBe('Shelf 1');
    expect(spanOf([joined.kept], 'Shelf 2')).toEqual([20, 20, 760, 960]);
  });
});

describe('a cubby', () => {
  const slots = build(CUBES);

  it('is divided in the middle, each part with its share of the load; the boards round it are fixed', () => {
    const parted = divide(CUBES, slots, 'B4', 'shelf');
    // 320 less a board of 20: two of 150.
    expect(spanOf(parted, 'B4 a')).toEqual([360, 360, 320, 150]);
    expect(spanOf(parted, 'B4 b')).toEqual([360, 530, 320, 150]);
    expect(parted.find((one) => one.name === 'B4 a')!.id).toBe(slots.find((one) => one.name === 'B4')!.id);
    expect(parted.find((one) => one.name === 'B4 b')!.slot!.loadG).toBe(6500);
    const loose = listBoards(CUBES, parted).filter((board) => !board.isFixed);
    expect(loose).toHaveLength(1);
    const again = joinSlots(parted, loose[0]!)!;
    expect(again.kept).toEqual(slots.find((one) => one.name === 'B4'));
    expect(
      joinSlots(
        parted,
        listBoards(CUBES, parted).find((board) => board.isFixed)!,
      ),
    ).toBeNull();
  });

  it('is parted upright once more, and one shelf over two of them does not come out', () => {
    const four = divide(CUBES, divide(CUBES, slots, 'A5', 'shelf'), 'A5 a', 'upright');
    expect(four.map((one) => one.name).filter((name) => name.startsWith('A5'))).toEqual(['A5 a', 'A5 b', 'A5 c']);
    const shelf = listBoards(CUBES, four).find((board) => !board.isFixed && board.axis === 'shelf')!;
    expect(shelf.before).toHaveLength(2);
    expect(joinSlots(four, shelf)).toBeNull();
  });

  it('keeps its parts, and a renamed one its name, when the piece changes', () => {
    const parted = divide(CUBES, slots, 'B4', 'shelf').map((one) =>
      one.name === 'C5' ? { ...one, name: 'Wool' } : one,
    );
    const wide = applyUnitSpec('u' as PlaceId, CUBES, { ...CUBES, widthMm: 1100, boardMm: 16 }, parted, createId);
    if (!wide.ok) throw new Error(wide.fault.code);
    expect(wide.kept).toHaveLength(16);
    // Cells of (1100 - 4 × 16) / 3 by (1720 - 6 × 16) / 5; the shelf of 16 in the middle of one.
    const cell = [(1100 - 64) / 3, (1720 - 96) / 5] as const;
    const [, y, width, height] = spanOf(wide.kept, 'B4 a');
    expect([y, width, height].map((mm) => mm!.toFixed(6))).toEqual(
      [32 + cell[1], cell[0], (cell[1] - 16) / 2].map((mm) => mm.toFixed(6)),
    );
    const fewer = applyUnitSpec('u' as PlaceId, CUBES, { ...CUBES, columns: 4 }, parted, createId);
    if (!fewer.ok) throw new Error(fewer.fault.code);
    expect(fewer.removed.map((one) => one.name)).toEqual(['B4 b']);
    expect(fewer.kept.find((one) => one.name === 'Wool')?.id).toBe(parted.find((one) => one.name === 'Wool')!.id);
  });

  it('is too small to be parted under 2 cm a side', () => {
    const low = slots.map((one) => (one.name === 'A5' ? { ...one, slot: { ...one.slot!, heightMm: 59 } } : one));
    const parts = divideSlot(CUBES, low[0]!, low, 'shelf', createId);
    expect(parts).toEqual({ ok: false, fault: { code: 'too-small', availableMm: 59 } });
  });
});

describe('boards put in, moved and taken out as they come', () => {
  it('never lets compartments overlap, leave the piece or change what is not beside the board', () => {
    fc.assert(
      fc.property(fc.integer(), fc.constantFrom(CUBES, BOOKCASE), (seed, unit) => {
        const random = createRandom(seed);
        let slots = build(unit);
        for (let step = 0; step < 12; step += 1) {
          const boards = listBoards(unit, slots).filter((board) => !board.isFixed);
          const board = boards.length > 0 ? pick(random, boards) : null;
          const act = random();
          if (act < 0.5) {
            const parts = divideSlot(unit, pick(random, slots), slots, random() < 0.5 ? 'shelf' : 'upright', createId);
            if (parts.ok) slots = merge(slots, parts.value);
          } else if (board && act < 0.85) {
            const to = board.leastMm + random() * (board.mostMm - board.leastMm);
            if (board.mostMm >= board.leastMm) slots = merge(slots, moveBoard(slots, board, to));
          } else if (board) {
            const joined = joinSlots(slots, board);
            if (joined) slots = merge(slots, [joined.kept]).filter((one) => one.id !== joined.gone.id);
          }
          expect(new Set(slots.map((one) => one.name)).size).toBe(slots.length);
          for (const [i, { slot: a }] of slots.entries()) {
            expect(a!.widthMm).toBeGreaterThan(19.9);
            expect(a!.heightMm).toBeGreaterThan(19.9);
            expect(a!.xMm + a!.widthMm).toBeLessThanOrEqual(unit.widthMm - unit.boardMm + 1e-6);
            expect(a!.yMm + a!.heightMm).toBeLessThanOrEqual(unit.heightMm - unit.boardMm + 1e-6);
            for (const { slot: b } of slots.slice(i + 1)) {
              const across = Math.min(a!.xMm + a!.widthMm, b!.xMm + b!.widthMm) - Math.max(a!.xMm, b!.xMm);
              const up = Math.min(a!.yMm + a!.heightMm, b!.yMm + b!.heightMm) - Math.max(a!.yMm, b!.yMm);
              expect(across > 1e-6 && up > 1e-6).toBe(false);
            }
          }
        }
      }),
      { numRuns: 60 },
    );
  });
});
