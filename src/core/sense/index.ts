export { findSense, type Laid, type SenseFindings } from './counts.ts';
export { getHold, SMALL_PIECE_MM3, type Hold } from './holding.ts';
export { getCompanySeconds, getKinship, KINSHIPS, type Kinship } from './kinship.ts';
export { listNamed } from './naming.ts';
export { asksFor, createNature, isMachine, type Nature } from './nature.ts';
export { computeHolding, computeWear, isInTheWay } from './wear.ts';
export { computeWorth, OPENED_SHARE } from './worth.ts';
