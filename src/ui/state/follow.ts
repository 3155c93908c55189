import { useApp } from './app.ts';
import type { Ticket } from './appState.ts';

/**
 * Shows what follows from an act when it is done, unless something else was turned to meanwhile: a form that was left by
 * Esc while it was kept does not come back and take the next key for a letter.
 */
export async function follow(act: Promise<boolean>, next: Ticket | null): Promise<boolean> {
  const { ticket } = useApp.getState();
  const isDone = await act;
  const { ticket: shown, show } = useApp.getState();
  if (isDone && shown === ticket) show(next);
  return isDone;
}
