import { parseLine } from '../catalog/index.ts';
import { CLOTH_PARTS, type Make, type Need, type Step, type StepStation } from '../records/index.ts';
import { parseLengthMm, type UnitSystem } from '../units/index.ts';
import { spellOut, type LineLanguage } from '../spelling/index.ts';

const PART = new RegExp(String.raw`\b(${CLOTH_PARTS.join('|')})\b`, 'i');
/** What people call the parts of a garment's cloth. */
const PART_WORDS: readonly (readonly [RegExp, (typeof CLOTH_PARTS)[number]])[] = [
  [/\bwadding\b/i, 'batting'],
  [/\b(?:fusible|stabili[sz]er)\b/i, 'interfacing'],
  [/\b(?:cloth|fabric)\b/i, 'main'],
];
const LENGTH = /\b\d[\d.,\s/]*\s*(?:mm|cm|m|metres?|meters?|yds?|yards?|in)\b/i;

/**
 * Several sizes of one pattern: `38`, `2 of 38 and 42`, `2 x 38, 42 x 2`; `3 pieces` without a size. Where both are numbers, the
 * smaller is how many. What does not read as a count is a size.
 */
export function parseMakes(text: string, language?: LineLanguage): Make[] {
  return spellOut(text, language?.makes)
    .split(/[,;]|\band\b/i)
    .flatMap((part): Make[] => {
      const word = part.trim();
      const bare = /^(\d{1,4})\s+pieces?$/i.exec(word);
      if (bare) return Number(bare[1]) >= 1 && Number(bare[1]) <= 1000 ? [{ size: '', count: Number(bare[1]) }] : [];
      const of = /^(\d{1,4})\s+of\s+(\S.*)$/i.exec(word);
      const [, a = '', b = ''] = /^(\S.*?)\s*[x×]\s*(\S.*)$/i.exec(word) ?? [];
      const isFirst = /^\d{1,4}$/.test(a) && !(/^\d{1,4}$/.test(b) && Number(b) < Number(a));
      const [count, size] = of ? [of[1]!, of[2]!] : a === '' ? ['1', word] : isFirst ? [a, b] : [b, a];
      const times = /^\d{1,4}$/.test(count) ? Number(count) : 0;
      return size === '' || times < 1 || times > 1000 ? [] : [{ size: size.trim().slice(0, 40), count: times }];
    })
    .slice(0, 20);
}

/** As `parseMakes` reads it. */
export function formatMakes(makes: readonly Make[]): string {
  return makes
    .map(({ size, count }) => {
      if (size === '') return count === 1 ? '1 piece' : `${count} pieces`;
      return count === 1 ? size : `${count} of ${size}`;
    })
    .join(', ');
}

/**
 * A need as it is written: `lining 1.4 m`, `main`, `zip 20 cm`, `6 buttons`, `walking foot`. A part of cloth is cloth; all else is
 * read as the quick line reads it. Null where there is no word in it.
 */
export function parseNeedLine(text: string, units: UnitSystem, id: string, language?: LineLanguage): Need | null {
  const line = text.trim();
  if (line === '' || !/\p{L}/u.test(line)) return null;
  const told = spellOut(line, language?.part);
  const part = PART.exec(told)?.[1]?.toLowerCase() ?? PART_WORDS.find(([word]) => word.test(told))?.[1];
  if (part !== undefined) {
    const said = LENGTH.exec(line);
    const length = said ? parseLengthMm(said[0].trim(), units === 'metric' ? 'm' : 'yd') : null;
    return { id, kind: 'fabric', part, ...(length?.ok && length.value > 0 && { amount: length.value }) };
  }
  const { sketch } = parseLine(line, { kind: 'notion', units, spelling: language?.line });
  const kind = sketch.kind === 'fabric' || sketch.kind === 'scrap' ? 'notion' : sketch.kind;
  const count = /^(\d{1,4})\s+(?=\p{L})/u.exec(line);
  const name = (count ? line.slice(count[0].length) : line).slice(0, 80);
  return { id, kind, part: name, ...(count && Number(count[1]) > 0 && { amount: Number(count[1]) }) };
}

const STATIONS: readonly (readonly [RegExp, StepStation])[] = [
  [/\b(?:cut|trace|mark|chalk|lay)/i, 'cutting'],
  [/\b(?:overlock|serge|neaten)/i, 'overlocking'],
  [/\b(?:press|iron|fuse|interface|steam)/i, 'pressing'],
  [/\b(?:hand|hem|button|tack|baste|embroider|toggle)/i, 'handwork'],
  [/\b(?:sew|seam|stitch|quilt|zip|sleeve|collar|pocket|waistband|panel|piec|bind|gather)/i, 'sewing'],
];

/** A step as it is written: `Set the sleeves in 45`, `press 10 min`. Null where there is no word in it. */
export function parseStepLine(text: string, id: string, language?: LineLanguage): Step | null {
  const said = /\s+(\d{1,4})\s*(?:min(?:utes)?|')?\s*$/i.exec(text);
  const name = (said ? text.slice(0, said.index) : text).trim().slice(0, 120);
  if (!/\p{L}/u.test(name)) return null;
  const told = spellOut(name, language?.step);
  const minutes = said ? Number(said[1]) : 0;
  const station = STATIONS.find(([word]) => word.test(told))?.[1] ?? 'other';
  return { id, name, station, ...(minutes >= 1 && { minutes }) };
}
