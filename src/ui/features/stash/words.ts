import type { Kind, Print } from '../../../core/records/index.ts';
import { capitalise, wordPrint } from '../../text/index.ts';
import type { Facet, SortBy } from './rows.ts';
import { toTable } from '../../../core/words/index.ts';
import { perLanguage, t, wordTerm } from '../../language/index.ts';

const WHAT = perLanguage((): Record<Kind, string> => ({
  fabric: t('Fibre'),
  pattern: t('Garment'),
  thread: t('For'),
  notion: t('Type'),
  tool: t('Type'),
  scrap: t('Fibre'),
  kit: t('Type'),
  other: t('Type'),
}));

const FACET = perLanguage((): Record<Exclude<Facet, 'what'>, string> => ({
  colour: t('Colour'),
  presence: t('Place'),
  length: t('Length'),
  print: t('Its print'),
  washed: t('Washed'),
  promised: t('Promised to'),
  attention: t('Look at'),
  station: t('Used at'),
  tag: t('Tag'),
}));
export const wordFacet = (facet: Facet, kind: Kind): string => (facet === 'what' ? WHAT()[kind] : FACET()[facet]);

const VALUE = perLanguage((): Partial<Record<Facet, Readonly<Record<string, string>>>> => ({
  presence: toTable({
    in: t('at home'),
    out: t('out'),
    homeless: t('without a home'),
    planned: t('planned elsewhere'),
  }),
  washed: toTable({ yes: t('washed'), no: t('not washed yet'), unknown: t('not said') }),
  attention: toTable({
    forgotten: t('forgotten'),
    past: t('past its date'),
    low: t('to buy again'),
    noPhoto: t('without a photo'),
  }),
  promised: toTable({ nothing: t('nothing') }),
}));

/** A facet's value as one reads it. */
export function wordFacetValue(facet: Facet, value: string): string {
  if (facet === 'print') return capitalise(wordPrint(value as Print));
  const isTerm = facet === 'what' || facet === 'colour';
  const words = isTerm ? wordTerm(value) : (VALUE()[facet]?.[value] ?? value);
  return capitalise(words === '' ? t('not said') : words);
}

const SORT = perLanguage((): Record<SortBy, string> => ({
  name: t('name'),
  colour: t('colour wheel'),
  amount: t('how much'),
  what: t('what it is'),
  uses: t('uses a month'),
  place: t('place'),
  since: t('last touched'),
}));
export const wordSort = (by: SortBy): string => SORT()[by];
