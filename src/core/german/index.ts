import { createSpelling, type LineLanguage } from '../spelling/index.ts';
import {
  CHORES,
  FLAWS,
  HEAPS,
  KINDS_AND_CLOTHS,
  LOOKS,
  MAKES,
  MAKING,
  PARTS,
  PIECES,
  QUESTIONS,
  SIGNS,
  SIZES,
  SIZE_SIGNS,
  STEPS,
  TYPES,
} from './words.ts';

/** What a German word takes in a sentence, the longest first. */
const JOINING = { endings: ['en', 'er', 'es', 'em', 'e', 'n', 's'], least: 3 } as const;
const NO_SIGNS = {};

export { GERMAN_NAMES } from './naming.ts';

/** Lines typed in German: the quick line, heaps, what a project makes, needs and is cut from, and what comes round. */
export const GERMAN: LineLanguage = {
  line: createSpelling({ ...KINDS_AND_CLOTHS, ...LOOKS, ...MAKING, ...TYPES }, SIGNS, JOINING),
  heap: createSpelling(NO_SIGNS, HEAPS, JOINING),
  step: createSpelling(STEPS, NO_SIGNS, JOINING),
  part: createSpelling(PARTS, NO_SIGNS, JOINING),
  makes: createSpelling(NO_SIGNS, MAKES, JOINING),
  piece: createSpelling(NO_SIGNS, PIECES, JOINING),
  flaw: createSpelling(NO_SIGNS, FLAWS, JOINING),
  size: createSpelling(SIZES, SIZE_SIGNS, JOINING),
  chore: createSpelling(NO_SIGNS, CHORES, JOINING),
  asked: createSpelling(NO_SIGNS, QUESTIONS, JOINING),
};
