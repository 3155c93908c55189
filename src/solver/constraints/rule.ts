import type { Package } from '../../core/measure/index.ts';
import type { Item, Settings } from '../../core/records/index.ts';
import type { WishCode } from '../model/wishes.ts';
import type { PlaceTraits, Space } from '../../core/storage/index.ts';

/** What a rule looks at: one lot's package and the place it might go to. */
export interface Offer {
  readonly item: Item;
  readonly pkg: Package;
  readonly space: Space;
  readonly traits: PlaceTraits;
  readonly settings: Settings;
  /** What the sewist's wishes say against it, where they do. */
  readonly wish?: WishCode | null;
}

/** What a rule found, worded by the interface. Needed and available in mm, g, or a share of the place. */
export interface Finding {
  readonly code:
    | 'form'
    | 'too-high'
    | 'too-long'
    | 'too-deep'
    | 'too-wide'
    | 'no-hook'
    | 'hook-load'
    | 'small-hole'
    | 'too-much'
    | 'load'
    | 'children'
    | 'sun'
    | 'heat'
    | 'heap'
    | 'heavy-high'
    | 'thread-pets'
    | 'heavy-pull'
    | 'liquid-high'
    | 'liquid-hot'
    | WishCode;
  readonly needed: number;
  readonly available: number;
}

/** A rule says what is wrong, or null. Hard rules forbid; soft ones are cautions. */
export type Rule = (offer: Offer) => Finding | null;
