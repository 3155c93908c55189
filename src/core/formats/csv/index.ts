export type { ListLanguage } from './column.ts';
export type { CellFault } from './cells.ts';
export {
  listTargets,
  readTable,
  recogniseColumns,
  type Mapping,
  type ReadTable,
  type Recognised,
  type RowFault,
} from './read.ts';
export { decodeText, MAX_ROWS, parseTable, writeTable, type TableFault, type TextTable } from './text.ts';
export { toCsv } from './write.ts';
