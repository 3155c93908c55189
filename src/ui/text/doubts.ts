import type { Doubt } from '../../core/catalog/index.ts';
import { formatClothLength, formatMass, type UnitSystem } from '../../core/units/index.ts';
import { t } from '../language/index.ts';

/** What is asked before something unlikely is taken in. Not in the index, only what is typed needs it. */
export function wordDoubts(doubts: readonly Doubt[], units: UnitSystem): string {
  const asked = doubts.map(({ code, value }) => {
    switch (code) {
      case 'long':
        return t('Is it really {clothLength} long?', { clothLength: formatClothLength(value, units) });
      case 'heavy':
        return t('Does it really weigh {mass}?', { mass: formatMass(value, units) });
      case 'cloth':
        return t('What cloth is it? It is taken for poplin as long as no word says.');
    }
  });
  return asked.join(' ');
}
