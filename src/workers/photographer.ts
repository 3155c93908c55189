import { findInPhoto } from '../core/colour/index.ts';
import { namePhoto, readPictureHead } from '../core/formats/index.ts';
import type { Photo } from '../core/records/index.ts';
import { serveLine } from './desk.ts';
import type { Developed } from './protocol.ts';

const SIDE_PX = 640;
const SWATCH_PX = 128;
const LOOK_PX = 96;
const QUALITY = 0.82;

function draw(picture: ImageBitmap, width: number, height: number, crop?: number): OffscreenCanvas {
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no canvas');
  if (crop === undefined) context.drawImage(picture, 0, 0, width, height);
  else {
    const [x, y] = [(picture.width - crop) / 2, (picture.height - crop) / 2];
    context.drawImage(picture, x, y, crop, crop, 0, 0, width, height);
  }
  return canvas;
}

async function encode(canvas: OffscreenCanvas): Promise<{ type: Photo['type']; bytes: Uint8Array }> {
  const blob = await canvas.convertToBlob({ type: 'image/webp', quality: QUALITY });
  const written =
    blob.type === 'image/webp' ? blob : await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
  return { type: written.type as Photo['type'], bytes: new Uint8Array(await written.arrayBuffer()) };
}

/** Re-encodes one file small, without its metadata, and looks what is on it. */
async function develop(file: Blob): Promise<Developed> {
  const head = readPictureHead(new Uint8Array(await file.slice(0, 262_144).arrayBuffer()));
  if (!head.ok) return { type: 'refused', fault: head.fault };
  const { widthPx, heightPx } = head.value;
  const scale = Math.min(1, SIDE_PX / Math.max(widthPx, heightPx));
  let picture: ImageBitmap;
  try {
    // Scaled while it is decoded, and upright as the camera was held.
    picture = await createImageBitmap(file, {
      imageOrientation: 'from-image',
      resizeQuality: 'medium',
      ...(scale < 1 && (widthPx >= heightPx ? { resizeWidth: SIDE_PX } : { resizeHeight: SIDE_PX })),
    });
  } catch {
    return { type: 'refused', fault: { code: 'broken' } };
  }
  try {
    const shrink = Math.min(1, SIDE_PX / Math.max(picture.width, picture.height));
    const [width, height] = [picture.width, picture.height].map((px) => Math.max(1, Math.round(px * shrink))) as [
      number,
      number,
    ];
    const { type, bytes } = await encode(draw(picture, width, height));
    // The middle half: there the cloth is, and neither table nor thumb.
    const crop = Math.min(picture.width, picture.height) * 0.6;
    const swatch = await encode(draw(picture, SWATCH_PX, SWATCH_PX, crop));
    const look = draw(picture, LOOK_PX, LOOK_PX, crop).getContext('2d')!.getImageData(0, 0, LOOK_PX, LOOK_PX);
    const findings = findInPhoto({ data: look.data, widthPx: LOOK_PX, heightPx: LOOK_PX });
    const photo: Photo = { id: namePhoto(bytes), type, bytes, swatch: swatch.bytes };
    return { type: 'developed', photo, findings };
  } finally {
    picture.close();
  }
}

serveLine<Blob, Developed>(develop);
