import { derive } from '../state/derived.ts';
import { getGroupOf } from '../state/groups.ts';
import { wordInside } from '../text/inside.ts';

/** What lies in a shut place, in words. Apart from what the first screen loads. */
export const getWordsInside = derive((household) => wordInside(household, getGroupOf(household)));
