import type { Whereabouts } from '../state/whereabouts.ts';
import { wordStanding } from '../text/index.ts';

/** `Tall cubes › C3, 4th of 9 from the left`, or that it is out. */
export function wordWhereShort(where: Whereabouts): string {
  if (where.placeId === null) return 'has no home yet';
  const path = where.path.slice(1).join(' › ');
  if (!where.isThere) return `out; its home is ${path}`;
  return `${path}${where.standing ? `, ${wordStanding(where.standing)}` : ''}`;
}

/** The whole answer, room first: `Heron Loft › Tall cubes › C3, 4th of 9 from the left`. */
export function wordWhere(where: Whereabouts): string {
  if (where.placeId === null) return 'It has no home yet.';
  const path = where.path.join(' › ');
  if (!where.isThere) return `Out. Its home is ${path}.`;
  return `${path}${where.standing ? `, ${wordStanding(where.standing)}` : ''}`;
}
