import {
  decodeText,
  parseTable,
  readTable,
  recogniseColumns,
  type ListLanguage,
  type TextTable,
} from '../core/formats/csv/index.ts';
import { DEFAULT_SETTINGS, type Household } from '../core/records/index.ts';
import { serveLine } from './desk.ts';
import type { FromImporter, ImporterWord, ToImporter } from './protocol.ts';

const NOTHING: Household = {
  settings: DEFAULT_SETTINGS,
  items: new Map(),
  lots: new Map(),
  places: new Map(),
  plans: new Map(),
  projects: new Map(),
};

/** The table that was opened last; cells are corrected in it. */
let table: { rows: string[][]; delimiter: string } | null = null;

/** Languages that lists may be written in; each is loaded by those who speak it. */
const LANGUAGES: Readonly<Record<string, () => Promise<ListLanguage>>> = {
  de: async () => {
    const { GERMAN, GERMAN_HEADS } = await import('../core/german/index.ts');
    return { lines: GERMAN, heads: GERMAN_HEADS };
  },
};
let language: ListLanguage | undefined;

async function open(message: Extract<ToImporter, { type: 'open' }>): Promise<FromImporter> {
  const { kind, source } = message;
  language = await LANGUAGES[message.language]?.();
  const text = typeof source === 'string' ? ({ ok: true, value: source } as const) : decodeText(source);
  if (!text.ok) return { type: 'refused', fault: text.fault };
  const parsed = parseTable(text.value.replace(/^\ufeff/, ''));
  if (!parsed.ok) return { type: 'refused', fault: parsed.fault };
  table = { ...parsed.value, rows: parsed.value.rows.map((row) => [...row]) };
  return { type: 'opened', table: parsed.value, recognised: recogniseColumns(table, kind, language) };
}

function read(message: Extract<ToImporter, { type: 'read' }>, say: (word: ImporterWord) => void): FromImporter {
  const { edits, stations, household, ...options } = message;
  if (!table) throw new Error('no table is open');
  const { rows } = table;
  for (const { row, column, text } of edits) {
    const cells = rows[row];
    if (cells) cells[column] = text;
  }
  const result = readTable(table satisfies TextTable, household ?? NOTHING, {
    ...options,
    ...(language && { language }),
    stationOf: (kind) => stations[kind],
    createId: () => crypto.randomUUID(),
    onProgress: (done) => {
      say({ rows: done, of: rows.length });
      return true;
    },
  });
  return { type: 'read', result };
}

serveLine<ToImporter, FromImporter, never, ImporterWord>((ask, say) =>
  ask.type === 'open' ? open(ask) : read(ask, say),
);
