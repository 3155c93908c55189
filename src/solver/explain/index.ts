export { explainPlace, explainUnplaced, type PlaceReason } from './reasons.ts';
