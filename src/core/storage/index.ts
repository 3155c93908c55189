export {
  createPlaceTree,
  findWall,
  formatPlaceName,
  getAncestor,
  getRoomSpec,
  type PlaceTree,
  type TreeFault,
} from './tree.ts';
export {
  computeReach,
  computeSpace,
  getInnerSize,
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
  computeDoorPoint,
  computeFootprint,
  computeInsideMm,
  computeReachPoint,
  computeStationPoint,
  createWays,
  getAxes,
  getPointOf,
  getTurnDeg,
  getWallLine,
  getWallPoint,
  listCorners,
  listWalls,
  standUnit,
  type Footprint,
  type Spot,
  type WallLine,
  type Ways,
} from './room.ts';
export { computeAccessSeconds } from './access.ts';
export { checkContainers, countBefore, findNook, standBoxes, type ContainerFault, type StoodBox } from './stand.ts';
