import type { PegFamily, PegHook, PegSpec } from '../records/index.ts';

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
