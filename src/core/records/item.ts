import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsHexColor,
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
import { ID_PATTERN, type ItemId, type StationId } from './ids.ts';

export const KINDS = ['fabric', 'pattern', 'thread', 'notion', 'tool'] as const;
export type Kind = (typeof KINDS)[number];

/** How a lot can be stowed. See docs/formats.md for what each measures. */
export const STOW_FORMS = ['board', 'stack', 'file', 'roll', 'loose', 'envelope', 'spool', 'box', 'peg'] as const;
export type StowForm = (typeof STOW_FORMS)[number];

export const CARE_FLAGS = [
  'fades',
  'noSun',
  'sheds',
  'creases',
  'sharp',
  'smallPart',
  'flammable',
  'thread',
  'heirloom',
] as const;
export type CareFlag = (typeof CARE_FLAGS)[number];

export const PRINTS = ['solid', 'stripe', 'check', 'dots', 'wave'] as const;
export type Print = (typeof PRINTS)[number];

export class FabricSpec {
  @IsString() @MinLength(1) @MaxLength(40) fibre!: string;
  /** A row of the cloth table in core/measure, whose figures fill what was not measured. */
  @IsString() @MinLength(1) @MaxLength(40) cloth!: string;
  @IsNumber() @Min(10) @Max(6000) widthMm!: number;
  @IsNumber() @Min(5) @Max(5000) grammageGsm!: number;
  @IsNumber() @Min(0.02) @Max(60) layerMm!: number;
  @IsNumber() @Min(0.3) @Max(2) stacking!: number;
  @IsIn(PRINTS) print!: Print;
  /** Its figures were derived from a piece of it whose length was known. */
  @IsOptional() @IsBoolean() isCalibrated?: boolean;
}

export class PatternSpec {
  @IsInt() @Min(0) @Max(9_999_999) number!: number;
  @IsString() @MaxLength(60) garment!: string;
  @IsNumber() @Min(10) @Max(2000) widthMm!: number;
  @IsNumber() @Min(10) @Max(2000) heightMm!: number;
  @IsNumber() @Min(0.1) @Max(500) thicknessMm!: number;
  @IsBoolean() isMade!: boolean;
}

export class ThreadSpec {
  @IsString() @MinLength(1) @MaxLength(40) fibre!: string;
  @IsString() @MinLength(1) @MaxLength(40) use!: string;
  @IsNumber() @Min(1) @Max(2000) tex!: number;
  @IsNumber() @Min(5) @Max(400) diameterMm!: number;
  @IsNumber() @Min(5) @Max(600) heightMm!: number;
  @IsNumber() @Min(1) @Max(10_000) massG!: number;
}

/** Notions and tools: a box of this outer size. */
export class BoxSpec {
  @IsString() @MinLength(1) @MaxLength(40) type!: string;
  @IsNumber() @Min(1) @Max(5000) widthMm!: number;
  @IsNumber() @Min(1) @Max(5000) depthMm!: number;
  @IsNumber() @Min(1) @Max(5000) heightMm!: number;
  @IsNumber() @Min(0) @Max(200_000) massG!: number;
  /** Soft goods in a bag take the room left between boxes. */
  @IsBoolean() isSoft!: boolean;
  @IsOptional() @IsNumber() @Min(1) @Max(100) hangHoleMm!: number | null;
}

export class Item {
  @Matches(ID_PATTERN) id!: ItemId;
  @IsIn(KINDS) kind!: Kind;
  @IsString() @MinLength(1) @MaxLength(120) name!: string;
  @IsArray() @ArrayMaxSize(8) @IsHexColor({ each: true }) colours!: string[];
  @IsString() @MaxLength(2000) notes!: string;
  @IsNumber() @Min(0) @Max(1000) usesPerMonth!: number;
  @Matches(ID_PATTERN) stationId!: StationId;
  @IsArray() @IsIn(CARE_FLAGS, { each: true }) care!: CareFlag[];
  @IsArray() @IsIn(STOW_FORMS, { each: true }) forms!: StowForm[];
  @IsOptional() @ValidateNested() @Type(() => FabricSpec) fabric?: FabricSpec;
  @IsOptional() @ValidateNested() @Type(() => PatternSpec) pattern?: PatternSpec;
  @IsOptional() @ValidateNested() @Type(() => ThreadSpec) thread?: ThreadSpec;
  @IsOptional() @ValidateNested() @Type(() => BoxSpec) box?: BoxSpec;
}
