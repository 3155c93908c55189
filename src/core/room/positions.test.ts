import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { fromPositions, listMoved, listPieces, moveUnit, toPositions, turnUnit } from './index.ts';

const { household } = createSampleHousehold();
const tree = createPlaceTree(household.places);
const loft = tree.rooms[0]!;
const pieces = listPieces(household, tree, loft.id);

describe('an arrangement that is kept', () => {
  it('brings every piece back to where it stood, at a wall or free', () => {
    const kept = toPositions(pieces);
    const moved = pieces.map((piece, i) => ({
      ...piece,
      unit:
        i % 2 === 0
          ? turnUnit(loft.room!, piece.unit, 30)
          : moveUnit(loft.room!, piece.unit, { xMm: 400, yMm: 400 }, [], 0),
    }));
    expect(listMoved(pieces, moved).length).toBe(pieces.length);
    expect(listMoved(pieces, fromPositions(moved, kept))).toEqual([]);
    expect(listMoved(moved, fromPositions(pieces, toPositions(moved)))).toEqual([]);
  });

  it('leaves what is locked, what came since, and forgets what is gone', () => {
    const kept = toPositions(pieces);
    const [first, second] = pieces;
    const locked = { ...first!, unit: { ...first!.unit, xMm: first!.unit.xMm + 200, isFixed: true } };
    const after = fromPositions([locked, second!], kept.slice(2));
    expect(after).toEqual([locked, second]);
    expect(fromPositions([locked], kept)).toEqual([locked]);
  });
});
