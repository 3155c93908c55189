import Papa from 'papaparse';
import { fail, ok, type Result } from '../../result/index.ts';

/** Why a text is no table that can be taken in. */
export interface TableFault {
  readonly code: 'empty' | 'too-many-rows' | 'too-large' | 'not-text';
  readonly limit: number;
}

/** A table as it was written: rows of cells, all of them text, with the sign that parts them. */
export interface TextTable {
  readonly rows: readonly (readonly string[])[];
  readonly delimiter: string;
}

/** More rows than this are no sewing room; reading stops there. */
export const MAX_ROWS = 50_000;
/** Bytes, and characters: a table of that many rows is far smaller. */
const MAX_SIZE = 64_000_000;
const MAX_CELL = 4000;
/** Space and all signs before it, and the space that does not break. */
const isBlank = (code: number) => code <= 32 || code === 160;

/**
 * Text of a file, whatever it was written with: by its byte order mark, else UTF-8, else the usual one-byte
 * code of western desktops. Null bytes mean that it is no text at all.
 */
export function decodeText(bytes: Uint8Array): Result<string, TableFault> {
  if (bytes.length > MAX_SIZE) return fail({ code: 'too-large', limit: MAX_SIZE });
  const [a, b] = bytes;
  if (a === 0xff && b === 0xfe) return ok(new TextDecoder('utf-16le').decode(bytes));
  if (a === 0xfe && b === 0xff) return ok(new TextDecoder('utf-16be').decode(bytes));
  // Two-byte text without a mark has every other byte empty.
  const probe = bytes.subarray(0, 400);
  const zeros = [0, 0];
  for (const [i, byte] of probe.entries()) if (byte === 0) zeros[i % 2]! += 1;
  if (zeros[1]! > probe.length / 4 && zeros[0] === 0) return ok(new TextDecoder('utf-16le').decode(bytes));
  if (zeros[0]! + zeros[1]! > 0) return fail({ code: 'not-text', limit: 0 });
  try {
    return ok(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return ok(new TextDecoder('windows-1252').decode(bytes));
  }
}

/** Reads comma, semicolon, tab or bar separated text, with quotes where they are needed. Empty rows are left out. */
export function parseTable(text: string): Result<TextTable, TableFault> {
  if (text.length > MAX_SIZE) return fail({ code: 'too-large', limit: MAX_SIZE });
  const read = Papa.parse<string[]>(text, {
    skipEmptyLines: 'greedy',
    // One more than is allowed, to know that there are too many without reading them all.
    preview: MAX_ROWS + 2,
    delimitersToGuess: [',', ';', '\t', '|'],
  });
  const rows = read.data;
  if (rows.length === 0) return fail({ code: 'empty', limit: 0 });
  if (rows.length > MAX_ROWS + 1) return fail({ code: 'too-many-rows', limit: MAX_ROWS });
  for (const row of rows)
    for (let i = 0; i < row.length; i += 1) {
      const cell = row[i]!;
      const isPadded = isBlank(cell.charCodeAt(0)) || isBlank(cell.charCodeAt(cell.length - 1));
      if (isPadded || cell.length > MAX_CELL) row[i] = cell.slice(0, MAX_CELL).trim();
    }
  return ok({ rows, delimiter: read.meta.delimiter });
}

/** A cell that a spreadsheet would compute begins with one of these. */
const FORMULA = /^[=+\-@\t\r]/;
/** Written so by `neutralise`, or by any program that does the same. */
const NEUTRALISED = /^'(?=[=+\-@\t\r])/;

/** Text that no spreadsheet takes for a formula. Plain numbers below zero stay numbers. */
function neutralise(cell: string): string {
  return FORMULA.test(cell) && !/^-\d+([.,]\d+)?$/.test(cell) ? `'${cell}` : cell;
}

/** Takes the mark off again. */
export function unneutralise(cell: string): string {
  return cell.startsWith("'") ? cell.replace(NEUTRALISED, '') : cell;
}

/** Writes rows as comma separated text with CRLF, formulas neutralised, and a mark so that spreadsheets read UTF-8. */
export function writeTable(rows: readonly (readonly string[])[]): string {
  return `\ufeff${Papa.unparse(
    rows.map((row) => row.map(neutralise)),
    { newline: '\r\n' },
  )}\r\n`;
}
