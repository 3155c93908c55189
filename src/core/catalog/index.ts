export { completeWord, createWordBook, type WordBook } from './complete.ts';
export { findType, findTypeTask, TYPE_FIGURES, type TypeFigures } from './figures.ts';
export { forget, NO_HABITS, recall, remember, type Habits, type Recalled } from './habits.ts';
export { listMeanings, parseLine, type Doubt, type ReadLine } from './line.ts';
export type { LinePart, Meaning } from './lineWords.ts';
export { completeSketch, ENVELOPES, getUsualForms, type Birth, type Sketch } from './sketch.ts';
export { createTwinFinder, createTwinFinderInSlices, type Likeness, type Twin, type TwinFinder } from './twins.ts';
export { rankThreadUse } from './threadUse.ts';
