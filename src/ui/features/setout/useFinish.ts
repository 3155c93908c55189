import { useNavigate } from 'react-router';
import type { SetoutStage } from '../../../core/records/index.ts';
import { useHousehold } from '../../state/app.ts';
import { act } from '../../state/hands.ts';

/** Says that a stage of setting out is done and leads on to the next; null where one does not set out. */
export function useFinish(stage: SetoutStage, to: string, words: string): (() => Promise<void>) | null {
  const { setout } = useHousehold().settings;
  const navigate = useNavigate();
  if (!setout) return null;
  return async () => {
    const { createTickStage } = await import('../../../core/setout/index.ts');
    if (!setout.done.includes(stage)) await act((now) => createTickStage(now, stage, true), words);
    await navigate(to);
    // On a phone the button was at the foot of the page, and the next one begins at its head.
    window.scrollTo(0, 0);
  };
}
