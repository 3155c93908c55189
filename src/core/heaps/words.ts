import type { HeapWay } from '../records/index.ts';
import { parseLengthMm, parseMassG, type UnitSystem } from '../units/index.ts';
import { spellOut, unspell, type Spelling } from '../spelling/index.ts';

/** What a line says of a heap, and the rest of it, which says what the heap is of. */
export interface ReadHeap {
  readonly rest: string;
  readonly by: HeapWay;
  readonly value: number;
  /** Where the pieces were counted beside another measure. */
  readonly pieces: number | null;
}

const NUMBER = String.raw`\d+(?:[.,]\d+)?`;
/** A litre and a quart of room, mm³. */
const ROOM: Readonly<Record<string, number>> = {
  l: 1e6,
  litre: 1e6,
  litres: 1e6,
  liters: 1e6,
  liter: 1e6,
  qt: 946_353,
};
const ROOM_UNITS = 'litres|liters|litre|liter|l|qt';
const MASS_UNITS = 'kg|g|lbs?|oz';
const HOLDERS = 'bins?|boxes|box|bags?|drawers?|baskets?';
const of = (text: string) => new RegExp(text, 'iu');
const LENGTH = String.raw`(${NUMBER})\s*(mm|cm|m|in|inches|ft|yd|")?`;
const PILE = of(String.raw`\b(?:an?\s+)?(?:pile|stack)\s+(?:of\s+)?${LENGTH}(?![\p{L}\d])(?:\s+high\b)?`);
const ROW = of(String.raw`\b(?:an?\s+)?row\s+(?:of\s+)?${LENGTH}(?![\p{L}\d])(?:\s+long\b)?`);
const BINS = of(String.raw`\b(${NUMBER})\s*(?:${HOLDERS})\s*(?:of\s+)?(${NUMBER})\s*(${ROOM_UNITS})(?![\p{L}\d])`);
const HEAP = of(String.raw`\b(?:an?\s+)?heap(?:\s+of)?(?![\p{L}\d])`);
const MASS = of(String.raw`(${NUMBER})\s*(${MASS_UNITS})(?![\p{L}\d])`);
const LITRES = of(String.raw`(${NUMBER})\s*(${ROOM_UNITS})(?![\p{L}\d])`);
/** How high a heap is; how wide its cloth is, how long, or of what size, is another thing. */
const HIGH = of(
  String.raw`(?<![x×]\s*)(?<![\d.,])(${NUMBER})\s*(mm|cm|in|inches|")(?![\p{L}\d])(?!\s*(?:wide|long|x|×))(?:\s+high\b)?`,
);
/** A number that is followed by a unit, or by what holds things, counts no pieces. */
const BARE_NUMBER = of(
  String.raw`\b(\d+)(?![\p{L}\d.,])(?!\s*(?:mm|cm|m|in|inches|ft|yd|yards?|met(?:re|er)s?|${MASS_UNITS}|${ROOM_UNITS}|${HOLDERS}|wide|"|x|×)(?!\p{L}))`,
);
const PIECES = of(
  String.raw`\b(?:about\s+|some\s+)?(\d+)\s*(?:pieces|lengths|pcs|pc|cuts|items|spools|envelopes|patterns|packets)(?![\p{L}\d])`,
);

/** A pile or row of less is none; a heap that is higher does not stand. */
const LEAST_MM = 50;
const MOST_MM = 2500;

const toNumber = (text: string) => Number(text.replace(',', '.'));

interface Found {
  readonly by: HeapWay;
  readonly value: number;
  readonly match: string;
}

function findMeasure(text: string, units: UnitSystem): Found | null {
  const small = units === 'metric' ? 'cm' : 'in';
  for (const [by, pattern] of [
    ['pile', PILE],
    ['row', ROW],
  ] as const) {
    const match = pattern.exec(text);
    if (!match) continue;
    const read = parseLengthMm(`${match[1]!} ${match[2] ?? small}`, small);
    // A pile that is lower is that of velvet or fur.
    if (read.ok && read.value >= LEAST_MM) return { by, value: read.value, match: match[0] };
  }
  const bins = BINS.exec(text);
  if (bins) {
    const value = toNumber(bins[1]!) * toNumber(bins[2]!) * ROOM[bins[3]!.toLowerCase()]!;
    return { by: 'room', value, match: bins[0] };
  }
  return HEAP.test(text) ? findLoose(text, small) : null;
}

/** In a line that speaks of a heap any weight, room or height is that of the heap, wherever it stands: `heap of wool 3 kg`. */
function findLoose(text: string, small: 'cm' | 'in'): Found | null {
  const mass = MASS.exec(text);
  const weighed = mass && parseMassG(`${mass[1]!} ${mass[2]!}`, 'g');
  if (mass && weighed?.ok) return { by: 'mass', value: weighed.value, match: mass[0] };
  const room = LITRES.exec(text);
  if (room) return { by: 'room', value: toNumber(room[1]!) * ROOM[room[2]!.toLowerCase()]!, match: room[0] };
  const high = HIGH.exec(text);
  const read = high && parseLengthMm(`${high[1]!} ${high[2]!}`, small);
  return high && read?.ok && read.value >= LEAST_MM && read.value <= MOST_MM
    ? { by: 'pile', value: read.value, match: high[0] }
    : null;
}

/**
 * Reads a heap in a line, such as `cottons pile 62 cm`, `patterns, a row of 1.3 m`, `wool 3 bins of 30 l`, `heap of 40 buttons`.
 * Null where the line speaks of a single thing.
 */
export function readHeap(typed: string, units: UnitSystem, spelling?: Spelling): ReadHeap | null {
  const text = spellOut(typed, spelling);
  const measure = findMeasure(text, units);
  const heap = HEAP.exec(text);
  if (!measure && !heap) return null;
  let rest = measure ? text.replace(measure.match, ' ') : text;
  const counted = PIECES.exec(rest) ?? (measure ? null : BARE_NUMBER.exec(rest));
  if (counted) rest = rest.replace(counted[0], ' ');
  rest = unspell(rest.replace(HEAP, ' '), typed, spelling)
    .replace(/\s*,\s*/gu, ' ')
    .replace(/\s+/gu, ' ')
    .trim();
  const pieces = counted ? Number(counted[1]) : null;
  if (measure) return { rest, by: measure.by, value: measure.value, pieces };
  return pieces === null ? null : { rest, by: 'pieces', value: pieces, pieces: null };
}

/** Whether a line speaks of a heap but not of how much it is: `heap of jersey`, `heap of jersey, 2 bins`. */
export const isUnmeasuredHeap = (typed: string, units: UnitSystem, spelling?: Spelling): boolean =>
  HEAP.test(spellOut(typed, spelling)) && readHeap(typed, units, spelling) === null;
