export { findType, TYPE_FIGURES, type TypeFigures } from './figures.ts';
export { parseLine, type LinePart, type Meaning, type ReadLine } from './line.ts';
export { completeSketch, ENVELOPES, getUsualForms, type Birth, type Sketch } from './sketch.ts';
export { createTwinFinder, type Likeness, type Twin, type TwinFinder } from './twins.ts';
export { CLOTH_WORDS } from './words.ts';
