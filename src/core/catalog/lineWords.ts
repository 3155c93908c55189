import { isShade, parseColourWord } from '../colour/index.ts';
import { TYPE_FIGURES } from './figures.ts';
import type { Sketch } from './sketch.ts';
import {
  CLOTH_WORDS,
  CUT_WORDS,
  FIBRE_WORDS,
  FORM_WORDS,
  GARMENT_WORDS,
  HOLDER_WORDS,
  KIND_WORDS,
  PRINT_WORDS,
  THREAD_USES,
  WEAVE_WORDS,
} from './words.ts';
import type { Spelling } from '../spelling/index.ts';
import { toTable } from '../words/index.ts';

/** What a stretch of the line was read as. */
const MEANINGS = [
  'kind',
  'type',
  'fibre',
  'cloth',
  'weave',
  'print',
  'colour',
  'form',
  'holder',
  'use',
  'garment',
  'cut',
  'length',
  'width',
  'grammage',
  'mass',
  'count',
  'units',
  'size',
  'number',
  'sheets',
  'format',
  'made',
  'washed',
  'tex',
  'watts',
  'hours',
  'expiry',
  'cost',
  'tag',
  'for',
  'box',
  'era',
  'sizes',
  'from',
  'name',
] as const;
export type Meaning = (typeof MEANINGS)[number];

export interface LinePart {
  readonly from: number;
  readonly to: number;
  readonly text: string;
  readonly means: Meaning;
}

export interface Token {
  readonly text: string;
  readonly word: string;
  readonly from: number;
  readonly to: number;
}

/** A number of the line, whose meaning depends on the kind of thing. */
export interface Quantity {
  readonly from: number;
  to: number;
  readonly number: string;
  readonly unit: string;
  /** It came after an x or ×. */
  readonly isTimes: boolean;
  isWide: boolean;
}

export const NUMBER = /^(\d+[.,]\d+|[.,]\d+|\d+\s*[½¼¾⅓⅔⅛⅜⅝⅞]|[½¼¾⅓⅔⅛⅜⅝⅞]|\d+\/\d+|\d+)(.*)$/u;
export const LENGTH_UNITS = new Set(
  'mm cm m metre metres meter meters in inch inches " ” ″ ft foot feet \' ’ ′ yd yds yard yards'.split(' '),
);
export const MASS_UNITS = new Set('mg g kg oz lb lbs'.split(' '));
export const GRAMMAGE_UNITS = new Set('gsm g/m² g/m2 gm2 g/sqm oz/yd² oz/yd2'.split(' '));
export const COUNT_UNITS = new Set(
  'pcs pc pieces piece packets packet packs pack copies copy lengths pairs pair sets set reels reel cards card'.split(
    ' ',
  ),
);
export const isUnit = (word: string) =>
  LENGTH_UNITS.has(word) ||
  MASS_UNITS.has(word) ||
  GRAMMAGE_UNITS.has(word) ||
  COUNT_UNITS.has(word) ||
  word === 'w' ||
  word === 'sheets';
export const KEYWORDS = toTable<Meaning>({
  tex: 'tex',
  tkt: 'tex',
  ticket: 'tex',
  wt: 'tex',
  weight: 'tex',
  size: 'size',
  sizes: 'sizes',
  cost: 'cost',
  no: 'number',
  nr: 'number',
  number: 'number',
});
/** Every word of a line that says something by itself, colours apart. */
export const LINE_WORDS: readonly string[] = [
  ...[CLOTH_WORDS, CUT_WORDS, FORM_WORDS, HOLDER_WORDS, KIND_WORDS, PRINT_WORDS].flatMap((table) => Object.keys(table)),
  ...FIBRE_WORDS,
  ...WEAVE_WORDS,
  ...GARMENT_WORDS,
  ...THREAD_USES,
  ...TYPE_FIGURES.flatMap((one) => one.words),
];
const KNOWN_WORDS = new Set(LINE_WORDS);

/** Sides written in one: `42x20x30cm`. */
const SIDES = /^\d+(?:[.,]\d+)?(?:[x×*]\d+(?:[.,]\d+)?)+[a-z"”″]*[,;]?$/iu;

/** A word of another language by the words that lines know; a number keeps its unit. */
function spell(token: Token, spelling: Spelling): Token[] {
  const [, number = '', unit = token.word] = NUMBER.exec(token.word) ?? [];
  const spelled = unit === '' ? null : spelling.read(unit);
  if (!spelled) return [token];
  if (number !== '') return spelled.length === 1 ? [{ ...token, word: number + spelled[0]!.word }] : [token];
  let at = 0;
  return spelled.map(({ letters, word }, n) => {
    const text = n === spelled.length - 1 ? token.text.slice(at) : token.text.slice(at, at + letters);
    const from = token.from + at;
    at += letters;
    return { text, word, from, to: from + text.length };
  });
}

/** The words of a line, also of one in another language. */
export function tokenise(text: string, spelling?: Spelling): Token[] {
  const tokens = [...text.matchAll(/\S+/gu)].flatMap((match) => {
    // Each side after the first begins with its x, as if it stood apart.
    const parts = SIDES.test(match[0]) ? [...match[0].matchAll(/[x×*]?[^x×*]+/giu)] : [{ 0: match[0], index: 0 }];
    return parts.map((part) => {
      const from = match.index + (part.index ?? 0);
      const word = part[0].toLowerCase().replace(/[,;]$/u, '').replace(/^\*/u, '×');
      return { text: part[0], word, from, to: from + part[0].length };
    });
  });
  return spelling ? tokens.flatMap((token) => spell(token, spelling)) : tokens;
}

/** Words that begin a phrase, and the sign that it is over. */
export const PHRASE_ENDS = toTable<RegExp>({ for: /^(?:#|cost$|from$)/u, from: /^(?:#|cost$|for$|[x×]?[.,]?\d)/u });

/** What a word says by its very shape: `#rrggbb`, `#tag`, `#12`, `1950s`, `3h`. */
export function readShape(
  word: string,
): { readonly field: keyof Sketch; readonly value: string | number; readonly means: Meaning } | null {
  if (/^#[0-9a-f]{6}$/u.test(word)) return { field: 'colours', value: word, means: 'colour' };
  if (/^#\d{1,7}$/u.test(word)) return { field: 'number', value: Number(word.slice(1)), means: 'number' };
  if (/^#[^\s#]{1,40}$/u.test(word) && !/^#\d+$/u.test(word))
    return { field: 'tags', value: word.slice(1), means: 'tag' };
  if (/^\d{4}s$/u.test(word)) return { field: 'era', value: word, means: 'era' };
  const used = /^(\d+(?:[.,]\d+)?)\s?h(ours)?$/u.exec(word);
  return used && { field: 'usedHours', value: Number(used[1]!.replace(',', '.')), means: 'hours' };
}

/** A word as tables have it: plurals by their singular, where only that is known. */
export function toSingular(word: string, isKnown: (word: string) => boolean): string {
  if (isKnown(word)) return word;
  for (const ending of ['es', 's']) {
    const one = word.endsWith(ending) ? word.slice(0, -ending.length) : '';
    if (one.length > 2 && isKnown(one)) return one;
  }
  return word;
}

export function isKnownWord(word: string): boolean {
  return (
    KNOWN_WORDS.has(word) ||
    word in KEYWORDS ||
    isShade(word) ||
    parseColourWord(word) !== null ||
    /^(x|×|by|wide|for|from|fat|made|washed|unwashed|used|printed|pdf|digital|expires|exp|#.*)$/u.test(word)
  );
}

export function capitalise(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

export const WASHED = toTable({ washed: true, unwashed: false });

/** Types that are called after the cloth that they are of, or for. */
export const OF_CLOTH: ReadonlySet<string> = new Set(
  'ribbon,elastic,bias tape,tape,lace,cord,boning,machine needles,hand needles,pins,buttons'.split(','),
);
const JOINTS = new Set('of in a an about approx approximately ca some and each by at à'.split(' '));

/** Grams a thousand metres of what is given in tex, by its ticket number or by its weight number. */
export const toTex = (value: number, way: string): number =>
  way === 'tex' ? value : Number(((way.startsWith('t') ? 3000 : 1000) / value).toFixed(2));

/** The words that are no amount, nor only join one to what it is of: the name as it was typed. */
export function nameOf(tokens: readonly Token[], used: ReadonlySet<number>): string {
  const isJoint = (i: number) =>
    JOINTS.has(tokens[i]!.word) && (i === 0 || i === tokens.length - 1 || used.has(i - 1) || used.has(i + 1));
  const words = tokens.filter((_, i) => !used.has(i) && !isJoint(i));
  // Parts of one word stand in one.
  const name = words.map(({ text, from }, n) => (n === 0 || words[n - 1]!.to === from ? text : ` ${text}`));
  return capitalise(
    name
      .join('')
      .replace(/[,;\s]+$/u, '')
      .trim(),
  ).slice(0, 120);
}
