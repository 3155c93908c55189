import { wordOrdinal } from './grammar.ts';
import type { Standing } from '../../core/whereabouts/index.ts';

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
