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
/** A place is named for a group where its name fits so many of the things in it, or where so many of those that it fits are in it. */
const FITTING_SHARE = 0.5;
const BELONGING_SHARE = 0.8;

/** Words of a name, in lower case and without the s of the plural. */
function listWords(text: string): string[] {
  return text
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter((word) => word.length > 2)
    .map((word) => (word.length > 4 && word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word));
}

function listItemWords(
  { kind, name, fabric, box, thread, pattern }: Item,
  read: (text: string) => readonly string[],
): Set<string> {
  // What a cloth or a kit is called is what it is; a tool called a roll does not belong in the corner of the rolls.
  const called = fabric || kind === 'kit' ? name : '';
  const said = [called, fabric?.fibre, fabric?.cloth, box?.type, thread?.use, pattern?.garment];
  return new Set([...KIND_WORDS[kind], ...said.flatMap((text) => (text ? read(text) : []))]);
}

/** The groups that a place is named for. */
export interface NamedFor {
  readonly fitting: readonly number[];
  readonly wanted: readonly number[];
}

/**
 * By place, given as its path from the room, the numbers of the groups that it is named for: those whose words are in
 * its own name or, where that says nothing, in the name of the compartment or of the piece of furniture around it. Empty
 * where the name says nothing of what is to be in it. `wanted` are those that the name fits as a whole, which miss
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
  const counts = groups.map(({ lots }) => {
    const mine = new Map<string, number>();
    for (const lot of lots)
      for (const word of listItemWords(items.get(lot.itemId)!, read)) {
        mine.set(word, (mine.get(word) ?? 0) + 1);
        all.set(word, (all.get(word) ?? 0) + 1);
      }
    return mine;
  });
  const isWhole = (g: number, word: string) => {
    const n = counts[g]!.get(word) ?? 0;
    return n > 0 && n >= FITTING_SHARE * groups[g]!.lots.length;
  };
  const isPart = (g: number, word: string) => {
    const n = counts[g]!.get(word) ?? 0;
    return n > 0 && n >= BELONGING_SHARE * all.get(word)!;
  };
  const known = new Map<string, NamedFor>();
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
  return paths.map((path) => {
    for (const { level, name } of path.toReversed()) {
      if (level === 'room') break;
      const found = listFor(name);
      if (found.fitting.length > 0) return found;
    }
    return { wanted: [], fitting: [] };
  });
}
