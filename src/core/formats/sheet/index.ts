export { createCutOuts, createPlanSheet, createWallSheet, type SheetResult } from './draw.ts';
export { findPaper, toSvg, type Mark, type Sheet } from './sheet.ts';
export { parseSheet } from './parse.ts';
