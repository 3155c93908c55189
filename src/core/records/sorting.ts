import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsNumber,
  IsObject,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateNested,
} from 'class-validator';
import { ID_PATTERN, type LotId } from './ids.ts';
import type { Kind } from './item.ts';

/** What things of a kind are told apart by. */
const SCHOOLS = [
  'fibre',
  'weave',
  'weight',
  'colour',
  'print',
  'lengthClass',
  'behaviour',
  'source',
  'tag',
  'numberRun',
  'garment',
  'era',
  'made',
  'format',
  'use',
  'holder',
  'type',
  'station',
  'often',
  'cut',
  'parent',
] as const;
export type School = (typeof SCHOOLS)[number];

/** The schools offered for each kind; the first is the default. */
export const SCHOOLS_OF_KIND: Record<Kind, readonly School[]> = {
  fabric: ['fibre', 'weave', 'weight', 'colour', 'print', 'lengthClass', 'behaviour', 'source', 'tag'],
  pattern: ['numberRun', 'format', 'garment', 'era', 'made', 'source', 'tag'],
  thread: ['use', 'weight', 'colour', 'fibre', 'holder', 'tag'],
  notion: ['type', 'station', 'often', 'colour', 'tag'],
  tool: ['station', 'type', 'often', 'tag'],
  scrap: ['colour', 'fibre', 'weight', 'behaviour', 'cut', 'parent', 'tag'],
  kit: ['type', 'station', 'tag'],
  other: ['type', 'station', 'often', 'tag'],
};

/** How the lots of a group stand beside each other. */
const ORDERS = ['wheel', 'length', 'number', 'size', 'weight', 'often', 'name'] as const;
export type Order = (typeof ORDERS)[number];

export const ORDERS_OF_KIND: Record<Kind, readonly Order[]> = {
  fabric: ['wheel', 'length', 'weight', 'often', 'name'],
  pattern: ['number', 'size', 'often', 'name'],
  thread: ['wheel', 'weight', 'often', 'name'],
  notion: ['name', 'wheel', 'size', 'often'],
  tool: ['name', 'size', 'often'],
  scrap: ['wheel', 'size', 'name'],
  kit: ['name', 'often'],
  other: ['name', 'size', 'often'],
};

const MOST_LEVELS = 3;

/** How a kind is sorted: told apart by the first school, inside it by the next, then put in order. */
export class Sorting {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_LEVELS)
  @ArrayUnique()
  @IsIn(SCHOOLS, { each: true })
  levels!: School[];
  @IsIn(ORDERS) order!: Order;
  /** The user's own words that the school `tag` asks for, such as seasons; a thing belongs to the first that it has. */
  @IsArray()
  @ArrayMaxSize(20)
  @IsString({ each: true })
  @MinLength(1, { each: true })
  @MaxLength(40, { each: true })
  tags!: string[];
}

/** How each kind of thing is sorted. A school that a kind does not know tells nothing apart. */
export class SortingChoice implements Record<Kind, Sorting> {
  @IsObject() @ValidateNested() @Type(() => Sorting) fabric!: Sorting;
  @IsObject() @ValidateNested() @Type(() => Sorting) pattern!: Sorting;
  @IsObject() @ValidateNested() @Type(() => Sorting) thread!: Sorting;
  @IsObject() @ValidateNested() @Type(() => Sorting) notion!: Sorting;
  @IsObject() @ValidateNested() @Type(() => Sorting) tool!: Sorting;
  @IsObject() @ValidateNested() @Type(() => Sorting) scrap!: Sorting;
  @IsObject() @ValidateNested() @Type(() => Sorting) kit!: Sorting;
  @IsObject() @ValidateNested() @Type(() => Sorting) other!: Sorting;
}

/** Every kind by its first school and order. */
export function createSorting(): SortingChoice {
  const of = (kind: Kind): Sorting => ({
    levels: [SCHOOLS_OF_KIND[kind][0]!],
    order: ORDERS_OF_KIND[kind][0]!,
    tags: [],
  });
  return {
    fabric: of('fabric'),
    pattern: of('pattern'),
    thread: of('thread'),
    notion: of('notion'),
    tool: of('tool'),
    scrap: of('scrap'),
    kit: of('kit'),
    other: of('other'),
  };
}

/**
 * Where the classes of a measure meet: a value at a boundary belongs to the upper class. Kept in ascending order by
 * who changes them; read as if they were.
 */
export class Bounds {
  /** Of cloth, mm. */
  @IsArray()
  @ArrayMaxSize(12)
  @IsNumber({}, { each: true })
  @Min(1, { each: true })
  @Max(1e6, { each: true })
  lengthMm!: number[];
  /** Of cloth, g/m². */
  @IsArray()
  @ArrayMaxSize(12)
  @IsNumber({}, { each: true })
  @Min(1, { each: true })
  @Max(5000, { each: true })
  grammageGsm!: number[];
  /** Of thread. */
  @IsArray()
  @ArrayMaxSize(12)
  @IsNumber({}, { each: true })
  @Min(1, { each: true })
  @Max(2000, { each: true })
  tex!: number[];
  @IsArray()
  @ArrayMaxSize(12)
  @IsNumber({}, { each: true })
  @Min(0.001, { each: true })
  @Max(1000, { each: true })
  usesPerMonth!: number[];
  /** First numbers of the runs that patterns are kept in; where there are none, by hundreds. */
  @IsArray()
  @ArrayMaxSize(60)
  @IsNumber({}, { each: true })
  @Min(1, { each: true })
  @Max(9_999_999, { each: true })
  numbers!: number[];
  /** The longer side of an envelope; from the boundary on it is a large one. */
  @IsArray()
  @ArrayMaxSize(1)
  @IsNumber({}, { each: true })
  @Min(10, { each: true })
  @Max(2000, { each: true })
  envelopeMm!: number[];
}
export type Measure = keyof Bounds;

/** Remnants below one yard, garment lengths from five; cloth and thread as they are sold. */
export const DEFAULT_BOUNDS: Bounds = {
  lengthMm: [914.4, 4572],
  grammageGsm: [120, 250],
  tex: [30, 60],
  usesPerMonth: [0.2, 1, 4],
  numbers: [],
  envelopeMm: [240],
};

/** What a large group is cut by. */
const SPLITS = ['wheel', 'length', 'number'] as const;
export type SplitBy = (typeof SPLITS)[number];

/** A group kept in parts: its lots from one boundary to the next, by colour round the wheel, mm or number. */
export class Split {
  @IsString() @MinLength(1) @MaxLength(400) groupId!: string;
  @IsIn(SPLITS) by!: SplitBy;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(40) @IsNumber({}, { each: true }) at!: number[];
}

/** A lot that belongs to a group because the sewist says so. It sleeps while there is no such group. */
export class HandPick {
  @Matches(ID_PATTERN) lotId!: LotId;
  @IsString() @MinLength(1) @MaxLength(400) groupId!: string;
}

/**
 * How two groups get on in one place: parts of one group, near kin, of one kind, used together at a station, strangers, or
 * such as spoil each other.
 */
export const KINSHIPS = ['part', 'near', 'kind', 'station', 'stranger', 'clash'] as const;
export type Kinship = (typeof KINSHIPS)[number];

/** What the sewist says of two groups, whatever they are by the rules. It sleeps while one of them is not there. */
export class Bond {
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(2)
  @ArrayUnique()
  @IsString({ each: true })
  @MinLength(1, { each: true })
  @MaxLength(400, { each: true })
  groupIds!: string[];
  @IsIn(KINSHIPS) kinship!: Kinship;
}

/** By what share of itself a group grows in a year. It sleeps while the group is not there. */
export class Growth {
  @IsString() @MinLength(1) @MaxLength(400) groupId!: string;
  @IsNumber() @Min(0) @Max(2) perYear!: number;
  /** Whether the sewist says so; the daybook does not say otherwise then. */
  @IsBoolean() isSaid!: boolean;
}
