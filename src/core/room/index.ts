export { createBareRoom } from './bare.ts';
export { checkRoom, type RoomFault } from './outline.ts';
export { computeFindings, computeFindingsInSlices, type Finding, type FindingCode } from './findings.ts';
export type { Piece } from './bodies.ts';
export { isInside } from './polygon.ts';
export { moveUnit, normaliseTurn, settleUnit, slideUnit, turnUnit } from './settle.ts';
export { computeTriangle, type Triangle } from './triangle.ts';
export { fromPositions, listMoved, toPositions } from './positions.ts';
export { listFetches, listPieces } from './pieces.ts';
export { Arranger, computeWorth, type ArrangeOptions, type Fetch, type Worth } from './arrange.ts';
export { fromWallSteps, getHeadingDeg, toWallSteps, type WallStep } from './steps.ts';
export {
  computeLoads,
  computeOwnMassG,
  findLoadFaults,
  findOverloads,
  isTippy,
  type LoadFinding,
  type PlaceLoad,
  type UnitLoad,
} from './load.ts';
export {
  computeCircuits,
  findPowerFaults,
  listAppliances,
  type Appliance,
  type CircuitLoad,
  type PowerFinding,
} from './power.ts';
export { adviseHeight, computeSpread, findTask, type HeightAdvice, type Spread } from './comfort.ts';
export { getCost, listSpots, withGot, type Got, withNewIds } from './wares.ts';
export {
  findNearestWall,
  placeDoor,
  placeWindow,
  ROOM_SHAPES,
  shapeRoom,
  type RoomShape,
  type ShapeMeasures,
} from './shapes.ts';
export { tieStations } from './ties.ts';
export { furnish, furnishing, type Furnished, type ToStand } from './furnish.ts';
export { createWallPhoto, scaleByPoints } from './wallPhoto.ts';
export { computeSunHours } from './sun.ts';
