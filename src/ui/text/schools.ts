import type { Order, School, SplitBy } from '../../core/records/index.ts';
import { perLanguage, t } from '../language/index.ts';

const SCHOOL = perLanguage((): Record<School, string> => ({
  fibre: t('by fibre'),
  weave: t('by weave'),
  weight: t('by weight'),
  colour: t('by colour'),
  print: t('plain apart from prints'),
  lengthClass: t('by length class'),
  behaviour: t('by how it behaves'),
  source: t('by where it came from'),
  tag: t('by tags of yours'),
  numberRun: t('by number'),
  garment: t('by garment'),
  era: t('by era'),
  made: t('made apart from not yet made'),
  format: t('by format, large envelopes apart'),
  use: t('by what it is for'),
  holder: t('cones apart from spools'),
  type: t('by type'),
  station: t('by station'),
  often: t('by how often it is used'),
  cut: t('by how it is cut'),
  parent: t('by the cloth it is of'),
}));
export const wordSchool = (school: School): string => SCHOOL()[school];

const ORDER = perLanguage((): Record<Order, string> => ({
  wheel: t('round the colour wheel'),
  length: t('from long to short'),
  number: t('by number'),
  size: t('from large to small'),
  weight: t('from light to heavy'),
  often: t('what is used most first'),
  name: t('by name'),
}));
export const wordOrder = (order: Order): string => ORDER()[order];

const SPLIT = perLanguage((): Record<SplitBy, string> => ({
  wheel: t('colour'),
  length: t('length'),
  number: t('number'),
}));
export const wordSplitBy = (by: SplitBy): string => SPLIT()[by];
