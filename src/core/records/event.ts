import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
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
import { type EventId, ID_PATTERN, IsInstant } from './ids.ts';

const EVENT_TYPES = [
  'received',
  'catalogued',
  'changed',
  'removed',
  'tookOut',
  'putBack',
  'moved',
  'cut',
  'measured',
  'usedUp',
  'planned',
  'adopted',
  'carried',
  'roomChanged',
  'settingsChanged',
  'undone',
  'imported',
  'merged',
  'reserved',
  'released',
  'washed',
  'wrapped',
  'lent',
  'returned',
  'gaveAway',
  'sold',
  'threwOut',
  'counted',
  'notFound',
  'notFitting',
  'relabelled',
  'learnt',
  'joined',
  'mended',
  'heaped',
  'listed',
  'projected',
  'gathered',
  'finished',
  'letGo',
  'inspected',
  'cared',
  'opened',
] as const;
export type EventType = (typeof EVENT_TYPES)[number];

/** The tables of records that have ids, in the order in which what they refer to comes first. */
export const RECORD_TABLES = ['places', 'items', 'lots', 'plans', 'projects'] as const;
export type RecordTable = (typeof RECORD_TABLES)[number];
/** The lists that a bundle of a version holds. */
export function listLists(version: number): readonly (RecordTable | 'events')[] {
  return [...RECORD_TABLES, 'events' as const].filter((table) => table !== 'projects' || version >= 12);
}
const TABLES = [...RECORD_TABLES, 'settings'] as const;
export type TableName = (typeof TABLES)[number];

/** What an amount counts: mm along, mm² or pieces. */
const AMOUNT_UNITS = ['length', 'area', 'count'] as const;
export type AmountUnit = (typeof AMOUNT_UNITS)[number];

/**
 * One record's part in an event. `before` and `after` hold the fields that differ, and neither a field that was or is
 * absent; without `before` there was no such record, without `after` there is none any more.
 */
export class Change {
  @IsIn(TABLES) table!: TableName;
  @Matches(ID_PATTERN) id!: string;
  @IsOptional() @IsObject() before?: Record<string, unknown>;
  @IsOptional() @IsObject() after?: Record<string, unknown>;
}

/** A line of the daybook. Append-only: the state is the fold of all changes in order. */
export class DaybookEvent {
  @Matches(ID_PATTERN) id!: EventId;
  /** From 0, without gaps. */
  @IsInt() @Min(0) seq!: number;
  @IsInstant() atMs!: number;
  @IsIn(EVENT_TYPES) type!: EventType;
  /** What it was about, named as it was called then. */
  @IsString() @MaxLength(200) subject!: string;
  /** What was cut off, measured or used up, in its unit: mm, mm² or pieces. */
  @IsOptional() @IsNumber() @Min(0) amount?: number;
  @IsOptional() @IsIn(AMOUNT_UNITS) amountUnit?: AmountUnit;
  /** What was cut, for what it was. */
  @IsOptional() @IsString() @MaxLength(120) forWhat?: string;
  /** The lines that it takes back, all at once. */
  @IsOptional()
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(100_000)
  @Matches(ID_PATTERN, { each: true })
  undoes?: EventId[];
  /** So many lines right before it came from another device with it. */
  @IsOptional() @IsInt() @Min(0) @Max(10_000_000) joins?: number;
  @IsArray() @ValidateNested({ each: true }) @Type(() => Change) changes!: Change[];
}
