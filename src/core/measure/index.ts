export { listAccessories } from './accessories.ts';
export { CLOTHS, getCloth, type ClothFigures } from './cloths.ts';
export {
  computeBoardLength,
  computeBoardThickness,
  computeBoardWraps,
  computeClothMass,
  computeFoldedLength,
  computeFoldLayers,
  computeLengthByMass,
  computeRollDiameter,
  computeRollLength,
  computeWrapLayers,
  type BoardSpec,
  type Estimate,
  type WrapSpec,
} from './amount.ts';
export { computeUnitPrice, computeWorth, withCostFor } from './price.ts';
export { computeStock, computeThreadOn, convertMark, type Stock } from './stock.ts';
export {
  countPieces,
  getAmount,
  getAmountUnit,
  getCounted,
  getCountedUnit,
  getReserved,
  withAmount,
  withCounted,
  withMeasured,
} from './amountOf.ts';
export { computeCountByMass } from './pieces.ts';
export {
  applyCalibration,
  withKnownAmount,
  computeCalibration,
  computeExpectedReading,
  computePieceArea,
  computeReading,
  getGauge,
  getMeasureWays,
  type Gauge,
  type Reading,
} from './reading.ts';
export { convertThread, findHolder, getHolder, HOLDER_FIGURES, THREAD_NUMBERS, type ThreadNumber } from './thread.ts';
export { getWholeLot, listWrapped } from './wrapped.ts';
export { hasBoards } from './boards.ts';
export { computePackage, computePackages, isPiled, type Package } from './package.ts';
