import { foldLetters } from '../spelling/index.ts';
import { toTable } from '../words/index.ts';

/**
 * What garments are called in other languages, without dots and in lower case. Of all languages at once: a project keeps
 * the name that it was given, whatever is spoken later.
 */
const ELSEWHERE = toTable<string>({
  schurze: 'apron',
  tasche: 'bag',
  beutel: 'bag',
  bluse: 'blouse',
  decke: 'blanket',
  mutze: 'cap',
  mantel: 'coat',
  vorhang: 'curtain',
  vorhange: 'curtain',
  gardine: 'curtain',
  kissen: 'cushion',
  kleid: 'dress',
  kleider: 'dress',
  kapuzenpulli: 'hoodie',
  jacke: 'jacket',
  overall: 'overalls',
  latzhose: 'overalls',
  schlafanzug: 'pyjamas',
  schlafanzuge: 'pyjamas',
  hemd: 'shirt',
  hemden: 'shirt',
  rock: 'skirt',
  rocke: 'skirt',
  kittel: 'smock',
  oberteil: 'top',
  oberteile: 'top',
  handtuch: 'towel',
  handtucher: 'towel',
  hose: 'trousers',
  unterhemd: 'vest',
  unterhemden: 'vest',
  weste: 'waistcoat',
});
const NAMES = Object.keys(ELSEWHERE).toSorted((a, b) => b.length - a.length);

/** A word, or the last part of a longer one: a `Sommerkleid` is a dress. */
function readElsewhere(word: string): string[] {
  const folded = foldLetters(word);
  const name = NAMES.find((one) => folded.endsWith(one) || folded.endsWith(`${one}n`));
  return name === undefined ? [] : [ELSEWHERE[name]!];
}

/** Words of a name that may say what is made, one of them or several, those of our own language first: `Four crew smocks`. */
export function listGarmentWords(name: string): string[] {
  const words = name.toLowerCase().split(/[^\p{L}\p{M}]+/u);
  return [...words.flatMap((word) => [word, word.replace(/s$/, '')]), ...words.flatMap(readElsewhere)];
}
