import { CODE_PATTERN } from '../records/ids.ts';
import type { Household, LotId, PlaceId, ProjectId } from '../records/index.ts';
import { fail, ok, type Result } from '../result/index.ts';

/**
 * Figures and consonants that the eye tells apart: no vowels, so that no word comes of it, neither 0 nor 1. Twenty-nine,
 * which is prime: the last letter of a code then catches any one wrong letter and any two that changed places.
 */
const LETTERS = '23456789BCDFGHJKLMNPQRSTVWXYZ';
const BASE = LETTERS.length;
const MARK = 2;
const BODY = 6;

function hash(text: string): number {
  // FNV-1a, 32 bits, and a last stir, for its low bits differ little in short texts.
  let value = 0x811c9dc5;
  for (let i = 0; i < text.length; i += 1) value = Math.imul(value ^ text.charCodeAt(i), 0x01000193) >>> 0;
  value = Math.imul(value ^ (value >>> 16), 0x45d9f3b) >>> 0;
  return (value ^ (value >>> 15)) >>> 0;
}

function write(value: number, length: number): string {
  let text = '';
  for (let left = value; text.length < length; left = Math.floor(left / BASE)) text += LETTERS[left % BASE];
  return text;
}

/** Weights 2 to 9, all different and none a multiple of 29. */
function computeCheck(text: string): string {
  const sum = [...text].reduce((all, letter, i) => all + (i + 2) * LETTERS.indexOf(letter), 0);
  return LETTERS[(BASE - (sum % BASE)) % BASE]!;
}

const writeMark = (mark: string) => write(hash(`mark of ${mark}`), MARK);

/**
 * The code of a lot or place in a household of that mark. The same record gets the same code on every device; where
 * another has it already, the next one.
 */
export function createCode(mark: string, recordId: string, taken: ReadonlySet<string>): string {
  for (let turn = 0; ; turn += 1) {
    const text = writeMark(mark) + write(hash(`${turn} ${recordId}`), BODY);
    const code = text + computeCheck(text);
    if (!taken.has(code)) return code;
  }
}

/** In threes, as it is read out: `K7M 2Q9 XTB`. */
export function formatCode(code: string): string {
  return code.replace(/(...)(...)(...)/, '$1 $2 $3');
}

export interface CodeFault {
  /** Not nine letters; letters that no code has; one of them wrong or two of them changed. */
  readonly code: 'no-code' | 'no-such-letter' | 'mistyped';
  readonly text: string;
}

/** Reads a code as a scanner sends it or as it is typed: in any case, with spaces or dashes anywhere. */
export function parseCode(text: string): Result<string, CodeFault> {
  const bare = text.toUpperCase().replaceAll(/[\s.-]/g, '');
  if (bare.length !== MARK + BODY + 1 || !/^[A-Z0-9]+$/.test(bare)) return fail({ code: 'no-code', text });
  if (!CODE_PATTERN.test(bare)) return fail({ code: 'no-such-letter', text });
  return computeCheck(bare.slice(0, -1)) === bare.at(-1) ? ok(bare) : fail({ code: 'mistyped', text });
}

/** What a code stands for. `gone` names a lot that was used up, or whatever became of it. */
export type Meant =
  | { readonly kind: 'lot'; readonly id: LotId }
  | { readonly kind: 'gone'; readonly id: LotId }
  | { readonly kind: 'place'; readonly id: PlaceId }
  | { readonly kind: 'project'; readonly id: ProjectId }
  | { readonly kind: 'unknown' }
  | { readonly kind: 'other-household' };

/** Looks a code up among the labels of a household. */
export function findByCode(household: Household, code: string): Meant {
  for (const place of household.places.values()) if (place.label?.code === code) return { kind: 'place', id: place.id };
  for (const lot of household.lots.values())
    if (lot.label?.code === code)
      return lot.state === 'gone' ? { kind: 'gone', id: lot.id } : { kind: 'lot', id: lot.id };
  for (const { id, label } of household.projects.values()) if (label?.code === code) return { kind: 'project', id };
  const { mark } = household.settings;
  return { kind: mark && code.startsWith(writeMark(mark)) ? 'unknown' : 'other-household' };
}
