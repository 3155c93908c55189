import type { LineFault, PackFault } from '../../workers/protocol.ts';
import { t } from '../language/index.ts';

/** Why something that is worked out in the background was not. */
export function wordLineFault({ code, note }: LineFault): string {
  switch (code) {
    case 'slow':
      return t('It took longer than {note} and was given up.', { note });
    case 'stopped':
      return t('It was stopped.');
    case 'failed':
      return note === '' ? t('It could not be done.') : t('It could not be done ({note}).', { note });
  }
}

/** Why a file was not written. */
export function wordPackFault(fault: PackFault): string {
  const { code, note } = fault;
  if (code !== 'unproved') return wordLineFault({ code, note });
  return note === '' ? t('It would not come back the same.') : t('It would not read back ({note}).', { note });
}
