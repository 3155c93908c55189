import type { Item } from '../records/index.ts';

/** What a thing looks like from the front. */
export type Look =
  | 'scissors'
  | 'cutter'
  | 'ruler'
  | 'curve'
  | 'tape'
  | 'machine'
  | 'overlocker'
  | 'iron'
  | 'book'
  | 'jar'
  | 'reel'
  | 'zips'
  | 'bottle'
  | 'pens'
  | 'tin'
  | 'handle'
  | 'ham'
  | 'carton';

/** By the words of its name and its type, the first that is met: what is rarer stands before what holds it. */
const WORDS: readonly (readonly [Look, RegExp])[] = [
  ['overlocker', /overlock|serger|coverstitch/u],
  ['machine', /\bmachine\b(?! (needles?|feet|foot|parts|oil))/u],
  ['iron', /\birons?\b/u],
  ['book', /\bbooks?\b|\bmagazines?\b|\bmanuals?\b/u],
  ['scissors', /scissors|shears|snips|pliers/u],
  ['cutter', /rotary|\bcutters?\b/u],
  ['tape', /tape measure|measuring tape/u],
  ['curve', /\bcurves?\b/u],
  ['ruler', /\brulers?\b|square|yardstick|metre stick|\bbattens?\b|gauge/u],
  ['ham', /\bhams?\b|sleeve roll|cushion(?! cover)/u],
  ['jar', /buttons?|beads?|sequins|\bjars?\b/u],
  ['zips', /\bzips?\b|zippers?/u],
  ['bottle', /glue|liquids?|spray|adhesive|sealer|\boil\b|\bdyes?\b|\bbottles?\b/u],
  ['pens', /\bpens?\b|pencils?|(?<!hem )\bmarkers?\b/u],
  ['reel', /ribbons?|tapes?\b|elastic|bias|lace|cords?\b|webbing|piping|grosgrain|reels?\b/u],
  ['tin', /\btins?\b|\bpins?\b|needles?|snaps?\b|eyelets?|hooks and eyes|closures|bobbin|thimbles?|\bchalk\b/u],
  ['handle', /hand tools|\bawls?\b|ripper|tracing wheel|turner|mallet|clapper|bodkin|hook/u],
];

/** By its type alone, where no word says what it is. */
const TYPES: Readonly<Record<string, Look>> = {
  measuring: 'ruler',
  cutting: 'cutter',
  marking: 'handle',
  machines: 'machine',
};

/** What a thing in a box looks like: as its own words say, else as its type does; else a carton. */
export function getLook({ name, box, forms }: Pick<Item, 'name' | 'box' | 'forms'>): Look {
  if (!box) return 'carton';
  const told = (text: string) => WORDS.find(([, pattern]) => pattern.test(text.toLowerCase()))?.[0];
  return told(name) ?? TYPES[box.type] ?? told(box.type) ?? (forms[0] === 'peg' ? 'handle' : 'carton');
}
