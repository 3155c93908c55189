import { wordOrdinal } from './grammar.ts';
import type { Standing, Whereabouts } from '../../core/whereabouts/index.ts';
import { t } from '../language/index.ts';

/** `4th of 9 from the left`, as the eye counts it. */
export function wordStanding(standing: Standing): string {
  switch (standing.kind) {
    case 'row': {
      const row =
        standing.rows > 1
          ? t(standing.from === 'left' ? 'row {row} of {rows}' : 'lane {row} of {rows}', {
              row: standing.row,
              rows: standing.rows,
            })
          : '';
      const nth =
        standing.of === 1
          ? t('alone')
          : t(standing.from === 'left' ? '{nth} of {all} from the left' : '{nth} of {all} from the front', {
              nth: wordOrdinal(standing.nth),
              all: standing.of,
            });
      return row ? `${row}, ${nth}` : nth;
    }
    case 'pile': {
      const nth =
        standing.of === 1
          ? t('alone on its pile')
          : t('{nth} of {all} from the top', { nth: wordOrdinal(standing.nth), all: standing.of });
      return standing.piles > 1
        ? `${t('pile {pile} of {piles}', { pile: standing.pile, piles: standing.piles })}, ${nth}`
        : nth;
    }
    case 'hook':
      return t('{nth} of {all} on its hook', { nth: wordOrdinal(standing.nth), all: standing.of });
    case 'cell':
      return standing.rows > 1
        ? t('cell {column} of {columns} from the left, {row} of {rows} from the front', {
            column: standing.column,
            columns: standing.columns,
            row: standing.row,
            rows: standing.rows,
          })
        : t('cell {column} of {columns} from the left', { column: standing.column, columns: standing.columns });
    case 'among':
      return standing.of === 1 ? t('alone') : t('among {things} things', { things: standing.of });
  }
}

function wordAway({ away, lentTo }: Whereabouts): string {
  if (away === 'lent') return lentTo ? t('lent to {lentTo}', { lentTo }) : t('lent');
  if (away === 'missing') return t('missing');
  if (away === 'table') return t('on the table, to be carried on');
  if (away === 'waiting') return t('not carried home yet');
  return away === 'aside' ? t('out of the way, in another room') : t('out');
}

/** `Tall cubes › C3, 4th of 9 from the left`, or that it is out. */
export function wordWhereShort(where: Whereabouts): string {
  if (where.placeId === null) return where.away === null ? t('has no home yet') : wordAway(where);
  const path = where.path.slice(1).join(' › ');
  if (!where.isThere) return t('{away}; its home is {path}', { away: wordAway(where), path });
  return `${path}${where.standing ? `, ${wordStanding(where.standing)}` : ''}`;
}

/** The whole answer, room first: `Heron Loft › Tall cubes › C3, 4th of 9 from the left`. */
export function wordWhere(where: Whereabouts): string {
  const away = wordAway(where);
  const begun = `${away[0]!.toUpperCase()}${away.slice(1)}.`;
  if (where.placeId === null)
    return where.away === null ? t('It has no home yet.') : t('{begun} It has no home yet.', { begun });
  const path = where.path.join(' › ');
  if (!where.isThere) return t('{begun} Its home is {path}.', { begun, path });
  return `${path}${where.standing ? `, ${wordStanding(where.standing)}` : ''}`;
}
