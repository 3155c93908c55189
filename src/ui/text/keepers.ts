import type { Keeper } from '../../core/grouping/index.ts';
import { formatSizes, formatVolume, type UnitSystem } from '../../core/units/index.ts';
import { t } from '../language/index.ts';

/** What keeps a small group apart from another in one place; not in the index, few screens need it. */
export function wordKeeper(keeper: Keeper, units: UnitSystem, small = t('the small one')): string {
  switch (keeper.code) {
    case 'divider':
      return t('a divider of {sizes} between them', { sizes: formatSizes([keeper.widthMm, keeper.heightMm], units) });
    case 'sheet':
      return t('a sheet of card of {sizes} between the piles', {
        sizes: formatSizes([keeper.widthMm, keeper.heightMm], units),
      });
    case 'bag':
      return t('{small} in a bag of {volume}', { small, volume: formatVolume(keeper.volumeMm3, units) });
    case 'box':
      return t('{small} in your idle {box}', { small, box: keeper.box.name });
    case 'gap':
      return t('one left empty between them');
  }
}
