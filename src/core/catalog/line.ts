import { getCloth } from '../measure/index.ts';
import type { Kind } from '../records/index.ts';
import { parseGrammage, parseLengthMm, parseMassG, type AmountFault, type UnitSystem } from '../units/index.ts';
import { findType } from './figures.ts';
import type { Sketch } from './sketch.ts';
import { HOLDER_WORDS } from './words.ts';
import type { LineContext } from './lineMarks.ts';
import { LineReader } from './lineReader.ts';
import {
  COUNT_UNITS,
  GRAMMAGE_UNITS,
  LENGTH_UNITS,
  MASS_UNITS,
  type LinePart,
  type Meaning,
  type Quantity,
} from './lineWords.ts';

export interface ReadLine {
  readonly sketch: Sketch;
  /** What was understood, in the order of the line. The rest is the name. */
  readonly parts: readonly LinePart[];
  /** Amounts that do not read, each with its stretch of the line as `text`. */
  readonly faults: readonly AmountFault[];
  /** What the cloth is promised to: the words after "for". */
  readonly reservedFor: string | null;
  /** What reads, but is so unlikely that it is asked before it is taken. */
  readonly doubts: readonly Doubt[];
}

/** Longer or heavier than anybody has at home; or cloth of which nobody said what it is. */
export interface Doubt {
  readonly code: 'long' | 'heavy' | 'cloth';
  /** As it was read: mm, g; 0 where it is no amount. */
  readonly value: number;
}

const LONG_MM = 50_000;
const HEAVY_G = 20_000;

function listDoubts({ kind, cloth, fibre, lengthMm, massG }: LineReader['said'], isPrecut: boolean): Doubt[] {
  const doubts: Doubt[] = [];
  const isCloth = kind === 'fabric';
  if (isCloth && (lengthMm ?? 0) > LONG_MM) doubts.push({ code: 'long', value: lengthMm! });
  if ((massG ?? 0) > HEAVY_G) doubts.push({ code: 'heavy', value: massG! });
  if (isCloth && !cloth && !fibre && !isPrecut) doubts.push({ code: 'cloth', value: 0 });
  return doubts;
}

/** A bare number, and one with its unit or the usual one. */
const MONEY = /[.,]\d\d$/u;
const whole = (text: string) => parseLengthMm(`${text.split(' ')[0]} mm`, 'mm');
const length = (bare: 'm' | 'yd' | 'cm' | 'in' | 'mm') => (text: string) => parseLengthMm(text, bare);
/** What a length along, and one across, is in where no unit was typed. */
const bareUnits = (units: UnitSystem) => (units === 'metric' ? (['m', 'cm'] as const) : (['yd', 'in'] as const));

/** What a number can be said to mean, for each kind of thing. */
const NUMBER_MEANS: Record<Kind, readonly Meaning[]> = {
  fabric: ['length', 'width', 'grammage', 'mass', 'number', 'name'],
  scrap: ['size', 'count', 'mass', 'name'],
  pattern: ['number', 'count', 'size', 'sheets', 'name'],
  thread: ['length', 'count', 'tex', 'name'],
  notion: ['size', 'count', 'units', 'length', 'mass', 'name'],
  tool: ['size', 'count', 'mass', 'name'],
  other: ['size', 'count', 'mass', 'name'],
  kit: ['count', 'mass', 'name'],
};

/** What a part of a line can be said to mean, beside what it was read as. */
export function listMeanings({ text, means }: LinePart, kind: Kind): readonly Meaning[] {
  const isNumber = /^[x×.,]?\s?[\d½¼¾⅓⅔⅛⅜⅝⅞]/iu.test(text) && means !== 'for' && means !== 'box';
  const able = isNumber ? NUMBER_MEANS[kind] : (['name'] as const);
  return able.filter((one) => one !== means);
}

/** Takes an amount as the sewist said it is meant; false where nothing was said of it. */
function settleMeant(reader: LineReader, one: Quantity, kind: Kind, units: UnitSystem): boolean {
  const means = reader.getMeant(one);
  if (means === null) return false;
  const { said } = reader;
  const [long, small] = bareUnits(units);
  const take = (how: Parameters<LineReader['take']>[2]) => reader.take(one, means, how) ?? undefined;
  if (means === 'length') said.lengthMm = take(length(long));
  else if (means === 'width') said.widthMm = take(length(small));
  else if (means === 'grammage') said.grammageGsm = take((text) => parseGrammage(text, 'gsm'));
  else if (means === 'mass') said.massG = take((text) => parseMassG(text, 'g'));
  else if (means === 'tex') said.tex = take(whole);
  else if (means === 'sheets') said.sheets = take(whole);
  else if (means === 'number') said.number = take(whole);
  else if (means === 'count') said.count = take(whole);
  else if (means === 'units') said.units = take(whole);
  else if (kind === 'pattern') said.thicknessMm = take(length('mm'));
  else if (kind === 'scrap') said.cutMm = take(length(small));
  else if (take(length(small)) !== undefined) said.size = `${one.number} ${one.unit || small}`;
  return true;
}

/** Gives each gathered amount its meaning, now that the kind is known. */
function settleAmounts(reader: LineReader, kind: Kind, units: UnitSystem): void {
  const { said } = reader;
  const [long, small] = bareUnits(units);
  const rest: Quantity[] = [];
  for (const one of reader.quantities) {
    if (settleMeant(reader, one, kind, units)) continue;
    if (GRAMMAGE_UNITS.has(one.unit) || (one.unit === 'oz' && kind === 'fabric')) {
      said.grammageGsm = reader.take(one, 'grammage', (text) => parseGrammage(text, 'gsm')) ?? said.grammageGsm;
    } else if (MASS_UNITS.has(one.unit)) {
      const massG = reader.take(one, 'mass', (text) => parseMassG(text, 'g'));
      if (massG !== null) said.massG = massG;
    } else if (one.unit === 'w') said.watts = reader.take(one, 'watts', whole) ?? said.watts;
    else if (one.unit === 'sheets') {
      said.format ??= 'sheets';
      said.sheets = reader.take(one, 'sheets', whole) ?? said.sheets;
    } else if (one.unit in HOLDER_WORDS) said.count = reader.take(one, 'count', whole) ?? said.count;
    else if (COUNT_UNITS.has(one.unit)) {
      const isUnits = /^p(c|iece)/u.test(one.unit) && kind === 'notion';
      const count = reader.take(one, isUnits ? 'units' : 'count', whole);
      if (count !== null) Object.assign(said, isUnits ? { units: count } : { count });
    } else rest.push(one);
  }
  const { precut } = reader;
  if (kind === 'fabric' && precut) {
    const one = rest.find(({ unit }) => unit === '');
    const count = (one && reader.take(one, 'count', whole)) ?? 1;
    said.lengthMm = count * precut.eachMm;
    said.widthMm = precut.widthMm;
  } else if (kind === 'fabric') {
    for (const [n, one] of rest.entries()) {
      const isWidth = one.isWide || one.isTimes || said.lengthMm !== undefined;
      // Length and width are said already: a sum with two places after the point is what it cost.
      if (said.lengthMm !== undefined && said.widthMm !== undefined && one.unit === '' && MONEY.test(one.number)) {
        said.cost = reader.take(one, 'cost', whole) ?? said.cost;
        continue;
      }
      const partner = rest[n + 1];
      // "50 x 140 cm" is half a metre, "3.4 x 140 cm" is not three centimetres.
      const bare =
        partner?.isTimes &&
        (partner.unit === 'cm' || partner.unit === 'in') &&
        Number(one.number.replace(',', '.')) >= 15
          ? partner.unit
          : long;
      if (isWidth) said.widthMm = reader.take(one, 'width', length(small)) ?? said.widthMm;
      else said.lengthMm = reader.take(one, 'length', length(bare)) ?? said.lengthMm;
    }
  } else if (kind === 'scrap') {
    settleScrapSizes(reader, rest, small);
  } else if (kind === 'pattern') {
    for (const one of rest)
      if (LENGTH_UNITS.has(one.unit)) said.thicknessMm = reader.take(one, 'size', length('mm')) ?? said.thicknessMm;
      else if (one.isTimes) said.count = reader.take(one, 'count', whole) ?? said.count;
      else if (said.number === undefined) said.number = reader.take(one, 'number', whole) ?? said.number;
  } else if (kind === 'thread') {
    for (const one of rest)
      if (LENGTH_UNITS.has(one.unit)) said.lengthMm = reader.take(one, 'length', length(long)) ?? said.lengthMm;
      else said.count = reader.take(one, 'count', whole) ?? said.count;
  } else settleBox(reader, rest, kind, units);
}

/** Squares and strips by their side and how many; a remnant by its two sides. */
function settleScrapSizes(reader: LineReader, rest: readonly Quantity[], small: 'cm' | 'in'): void {
  const { said } = reader;
  const [across, along] = rest;
  const isCut = said.cut === 'square' || said.cut === 'strip';
  if (across && along?.isTimes && LENGTH_UNITS.has(along.unit) && !isCut) {
    const unit = (across.unit || along.unit) as 'cm';
    const sides = [reader.take(across, 'size', length(unit)), reader.take(along, 'size', length(small))];
    if (sides.every((mm) => mm !== null)) {
      said.cut = 'odd';
      said.areaMm2 = sides[0]! * sides[1]!;
    }
    return;
  }
  for (const one of rest)
    if (LENGTH_UNITS.has(one.unit)) {
      said.cut ??= 'square';
      said.cutMm = reader.take(one, 'size', length(small)) ?? said.cutMm;
    } else said.count = reader.take(one, 'count', whole) ?? said.count;
}

/** Notions, tools and other things: sizes by type, tapes by the length, or the sides of a box. */
function settleBox(reader: LineReader, rest: readonly Quantity[], kind: Kind, units: UnitSystem): void {
  const { said } = reader;
  const [, small] = bareUnits(units);
  const figures = findType(said.type ?? '', kind);
  // Sides joined by an x share the unit that one of them has.
  const chains: Quantity[][] = [];
  for (const one of rest) {
    const chain = chains.at(-1);
    // "20 cm x 3" is three of them: the first has its unit already.
    const isCount = one.unit === '' && (chain?.at(-1)?.unit ?? '') !== '';
    if (one.isTimes && chain && !isCount) chain.push(one);
    else chains.push([one]);
  }
  // Of what is called by its size, "15 x 60" are two sides and no number of pieces.
  const isSided = (chain: readonly Quantity[]) =>
    chain.length > 1 && kind !== 'notion' && chain.every((one) => one.unit === '');
  const lengths = chains.filter((chain) => isSided(chain) || chain.some((one) => LENGTH_UNITS.has(one.unit))).flat();
  const sides = lengths.filter((one, n) => one.isTimes || lengths[n + 1]?.isTimes);
  if (figures?.sizeIs !== 'tapeWidth' && sides.length >= 2) {
    const unit = sides.findLast((one) => one.unit !== '')?.unit ?? small;
    const read = sides.map((one) => reader.take(one, 'box', (text) => parseLengthMm(text.trim(), unit as 'cm'))) as (
      number | undefined
    )[];
    said.boxMm = read.length === 2 ? [read[0], undefined, read[1]] : [read[0], read[1], read[2]];
  } else
    for (const one of lengths) {
      const isTape = figures?.sizeIs === 'tapeWidth';
      const value = reader.take(
        one,
        isTape && (said.tapeWidthMm !== undefined || one.unit === 'm') ? 'length' : 'size',
        (text) => parseLengthMm(text, small),
      );
      if (value === null) continue;
      if (!isTape) said.size = `${one.number} ${one.unit}`;
      // A tape's first small measure is its width, the other its length.
      else if (value <= 150 && said.tapeWidthMm === undefined) said.tapeWidthMm = value;
      else said.lengthMm = value;
    }
  for (const one of rest) if (!lengths.includes(one)) said.count = reader.take(one, 'count', whole) ?? said.count;
}

function inferKind(reader: LineReader, fallback: Kind): Kind {
  const { said } = reader;
  if (said.kind) return said.kind;
  if (said.tex !== undefined) return 'thread';
  // A garment and a bare number of two digits and more: patterns are called so.
  const isNumbered = reader.quantities.some(
    ({ unit, number, isTimes }) => unit === '' && !isTimes && /^\d{2,}$/u.test(number),
  );
  if (said.garment && isNumbered && !said.cloth && !said.fibre) return 'pattern';
  if (said.cloth || said.grammageGsm || reader.quantities.some((one) => GRAMMAGE_UNITS.has(one.unit))) return 'fabric';
  if (said.fibre && fallback !== 'thread' && fallback !== 'scrap') return 'fabric';
  return fallback;
}

/**
 * Reads one line such as `linen twill oat 3.4m x 140 185gsm board` into a sketch, and tells what each part was
 * read as.
 */
export function parseLine(text: string, context: LineContext): ReadLine {
  const reader = new LineReader(text, context);
  reader.gather();
  const kind = context.isKindSaid ? context.kind : inferKind(reader, context.kind);
  settleAmounts(reader, kind, context.units);
  const { said } = reader;
  said.kind = kind;
  const name = reader.getName();
  if (name !== '') said.name = name;
  if (kind === 'fabric' || kind === 'scrap') {
    if (said.fibre === 'linen' && !said.cloth) said.cloth = 'linen';
    if (said.fibre === 'wool' && !said.cloth) said.cloth = 'suiting';
    if (kind === 'scrap') settleScrap(said);
  }
  if (kind === 'kit' && reader.reservedFor) said.name = reader.getKitName();
  const keep = KEPT[kind];
  for (const key of Object.keys(said) as (keyof Sketch)[]) if (!COMMON.has(key) && !keep.has(key)) delete said[key];
  const parts = reader.parts.toSorted((a, b) => a.from - b.from || a.to - b.to);
  return {
    sketch: said as Sketch,
    parts: parts.filter((part, i) => i === 0 || part.from >= parts[i - 1]!.to),
    faults: reader.faults,
    reservedFor: kind === 'kit' ? null : reader.reservedFor,
    doubts: listDoubts(said, reader.precut !== null),
  };
}

/** Scraps that were weighed are so much cloth. */
function settleScrap(said: LineReader['said']): void {
  const cloth = getCloth(said.cloth ?? 'poplin');
  said.cut ??= 'odd';
  if (said.massG !== undefined && said.cut === 'odd')
    said.areaMm2 = (said.massG / (said.grammageGsm ?? cloth.grammageGsm)) * 1e6;
  if (said.cut !== 'odd') said.count ??= 1;
}

const COMMON = new Set<keyof Sketch>(['kind', 'name', 'colours', 'tags', 'cost', 'form', 'count', 'source']);
const CLOTH: readonly (keyof Sketch)[] = ['fibre', 'cloth', 'weave', 'print', 'widthMm', 'grammageGsm', 'isWashed'];
const BOX: readonly (keyof Sketch)[] = ['type', 'size', 'boxMm', 'massG', 'watts', 'expiresOn'];
/** What each kind can say of itself; a word of another craft stays in the name and says no more. */
const KEPT: Record<Kind, ReadonlySet<keyof Sketch>> = {
  fabric: new Set([...CLOTH, 'lengthMm']),
  scrap: new Set([...CLOTH, 'cut', 'cutMm', 'areaMm2']),
  pattern: new Set(['number', 'garment', 'era', 'sizes', 'format', 'sheets', 'isMade', 'thicknessMm']),
  thread: new Set(['fibre', 'use', 'tex', 'holder', 'lengthMm']),
  notion: new Set([...BOX, 'units', 'usedHours', 'tapeWidthMm', 'lengthMm']),
  tool: new Set(BOX),
  other: new Set(BOX),
  kit: new Set(BOX),
};
