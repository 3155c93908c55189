import { wordOrdinal } from './grammar.ts';
import type { Standing, Whereabouts } from '../../core/whereabouts/index.ts';

/** `4th of 9 from the left`, as the eye counts it. */
export function wordStanding(standing: Standing): string {
  switch (standing.kind) {
    case 'row': {
      const row =
        standing.rows > 1 ? `${standing.from === 'left' ? 'row' : 'lane'} ${standing.row} of ${standing.rows}, ` : '';
      return standing.of === 1
        ? `${row}alone`
        : `${row}${wordOrdinal(standing.nth)} of ${standing.of} from the ${standing.from}`;
    }
    case 'pile': {
      const pile = standing.piles > 1 ? `pile ${standing.pile} of ${standing.piles}, ` : '';
      return standing.of === 1
        ? `${pile}alone on its pile`
        : `${pile}${wordOrdinal(standing.nth)} of ${standing.of} from the top`;
    }
    case 'hook':
      return `${wordOrdinal(standing.nth)} of ${standing.of} on its hook`;
    case 'cell':
      return standing.rows > 1
        ? `cell ${standing.column} of ${standing.columns} from the left, ${standing.row} of ${standing.rows} from the front`
        : `cell ${standing.column} of ${standing.columns} from the left`;
    case 'among':
      return standing.of === 1 ? 'alone' : `among ${standing.of} things`;
  }
}

function wordAway({ away, lentTo }: Whereabouts): string {
  if (away === 'lent') return lentTo ? `lent to ${lentTo}` : 'lent';
  if (away === 'missing') return 'missing';
  if (away === 'table') return 'on the table, to be carried on';
  if (away === 'waiting') return 'not carried home yet';
  return away === 'aside' ? 'out of the way, in another room' : 'out';
}

/** `Tall cubes › C3, 4th of 9 from the left`, or that it is out. */
export function wordWhereShort(where: Whereabouts): string {
  if (where.placeId === null) return where.away === null ? 'has no home yet' : wordAway(where);
  const path = where.path.slice(1).join(' › ');
  if (!where.isThere) return `${wordAway(where)}; its home is ${path}`;
  return `${path}${where.standing ? `, ${wordStanding(where.standing)}` : ''}`;
}

/** The whole answer, room first: `Heron Loft › Tall cubes › C3, 4th of 9 from the left`. */
export function wordWhere(where: Whereabouts): string {
  const away = wordAway(where);
  const begun = `${away[0]!.toUpperCase()}${away.slice(1)}.`;
  if (where.placeId === null) return where.away === null ? 'It has no home yet.' : `${begun} It has no home yet.`;
  const path = where.path.join(' › ');
  if (!where.isThere) return `${begun} Its home is ${path}.`;
  return `${path}${where.standing ? `, ${wordStanding(where.standing)}` : ''}`;
}
