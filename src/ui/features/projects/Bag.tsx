import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import type { ProjectStanding } from '../../../core/projects/index.ts';
import { Button, linkClass } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useHousehold, useOpen } from '../../state/app.ts';
import { findBag } from '../../state/projects.ts';
import { wordCount } from '../../text/index.ts';

const BagForm = lazy(async () => ({ default: (await import('./BagForm.tsx')).BagForm }));

/** Where all of it lies together, and what of it is still to be fetched. */
export function Bag({ standing }: { standing: ProjectStanding }) {
  const { project, gathered, toGather } = standing;
  const household = useHousehold();
  const open = useOpen();
  const [isAsked, setAsked] = useState(false);
  const bag = findBag(household, project);
  return (
    <section aria-label="Its bag" className="mt-2">
      <p className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        {bag ? (
          <>
            <span>
              It lies in{' '}
              <Button look="quiet" className="kept-on-paper" onClick={() => open({ type: 'lot', id: bag.lot.id })}>
                <span data-name>{bag.item.name}</span>
              </Button>
              <span data-name className="text-stone">
                {bag.at}
              </span>
            </span>
            <span className="text-sm text-stone" {...explained('Things that were put into its bag.')}>
              {gathered.length === 0 ? 'nothing is in it yet' : `${wordCount(gathered.length, 'thing')} in it`}
            </span>
          </>
        ) : (
          <span className="text-stone">It has no bag or box yet, so its things lie in their own places.</span>
        )}
        {bag && toGather.length > 0 && (
          <Link
            className={linkClass}
            to={`/projects/${project.id}/gather`}
            {...explained('Promised to it, or used for it, and not in its bag.')}
          >
            Gather {wordCount(toGather.length, 'thing')}
          </Link>
        )}
        <Button look="quiet" aria-expanded={isAsked} onClick={() => setAsked(!isAsked)}>
          {bag ? 'Another bag' : 'Give it a bag or box'}
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
