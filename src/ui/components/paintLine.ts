import type { PaintLine } from '../../core/formats/sheet/pdf.ts';
import { FONTS, INK } from '../../core/formats/sheet/index.ts';

/** As sharp as a printer prints. */
const PX_PER_MM = 600 / 25.4;
/** A canvas that is wider may be refused. */
const MOST_PX = 4096;

/** A line as the machine's own letters write it, on nothing. */
export const paintLine: PaintLine = async (text, sizeMm) => {
  const canvas = document.createElement('canvas');
  const pen = canvas.getContext('2d');
  if (!pen) return null;
  const write = (pxPerMm: number) => {
    pen.font = `${sizeMm * pxPerMm}px ${FONTS}`;
    return pen.measureText(text);
  };
  const pxPerMm = PX_PER_MM * Math.min(1, MOST_PX / write(PX_PER_MM).width);
  const { width, actualBoundingBoxAscent, actualBoundingBoxDescent } = write(pxPerMm);
  const [above, below] = [Math.ceil(actualBoundingBoxAscent) + 1, Math.ceil(actualBoundingBoxDescent) + 1];
  canvas.width = Math.ceil(width);
  canvas.height = above + below;
  // What a canvas is set to is forgotten with a new size.
  write(pxPerMm);
  pen.fillStyle = INK;
  pen.fillText(text, 0, above);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve));
  if (!blob) return null;
  return {
    png: new Uint8Array(await blob.arrayBuffer()),
    widthMm: canvas.width / pxPerMm,
    aboveMm: above / pxPerMm,
    belowMm: below / pxPerMm,
  };
};
