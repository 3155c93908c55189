// Every record's class comes after this: their decorators keep what they know in it.
import 'reflect-metadata/lite';
import { IsNumber, Max, Min } from 'class-validator';

/** A record's name within the household. Branded, so that a lot's cannot stand where a place's is meant. */
export type Id<Of extends string> = string & { readonly idOf: Of };

export type ItemId = Id<'item'>;
export type LotId = Id<'lot'>;
export type PlaceId = Id<'place'>;
export type PlanId = Id<'plan'>;
export type ProjectId = Id<'project'>;
export type EventId = Id<'event'>;
export type StationId = Id<'station'>;
export type PhotoId = Id<'photo'>;

/** What the core needs from the world outside; tests and the sample pass their own. */
export interface World {
  readonly nowMs: () => number;
  readonly createId: () => string;
}

/** Names that every object of the language has already are not given away. */
export const ID_PATTERN =
  /^(?!__|(?:constructor|prototype|hasOwnProperty|isPrototypeOf|propertyIsEnumerable|toString|toLocaleString|valueOf)$)[A-Za-z0-9_-]{1,40}$/;

/** A photo is named by what is in it: the first half of its SHA-256, in hex. */
export const PHOTO_PATTERN = /^[0-9a-f]{32}$/;

/** A label's code: nine letters and figures that are not mistaken for each other; core/labels says what they are made of. */
export const CODE_PATTERN = /^[2-9BCDFGHJ-NP-TV-Z]{9}$/;

/** The year 2200: what is later was never meant. */
const LATEST_MS = 7_258_118_400_000;

/** A UTC instant in ms, such as a calendar can show. */
export function IsInstant(): PropertyDecorator {
  return (target, property) => {
    for (const rule of [IsNumber(), Min(0), Max(LATEST_MS)]) rule(target, property);
  };
}
