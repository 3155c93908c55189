import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
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
  ValidateNested,
} from 'class-validator';
import { ID_PATTERN, IsInstant, type LotId, type PlaceId, type PlanId } from './ids.ts';
import { STOW_FORMS, type StowForm } from './item.ts';
import { Berth } from './place.ts';

/** Where a lot goes: its place, form, turn there, and the corner of its box in the place, in mm. */
export class Assignment {
  @Matches(ID_PATTERN) lotId!: LotId;
  @Matches(ID_PATTERN) placeId!: PlaceId;
  @IsIn(STOW_FORMS) form!: StowForm;
  @IsInt() @Min(0) @Max(1e6) order!: number;
}

/** A container that is to stand elsewhere than before the plan. */
export class BinMove extends Berth {
  @Matches(ID_PATTERN) placeId!: PlaceId;
}

/** Why a lot has no place. `needed` and `available` are mm, g or a share, by code. */
export class Reason {
  @IsString() @MaxLength(40) code!: string;
  @IsOptional() @IsNumber() needed?: number;
  @IsOptional() @IsNumber() available?: number;
  @IsOptional() @Matches(ID_PATTERN) placeId?: PlaceId;
}

export class Unplaced {
  @Matches(ID_PATTERN) lotId!: LotId;
  @IsObject() @ValidateNested() @Type(() => Reason) reason!: Reason;
}

export class ScoreParts {
  @IsNumber() fetching!: number;
  @IsNumber() searching!: number;
  @IsNumber() splitting!: number;
  @IsNumber() crowding!: number;
  @IsNumber() moving!: number;
  /** What the room that is taken is worth. */
  @IsNumber() rent!: number;
  /** What it costs that strangers share a place, that a group has further places, and that names do not say what is in it. */
  @IsNumber() company!: number;
  /** Small things loose and floppy ones unheld. */
  @IsNumber() holding!: number;
  @IsNumber() wear!: number;
}

/** Where everything would be: what goes where and, where named, containers that stand elsewhere then. */
export interface Stowage {
  readonly assignments: readonly Assignment[];
  readonly bins?: readonly BinMove[];
}

/** Nothing of anything. */
export const NO_PARTS: ScoreParts = {
  fetching: 0,
  searching: 0,
  splitting: 0,
  crowding: 0,
  moving: 0,
  wear: 0,
  rent: 0,
  company: 0,
  holding: 0,
};

/** Levels, each smaller is better; seconds are a month's. */
export class Score {
  @IsNumber() @Min(0) unplacedWeight!: number;
  @IsNumber() @Min(0) cautions!: number;
  @IsNumber() seconds!: number;
  @IsObject() @ValidateNested() @Type(() => ScoreParts) parts!: ScoreParts;
}

/**
 * Fetching time a month in seconds, the headline figure: the way, the posture, the opening and the search,
 * there and back. What crowding, carrying, wear, rent, company and holding cost is in `seconds` only.
 */
export function getFetchSeconds({ parts }: Score): number {
  return parts.fetching + parts.searching + parts.splitting;
}

export class Plan {
  @Matches(ID_PATTERN) id!: PlanId;
  /** What it is called while it is kept beside others. */
  @IsOptional() @IsString() @MaxLength(60) name?: string;
  @IsInstant() madeAtMs!: number;
  @IsInt() seed!: number;
  @IsInt() @Min(0) steps!: number;
  @IsString() @MaxLength(64) inputsHash!: string;
  @IsObject() @ValidateNested() @Type(() => Score) score!: Score;
  @IsObject() @ValidateNested() @Type(() => Score) before!: Score;
  @IsArray() @ValidateNested({ each: true }) @Type(() => Assignment) assignments!: Assignment[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => Unplaced) unplaced!: Unplaced[];
  /** Absent: every container stays where it is. */
  @IsOptional() @IsArray() @ArrayMaxSize(10_000) @ValidateNested({ each: true }) @Type(() => BinMove) bins?: BinMove[];
  @IsOptional() @IsInstant() adoptedAtMs?: number;
}
