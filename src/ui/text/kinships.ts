import type { Kinship } from '../../core/records/index.ts';
import { perLanguage, t } from '../language/index.ts';

/** How two groups get on in one place; not in the index, only Fit needs them. */
export const KINSHIP_WORDS = perLanguage((): Readonly<Record<Kinship, string>> => ({
  part: t('one group'),
  near: t('near kin'),
  kind: t('of a kind'),
  station: t('used together'),
  stranger: t('strangers'),
  clash: t('spoil each other'),
}));

export const HOW_KINSHIP = perLanguage(() =>
  t(
    'By the rules: parts of one group, then the same kind, then what is used at one station; what a shared place costs for each is in House. What you say here counts instead.',
  ),
);
