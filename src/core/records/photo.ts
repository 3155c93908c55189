import type { PhotoId } from './ids.ts';

/** A photo as it is kept: re-encoded small, without anything but the picture. Never changed; named by its content. */
export interface Photo {
  readonly id: PhotoId;
  /** `image/webp`, or `image/jpeg` where a browser cannot write the other. */
  readonly type: 'image/webp' | 'image/jpeg';
  /** At most 640 pixels a side. */
  readonly bytes: Uint8Array;
  /** A small square of its middle, for drawings. */
  readonly swatch: Uint8Array;
}
