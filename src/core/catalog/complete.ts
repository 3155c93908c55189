import { listColourWords } from '../colour/index.ts';
import type { Item } from '../records/index.ts';
import type { Spelling } from '../spelling/index.ts';
import { LINE_WORDS } from './lineWords.ts';
import { PRECUTS } from './words.ts';

/** Words that a line may have, the likeliest first. */
export interface WordBook {
  readonly words: readonly string[];
  /** Shops and people that things came from, and the words that they come after. */
  readonly sources: readonly string[];
  readonly from: readonly string[];
}

const FEWEST = 2;
function byCount(counts: ReadonlyMap<string, number>): string[] {
  return [...counts].toSorted((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).map(([word]) => word);
}

/**
 * The words of a household by how often its things are called so, before those that every line may have: in the language
 * that is typed, where that is not English.
 */
export function createWordBook(items: Iterable<Item>, spelling?: Spelling): WordBook {
  const words = new Map<string, number>();
  const sources = new Map<string, number>();
  const count = (into: Map<string, number>, word: string) => into.set(word, (into.get(word) ?? 0) + 1);
  for (const { name, source } of items) {
    for (const [word] of name.toLowerCase().matchAll(/\p{L}{3,}/gu)) count(words, word);
    if (source) count(sources, source);
  }
  const known = spelling?.listWords() ?? [...LINE_WORDS, ...Object.keys(PRECUTS), ...listColourWords()];
  return {
    words: [...byCount(words), ...known],
    sources: byCount(sources),
    from: ['from', ...(spelling?.listWords('from') ?? [])],
  };
}

/** What is missing of the last word of a line, or of where it was bought; null where nothing begins so or the word is whole. */
export function completeWord(text: string, { words, sources, from }: WordBook): string | null {
  const source = new RegExp(String.raw`(?:^|\s)(?:${from.join('|')}) (\S[^#]*)$`, 'iu').exec(text)?.[1];
  const [begun, book] = source === undefined ? [/(\p{L}+)$/u.exec(text)?.[1], words] : [source, sources];
  if (begun === undefined || begun.length < FEWEST) return null;
  const low = begun.toLowerCase();
  let found: string | null = null;
  for (const word of book) {
    const own = word.toLowerCase();
    if (own === low) return null;
    if (found === null && own.startsWith(low)) found = word;
  }
  return found && found.slice(begun.length);
}
