import type { Position } from '../records/index.ts';
import type { Piece } from './bodies.ts';

/** Where every piece stands, to be kept as an arrangement. */
export function toPositions(pieces: readonly Piece[]): Position[] {
  return pieces.map(({ id, unit: { wallId, xMm, yMm, stand } }) => ({
    unitId: id,
    wallId,
    xMm,
    yMm,
    ...(stand && { stand: { ...stand } }),
  }));
}

/**
 * The pieces as an arrangement has them. What is locked, and what has come since, stays where it is; what the
 * arrangement has and the room has not is left out.
 */
export function fromPositions(pieces: readonly Piece[], positions: readonly Position[]): Piece[] {
  const byId = new Map<string, Position>(positions.map((position) => [position.unitId, position]));
  return pieces.map((piece) => {
    const position = byId.get(piece.id);
    if (!position || piece.unit.isFixed) return piece;
    const { wallId, xMm, yMm, stand } = position;
    return { ...piece, unit: { ...piece.unit, wallId, xMm, yMm, stand } };
  });
}

/** The pieces that stand elsewhere than they did. */
export function listMoved(before: readonly Piece[], after: readonly Piece[]): Piece[] {
  const spot = ({ unit: { wallId, xMm, yMm, stand } }: Piece) =>
    stand ? `${stand.xMm} ${stand.yMm} ${stand.turnDeg}` : `${wallId} ${xMm} ${yMm}`;
  return after.filter((piece, i) => spot(piece) !== spot(before[i]!));
}
