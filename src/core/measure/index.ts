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
export { computeCalibration, computeReading, type Reading } from './reading.ts';
export { computePackage, computePackages, type Package } from './package.ts';
