import type { Flaw } from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { readShort, writeShort, type UnitSystem } from '../units/index.ts';
import { sayIn, spellOut, unspell, type Spelling } from '../spelling/index.ts';

const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`;
const LINE = new RegExp(
  String.raw`^(.*?)\s*${NUMBER}\s*(?:cm|in|")?\s*[x×]\s*${NUMBER}\s*(?:cm|in|")?\s+(?:at\s+)?${NUMBER}\s*(?:cm|in|")?\s*[,;]?\s+${NUMBER}\s*(?:cm|in|")?$`,
  'i',
);

/**
 * A flaw as it is written, in cm or inches: `stain 4 × 6 at 30, 120` is 4 across and 6 along, 30 from the left selvage and 120 from
 * the cut edge.
 */
export function parseFlawLine(text: string, units: UnitSystem, spelling?: Spelling): Result<Flaw, 'no-flaw'> {
  const line = text.trim();
  const read = LINE.exec(spellOut(line, spelling));
  if (!read) return fail('no-flaw');
  const [widthMm, heightMm, xMm, yMm] = [2, 3, 4, 5].map((n) => readShort(read[n]!, units)) as [
    number,
    number,
    number,
    number,
  ];
  if (widthMm < 1 || heightMm < 1 || widthMm > 6000 || xMm > 6000) return fail('no-flaw');
  const note = unspell(read[1]!, line, spelling).trim().slice(0, 80);
  return ok({ xMm, yMm, widthMm, heightMm, ...(note !== '' && { note }) });
}

/** The same, written. */
export function formatFlaw(
  { xMm, yMm, widthMm, heightMm, note }: Flaw,
  units: UnitSystem,
  spelling?: Spelling,
): string {
  const write = (mm: number) => writeShort(mm, units);
  return `${note ? `${note} ` : ''}${write(widthMm)} × ${write(heightMm)} ${sayIn(spelling, 'at')} ${write(xMm)}, ${write(yMm)}`;
}

/** What is written of flaws, with one more line. */
export function addFlaw(text: string, flaw: Flaw, units: UnitSystem, spelling?: Spelling): string {
  return [text.trimEnd(), formatFlaw({ note: sayIn(spelling, 'hole'), ...flaw }, units, spelling)]
    .filter(Boolean)
    .join('\n');
}

/** Flaws as they are written, one a line; and the first line that does not read. */
export function parseFlaws(
  text: string,
  units: UnitSystem,
  spelling?: Spelling,
): { readonly flaws: Flaw[]; readonly bad: string | null } {
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  const read = lines.map((line) => parseFlawLine(line, units, spelling));
  const bad = read.findIndex(({ ok: isRead }) => !isRead);
  return { flaws: read.flatMap((one) => (one.ok ? [one.value] : [])), bad: bad < 0 ? null : lines[bad]!.trim() };
}
