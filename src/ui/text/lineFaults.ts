import type { LineFault, PackFault } from '../../workers/protocol.ts';

/** Why something that is worked out in the background was not. */
export function wordLineFault({ code, note }: LineFault): string {
  switch (code) {
    case 'slow':
      return `It took longer than ${note} and was given up.`;
    case 'stopped':
      return 'It was stopped.';
    case 'failed':
      return note === '' ? 'It could not be done.' : `It could not be done (${note}).`;
  }
}

/** Why a file was not written. */
export function wordPackFault(fault: PackFault): string {
  const { code, note } = fault;
  if (code !== 'unproved') return wordLineFault({ code, note });
  return note === '' ? 'It would not come back the same.' : `It would not read back (${note}).`;
}
