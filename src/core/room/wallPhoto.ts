import type { PhotoId, PlanPoint, WallPhoto } from '../records/index.ts';

/** A photo that was just taken, as wide as its wall, standing on the floor; its sides are as those of its picture. */
export function createWallPhoto(
  wallId: string,
  photoId: PhotoId,
  wallMm: number,
  { width, height }: { readonly width: number; readonly height: number },
): WallPhoto {
  return { wallId, photoId, xMm: 0, yMm: 0, widthMm: wallMm, heightMm: (wallMm * height) / width };
}

/**
 * Scales a photo so that two of its points are as far from each other as they are on the real wall; the first stays where it is.
 * Points and distance in mm, from the wall's left end and the floor. Null where the two are one, or the picture would be out of all
 * measure.
 */
export function scaleByPoints(photo: WallPhoto, a: PlanPoint, b: PlanPoint, realMm: number): WallPhoto | null {
  const drawnMm = Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm);
  const by = realMm / drawnMm;
  const [widthMm, heightMm] = [photo.widthMm * by, photo.heightMm * by];
  if (drawnMm < 1 || !(realMm > 0) || Math.min(widthMm, heightMm) < 10 || Math.max(widthMm, heightMm) > 1e5)
    return null;
  return {
    ...photo,
    widthMm,
    heightMm,
    xMm: a.xMm - (a.xMm - photo.xMm) * by,
    yMm: a.yMm - (a.yMm - photo.yMm) * by,
  };
}
