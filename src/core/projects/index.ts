export {
  type ClothAt,
  type ClothNeeded,
  type CutFigures,
  type NeedFault,
  type NeedFound,
  computeClothNeed,
  computeTableLength,
  getCutFigures,
} from './need.ts';
export {
  type NeedStanding,
  type NeedState,
  type ProjectFacts,
  type ProjectStanding,
  type Rival,
  computeStanding,
  createProjectFacts,
  getStepMinutes,
} from './standing.ts';
export { isOdd, isSameWord, listPieces, toBlocks, toClothLength, toLotSheet, toSheet } from './layout.ts';
export { addFlaw, formatFlaw, parseFlawLine, parseFlaws } from './flawLines.ts';
export { listMakeable, type Makeable } from './makeable.ts';
export { estimateSeam } from './threads.ts';
export { computeProjectCost } from './costs.ts';
export { listShapes } from './shapes.ts';
export { formatPieceLine, parsePieceLine, type PieceFault } from './pieceLines.ts';
export { type Against, type Suggested, suggestCloths } from './suggest.ts';
export { formatMakes, parseMakes, parseNeedLine, parseStepLine } from './lines.ts';
export {
  type Batch,
  type Pace,
  type Sitting,
  computeStepLeft,
  learnPace,
  listBatches,
  listSittings,
} from './minutes.ts';
export { listPatches, type Patches } from './patchwork.ts';
export { listUnmatchedInSlices, listWanted, type Wanted } from './shopping.ts';
export {
  type Binding,
  type QuiltBack,
  computeBiasLength,
  computeBiasSquare,
  computeBinding,
  computePipingStrip,
  computeQuiltBacks,
} from './sums.ts';
export { computeCutShare, standGoals, type GoalStanding, type LineStanding } from './goals.ts';
export { formatGoalLine, parseGoalLine } from './goalLines.ts';
