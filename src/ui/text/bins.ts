import type { PlaceId } from '../../core/records/index.ts';
import { formatPlaceName, type PlaceTree } from '../../core/storage/index.ts';
import { t } from '../language/index.ts';

/** How a container is carried, from its compartment to another: `from Tall cubes › A1 to Tall cubes › C3`. */
export function wordBinWay(from: PlaceId | undefined, to: PlaceId | undefined, tree: PlaceTree): string {
  const start =
    from === undefined ? t('that stands idle') : t('from {placeName}', { placeName: formatPlaceName(tree, from) });
  return to === undefined
    ? t('{start} out of the way', { start })
    : t('{start} to {placeName}', { start, placeName: formatPlaceName(tree, to) });
}
