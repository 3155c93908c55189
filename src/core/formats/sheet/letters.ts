import createBidi from 'bidi-js';

/** The letters that each file of the font has, in the order they are looked for: ranges of Unicode. */
const LETTERS = {
  latin:
    /[\u0020-\u00ff\u0131\u0152\u0153\u02c6\u02dc\u2000-\u200b\u2010-\u2027\u2030-\u205e\u20ac\u2122\u2191\u2193\u2212]/u,
  'latin-ext': /[\u0100-\u02ba\u02bd-\u02ff\u1d00-\u1dbf\u1e00-\u1e9f\u1ef2-\u1eff\u20a0-\u20c0\u2113]/u,
  vietnamese: /[\u0300-\u0304\u0308\u0309\u0323\u0329\u1ea0-\u1ef9]/u,
  greek: /[\u0370-\u03ff]/u,
  'greek-ext': /[\u1f00-\u1fff]/u,
  cyrillic: /[\u0400-\u045f\u0490\u0491\u04b0\u04b1\u2116]/u,
  'cyrillic-ext': /[\u0460-\u052f\u1c80-\u1c8a]/u,
  hebrew: /[\u0590-\u05ff\ufb1d-\ufb4f]/u,
  arabic: /[\u0600-\u06ff\u0750-\u077f\u0870-\u08ff\ufb50-\ufdff\ufe70-\ufefc]/u,
} as const;

/** A file of the font. */
export type Script = keyof typeof LETTERS;

/** They say how letters are joined or turned, and are none themselves. */
export const UNSEEN = /[\u200c-\u200f\u202a-\u202e\u2066-\u2069\ufeff]/u;
const TURNED: ReadonlySet<Script> = new Set(['hebrew', 'arabic']);

/** Letters of one file that stand together, as they are written; those of a script that runs to the left are turned by the font. */
export interface Run {
  readonly script: Script;
  readonly text: string;
}

const bidi = createBidi();

function findScript(letter: string): Script | null {
  for (const [script, letters] of Object.entries(LETTERS)) if (letters.test(letter)) return script as Script;
  return null;
}

/** Whether the files of the font have every letter of a line. */
export function hasAllLetters(line: string): boolean {
  return [...line.normalize('NFC')].every((letter) => UNSEEN.test(letter) || findScript(letter) !== null);
}

/**
 * A line of text as it stands on paper, from left to right, by Unicode's bidirectional algorithm. What no file of the font
 * has is a question mark.
 */
export function layRuns(line: string): Run[] {
  // An accent is one with its letter, where there is such a letter.
  const text = [...line.normalize('NFC')].map((letter) => (letter.length === 1 ? letter : '?')).join('');
  const embedding = bidi.getEmbeddingLevels(text, 'auto');
  const mirrored = bidi.getMirroredCharactersMap(text, embedding.levels);
  const runs: { script: Script; letters: string[]; isTurned: boolean }[] = [];
  for (const at of bidi.getReorderedIndices(text, embedding)) {
    const letter = text[at]!;
    if (UNSEEN.test(letter)) continue;
    const known = findScript(letter);
    const [script, seen] = known ? [known, mirrored.get(at) ?? letter] : (['latin', '?'] as const);
    const isTurned = TURNED.has(script) && embedding.levels[at]! % 2 === 1;
    const last = runs.at(-1);
    if (last?.script === script && last.isTurned === isTurned) last.letters.push(seen);
    else runs.push({ script, letters: [seen], isTurned });
  }
  return runs.map(({ script, letters, isTurned }) => ({
    script,
    text: (isTurned ? letters.toReversed() : letters).join(''),
  }));
}
