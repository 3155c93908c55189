import { derive } from '../state/derived.ts';
import { getGroups } from '../state/groups.ts';
import { wordInside } from '../text/inside.ts';

/** What lies in a shut place, in words. Apart from what the first screen loads. */
export const getWordsInside = derive((household) =>
  wordInside(
    household,
    new Map(getGroups(household).flatMap((group) => group.lots.map((lot) => [lot.id, group] as const))),
  ),
);
