export { type Act, type ActFault, createLotDraft, createReleaseWrapped, getLot } from './act.ts';
export { createBecome } from './becomeActs.ts';
export { type CountNews, type Counted, compareCount, createCountPlace, listToCount } from './countActs.ts';
export {
  type Saved,
  createChangeLots,
  createChangeMany,
  createImport,
  createMerge,
  createRemoveItem,
  createRemoveLots,
  createSaveItem,
} from './itemActs.ts';
export {
  WAYS_OUT,
  type LendTerms,
  type WayOut,
  createCount,
  createGone,
  createLend,
  createPutBackAll,
  createReturn,
  createThreaded,
  createUse,
} from './livingActs.ts';
export { type Measured, createCut, createMeasure, createMove, createPutBack, createTakeOut } from './lotActs.ts';
export { createDoesNotFit, createNotFound, createStep } from './moveActs.ts';
export {
  type Disturbance,
  type RoomLoss,
  createLeaveBins,
  createMoveTogether,
  createRemoveRoom,
  createSavePlaces,
  findDisturbance,
  findRoomLoss,
} from './placeActs.ts';
export {
  MOST_KEPT,
  type PlanStanding,
  computePlanStanding,
  createAdopt,
  createCarryAll,
  createDropPlan,
  createKeepPlan,
  listDifferences,
  listKept,
} from './planActs.ts';
export {
  type ProjectEnd,
  type PromiseWish,
  createBag,
  createEndProject,
  createGather,
  createGot,
  createInstead,
  createPromise,
  createRemoveProject,
  createSaveProject,
  createSaveProjects,
} from './projectActs.ts';
export { createCutUp, type CutUp, type Leavings } from './cutUpActs.ts';
export { createFinish, type Finish, type LeftOver } from './finishActs.ts';
export { toScrapItem, HANDFUL_MM2 } from './scraps.ts';
export { createRelease, createReserve, createWash, createWrap } from './promiseActs.ts';
export {
  type PutVerdict,
  createBelongIn,
  createLieIn,
  createPutInto,
  createTurn,
  judgePut,
  lieBehind,
} from './putActs.ts';
export { createSaveSettings } from './settingsActs.ts';
export { createPick, createSetBounds, createGrow, createSort, createSplit } from './sortActs.ts';
export {
  createCared,
  createElsewhere,
  createHours,
  createLeave,
  createNewNeedle,
  createOpened,
  createSaveChores,
  createStay,
  createUseSoon,
} from './upkeepActs.ts';
export { createDropWare, createSaveWare } from './wareActs.ts';
export { createBond, createLiftWish, createRule, createWish, findBond, findWish } from './wishActs.ts';
export { getOrderBehind } from './behind.ts';
