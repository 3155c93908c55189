import type { BundleFault } from '../../core/formats/index.ts';

/** Why a file of a household was not opened. */
export function wordBundleFault({ code, path, note }: BundleFault): string {
  switch (code) {
    case 'empty':
      return 'The file is empty.';
    case 'not-a-bundle':
      return `This is not a Yardmist file: ${note}.`;
    case 'damaged':
      return 'The file is damaged: it breaks off or does not unpack.';
    case 'too-large':
      return `The file unpacks to ${note}; that is refused.`;
    case 'too-new':
      return `The file was written by a later Yardmist (${note}). Update this one first.`;
    case 'record':
    case 'duplicate':
    case 'invariant':
    case 'daybook':
      return `${path}: ${code === 'duplicate' ? `the id ${note} stands there twice` : note}`;
  }
}
