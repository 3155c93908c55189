import type { Likeness, Meaning } from '../../core/catalog/index.ts';
import type { Match, Shift } from '../../core/colour/index.ts';
import { formatSize, type UnitSystem } from '../../core/units/index.ts';

const MEANING: Record<Meaning, string> = {
  kind: 'kind',
  type: 'type',
  fibre: 'fibre',
  cloth: 'class of cloth',
  weave: 'weave',
  print: 'print',
  colour: 'colour',
  form: 'how it is kept',
  holder: 'wound on',
  use: 'what it is for',
  garment: 'garment',
  cut: 'how it is cut',
  length: 'length',
  width: 'width',
  grammage: 'weight class',
  mass: 'weight',
  count: 'how many',
  units: 'pieces',
  size: 'size',
  number: 'number',
  sheets: 'sheets',
  format: 'format',
  made: 'made already',
  washed: 'washed',
  tex: 'thickness',
  watts: 'watts',
  hours: 'hours sewn',
  expiry: 'good until',
  cost: 'cost',
  tag: 'tag',
  for: 'promised',
  box: 'size',
  era: 'era',
  sizes: 'sizes',
  from: 'bought at',
  name: 'just its name',
};
/** What a stretch of the quick line was read as. */
export const wordMeaning = (means: Meaning): string => MEANING[means];

/** How one colour differs from another: `a hair darker and greyer`. */
export function wordShift(deltaE: number, shifts: readonly Shift[]): string {
  if (deltaE < 1) return 'the same to the eye';
  const much = deltaE < 2 ? 'a hair ' : deltaE < 5 ? 'a little ' : deltaE < 10 ? '' : 'much ';
  return shifts.length === 0 ? `${much}different`.trim() : `${much}${shifts.join(' and ')}`;
}

const MATCH: Record<Match, string> = {
  near: 'a near match',
  seams: 'good for seams',
  off: 'shows; for want of better',
};
export const wordMatch = (match: Match): string => MATCH[match];

/** In what a thing is like another that is there already. */
export function wordLikeness({ code, value }: Likeness, units: UnitSystem): string {
  switch (code) {
    case 'number':
      return `the same number, ${value}`;
    case 'name':
      return 'nearly the same name';
    case 'colour':
      return Number(value) < 1 ? 'the same colour' : 'a near colour';
    case 'fibre':
      return `${value} too`;
    case 'width':
      return `${formatSize(Number(value), units)} wide too`;
    case 'grammage':
      return 'about as heavy';
    case 'use':
      return 'for the same use';
    case 'tex':
      return 'about as thick';
    case 'type':
      return 'the same type';
    case 'size':
      return `size ${value} too`;
  }
}
