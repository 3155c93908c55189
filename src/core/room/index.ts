export { checkRoom, type RoomFault } from './outline.ts';
export { computeFindings, type Finding, type FindingCode } from './findings.ts';
export type { Piece } from './bodies.ts';
