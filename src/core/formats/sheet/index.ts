export { createCutOuts, createPlanSheet, createWallSheet, type SheetResult } from './draw.ts';
export { createCutTiles } from './cuts.ts';
export { findPaper, INK, toSvg, type Mark, type Sheet } from './sheet.ts';
export { findLength, FONTS } from './text.ts';
export { parseSheet } from './parse.ts';
