export {
  compareSiblings,
  createPlaceTree,
  findWall,
  findWallId,
  formatPlaceName,
  getAncestor,
  getRoomSpec,
  type PlaceTree,
  type TreeFault,
} from './tree.ts';
export {
  CHILD_REACH_MM,
  computeReach,
  computeBoxSpace,
  isWorkTop,
  computeSpace,
  getInnerSize,
  computeFetchMm,
  getFetchSpot,
  listStationSpots,
  computeStandPoint,
  computeTraits,
  computeWayMm,
  type PlaceTraits,
  type Reach,
  type Space,
} from './space.ts';
export { checkUnitOnWall, computeCeilingMm, computeSlots, findFreeX, isWholeUnit, type UnitFault } from './unit.ts';
export {
  computeCeilingAt,
  computeInsideMm,
  getExtent,
  getWallLine,
  getWallPoint,
  listWalls,
  type WallLine,
} from './room.ts';
export {
  computeFootprint,
  computeReachPoint,
  computeStationPoint,
  getAxes,
  getPointOf,
  getTurnDeg,
  listCorners,
  standUnit,
  type Footprint,
} from './footprint.ts';
export { computeAccessSeconds } from './access.ts';
export {
  getBerth,
  listBinsToCarry,
  listHomes,
  toLooseBox,
  withBerths,
  withBins,
  standIn,
  type ToStand,
} from './berths.ts';
export { standAsPlanned, withoutBerth } from './planned.ts';
export { computeDoorPoint, createWays, type StandPoint, type Ways } from './ways.ts';
export {
  checkContainers,
  countBefore,
  findNook,
  standBoxes,
  standTogether,
  type ContainerFault,
  type StoodBox,
} from './stand.ts';
export { checkHooks, type HookFault, getHoleMm, getPegFamily, getHoleCount } from './pegs.ts';
export { HOOK_KINDS, toggleHook } from './hooks.ts';
export { computeBands, type Band, type BandsFor, type BandReach } from './bands.ts';
export { getBoxSize, getSlotSize, nestBoxes, type BoxSize, type Nesting, proposeSizes } from './nest.ts';
export { fromOwnPart, toOwnPart } from './ownParts.ts';
export { type Board, divideSlot, applyUnitSpec, joinSlots, listBoards, moveBoard } from './boards.ts';
export { BIN_SIZES, listPartSizes, PARTS, USUAL_BIN, type BinSize, type Part } from './parts.ts';
