export { type Around, computeAround } from './around.ts';
export {
  type PlaceState,
  type Strained,
  computeFill,
  computePlaceState,
  getPlaceState,
  listStrained,
  SLACK_G,
} from './fullness.ts';
export {
  type Content,
  type PlaceContents,
  type Standing,
  computeContents,
  computePresentPackage,
  computeStanding,
  groupLotsByPlace,
} from './locate.ts';
export { type Round, findRound } from './round.ts';
export { type Whereabouts, computeWhereabouts } from './where.ts';
export {
  type TidyRound,
  type TidyStop,
  computeGatherRound,
  computeTidyRound,
  computeTidyRoundInSlices,
} from './tidy.ts';
