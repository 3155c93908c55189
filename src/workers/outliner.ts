import { ok } from '../core/result/index.ts';
import { PAPERS, readScrapPhoto, type Spot } from '../core/scraps/index.ts';
import { serveLine } from './desk.ts';
import type { Outlined, ToOutliner } from './protocol.ts';

/** A scrap is measured well enough at this size, and in a moment. */
const SIDE_PX = 640;

async function outline({ file, paper, sheet }: ToOutliner): Promise<Outlined> {
  let picture: ImageBitmap;
  try {
    picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return { ok: false, fault: 'no-picture' };
  }
  try {
    const shrink = Math.min(1, SIDE_PX / Math.max(picture.width, picture.height));
    const [widthPx, heightPx] = [
      Math.max(1, Math.round(picture.width * shrink)),
      Math.max(1, Math.round(picture.height * shrink)),
    ];
    const canvas = new OffscreenCanvas(widthPx, heightPx);
    const context = canvas.getContext('2d');
    if (!context) throw new Error('no canvas');
    context.imageSmoothingQuality = 'high';
    context.drawImage(picture, 0, 0, widthPx, heightPx);
    const { data } = context.getImageData(0, 0, widthPx, heightPx);
    const said = sheet?.map(({ x, y }) => ({ x: x * widthPx, y: y * heightPx }));
    const read = readScrapPhoto({ data, widthPx, heightPx }, PAPERS[paper], said);
    if (!read.ok) return read;
    const toShare = ({ x, y }: Spot): Spot => ({ x: x / widthPx, y: y / heightPx });
    return ok({ ...read.value, sheet: read.value.sheet.map(toShare), edge: read.value.edge.map(toShare) });
  } finally {
    picture.close();
  }
}

serveLine<ToOutliner, Outlined>(outline);
