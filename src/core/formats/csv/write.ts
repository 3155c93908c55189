import type { Household, Kind, Lot } from '../../records/index.ts';
import { listColumns } from './columns.ts';
import { writeTable } from './text.ts';

/** All lots of a kind that are not gone, one a row, with a heading. What it says can be read in again. */
export function toCsv(household: Household, kind: Kind): string {
  const columns = listColumns(kind);
  const rows: string[][] = [columns.map((column) => column.headers[0]!)];
  const write = (lot: Lot) => {
    const item = household.items.get(lot.itemId);
    if (!item || item.kind !== kind || lot.state === 'gone') return;
    rows.push(columns.map((column) => String(column.write(item, lot) ?? '')));
  };
  for (const lot of household.lots.values()) write(lot);
  return writeTable(rows);
}
