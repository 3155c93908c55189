import type { Kind, Print } from '../../../core/records/index.ts';
import { capitalise, wordPrint } from '../../text/index.ts';
import type { Facet, SortBy } from './rows.ts';
import { toTable } from '../../../core/words/index.ts';

const WHAT: Record<Kind, string> = {
  fabric: 'Fibre',
  pattern: 'Garment',
  thread: 'For',
  notion: 'Type',
  tool: 'Type',
  scrap: 'Fibre',
  kit: 'Type',
  other: 'Type',
};

const FACET: Record<Exclude<Facet, 'what'>, string> = {
  colour: 'Colour',
  presence: 'Place',
  length: 'Length',
  print: 'Print',
  washed: 'Washed',
  promised: 'Promised to',
  attention: 'Look at',
  station: 'Used at',
  tag: 'Tag',
};
export const wordFacet = (facet: Facet, kind: Kind): string => (facet === 'what' ? WHAT[kind] : FACET[facet]);

const VALUE: Partial<Record<Facet, Readonly<Record<string, string>>>> = {
  presence: toTable({ in: 'at home', out: 'out', homeless: 'without a home', planned: 'planned elsewhere' }),
  washed: toTable({ yes: 'washed', no: 'not washed yet', unknown: 'not said' }),
  attention: toTable({
    forgotten: 'forgotten',
    past: 'past its date',
    low: 'to buy again',
    noPhoto: 'without a photo',
  }),
  promised: toTable({ nothing: 'nothing' }),
};

/** A facet's value as one reads it. */
export function wordFacetValue(facet: Facet, value: string): string {
  if (facet === 'print') return capitalise(wordPrint(value as Print));
  return capitalise(VALUE[facet]?.[value] ?? (value === '' ? 'not said' : value));
}

const SORT: Record<SortBy, string> = {
  name: 'name',
  colour: 'colour wheel',
  amount: 'how much',
  what: 'what it is',
  uses: 'uses a month',
  place: 'place',
  since: 'last touched',
};
export const wordSort = (by: SortBy): string => SORT[by];
