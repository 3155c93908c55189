import type { Household, LotId, PlaceId, ProjectId } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { findByCode, parseCode, type CodeFault } from './code.ts';

/** The same code again within this time is the same reading: a scanner stammers, and a hand is slow to go on. */
export const STAMMER_MS = 2500;

/** What was read last, and when. */
export interface LastScan {
  readonly code: string;
  readonly atMs: number;
}

/** What a code that was read asks for, given what one has in the hand. */
export type Scanned =
  | { readonly kind: 'fault'; readonly fault: CodeFault['code'] | 'unknown' | 'other-household' }
  /** The same as just before: nothing is done. */
  | { readonly kind: 'twice' }
  /** It was used up, given away or thrown out. */
  | { readonly kind: 'gone'; readonly lotId: LotId }
  /** Into the hand: from its place, or from wherever it lay. */
  | { readonly kind: 'take'; readonly lotId: LotId; readonly isOut: boolean }
  | { readonly kind: 'in-hand'; readonly lotId: LotId }
  /** What is in the hand goes there. */
  | { readonly kind: 'put'; readonly placeId: PlaceId; readonly lotIds: readonly LotId[] }
  /** Nothing in the hand: what is in that place? */
  | { readonly kind: 'look'; readonly placeId: PlaceId }
  /** The card of a project: its page is opened. */
  | { readonly kind: 'project'; readonly projectId: ProjectId }
  /** The label of a place that holds bins now, or of a bin that stands nowhere. */
  | { readonly kind: 'not-a-home'; readonly placeId: PlaceId };

/** What of the hand is truly out: what was put back, lent or taken out of the catalogue elsewhere is not in it any more. */
export function listInHand(household: Household, hand: readonly LotId[]): LotId[] {
  return hand.filter((id) => household.lots.get(id)?.state === 'out');
}

/**
 * A thing goes into the hand; a place takes what is in the hand. `text` as the scanner sends it. The last scan is the
 * one to hand in next time; a fault leaves it as it was.
 */
export function readScan(
  household: Household,
  hand: readonly LotId[],
  last: LastScan | null,
  text: string,
  nowMs: number,
): { readonly scanned: Scanned; readonly last: LastScan | null } {
  const parsed = parseCode(text);
  if (!parsed.ok) return { scanned: { kind: 'fault', fault: parsed.fault.code }, last };
  const code = parsed.value;
  const next = { code, atMs: nowMs };
  if (last?.code === code && nowMs - last.atMs < STAMMER_MS) return { scanned: { kind: 'twice' }, last: next };
  const meant = findByCode(household, code);
  if (meant.kind === 'unknown' || meant.kind === 'other-household')
    return { scanned: { kind: 'fault', fault: meant.kind }, last: next };
  if (meant.kind === 'gone') return { scanned: { kind: 'gone', lotId: meant.id }, last: next };
  if (meant.kind === 'project') return { scanned: { kind: 'project', projectId: meant.id }, last: next };
  if (meant.kind === 'place') {
    const placeId = meant.id;
    if (!createPlaceTree(household.places).leaves.some((leaf) => leaf.id === placeId))
      return { scanned: { kind: 'not-a-home', placeId }, last: next };
    const there = listInHand(household, hand);
    return {
      scanned: there.length > 0 ? { kind: 'put', placeId, lotIds: there } : { kind: 'look', placeId },
      last: next,
    };
  }
  if (listInHand(household, hand).includes(meant.id))
    return { scanned: { kind: 'in-hand', lotId: meant.id }, last: next };
  const { state } = household.lots.get(meant.id)!;
  return { scanned: { kind: 'take', lotId: meant.id, isOut: state !== 'in' && state !== 'with' }, last: next };
}
