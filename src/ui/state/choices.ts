import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { WallView } from '../../core/drawing/index.ts';
import type { BandsFor } from '../../core/storage/index.ts';
import type { Kind } from '../../core/records/index.ts';
import { LANGUAGES } from '../language/index.ts';

/** Cloth as it lies, by the colour wheel, in a table, or in figures. */
export const STASH_VIEWS = ['laidOut', 'wheel', 'table', 'figures'] as const;
export type StashView = (typeof STASH_VIEWS)[number];

/** How bright the page is. */
export const THEMES = ['device', 'day', 'evening'] as const;

/** The language of the device, where there is that, or one of them. */
export const SPOKEN = ['device', ...LANGUAGES] as const;

/** The hand that works the screen. */
export const HANDS = ['right', 'left'] as const;

/** A way of looking at the stash, kept under a name. */
export interface SavedLook {
  readonly name: string;
  readonly kind: Kind;
  readonly text: string;
  readonly narrowing: Readonly<Record<string, string>>;
  readonly view: StashView;
  readonly sortBy: string;
  readonly isDescending: boolean;
  readonly groupBy: string;
}

/** How the sewist last looked at things. Kept beside the household, not in it: it is this browser's affair. */
export interface Choices {
  /** By day, in the evening, or as the device has it. */
  readonly theme: (typeof THEMES)[number];
  readonly hand: (typeof HANDS)[number];
  readonly language: (typeof SPOKEN)[number];
  readonly stashKind: Kind;
  readonly stashView: StashView;
  readonly sortBy: string;
  readonly isDescending: boolean;
  /** The facet that the table is grouped by; empty for none. */
  readonly groupBy: string;
  /** The table's columns for each kind, where they were chosen. */
  readonly columns: Partial<Record<Kind, readonly string[]>>;
  readonly looks: readonly SavedLook[];
  readonly wallId: string | null;
  readonly wallView: WallView;
  /** Whose reach is marked on the walls. */
  readonly bandsFor: BandsFor;
  /** Whether the camera is on while one scans; null: as suits the screen. */
  readonly isCameraOn: boolean | null;
  readonly fitSeconds: number;
  readonly isGreeted: boolean;
  /** The place that one goes through: what is taken in lies there, until another is said. */
  readonly sessionPlaceId: string | null;
  /** How long one has for carrying; and when one began, where one is at it. */
  readonly moveMinutes: number;
  readonly movingSinceMs: number | null;
  /** Things that are left where they are for now, while the others are carried. */
  readonly skippedIds: readonly string[];
  /** When the round of counting was begun, where one is at it. */
  readonly countSinceMs: number | null;
  /** What is gone through in this sitting, where one is at it; and how long a thing takes, s. */
  readonly reviewIds: readonly string[] | null;
  readonly reviewSinceMs: number;
  readonly reviewPace: number | null;
  /** To whom things were let go last, and by how many days from then. */
  readonly leaveTo: string;
  readonly leaveDays: number;
  /** The paper for each sort of labels, the first label of it that is still free, and how large this screen draws a mm. */
  readonly labelStocks: Readonly<Record<string, string>>;
  readonly labelStarts: Readonly<Record<string, number>>;
  readonly screenScale: number;
  /** Things with a plug that do not run while one sews; the others are taken to run at once. */
  readonly switchedOff: readonly string[];
  /** Rules that were offered and are none, by their keys. */
  readonly turnedDown: readonly string[];
  /** What was last saved to a file: of which household, when, and how many lines of its daybook. */
  readonly saved: { readonly generation: string; readonly atMs: number; readonly lines: number } | null;
  /** Until when the reminder to save keeps quiet. */
  readonly quietUntilMs: number;
}

export const useChoices = create<Choices>()(
  persist(
    (): Choices => ({
      theme: 'device',
      hand: 'right',
      language: 'device',
      stashKind: 'fabric',
      stashView: 'laidOut',
      sortBy: 'colour',
      isDescending: false,
      groupBy: '',
      columns: {},
      looks: [],
      wallId: null,
      wallView: 'is',
      bandsFor: 'standing',
      isCameraOn: null,
      fitSeconds: 10,
      isGreeted: false,
      sessionPlaceId: null,
      moveMinutes: 45,
      movingSinceMs: null,
      skippedIds: [],
      countSinceMs: null,
      reviewIds: null,
      reviewSinceMs: 0,
      reviewPace: null,
      leaveTo: '',
      leaveDays: 30,
      labelStocks: {},
      labelStarts: {},
      screenScale: 1,
      switchedOff: [],
      turnedDown: [],
      saved: null,
      quietUntilMs: 0,
    }),
    { name: 'yardmist-choices' },
  ),
);
