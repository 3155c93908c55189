import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateNested,
} from 'class-validator';
import { ID_PATTERN, type LotId, type PlaceId } from './ids.ts';
import { ContainerSpec, SlotSpec, UnitSpec } from './place.ts';
import { Moving, ScrapGoal, Season } from './upkeep.ts';
import { Bond, Bounds, createSorting, DEFAULT_BOUNDS, Growth, HandPick, SortingChoice, Split } from './sorting.ts';

/** Seconds and rates behind "minutes a month"; figures.md gives the source of each default. */
export class Estimates {
  @IsNumber() @Min(0) @Max(60) walkSecondsPerM!: number;
  @IsNumber() @Min(0) @Max(600) bendSeconds!: number;
  @IsNumber() @Min(0) @Max(600) kneelSeconds!: number;
  @IsNumber() @Min(0) @Max(600) stretchSeconds!: number;
  @IsNumber() @Min(0) @Max(600) stoolSeconds!: number;
  @IsNumber() @Min(0) @Max(600) doorSeconds!: number;
  @IsNumber() @Min(0) @Max(600) drawerSeconds!: number;
  @IsNumber() @Min(0) @Max(600) pullBinSeconds!: number;
  @IsNumber() @Min(0) @Max(600) lidSeconds!: number;
  @IsNumber() @Min(0) @Max(600) liftOffSeconds!: number;
  @IsNumber() @Min(0) @Max(600) unhookSeconds!: number;
  /** Each thing that hangs in front on the same hook. */
  @IsNumber() @Min(0) @Max(600) hookInFrontSeconds!: number;
  @IsNumber() @Min(0) @Max(600) otherRoomSeconds!: number;
  @IsNumber() @Min(0) @Max(600) findSeconds!: number;
  @IsNumber() @Min(0) @Max(60) passVisibleSeconds!: number;
  @IsNumber() @Min(0) @Max(60) passOpaqueSeconds!: number;
  /** Each group more in the same place. */
  @IsNumber() @Min(0) @Max(60) passGroupSeconds!: number;
  /** A group split over one more compartment, unit or room: what a wrong first look costs. */
  @IsNumber() @Min(0) @Max(600) splitPlaceSeconds!: number;
  @IsNumber() @Min(0) @Max(600) splitUnitSeconds!: number;
  @IsNumber() @Min(0) @Max(600) splitRoomSeconds!: number;
  /** Each further place, piece of furniture or room of a group: one more to label, to keep in mind and to put away into. */
  @IsNumber() @Min(0) @Max(6000) furtherPlaceSeconds!: number;
  @IsNumber() @Min(0) @Max(6000) furtherUnitSeconds!: number;
  @IsNumber() @Min(0) @Max(6000) furtherRoomSeconds!: number;
  /** Room is what is scarce: what a month of a litre at hand is worth to the user. */
  @IsNumber() @Min(0) @Max(600) rentSeconds!: number;
  /**
   * Two groups in one place make its label say two things, and are put back wrongly: what a month of that is worth to the
   * user, by how near they are to each other.
   */
  @IsNumber() @Min(0) @Max(6000) nearSeconds!: number;
  @IsNumber() @Min(0) @Max(6000) kindSeconds!: number;
  @IsNumber() @Min(0) @Max(6000) stationSeconds!: number;
  @IsNumber() @Min(0) @Max(6000) strangerSeconds!: number;
  @IsNumber() @Min(0) @Max(6000) clashSeconds!: number;
  /** A thing that is not where a name says, or is where the name says something else. */
  @IsNumber() @Min(0) @Max(6000) nameSeconds!: number;
  /** A small thing loose on an open shelf; a floppy one that nothing holds; a thing on the bare floor. */
  @IsNumber() @Min(0) @Max(6000) looseSeconds!: number;
  @IsNumber() @Min(0) @Max(6000) floppySeconds!: number;
  /** Kept in the second of its forms, not the first; the third counts double. */
  @IsNumber() @Min(0) @Max(6000) formSeconds!: number;
  @IsNumber() @Min(0) @Max(6000) floorSeconds!: number;
  /** What lies on a table is in the way whenever one works there: a thing, a month. */
  @IsNumber() @Min(0) @Max(6000) tableSeconds!: number;
  /** Re-shuffling a place that is full to the brim, a month. */
  @IsNumber() @Min(0) @Max(6000) crowdSeconds!: number;
  @IsNumber() @Min(0) @Max(600) carrySeconds!: number;
  /** To take a container out of its compartment, carry it and put it into another, once. */
  @IsNumber() @Min(0) @Max(600) carryBinSeconds!: number;
  /** A home of the plan that was adopted is known by heart: learning another one, once. */
  @IsNumber() @Min(0) @Max(6000) relearnSeconds!: number;
  @IsNumber() @Min(0.1) @Max(600) carryMonths!: number;
  /** A thing without a home is looked for everywhere. */
  @IsNumber() @Min(0) @Max(6000) homelessSeconds!: number;
  /** The user's rate of exchange for a month of fading in full sun, and of dust. */
  @IsNumber() @Min(0) @Max(6000) fadeSeconds!: number;
  @IsNumber() @Min(0) @Max(6000) dustSeconds!: number;
  /** Wool, silk and fur where moths get in. */
  @IsNumber() @Min(0) @Max(6000) mothSeconds!: number;
  /** Cloth out of sight is forgotten, and bought twice: what a month of that is worth to the user, a lot. */
  @IsNumber() @Min(0) @Max(6000) hiddenSeconds!: number;
}

class OwnSlot {
  @IsString() @MinLength(1) @MaxLength(80) name!: string;
  @IsObject() @ValidateNested() @Type(() => SlotSpec) slot!: SlotSpec;
}

/** A piece of furniture as it is built, kept for re-use under its name. */
export class OwnPart {
  @Matches(ID_PATTERN) id!: string;
  @IsString() @MinLength(1) @MaxLength(80) name!: string;
  @IsObject() @ValidateNested() @Type(() => UnitSpec) unit!: UnitSpec;
  @IsArray() @ArrayMaxSize(1600) @ValidateNested({ each: true }) @Type(() => OwnSlot) slots!: OwnSlot[];
}

/**
 * A bin or a piece of furniture that could be got: its measures, what one costs in the user's own money, and how many
 * would be taken at most. Exactly one of `container` and `piece` is set.
 */
export class Ware {
  @Matches(ID_PATTERN) id!: string;
  @IsString() @MinLength(1) @MaxLength(60) name!: string;
  @IsNumber() @Min(0) @Max(1e6) cost!: number;
  @IsInt() @Min(1) @Max(50) most!: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => ContainerSpec) container?: ContainerSpec;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => OwnPart) piece?: OwnPart;
}

const WISH_KINDS = ['stays', 'notIn', 'free', 'together', 'apart'] as const;
export type WishKind = (typeof WISH_KINDS)[number];

/**
 * What the sewist asks of every plan: these lots, groups or this place stay as they are; these never in there; nothing
 * in there; these lots together; these lots, or lots of these groups, never together. A place means all that is in it.
 */
export class Wish {
  @Matches(ID_PATTERN) id!: string;
  @IsIn(WISH_KINDS) kind!: WishKind;
  @IsArray() @ArrayMaxSize(2000) @Matches(ID_PATTERN, { each: true }) lotIds!: LotId[];
  @IsArray() @ArrayMaxSize(200) @IsString({ each: true }) groupIds!: string[];
  @IsOptional() @Matches(ID_PATTERN) placeId?: PlaceId;
}

/** A table, bed or stretch of floor that can be spared to lay things on while they are carried. */
export class StagingTable {
  @IsNumber() @Min(0) @Max(10_000) widthMm!: number;
  @IsNumber() @Min(0) @Max(10_000) depthMm!: number;
}

/** A table as most have. */
export const USUAL_STAGING: StagingTable = { widthMm: 1200, depthMm: 600 };

/** How one begins: with a room that is a mess, with a list of what is owned, typed or from a file, or with a corner or closet. */
export const SETOUT_WAYS = ['mess', 'list', 'file', 'nook'] as const;
export type SetoutWay = (typeof SETOUT_WAYS)[number];
/** The order of the work, from a bare room on. */
export const SETOUT_STAGES = ['room', 'furniture', 'heaps', 'balance', 'sort', 'fit', 'carry', 'label'] as const;
export type SetoutStage = (typeof SETOUT_STAGES)[number];

/** How far setting out is; absent in a household that is set out. */
export class Setout {
  /** Absent: not asked yet. */
  @IsOptional() @IsIn(SETOUT_WAYS) way?: SetoutWay;
  /** Stages of which the sewist said that they are done. */
  @IsArray() @ArrayUnique() @IsIn(SETOUT_STAGES, { each: true }) done!: SetoutStage[];
}

/** What scraps are cut to: a square, or a strip that runs as far as it goes from its least length on; and what one is worth. */
export class ScrapSizeSpec {
  @IsIn(['square', 'strip']) kind!: 'square' | 'strip';
  @IsNumber() @Min(10) @Max(2000) sideMm!: number;
  @IsNumber() @Min(10) @Max(2000) leastMm!: number;
  @IsNumber() @Min(0.001) @Max(1e6) worth!: number;
}

export class Settings {
  @IsIn(['household']) id!: 'household';
  @IsString() @MinLength(1) @MaxLength(60) name!: string;
  /** Drawn by lot with the first label: codes of this household begin alike, and tell it from others. */
  @IsOptional() @IsString() @MinLength(1) @MaxLength(60) mark?: string;
  @IsIn(['metric', 'imperial']) units!: 'metric' | 'imperial';
  @IsInt() @Min(800) @Max(2500) statureMm!: number;
  /** Of a small member of the household who fetches things too. */
  @IsOptional() @IsInt() @Min(500) @Max(2000) smallStatureMm?: number;
  /** Asked of every plan. */
  @IsOptional() @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => Wish) wishes?: Wish[];
  /** Furniture of one's own, kept to be built again. */
  @IsOptional() @IsArray() @ArrayMaxSize(60) @ValidateNested({ each: true }) @Type(() => OwnPart) parts?: OwnPart[];
  /** What could be got. */
  @IsOptional() @IsArray() @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => Ware) wares?: Ware[];
  /** Absent: the usual table. */
  @IsOptional() @IsObject() @ValidateNested() @Type(() => StagingTable) staging?: StagingTable;
  @IsBoolean() hasChildren!: boolean;
  @IsBoolean() hasPets!: boolean;
  @IsNumber() @Min(0.3) @Max(1) fillTarget!: number;
  @IsNumber() @Min(50) @Max(1000) boardWidthMm!: number;
  @IsNumber() @Min(50) @Max(1500) boardHeightMm!: number;
  @IsNumber() @Min(0.2) @Max(30) boardThicknessMm!: number;
  @IsNumber() @Min(50) @Max(1500) panelWidthMm!: number;
  @IsNumber() @Min(50) @Max(1500) panelDepthMm!: number;
  @IsObject() @ValidateNested() @Type(() => SortingChoice) sorting!: SortingChoice;
  @IsObject() @ValidateNested() @Type(() => Bounds) bounds!: Bounds;
  /** Groups that were too large and are kept in parts. */
  @IsOptional() @IsArray() @ArrayMaxSize(400) @ValidateNested({ each: true }) @Type(() => Split) splits?: Split[];
  /** While it is set out. */
  @IsOptional() @IsObject() @ValidateNested() @Type(() => Setout) setout?: Setout;
  /** How many boards there are to wind cloth on; absent: not asked. */
  @IsOptional() @IsInt() @Min(0) @Max(10_000) boards?: number;
  /** What scraps are cut to; absent: to the usual sizes. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(20)
  @ValidateNested({ each: true })
  @Type(() => ScrapSizeSpec)
  scrapSizes?: ScrapSizeSpec[];
  /** What squares and strips are gathered for. */
  @IsOptional() @IsArray() @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => ScrapGoal) goals?: ScrapGoal[];
  /** So much cloth one would have at most, mm; absent: not asked. */
  @IsOptional() @IsNumber() @Min(0) @Max(1e9) stashGoalMm?: number;
  /** What is stored away for part of the year. */
  @IsOptional() @IsArray() @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => Season) seasons?: Season[];
  /** While one moves house. */
  @IsOptional() @IsObject() @ValidateNested() @Type(() => Moving) moving?: Moving;
  /** What one would spend in a year, in one's own money; absent: not asked. */
  @IsOptional() @IsNumber() @Min(0) @Max(1e7) budgetPerYear?: number;
  /** How groups get on in one place where that is otherwise than the rules have it. */
  @IsOptional() @IsArray() @ArrayMaxSize(400) @ValidateNested({ each: true }) @Type(() => Bond) bonds?: Bond[];
  /** Groups that grow, or of which the sewist says that they do not. */
  @IsOptional() @IsArray() @ArrayMaxSize(400) @ValidateNested({ each: true }) @Type(() => Growth) growth?: Growth[];
  /** Lots that were put into a group by hand, whatever the rule says. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(20_000)
  @ValidateNested({ each: true })
  @Type(() => HandPick)
  handPicks?: HandPick[];
  @IsObject() @ValidateNested() @Type(() => Estimates) estimates!: Estimates;
}

export const DEFAULT_ESTIMATES: Estimates = {
  walkSecondsPerM: 0.63,
  bendSeconds: 2.2,
  kneelSeconds: 5.3,
  stretchSeconds: 1,
  stoolSeconds: 15,
  doorSeconds: 2,
  drawerSeconds: 3,
  pullBinSeconds: 5,
  lidSeconds: 3,
  liftOffSeconds: 4,
  unhookSeconds: 1,
  hookInFrontSeconds: 1.5,
  otherRoomSeconds: 10,
  findSeconds: 1,
  passVisibleSeconds: 0.3,
  passOpaqueSeconds: 1.2,
  passGroupSeconds: 0.4,
  splitPlaceSeconds: 1.5,
  splitUnitSeconds: 4,
  splitRoomSeconds: 15,
  furtherPlaceSeconds: 12,
  furtherUnitSeconds: 40,
  furtherRoomSeconds: 40,
  rentSeconds: 0.6,
  nearSeconds: 3,
  kindSeconds: 15,
  stationSeconds: 45,
  strangerSeconds: 120,
  clashSeconds: 300,
  nameSeconds: 60,
  looseSeconds: 200,
  floppySeconds: 8,
  formSeconds: 10,
  floorSeconds: 120,
  tableSeconds: 240,
  crowdSeconds: 90,
  carrySeconds: 25,
  carryBinSeconds: 60,
  relearnSeconds: 150,
  carryMonths: 12,
  homelessSeconds: 90,
  fadeSeconds: 16,
  dustSeconds: 1,
  mothSeconds: 4,
  hiddenSeconds: 6,
};

export const DEFAULT_SETTINGS: Settings = {
  id: 'household',
  name: 'My sewing room',
  units: 'metric',
  statureMm: 1680,
  hasChildren: false,
  hasPets: false,
  fillTarget: 0.85,
  boardWidthMm: 170,
  boardHeightMm: 260,
  boardThicknessMm: 1,
  panelWidthMm: 300,
  panelDepthMm: 280,
  sorting: createSorting(),
  bounds: DEFAULT_BOUNDS,
  estimates: DEFAULT_ESTIMATES,
};
