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
  computeStandPoint,
  computeTraits,
  computeWayMm,
  type PlaceTraits,
  type Reach,
  type Space,
} from './space.ts';
export {
  applyUnitSpec,
  checkContainers,
  checkUnitOnWall,
  computeCeilingMm,
  computeSlots,
  findFreeX,
  type UnitFault,
} from './unit.ts';
