import type { Scanned } from '../../core/labels/index.ts';
import { perLanguage, t } from '../language/index.ts';

/** Words of the scan screen. */

const FAULTS = perLanguage((): Record<Extract<Scanned, { kind: 'fault' }>['fault'], string> => ({
  'no-code': t('That is no code of a label: those have nine letters and figures.'),
  'no-such-letter': t('No code has such letters: neither vowels, nor 0, nor 1. Look once more.'),
  mistyped: t('One letter is wrong, or two changed places. Look once more; nothing was done.'),
  unknown: t(
    'Nothing here bears this code: its place or thing was taken out, or the label was never printed from here.',
  ),
  'other-household': t('This label belongs to another household. Nothing was done.'),
}));

export const wordScanFault = (fault: Extract<Scanned, { kind: 'fault' }>['fault']): string => FAULTS()[fault];
