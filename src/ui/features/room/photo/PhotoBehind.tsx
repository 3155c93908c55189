import { useContext } from 'react';
import type { Place } from '../../../../core/records/index.ts';
import { ScaleContext } from '../../../drawing/scale.ts';
import { usePhotoUrl } from '../../../state/photos.ts';
import { findWallPhoto, useWallPhoto } from './wallPhoto.ts';

interface PhotoBehindProps {
  readonly room: Place;
  readonly wallId: string;
  readonly wallHeightMm: number;
  readonly opacity?: number;
}

/** The photo of a wall, pale behind its drawing. */
export function PhotoBehind({ room, wallId, wallHeightMm, opacity = 0.55 }: PhotoBehindProps) {
  const scale = useContext(ScaleContext);
  const photo = findWallPhoto(room, wallId);
  const isHidden = useWallPhoto((state) => state.isHidden);
  const url = usePhotoUrl(photo?.photoId, 'full');
  if (!photo || !url || isHidden) return null;
  return (
    <image
      data-testid="wall-photo"
      href={url}
      x={photo.xMm * scale}
      y={(wallHeightMm - photo.yMm - photo.heightMm) * scale}
      width={photo.widthMm * scale}
      height={photo.heightMm * scale}
      opacity={opacity}
      preserveAspectRatio="none"
      pointerEvents="none"
    />
  );
}

interface PhotoPointsProps {
  readonly room: Place;
  readonly wallId: string;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Over the wall while two points of its photo are set: the photo comes to the front, and each press is one point. */
export function PhotoPoints({ room, wallId, widthMm, heightMm }: PhotoPointsProps) {
  const scale = useContext(ScaleContext);
  const { points } = useWallPhoto();
  return (
    <g>
      <PhotoBehind room={room} wallId={wallId} wallHeightMm={heightMm} opacity={0.8} />
      <rect
        data-testid="photo-points"
        x={0}
        y={0}
        width={widthMm * scale}
        height={heightMm * scale}
        fill="transparent"
        className="cursor-crosshair"
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          const point = {
            xMm: (event.clientX - box.left) / scale,
            yMm: heightMm - (event.clientY - box.top) / scale,
          };
          useWallPhoto.setState({ points: points.length === 2 ? [point] : [...points, point] });
        }}
      />
      {points.map(({ xMm, yMm }, i) => (
        <g key={i} pointerEvents="none" transform={`translate(${xMm * scale} ${(heightMm - yMm) * scale})`}>
          <circle r="7" fill="var(--color-paper)" stroke="var(--color-madder)" strokeWidth="3" />
          <text
            x="12"
            y="5"
            fontSize="14"
            fontWeight="600"
            fill="var(--color-madder)"
            stroke="var(--color-paper)"
            strokeWidth="3"
            paintOrder="stroke"
          >
            {i + 1}
          </text>
        </g>
      ))}
      {points.length === 2 && (
        <path
          pointerEvents="none"
          d={`M${points[0]!.xMm * scale} ${(heightMm - points[0]!.yMm) * scale}L${points[1]!.xMm * scale} ${(heightMm - points[1]!.yMm) * scale}`}
          stroke="var(--color-madder)"
          strokeWidth="2"
          strokeDasharray="5 4"
        />
      )}
    </g>
  );
}
