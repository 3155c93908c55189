import type { Kinship } from '../../core/records/index.ts';

/** How two groups get on in one place; not in the index, only Fit needs them. */
export const KINSHIP_WORDS: Readonly<Record<Kinship, string>> = {
  part: 'one group',
  near: 'near kin',
  kind: 'of a kind',
  station: 'used together',
  stranger: 'strangers',
  clash: 'spoil each other',
};

export const HOW_KINSHIP =
  'By the rules: parts of one group, then the same kind, then what is used at one station; what a shared place costs for each is in House. What you say here counts instead.';
