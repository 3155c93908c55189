import type { Group } from '../grouping/index.ts';
import type { Item, Kind, Place } from '../records/index.ts';

/** Words on a place that mean a whole kind of thing. */
const KIND_WORDS: Readonly<Record<Kind, readonly string[]>> = {
  fabric: ['fabric', 'cloth'],
  pattern: ['pattern'],
  thread: ['thread', 'spool', 'bobbin'],
  notion: ['notion', 'haberdashery'],
  tool: ['tool'],
  scrap: ['scrap', 'remnant', 'offcut'],
  kit: ['kit', 'project'],
  other: [],
};
/** A chest that was built or bought for something says more than what is written on a bin: so much as so many names of a bin. */
const FURNITURE_WEIGHT = 3;
/** A place is named for a group where its name fits so many of the things in it, or where so many of those that it fits are in it. */
const FITTING_SHARE = 0.5;
const BELONGING_SHARE = 0.8;

const toStem = (word: string) =>
  word.length > 4 && word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word;

/** Words that tell one place, or one thing, from another and say nothing of what either is. */
const PLAIN_WORDS = new Set(
  (
    'long short large small big little wide narrow low tall high deep shallow upper lower middle top bottom left right ' +
    'front back near far first second third last old new odd open closed clear heavy light thick thin soft hard ' +
    'bits ends end strip strips square squares corner corners pieces box bin shelf drawer the and for with'
  )
    .split(' ')
    .map(toStem),
);

/** Words of a name that say what something is, in lower case and without the s of the plural. */
function listWords(text: string): string[] {
  return text
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .map(toStem)
    .filter((word) => word.length > 2 && !PLAIN_WORDS.has(word));
}

/** Words for what a thing is, and beside them such as only some of its kind bear: the name of a cloth, what a scrap was cut from. */
function listItemWords(
  { kind, name, fabric, box, thread, pattern }: Item,
  read: (text: string) => readonly string[],
): { is: Set<string>; bears: Set<string> } {
  const readAll = (texts: readonly (string | undefined)[]) => texts.flatMap((text) => (text ? read(text) : []));
  const cloth = [fabric?.fibre, fabric?.cloth];
  const isScrap = kind === 'scrap';
  const said = [...(isScrap ? [] : cloth), box?.type, thread?.use, pattern?.garment, kind === 'kit' ? name : ''];
  const is = new Set([...KIND_WORDS[kind], ...readAll(said)]);
  // A tool called a roll does not belong in the corner of the rolls.
  return { is, bears: new Set([...is, ...readAll(fabric ? [name, ...cloth] : [])]) };
}

/** The groups that a place is named for. */
export interface NamedFor {
  readonly fitting: readonly number[];
  readonly wanted: readonly number[];
  /** How much the name says. */
  readonly weight: number;
}

const NAMELESS: NamedFor = { fitting: [], wanted: [], weight: 0 };

/** The group that the printed label of a place names; one that names several only lists what happened to be there. */
function getLabelled({ label }: Place): string | undefined {
  if (label?.printedAtMs === undefined || label.words !== undefined) return undefined;
  const named = label.says.filter(({ about }) => about === 'group');
  return named.length === 1 ? named[0]!.value : undefined;
}

/**
 * By place, given as its path from the room, the numbers of the groups that it is named for: those whose words are in
 * its own name or, where that says nothing, in the name of the compartment or of the piece of furniture around it; where
 * none of them says anything, the one that its printed label names. Empty where nothing says of what is to be in it. `wanted` are those that the name fits as a whole, which miss
 * something elsewhere; the others it fits in part.
 */
export function listNamed(
  paths: readonly (readonly Place[])[],
  groups: readonly Group[],
  items: ReadonlyMap<string, Item>,
): readonly NamedFor[] {
  // The same is said of hundreds of things.
  const texts = new Map<string, readonly string[]>();
  const read = (text: string) => {
    const before = texts.get(text);
    if (before) return before;
    const words = listWords(text);
    texts.set(text, words);
    return words;
  };
  const all = new Map<string, number>();
  const add = (to: Map<string, number>, word: string) => to.set(word, (to.get(word) ?? 0) + 1);
  const counts = groups.map(({ lots }) => {
    const [whole, part] = [new Map<string, number>(), new Map<string, number>()];
    for (const lot of lots) {
      const { is, bears } = listItemWords(items.get(lot.itemId)!, read);
      for (const word of is) add(whole, word);
      for (const word of bears) {
        add(part, word);
        add(all, word);
      }
    }
    return { whole, part };
  });
  const isWhole = (g: number, word: string) => {
    const n = counts[g]!.whole.get(word) ?? 0;
    return n > 0 && n >= FITTING_SHARE * groups[g]!.lots.length;
  };
  const isPart = (g: number, word: string) => {
    const n = counts[g]!.part.get(word) ?? 0;
    return n > 0 && n >= BELONGING_SHARE * all.get(word)!;
  };
  const known = new Map<string, Omit<NamedFor, 'weight'>>();
  const listFor = (name: string) => {
    const before = known.get(name);
    if (before) return before;
    const words = listWords(name);
    const list = (is: (g: number, word: string) => boolean) =>
      groups.flatMap((_, g) => (words.some((word) => is(g, word)) ? [g] : []));
    const wanted = list(isWhole);
    const found = { wanted, fitting: [...new Set([...wanted, ...list(isPart)])] };
    known.set(name, found);
    return found;
  };
  const index = new Map(groups.map(({ id }, g) => [id, g]));
  const findByName = (path: readonly Place[]): NamedFor => {
    for (const { level, name, unit } of path.toReversed()) {
      // A table is called after the work that is done at it.
      if (level === 'room' || unit?.kind === 'table') break;
      const found = listFor(name);
      if (found.fitting.length > 0) return { ...found, weight: level === 'unit' ? FURNITURE_WEIGHT : 1 };
    }
    return NAMELESS;
  };
  return paths.map((path) => {
    const byName = findByName(path);
    const labelled = byName === NAMELESS ? index.get(getLabelled(path.at(-1)!) ?? '') : undefined;
    return labelled === undefined ? byName : { fitting: [labelled], wanted: [labelled], weight: 1 };
  });
}
