import { fail, ok, type Result } from '../result/index.ts';
import { sayIn, spellOut, type Spelling } from '../spelling/index.ts';
import { readShort, writeShort, type UnitSystem } from '../units/index.ts';
import type { ScrapSize } from './sizes.ts';

const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`;
const LINE = new RegExp(
  String.raw`^(squares?|strips?)\s+${NUMBER}\s*(?:cm|in|")?(?:\s+from\s+${NUMBER}\s*(?:cm|in|")?)?(?:\s+worth\s+${NUMBER})?$`,
  'i',
);
/** A strip is worth something from so many times its width on, where nothing is said. */
const LEAST_TIMES = 5;
const MOST_MM = 2000;

/** A size as it is written, in cm or inches: `square 12.7 worth 4`, `strip 6.35 from 30 worth 5`. */
export function parseSizeLine(text: string, units: UnitSystem, spelling?: Spelling): Result<ScrapSize, 'no-size'> {
  const read = LINE.exec(spellOut(text.trim(), spelling));
  if (!read) return fail('no-size');
  const kind = read[1]!.toLowerCase().startsWith('square') ? 'square' : 'strip';
  const sideMm = readShort(read[2]!, units);
  const [, , , from, said] = read;
  const leastMm = kind === 'square' ? sideMm : from === undefined ? LEAST_TIMES * sideMm : readShort(from, units);
  // Worth by its area, where nothing is said: a square of 2½ inches is worth 1.
  const worth = said === undefined ? (sideMm * leastMm) / 63.5 ** 2 : Number(said.replace(',', '.'));
  if (sideMm < 10 || sideMm > MOST_MM || leastMm < sideMm || leastMm > MOST_MM || !(worth > 0)) return fail('no-size');
  return ok({ id: `${kind}-${Math.round(sideMm * 10)}`, kind, sideMm, leastMm, worth });
}

/** The same, written. */
export function formatSizeLine(
  { kind, sideMm, leastMm, worth }: ScrapSize,
  units: UnitSystem,
  spelling?: Spelling,
): string {
  const say = (word: string) => sayIn(spelling, word);
  const from = kind === 'strip' ? ` ${say('from')} ${writeShort(leastMm, units)}` : '';
  return `${say(kind)} ${writeShort(sideMm, units)}${from} ${say('worth')} ${Math.round(worth * 100) / 100}`;
}
