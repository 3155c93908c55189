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
import { Corner, Flaw } from './corner.ts';
import { ID_PATTERN, IsInstant, type ItemId, type LotId, type PlaceId, type ProjectId } from './ids.ts';
import { Label } from './label.ts';
import { Chore, DAY_PATTERN, Leaving } from './upkeep.ts';
import { STOW_FORMS, type Item, type StowForm } from './item.ts';

/**
 * `in` a place, `out` (in use, or not yet given a place), `lent`, or `gone` (used up, given away, sold).
 * `with`: wrapped with another lot, and wherever that is. `digital`: a file, which takes no room.
 */
const LOT_STATES = ['in', 'out', 'lent', 'gone', 'with', 'digital'] as const;
export type LotState = (typeof LOT_STATES)[number];

const AWAYS = ['table', 'aside', 'missing', 'waiting'] as const;
export type Away = (typeof AWAYS)[number];

/** How an amount was found, when it was not simply typed. */
const MEASURE_WAYS = ['board', 'folded', 'roll', 'weight', 'reel', 'count'] as const;
export type MeasureWay = (typeof MEASURE_WAYS)[number];

/** A machine needle is blunt after about so many hours of sewing. */
export const NEEDLE_HOURS = 8;

/** What thread is wound on. */
export const HOLDERS = ['small', 'large', 'cone', 'bobbin'] as const;
export type Holder = (typeof HOLDERS)[number];

/** Part of a lot that is promised: so much of it, and for what: a need of a project, or something in words. */
export class Reservation {
  @Matches(ID_PATTERN) id!: string;
  /** Absent exactly where it is promised to a project. */
  @IsOptional() @IsString() @MinLength(1) @MaxLength(120) forWhat?: string;
  @IsOptional() @Matches(ID_PATTERN) projectId?: ProjectId;
  /** Which of the project's needs it meets. */
  @IsOptional() @Matches(ID_PATTERN) needId?: string;
  @IsString() @MaxLength(500) note!: string;
  /** In the unit of the lot's amount: mm, mm² or pieces. */
  @IsNumber() @Min(0) @Max(1e12) amount!: number;
}

/** What a heap was measured by: its pieces, the height of its pile, the length of its row, its weight, the room it takes. */
const HEAP_WAYS = ['pieces', 'pile', 'row', 'mass', 'room'] as const;
export type HeapWay = (typeof HEAP_WAYS)[number];

/** Many pieces of one group that nobody has listed yet. Its lot says how many there are, and how much in all, as far as is known. */
export class Heap {
  @IsIn(HEAP_WAYS) by!: HeapWay;
  /** As it was measured: pieces, mm, mm, g or mm³. */
  @IsNumber() @Min(0) @Max(1e12) measured!: number;
  /** One standard deviation of the number of its pieces. */
  @IsNumber() @Min(0) @Max(1e6) countSigma!: number;
}

/** A physical piece of an item: where it is, and where its home is. The two may differ. */
export class Lot {
  @Matches(ID_PATTERN) id!: LotId;
  @Matches(ID_PATTERN) itemId!: ItemId;
  /** Cloth along the selvage, tape on its reel, thread on all its spools: what is left, in mm. */
  @IsOptional() @IsNumber() @Min(0) @Max(1e9) lengthMm?: number;
  /** A remnant that is not as wide as its cloth: what is left of its width, mm. */
  @IsOptional() @IsNumber() @Min(10) @Max(6000) widthMm?: number;
  /** Where nothing can be cut of it. */
  @IsOptional() @IsArray() @ArrayMaxSize(30) @ValidateNested({ each: true }) @Type(() => Flaw) flaws?: Flaw[];
  /** A remnant of an odd shape; absent for one that is as long all across. */
  @IsOptional() @IsArray() @ArrayMaxSize(60) @ValidateNested({ each: true }) @Type(() => Corner) outline?: Corner[];
  /** Thread: the machine is threaded with it. */
  @IsOptional() @IsBoolean() isThreaded?: boolean;
  /** Odd scraps: what is left of them, in mm². */
  @IsOptional() @IsNumber() @Min(0) @Max(1e12) areaMm2?: number;
  /** Single pieces in all its packets: buttons, needles. */
  @IsOptional() @IsInt() @Min(0) @Max(10_000_000) units?: number;
  /** One standard deviation of the amount, in its unit, and how it was measured; absent when it was typed as known. */
  @IsOptional() @IsNumber() @Min(0) @Max(1e12) amountSigma?: number;
  @IsOptional() @IsIn(MEASURE_WAYS) measuredBy?: MeasureWay;
  /** Pieces: spools, envelopes, packets. One for a length of cloth, several for a heap of them. */
  @IsInt() @Min(0) @Max(1_000_000) count!: number;
  /** Where its pieces are not listed one by one. */
  @IsOptional() @IsObject() @ValidateNested() @Type(() => Heap) heap?: Heap;
  /** Thread that is wound on something else than its item says. */
  @IsOptional() @IsIn(HOLDERS) holder?: Holder;
  @IsIn(STOW_FORMS) form!: StowForm;
  @IsIn(LOT_STATES) state!: LotState;
  /** Where it is; set exactly when the state is `in`. */
  @IsOptional() @Matches(ID_PATTERN) placeId?: PlaceId;
  /** Its turn among the lots of that place, from 0. */
  @IsInt() @Min(0) @Max(1_000_000) order!: number;
  @IsOptional() @Matches(ID_PATTERN) homeId?: PlaceId;
  @IsInt() @Min(0) @Max(1_000_000) homeOrder!: number;
  @IsIn(STOW_FORMS) homeForm!: StowForm;
  /**
   * Where it is while it is `out` and not simply in use: on the table where things wait to be carried on, out of the way
   * in another room, missing, for it was not where it should be, or waiting: a plan gave it its first home, and it was
   * never carried there.
   */
  @IsOptional() @IsIn(AWAYS) away?: Away;
  /** To whom it is lent. */
  @IsOptional() @IsString() @MaxLength(80) lentTo?: string;
  /** Lent: it is to come back by that calendar day, and it is away to be mended. */
  @IsOptional() @Matches(DAY_PATTERN) dueBackOn?: string;
  @IsOptional() @IsBoolean() isInRepair?: boolean;
  /** The lot that it is wrapped with; set exactly when the state is `with`. */
  @IsOptional() @Matches(ID_PATTERN) withLotId?: LotId;
  /** Whether it was washed, so that it will not shrink any more; absent where that does not matter. */
  @IsOptional() @IsBoolean() isWashed?: boolean;
  /** Calendar day, as the sewist's own calendar has it. */
  @IsOptional() @Matches(DAY_PATTERN) expiresOn?: string;
  /** Calendar day on which its packet was opened: from then on it ages. */
  @IsOptional() @Matches(DAY_PATTERN) openedOn?: string;
  /** Sewing hours that the needle in use has behind it. */
  @IsOptional() @IsNumber() @Min(0) @Max(1000) usedHours?: number;
  /** What is to be done about it again and again. */
  @IsOptional() @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => Chore) chores?: Chore[];
  /** UTC instant at which it was last gone through, and stays; ms. */
  @IsOptional() @IsInstant() lookedAtMs?: number;
  /** It is to go to somebody. */
  @IsOptional() @IsObject() @ValidateNested() @Type(() => Leaving) leaving?: Leaving;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(20)
  @ValidateNested({ each: true })
  @Type(() => Reservation)
  reserved?: Reservation[];
  /** On a ticket that hangs on it, or a sticker. */
  @IsOptional() @IsObject() @ValidateNested() @Type(() => Label) label?: Label;
  /** UTC instant of the last change of state or amount, ms. */
  @IsInstant() sinceMs!: number;
}

/** Whether a lot has no home as things are: none at all, or one that it was never carried to. */
export function isHomeless(lot: Pick<Lot, 'homeId' | 'away'>): boolean {
  return lot.homeId === undefined || lot.away === 'waiting';
}

/** Whether the lot takes room somewhere by itself: neither gone, nor a file, nor wrapped with another. */
export function takesRoom(lot: Lot): boolean {
  return lot.state === 'in' || lot.state === 'out' || lot.state === 'lent';
}

/** A lot that lies out and has no home yet, in the first form that its item allows. `lengthMm` for what goes by length. */
export function createLooseLot(
  id: LotId,
  item: Item,
  count: number,
  lengthMm: number | undefined,
  sinceMs: number,
): Lot {
  const form = item.forms[0];
  if (!form) throw new Error(`item ${item.id} allows no form`);
  return {
    id,
    itemId: item.id,
    ...(lengthMm !== undefined && { lengthMm }),
    count,
    form,
    state: item.pattern?.format === 'digital' ? 'digital' : 'out',
    order: 0,
    homeOrder: 0,
    homeForm: form,
    sinceMs,
  };
}

/** As much again of the same, lying out: nothing of it is promised, lent, missing, wrapped or has a home yet. */
export function createLotAlike(id: LotId, lot: Lot, sinceMs: number): Lot {
  const { placeId: _p, homeId: _h, withLotId: _w, away: _a, lentTo: _t, label: _l, reserved: _r, ...alike } = lot;
  return { ...alike, id, state: lot.state === 'digital' ? 'digital' : 'out', order: 0, homeOrder: 0, sinceMs };
}
