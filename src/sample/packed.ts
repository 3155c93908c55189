import type { Item, Lot } from '../core/records/index.ts';
import { SAMPLE_NOW_MS } from './chronicle.ts';

/** Records column by column: what each field is in all of them, null where a record has none. It takes half the room of rows. */
export type Columns = readonly (readonly [field: string, values: readonly unknown[]])[];

const DAY_MS = 86_400_000;

function toColumns(rows: readonly object[]): Columns {
  const fields = [...new Set(rows.flatMap((row) => Object.keys(row)))];
  return fields.map((field) => [field, rows.map((row) => (row as Record<string, unknown>)[field] ?? null)]);
}

function toRows(columns: Columns): Record<string, unknown>[] {
  const rows = (columns[0]?.[1] ?? []).map((): Record<string, unknown> => ({}));
  for (const [field, values] of columns)
    for (const [i, value] of values.entries()) if (value !== null) rows[i]![field] = value;
  return rows;
}

/** Lots without what nearly all of them say twice: a home like the place, a day of the last change. */
export function packLots(lots: readonly Lot[]): Columns {
  return toColumns(
    lots.map(({ homeForm, homeOrder, homeId, sinceMs, ...lot }) => ({
      ...lot,
      ...(homeForm !== lot.form && { homeForm }),
      ...(homeOrder !== lot.order && { homeOrder }),
      ...(homeId !== lot.placeId && { homeId }),
      days: (SAMPLE_NOW_MS - sinceMs) / DAY_MS,
    })),
  );
}

export function unpackLots(columns: Columns): Lot[] {
  return toRows(columns).map(({ days, ...row }) => ({
    homeForm: row['form'],
    homeOrder: row['order'],
    ...(row['placeId'] !== undefined && { homeId: row['placeId'] }),
    ...row,
    sinceMs: SAMPLE_NOW_MS - Number(days) * DAY_MS,
  })) as unknown as Lot[];
}

export const packItems = (items: readonly Item[]): Columns => toColumns(items);
export const unpackItems = (columns: Columns): Item[] => toRows(columns) as unknown as Item[];
