import { deflateSync } from 'node:zlib';
import type { Page } from '@playwright/test';

/** A PNG of one grey, as large as wanted: it packs to almost nothing. */
export function createPng(width: number, height: number): Buffer {
  const crc = (bytes: Buffer) => {
    let c = 0xff_ff_ff_ff;
    for (const byte of bytes) {
      c ^= byte;
      for (let k = 0; k < 8; k += 1) c = c & 1 ? 0xed_b8_83_20 ^ (c >>> 1) : c >>> 1;
    }
    return (c ^ 0xff_ff_ff_ff) >>> 0;
  };
  const chunk = (name: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(name), data]);
    const whole = Buffer.alloc(body.length + 8);
    whole.writeUInt32BE(data.length);
    body.copy(whole, 4);
    whole.writeUInt32BE(crc(body), body.length + 4);
    return whole;
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width);
  head.writeUInt32BE(height, 4);
  head[8] = 8;
  const rows = Buffer.alloc((width + 1) * height, 0x66);
  for (let y = 0; y < height; y += 1) rows[y * (width + 1)] = 0;
  const mark = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  return Buffer.concat([
    mark,
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(rows, { level: 1 })),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

/** Photos as a phone writes them: each of another colour, with where it was taken in its head. */
export async function createPhonePhotos(page: Page, count: number): Promise<Buffer[]> {
  const drawn = await page.evaluate(async (many) => {
    const canvas = new OffscreenCanvas(900, 1200);
    const context = canvas.getContext('2d')!;
    const made: string[] = [];
    for (let n = 0; n < many; n += 1) {
      for (let stripe = 0; stripe < 12; stripe += 1) {
        context.fillStyle = `hsl(${(n * 37 + stripe * 9) % 360} 60% ${30 + stripe * 3}%)`;
        context.fillRect(0, stripe * 100, 900, 100);
      }
      const bytes = new Uint8Array(await (await canvas.convertToBlob({ type: 'image/jpeg' })).arrayBuffer());
      let text = '';
      for (const byte of bytes) text += String.fromCharCode(byte);
      made.push(btoa(text));
    }
    return made;
  }, count);
  return drawn.map((text) => {
    const bytes = Buffer.from(text, 'base64');
    return Buffer.concat([bytes.subarray(0, 2), createGps(), bytes.subarray(2)]);
  });
}

/** A head as cameras write it, with a place in it. */
function createGps(): Buffer {
  const words = Buffer.from('Exif\0\0MM\0*\0\0\0\x08GPSLatitude 12 34 56 N GPSLongitude 1 2 3 E');
  const head = Buffer.from([0xff, 0xe1, 0, 0]);
  head.writeUInt16BE(words.length + 2, 2);
  return Buffer.concat([head, words]);
}

/** A picture of one colour, as a camera would give it. */
export async function createPlainPhoto(page: Page, colour: string): Promise<Buffer> {
  const bytes = await page.evaluate(async (fill) => {
    const canvas = new OffscreenCanvas(120, 90);
    const context = canvas.getContext('2d')!;
    context.fillStyle = fill;
    context.fillRect(0, 0, 120, 90);
    return [...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())];
  }, colour);
  return Buffer.from(bytes);
}
