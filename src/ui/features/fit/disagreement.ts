import type { Kinship, PlaceId } from '../../../core/records/index.ts';
import type { Offer } from './offers.ts';

export type Pair = readonly [string, string];

/** What one can say against a plan; each mends the plan in hand around it, and says what that costs. */
export interface Disagreement {
  /** A group is not to be in a place, from now on. */
  readonly refuse: (groupId: string, placeId: PlaceId, words: string) => void;
  /** Some things go elsewhere in this plan; with those of a group that they are to be with from now on, where one is given. */
  readonly send: (to: Offer, words: string, pair: Pair | null) => void;
  /** How two groups get on, from now on; null leaves it to the rules. */
  readonly bind: (pair: Pair, kinship: Kinship | null, words: string) => void;
}
