import { createSpelling, type LineLanguage, type Spelling } from '../spelling/index.ts';
import { TABLES } from './lines.ts';

export { GERMAN_HEADS } from './heads.ts';
export { GERMAN_NAMES } from './naming.ts';

/** What a German word takes in a sentence, the longest first. */
const JOINING = { endings: ['en', 'er', 'es', 'em', 'e', 'n', 's'], least: 3 } as const;

/** Lines typed in German. */
export const GERMAN = Object.fromEntries(
  Object.entries(TABLES).map(([form, { words = {}, signs = {} }]): [string, Spelling] => [
    form,
    createSpelling(words, signs, JOINING),
  ]),
) as Record<keyof LineLanguage, Spelling>;
