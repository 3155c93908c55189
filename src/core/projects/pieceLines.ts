import { isPlainOutline, type Point } from '../layout/index.ts';
import type { CutPiece } from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { formatSizes, parseLengthMm, readShort, writeShort, type UnitSystem } from '../units/index.ts';
import { sayIn, spellOut, unspell, type Spelling } from '../spelling/index.ts';

/** Why a line is no piece. */
export type PieceFault = 'no-size' | 'no-name' | 'size' | 'count' | 'shape';

const NUMBER = String.raw`\d+(?:[.,]\d+)?(?:\s+\d+\/\d+|\/\d+)?`;
const UNIT = String.raw`(?:mm|cm|m|in|inch(?:es)?|")`;
const SIZE = new RegExp(String.raw`(${NUMBER})\s*(${UNIT})?\s*[x×]\s*(${NUMBER})\s*(${UNIT})?(?![\w"])`, 'i');
const FOLD = /,?\s*\b(?:on\s+(?:the\s+)?)?fold(?:ed)?\b/i;
const TURN = /,?\s*\b(?:either\s+way|any\s+way|may\s+turn|across(?:\s+too)?)\b/i;
const OF = /,?\s*\b(?:of|from|in)\s+(?:the\s+)?(main|contrast|lining|interfacing|batting|backing)\b/i;
const COUNT = /(?:^|[\s,])(?:[x×]\s*(\d+)|(\d+)\s*(?:[x×]|times|pcs|pieces?)?)(?=$|[\s,])/i;

/** Larger than this is no piece, mm. */
const MOST = { widthMm: 6000, heightMm: 10_000, count: 500 };

const CORNERS = /,?\s*\bcorners\b\s*:?\s*(.+)$/i;

/** `0 0, 22 0, 30 65`: across and along from the top left, in cm or inches. Null where it does not read. */
function readCorners(text: string, units: UnitSystem): Point[] | null {
  const pairs = text
    .trim()
    .split(/[,;]\s+|\s*;\s*/)
    .filter(Boolean)
    .map((pair) => /^(\d+(?:[.,]\d+)?)\s+(\d+(?:[.,]\d+)?)$/.exec(pair.trim()));
  if (pairs.length < 3 || pairs.length > 60 || pairs.includes(null)) return null;
  return pairs.map((pair) => ({ xMm: readShort(pair![1]!, units), yMm: readShort(pair![2]!, units) }));
}

function formatCorners(outline: readonly Point[], units: UnitSystem): string {
  return outline.map(({ xMm, yMm }) => `${writeShort(xMm, units)} ${writeShort(yMm, units)}`).join(', ');
}

/** A piece as it is written: `2 sleeves 38 x 62`, `front 30x65 cm on the fold`, `pocket 15 x 15 x4 either way of lining`. */
export function parsePieceLine(
  typed: string,
  units: UnitSystem,
  id: string,
  spelling?: Spelling,
): Result<CutPiece, PieceFault> {
  const text = spellOut(typed, spelling);
  const size = SIZE.exec(text);
  if (!size) return fail('no-size');
  const [whole, width = '', widthUnit, height = '', heightUnit] = size;
  const unit = heightUnit ?? widthUnit ?? (units === 'metric' ? 'cm' : 'in');
  const [w, h] = [parseLengthMm(`${width} ${widthUnit ?? unit}`, 'cm'), parseLengthMm(`${height} ${unit}`, 'cm')];
  if (!w.ok || !h.ok || w.value < 1 || h.value < 1 || w.value > MOST.widthMm || h.value > MOST.heightMm)
    return fail('size');
  let rest = text.replace(whole, ' , ');
  const corners = CORNERS.exec(rest);
  const outline = corners ? readCorners(corners[1]!, units) : undefined;
  if (corners) rest = rest.replace(corners[0], ' ');
  if (outline === null) return fail('shape');
  // A quarter of a millimetre is lost where inches are written short.
  const isWithin = ({ xMm, yMm }: Point) => xMm <= w.value + 1 && yMm <= h.value + 1;
  if (outline && !(isPlainOutline(outline) && outline.every(isWithin))) return fail('shape');
  const isOnFold = FOLD.test(rest);
  rest = rest.replace(FOLD, ' ');
  const mayTurn = TURN.test(rest);
  rest = rest.replace(TURN, ' ');
  const of = OF.exec(rest);
  if (of) rest = rest.replace(of[0], ' ');
  const times = COUNT.exec(rest);
  const count = times ? Number(times[1] ?? times[2]) : 1;
  if (times) rest = rest.replace(times[0], ' ');
  const name = unspell(rest, typed, spelling)
    .replace(/[,:;]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  if (count < 1 || count > MOST.count) return fail('count');
  if (name === '') return fail('no-name');
  return ok({
    id,
    name: name.slice(0, 60),
    part: of?.[1]?.toLowerCase() ?? 'main',
    count,
    widthMm: w.value,
    heightMm: h.value,
    ...(isOnFold && { isOnFold }),
    ...(mayTurn && { mayTurn }),
    ...(outline && { outline }),
  });
}

/** The same, written; of which cloth it is stands elsewhere. */
export function formatPieceLine(piece: CutPiece, units: UnitSystem, spelling?: Spelling): string {
  const { name, count, widthMm, heightMm, isOnFold, mayTurn, outline } = piece;
  return [
    count > 1 ? `${count} ${name}` : name,
    formatSizes([widthMm, heightMm], units),
    isOnFold ? sayIn(spelling, 'on the fold') : '',
    mayTurn ? sayIn(spelling, 'either way') : '',
    outline ? `${sayIn(spelling, 'corners')} ${formatCorners(outline, units)}` : '',
  ]
    .filter(Boolean)
    .join(' ');
}
