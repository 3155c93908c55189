import { create } from 'zustand';
import type { LotId, PlaceId } from '../../core/records/index.ts';

/** What goes on while a wall is rebuilt in place: shared by the wall and the ticket beside it. */
interface Rebuild {
  readonly isOn: boolean;
  /** A bin that is to be put somewhere: the places that take it are shown. */
  readonly carriedId: PlaceId | null;
  /** A thing that is to be put somewhere else: every place says what would come of it. */
  readonly lotId: LotId | null;
  /** A group that is to be put somewhere whole. */
  readonly groupId: string | null;
  /** The kind of hook that goes into a hole; empty for the field's usual one. */
  readonly hookKind: string;
  /** What is said of what is held. */
  readonly words: string;
  readonly isGood: boolean;
}

export const useRebuild = create<Rebuild>()(() => ({
  isOn: false,
  carriedId: null,
  lotId: null,
  groupId: null,
  hookKind: '',
  words: '',
  isGood: true,
}));
