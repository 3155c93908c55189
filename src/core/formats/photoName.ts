import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import type { PhotoId } from '../records/index.ts';

/** Photos are named by the first half of their hash. */
export function namePhoto(bytes: Uint8Array): PhotoId {
  return bytesToHex(sha256(bytes).subarray(0, 16)) as PhotoId;
}
