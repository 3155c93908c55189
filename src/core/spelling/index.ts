/** English words that a typed one means, each with how many of its letters say so. */
export type Spelled = readonly { readonly letters: number; readonly word: string }[];

/** A language that lines may be typed in, beside English. */
export interface Spelling {
  /** A typed word as lines know it; null where it is none of this language, and then English. */
  readonly read: (typed: string) => Spelled | null;
  /** What means a word, the usual first; without one, all that a line may have. */
  readonly listWords: (word?: string) => readonly string[];
}

/** How what is typed in a language is read, by what it is typed for. */
export interface LineLanguage {
  /** A thing, as the quick line has it. */
  readonly line: Spelling;
  /** How a heap was measured. */
  readonly heap: Spelling;
  /** A step of a project, and a part of its cloth. */
  readonly step: Spelling;
  readonly part: Spelling;
  /** How many of which size. */
  readonly makes: Spelling;
  /** A piece that is cut, a hole or stain in cloth, and what is counted or worth something by its size. */
  readonly piece: Spelling;
  readonly flaw: Spelling;
  readonly size: Spelling;
  /** What comes round for a thing, and what says nothing of what is looked for. */
  readonly chore: Spelling;
  readonly asked: Spelling;
}

/** English words, each with what means it, apart by commas. What ends with a hyphen only begins a longer word. */
export type SpellTable = Readonly<Record<string, string>>;

/** How words are put together in a language. */
interface Joining {
  /** What a word takes at its end in a sentence, and where another follows it. */
  readonly endings: readonly string[];
  /** No word in a longer one has fewer letters. */
  readonly least: number;
}

/** Letters as they are compared. */
export const foldLetters = (text: string): string =>
  text.toLowerCase().replaceAll('ß', 'ss').normalize('NFD').replaceAll(/\p{M}/gu, '');

/** Of a word that is not known as a whole, a last part of fewer letters says nothing. */
const LAST = 4;

/**
 * A language from its words: `words` take endings and make longer ones, as `dunkelblau`, `Baumwolljersey`; `signs`, such as units,
 * stand by themselves.
 */
export function createSpelling(words: SpellTable, signs: SpellTable, { endings, least }: Joining): Spelling {
  const whole = new Map<string, string>();
  const begun = new Map<string, string>();
  const listed: [string, string][] = [];
  for (const [word, typed] of [...Object.entries(words), ...Object.entries(signs)])
    for (const one of typed.split(',').map((part) => part.trim())) {
      const bare = one.replace(/-$/u, '');
      if (word in words && (bare !== one || !begun.has(foldLetters(bare)))) begun.set(foldLetters(bare), word);
      if (bare !== one) continue;
      listed.push([word, one]);
      if (!whole.has(foldLetters(one))) whole.set(foldLetters(one), word);
    }

  const ended = (text: string, known: ReadonlyMap<string, string>): string | null => {
    const exact = known.get(text);
    if (exact !== undefined) return exact;
    for (const ending of endings) {
      const bare = text.endsWith(ending) ? text.slice(0, -ending.length) : '';
      const word = bare.length >= least ? known.get(bare) : undefined;
      if (word !== undefined && word in words) return word;
    }
    return null;
  };
  /** The parts of a longer word; the first part is as long as may be. */
  const divide = (typed: string): Spelled | null => {
    for (let letters = typed.length - least; letters >= least; letters -= 1) {
      const first = ended(foldLetters(typed.slice(0, letters)).replace(/-$/u, ''), begun);
      if (first === null) continue;
      const rest = typed.slice(letters);
      const last = ended(foldLetters(rest), whole);
      const others = last === null ? divide(rest) : last in words ? [{ letters: rest.length, word: last }] : null;
      if (others) return [{ letters, word: first }, ...others];
    }
    return null;
  };
  /** What a longer word is, though not all of it is known: a `Sommerkleid` is a dress. */
  const findLast = (typed: string): Spelled | null => {
    for (let letters = least; letters <= typed.length - LAST; letters += 1) {
      const last = ended(foldLetters(typed.slice(letters)), whole);
      if (last !== null && last in words)
        return [
          { letters, word: typed.slice(0, letters) },
          { letters: typed.length - letters, word: last },
        ];
    }
    return null;
  };
  return {
    read: (typed) => {
      const one = ended(foldLetters(typed), whole) ?? ended(foldLetters(typed).replace(/\.$/u, ''), whole);
      return one === null ? (divide(typed) ?? findLast(typed)) : [{ letters: typed.length, word: one }];
    },
    listWords: (word) => listed.flatMap(([means, typed]) => (word === undefined || means === word ? [typed] : [])),
  };
}

/** The usual word for an English one; without a language that itself. */
export const sayIn = (spelling: Spelling | undefined, word: string): string => spelling?.listWords(word)[0] ?? word;

const WORD = /\p{L}[\p{L}-]*\.?/gu;
const inEnglish = (typed: string, spelling: Spelling): string =>
  spelling
    .read(typed)
    ?.map(({ word }) => word)
    .join(' ') ?? typed;

/** A text with its known words in English, to look for what is known in it; without a language as it stands. */
export function spellOut(text: string, spelling: Spelling | undefined): string {
  return spelling ? text.replace(WORD, (typed) => inEnglish(typed, spelling)) : text;
}

/** A part of what was spelled out, such as a name, as it was typed. */
export function unspell(part: string, typed: string, spelling: Spelling | undefined): string {
  if (!spelling) return part;
  let [done, rest] = ['', part];
  for (const [word] of typed.matchAll(WORD)) {
    const said = inEnglish(word, spelling);
    const at = rest.search(
      new RegExp(String.raw`(?<![\p{L}-])${said.replaceAll('.', String.raw`\.`)}(?![\p{L}-])`, 'u'),
    );
    if (at < 0) continue;
    done += rest.slice(0, at) + word;
    rest = rest.slice(at + said.length);
  }
  return done + rest;
}
