import { decodeText, parseTable, readTable, recogniseColumns, type TextTable } from '../core/formats/csv/index.ts';
import { DEFAULT_SETTINGS, type Household } from '../core/records/index.ts';
import type { FromImporter, ToImporter } from './protocol.ts';

const scope = self as unknown as {
  onmessage: ((message: MessageEvent<ToImporter>) => void) | null;
  postMessage: (message: FromImporter) => void;
};

const NOTHING: Household = {
  settings: DEFAULT_SETTINGS,
  items: new Map(),
  lots: new Map(),
  places: new Map(),
  plans: new Map(),
};

/** The table that was opened last; cells are corrected in it. */
let table: { rows: string[][]; delimiter: string } | null = null;

function open(message: Extract<ToImporter, { type: 'open' }>): FromImporter {
  const { run, kind, source } = message;
  const text = typeof source === 'string' ? ({ ok: true, value: source } as const) : decodeText(source);
  if (!text.ok) return { type: 'refused', run, fault: text.fault };
  const parsed = parseTable(text.value.replace(/^\ufeff/, ''));
  if (!parsed.ok) return { type: 'refused', run, fault: parsed.fault };
  table = { ...parsed.value, rows: parsed.value.rows.map((row) => [...row]) };
  return { type: 'opened', run, table: parsed.value, recognised: recogniseColumns(table, kind) };
}

function read(message: Extract<ToImporter, { type: 'read' }>): FromImporter | null {
  const { run, edits, stations, household, ...options } = message;
  if (!table) return null;
  for (const { row, column, text } of edits) {
    const cells = table.rows[row];
    if (cells) cells[column] = text;
  }
  const result = readTable(table satisfies TextTable, household ?? NOTHING, {
    ...options,
    stationOf: (kind) => stations[kind],
    createId: () => crypto.randomUUID(),
    onProgress: (rows) => {
      scope.postMessage({ type: 'progress', run, rows, of: table?.rows.length ?? 0 });
      return true;
    },
  });
  return { type: 'read', run, result };
}

scope.onmessage = ({ data }) => {
  try {
    const answer = data.type === 'open' ? open(data) : read(data);
    if (answer) scope.postMessage(answer);
  } catch (error) {
    scope.postMessage({ type: 'failed', run: data.run, note: String(error) });
  }
};
