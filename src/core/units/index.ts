export {
  parseArea,
  parseLengthMm,
  parseMassG,
  parseGrammage,
  parseCount,
  type AmountFault,
  type UnitSystem,
} from './parse.ts';
export {
  formatArea,
  formatClothLength,
  formatSize,
  formatSizes,
  formatMass,
  formatVolume,
  formatWay,
  roundByDoubt,
  formatMinutes,
} from './format.ts';
export { toDay, toMonth } from './calendar.ts';
