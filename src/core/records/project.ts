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
import { Corner } from './corner.ts';
import { ID_PATTERN, IsInstant, PHOTO_PATTERN, type ItemId, type LotId, type PhotoId, type ProjectId } from './ids.ts';
import { KINDS, type Kind } from './item.ts';
import { Label } from './label.ts';
import { DAY_PATTERN } from './upkeep.ts';

export const PROJECT_STATES = ['idea', 'planned', 'gathered', 'cut', 'sewing', 'waiting', 'done', 'givenUp'] as const;
export type ProjectState = (typeof PROJECT_STATES)[number];

/** What a cloth is for in a project. */
export const CLOTH_PARTS = ['main', 'contrast', 'lining', 'interfacing', 'batting', 'backing'] as const;

/** So many of one size; several sizes of one pattern are one project. */
export class Make {
  /** As the pattern names it; empty where there is none. */
  @IsString() @MaxLength(40) size!: string;
  @IsInt() @Min(1) @Max(1000) count!: number;
}

/** What is to be reckoned with when cloth is cut, where it is not what the cloth itself says. */
export class Cutting {
  /** Its pieces must all lie the same way up; absent: as the cloth says. */
  @IsOptional() @IsBoolean() isOneWay?: boolean;
  /** The print comes again after so much, and is to match: along the cloth, mm. */
  @IsOptional() @IsNumber() @Min(0) @Max(3000) repeatMm?: number;
  /** It shrinks by so much before it is cut, in per cent of its length; absent: as its fibre does, unless washed. */
  @IsOptional() @IsNumber() @Min(0) @Max(30) shrinkPercent?: number;
  /** Cut off at each end to have it straight, mm. */
  @IsOptional() @IsNumber() @Min(0) @Max(500) straightenMm?: number;
  /** Not used along each selvage, mm. */
  @IsOptional() @IsNumber() @Min(0) @Max(200) selvageMm?: number;
  /** Added round every piece, where its measures are without; mm. */
  @IsOptional() @IsNumber() @Min(0) @Max(100) seamMm?: number;
}

/** How a seam is sewn; each takes its own length of thread. */
export const STITCHES = ['lockstitch', 'zigzag', 'overlock3', 'overlock4', 'cover', 'hand'] as const;
export type Stitch = (typeof STITCHES)[number];

/** Something that a project takes. */
export class Need {
  @Matches(ID_PATTERN) id!: string;
  @IsIn(KINDS) kind!: Kind;
  /** Which cloth of it, such as lining; else what is wanted, such as a zip of 25 cm. */
  @IsString() @MinLength(1) @MaxLength(80) part!: string;
  /** How much as the sewist says: mm of what goes by length, else pieces. Absent for cloth: it is worked out. */
  @IsOptional() @IsNumber() @Min(0) @Max(1e9) amount?: number;
  /** What it is to be made of, where that is settled and nothing is promised yet; a tool or a pattern that is used. */
  @IsOptional() @Matches(ID_PATTERN) itemId?: ItemId;
  /** Not in the catalogue, but there. */
  @IsOptional() @IsBoolean() isThere?: boolean;
  /** It is to be got. */
  @IsOptional() @IsBoolean() isToGet?: boolean;
  /** Used up or cut already: so much of it, in its unit. */
  @IsOptional() @IsNumber() @Min(0) @Max(1e9) used?: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => Cutting) cutting?: Cutting;
  /** Thread: so much is sewn with it, mm of seam, and how; its amount is worked out from that where it is not said. */
  @IsOptional() @IsNumber() @Min(0) @Max(1e7) seamMm?: number;
  @IsOptional() @IsIn(STITCHES) stitch?: Stitch;
}

/** Where a step is done. */
const STEP_STATIONS = ['cutting', 'sewing', 'overlocking', 'pressing', 'handwork', 'other'] as const;
export type StepStation = (typeof STEP_STATIONS)[number];

/** A step of the work. */
export class Step {
  @Matches(ID_PATTERN) id!: string;
  @IsString() @MinLength(1) @MaxLength(120) name!: string;
  @IsIn(STEP_STATIONS) station!: StepStation;
  /** As the sewist thinks; absent: from the figures of its station. */
  @IsOptional() @IsNumber() @Min(1) @Max(10_000) minutes?: number;
  /** Noted by the timer or by hand. */
  @IsOptional() @IsNumber() @Min(0) @Max(100_000) spentMinutes?: number;
  @IsOptional() @IsInstant() doneAtMs?: number;
}

/** A pattern piece as it is cut out, with its seam allowance; the grain runs along its height. */
export class CutPiece {
  @Matches(ID_PATTERN) id!: string;
  @IsString() @MinLength(1) @MaxLength(60) name!: string;
  /** Of which cloth: the part of a need. */
  @IsString() @MinLength(1) @MaxLength(80) part!: string;
  @IsInt() @Min(1) @Max(500) count!: number;
  @IsNumber() @Min(1) @Max(6000) widthMm!: number;
  @IsNumber() @Min(1) @Max(10_000) heightMm!: number;
  /** Half of it is drawn, and its left edge lies on the fold: laid open it is twice as wide. */
  @IsOptional() @IsBoolean() isOnFold?: boolean;
  /** It may lie across the grain too, such as a facing or a patch. */
  @IsOptional() @IsBoolean() mayTurn?: boolean;
  /** Absent for a plain rectangle. */
  @IsOptional() @IsArray() @ArrayMaxSize(60) @ValidateNested({ each: true }) @Type(() => Corner) outline?: Corner[];
}

/** Something that is to be sewn, or was: what it takes, how far it is, and where all of it lies together. */
export class Project {
  @Matches(ID_PATTERN) id!: ProjectId;
  @IsString() @MinLength(1) @MaxLength(120) name!: string;
  @IsOptional() @IsString() @MaxLength(80) forWhom?: string;
  @IsIn(PROJECT_STATES) state!: ProjectState;
  @IsOptional() @Matches(ID_PATTERN) patternItemId?: ItemId;
  @IsOptional() @IsString() @MaxLength(60) view?: string;
  @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => Make) makes!: Make[];
  /** Calendar day, as the sewist's own calendar has it. */
  @IsOptional() @Matches(DAY_PATTERN) due?: string;
  @IsString() @MaxLength(2000) notes!: string;
  /** Where it stopped, and what comes next, in the sewist's words. */
  @IsOptional() @IsString() @MaxLength(300) stopped?: string;
  @IsArray() @ArrayMaxSize(60) @ValidateNested({ each: true }) @Type(() => Need) needs!: Need[];
  @IsArray() @ArrayMaxSize(60) @ValidateNested({ each: true }) @Type(() => Step) steps!: Step[];
  @IsOptional() @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => CutPiece) pieces?: CutPiece[];
  /** The bag, box or basket in which all of it lies together. */
  @IsOptional() @Matches(ID_PATTERN) bagLotId?: LotId;
  @IsOptional() @IsArray() @ArrayMaxSize(12) @Matches(PHOTO_PATTERN, { each: true }) photos?: PhotoId[];
  /** On its card. */
  @IsOptional() @IsObject() @ValidateNested() @Type(() => Label) label?: Label;
  /** What was cut or used up for it has cost so much, in the user's own money. */
  @IsOptional() @IsNumber() @Min(0) @Max(1e9) spent?: number;
  /** UTC instant of the last change, ms. */
  @IsInstant() sinceMs!: number;
}

/** Whether work on it is over, either way. */
export function isOver({ state }: Pick<Project, 'state'>): boolean {
  return state === 'done' || state === 'givenUp';
}
