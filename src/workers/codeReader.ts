import { decodeQRBatch } from 'qr/decode.js';
import { serveLine } from './desk.ts';

/** A label fills a good part of a picture: in more pixels it is not read better, only more slowly. */
const SIDE_PX = 1600;
/** A still picture is worth waiting for; a camera sends another one at once. */
const STILL_MS = 2500;
const FRAME_MS = 120;

/** All codes on a picture; null where it is no picture. */
async function readCodes(picture: Blob | ImageBitmap): Promise<string[] | null> {
  let bitmap: ImageBitmap;
  try {
    bitmap = picture instanceof Blob ? await createImageBitmap(picture, { imageOrientation: 'from-image' }) : picture;
  } catch {
    return null;
  }
  try {
    const scale = Math.min(1, SIDE_PX / Math.max(bitmap.width, bitmap.height));
    const [width, height] = [
      Math.max(1, Math.round(bitmap.width * scale)),
      Math.max(1, Math.round(bitmap.height * scale)),
    ];
    const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
    if (!context) return null;
    context.drawImage(bitmap, 0, 0, width, height);
    const { data } = context.getImageData(0, 0, width, height);
    const [found = []] = await decodeQRBatch([{ width, height, data }], {
      timeLimit: picture instanceof Blob ? STILL_MS : FRAME_MS,
    });
    return found.filter((one) => typeof one === 'string');
  } catch {
    // Nothing on it that could be read.
    return [];
  } finally {
    bitmap.close();
  }
}

serveLine<Blob | ImageBitmap, readonly string[] | null>(readCodes);
