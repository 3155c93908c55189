import { Suspense } from 'react';
import type { Household, LotId, PlaceId } from '../../core/records/index.ts';
import { findWallId, formatPlaceName } from '../../core/storage/index.ts';
import { useHousehold } from '../state/app.ts';
import { getTree } from '../state/derived.ts';
import { readWallDrawing } from './wallDrawing.ts';
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
  return <SpotsPicture spots={[{ place, mark, after, lots }]} lots={lots} mostPx={mostPx} />;
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
  const tree = getTree(useHousehold());
  const byWall = new Map<string, PlaceMark[]>();
  for (const spot of spots) {
    const wallId = findWallId(tree, spot.place);
    if (wallId !== null) byWall.set(wallId, [...(byWall.get(wallId) ?? []), spot]);
  }
  return [...byWall].map(([wallId, marks]) => (
    <Suspense key={wallId} fallback={<div style={{ minHeight: mostPx }} />}>
      <SpotsWall wallId={wallId} marks={marks} lots={lots} mostPx={mostPx} />
    </Suspense>
  ));
}

interface SpotsWallProps extends Pick<SpotsPictureProps, 'lots' | 'mostPx'> {
  readonly wallId: string;
  readonly marks: readonly PlaceMark[];
}

function SpotsWall({ wallId, marks, lots, mostPx }: SpotsWallProps) {
  const household = useHousehold();
  const tree = getTree(household);
  const drawing = readWallDrawing(household, wallId);
  if (!drawing) return null;
  const spots = marks.map(({ after, lots: moved, ...spot }): MarkedSpot => {
    const figures = after ? (readWallDrawing(after, wallId)?.figures ?? []) : [];
    return { ...spot, ghosts: figures.filter(({ kind, id }) => kind === 'lot' && moved.includes(id as LotId)) };
  });
  return (
    <WallPicture
      drawing={drawing}
      spots={spots}
      lots={lots}
      mostPx={mostPx}
      label={t('{marked}, on its wall', { marked: marks.map(({ place }) => formatPlaceName(tree, place)).join(', ') })}
    />
  );
}
