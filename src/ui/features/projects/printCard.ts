import { createLabelled } from '../../../core/labels/index.ts';
import type { Project } from '../../../core/records/index.ts';
import { world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';

/** Prints a project's page with its code: it gets one with the first card. */
export async function printCard({ id, name }: Project): Promise<void> {
  const { FRESH_MARK } = await import('../labels/labelFacts.ts');
  const labelled = {
    of: { kind: 'project' as const, id },
    says: [{ about: 'name' as const, value: name }],
    swatches: [],
  };
  const isDone = await act((now) => createLabelled(now, FRESH_MARK, [labelled], name, world.nowMs()));
  // The code is drawn first.
  if (isDone) requestAnimationFrame(() => requestAnimationFrame(() => window.print()));
}
