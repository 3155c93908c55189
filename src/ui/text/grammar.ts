import { getLanguage, t } from '../language/index.ts';

export function capitalise(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** A word that stands in a sentence: without its capital, where a language gives capitals to beginnings only. */
export function midSentence(words: string): string {
  return getLanguage() === 'de' ? words : words.toLowerCase();
}

/** 1st, 2nd, 3rd, 4th, 11th, 22nd. */
export function wordOrdinal(n: number): string {
  const last = n % 100 >= 11 && n % 100 <= 13 ? 0 : n % 10;
  if (last === 1) return t('{n}st', { n });
  if (last === 2) return t('{n}nd', { n });
  return last === 3 ? t('{n}rd', { n }) : t('{n}th', { n });
}

/** `Oat linen, Peat suiting and Zips`. */
export function joinAnd(words: readonly string[]): string {
  return words.length < 2
    ? words.join('')
    : t('{names} and {last}', { names: words.slice(0, -1).join(', '), last: words.at(-1)! });
}

/** One sentence after the other; those that say nothing are left out. */
export const joinSentences = (sentences: readonly string[]): string => sentences.filter(Boolean).join(' ');
