import type { Keeper } from '../../core/grouping/index.ts';
import { formatSizes, formatVolume, type UnitSystem } from '../../core/units/index.ts';

/** What keeps a small group apart from another in one place; not in the index, few screens need it. */
export function wordKeeper(keeper: Keeper, units: UnitSystem): string {
  switch (keeper.code) {
    case 'divider':
      return `a divider of ${formatSizes([keeper.widthMm, keeper.heightMm], units)} between them`;
    case 'sheet':
      return `a sheet of card of ${formatSizes([keeper.widthMm, keeper.heightMm], units)} between the piles`;
    case 'bag':
      return `the small one in a bag of ${formatVolume(keeper.volumeMm3, units)}`;
    case 'box':
      return `the small one in your idle ${keeper.box.name}`;
    case 'gap':
      return 'one left empty between them';
  }
}
