import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsHexColor,
  IsIn,
  IsNumber,
  IsOptional,
  IsString,
  Matches,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import { CODE_PATTERN, IsInstant } from './ids.ts';

const SAYINGS = ['group', 'path', 'name', 'fibre', 'width', 'tex', 'forWhat', 'parts', 'size'] as const;
export type SayingAbout = (typeof SAYINGS)[number];

/** One thing that a label says: of a place which groups are in it and where it is, of a lot what it is. */
export class Saying {
  @IsIn(SAYINGS) about!: SayingAbout;
  @IsString() @MaxLength(2000) value!: string;
  /** The first and last number of a group that is numbered. */
  @IsOptional() @IsNumber() from?: number;
  @IsOptional() @IsNumber() to?: number;
}

/** The label of a place or a lot, as it was printed last: by it one knows whether it still says what is so. */
export class Label {
  @Matches(CODE_PATTERN) code!: string;
  /** The sewist's own words in large, in the place of those that are worked out. */
  @IsOptional() @IsString() @MaxLength(60) words?: string;
  /** Absent: not printed yet. */
  @IsOptional() @IsInstant() printedAtMs?: number;
  @IsArray() @ArrayMaxSize(400) @ValidateNested({ each: true }) @Type(() => Saying) says!: Saying[];
  @IsArray() @ArrayMaxSize(60) @IsHexColor({ each: true }) swatches!: string[];
}
