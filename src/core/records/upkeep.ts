import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateNested,
} from 'class-validator';
import { ID_PATTERN, IsInstant, type PlaceId } from './ids.ts';

/** `2026-11-25`. */
export const DAY_PATTERN = /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;

/** What is to be done about a thing again and again; `other` is in the sewist's own words. */
const CARE_WORKS = ['oil', 'lint', 'service', 'needle', 'blade', 'air', 'refold', 'other'] as const;
export type CareWork = (typeof CARE_WORKS)[number];

/** Something that comes round: after so many days, or after so many hours of sewing, whichever is first. At least one of them is set (`isWholeChore`). */
export class Chore {
  @Matches(ID_PATTERN) id!: string;
  @IsIn(CARE_WORKS) work!: CareWork;
  /** What it is, where its work does not say; set exactly for `other`. */
  @IsOptional() @IsString() @MinLength(1) @MaxLength(80) name?: string;
  @IsOptional() @IsInt() @Min(1) @Max(3660) everyDays?: number;
  @IsOptional() @IsNumber() @Min(0.5) @Max(2000) everyHours?: number;
  /** UTC instant at which it was done last or, where it never was, from which it is counted; ms. */
  @IsInstant() doneAtMs!: number;
  /** Hours of sewing since then. */
  @IsNumber() @Min(0) @Max(20_000) hours!: number;
}

/** Whether a chore ever comes round, and says what it is. */
export const isWholeChore = ({ work, name, everyDays, everyHours }: Chore): boolean =>
  (everyDays !== undefined || everyHours !== undefined) && (work === 'other') === (name !== undefined);

/** Something goes to somebody, and by when; it still lies where it lies. */
export class Leaving {
  /** Empty where that is not settled. */
  @IsString() @MaxLength(80) toWhom!: string;
  /** Calendar day, as the sewist's own calendar has it. */
  @IsOptional() @Matches(DAY_PATTERN) by?: string;
}

/** So many pieces of one size for a goal, of a colour family or of any. */
export class GoalLine {
  @IsIn(['square', 'strip']) cut!: 'square' | 'strip';
  @IsNumber() @Min(10) @Max(2000) sideMm!: number;
  /** Of a strip: how long each is at least. */
  @IsOptional() @IsNumber() @Min(10) @Max(10_000) longMm?: number;
  @IsInt() @Min(1) @Max(1_000_000) count!: number;
  /** A colour family; absent: any colour. */
  @IsOptional() @IsString() @MinLength(1) @MaxLength(40) colour?: string;
}

/** What squares and strips are gathered for. */
export class ScrapGoal {
  @Matches(ID_PATTERN) id!: string;
  @IsString() @MinLength(1) @MaxLength(80) name!: string;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(40)
  @ValidateNested({ each: true })
  @Type(() => GoalLine)
  lines!: GoalLine[];
}

/** `10-15`: a day of any year. */
const YEAR_DAY_PATTERN = /^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;

/** What is stored away for part of the year: these groups, or what has this word among its tags. */
export class Season {
  @Matches(ID_PATTERN) id!: string;
  @IsString() @MinLength(1) @MaxLength(60) name!: string;
  @IsArray() @ArrayMaxSize(100) @IsString({ each: true }) groupIds!: string[];
  @IsOptional() @IsString() @MinLength(1) @MaxLength(40) tag?: string;
  /** Where it is while it is not wanted: a room, a piece of furniture or a place. */
  @Matches(ID_PATTERN) awayPlaceId!: PlaceId;
  /** It goes on this day of the year, and comes back on that one. */
  @Matches(YEAR_DAY_PATTERN) goesOn!: string;
  @Matches(YEAR_DAY_PATTERN) comesOn!: string;
}

/** What a room or a piece of furniture does to what is kept in it, as its people know it. */
export const CLIMATES = ['damp', 'hot', 'cold', 'swinging'] as const;
export type Climate = (typeof CLIMATES)[number];

/** Boxes of one size to move house with. */
export class BoxSize {
  @Matches(ID_PATTERN) id!: string;
  @IsString() @MinLength(1) @MaxLength(60) name!: string;
  /** Inside. */
  @IsNumber() @Min(50) @Max(3000) widthMm!: number;
  @IsNumber() @Min(50) @Max(3000) depthMm!: number;
  @IsNumber() @Min(50) @Max(3000) heightMm!: number;
  /** How many there are. */
  @IsInt() @Min(0) @Max(500) count!: number;
}

/** While one moves house: the boxes there are, and what one carries. */
export class Moving {
  @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => BoxSize) boxes!: BoxSize[];
  @IsNumber() @Min(1000) @Max(60_000) liftG!: number;
  /** The room in which the boxes stand, once they are packed. */
  @IsOptional() @Matches(ID_PATTERN) roomId?: PlaceId;
}
