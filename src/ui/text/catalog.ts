import type { Likeness, Meaning } from '../../core/catalog/index.ts';
import type { Match, Shift } from '../../core/colour/index.ts';
import { formatSize, type UnitSystem } from '../../core/units/index.ts';
import { perLanguage, t, wordTerm } from '../language/index.ts';
import { joinAnd } from './grammar.ts';

const MEANING = perLanguage((): Record<Meaning, string> => ({
  kind: t('kind'),
  type: t('type'),
  fibre: t('fibre'),
  cloth: t('class of cloth'),
  weave: t('weave'),
  print: t('print'),
  colour: t('colour'),
  form: t('how it is kept'),
  holder: t('wound on'),
  use: t('what it is for'),
  garment: t('garment'),
  cut: t('how it is cut'),
  length: t('length'),
  width: t('width'),
  grammage: t('weight class'),
  mass: t('weight'),
  count: t('how many'),
  units: t('pieces'),
  size: t('size'),
  number: t('number'),
  sheets: t('sheets'),
  format: t('format'),
  made: t('made already'),
  washed: t('washed'),
  tex: t('thickness'),
  watts: t('watts'),
  hours: t('hours sewn'),
  expiry: t('good until'),
  cost: t('cost'),
  tag: t('tag'),
  for: t('promised'),
  box: t('size'),
  era: t('era'),
  sizes: t('sizes'),
  from: t('bought at'),
  name: t('just its name'),
}));
/** What a stretch of the quick line was read as. */
export const wordMeaning = (means: Meaning): string => MEANING()[means];

const SHIFT = perLanguage((): Record<Shift, string> => ({
  lighter: t('lighter'),
  darker: t('darker'),
  greyer: t('greyer'),
  stronger: t('stronger'),
  redder: t('redder'),
  greener: t('greener'),
  yellower: t('yellower'),
  bluer: t('bluer'),
}));

/** How one colour differs from another: `a hair darker and greyer`. */
export function wordShift(deltaE: number, shifts: readonly Shift[]): string {
  if (deltaE < 1) return t('the same to the eye');
  const much = deltaE < 2 ? t('a hair ') : deltaE < 5 ? t('a little ') : deltaE < 10 ? '' : t('much ');
  return shifts.length === 0
    ? t('{much}different', { much }).trim()
    : `${much}${joinAnd(shifts.map((shift) => SHIFT()[shift]))}`;
}

const MATCH = perLanguage((): Record<Match, string> => ({
  near: t('a near match'),
  seams: t('good for seams'),
  off: t('shows; for want of better'),
}));
export const wordMatch = (match: Match): string => MATCH()[match];

/** In what a thing is like another that is there already. */
export function wordLikeness({ code, value }: Likeness, units: UnitSystem): string {
  switch (code) {
    case 'number':
      return t('the same number, {value}', { value });
    case 'name':
      return t('nearly the same name');
    case 'colour':
      return Number(value) < 1 ? t('the same colour') : t('a near colour');
    case 'fibre':
      return t('{value} too', { value: wordTerm(String(value)) });
    case 'width':
      return t('{size} wide too', { size: formatSize(Number(value), units) });
    case 'grammage':
      return t('about as heavy');
    case 'use':
      return t('for the same use');
    case 'tex':
      return t('about as thick');
    case 'type':
      return t('the same type');
    case 'size':
      return t('size {value} too', { value });
  }
}
