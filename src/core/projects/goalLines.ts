import { COLOUR_FAMILIES } from '../colour/index.ts';
import type { GoalLine } from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { readShort, writeShort, type UnitSystem } from '../units/index.ts';
import { sayIn, spellOut, type Spelling } from '../spelling/index.ts';

const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`;
const LINE = new RegExp(
  String.raw`^(\d+)\s+(?:(${COLOUR_FAMILIES.join('|')})\s+)?(squares?|strips?)\s+(?:of\s+)?${NUMBER}\s*(?:cm|in|")?(?:\s+(?:by|x|×)\s+${NUMBER}\s*(?:cm|in|")?)?$`,
  'i',
);
const MOST = 1_000_000;

/** A line of a goal as it is written, in cm or inches: `120 blue squares 12.7`, `20 strips 6.35 by 100`. */
export function parseGoalLine(
  text: string,
  units: UnitSystem,
  spelling?: Spelling,
): Result<GoalLine, 'no-line' | 'too-many'> {
  const read = LINE.exec(spellOut(text.trim(), spelling));
  if (!read) return fail('no-line');
  const [, many, colour, kind, side, long] = read as unknown as [string, string, string?, string?, string?, string?];
  const cut = kind!.toLowerCase().startsWith('square') ? 'square' : 'strip';
  const [count, sideMm] = [Number(many), readShort(side!, units)];
  const longMm = cut === 'strip' && long !== undefined ? readShort(long, units) : undefined;
  if (count > MOST) return fail('too-many');
  if (count < 1 || sideMm < 10 || sideMm > 2000 || (longMm !== undefined && (longMm < sideMm || longMm > 10_000)))
    return fail('no-line');
  return ok({
    cut,
    sideMm,
    count,
    ...(longMm !== undefined && { longMm }),
    ...(colour && { colour: colour.toLowerCase() }),
  });
}

/** The same, written. */
export function formatGoalLine(
  { cut, sideMm, longMm, count, colour }: GoalLine,
  units: UnitSystem,
  spelling?: Spelling,
): string {
  const say = (word: string) => sayIn(spelling, word);
  const by = longMm === undefined ? '' : ` ${say('by')} ${writeShort(longMm, units)}`;
  return `${count} ${colour ? `${say(colour)} ` : ''}${say(count === 1 ? cut : `${cut}s`)} ${writeShort(sideMm, units)}${by}`;
}
