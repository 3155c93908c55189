export { computeHomes, findLot, type HomeOffer } from './homes.ts';
export { explainPlace, explainUnplaced, type PlaceReason } from './reasons.ts';
export { computeGroupVerdicts, computeVerdicts, type GroupVerdict, type Verdict } from './verdicts.ts';
