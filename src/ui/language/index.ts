import type { LineLanguage } from '../../core/spelling/index.ts';
import { readMessage, type Token } from './messages.ts';

export { formatFixed, formatShort } from '../../core/units/index.ts';

/** The languages that all wording is in. The source is English; the others are catalogues beside this file. */
export const LANGUAGES = ['en', 'de'] as const;
export type Language = (typeof LANGUAGES)[number];

export type Values = Readonly<Record<string, string | number | boolean | null | undefined>>;
type Say = (message: string, values?: Values) => string;

/** Every message of the source is read once. */
const read = new Map<string, Token[]>();

/**
 * English, put together from the source itself. Other languages are said by @lingui/core, which comes with their
 * catalogue: the first screen of most is drawn without it. A test holds the two against each other.
 */
function sayEnglish(message: string, values?: Values): string {
  if (values === undefined) return message;
  let tokens = read.get(message);
  if (!tokens) read.set(message, (tokens = readMessage(message)));
  let said = '';
  for (const token of tokens) {
    if (typeof token === 'string') said += token;
    else {
      const [name, , forms] = token;
      const value = values[name];
      if (forms) {
        const count = Number(value);
        for (const part of count === 1 ? forms['one']! : forms['other']!)
          said += part === '#' ? formatNumber(count) : part;
      } else if (value !== undefined && value !== null) said += String(value);
    }
  }
  return said;
}

/** Words of the craft in another language: the records have them in English. */
export interface Terms {
  readonly word: (term: string) => string;
  readonly read: (word: string) => string;
  readonly listAlike: (word: string) => readonly string[];
  /** How lines are read that are typed in it. */
  readonly lines: LineLanguage;
}

let spoken: { readonly language: Language; readonly say: Say; readonly terms?: Terms } = {
  language: 'en',
  say: sayEnglish,
};

export const getLanguage = (): Language => spoken.language;

/** Speaks from now on as is said by `say`; English without one. */
export function setLanguage(language: Language, say: Say = sayEnglish, terms?: Terms): void {
  spoken = { language, say, ...(terms && { terms }) };
}

/** A word of the records, as `cotton`, as it is said; a word of one's own as it stands. */
export const wordTerm = (term: string): string => spoken.terms?.word(term) ?? term;
/** What was typed, as the records have it: `Baumwolle` is `cotton`. */
export const readTerm = (word: string): string => spoken.terms?.read(word) ?? word;
/** Words of the records that one may look for with a word: `grünes` is `green`. */
export const listAlike = (word: string): readonly string[] => spoken.terms?.listAlike(word) ?? [];

/** How lines are read beside English: as they are typed in the language that is spoken. */
export const getLineLanguage = (): LineLanguage | undefined => spoken.terms?.lines;

const TO_THE_LEFT = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufefc]/u;

/** A name that is written to the left stands in its sentence by itself and turns nothing round it (FSI … PDI). */
function isolate(values: Values): Values {
  let isolated: Record<string, Values[string]> | null = null;
  for (const [name, value] of Object.entries(values))
    if (typeof value === 'string' && TO_THE_LEFT.test(value))
      isolated = { ...(isolated ?? values), [name]: `\u2068${value}\u2069` };
  return isolated ?? values;
}

/**
 * What may stand in a message: figures and words that were said already. A word of the records, such as `'left'`, is
 * English wherever it stands, and no value.
 */
type Said<T> = T extends string ? (string extends T ? T : never) : T;

/**
 * What is said, in the language that was chosen: `t('{n, plural, one {# thing} other {# things}} left', { n })`. The
 * message is its own key, in ICU's notation; `npm run words` gathers all of them into the catalogues.
 */
export function t<V extends Values>(message: string, values?: V & { readonly [K in keyof V]: Said<V[K]> }): string {
  return spoken.say(message, values && isolate(values));
}

/** A table of words, made again when the language changes. */
export function perLanguage<T>(make: () => T): () => T {
  let madeIn = '';
  let made: T;
  return () => {
    if (madeIn !== spoken.language) {
      made = make();
      madeIn = spoken.language;
    }
    return made;
  };
}

/** `1,234` or `1.234`. */
export function formatNumber(value: number): string {
  return value.toLocaleString(spoken.language);
}
