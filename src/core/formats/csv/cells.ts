import { parseColourWord } from '../../colour/index.ts';
import { ENVELOPES, parseLine, type Sketch } from '../../catalog/index.ts';
import { CLOTHS, convertThread } from '../../measure/index.ts';
import type { Kind, RecordFault } from '../../records/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import { parseCount, parseLengthMm, parseMassG, type AmountFault, type UnitSystem } from '../../units/index.ts';

/** Why a cell was not taken; `text` is what stands in it, `oneOf` what would do. */
export interface CellFault {
  readonly code:
    AmountFault['code'] | 'not-one-of' | 'not-a-day' | 'no-colour' | 'missing' | 'too-long' | 'record' | 'no-such-item';
  readonly text: string;
  readonly unit?: string;
  readonly oneOf?: readonly string[];
  readonly note?: string;
  /** The rule of the record that it breaks. */
  readonly record?: RecordFault;
}

/** What a cell says, as a part of a sketch. */
export type Read = Result<Partial<Sketch>, CellFault>;

/** Exact, but for the last bits of a division: 3400 mm is 3.4 m. */
export function exact(value: number | null | undefined, perUnit: number, unit: string): string | null {
  return typeof value === 'number'
    ? `${Number((value / perUnit).toPrecision(13))}${unit === '' ? '' : ` ${unit}`}`
    : null;
}

export const fault = (code: CellFault['code'], text: string, more: Partial<CellFault> = {}): Read =>
  fail({ code, text, ...more });

export function amount(key: keyof Sketch, parse: (text: string, units: UnitSystem) => Result<number, AmountFault>) {
  return (text: string, units: UnitSystem): Read => {
    const parsed = parse(text, units);
    if (!parsed.ok) return fail(parsed.fault);
    return parsed.value > 0 ? ok({ [key]: parsed.value }) : fault('zero', text);
  };
}

/** Zero is a number too: of a cost, of uses. */
export function number(key: keyof Sketch, max: number) {
  return (text: string): Read => {
    const value = Number(text.replace(',', '.'));
    if (Number.isNaN(value)) return fault('not-a-number', text);
    if (value < 0) return fault('negative', text);
    return value > max ? fault('too-large', text) : ok({ [key]: value });
  };
}

export function words(key: keyof Sketch, most: number, isLower = false) {
  return (text: string): Read =>
    text.length > most ? fault('too-long', text) : ok({ [key]: isLower ? text.toLowerCase() : text });
}

export function list(key: keyof Sketch) {
  return (text: string): Read =>
    ok({
      [key]: [
        ...new Set(
          text
            .split(/[;|]/)
            .map((one) => one.trim())
            .filter(Boolean),
        ),
      ],
    });
}

export function oneOf(key: keyof Sketch, among: readonly string[]) {
  return (text: string): Read => {
    const found = among.find((one) => one.toLowerCase() === text.toLowerCase());
    return found === undefined ? fault('not-one-of', text, { oneOf: among }) : ok({ [key]: found });
  };
}

export function someOf(key: keyof Sketch, among: readonly string[]) {
  return (text: string): Read => {
    const found: string[] = [];
    for (const one of text.split(/[;|,]/)) {
      const word = one.trim().toLowerCase();
      if (word === '' || word === 'none') continue;
      const known = among.find((other) => other.toLowerCase() === word);
      if (known === undefined) return fault('not-one-of', one.trim(), { oneOf: among });
      found.push(known);
    }
    return ok({ [key]: [...new Set(found)] });
  };
}

/** The same, but that nothing can be said too: `0` or `none`, where a usual value would be filled in else. */
export function orNone(key: keyof Sketch, read: (text: string, units: UnitSystem) => Read) {
  return (text: string, units: UnitSystem): Read =>
    text === '0' || text.toLowerCase() === 'none' ? ok({ [key]: null }) : read(text, units);
}

const YES = new Set(['yes', 'y', 'true', '1', 'x', 'ja', 'oui']);
const NO = new Set(['no', 'n', 'false', '0', 'nein', 'non']);
export function yesNo(key: keyof Sketch) {
  return (text: string): Read => {
    const word = text.toLowerCase();
    if (YES.has(word)) return ok({ [key]: true });
    return NO.has(word) ? ok({ [key]: false }) : fault('not-one-of', text, { oneOf: ['yes', 'no'] });
  };
}
export const toYesNo = (value: boolean | null | undefined) =>
  typeof value === 'boolean' ? (value ? 'yes' : 'no') : null;

export const small = (text: string, units: UnitSystem) => parseLengthMm(text, units === 'metric' ? 'cm' : 'in');
export const tiny = (text: string, units: UnitSystem) => parseLengthMm(text, units === 'metric' ? 'mm' : 'in');
export const long = (text: string, units: UnitSystem) => parseLengthMm(text, units === 'metric' ? 'm' : 'yd');
export const mass = (text: string, units: UnitSystem) => parseMassG(text, units === 'metric' ? 'g' : 'oz');

/** One side of a box; the others stay as they are. */
export function side(index: 0 | 1 | 2) {
  return (text: string, units: UnitSystem): Read => {
    const parsed = small(text, units);
    if (!parsed.ok) return fail(parsed.fault);
    if (parsed.value <= 0) return fault('zero', text);
    const boxMm: [number | undefined, number | undefined, number | undefined] = [undefined, undefined, undefined];
    boxMm[index] = parsed.value;
    return ok({ boxMm });
  };
}

export function readColours(text: string): Read {
  const colours: string[] = [];
  for (const one of text.split(/[;|,/]/)) {
    const [first = '', second] = one.trim().split(/\s+/);
    if (first === '') continue;
    const hex = second === undefined ? parseColourWord(first) : parseColourWord(second, first);
    if (!hex) return fault('no-colour', one.trim());
    colours.push(hex.toLowerCase());
  }
  return ok({ colours: colours.slice(0, 8) });
}

export function readCloth(text: string): Read {
  const word = text.toLowerCase();
  const known = CLOTHS.find((cloth) => cloth.id.toLowerCase() === word);
  if (known) return ok({ cloth: known.id });
  // As the quick line would have it: `cotton lawn`, `velvets`.
  const { cloth, fibre } = parseLine(text, { kind: 'fabric', units: 'metric' }).sketch;
  // Many a list says only of what it is.
  return cloth === undefined && fibre === undefined
    ? fault('not-one-of', text, { oneOf: CLOTHS.map((one) => one.id) })
    : ok({ ...(cloth !== undefined && { cloth }), ...(fibre !== undefined && { fibre }) });
}

/** A fibre; and where the word is that of a cloth, that cloth: `denim` is cotton. */
export function readFibre(text: string): Read {
  if (text.length > 40) return fault('too-long', text);
  const { cloth, fibre } = parseLine(text, { kind: 'fabric', units: 'metric' }).sketch;
  if (cloth === undefined) return ok({ fibre: fibre ?? text.toLowerCase() });
  return ok(fibre === undefined ? { cloth } : { cloth, fibre });
}

const PIECES = /^(\d+)\s*\p{L}+\.?$/u;

/** `3`, `3 pcs`, `12 packets`. */
export function readCount(text: string): Read {
  return amount('count', parseCount)(PIECES.exec(text)?.[1] ?? text, 'metric');
}

/** How much there is, by its kind: cloth by its length, and all else too where a length is given, otherwise by the piece. */
export function readAmount(text: string, kind: Kind, units: UnitSystem): Read {
  const isBare = /^[\d.,\s/]+$/u.test(text);
  const isLength = isBare ? kind === 'fabric' : parseLengthMm(text, 'm').ok || !PIECES.test(text);
  return isLength ? amount('lengthMm', long)(text, units) : readCount(text);
}

/** `27`, `tex 27`, `tkt 120`, `wt 40`. */
export function readTex(text: string): Read {
  const match = /^(tex|tkt|ticket|wt|weight)?\s*(\d+(?:[.,]\d+)?)$/i.exec(text);
  const value = Number(match?.[2]?.replace(',', '.'));
  if (!match || !(value > 0)) return fault(value === 0 ? 'zero' : 'not-a-number', text);
  const system = (match[1] ?? 'tex').toLowerCase();
  const from = system === 'tex' ? 'tex' : system.startsWith('t') ? 'ticket' : 'weight';
  return ok({ tex: Number(convertThread(value, from, 'tex').toFixed(3)) });
}

export function readSpool(text: string, units: UnitSystem, at: 0 | 1): Read {
  const parsed = tiny(text, units);
  if (!parsed.ok) return fail(parsed.fault);
  return ok({ spoolMm: at === 0 ? [parsed.value, undefined] : [undefined, parsed.value] });
}

export function readEnvelope(text: string, units: UnitSystem): Read {
  const named = ENVELOPES[text.toLowerCase()];
  if (named) return ok({ envelopeMm: named });
  const [, wide = '', high = ''] = /^(.+?)\s*[x×]\s*(.+)$/i.exec(text) ?? [];
  const unit = /[a-z"]+$/i.exec(high.trim())?.[0] ?? '';
  const [width, height] = [small(/[a-z"]$/i.test(wide) ? wide : `${wide} ${unit}`.trim(), units), small(high, units)];
  return width.ok && height.ok && width.value > 0 && height.value > 0
    ? ok({ envelopeMm: [width.value, height.value] })
    : fault('not-one-of', text, { oneOf: [...Object.keys(ENVELOPES), '19 x 26 cm'] });
}
