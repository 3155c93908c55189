import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/index.ts';
import { takePicture } from '../../server/devices/camera.ts';
import { readPictureHead } from './picture.ts';

const bytes = (text: string, length = 60) => {
  const all = new Uint8Array(length);
  all.set(new TextEncoder().encode(text));
  return all;
};
/** A JPEG's beginning: a remark first, then the frame with its size. */
const JPEG = Uint8Array.from([
  0xff, 0xd8, 0xff, 0xfe, 0, 4, 1, 2, 0xff, 0xc2, 0, 11, 8, 0x0b, 0xb8, 0x0f, 0xa0, 3, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0,
  0,
]);

describe('the head of a picture', () => {
  it('says what it is and how large', () => {
    expect(readPictureHead(takePicture(createRandom(1)))).toEqual({
      ok: true,
      value: { type: 'image/png', widthPx: 480, heightPx: 480 },
    });
    expect(readPictureHead(JPEG)).toEqual({ ok: true, value: { type: 'image/jpeg', widthPx: 4000, heightPx: 3000 } });
    const webp = bytes('RIFF....WEBPVP8X');
    webp.set([0x7f, 0x02, 0, 0xdf, 0x01, 0], 24);
    expect(readPictureHead(webp)).toEqual({ ok: true, value: { type: 'image/webp', widthPx: 640, heightPx: 480 } });
  });

  it.each([
    ['a drawing', bytes('<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>', 80), 'drawing'],
    ['a drawing with its prologue', bytes('<?xml version="1.0"?>\n<svg width="5">', 80), 'drawing'],
    ['text', bytes('name,length'), 'not-a-picture'],
    ['what only some cameras read', bytes('....ftypheic'), 'unsupported'],
    ['a stump', Uint8Array.from([0x89, 0x50]), 'broken'],
    ['a JPEG without a frame', Uint8Array.from([0xff, 0xd8, ...Array.from<number>({ length: 40 }).fill(0)]), 'broken'],
  ])('refuses %s', (_, file, code) => expect(readPictureHead(file)).toMatchObject({ fault: { code } }));

  it('refuses what would not go into memory, before it is decoded', () => {
    const bomb = takePicture(createRandom(1));
    new DataView(bomb.buffer).setUint32(16, 60_000);
    new DataView(bomb.buffer).setUint32(20, 50_000);
    expect(readPictureHead(bomb)).toEqual({ ok: false, fault: { code: 'too-large', megapixels: 3000 } });
  });
});
