import { useNavigate, useSearchParams } from 'react-router';
import type { SetoutStage } from '../../../core/records/index.ts';
import { useHousehold } from '../../state/app.ts';
import { act } from '../../state/hands.ts';

/** What one is at on the plan beside looking at it; it stays where it is over a reload and the back key. */
type PlanMode = 'measure' | 'shape' | 'furnish';
const MODES: readonly string[] = ['measure', 'shape', 'furnish'] satisfies PlanMode[];
const STAGE: Readonly<Partial<Record<PlanMode, readonly [SetoutStage, next: string, words: string]>>> = {
  shape: ['room', '/room/plan?do=furnish', 'The room is there. What stands in it?'],
  furnish: ['furniture', '/heaps', 'The furniture is there. What is to go into it?'],
};

export function usePlanMode() {
  const [params, setParams] = useSearchParams();
  const navigate = useNavigate();
  const { setout } = useHousehold().settings;
  const asked = params.get('do');
  const mode = asked !== null && MODES.includes(asked) ? (asked as PlanMode) : null;
  const turnTo = (next: PlanMode | null) => setParams(next ? { do: next } : {});
  /** A stage of setting out leads on to the next; without it one is back at the plan. */
  const finish = async () => {
    const stage = mode && STAGE[mode];
    if (!setout || !stage) return turnTo(null);
    const { createTickStage } = await import('../../../core/setout/index.ts');
    if (!setout.done.includes(stage[0])) await act((now) => createTickStage(now, stage[0], true), stage[2]);
    await navigate(stage[1]);
  };
  return { mode, turnTo, finish };
}
