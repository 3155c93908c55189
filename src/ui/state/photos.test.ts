import 'fake-indexeddb/auto';
import { expect, it, vi } from 'vitest';
import type { Photo, PhotoId } from '../../core/records/index.ts';
import { tellPhotosCame } from './photos.ts';

it('gives up the addresses of photos that no screen shows, the longest idle first', () => {
  const open = new Set<string>();
  let count = 0;
  vi.spyOn(URL, 'createObjectURL').mockImplementation(() => {
    const url = `blob:${(count += 1)}`;
    open.add(url);
    return url;
  });
  vi.spyOn(URL, 'revokeObjectURL').mockImplementation((url) => void open.delete(url));
  const bytes = new Uint8Array([1]);
  const photos = Array.from({ length: 200 }, (_, n): Photo => {
    const id = n.toString(16).padStart(32, '0') as PhotoId;
    return { id, type: 'image/webp', bytes, swatch: bytes };
  });
  for (const photo of photos) tellPhotosCame([photo]);
  expect(count).toBe(400);
  // A swatch and the whole picture of each of the last 120.
  expect(open.size).toBe(240);
  expect(open.has('blob:1')).toBe(false);
  expect(open.has('blob:400')).toBe(true);
});
