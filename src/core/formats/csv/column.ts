import type { Item, Kind, Lot } from '../../records/index.ts';
import type { LineLanguage } from '../../spelling/index.ts';
import type { UnitSystem } from '../../units/index.ts';
import type { Read } from './cells.ts';

/** How lists are headed and read that are written in another language. */
export interface ListLanguage {
  /** Headings by the column, apart by commas. */
  readonly heads: Readonly<Record<string, string>>;
  readonly lines: LineLanguage;
}

/** A column that the app knows: how it may be headed, how a cell is read, and how it is written. */
export interface Column {
  readonly id: string;
  /** The first is written; all are recognised, in lower case and without signs. */
  readonly headers: readonly string[];
  readonly kinds: readonly Kind[];
  /** Reads a cell that is not empty. `units`: what a number alone means. */
  readonly read: (text: string, units: UnitSystem) => Read;
  /** Kept as it is written, in any language: a name, a shop. What stands in other columns is read by its words. */
  readonly isOwn?: boolean;
  /** Another column writes what this one reads. */
  readonly isOnlyRead?: boolean;
  /** Null or undefined where the thing says nothing about it. */
  readonly write: (item: Item, lot: Lot) => string | number | boolean | null | undefined;
}
