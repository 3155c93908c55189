import type { BoxSize } from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { readShort, writeShort, type UnitSystem } from '../units/index.ts';

const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`;
const TIMES = String.raw`\s*(?:x|×|by)\s*`;
const LINE = new RegExp(
  String.raw`^(\d+)\s+(?:(.*?)\s+)?${NUMBER}${TIMES}${NUMBER}${TIMES}${NUMBER}\s*(?:cm|in|")?$`,
  'iu',
);
/**
 * Boxes of one size as they are written, in cm or inches: `20 middle 60 x 40 x 40`, inside, across × deep × high. Where no name is
 * said, they have the usual one.
 */
export function parseBoxLine(
  text: string,
  units: UnitSystem,
  usualName = 'boxes',
): Result<Omit<BoxSize, 'id'>, 'no-box'> {
  const read = LINE.exec(text.trim());
  if (!read) return fail('no-box');
  const count = Number(read[1]);
  const [widthMm, depthMm, heightMm] = [read[3]!, read[4]!, read[5]!].map((side) => readShort(side, units)) as [
    number,
    number,
    number,
  ];
  const isBox = [widthMm, depthMm, heightMm].every((mm) => mm >= 50 && mm <= 3000);
  if (!isBox || count < 1 || count > 500) return fail('no-box');
  return ok({ name: (read[2]?.trim() || usualName).slice(0, 60), widthMm, depthMm, heightMm, count });
}

/** The same, written. */
export function formatBoxLine(
  { name, widthMm, depthMm, heightMm, count }: Omit<BoxSize, 'id'>,
  units: UnitSystem,
): string {
  return `${count} ${name} ${[widthMm, depthMm, heightMm].map((mm) => writeShort(mm, units)).join(' x ')}`;
}
