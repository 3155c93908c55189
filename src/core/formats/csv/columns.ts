import { parseColourWord } from '../../colour/words.ts';
import { CLOTH_WORDS, ENVELOPES, type Sketch } from '../../catalog/index.ts';
import { CLOTHS, convertThread } from '../../measure/index.ts';
import {
  CARE_FLAGS,
  DAY_PATTERN,
  HOLDERS,
  KINDS,
  KIT_STATES,
  PATTERN_FORMATS,
  PRINTS,
  SCRAP_CUTS,
  STOW_FORMS,
  type Item,
  type Kind,
  type Lot,
} from '../../records/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import {
  parseArea,
  parseCount,
  parseGrammage,
  parseLengthMm,
  parseMassG,
  type AmountFault,
  type UnitSystem,
} from '../../units/index.ts';

/** Why a cell was not taken; `text` is what stands in it, `oneOf` what would do. */
export interface CellFault {
  readonly code:
    AmountFault['code'] | 'not-one-of' | 'not-a-day' | 'no-colour' | 'missing' | 'too-long' | 'record' | 'no-such-item';
  readonly text: string;
  readonly unit?: string;
  readonly oneOf?: readonly string[];
  readonly note?: string;
}

type Read = Result<Partial<Sketch>, CellFault>;

/** A column that the app knows: how it may be headed, how a cell is read, and how it is written. */
export interface Column {
  readonly id: string;
  /** The first is written; all are recognised, in lower case and without signs. */
  readonly headers: readonly string[];
  readonly kinds: readonly Kind[];
  /** Reads a cell that is not empty. `units`: what a number alone means. */
  readonly read: (text: string, units: UnitSystem) => Read;
  /** Null or undefined where the thing says nothing about it. */
  readonly write: (item: Item, lot: Lot) => string | number | boolean | null | undefined;
}

/** Exact, but for the last bits of a division: 3400 mm is 3.4 m. */
function exact(value: number | null | undefined, perUnit: number, unit: string): string | null {
  return typeof value === 'number'
    ? `${Number((value / perUnit).toPrecision(13))}${unit === '' ? '' : ` ${unit}`}`
    : null;
}

const fault = (code: CellFault['code'], text: string, more: Partial<CellFault> = {}): Read =>
  fail({ code, text, ...more });

function amount(key: keyof Sketch, parse: (text: string, units: UnitSystem) => Result<number, AmountFault>) {
  return (text: string, units: UnitSystem): Read => {
    const parsed = parse(text, units);
    if (!parsed.ok) return fail(parsed.fault);
    return parsed.value > 0 ? ok({ [key]: parsed.value }) : fault('zero', text);
  };
}

/** Zero is a number too: of a cost, of uses. */
function number(key: keyof Sketch, max: number) {
  return (text: string): Read => {
    const value = Number(text.replace(',', '.'));
    if (Number.isNaN(value)) return fault('not-a-number', text);
    if (value < 0) return fault('negative', text);
    return value > max ? fault('too-large', text) : ok({ [key]: value });
  };
}

function words(key: keyof Sketch, most: number, isLower = false) {
  return (text: string): Read =>
    text.length > most ? fault('too-long', text) : ok({ [key]: isLower ? text.toLowerCase() : text });
}

function list(key: keyof Sketch) {
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

function oneOf(key: keyof Sketch, among: readonly string[]) {
  return (text: string): Read => {
    const found = among.find((one) => one.toLowerCase() === text.toLowerCase());
    return found === undefined ? fault('not-one-of', text, { oneOf: among }) : ok({ [key]: found });
  };
}

function someOf(key: keyof Sketch, among: readonly string[]) {
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
function orNone(key: keyof Sketch, read: (text: string, units: UnitSystem) => Read) {
  return (text: string, units: UnitSystem): Read =>
    text === '0' || text.toLowerCase() === 'none' ? ok({ [key]: null }) : read(text, units);
}

const YES = new Set(['yes', 'y', 'true', '1', 'x', 'ja', 'oui']);
const NO = new Set(['no', 'n', 'false', '0', 'nein', 'non']);
function yesNo(key: keyof Sketch) {
  return (text: string): Read => {
    const word = text.toLowerCase();
    if (YES.has(word)) return ok({ [key]: true });
    return NO.has(word) ? ok({ [key]: false }) : fault('not-one-of', text, { oneOf: ['yes', 'no'] });
  };
}
const toYesNo = (value: boolean | null | undefined) => (typeof value === 'boolean' ? (value ? 'yes' : 'no') : null);

const small = (text: string, units: UnitSystem) => parseLengthMm(text, units === 'metric' ? 'cm' : 'in');
const tiny = (text: string, units: UnitSystem) => parseLengthMm(text, units === 'metric' ? 'mm' : 'in');
const long = (text: string, units: UnitSystem) => parseLengthMm(text, units === 'metric' ? 'm' : 'yd');
const mass = (text: string, units: UnitSystem) => parseMassG(text, units === 'metric' ? 'g' : 'oz');

/** One side of a box; the others stay as they are. */
function side(index: 0 | 1 | 2) {
  return (text: string, units: UnitSystem): Read => {
    const parsed = small(text, units);
    if (!parsed.ok) return fail(parsed.fault);
    if (parsed.value <= 0) return fault('zero', text);
    const boxMm: [number | undefined, number | undefined, number | undefined] = [undefined, undefined, undefined];
    boxMm[index] = parsed.value;
    return ok({ boxMm });
  };
}

function readColours(text: string): Read {
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

function readCloth(text: string): Read {
  const word = text.toLowerCase();
  const known = CLOTHS.find((cloth) => cloth.id.toLowerCase() === word);
  if (known) return ok({ cloth: known.id });
  const named = CLOTH_WORDS[word];
  return named
    ? ok(named[1] === undefined ? { cloth: named[0] } : { cloth: named[0], fibre: named[1] })
    : fault('not-one-of', text, { oneOf: CLOTHS.map((cloth) => cloth.id) });
}

/** `27`, `tex 27`, `tkt 120`, `wt 40`. */
function readTex(text: string): Read {
  const match = /^(tex|tkt|ticket|wt|weight)?\s*(\d+(?:[.,]\d+)?)$/i.exec(text);
  const value = Number(match?.[2]?.replace(',', '.'));
  if (!match || !(value > 0)) return fault(value === 0 ? 'zero' : 'not-a-number', text);
  const system = (match[1] ?? 'tex').toLowerCase();
  const from = system === 'tex' ? 'tex' : system.startsWith('t') ? 'ticket' : 'weight';
  return ok({ tex: Number(convertThread(value, from, 'tex').toFixed(3)) });
}

function readSpool(text: string, units: UnitSystem, at: 0 | 1): Read {
  const parsed = tiny(text, units);
  if (!parsed.ok) return fail(parsed.fault);
  return ok({ spoolMm: at === 0 ? [parsed.value, undefined] : [undefined, parsed.value] });
}

function readEnvelope(text: string, units: UnitSystem): Read {
  const named = ENVELOPES[text.toLowerCase()];
  if (named) return ok({ envelopeMm: named });
  const [, wide = '', high = ''] = /^(.+?)\s*[x×]\s*(.+)$/i.exec(text) ?? [];
  const unit = /[a-z"]+$/i.exec(high.trim())?.[0] ?? '';
  const [width, height] = [small(/[a-z"]$/i.test(wide) ? wide : `${wide} ${unit}`.trim(), units), small(high, units)];
  return width.ok && height.ok && width.value > 0 && height.value > 0
    ? ok({ envelopeMm: [width.value, height.value] })
    : fault('not-one-of', text, { oneOf: [...Object.keys(ENVELOPES), '19 x 26 cm'] });
}

const ALL = KINDS;
const CLOTHY: readonly Kind[] = ['fabric', 'scrap'];
const BOXY: readonly Kind[] = ['notion', 'tool', 'kit', 'other'];

/** Every column, in the order they are written. Two ids at the end let an edited table find its things again. */
export const COLUMNS: readonly Column[] = [
  { id: 'kind', headers: ['kind', 'category'], kinds: ALL, read: oneOf('kind', KINDS), write: (item) => item.kind },
  {
    id: 'name',
    headers: ['name', 'title', 'description', 'item', 'what'],
    kinds: ALL,
    read: words('name', 120),
    write: (item) => item.name,
  },
  {
    id: 'colours',
    headers: ['colour', 'color', 'colours', 'colors', 'shade'],
    kinds: ALL,
    read: readColours,
    write: (item) => item.colours.join('; '),
  },
  {
    id: 'fibre',
    headers: ['fibre', 'fiber', 'material', 'content', 'composition'],
    kinds: ['fabric', 'scrap', 'thread'],
    read: words('fibre', 40, true),
    write: (item) => item.fabric?.fibre ?? item.thread?.fibre,
  },
  {
    id: 'cloth',
    headers: ['class', 'cloth', 'fabric type', 'class of cloth', 'type of fabric'],
    kinds: CLOTHY,
    read: readCloth,
    write: (item) => item.fabric?.cloth,
  },
  {
    id: 'weave',
    headers: ['weave'],
    kinds: CLOTHY,
    read: words('weave', 40, true),
    write: (item) => item.fabric?.weave,
  },
  {
    id: 'print',
    headers: ['print', 'pattern on it', 'design'],
    kinds: CLOTHY,
    read: oneOf('print', PRINTS),
    write: (item) => item.fabric?.print,
  },
  {
    id: 'length',
    headers: ['length', 'amount', 'yardage', 'metres', 'meters', 'yards', 'how much'],
    kinds: ['fabric', 'thread', 'notion'],
    read: amount('lengthMm', long),
    write: (_, lot) => exact(lot.lengthMm, 1000, 'm'),
  },
  {
    id: 'width',
    headers: ['width', 'wof', 'width of fabric', 'cloth width'],
    kinds: CLOTHY,
    read: amount('widthMm', small),
    write: (item) => exact(item.fabric?.widthMm, 10, 'cm'),
  },
  {
    id: 'grammage',
    headers: ['weight class', 'gsm', 'grammage', 'fabric weight', 'g m2'],
    kinds: CLOTHY,
    read: amount('grammageGsm', (text) => parseGrammage(text, 'gsm')),
    write: (item) => exact(item.fabric?.grammageGsm, 1, 'gsm'),
  },
  {
    id: 'layer',
    headers: ['layer', 'layer thickness'],
    kinds: CLOTHY,
    read: amount('layerMm', tiny),
    write: (item) => exact(item.fabric?.layerMm, 1, 'mm'),
  },
  { id: 'nap', headers: ['nap'], kinds: CLOTHY, read: yesNo('hasNap'), write: (item) => toYesNo(item.fabric?.hasNap) },
  {
    id: 'stretch',
    headers: ['stretch', 'stretch percent'],
    kinds: CLOTHY,
    read: number('stretchPercent', 400),
    write: (item) => item.fabric?.stretchPercent,
  },
  {
    id: 'cut',
    headers: ['cut', 'how cut'],
    kinds: ['scrap'],
    read: oneOf('cut', SCRAP_CUTS),
    write: (item) => item.scrap?.cut,
  },
  {
    id: 'cutSize',
    headers: ['cut size', 'side', 'strip width'],
    kinds: ['scrap'],
    read: amount('cutMm', small),
    write: (item) => exact(item.scrap?.cutMm, 10, 'cm'),
  },
  {
    id: 'area',
    headers: ['area'],
    kinds: ['scrap'],
    read: amount('areaMm2', parseArea),
    write: (_, lot) => exact(lot.areaMm2, 1e6, 'm²'),
  },
  {
    id: 'number',
    headers: ['number', 'pattern number', 'no', 'nr', 'pattern no'],
    kinds: ['pattern'],
    read: amount('number', parseCount),
    write: (item) => item.pattern?.number,
  },
  {
    id: 'garment',
    headers: ['garment', 'garment type'],
    kinds: ['pattern'],
    read: words('garment', 60, true),
    write: (item) => item.pattern?.garment,
  },
  {
    id: 'publisher',
    headers: ['publisher', 'maker', 'designer'],
    kinds: ['pattern'],
    read: words('publisher', 60),
    write: (item) => item.pattern?.publisher,
  },
  {
    id: 'era',
    headers: ['era', 'year', 'decade'],
    kinds: ['pattern'],
    read: words('era', 40),
    write: (item) => item.pattern?.era,
  },
  {
    id: 'sizes',
    headers: ['sizes', 'size range'],
    kinds: ['pattern'],
    read: words('sizes', 60),
    write: (item) => item.pattern?.sizes,
  },
  {
    id: 'format',
    headers: ['format'],
    kinds: ['pattern'],
    read: oneOf('format', PATTERN_FORMATS),
    write: (item) => item.pattern?.format ?? (item.pattern && 'envelope'),
  },
  {
    id: 'envelope',
    headers: ['envelope', 'envelope size'],
    kinds: ['pattern'],
    read: readEnvelope,
    write: ({ pattern }) => pattern && `${exact(pattern.widthMm, 10, '')} x ${exact(pattern.heightMm, 10, 'cm')}`,
  },
  {
    id: 'thickness',
    headers: ['thickness'],
    kinds: ['pattern'],
    read: amount('thicknessMm', tiny),
    write: (item) => exact(item.pattern?.thicknessMm, 1, 'mm'),
  },
  {
    id: 'sheets',
    headers: ['sheets', 'pages'],
    kinds: ['pattern'],
    read: amount('sheets', parseCount),
    write: (item) => item.pattern?.sheets,
  },
  {
    id: 'made',
    headers: ['made'],
    kinds: ['pattern'],
    read: yesNo('isMade'),
    write: (item) => toYesNo(item.pattern?.isMade),
  },
  {
    id: 'use',
    headers: ['for', 'use', 'used for', 'purpose'],
    kinds: ['thread'],
    read: words('use', 40, true),
    write: (item) => item.thread?.use,
  },
  {
    id: 'tex',
    headers: ['tex', 'ticket', 'thread weight'],
    kinds: ['thread'],
    read: readTex,
    write: (item) => item.thread?.tex,
  },
  {
    id: 'holder',
    headers: ['wound on', 'spool', 'spool type'],
    kinds: ['thread'],
    read: oneOf('holder', HOLDERS),
    write: (_, lot) => lot.holder,
  },
  {
    id: 'spoolWidth',
    headers: ['spool width', 'spool diameter'],
    kinds: ['thread'],
    read: (text, units) => readSpool(text, units, 0),
    write: (item) => exact(item.thread?.diameterMm, 1, 'mm'),
  },
  {
    id: 'spoolHeight',
    headers: ['spool height'],
    kinds: ['thread'],
    read: (text, units) => readSpool(text, units, 1),
    write: (item) => exact(item.thread?.heightMm, 1, 'mm'),
  },
  {
    id: 'type',
    headers: ['type', 'kind of notion'],
    kinds: BOXY,
    read: words('type', 40, true),
    write: (item) => item.box?.type,
  },
  { id: 'size', headers: ['size'], kinds: BOXY, read: words('size', 40), write: (item) => item.box?.size },
  {
    id: 'count',
    headers: ['count', 'quantity', 'qty', 'pieces', 'number of', 'copies', 'spools', 'packets'],
    kinds: ['pattern', 'thread', 'notion', 'tool', 'scrap', 'kit', 'other'],
    read: amount('count', parseCount),
    write: (item, lot) => (item.kind === 'scrap' && item.scrap?.cut === 'odd' ? null : lot.count),
  },
  {
    id: 'units',
    headers: ['pieces in all', 'single pieces', 'units'],
    kinds: ['notion'],
    read: amount('units', parseCount),
    write: (_, lot) => lot.units,
  },
  {
    id: 'boxWidth',
    headers: ['outer width', 'width of box'],
    kinds: BOXY,
    read: side(0),
    write: (item) => exact(item.box?.widthMm, 10, 'cm'),
  },
  {
    id: 'boxDepth',
    headers: ['outer depth', 'depth'],
    kinds: BOXY,
    read: side(1),
    write: (item) => exact(item.box?.depthMm, 10, 'cm'),
  },
  {
    id: 'boxHeight',
    headers: ['outer height', 'height'],
    kinds: BOXY,
    read: side(2),
    write: (item) => exact(item.box?.heightMm, 10, 'cm'),
  },
  {
    id: 'mass',
    headers: ['weight', 'mass', 'weight of one'],
    kinds: [...BOXY, 'thread'],
    read: amount('massG', mass),
    write: (item) => exact(item.box?.massG ?? item.thread?.massG, 1, 'g'),
  },
  {
    id: 'unitMass',
    headers: ['weight of one piece'],
    kinds: ['notion'],
    read: amount('unitG', mass),
    write: (item) => exact(item.box?.unitG, 1, 'g'),
  },
  { id: 'soft', headers: ['soft'], kinds: BOXY, read: yesNo('isSoft'), write: (item) => toYesNo(item.box?.isSoft) },
  {
    id: 'hole',
    headers: ['hang hole', 'hole'],
    kinds: ['tool'],
    read: orNone('hangHoleMm', amount('hangHoleMm', tiny)),
    write: (item) => exact(item.box?.hangHoleMm, 1, 'mm') ?? 'none',
  },
  {
    id: 'watts',
    headers: ['watts'],
    kinds: ['tool', 'other'],
    read: orNone('watts', number('watts', 20_000)),
    write: (item) => item.box?.watts ?? 'none',
  },
  {
    id: 'tapeWidth',
    headers: ['tape width', 'ribbon width'],
    kinds: ['notion'],
    read: amount('tapeWidthMm', tiny),
    write: (item) => exact(item.box?.tape?.widthMm, 1, 'mm'),
  },
  {
    id: 'tapeThickness',
    headers: ['tape thickness'],
    kinds: ['notion'],
    read: amount('tapeMm', tiny),
    write: (item) => exact(item.box?.tape?.layerMm, 1, 'mm'),
  },
  {
    id: 'core',
    headers: ['bare reel'],
    kinds: ['notion'],
    read: amount('coreMm', tiny),
    write: (item) => exact(item.box?.tape?.coreMm, 1, 'mm'),
  },
  {
    id: 'forWhat',
    headers: ['kit for', 'project'],
    kinds: ['kit'],
    read: words('forWhat', 120),
    write: (item) => item.kit?.forWhat,
  },
  {
    id: 'kitState',
    headers: ['how far', 'state'],
    kinds: ['kit'],
    read: oneOf('kitState', KIT_STATES),
    write: (item) => item.kit?.state,
  },
  {
    id: 'parts',
    headers: ['parts', 'contents'],
    kinds: ['kit'],
    read: list('parts'),
    write: (item) => item.kit?.parts.join('; '),
  },
  {
    id: 'uses',
    headers: ['uses a month', 'uses'],
    kinds: ALL,
    read: number('usesPerMonth', 1000),
    write: (item) => item.usesPerMonth,
  },
  {
    id: 'care',
    headers: ['mind', 'care'],
    kinds: ALL,
    read: someOf('care', CARE_FLAGS),
    write: (item) => item.care.join('; ') || 'none',
  },
  {
    id: 'forms',
    headers: ['may be kept', 'forms'],
    kinds: ALL,
    read: someOf('forms', STOW_FORMS),
    write: (item) => item.forms.join('; '),
  },
  { id: 'form', headers: ['kept', 'form'], kinds: ALL, read: oneOf('form', STOW_FORMS), write: (_, lot) => lot.form },
  {
    id: 'washed',
    headers: ['washed', 'prewashed'],
    kinds: CLOTHY,
    read: yesNo('isWashed'),
    write: (_, lot) => toYesNo(lot.isWashed),
  },
  {
    id: 'expires',
    headers: ['good until', 'expires', 'expiry'],
    kinds: ['notion', 'other'],
    read: (text) => (DAY_PATTERN.test(text) ? ok({ expiresOn: text }) : fault('not-a-day', text)),
    write: (_, lot) => lot.expiresOn,
  },
  {
    id: 'usedHours',
    headers: ['hours sewn'],
    kinds: ['notion'],
    read: number('usedHours', 1000),
    write: (_, lot) => lot.usedHours,
  },
  {
    id: 'tags',
    headers: ['tags', 'labels', 'keywords'],
    kinds: ALL,
    read: list('tags'),
    write: (item) => item.tags?.join('; '),
  },
  {
    id: 'source',
    headers: ['from', 'source', 'shop', 'bought at'],
    kinds: ALL,
    read: words('source', 120),
    write: (item) => item.source,
  },
  { id: 'cost', headers: ['cost', 'price', 'paid'], kinds: ALL, read: number('cost', 1e7), write: (item) => item.cost },
  {
    id: 'notes',
    headers: ['notes', 'note', 'comment', 'remarks'],
    kinds: ALL,
    read: words('notes', 2000),
    write: (item) => item.notes,
  },
  { id: 'lot', headers: ['lot id'], kinds: ALL, read: () => ok({}), write: (_, lot) => lot.id },
  { id: 'item', headers: ['item id'], kinds: ALL, read: () => ok({}), write: (item) => item.id },
];

const simplify = (header: string) =>
  header
    .toLowerCase()
    .replace(/\(.*?\)|[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** The column that a heading means in its own words, of one of these kinds; null for none. */
export function findColumn(header: string, kinds: readonly Kind[]): Column | null {
  const word = simplify(header);
  const found = COLUMNS.filter((column) => column.headers.some((one) => simplify(one) === word));
  // The same word heads different columns of different kinds; the first kind's own comes first.
  for (const kind of kinds) {
    const column = found.find((one) => one.kinds.includes(kind));
    if (column) return column;
  }
  return null;
}

/** A guess where nothing is headed so: a column of the kind whose heading begins with that word. */
export function guessColumn(header: string, kind: Kind): Column | null {
  const word = simplify(header);
  if (word.length < 4) return null;
  return (
    COLUMNS.find(
      (column) => column.kinds.includes(kind) && column.headers.some((one) => simplify(one).split(' ')[0] === word),
    ) ?? null
  );
}

/** The columns of a kind, in the order they are written. */
export function listColumns(kind: Kind): Column[] {
  return COLUMNS.filter((column) => column.kinds.includes(kind));
}
