import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
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
import { ID_PATTERN, IsInstant, type PlaceId, type StationId } from './ids.ts';
import { Label } from './label.ts';
import { RoomSpec, Stand } from './room.ts';

const PLACE_LEVELS = ['room', 'unit', 'slot', 'container'] as const;
export type PlaceLevel = (typeof PLACE_LEVELS)[number];

/** How a slot or container is filled: side by side, on a pegboard, boxed or loose, on spool pins, on a rail. */
const CAPACITY_MODES = ['line', 'area', 'volume', 'pins', 'rail'] as const;
export type CapacityMode = (typeof CAPACITY_MODES)[number];

const UNIT_KINDS = [
  'cubes',
  'bookcase',
  'drawers',
  'closet',
  'pegboard',
  'spoolRack',
  'rail',
  'table',
  'floor',
] as const;
export type UnitKind = (typeof UNIT_KINDS)[number];

export const OPENINGS = ['open', 'door', 'drawer', 'lid'] as const;
export type Opening = (typeof OPENINGS)[number];

export const LIGHTS = ['dark', 'day', 'sun'] as const;
export type Light = (typeof LIGHTS)[number];

export class UnitSpec {
  @IsIn(UNIT_KINDS) kind!: UnitKind;
  /** The wall that it stands against or, where it stands free, that is seen behind it. */
  @Matches(ID_PATTERN) wallId!: string;
  /** Left edge along the wall, and bottom above the floor. */
  @IsNumber() @Min(0) @Max(50_000) xMm!: number;
  @IsNumber() @Min(0) @Max(10_000) yMm!: number;
  @IsNumber() @Min(10) @Max(20_000) widthMm!: number;
  @IsNumber() @Min(10) @Max(10_000) heightMm!: number;
  @IsNumber() @Min(5) @Max(5000) depthMm!: number;
  @IsNumber() @Min(0) @Max(100) boardMm!: number;
  @IsInt() @Min(1) @Max(40) columns!: number;
  @IsInt() @Min(1) @Max(40) rows!: number;
  @IsBoolean() isAnchored!: boolean;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => Stand) stand?: Stand;
  /** Stays where it is when the room is arranged anew. */
  @IsOptional() @IsBoolean() isFixed?: boolean;
  @IsOptional() @IsBoolean() hasWheels?: boolean;
  /** On wheels: the stations to which it is rolled. One that is gone, or is in another room, counts for nothing. */
  @IsOptional() @IsArray() @ArrayMaxSize(12) @Matches(ID_PATTERN, { each: true }) stationIds?: StationId[];
  /** A table that one walks round, as for cutting, or a shelf reached from either side; otherwise only from its front. */
  @IsOptional() @IsIn(['front', 'around']) access?: 'front' | 'around';
  @IsOptional() @IsNumber() @Min(0) @Max(5e6) loadG?: number;
  /** Where things lie until they are put away: no home for anything. */
  @IsOptional() @IsBoolean() isHeap?: boolean;
}

/** Round holes, slots, or hooks on their own that need no holes; a hook belongs to one of them. */
const PEG_FAMILIES = ['round', 'slotted', 'free'] as const;

export type PegFamily = (typeof PEG_FAMILIES)[number];

/** A hook where it is stuck: hole of the grid, counted from the upper left, and what it is like. */
export class PegHook {
  @IsIn(PEG_FAMILIES) family!: PegFamily;
  @IsInt() @Min(0) @Max(2000) column!: number;
  @IsInt() @Min(0) @Max(2000) row!: number;
  @IsNumber() @Min(1) @Max(20) wireMm!: number;
  @IsNumber() @Min(10) @Max(500) projectionMm!: number;
  @IsNumber() @Min(50) @Max(20_000) loadG!: number;
}

/** A peg field: its holes, and the usual hook, which is meant wherever no hooks are named. */
export class PegSpec {
  /** Absent: round holes. */
  @IsOptional() @IsIn(PEG_FAMILIES) family?: PegFamily;
  /** Diameter of round holes, width of slots; absent: 6.4 mm and 5 mm. */
  @IsOptional() @IsNumber() @Min(1) @Max(50) holeMm?: number;
  /** Absent: a hook may be stuck wherever a tool needs one. Otherwise only these are there. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(1000)
  @ValidateNested({ each: true })
  @Type(() => PegHook)
  hooks?: PegHook[];
  @IsNumber() @Min(5) @Max(100) pitchMm!: number;
  @IsNumber() @Min(1) @Max(20) wireMm!: number;
  @IsNumber() @Min(10) @Max(500) projectionMm!: number;
  @IsNumber() @Min(50) @Max(20_000) hookLoadG!: number;
}

export class SlotSpec {
  /** Inner lower left corner, from the unit's lower left corner. */
  @IsNumber() @Min(0) @Max(20_000) xMm!: number;
  @IsNumber() @Min(0) @Max(10_000) yMm!: number;
  @IsNumber() @Min(5) @Max(20_000) widthMm!: number;
  @IsNumber() @Min(5) @Max(10_000) heightMm!: number;
  @IsNumber() @Min(5) @Max(5000) depthMm!: number;
  @IsIn(CAPACITY_MODES) mode!: CapacityMode;
  @IsNumber() @Min(0) @Max(1e6) loadG!: number;
  @IsIn(OPENINGS) opening!: Opening;
  @IsBoolean() isSeeThrough!: boolean;
  @IsIn(LIGHTS) light!: Light;
  @IsBoolean() isDustProof!: boolean;
  @IsBoolean() isPetProof!: boolean;
  @IsBoolean() isChildSafe!: boolean;
  @IsBoolean() isNearHeat!: boolean;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => PegSpec) peg?: PegSpec;
  /** Spool pins: distance between them both ways. */
  @IsOptional() @IsNumber() @Min(5) @Max(500) pinPitchMm?: number;
}

/** Where a bin stands in its compartment: its left, front and lower edge from the compartment's. */
export class Nook {
  @IsNumber() @Min(0) @Max(20_000) xMm!: number;
  /** From the front. */
  @IsNumber() @Min(0) @Max(5000) yMm!: number;
  /** More than 0 where it stands on the lid of another. */
  @IsNumber() @Min(0) @Max(10_000) zMm!: number;
  /** Its side looks to the front. */
  @IsBoolean() isTurned!: boolean;
}

/** Walls inside a container that part it into equal cells, each for one lot. */
export class Dividers {
  @IsInt() @Min(1) @Max(20) columns!: number;
  @IsInt() @Min(1) @Max(20) rows!: number;
  @IsNumber() @Min(0) @Max(20) thickMm!: number;
}

export const CONTAINER_KINDS = ['bin', 'box', 'basket', 'jar', 'case'] as const;

/** Where a container stands or is to stand; without a slot: out of the way. */
export class Berth {
  @IsOptional() @Matches(ID_PATTERN) slotId?: PlaceId;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => Nook) at?: Nook;
}

/** In a slot, or idle in the pool where it has no parent. */
export class ContainerSpec {
  @IsIn(CONTAINER_KINDS) kind!: (typeof CONTAINER_KINDS)[number];
  @IsNumber() @Min(5) @Max(5000) outerWidthMm!: number;
  @IsNumber() @Min(5) @Max(5000) outerDepthMm!: number;
  @IsNumber() @Min(5) @Max(5000) outerHeightMm!: number;
  /** Walls and bottom are this thick. */
  @IsNumber() @Min(0) @Max(50) wallMm!: number;
  @IsIn(['line', 'volume']) mode!: 'line' | 'volume';
  @IsNumber() @Min(0) @Max(50_000) tareG!: number;
  @IsNumber() @Min(0) @Max(200_000) loadG!: number;
  @IsBoolean() isSeeThrough!: boolean;
  @IsBoolean() hasLid!: boolean;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => Dividers) dividers?: Dividers;
  /** Broken or no longer good for cloth: kept in the pool for the record, and never proposed. */
  @IsOptional() @IsBoolean() isRetired?: boolean;
  /** Absent: beside the one before it, from the left. */
  @IsOptional() @IsObject() @ValidateNested() @Type(() => Nook) at?: Nook;
  /** Where the adopted plan wants it to stand; absent once it stands there, and where no plan wants it anywhere else. */
  @IsOptional() @IsObject() @ValidateNested() @Type(() => Berth) goesTo?: Berth;
}

/** One node of the tree room → unit → slot → container. Exactly the spec of its level is set. */
export class Place {
  @Matches(ID_PATTERN) id!: PlaceId;
  @IsOptional() @Matches(ID_PATTERN) parentId?: PlaceId;
  @IsIn(PLACE_LEVELS) level!: PlaceLevel;
  @IsString() @MinLength(1) @MaxLength(80) name!: string;
  /** Among its siblings, from 0. */
  @IsInt() @Min(0) @Max(100_000) order!: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => Label) label?: Label;
  /** When what is in it was last gone through, UTC ms. */
  @IsOptional() @IsInstant() countedAtMs?: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => RoomSpec) room?: RoomSpec;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => UnitSpec) unit?: UnitSpec;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => SlotSpec) slot?: SlotSpec;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => ContainerSpec) container?: ContainerSpec;
}
