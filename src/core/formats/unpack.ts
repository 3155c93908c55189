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

/** The remainders of a cyclic redundancy check over one byte; ISO 3309, as archives have it. */
const REMAINDERS = Uint32Array.from({ length: 256 }, (_, byte) => {
  let rest = byte;
  for (let bit = 0; bit < 8; bit += 1) rest = rest & 1 ? (rest >>> 1) ^ 0xedb88320 : rest >>> 1;
  return rest;
});

function addToCheck(check: number, bytes: Uint8Array): number {
  let rest = check;
  for (const byte of bytes) rest = REMAINDERS[(rest ^ byte) & 0xff]! ^ (rest >>> 8);
  return rest;
}

const END_MARK = 0x06054b50;
const ENTRY_MARK = 0x02014b50;
const END_SIZE = 22;
const ENTRY_SIZE = 46;
/** A comment may follow the end of the list. */
const MOST_COMMENT = 65_535;

/** The check sums that the list at the end of an archive gives, by name; null where there is no such list. */
function readCheckSums(bytes: Uint8Array): ReadonlyMap<string, number> | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let end = bytes.length - END_SIZE;
  const least = Math.max(0, end - MOST_COMMENT);
  while (end >= least && view.getUint32(end, true) !== END_MARK) end -= 1;
  if (end < least) return null;
  const count = view.getUint16(end + 10, true);
  let at = view.getUint32(end + 16, true);
  const sums = new Map<string, number>();
  for (let n = 0; n < count; n += 1) {
    if (at + ENTRY_SIZE > end || view.getUint32(at, true) !== ENTRY_MARK) return null;
    const length = view.getUint16(at + 28, true);
    const name = new TextDecoder().decode(bytes.subarray(at + ENTRY_SIZE, at + ENTRY_SIZE + length));
    // Two of one name: which of them was unpacked is not said.
    sums.set(name, sums.has(name) ? Number.NaN : view.getUint32(at + 16, true));
    at += ENTRY_SIZE + length + view.getUint16(at + 30, true) + view.getUint16(at + 32, true);
  }
  return sums;
}

/** The files of an archive by name, and which of them are not what the archive says they were. */
interface Unpacked {
  readonly files: ReadonlyMap<string, Uint8Array>;
  readonly broken: ReadonlySet<string>;
}

/**
 * Unpacks the files of an archive that are wanted, piece by piece, and stops as soon as they grow past the limit: sizes
 * written in a zip may lie. `mostOf` says how many bytes of a file are taken; 0 where it is not wanted.
 */
export function unpack(bytes: Uint8Array, mostOf: (name: string) => number): Result<Unpacked, BundleFault[]> {
  const no = (code: BundleFault['code'], note: string) => fail<BundleFault[]>([{ code, path: '', note }]);
  if (bytes.length === 0) return no('empty', 'the file is empty');
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b) return no('not-a-bundle', 'the file is not a zip archive');
  const sums = readCheckSums(bytes);
  if (!sums) return no('damaged', 'the archive ends too early');
  const found = new Map<string, { chunks: Uint8Array[]; size: number; check: number; isDone: boolean }>();
  let size = 0;
  let tooLarge = 0;
  let broken = '';
  const unzip = new Unzip((file) => {
    const most = mostOf(file.name);
    if (most === 0 || found.has(file.name)) return;
    const entry = { chunks: [] as Uint8Array[], size: 0, check: 0xffffffff, isDone: false };
    found.set(file.name, entry);
    file.ondata = (error, chunk, final) => {
      if (error) {
        broken = error.message;
        return;
      }
      size += chunk.length;
      entry.size += chunk.length;
      if (size > MAX_UNPACKED || entry.size > most) {
        tooLarge = Math.min(most, MAX_UNPACKED);
        file.terminate();
      } else {
        entry.chunks.push(chunk);
        entry.check = addToCheck(entry.check, chunk);
      }
      entry.isDone ||= final;
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length && tooLarge === 0; at += 65_536)
      unzip.push(bytes.subarray(at, at + 65_536), at + 65_536 >= bytes.length);
  } catch (error) {
    broken = String(error);
  }
  if (tooLarge > 0) return no('too-large', `more than ${tooLarge / 1e6} MB unpacked`);
  const isShort = [...found.values()].some((entry) => !entry.isDone);
  if (broken !== '' || isShort) return no('damaged', broken || 'the archive ends too early');
  const files = new Map<string, Uint8Array>();
  const changed = new Set<string>();
  for (const [name, { chunks, size: length, check }] of found) {
    if ((check ^ 0xffffffff) >>> 0 !== sums.get(name)) changed.add(name);
    const whole = new Uint8Array(length);
    let at = 0;
    for (const chunk of chunks) {
      whole.set(chunk, at);
      at += chunk.length;
    }
    files.set(name, whole);
  }
  return ok({ files, broken: changed });
}
