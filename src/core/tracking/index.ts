export { applyChanges, foldEvents, getUndoable, isSame, type FoldFault } from './fold.ts';
export {
  createCut,
  createMeasure,
  createMove,
  createPutBack,
  createRemoveItem,
  createSaveItem,
  createSaveSettings,
  createTakeOut,
  createUndo,
  stampEvent,
  type ActFault,
  type Draft,
  type Measured,
} from './acts.ts';
export {
  computeContents,
  computePresentPackage,
  computeStanding,
  groupLotsByPlace,
  type Content,
  type PlaceContents,
  type Standing,
} from './locate.ts';
