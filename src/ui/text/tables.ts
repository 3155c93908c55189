import type { RowFault, TableFault } from '../../core/formats/csv/index.ts';
import type { PictureFault } from '../../core/formats/index.ts';
import type { UnitSystem } from '../../core/units/index.ts';
import { wordAmountFault } from './faults.ts';
import { wordRecordFaults } from './recordFaults.ts';
import { sayIn } from '../../core/spelling/index.ts';
import { formatNumber, getLineLanguage, t } from '../language/index.ts';

export function wordTableFault({ code, limit }: TableFault): string {
  switch (code) {
    case 'empty':
      return t('There is nothing in it.');
    case 'too-many-rows':
      return t(
        'It has more than {limit} rows; that is no sewing room. Split it, or check that it is the right file. Nothing was read.',
        { limit: formatNumber(limit) },
      );
    case 'too-large':
      return t('It is larger than {limit} MB. Nothing was read.', { limit: limit / 1e6 });
    case 'not-text':
      return t('That is no table: it holds signs that no text has. Save it as CSV first.');
  }
}

/** Why a file is not taken as a photo, and what to do. */
export function wordPictureFault({ code, megapixels }: PictureFault): string {
  switch (code) {
    case 'not-a-picture':
      return t('That is no picture.');
    case 'drawing':
      return t('That is a drawing (SVG), not a photo. Save it as PNG or JPEG first.');
    case 'unsupported':
      return t('This kind of picture is not read here. Save it as JPEG, PNG or WebP first.');
    case 'too-large':
      return t('It has {megapixels} million pixels; up to 100 are taken. Make it smaller first.', {
        megapixels: Math.round(megapixels ?? 0),
      });
    case 'broken':
      return t('The picture is broken, or breaks off.');
  }
}

/** A word as it may be typed where screens are in another language. */
const sayAsTyped = (word: string) => sayIn(getLineLanguage()?.line, word);

/** Why a cell is not taken, and what would do. */
export function wordRowFault(fault: RowFault, units: UnitSystem): string {
  switch (fault.code) {
    case 'missing':
      return t('This is needed.');
    case 'not-one-of': {
      const among = fault.oneOf ?? [];
      return t('“{text}” is not known. Try {words}.', {
        text: fault.text,
        words: [...among.slice(0, 6).map(sayAsTyped), ...(among.length > 6 ? ['…'] : [])].join(', '),
      });
    }
    case 'not-a-day':
      return t('“{fault}” is no day. Try 2027-05-31.', { fault: fault.text });
    case 'no-colour':
      return t('“{fault}” is no colour that is known. Try navy, dark green or #2f5d7c.', { fault: fault.text });
    case 'too-long':
      return t('That is too long.');
    case 'record':
      return fault.record ? wordRecordFaults([fault.record], units) : t('That is not taken.');
    case 'no-such-item':
      return t('There is no “{fault}”.', { fault: fault.text });
    default:
      return wordAmountFault(
        { code: fault.code, text: fault.text, unit: fault.unit },
        units === 'metric' ? t('3.4 m or 140 cm') : t('2 1/2 yd or 54 in'),
      );
  }
}
