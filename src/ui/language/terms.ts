import { foldLetters as fold, type LineLanguage } from '../../core/spelling/index.ts';
import { toTable } from '../../core/words/index.ts';
import { perLanguage, t, type Terms } from './index.ts';

/** What cloth is like and made of. */
const CLOTH = perLanguage(() => ({
  red: t('red'),
  orange: t('orange'),
  yellow: t('yellow'),
  green: t('green'),
  teal: t('teal'),
  blue: t('blue'),
  violet: t('violet'),
  pink: t('pink'),
  brown: t('brown'),
  white: t('white'),
  grey: t('grey'),
  black: t('black'),
  cotton: t('cotton'),
  linen: t('linen'),
  wool: t('wool'),
  silk: t('silk'),
  hemp: t('hemp'),
  viscose: t('viscose'),
  rayon: t('rayon'),
  lyocell: t('lyocell'),
  modal: t('modal'),
  bamboo: t('bamboo'),
  polyester: t('polyester'),
  nylon: t('nylon'),
  acrylic: t('acrylic'),
  cashmere: t('cashmere'),
  ramie: t('ramie'),
  elastane: t('elastane'),
  tencel: t('tencel'),
  cupro: t('cupro'),
  acetate: t('acetate'),
  alpaca: t('alpaca'),
  mohair: t('mohair'),
  jute: t('jute'),
  knit: t('knit'),
  coated: t('coated'),
  batting: t('batting'),
  sail: t('sail'),
  interfacing: t('interfacing'),
  plain: t('plain weave'),
  twill: t('twill'),
  herringbone: t('herringbone'),
  dobby: t('dobby'),
  jacquard: t('jacquard'),
  basket: t('basket weave'),
  damask: t('damask'),
}));

/** What is made, and what it is made with. */
const MAKING = perLanguage(() => ({
  main: t('main'),
  contrast: t('contrast'),
  lining: t('lining'),
  backing: t('backing'),
  apron: t('apron'),
  bag: t('bag'),
  blouse: t('blouse'),
  cap: t('cap'),
  cape: t('cape'),
  cardigan: t('cardigan'),
  coat: t('coat'),
  corset: t('corset'),
  costume: t('costume'),
  curtain: t('curtain'),
  cushion: t('cushion'),
  dress: t('dress'),
  dungarees: t('dungarees'),
  hat: t('hat'),
  jacket: t('jacket'),
  jeans: t('jeans'),
  jumpsuit: t('jumpsuit'),
  leggings: t('leggings'),
  mittens: t('mittens'),
  nightdress: t('nightdress'),
  overalls: t('overalls'),
  pyjamas: t('pyjamas'),
  quilt: t('quilt'),
  robe: t('robe'),
  shirt: t('shirt'),
  shorts: t('shorts'),
  skirt: t('skirt'),
  smock: t('smock'),
  suit: t('suit'),
  sweater: t('sweater'),
  top: t('top'),
  toy: t('toy'),
  trousers: t('trousers'),
  tunic: t('tunic'),
  vest: t('vest'),
  waistcoat: t('waistcoat'),
  general: t('general'),
  topstitching: t('topstitching'),
  embroidery: t('embroidery'),
  overlocking: t('overlocking'),
  serger: t('serger'),
  quilting: t('quilting'),
  basting: t('basting'),
  tacking: t('tacking'),
  hand: t('hand'),
  elastic: t('elastic'),
  buttonhole: t('buttonhole'),
  invisible: t('invisible'),
  zips: t('zips'),
  buttons: t('buttons'),
  snaps: t('snaps'),
  'hooks and eyes': t('hooks and eyes'),
  eyelets: t('eyelets'),
  beads: t('beads'),
  buckles: t('buckles'),
  ribbon: t('ribbon'),
  'bias tape': t('bias tape'),
  tape: t('tape'),
  lace: t('lace'),
  boning: t('boning'),
  cord: t('cord'),
  'machine needles': t('machine needles'),
  'hand needles': t('hand needles'),
  pins: t('pins'),
  glue: t('glue'),
  'marking pens': t('marking pens'),
  dye: t('dye'),
  stabiliser: t('stabiliser'),
  stuffing: t('stuffing'),
  foam: t('foam'),
  'magnetic clasps': t('magnetic clasps'),
  scissors: t('scissors'),
  'rotary cutter': t('rotary cutter'),
  blades: t('blades'),
  ruler: t('ruler'),
  mat: t('mat'),
  'tape measure': t('tape measure'),
  'seam ripper': t('seam ripper'),
  'presser foot': t('presser foot'),
  iron: t('iron'),
  'tailor ham': t('tailor ham'),
  clapper: t('clapper'),
  machine: t('machine'),
  'ironing board': t('ironing board'),
  lamp: t('lamp'),
  book: t('book'),
  'finished piece': t('finished piece'),
  packing: t('packing'),
  closures: t('closures'),
  cutting: t('cutting'),
  'hand sewing': t('hand sewing'),
  'hand tools': t('hand tools'),
  kit: t('kit'),
  liquids: t('liquids'),
  'machine parts': t('machine parts'),
  marking: t('marking'),
  measuring: t('measuring'),
  needles: t('needles'),
  pressing: t('pressing'),
  tapes: t('tapes'),
}));

/**
 * Words of the craft as the records have them: colours, fibres, weaves, garments, what thread is for, types. In the records
 * they are English whatever is spoken, so that a file is read alike everywhere; said and typed they are the reader's.
 */
export const TERMS = perLanguage(() => toTable<string>({ ...CLOTH(), ...MAKING() }));

/** How light a colour is, as one begins its name. */
const NO_COLOUR: string = '';
const SHADES = perLanguage(() =>
  [t('light {colour}', { colour: NO_COLOUR }), t('dark {colour}', { colour: NO_COLOUR })].map(fold),
);

const FOLDED = perLanguage(() => Object.entries(TERMS()).map(([term, word]) => [fold(word), term] as const));
const BY_WORD = perLanguage(() => {
  const known = new Map<string, string>();
  for (const [word, term] of FOLDED()) if (!known.has(word)) known.set(word, term);
  return known;
});

/** Endings that a word takes in a sentence are no longer. */
const ENDING = 2;
/** A beginning that is shorter could be of anything. */
const BEGUN = 4;

/** What a reader's word may mean in the records: itself, with an ending, begun, or after a word for how light it is. */
function listAlike(word: string): string[] {
  const typed = fold(word);
  const bare = SHADES().reduce((rest, shade) => (rest.startsWith(shade) ? rest.slice(shade.length) : rest), typed);
  const means = (known: string) =>
    [typed, bare].some(
      (one) =>
        (one.startsWith(known) && one.length - known.length <= ENDING) ||
        (one.length >= BEGUN && known.startsWith(one)),
    );
  return FOLDED().flatMap(([known, term]) => (means(known) ? [term] : []));
}

/** A word that was typed is a term, or one of what the term names many of: `Schere` is `scissors`. */
function read(word: string): string {
  const typed = fold(word.trim());
  const one = FOLDED().find(
    ([known]) => typed.length >= BEGUN && known.startsWith(typed) && known.length - typed.length <= ENDING,
  );
  return BY_WORD().get(typed) ?? one?.[1] ?? word;
}

/** What a word that is typed to find something means on the lines: itself, or what a longer one is at its end. */
const listOnLines = ({ line, asked }: LineLanguage, word: string): string[] =>
  [asked.read(word), line.read(word)].flatMap((spelled) => spelled?.slice(-1).map((one) => one.word) ?? []);

/** The words of the craft in the language that is spoken, of which this is how its lines are read. */
export const createTerms = (lines: LineLanguage): Terms => ({
  word: (term) => TERMS()[term] ?? term,
  read,
  listAlike: (word) => [...new Set([...listAlike(word), ...listOnLines(lines, word)])],
  lines,
});
