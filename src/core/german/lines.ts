import type { LineLanguage, SpellTable } from '../spelling/index.ts';
import { KINDS_AND_CLOTHS, LOOKS, MAKING, SIGNS, TYPES } from './words.ts';

/** How what lies about in heaps is measured. */
const HEAPS: SpellTable = {
  pile: 'Stapel, Turm',
  row: 'Reihe',
  heap: 'Haufen, Berg',
  bins: 'Kiste, Kisten, Box, Boxen, Korb, Körbe, Schublade, Schubladen, Tüte, Tüten, Sack, Säcke, Beutel, Kartons',
  litres: 'Liter, Litern',
  pieces: 'Stück, Stk, Stücke, Teile, Spulen, Umschläge, Schnitte, Päckchen',
  high: 'hoch',
  long: 'lang',
  of: 'von, aus, mit, zu',
  a: 'ein, eine, einen',
  about: 'etwa, ungefähr, circa',
};

/** What steps of a project begin with. */
const STEPS: SpellTable = {
  cut: 'zuschneiden, schneiden, ausschneiden, anschneiden',
  trace: 'abpausen, kopieren',
  mark: 'anzeichnen, markieren, übertragen',
  overlock: 'versäubern, overlocken',
  press: 'bügeln, ausbügeln, pressen',
  fuse: 'aufbügeln, fixieren',
  tack: 'heften',
  hem: 'säumen, umsäumen, Saum',
  embroider: 'besticken, sticken',
  button: 'Knöpfe, Knopf, Knopflöcher, Knopfloch',
  sew: 'nähen, annähen, zusammennähen, einnähen, einsetzen, schließen',
  stitch: 'steppen, absteppen',
  gather: 'kräuseln, einkräuseln',
  bind: 'einfassen',
  quilt: 'quilten',
};

/** How many of which size. */
const MAKES: SpellTable = {
  pieces: 'Stück, Stk, Teile',
  of: 'von, in',
  and: 'und',
  x: 'mal',
};

/** How a piece is cut. */
const PIECES: SpellTable = {
  'on the fold': 'im Bruch',
  on: 'im',
  fold: 'Bruch, Stoffbruch',
  'either way': 'drehbar',
  corners: 'Ecken',
  pieces: 'Stück, Stk',
};

const FLAWS: SpellTable = { hole: 'Loch', at: 'bei' };

/** What is cut small and counted, and of which colour; the usual word stands before a thing. */
const SIZES: SpellTable = {
  square: 'Quadrat',
  squares: 'Quadrate',
  strip: 'Streifen',
  strips: 'Streifen',
  red: 'rote, rot',
  orange: 'orange',
  yellow: 'gelbe, gelb',
  green: 'grüne, grün',
  teal: 'türkise, türkis',
  blue: 'blaue, blau',
  violet: 'violette, violett',
  pink: 'rosa',
  brown: 'braune, braun',
  white: 'weiße, weiß',
  grey: 'graue, grau',
  black: 'schwarze, schwarz',
};
const SIZE_SIGNS: SpellTable = { from: 'ab, von', worth: 'wert', by: 'mal' };

/** What comes round. */
const CHORES: SpellTable = {
  oil: 'ölen',
  'clean out the lint': 'Fusseln entfernen',
  clean: 'reinigen, putzen, säubern',
  lint: 'Fusseln',
  service: 'Wartung, warten',
  'change the needle': 'Nadel wechseln',
  needle: 'Nadel',
  'change the blade': 'Klinge wechseln',
  blade: 'Klinge',
  air: 'lüften',
  refold: 'umfalten',
  'every year': 'jedes Jahr',
  every: 'alle, jede, jeden, jedes',
  or: 'oder',
  h: 'Stunden, Stunde, Std',
  days: 'Tage',
  day: 'Tag',
  weeks: 'Wochen',
  week: 'Woche',
  months: 'Monate',
  month: 'Monat',
  years: 'Jahre',
  year: 'Jahr',
};

/** Words of a question. */
const QUESTIONS: SpellTable = {
  where: 'wo',
  what: 'was, welche, welcher, welches',
  is: 'ist, sind, liegt, liegen, steckt',
  the: 'der, die, das, den, dem, des',
  a: 'ein, eine, einen, einem, einer',
  my: 'mein, meine, meinen, meinem, meiner',
  with: 'mit',
  for: 'für',
  from: 'von, vom, aus',
  in: 'in, im',
  and: 'und',
  have: 'habe, hat, hatte',
  stuff: 'Sachen, Zeug',
};

/** Parts of a project's cloth. */
const PARTS: SpellTable = {
  main: 'Oberstoff, Hauptstoff, Stoff',
  lining: 'Futter, Futterstoff',
  contrast: 'Kontrast, Kontraststoff',
  interfacing: 'Einlage, Vlies, Bügeleinlage',
  batting: 'Volumenvlies, Wattierung',
  backing: 'Rückseite, Rückseitenstoff',
};

/** The words of each form of line: those that take endings and make longer words, and those that stand by themselves. */
export const TABLES: Readonly<
  Record<keyof LineLanguage, { readonly words?: SpellTable; readonly signs?: SpellTable }>
> = {
  line: { words: { ...KINDS_AND_CLOTHS, ...LOOKS, ...MAKING, ...TYPES }, signs: SIGNS },
  heap: { signs: HEAPS },
  step: { words: STEPS },
  part: { words: PARTS },
  makes: { signs: MAKES },
  piece: { signs: PIECES },
  flaw: { signs: FLAWS },
  size: { words: SIZES, signs: SIZE_SIGNS },
  chore: { signs: CHORES },
  asked: { signs: QUESTIONS },
};
