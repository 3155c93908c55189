export { CLOTHS, getCloth, type ClothFigures } from './cloths.ts';
export {
  computeBoardLength,
  computeBoardThickness,
  computeBoardWraps,
  computeClothMass,
  computeFoldLayers,
  computeLengthByMass,
  computeRollDiameter,
  computeRollLength,
  computeWrapLayers,
  type BoardSpec,
  type Estimate,
  type WrapSpec,
} from './amount.ts';
export { computePackage, computePackages, type Package } from './package.ts';
