import { completeSketch, parseLine, type Sketch } from '../../catalog/index.ts';
import {
  createLooseLot,
  KINDS,
  type Household,
  type Item,
  type ItemId,
  type Kind,
  type Lot,
  type LotId,
  type RecordFault,
  type StationId,
} from '../../records/index.ts';
import { fail } from '../../result/index.ts';
import { spellOut } from '../../spelling/index.ts';
import type { UnitSystem } from '../../units/index.ts';
import { readAmount, type CellFault } from './cells.ts';
import { COLUMNS, findColumn, guessColumn, listColumns } from './columns.ts';
import type { Column, ListLanguage } from './column.ts';
import { unneutralise, type TextTable } from './text.ts';

/** Which column of the app each column of a table is; null for one that is left out. */
export type Mapping = readonly (string | null)[];

/** How a table is headed, and what its columns are taken for at first. */
export interface Recognised {
  readonly hasHeader: boolean;
  readonly mapping: Mapping;
}

const BY_ID = new Map(COLUMNS.map((column) => [column.id, column]));

/** Takes the first row for headings where at least half of its cells head something that is known. */
export function recogniseColumns(table: TextTable, kind: Kind, language?: ListLanguage): Recognised {
  const [first = []] = table.rows;
  // A column that says the kind makes room for the columns of all kinds.
  const isMixed = first.some((cell) => findColumn(cell, [kind], language)?.id === 'kind');
  const kinds = isMixed ? [kind, ...KINDS] : [kind];
  const width = Math.max(...table.rows.slice(0, 50).map((row) => row.length));
  const taken = new Set<string>();
  const mapping = Array.from({ length: width }, (_, i): string | null => {
    const header = first[i] ?? '';
    const column = findColumn(header, kinds, language) ?? (isMixed ? null : guessColumn(header, kind, language));
    if (!column || taken.has(column.id)) return null;
    taken.add(column.id);
    return column.id;
  });
  const named = first.filter((cell) => cell !== '').length;
  const hasHeader = taken.size > 0 && taken.size >= Math.min(2, named) && taken.size >= named / 3;
  if (hasHeader) return { hasHeader, mapping };
  // Without headings the first column is the name, and the rest is for the user to say.
  return { hasHeader: false, mapping: mapping.map((_, i) => (i === 0 ? 'name' : null)) };
}

/** A cell that was not taken; `column` counts the table's own columns, -1 for the row as a whole. */
export interface RowFault extends CellFault {
  readonly row: number;
  readonly column: number;
}

export interface ReadOptions {
  readonly kind: Kind;
  readonly units: UnitSystem;
  readonly hasHeader: boolean;
  readonly mapping: Mapping;
  readonly nowMs: number;
  readonly stationOf: (kind: Kind) => StationId;
  readonly createId: () => string;
  /** The language that it may be written in, beside English. */
  readonly language?: ListLanguage;
  /** Told from time to time how many rows are done; false stops the reading. */
  readonly onProgress?: (rows: number) => boolean;
}

/** What a table would bring. Faults or things: a table is taken in whole or not at all. */
export interface ReadTable {
  readonly things: readonly { readonly item: Item; readonly lots: readonly Lot[] }[];
  readonly faults: readonly RowFault[];
  readonly rows: number;
  readonly newItems: number;
  readonly changedItems: number;
  readonly newLots: number;
  readonly isStopped: boolean;
}

/** A column's cells say the same again and again: what one was read as is kept, up to so many. */
const MOST_KEPT = 4000;

function remember(
  column: Column,
  { units, language }: Pick<ReadOptions, 'units' | 'language'>,
): (text: string) => ReturnType<Column['read']> {
  const spelling = column.isOwn ? undefined : language?.lines.line;
  const known = new Map<string, ReturnType<Column['read']>>();
  return (text) => {
    const hit = known.get(text);
    if (hit) return hit;
    const said = column.read(spellOut(text, spelling), units);
    // It is told by what stands there.
    const read = said.ok || !spelling ? said : fail({ ...said.fault, text });
    if (known.size < MOST_KEPT) known.set(text, read);
    return read;
  };
}

const PROGRESS_EVERY = 500;
/** After so many faults there is nothing to be learnt from more. */
const MOST_FAULTS = 1000;

/** Where a fault of a record shows: the cell whose column says that field, else the whole row. */
function findFaultColumn(fault: RecordFault, mapping: Mapping): number {
  const field = fault.path.split('.').at(-1) ?? '';
  const id =
    { widthMm: 'width', lengthMm: 'length', grammageGsm: 'grammage', massG: 'mass', thicknessMm: 'thickness' }[field] ??
    field;
  const at = mapping.indexOf(id);
  return at >= 0 ? at : mapping.indexOf('name');
}

/** Reads rows one after the other: what they would bring, and what of them does not read. */
class RowReader {
  readonly items = new Map<ItemId, { item: Item; lots: Lot[] }>();
  readonly faults: RowFault[] = [];
  newLots = 0;
  /** Ids of the file for things that are not here: rows with the same one are lots of the same item. */
  private readonly foreign = new Map<string, ItemId>();
  private readonly columns: readonly (((text: string) => ReturnType<Column['read']>) | null)[];

  constructor(
    private readonly household: Household,
    private readonly options: ReadOptions,
  ) {
    this.columns = options.mapping.map((id) => {
      const column = id === null ? undefined : BY_ID.get(id);
      return column ? remember(column, options) : null;
    });
  }

  /** Takes in a row, or says what is wrong with it. */
  take(cells: readonly string[], r: number): void {
    const { household, faults } = this;
    const before = faults.length;
    const said = this.readCells(cells, r);
    const itemRef = this.getCell(cells, 'item');
    const known = household.lots.get(this.getCell(cells, 'lot') as LotId);
    const mine = known !== undefined && known.state !== 'gone' ? known : undefined;
    const itemId =
      mine?.itemId ??
      this.foreign.get(itemRef) ??
      (household.items.has(itemRef as ItemId) ? (itemRef as ItemId) : null);
    const baseItem = itemId === null ? undefined : (this.items.get(itemId)?.item ?? household.items.get(itemId));
    // A change of kind would leave half a thing behind.
    const kind = baseItem?.kind ?? said.kind ?? this.options.kind;
    const sketch: Sketch = {
      ...(baseItem ? {} : this.readName(said, kind)),
      ...said,
      ...this.readAmount(cells, r, kind),
      kind,
    };
    this.findMissing(sketch, baseItem !== undefined, mine !== undefined, { row: r, before });
    if (faults.length > before) return;
    const birth = this.createBirth(sketch.kind!);
    const lot = mine ?? (baseItem && createLooseLot(birth.lotId, baseItem, 1, undefined, birth.nowMs));
    const made = completeSketch(sketch, birth, baseItem && lot ? { item: baseItem, lot } : null);
    if (!made.ok) {
      for (const one of made.fault) {
        const column = findFaultColumn(one, this.options.mapping);
        faults.push({ code: 'record', text: '', record: one, row: r, column });
      }
      return;
    }
    if (itemId === null && itemRef !== '') this.foreign.set(itemRef, made.value.item.id);
    if (!mine) this.newLots += 1;
    this.keep(made.value.item, made.value.lot);
  }

  /** What a new thing's name says of it that no column does: as the quick line would read it. */
  private readName({ name }: Partial<Sketch>, kind: Kind): Partial<Sketch> {
    if (name === undefined) return {};
    const { sketch } = parseLine(name, {
      kind,
      units: this.options.units,
      isKindSaid: true,
      spelling: this.options.language?.lines.line,
    });
    const { cloth, fibre, weave, print, colours, type, garment, use } = sketch;
    const told = { cloth, fibre, weave, print, colours, type, garment, use };
    // The columns are called as the fields are.
    const isTold = ([id, value]: [string, unknown]) => value !== undefined && !this.options.mapping.includes(id);
    return Object.fromEntries(Object.entries(told).filter(isTold));
  }

  private readAmount(cells: readonly string[], row: number, kind: Kind): Partial<Sketch> {
    const text = this.getCell(cells, 'amount').trim();
    if (text === '') return {};
    const read = readAmount(spellOut(text, this.options.language?.lines.line), kind, this.options.units);
    if (read.ok) return read.value;
    this.faults.push({ ...read.fault, text, row, column: this.options.mapping.indexOf('amount') });
    return {};
  }

  private getCell(cells: readonly string[], id: string): string {
    const at = this.options.mapping.indexOf(id);
    return at < 0 ? '' : (cells[at] ?? '');
  }

  private readCells(cells: readonly string[], row: number): Partial<Sketch> {
    const said: { -readonly [K in keyof Sketch]?: Sketch[K] } = {};
    for (const [column, readCell] of this.columns.entries()) {
      const text = unneutralise(cells[column] ?? '');
      if (!readCell || text === '') continue;
      const read = readCell(text);
      if (!read.ok) this.faults.push({ ...read.fault, row, column });
      else if (read.value.boxMm) {
        const [w, d, h] = read.value.boxMm;
        const [w0, d0, h0] = said.boxMm ?? [];
        said.boxMm = [w ?? w0, d ?? d0, h ?? h0];
      } else if (read.value.spoolMm) {
        const [d, h] = read.value.spoolMm;
        said.spoolMm = [d ?? said.spoolMm?.[0], h ?? said.spoolMm?.[1]];
      } else Object.assign(said, read.value);
    }
    return said;
  }

  /** A thing has a name, and a new cloth its length. */
  private findMissing(
    sketch: Sketch,
    hasItem: boolean,
    isKnown: boolean,
    { row, before }: { row: number; before: number },
  ): void {
    const { faults } = this;
    const { mapping } = this.options;
    const miss = (note: string) => faults.push({ code: 'missing', text: '', note, row, column: mapping.indexOf(note) });
    const nameAt = mapping.indexOf('name');
    const isNameless = !hasItem && sketch.name === undefined;
    if (isNameless && !faults.slice(before).some((one) => one.column === nameAt)) miss('name');
    const isUnmeasured = sketch.kind === 'fabric' && !isKnown && sketch.lengthMm === undefined;
    if (isUnmeasured && faults.length === before) miss('length');
  }

  private createBirth(kind: Kind) {
    const { createId, nowMs, stationOf } = this.options;
    return {
      itemId: createId() as ItemId,
      lotId: createId() as LotId,
      nowMs,
      stationId: stationOf(kind),
      settings: this.household.settings,
    };
  }

  private keep(item: Item, lot: Lot): void {
    const kept = this.items.get(item.id);
    if (!kept) {
      this.items.set(item.id, { item, lots: [lot] });
      return;
    }
    kept.item = item;
    // A table that names a lot twice says the later thing of it.
    kept.lots = [...kept.lots.filter((one) => one.id !== lot.id), lot];
  }
}

/** Reads every row with the columns it was mapped to. `household` is what is there already, for rows that name an id. */
export function readTable(table: TextTable, household: Household, options: ReadOptions): ReadTable {
  const reader = new RowReader(household, options);
  const { faults } = reader;
  const start = options.hasHeader ? 1 : 0;
  let rows = 0;
  for (let r = start; r < table.rows.length; r += 1) {
    if (rows % PROGRESS_EVERY === 0 && options.onProgress?.(rows) === false)
      return { things: [], faults, rows, newItems: 0, changedItems: 0, newLots: 0, isStopped: true };
    if (faults.length >= MOST_FAULTS) break;
    rows += 1;
    reader.take(table.rows[r]!, r);
  }
  const all = [...reader.items.values()];
  const changedItems = all.filter(({ item }) => household.items.has(item.id)).length;
  return {
    things: faults.length > 0 ? [] : all,
    faults,
    rows,
    newItems: all.length - changedItems,
    changedItems,
    newLots: reader.newLots,
    isStopped: false,
  };
}

/** The columns that a table can be mapped to, for a kind. */
export function listTargets(kind: Kind): string[] {
  return listColumns(kind).map(({ id }) => id);
}
