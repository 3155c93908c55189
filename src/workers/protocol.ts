import type { Balance, MoreRoom } from '../core/balance/index.ts';
import type { Mapping, ReadTable, Recognised, TableFault, TextTable } from '../core/formats/csv/index.ts';
import type { PhotoFindings } from '../core/colour/index.ts';
import type { BundleFault, PictureFault } from '../core/formats/index.ts';
import type { Block, Layout, Sheet } from '../core/layout/index.ts';
import type { Result } from '../core/result/index.ts';
import type { PaperName, PhotoFault, Region, ScrapPhoto, ScrapPlan, ScrapSize, Spot } from '../core/scraps/index.ts';
import type { Stored, StoreFault } from '../storage/index.ts';
import type { Apart } from '../core/mending/index.ts';
import type { PackPlan } from '../core/packup/index.ts';
import type {
  BoxSize,
  Stowage,
  Estimates,
  EventId,
  Household,
  Kind,
  LotId,
  Photo,
  PlaceId,
  Plan,
  Position,
  RoomSpec,
  Score,
  StationId,
} from '../core/records/index.ts';
import type { ArrangeOptions, Piece, PlaceLoad, Worth, Got } from '../core/room/index.ts';
import type { FoundMoves } from '../core/moves/index.ts';
import type { AgainstClimate, Carried, Fading, Forecast, GroupYear, Help } from '../core/upkeep/index.ts';
import type { Strained } from '../core/whereabouts/index.ts';
import type { UnitSystem } from '../core/units/index.ts';
import type {
  GroupReason,
  GroupVerdict,
  HomeOffer,
  LotReason,
  Nowhere,
  PlaceReason,
  BinReason,
  ByGroup,
  Verdict,
} from '../solver/explain/index.ts';

/** What the opener found beside the household that it told; no fault where nothing is kept. */
export type Opened = Result<Omit<Stored, 'chronicle'>, StoreFault | null>;

export type { PackFault, Unpacked } from './keeping.ts';
export type { LineFault } from './line.ts';
export type * from '../solver/explain/index.ts';

/**
 * What a search is for: the best plan, going on from one or not; several plans from few moves to many; a plan with as few containers in use as can
 * be; one that moves little, with some things staying where they are now; what to get so that all has a home;
 * or what of a plan is stale, placed anew.
 */
export type Aim =
  | { readonly type: 'best'; readonly from?: Stowage }
  | { readonly type: 'curve' | 'free' | 'get' }
  | { readonly type: 'repair'; readonly plan: Stowage }
  | { readonly type: 'mend'; readonly stayIds: readonly LotId[] };

/** What the planner is asked. One run at a time; `run` tells its messages from those of an earlier one. */
export type ToPlanner =
  | {
      readonly type: 'start';
      readonly run: number;
      readonly household: Household;
      readonly seed: number;
      readonly seconds: number;
      readonly aim: Aim;
    }
  | { readonly type: 'stop'; readonly run: number };

/** What the planner answers. A search that was stopped ends with its best so far, like one whose time is up. */
export type FromPlanner =
  | {
      readonly type: 'progress';
      readonly run: number;
      readonly steps: number;
      readonly elapsedMs: number;
      readonly unplaced: number;
      readonly fetchSeconds: number;
      /** What the best so far puts where, where it is another than last told. */
      readonly best: Stowage | null;
    }
  /** After the best plan: no plan is better by more than so many percent. */
  | { readonly type: 'bound'; readonly run: number; readonly mostPercent: number; readonly isLast: boolean }
  | {
      readonly type: 'done';
      readonly run: number;
      readonly plan: Plan;
      readonly checks: PlanChecks;
      readonly isStopped: boolean;
      /** What of the plan before was stale and was placed anew. */
      readonly mended?: Mended;
    }
  /** What to get, and the plan with it. While it is looked for, what the best set costs so far. */
  | {
      readonly type: 'getting';
      readonly run: number;
      readonly trials: number;
      readonly unplaced: number;
      readonly cost: number;
    }
  | {
      readonly type: 'got';
      readonly run: number;
      readonly got: readonly Got[];
      readonly trials: number;
      readonly plan: Plan;
      readonly checks: PlanChecks;
    }
  | { readonly type: 'curve'; readonly run: number; readonly points: readonly CurvePlan[] }
  | { readonly type: 'failed'; readonly run: number; readonly note: string };

export interface Mended {
  readonly homeless: number;
  readonly ousted: number;
  readonly burst: number;
  readonly refused: number;
  /** Things that were not stale and had to move all the same, for there was no room otherwise. */
  readonly others: number;
}

export interface PlanChecks {
  readonly tests: number;
  readonly findings: number;
}

/** A plan on the curve of minutes against things carried, and what part of the gain it brings, 0 to 1. */
export interface CurvePlan {
  readonly plan: Plan;
  readonly checks: PlanChecks;
  readonly moves: number;
  readonly gainShare: number;
}

/** What a worker that searches is asked: to begin, or to stop. */
type ToSearch<Ask> =
  ({ readonly type: 'start'; readonly run: number } & Ask) | { readonly type: 'stop'; readonly run: number };
/** Its best so far, now and then and at the end; or why it failed. */
type FromSearch<Found> =
  | ({ readonly type: 'progress' | 'done'; readonly run: number } & Found)
  | { readonly type: 'failed'; readonly run: number; readonly note: string };

/** What the arranger is asked: to look for a better arrangement of one room's furniture. */
export type ToArranger = ToSearch<{
  readonly room: RoomSpec;
  readonly pieces: readonly Piece[];
  readonly statureMm: number;
  readonly options: ArrangeOptions;
}>;
export type FromArranger = FromSearch<{
  readonly steps: number;
  readonly worth: Worth;
  readonly positions: readonly Position[];
}>;

/** What the layouter is asked: to lay pieces on a cloth, or on several of which the first is used first, in as little of it as it finds. */
export interface LayoutAsk {
  readonly blocks: readonly Block[];
  readonly sheets: readonly Sheet[];
  readonly seed: number;
  readonly seconds: number;
}
export interface LayoutFound {
  readonly tries: number;
  readonly layout: Layout;
  readonly leastMm: number;
  /** Not all goes on; without this piece, all of the others do. Null where there is no such one, or it is not known yet. */
  readonly spare: number | null;
}
export type ToLayouter = ToSearch<LayoutAsk>;
export type FromLayouter = FromSearch<LayoutFound>;

/** What the scrapper is asked: how to cut a scrap up. */
export interface ScrapAsk {
  readonly region: Region;
  readonly sizes: readonly ScrapSize[];
  /** Strips run along the grain only. */
  readonly isOneWay: boolean;
  readonly seconds: number;
}
export interface ScrapFound {
  readonly plan: ScrapPlan;
  readonly mostWorth: number;
}
export type ToScrapper = ToSearch<ScrapAsk>;
export type FromScrapper = FromSearch<ScrapFound>;

/** What the outliner is asked: the outline of a scrap on a photo, beside a sheet of that paper. */
export interface ToOutliner {
  readonly file: Blob;
  readonly paper: PaperName;
  /** Where the sheet's corners are said to be, clockwise: shares of the picture's width and height. */
  readonly sheet?: readonly Spot[];
}
/** What it shows; spots are shares of the picture's width and height. */
export type Outlined = Result<ScrapPhoto, PhotoFault | 'no-picture'>;

/** What the mover is asked: an order to carry everything home in, with a table that holds so much. */
export type ToMover =
  | {
      readonly type: 'start';
      readonly run: number;
      readonly household: Household;
      /** What stays where it is for now. */
      readonly skipped: readonly LotId[];
      readonly tableMm3: number;
      readonly seed: number;
      readonly seconds: number;
    }
  | { readonly type: 'stop'; readonly run: number };

export type FromMover =
  | { readonly type: 'progress'; readonly run: number; readonly trips: number; readonly leastTrips: number }
  | { readonly type: 'done'; readonly run: number; readonly found: FoundMoves }
  | { readonly type: 'failed'; readonly run: number; readonly note: string };

/** Questions that the explainer answers, with what each asks and gets. */
export interface Questions {
  /** Why a lot is where it is, or where its home is while it is out. */
  why: { ask: LotId; answer: readonly LotReason[] };
  /** Why a group is where it is, by its id. */
  whyGroup: { ask: string; answer: readonly GroupReason[] };
  /** Why a place holds what it holds. */
  whyPlace: { ask: PlaceId; answer: readonly PlaceReason[] };
  /** Why a container stands where it does. */
  whyBin: { ask: PlaceId; answer: BinReason | null };
  /** Every group with its homes, and what is odd about them. */
  byGroup: { ask: null; answer: ByGroup };
  /** The cheapest places that would take a lot now. */
  homes: { ask: LotId; answer: readonly HomeOffer[] };
  /** Why each of these finds no place, and the smallest cure. */
  nowhere: { ask: readonly LotId[]; answer: ReadonlyMap<LotId, Nowhere> };
  /** What would come of putting a lot into each place. */
  verdicts: { ask: LotId; answer: readonly Verdict[] };
  /** What would come of putting a whole group into each place. */
  groupVerdicts: { ask: string; answer: readonly GroupVerdict[] };
  /** The same for a few lots, such as what a group has in one place. */
  lotsVerdicts: { ask: readonly LotId[]; answer: readonly GroupVerdict[] };
  /** Places that hold or carry more than they should. */
  strained: { ask: null; answer: Strained & { readonly heavy: readonly PlaceLoad[] } };
  /** What is owned against what the room holds. */
  balance: { ask: null; answer: Balance };
  /** What fades where, what a room's air does to its things, and which tools are carried about. */
  air: {
    ask: null;
    answer: {
      readonly fading: readonly Fading[];
      readonly against: readonly AgainstClimate[];
      readonly carried: readonly Carried[];
    };
  };
  /** What would make room; it is counted anew for each. */
  moreRoom: { ask: null; answer: readonly MoreRoom[] };
  /** The household packed into moving boxes. */
  boxes: { ask: { readonly sizes: readonly BoxSize[]; readonly liftG: number }; answer: PackPlan };
  /** What is to be expected of places and groups, by their year; and what helps one of them. */
  ahead: {
    ask: { readonly years: readonly GroupYear[]; readonly placeId: PlaceId | null };
    answer: { readonly forecast: Forecast; readonly help: readonly Help[] };
  };
  /** Today's arrangement, scored like a plan. */
  today: { ask: null; answer: Score };
  /** What each estimate makes of today's seconds a month. */
  estimateParts: { ask: null; answer: Readonly<Record<keyof Estimates, number>> };
  /** Today's seconds a month, all that counts, with other estimates. */
  scoreWith: { ask: Estimates; answer: number };
}
export type QuestionName = keyof Questions;

/** A question to the explainer about the household as it was told. */
export type ToExplainer = {
  [Name in QuestionName]: { readonly name: Name; readonly about: Questions[Name]['ask'] };
}[QuestionName];

/** What the importer is asked: to open a table, then to read it with its columns mapped and its cells corrected. */
export type ToImporter =
  | {
      readonly type: 'open';
      readonly source: string | Uint8Array;
      readonly kind: Kind;
      /** That of the screens: lists may be written in it, beside English. */
      readonly language: string;
    }
  | {
      readonly type: 'read';
      readonly kind: Kind;
      readonly units: UnitSystem;
      readonly hasHeader: boolean;
      readonly mapping: Mapping;
      readonly nowMs: number;
      readonly stations: Record<Kind, StationId>;
      /** Only where rows name things that are there already. */
      readonly household: Household | null;
      readonly edits: readonly { readonly row: number; readonly column: number; readonly text: string }[];
    };

export type FromImporter =
  | { readonly type: 'opened'; readonly table: TextTable; readonly recognised: Recognised }
  | { readonly type: 'refused'; readonly fault: TableFault }
  | { readonly type: 'read'; readonly result: ReadTable };

/** Rows read so far. */
export interface ImporterWord {
  readonly rows: number;
  readonly of: number;
}

/** A picture file made a photo, or why not. */
export type Developed =
  | { readonly type: 'developed'; readonly photo: Photo; readonly findings: PhotoFindings }
  | { readonly type: 'refused'; readonly fault: PictureFault };

/** What the keeper is asked: to write a file of the household that it was told, or to read one. */
export type ToKeeper =
  | { readonly type: 'pack'; readonly photos: readonly Photo[] }
  | {
      readonly type: 'unpack';
      readonly bytes: Uint8Array;
      readonly stamp: { readonly id: EventId; readonly atMs: number; readonly subject: string };
    };

/**
 * A file that was read back and says the same, or why it does not; or that what a file holds was told whole; or what is
 * wrong with it, with what of it could be told all the same.
 */
export type FromKeeper =
  | { readonly type: 'packed'; readonly bytes: Uint8Array }
  | { readonly type: 'unproved'; readonly path: string }
  | { readonly type: 'whole'; readonly photos: readonly Photo[] }
  | {
      readonly type: 'faulty';
      readonly faults: readonly BundleFault[];
      /** Null where nothing of it could be told. */
      readonly rest: { readonly apart: readonly Apart[]; readonly photos: readonly Photo[] } | null;
    };
