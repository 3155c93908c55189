export {
  COLOUR_FAMILIES,
  computeOkDistance,
  computeWheelKey,
  getColourFamily,
  getColour,
  getShade,
  UNDYED,
  type ColourFamily,
} from './families.ts';
export {
  computeDeltaE,
  findNearest,
  getLab,
  getMatch,
  toLabColour,
  type Candidate,
  type Lab,
  type Match,
  type Nearest,
  type Shift,
} from './difference.ts';
export { findInPhoto, toOklab, type PhotoFindings, type Pixels } from './photo.ts';
export { isShade, listColourWords, parseColourWord } from './words.ts';
