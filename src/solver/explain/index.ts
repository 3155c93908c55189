export { explainBin, type BinReason } from './bins.ts';
export { explainNowhere, type Nowhere } from './cures.ts';
export { explainGroup, type GroupReason } from './groupReasons.ts';
export { computeHomes, findLot, type HomeOffer } from './homes.ts';
export { explainPlace, type PlaceReason } from './placeReasons.ts';
export { explainLot, explainUnplaced, type LotReason } from './reasons.ts';
export { computeGroupVerdicts, computeVerdicts, type GroupVerdict, type Verdict } from './verdicts.ts';
export { explainByGroup, type ByGroup, type Oddity, type WayOut } from './byGroup.ts';
export { computeEstimateParts, scoreWith } from './weights.ts';
