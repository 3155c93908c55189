import { describe, expect, it } from 'vitest';
import { formatChoreLine, parseChoreLine } from './index.ts';

describe('a chore as it is written', () => {
  it.each([
    ['oil every 8 h', { work: 'oil', everyHours: 8 }],
    ['Service every 12 months or 100 hours', { work: 'service', everyDays: 360, everyHours: 100 }],
    ['clean out the lint every week', { work: 'lint', everyDays: 7 }],
    ['change the blade every 20 h', { work: 'blade', everyHours: 20 }],
    ['wipe the belt every year', { work: 'other', name: 'wipe the belt', everyDays: 365 }],
    ['air every 0.5 years', { work: 'air', everyDays: 183 }],
  ])('reads %s, and is written the same', (text, said) => {
    const read = parseChoreLine(text);
    expect(read).toEqual({ ok: true, value: said });
    if (read.ok) expect(parseChoreLine(formatChoreLine(read.value))).toEqual(read);
  });

  it.each(['oil', 'oil every now and then', 'every 8 h', 'oil every 0 days', 'oil every 99999 h', ''])(
    'refuses “%s”',
    (text) => expect(parseChoreLine(text)).toEqual({ ok: false, fault: 'no-chore' }),
  );
});
