import type { RowFault, TableFault } from '../../core/formats/csv/index.ts';
import type { PictureFault } from '../../core/formats/index.ts';
import type { UnitSystem } from '../../core/units/index.ts';
import { wordAmountFault } from './faults.ts';

export function wordTableFault({ code, limit }: TableFault): string {
  switch (code) {
    case 'empty':
      return 'There is nothing in it.';
    case 'too-many-rows':
      return `It has more than ${limit.toLocaleString('en')} rows; that is no sewing room. Split it, or check that it is the right file. Nothing was read.`;
    case 'too-large':
      return `It is larger than ${limit / 1e6} MB. Nothing was read.`;
    case 'not-text':
      return 'That is no table: it holds signs that no text has. Save it as CSV first.';
  }
}

/** Why a file is not taken as a photo, and what to do. */
export function wordPictureFault({ code, megapixels }: PictureFault): string {
  switch (code) {
    case 'not-a-picture':
      return 'That is no picture.';
    case 'drawing':
      return 'That is a drawing (SVG), not a photo. Save it as PNG or JPEG first.';
    case 'unsupported':
      return 'This kind of picture is not read here. Save it as JPEG, PNG or WebP first.';
    case 'too-large':
      return `It has ${Math.round(megapixels ?? 0)} million pixels; up to 100 are taken. Make it smaller first.`;
    case 'broken':
      return 'The picture is broken, or breaks off.';
  }
}

/** Why a cell is not taken, and what would do. */
export function wordRowFault(fault: RowFault, units: UnitSystem): string {
  switch (fault.code) {
    case 'missing':
      return 'This is needed.';
    case 'not-one-of': {
      const among = fault.oneOf ?? [];
      return `“${fault.text}” is not known. Try ${among.slice(0, 6).join(', ')}${among.length > 6 ? ' …' : ''}.`;
    }
    case 'not-a-day':
      return `“${fault.text}” is no day. Try 2027-05-31.`;
    case 'no-colour':
      return `“${fault.text}” is no colour that is known. Try navy, dark green or #2f5d7c.`;
    case 'too-long':
      return 'That is too long.';
    case 'record':
      return fault.note ?? 'That is not taken.';
    case 'no-such-item':
      return `There is no “${fault.text}”.`;
    default:
      return wordAmountFault(
        { code: fault.code, text: fault.text, unit: fault.unit },
        units === 'metric' ? '3.4 m or 140 cm' : '2 1/2 yd or 54 in',
      );
  }
}
