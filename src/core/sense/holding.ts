import type { Package } from '../measure/index.ts';
import type { PlaceTraits } from '../storage/index.ts';
import type { StowForm } from '../records/index.ts';

/** A piece up to this size wants to be held together with others, mm3: half a litre. */
export const SMALL_PIECE_MM3 = 0.5e6;
const SMALL_FORMS = new Set<StowForm>(['box', 'loose', 'spool']);

/** So thin and at least so large, a thing stands in a row like a book, mm. */
const SPINE_MM = 45;
const SPINE_SIDE_MM = 120;

export type Hold = 'small' | 'floppy' | 'spine' | 'none';

/** What a thing asks of its place as it is kept: small ones to be held together, floppy ones to be held in, spines to stand in a row. */
export function getHold({ form, isSoft, alongMm, acrossMm, heightMm }: Package): Hold {
  if (isSoft || form === 'bag' || form === 'loose') return 'floppy';
  if (form === 'envelope') return 'spine';
  const [thin, mid] = [alongMm, acrossMm, heightMm].toSorted((a, b) => a - b) as [number, number, number];
  if (form === 'box' && thin <= SPINE_MM && mid >= SPINE_SIDE_MM) return 'spine';
  return SMALL_FORMS.has(form) && alongMm * acrossMm * heightMm <= SMALL_PIECE_MM3 ? 'small' : 'none';
}

/** Whether a thing lies in a place unheld though it ought to be held; small ones also stand in a single row. */
export function isUnheld(hold: Hold, { holds, isRow }: Pick<PlaceTraits, 'holds' | 'isRow'>): boolean {
  if (hold === 'spine') return !isRow;
  return hold === 'small' ? holds === 'open' : hold === 'floppy' && holds !== 'held';
}
