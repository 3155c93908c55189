import type { PegFamily, PegHook, PegSpec, SlotSpec } from '../records/index.ts';

/** Hooks as they are found for each family of fields; usual measures, all can be changed. */
export interface HookKind {
  readonly id: string;
  readonly family: PegFamily;
  readonly wireMm: number;
  readonly projectionMm: number;
  readonly loadG: number;
}

export const HOOK_KINDS: readonly HookKind[] = [
  { id: 'round-short', family: 'round', wireMm: 4, projectionMm: 50, loadG: 1000 },
  { id: 'round-long', family: 'round', wireMm: 4, projectionMm: 150, loadG: 1500 },
  { id: 'round-strong', family: 'round', wireMm: 6, projectionMm: 100, loadG: 3000 },
  { id: 'slotted-short', family: 'slotted', wireMm: 3, projectionMm: 40, loadG: 1000 },
  { id: 'slotted-long', family: 'slotted', wireMm: 4, projectionMm: 120, loadG: 1500 },
  { id: 'slotted-strong', family: 'slotted', wireMm: 5, projectionMm: 80, loadG: 3000 },
  { id: 'free-short', family: 'free', wireMm: 4, projectionMm: 40, loadG: 2000 },
  { id: 'free-long', family: 'free', wireMm: 6, projectionMm: 120, loadG: 3000 },
];

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

function createHook(kind: HookKind, column: number, row: number): PegHook {
  const { family, wireMm, projectionMm, loadG } = kind;
  return { family, column, row, wireMm, projectionMm, loadG };
}

/** A field with a hook put in a hole, or taken out of it where there is one. */
export function toggleHook(peg: PegSpec, kind: HookKind, column: number, row: number): PegSpec {
  const hooks = peg.hooks ?? [];
  const rest = hooks.filter((hook) => hook.column !== column || hook.row !== row);
  return { ...peg, hooks: rest.length < hooks.length ? rest : [...hooks, createHook(kind, column, row)] };
}
