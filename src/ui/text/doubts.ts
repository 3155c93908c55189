import type { Doubt } from '../../core/catalog/index.ts';
import { formatClothLength, formatMass, type UnitSystem } from '../../core/units/index.ts';

/** What is asked before something unlikely is taken in; not in the index, only what is typed needs it. */
export function wordDoubts(doubts: readonly Doubt[], units: UnitSystem): string {
  const asked = doubts.map(({ code, value }) => {
    switch (code) {
      case 'long':
        return `Is it really ${formatClothLength(value, units)} long?`;
      case 'heavy':
        return `Does it really weigh ${formatMass(value, units)}?`;
      case 'cloth':
        return 'What cloth is it? It is taken for poplin as long as no word says.';
    }
  });
  return `${asked.join(' ')} Enter again takes it in.`;
}
