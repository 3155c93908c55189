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
/** A place is named for a group where its name fits so many of the things in it. */
const FITTING_SHARE = 0.5;

/** Words of a name, in lower case and without the s of the plural. */
function listWords(text: string): string[] {
  return text
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter((word) => word.length > 2)
    .map((word) => (word.length > 4 && word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word));
}

function listItemWords({ kind, name, fabric, box, thread, pattern }: Item): Set<string> {
  const said = [fabric?.fibre, fabric?.cloth, box?.type, thread?.use, pattern?.garment, kind === 'kit' ? name : ''];
  return new Set([...KIND_WORDS[kind], ...said.flatMap((text) => (text ? listWords(text) : []))]);
}

/**
 * By place, given as its path from the room, the numbers of the groups that it is named for: those whose words are in
 * its own name or, where that says nothing, in the name of the compartment or of the piece of furniture around it. Empty
 * where the name says nothing of what is to be in it.
 */
export function listNamed(
  paths: readonly (readonly Place[])[],
  groups: readonly Group[],
  items: ReadonlyMap<string, Item>,
): readonly (readonly number[])[] {
  const shares = groups.map(({ lots }) => {
    const counts = new Map<string, number>();
    for (const lot of lots)
      for (const word of listItemWords(items.get(lot.itemId)!)) counts.set(word, (counts.get(word) ?? 0) + 1);
    return new Map([...counts].map(([word, n]) => [word, n / lots.length]));
  });
  const known = new Map<string, readonly number[]>();
  const listFor = (name: string) => {
    const before = known.get(name);
    if (before) return before;
    const words = listWords(name);
    const found = groups.flatMap((_, g) =>
      words.some((word) => (shares[g]!.get(word) ?? 0) >= FITTING_SHARE) ? [g] : [],
    );
    known.set(name, found);
    return found;
  };
  return paths.map((path) => {
    for (const { level, name } of path.toReversed()) {
      if (level === 'room') break;
      const found = listFor(name);
      if (found.length > 0) return found;
    }
    return [];
  });
}
