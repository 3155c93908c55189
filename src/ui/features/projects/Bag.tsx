import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import type { ProjectStanding } from '../../../core/projects/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useHousehold, useOpen } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { wordCount } from '../../text/index.ts';

const BagForm = lazy(async () => ({ default: (await import('./BagForm.tsx')).BagForm }));

/** Where all of it lies together, and what of it is still to be fetched. */
export function Bag({ standing }: { standing: ProjectStanding }) {
  const { project, gathered, toGather } = standing;
  const household = useHousehold();
  const open = useOpen();
  const [isAsked, setAsked] = useState(false);
  const bag = project.bagLotId && household.lots.get(project.bagLotId);
  const item = bag && bag.state !== 'gone' ? household.items.get(bag.itemId) : undefined;
  const at = bag && bag.placeId !== undefined ? formatPlaceName(getTree(household), bag.placeId) : 'out';
  return (
    <section aria-label="Its bag" className="mt-2">
      <p className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        {bag && item ? (
          <>
            <span>
              It lies in{' '}
              <Button look="quiet" onClick={() => open({ type: 'lot', id: bag.id })}>
                <span data-name>{item.name}</span>
              </Button>
              <span data-name className="text-stone">
                {at}
              </span>
            </span>
            <span className="text-sm text-stone" {...explained('Things that were put into its bag.')}>
              {gathered.length === 0 ? 'nothing is in it yet' : `${wordCount(gathered.length, 'thing')} in it`}
            </span>
          </>
        ) : (
          <span className="text-stone">It has no bag or box yet, so its things lie in their own places.</span>
        )}
        {item && toGather.length > 0 && (
          <Link
            className="font-semibold text-woad underline underline-offset-4"
            to={`/projects/${project.id}/gather`}
            {...explained('Promised to it, or used for it, and not in its bag.')}
          >
            Gather {wordCount(toGather.length, 'thing')}
          </Link>
        )}
        <Button look="quiet" aria-expanded={isAsked} onClick={() => setAsked(!isAsked)}>
          {item ? 'Another bag' : 'Give it a bag or box'}
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
