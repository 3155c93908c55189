import { useSearchParams } from 'react-router';
import { useFinish } from '../setout/useFinish.ts';
import { t } from '../../language/index.ts';

/** What one is at on the plan beside looking at it; it stays where it is over a reload and the back key. */
type PlanMode = 'measure' | 'shape' | 'furnish';
const MODES: readonly string[] = ['measure', 'shape', 'furnish'] satisfies PlanMode[];
/** What one is at, and how it ends: a stage of setting out leads on to the next, without it one is back at the plan. */
export function usePlanMode() {
  const [params, setParams] = useSearchParams();
  const asked = params.get('do');
  const mode = asked !== null && MODES.includes(asked) ? (asked as PlanMode) : null;
  const turnTo = (next: PlanMode | null) => setParams(next ? { do: next } : {});
  const ends = {
    measure: null,
    shape: useFinish('room', '/room/plan?do=furnish', t('The room is there. What stands in it?')),
    furnish: useFinish('furniture', '/heaps', t('The furniture is there. What is to go into it?')),
  };
  const finish = () => void ((mode && ends[mode]?.()) ?? turnTo(null));
  return { mode, turnTo, finish };
}
