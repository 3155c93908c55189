import { useMemo } from 'react';
import type { Household, LotId, PlaceId } from '../../core/records/index.ts';
import { findWallId, formatPlaceName } from '../../core/storage/index.ts';
import { useHousehold } from '../state/app.ts';
import { getTree } from '../state/derived.ts';
import { getWallDrawing } from './wallDrawing.ts';
import { WallPicture, type MarkedSpot } from './WallPicture.tsx';
import { t } from '../language/index.ts';

interface PlacePictureProps {
  readonly place: PlaceId;
  readonly lots: readonly LotId[];
  readonly mark: 'from' | 'to';
  readonly mostPx?: number;
  /** The household as it would be: the things are drawn where they would stand then. */
  readonly after?: Household | null;
}

/** A place marked on its wall as things are; nothing where it stands at none. */
export function PlacePicture({ place, lots, mark, mostPx, after = null }: PlacePictureProps) {
  const spots = useMemo(() => [{ place, mark, after, lots }], [place, mark, after, lots]);
  return <SpotsPicture spots={spots} lots={lots} mostPx={mostPx} />;
}

/** A place that is marked, and what would stand in it. */
export interface PlaceMark extends Omit<MarkedSpot, 'ghosts'> {
  readonly after?: Household | null;
  readonly lots: readonly LotId[];
}

interface SpotsPictureProps {
  readonly spots: readonly PlaceMark[];
  readonly lots: readonly LotId[];
  readonly mostPx?: number | undefined;
}

/** Some places, each marked on its wall: as many walls as they stand at. */
export function SpotsPicture({ spots, lots, mostPx }: SpotsPictureProps) {
  const household = useHousehold();
  const tree = getTree(household);
  const walls = useMemo(() => {
    const byWall = new Map<string, MarkedSpot[]>();
    for (const { after, lots: moved, ...spot } of spots) {
      const wallId = findWallId(tree, spot.place);
      if (wallId === null) continue;
      const figures = after ? (getWallDrawing(after, wallId)?.figures ?? []) : [];
      const ghosts = figures.filter(({ kind, id }) => kind === 'lot' && moved.includes(id as LotId));
      byWall.set(wallId, [...(byWall.get(wallId) ?? []), { ...spot, ghosts }]);
    }
    return [...byWall].flatMap(([wallId, marked]) => {
      const drawing = getWallDrawing(household, wallId);
      return drawing ? [{ wallId, marked, drawing }] : [];
    });
  }, [household, tree, spots]);
  return walls.map(({ wallId, marked, drawing }) => (
    <WallPicture
      key={wallId}
      drawing={drawing}
      spots={marked}
      lots={lots}
      mostPx={mostPx}
      label={t('{marked}, on its wall', { marked: marked.map(({ place }) => formatPlaceName(tree, place)).join(', ') })}
    />
  ));
}
