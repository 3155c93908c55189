import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { WallView } from '../../core/drawing/index.ts';
import type { Kind } from '../../core/records/index.ts';

/** How the sewist last looked at things. Kept beside the household, not in it: it is this browser's affair. */
interface Choices {
  readonly stashKind: Kind;
  readonly isLaidOut: boolean;
  readonly sortBy: string;
  readonly isDescending: boolean;
  readonly wallId: string | null;
  readonly wallView: WallView;
  readonly fitSeconds: number;
  readonly isGreeted: boolean;
}

export const useChoices = create<Choices>()(
  persist(
    (): Choices => ({
      stashKind: 'fabric',
      isLaidOut: true,
      sortBy: 'colour',
      isDescending: false,
      wallId: null,
      wallView: 'is',
      fitSeconds: 10,
      isGreeted: false,
    }),
    { name: 'yardmist-choices' },
  ),
);
