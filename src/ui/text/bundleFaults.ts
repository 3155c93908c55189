import type { BundleFault } from '../../core/formats/index.ts';
import { t } from '../language/index.ts';

/** Why a file of a household was not opened. */
export function wordBundleFault({ code, path, note }: BundleFault): string {
  switch (code) {
    case 'empty':
      return t('The file is empty.');
    case 'not-a-bundle':
      return t('This is not a Yardmist file: {note}.', { note });
    case 'damaged':
      return t('The file is damaged: it breaks off or does not unpack.');
    case 'too-large':
      return t('The file unpacks to {note}; that is refused.', { note });
    case 'too-new':
      return t('The file was written by a later Yardmist ({note}). Update this one first.', { note });
    case 'record':
    case 'duplicate':
    case 'invariant':
    case 'daybook':
      return `${path}: ${code === 'duplicate' ? t('the id {note} stands there twice', { note }) : note}`;
  }
}
