import { Link, useLocation } from 'react-router';
import { useHousehold } from '../../state/app.ts';
import { STAGE_WORDS } from '../../text/setout.ts';
import { getSetout } from './setout.ts';
import { t } from '../../language/index.ts';

/** Above every screen while one sets out: the order of the work as one line of stitches, and what comes next. */
export function SetoutStrip() {
  const household = useHousehold();
  const { pathname, search } = useLocation();
  const { stages, next } = getSetout(household);
  if (pathname === '/setout') return null;
  const here = pathname + search;
  const isHere = (to: string) =>
    here === to || (!to.includes('?') && to !== '/room/balance' && pathname.startsWith(to));
  const current = stages.find(({ id }) => isHere(STAGE_WORDS()[id].to))?.id;
  return (
    <nav
      aria-label={t('Setting out')}
      className="no-print flex min-h-10 items-center gap-3 overflow-x-auto bg-linen px-4 text-sm whitespace-nowrap md:px-5"
    >
      <Link to="/setout" className="min-h-10 content-center font-semibold text-woad underline underline-offset-4">
        {t('Setting out')}
      </Link>
      {/* A phone has room for where one is and what comes next. */}
      {current && (
        <span className="text-stone md:hidden">
          {t('{number} of {stages}, {stage}', {
            number: stages.findIndex(({ id }) => id === current) + 1,
            stages: stages.length,
            stage: STAGE_WORDS()[current].name,
          })}
        </span>
      )}
      <ol className="hidden items-center md:flex">
        {stages.map(({ id, state }, i) => (
          <li key={id} className="flex items-center">
            {i > 0 && <span aria-hidden className={`stitched-b w-3 md:w-5 ${state === 'open' ? 'opacity-40' : ''}`} />}
            <Link
              to={STAGE_WORDS()[id].to}
              aria-current={id === current ? 'step' : undefined}
              className={`flex min-h-10 items-center gap-1 px-1 ${id === current ? 'font-bold underline decoration-dashed underline-offset-4' : state === 'done' ? 'text-moss' : 'text-stone hover:text-ink'}`}
            >
              {STAGE_WORDS()[id].name}
              {state === 'done' && <span aria-label={t('done')}>✓</span>}
            </Link>
          </li>
        ))}
      </ol>
      {next && next !== current && (
        <Link
          to={STAGE_WORDS()[next].to}
          className="ml-auto min-h-10 content-center font-semibold text-woad underline underline-offset-4"
        >
          {t('Next: {stage} →', { stage: STAGE_WORDS()[next].name })}
        </Link>
      )}
    </nav>
  );
}
