import { Unzip, UnzipInflate } from 'fflate';
import { fail, ok, type Result } from '../result/index.ts';

/** What is wrong with a bundle file. `path` leads to the record and field, `note` is for people who mend files. */
export interface BundleFault {
  readonly code:
    'empty' | 'not-a-bundle' | 'damaged' | 'too-large' | 'too-new' | 'record' | 'duplicate' | 'invariant' | 'daybook';
  readonly path: string;
  readonly note: string;
}

/** Unpacked contents above this are not a sewing room; a zip bomb is refused before it is unpacked. */
const MAX_UNPACKED = 400_000_000;

/**
 * Unpacks the files of an archive that are wanted, piece by piece, and stops as soon as they grow past the
 * limit: sizes written in a zip may lie.
 */
export function unpack(
  bytes: Uint8Array,
  isWanted: (name: string) => boolean,
): Result<ReadonlyMap<string, Uint8Array>, BundleFault[]> {
  const no = (code: BundleFault['code'], note: string) => fail<BundleFault[]>([{ code, path: '', note }]);
  if (bytes.length === 0) return no('empty', 'the file is empty');
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b) return no('not-a-bundle', 'the file is not a zip archive');
  const found = new Map<string, { chunks: Uint8Array[]; size: number; isDone: boolean }>();
  let size = 0;
  let isTooLarge = false;
  let broken = '';
  const unzip = new Unzip((file) => {
    if (!isWanted(file.name) || found.has(file.name)) return;
    const entry = { chunks: [] as Uint8Array[], size: 0, isDone: false };
    found.set(file.name, entry);
    file.ondata = (error, chunk, final) => {
      if (error) {
        broken = error.message;
        return;
      }
      size += chunk.length;
      entry.size += chunk.length;
      if (size > MAX_UNPACKED) {
        isTooLarge = true;
        file.terminate();
      } else entry.chunks.push(chunk);
      entry.isDone ||= final;
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length && !isTooLarge; at += 65_536)
      unzip.push(bytes.subarray(at, at + 65_536), at + 65_536 >= bytes.length);
  } catch (error) {
    broken = String(error);
  }
  if (isTooLarge) return no('too-large', `more than ${MAX_UNPACKED / 1e6} MB unpacked`);
  const isShort = [...found.values()].some((entry) => !entry.isDone);
  if (broken !== '' || isShort) return no('damaged', broken || 'the archive ends too early');
  const files = new Map<string, Uint8Array>();
  for (const [name, { chunks, size: length }] of found) {
    const whole = new Uint8Array(length);
    let at = 0;
    for (const chunk of chunks) {
      whole.set(chunk, at);
      at += chunk.length;
    }
    files.set(name, whole);
  }
  return ok(files);
}
