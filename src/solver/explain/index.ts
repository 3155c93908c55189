export { computeHomes, findLot, type HomeOffer } from './homes.ts';
export { explainPlace, explainUnplaced, type PlaceReason } from './reasons.ts';
export { computeVerdicts, type Verdict } from './verdicts.ts';
