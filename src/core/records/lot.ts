import { IsIn, IsInt, IsNumber, IsOptional, Matches, Max, Min } from 'class-validator';
import { ID_PATTERN, type ItemId, type LotId, type PlaceId } from './ids.ts';
import { STOW_FORMS, type Item, type StowForm } from './item.ts';

/** `in` a place, `out` (in use, or not yet given a place), `lent`, or `gone` (used up, given away, sold). */
const LOT_STATES = ['in', 'out', 'lent', 'gone'] as const;
export type LotState = (typeof LOT_STATES)[number];

/** How an amount was found, when it was not simply typed. */
export const MEASURE_WAYS = ['board', 'folded', 'roll', 'weight'] as const;
export type MeasureWay = (typeof MEASURE_WAYS)[number];

/** A physical piece of an item: where it is, and where its home is. The two may differ. */
export class Lot {
  @Matches(ID_PATTERN) id!: LotId;
  @Matches(ID_PATTERN) itemId!: ItemId;
  /** Cloth only: what is left, in mm along the selvage. */
  @IsOptional() @IsNumber() @Min(0) @Max(1e7) lengthMm!: number | null;
  /** One standard deviation of the length, and how it was measured; absent when it was typed as known. */
  @IsOptional() @IsNumber() @Min(0) @Max(1e7) lengthSigmaMm?: number | null;
  @IsOptional() @IsIn(MEASURE_WAYS) measuredBy?: MeasureWay | null;
  /** Pieces: spools, envelopes, packets. One for a length of cloth. */
  @IsInt() @Min(0) @Max(1_000_000) count!: number;
  @IsIn(STOW_FORMS) form!: StowForm;
  @IsIn(LOT_STATES) state!: LotState;
  /** Where it is; set exactly when the state is `in`. */
  @IsOptional() @Matches(ID_PATTERN) placeId!: PlaceId | null;
  /** Its turn among the lots of that place, from 0. */
  @IsInt() @Min(0) @Max(1_000_000) order!: number;
  @IsOptional() @Matches(ID_PATTERN) homeId!: PlaceId | null;
  @IsInt() @Min(0) @Max(1_000_000) homeOrder!: number;
  @IsIn(STOW_FORMS) homeForm!: StowForm;
  /** UTC instant of the last change of state or amount, ms. */
  @IsNumber() sinceMs!: number;
}

/** A lot that lies out and has no home yet, in the first form that its item allows. `lengthMm` for cloth only. */
export function createLooseLot(id: LotId, item: Item, count: number, lengthMm: number | null, sinceMs: number): Lot {
  const form = item.forms[0];
  if (!form) throw new Error(`item ${item.id} allows no form`);
  return {
    id,
    itemId: item.id,
    lengthMm,
    lengthSigmaMm: null,
    measuredBy: null,
    count,
    form,
    state: 'out',
    placeId: null,
    order: 0,
    homeId: null,
    homeOrder: 0,
    homeForm: form,
    sinceMs,
  };
}
