import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsHexColor,
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
import { ID_PATTERN, PHOTO_PATTERN, type ItemId, type PhotoId, type StationId } from './ids.ts';

/** `kit` is the bag or box in which a project lies together; `other` is machines, books, finished pieces and packing. */
export const KINDS = ['fabric', 'pattern', 'thread', 'notion', 'tool', 'scrap', 'kit', 'other'] as const;
export type Kind = (typeof KINDS)[number];

export function isKind(text: string | null | undefined): text is Kind {
  return (KINDS as readonly string[]).includes(text ?? '');
}

/** How a lot can be stowed. See docs/formats.md for what each measures. */
export const STOW_FORMS = [
  'board',
  'stack',
  'file',
  'roll',
  'hanger',
  'bag',
  'loose',
  'envelope',
  'spool',
  'box',
  'flat',
  'peg',
] as const;
export type StowForm = (typeof STOW_FORMS)[number];

export const CARE_FLAGS = [
  'fades',
  'noSun',
  'sheds',
  'slips',
  'creases',
  'heavy',
  'sharp',
  'magnetic',
  'smallPart',
  'flammable',
  'hot',
  'liquid',
  'thread',
  'heirloom',
] as const;
export type CareFlag = (typeof CARE_FLAGS)[number];

export const PRINTS = [
  'solid',
  'stripe',
  'pinstripe',
  'check',
  'gingham',
  'plaid',
  'dots',
  'floral',
  'leaf',
  'wave',
  'zigzag',
  'herringbone',
  'star',
  'diamond',
  'paisley',
  'mottled',
] as const;
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
  @IsOptional() @IsString() @MaxLength(40) weave?: string;
  /** Its pieces must all lie the same way up. */
  @IsOptional() @IsBoolean() hasNap?: boolean;
  /** How much longer it can be drawn across, in per cent. */
  @IsOptional() @IsNumber() @Min(0) @Max(400) stretchPercent?: number;
  /** Its figures were derived from a piece of it whose length was known. */
  @IsOptional() @IsBoolean() isCalibrated?: boolean;
}

export const SCRAP_CUTS = ['odd', 'strip', 'square'] as const;
export type ScrapCut = (typeof SCRAP_CUTS)[number];

/** What a scrap is besides its cloth: odd bits by area, or pieces cut to one size and counted. */
export class ScrapSpec {
  @IsIn(SCRAP_CUTS) cut!: ScrapCut;
  /** Width of a strip or side of a square; null for odd bits. */
  @IsOptional() @IsNumber() @Min(5) @Max(2000) cutMm?: number;
  /** The cloth it was cut from, where that is known. */
  @IsOptional() @Matches(ID_PATTERN) parentItemId?: ItemId;
}

export const PATTERN_FORMATS = ['envelope', 'sheets', 'digital', 'block'] as const;
export type PatternFormat = (typeof PATTERN_FORMATS)[number];

/** Cloth that a pattern asks for: so much of that width for that size. */
export class ClothNeed {
  /** As the pattern names it; empty for every size. */
  @IsString() @MaxLength(40) size!: string;
  @IsNumber() @Min(10) @Max(6000) widthMm!: number;
  @IsNumber() @Min(1) @Max(1e6) lengthMm!: number;
  /** Such as lining; empty for the main cloth. */
  @IsString() @MaxLength(40) part!: string;
}

export class PatternSpec {
  @IsInt() @Min(0) @Max(9_999_999) number!: number;
  @IsString() @MaxLength(60) garment!: string;
  /** As the user calls it. */
  @IsOptional() @IsString() @MaxLength(60) publisher?: string;
  @IsOptional() @IsString() @MaxLength(40) era?: string;
  @IsOptional() @IsString() @MaxLength(60) sizes?: string;
  /** Absent for an envelope. A digital one takes no room. */
  @IsOptional() @IsIn(PATTERN_FORMATS) format?: PatternFormat;
  /** Printed sheets in a folder. */
  @IsOptional() @IsInt() @Min(0) @Max(5000) sheets?: number;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(40)
  @ValidateNested({ each: true })
  @Type(() => ClothNeed)
  needs?: ClothNeed[];
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

/** Ribbon, elastic, bias tape: sold and cut by the length, wound on a reel or card. */
export class TapeSpec {
  @IsNumber() @Min(1) @Max(400) widthMm!: number;
  @IsNumber() @Min(0.02) @Max(20) layerMm!: number;
  /** Diameter of the bare reel. */
  @IsNumber() @Min(1) @Max(400) coreMm!: number;
  /** Its thickness was derived from a piece whose length was known. */
  @IsOptional() @IsBoolean() isCalibrated?: boolean;
}

/** Notions, tools, kits and other things: a box of this outer size. */
export class BoxSpec {
  @IsString() @MinLength(1) @MaxLength(40) type!: string;
  @IsNumber() @Min(1) @Max(5000) widthMm!: number;
  @IsNumber() @Min(1) @Max(5000) depthMm!: number;
  @IsNumber() @Min(1) @Max(5000) heightMm!: number;
  @IsNumber() @Min(0) @Max(200_000) massG!: number;
  /** Soft goods in a bag take the room left between boxes. */
  @IsBoolean() isSoft!: boolean;
  @IsOptional() @IsNumber() @Min(1) @Max(100) hangHoleMm?: number;
  /** The size it is called by: a zip's length, a button's diameter, a needle's number. */
  @IsOptional() @IsString() @MaxLength(40) size?: string;
  /** One single piece of what the packet holds. */
  @IsOptional() @IsNumber() @Min(0.001) @Max(10_000) unitG?: number;
  @IsOptional() @IsNumber() @Min(1) @Max(20_000) watts?: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => TapeSpec) tape?: TapeSpec;
}

export class Item {
  @Matches(ID_PATTERN) id!: ItemId;
  @IsIn(KINDS) kind!: Kind;
  @IsString() @MinLength(1) @MaxLength(120) name!: string;
  @IsArray() @ArrayMaxSize(8) @IsHexColor({ each: true }) colours!: string[];
  @IsString() @MaxLength(2000) notes!: string;
  /** As the sewist says. */
  @IsNumber() @Min(0) @Max(1000) usesPerMonth!: number;
  /** As the daybook shows, together with what was said; absent: nothing was learnt yet. */
  @IsOptional() @IsNumber() @Min(0) @Max(1000) learntPerMonth?: number;
  @Matches(ID_PATTERN) stationId!: StationId;
  @IsArray() @IsIn(CARE_FLAGS, { each: true }) care!: CareFlag[];
  /** The ways it may be kept, best first. */
  @IsArray() @ArrayMinSize(1) @ArrayUnique() @IsIn(STOW_FORMS, { each: true }) forms!: StowForm[];
  /** Where else it is used; fetching is counted from all its stations alike. */
  @IsOptional() @IsArray() @ArrayMaxSize(12) @Matches(ID_PATTERN, { each: true }) otherStationIds?: StationId[];
  /** The machine whose foot, bobbin or cover it is: it goes where that goes when it is lent or mended. */
  @IsOptional() @Matches(ID_PATTERN) belongsToId?: ItemId;
  @IsOptional() @IsArray() @ArrayMaxSize(12) @Matches(PHOTO_PATTERN, { each: true }) photos?: PhotoId[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(20)
  @IsString({ each: true })
  @MinLength(1, { each: true })
  @MaxLength(40, { each: true })
  tags?: string[];
  @IsOptional() @IsString() @MaxLength(120) source?: string;
  /** What was paid for all of it, in the user's own money. */
  @IsOptional() @IsNumber() @Min(0) @Max(1e7) cost?: number;
  /** How much that was, in the unit of its amount; absent: what there is of it now. */
  @IsOptional() @IsNumber() @Min(0) @Max(1e12) costFor?: number;
  /** Below this it is to be bought again: mm of what goes by length, mm² of scraps, else pieces. */
  @IsOptional() @IsNumber() @Min(0) @Max(1e12) restockBelow?: number;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => FabricSpec) fabric?: FabricSpec;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => PatternSpec) pattern?: PatternSpec;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => ThreadSpec) thread?: ThreadSpec;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => BoxSpec) box?: BoxSpec;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => ScrapSpec) scrap?: ScrapSpec;
}

/** How often it is used, as far as is known: learnt, or else said. */
export function getUses(item: Pick<Item, 'usesPerMonth' | 'learntPerMonth'>): number {
  return item.learntPerMonth ?? item.usesPerMonth;
}
