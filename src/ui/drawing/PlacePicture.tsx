import { useMemo } from 'react';
import { computeWallDrawing } from '../../core/drawing/index.ts';
import type { LotId, PlaceId } from '../../core/records/index.ts';
import { findWall, formatPlaceName, getAncestor } from '../../core/storage/index.ts';
import { useHousehold } from '../state/app.ts';
import { getTree } from '../state/derived.ts';
import { getWordsInside } from './wordsInside.ts';
import { WallPicture } from './WallPicture.tsx';

interface PlacePictureProps {
  readonly place: PlaceId;
  readonly lots: readonly LotId[];
  readonly mark: 'from' | 'to';
  readonly mostPx?: number;
}

/** A place marked on its wall as things are; nothing where it stands at none. */
export function PlacePicture({ place, lots, mark, mostPx }: PlacePictureProps) {
  const household = useHousehold();
  const tree = getTree(household);
  const unit = getAncestor(tree, place, 'unit');
  const wallId = unit?.unit ? `${unit.parentId}-${unit.unit.wallId}` : null;
  const drawing = useMemo(() => {
    const wall = wallId === null ? null : findWall(tree, wallId);
    if (wall === null) return null;
    return computeWallDrawing(household, tree, wall.room, wall.wall, 'is', undefined, getWordsInside(household));
  }, [household, tree, wallId]);
  if (!drawing) return null;
  return (
    <WallPicture {...{ drawing, place, lots, mark, mostPx }} label={`${formatPlaceName(tree, place)}, on its wall`} />
  );
}
