import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import type { ProjectStanding } from '../../../core/projects/index.ts';
import { Button, linkClass } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useHousehold, useOpen } from '../../state/app.ts';
import { findBag } from '../../state/projects.ts';
import { t } from '../../language/index.ts';

const BagForm = lazy(async () => ({ default: (await import('./BagForm.tsx')).BagForm }));

/** Where all of it lies together, and what of it is still to be fetched. */
export function Bag({ standing }: { standing: ProjectStanding }) {
  const { project, gathered, toGather } = standing;
  const household = useHousehold();
  const open = useOpen();
  const [isAsked, setAsked] = useState(false);
  const bag = findBag(household, project);
  return (
    <section aria-label={t('Its bag')} className="mt-2">
      <p className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        {bag ? (
          <>
            <span>
              {t('It lies in')}{' '}
              <Button look="quiet" className="kept-on-paper" onClick={() => open({ type: 'lot', id: bag.lot.id })}>
                <span data-name>{bag.item.name}</span>
              </Button>
              <span data-name className="text-stone">
                {bag.at}
              </span>
            </span>
            <span className="text-sm text-stone" {...explained(t('Things that were put into its bag.'))}>
              {gathered.length === 0
                ? t('nothing is in it yet')
                : t('{gathered, plural, one {# thing} other {# things}} in it', { gathered: gathered.length })}
            </span>
          </>
        ) : (
          <span className="text-stone">{t('It has no bag or box yet, so its things lie in their own places.')}</span>
        )}
        {bag && toGather.length > 0 && (
          <Link
            className={linkClass}
            to={`/projects/${project.id}/gather`}
            {...explained(t('Promised to it, or used for it, and not in its bag.'))}
          >
            {t('Gather {gather, plural, one {# thing} other {# things}}', { gather: toGather.length })}
          </Link>
        )}
        <Button look="quiet" aria-expanded={isAsked} onClick={() => setAsked(!isAsked)}>
          {bag ? t('Another bag') : t('Give it a bag or box')}
        </Button>
      </p>
      {isAsked && (
        <Suspense>
          <BagForm project={project} onDone={() => setAsked(false)} />
        </Suspense>
      )}
    </section>
  );
}
