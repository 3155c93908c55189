import type { PegFamily, PegSpec, SlotSpec } from '../records/index.ts';

export function getPegFamily(peg: PegSpec): PegFamily {
  return peg.family ?? 'round';
}

/** What goes through a hole or slot, mm; hooks that need no hole have any wire. */
export function getHoleMm(peg: PegSpec): number {
  return peg.holeMm ?? { round: 6.4, slotted: 5, free: Infinity }[getPegFamily(peg)];
}

/** Holes of a field, across and down. */
export function getHoleCount(slot: SlotSpec, peg: PegSpec): { columns: number; rows: number } {
  return { columns: Math.floor(slot.widthMm / peg.pitchMm), rows: Math.floor(slot.heightMm / peg.pitchMm) };
}

export interface HookFault {
  readonly code: 'other-family' | 'thick-wire' | 'no-hole' | 'same-hole';
  /** The hook it is about, among those of the field. */
  readonly index: number;
  readonly neededMm: number;
  readonly availableMm: number;
}

/** The first hook that does not hold in its field: of another family, too thick for the hole, or in no hole of its own. */
export function checkHooks(slot: SlotSpec): HookFault | null {
  const { peg } = slot;
  if (!peg?.hooks) return null;
  const { columns, rows } = getHoleCount(slot, peg);
  const holeMm = getHoleMm(peg);
  const taken = new Set<string>();
  for (const [index, { family, wireMm, column, row }] of peg.hooks.entries()) {
    const no = (code: HookFault['code'], neededMm = 0, availableMm = 0) => ({ code, index, neededMm, availableMm });
    if (family !== getPegFamily(peg)) return no('other-family');
    if (wireMm > holeMm) return no('thick-wire', wireMm, holeMm);
    if (column >= columns || row >= rows) return no('no-hole');
    if (taken.has(`${column} ${row}`)) return no('same-hole');
    taken.add(`${column} ${row}`);
  }
  return null;
}
