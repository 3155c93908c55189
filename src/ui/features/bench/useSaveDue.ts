import { useApp, world } from '../../state/app.ts';
import { useChoices } from '../../state/choices.ts';
import { computeUnsaved } from '../../state/unsaved.ts';

/** Whether it is time to save a file, and one may be told. */
export function useSaveDue(): boolean {
  const events = useApp((state) => state.events);
  const generation = useApp((state) => state.generation);
  const saved = useChoices((state) => state.saved);
  const quietUntilMs = useChoices((state) => state.quietUntilMs);
  const nowMs = world.nowMs();
  return nowMs >= quietUntilMs && computeUnsaved({ generation, events }, saved, nowMs).isDue;
}
