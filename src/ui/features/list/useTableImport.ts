import { useEffect, useRef, useState } from 'react';
import type { Mapping, ReadTable, RowFault, TextTable } from '../../../core/formats/csv/index.ts';
import { KINDS, type Household, type Kind, type StationId } from '../../../core/records/index.ts';
import { startImporter, type ImporterHandle, type ImporterNews } from '../../../workers/client.ts';
import { getLanguage } from '../../language/index.ts';
import { world } from '../../state/app.ts';
import { getUsualStations } from '../../state/usualStations.ts';
import { wordLineFault } from '../../text/lineFaults.ts';
import { wordTableFault } from '../../text/tables.ts';

/** A table being brought in: what was opened, how its columns are taken, and what reading it found. */
export interface TableImport {
  readonly table: TextTable | null;
  readonly hasHeader: boolean;
  readonly mapping: Mapping;
  readonly kind: Kind;
  readonly result: ReadTable | null;
  /** Rows read so far, while it is read. */
  readonly progress: { readonly rows: number; readonly of: number } | null;
  readonly trouble: string | null;
}

const NOTHING: TableImport = {
  table: null,
  hasHeader: false,
  mapping: [],
  kind: 'fabric',
  result: null,
  progress: null,
  trouble: null,
};

export interface TableImporter {
  readonly state: TableImport;
  readonly open: (source: string | Uint8Array, kind: Kind) => void;
  /** Takes columns, headings or kind otherwise, and reads the table anew. */
  readonly settle: (change: Partial<Pick<TableImport, 'hasHeader' | 'mapping' | 'kind'>>) => void;
  readonly correct: (fault: RowFault, text: string) => void;
  readonly leave: () => void;
  /** The household against which the table was read last. */
  readonly getFrom: () => Household;
}

/** Reads a table in a worker that lives as long as the screen. */
export function useTableImport(household: Household): TableImporter {
  const [state, setState] = useState(NOTHING);
  const worker = useRef<ImporterHandle | null>(null);
  const from = useRef(household);
  useEffect(() => () => worker.current?.drop(), []);

  const read = (next: TableImport, edits: { row: number; column: number; text: string }[] = []) => {
    const { kind, hasHeader, mapping } = next;
    from.current = household;
    const stationOf = getUsualStations(household);
    const stations = Object.fromEntries(KINDS.map((one) => [one, stationOf(one)])) as Record<Kind, StationId>;
    const isAboutKnown = mapping.includes('lot') || mapping.includes('item');
    worker.current?.send({
      type: 'read',
      kind,
      units: household.settings.units,
      hasHeader,
      mapping,
      nowMs: world.nowMs(),
      stations,
      household: isAboutKnown ? household : null,
      edits,
    });
  };
  const listen = (message: ImporterNews, kind: Kind) => {
    switch (message.type) {
      case 'opened': {
        const next = { ...NOTHING, ...message.recognised, table: message.table, kind, progress: { rows: 0, of: 1 } };
        setState(next);
        read(next);
        break;
      }
      case 'refused':
        setState({ ...NOTHING, trouble: wordTableFault(message.fault) });
        break;
      case 'progress':
        setState((now) => ({ ...now, progress: { rows: message.rows, of: message.of } }));
        break;
      case 'read':
        setState((now) => ({ ...now, result: message.result, progress: null }));
        break;
      case 'failed':
        setState((now) => ({ ...now, progress: null, trouble: wordLineFault(message.fault) }));
    }
  };

  return {
    state,
    open(source, kind) {
      worker.current?.drop();
      worker.current = startImporter((message) => listen(message, kind));
      setState({ ...NOTHING, kind, progress: { rows: 0, of: 1 } });
      worker.current.send({ type: 'open', source, kind, language: getLanguage() });
    },
    settle(change) {
      const next = { ...state, ...change, progress: { rows: 0, of: state.table?.rows.length ?? 1 } };
      setState(next);
      read(next);
    },
    correct({ row, column }, text) {
      const { table } = state;
      if (!table) return;
      const rows = table.rows.map((cells, r) => {
        if (r !== row) return cells;
        const full = Array.from({ length: Math.max(cells.length, column + 1) }, (_, c) => cells[c] ?? '');
        full[column] = text;
        return full;
      });
      const next = { ...state, table: { ...table, rows } };
      setState(next);
      read(next, [{ row, column, text }]);
    },
    getFrom: () => from.current,
    leave() {
      worker.current?.drop();
      worker.current = null;
      setState(NOTHING);
    },
  };
}
