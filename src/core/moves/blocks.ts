import type { Step } from './steps.ts';

/** A run of steps that can be done in one go and ends with nothing on the table. */
export interface Block {
  /** From the step `from` up to, not including, `to`. */
  readonly from: number;
  readonly to: number;
  readonly seconds: number;
}

/** After which steps nothing lies on the table, from a state in which `onTable` things lie there. */
function listClear(steps: readonly Step[], from: number, onTable: number): boolean[] {
  let count = onTable;
  return steps.slice(from).map((step) => {
    if (step.to === 'table') count += step.lotIds.length;
    if (step.from === 'table') count -= step.lotIds.length;
    return count <= 0;
  });
}

/**
 * As many steps as can be done in so many seconds and that leave the table clear; where no such end comes in time, the
 * first one that does, however long it takes. Null where nothing is left.
 */
export function cutBlock(steps: readonly Step[], from: number, seconds: number, onTable: number): Block | null {
  if (from >= steps.length) return null;
  const clear = listClear(steps, from, onTable);
  let spent = 0;
  let block: Block | null = null;
  for (const [i, isClear] of clear.entries()) {
    spent += steps[from + i]!.seconds;
    if (spent > seconds && block) break;
    if (isClear) block = { from, to: from + i + 1, seconds: spent };
    if (spent > seconds && block) break;
  }
  return block ?? { from, to: steps.length, seconds: spent };
}
