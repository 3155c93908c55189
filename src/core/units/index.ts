export {
  parseAmountIn,
  parseArea,
  parseMoney,
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
  formatFixed,
  formatShort,
  setDecimalMark,
} from './format.ts';
export { readShort, writeShort } from './short.ts';
export { toDay, toMonth } from './calendar.ts';
export { parseDay } from './parseDay.ts';
