import { fail, ok, type Result } from '../result/index.ts';

/** Why a file is not taken as a photo. */
export interface PictureFault {
  readonly code: 'not-a-picture' | 'drawing' | 'unsupported' | 'too-large' | 'broken';
  /** Millions of pixels, where that is what is wrong. */
  readonly megapixels?: number;
}

/** What stands in the head of a picture file. */
export interface PictureHead {
  readonly type: 'image/png' | 'image/jpeg' | 'image/webp' | 'image/gif';
  readonly widthPx: number;
  readonly heightPx: number;
}

/** Decoding takes four bytes a pixel: more than this could exhaust a phone. */
const MOST_PIXELS = 100_000_000;

function text(bytes: Uint8Array, from: number, to: number): string {
  return String.fromCharCode(...bytes.subarray(from, to));
}

/** Width and height from a JPEG's frame header; null where there is none. */
function findJpegSize(bytes: Uint8Array): [number, number] | null {
  let at = 2;
  while (at + 9 < bytes.length) {
    if (bytes[at] !== 0xff) return null;
    const marker = bytes[at + 1]!;
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    const length = bytes[at + 2]! * 256 + bytes[at + 3]!;
    // Start of frame, of any coding but the tables that share its numbers.
    if (marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker))
      return [bytes[at + 7]! * 256 + bytes[at + 8]!, bytes[at + 5]! * 256 + bytes[at + 6]!];
    at += 2 + length;
  }
  return null;
}

function findWebpSize(bytes: Uint8Array): [number, number] | null {
  const u24 = (at: number) => bytes[at]! + bytes[at + 1]! * 256 + bytes[at + 2]! * 65_536;
  const u14 = (at: number) => (bytes[at]! + bytes[at + 1]! * 256) & 0x3fff;
  switch (text(bytes, 12, 16)) {
    case 'VP8X':
      return [u24(24) + 1, u24(27) + 1];
    case 'VP8 ':
      return [u14(26), u14(28)];
    case 'VP8L': {
      const bits = bytes[21]! + bytes[22]! * 256 + bytes[23]! * 65_536 + bytes[24]! * 16_777_216;
      return [(bits & 0x3fff) + 1, ((bits >>> 14) & 0x3fff) + 1];
    }
    default:
      return null;
  }
}

/**
 * Looks at the first bytes of a file: what it is by its own mark, never by its name, and how large, before
 * anything is decoded. Drawings (SVG) are refused: they are programs, not pictures.
 */
export function readPictureHead(bytes: Uint8Array): Result<PictureHead, PictureFault> {
  if (bytes.length < 30) return fail({ code: 'broken' });
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let type: PictureHead['type'];
  let size: [number, number] | null;
  if (text(bytes, 1, 4) === 'PNG' && bytes[0] === 0x89) {
    type = 'image/png';
    size = text(bytes, 12, 16) === 'IHDR' ? [view.getUint32(16), view.getUint32(20)] : null;
  } else if (bytes[0] === 0xff && bytes[1] === 0xd8) {
    type = 'image/jpeg';
    size = findJpegSize(bytes);
  } else if (text(bytes, 0, 4) === 'RIFF' && text(bytes, 8, 12) === 'WEBP') {
    type = 'image/webp';
    size = findWebpSize(bytes);
  } else if (text(bytes, 0, 4) === 'GIF8') {
    type = 'image/gif';
    size = [view.getUint16(6, true), view.getUint16(8, true)];
  } else if (text(bytes, 4, 8) === 'ftyp') return fail({ code: 'unsupported' });
  else {
    const start = new TextDecoder().decode(bytes.subarray(0, 1000)).trimStart().toLowerCase();
    return fail({
      code:
        start.startsWith('<svg') || (start.startsWith('<?xml') && start.includes('<svg')) ? 'drawing' : 'not-a-picture',
    });
  }
  if (!size || size[0] === 0 || size[1] === 0) return fail({ code: 'broken' });
  const [widthPx, heightPx] = size;
  if (widthPx * heightPx > MOST_PIXELS) return fail({ code: 'too-large', megapixels: (widthPx * heightPx) / 1e6 });
  return ok({ type, widthPx, heightPx });
}
