import type { Order, School, SplitBy } from '../../core/records/index.ts';

const SCHOOL: Record<School, string> = {
  fibre: 'by fibre',
  weave: 'by weave',
  weight: 'by weight',
  colour: 'by colour',
  print: 'plain apart from prints',
  lengthClass: 'by length class',
  behaviour: 'by how it behaves',
  source: 'by where it came from',
  tag: 'by tags of yours',
  numberRun: 'by number',
  garment: 'by garment',
  era: 'by era',
  made: 'made apart from not yet made',
  format: 'by format, large envelopes apart',
  use: 'by what it is for',
  holder: 'cones apart from spools',
  type: 'by type',
  station: 'by station',
  often: 'by how often it is used',
  cut: 'by how it is cut',
  parent: 'by the cloth it is of',
};
export const wordSchool = (school: School): string => SCHOOL[school];

const ORDER: Record<Order, string> = {
  wheel: 'round the colour wheel',
  length: 'from long to short',
  number: 'by number',
  size: 'from large to small',
  weight: 'from light to heavy',
  often: 'what is used most first',
  name: 'by name',
};
export const wordOrder = (order: Order): string => ORDER[order];

const SPLIT: Record<SplitBy, string> = { wheel: 'colour', length: 'length', number: 'number' };
export const wordSplitBy = (by: SplitBy): string => SPLIT[by];
