import { lazy, Suspense, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { createGather, createNotFound } from '../../../core/acts/index.ts';
import type { ProjectStanding } from '../../../core/projects/index.ts';
import type { Item, Lot, LotId, ProjectId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { formatWay } from '../../../core/units/index.ts';
import { computeGatherRound } from '../../../core/whereabouts/index.ts';
import { Button, linkClass } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Page } from '../../components/Page.tsx';
import { PlacePicture } from '../../drawing/PlacePicture.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { getStandings } from '../../state/projects.ts';
import { wordAmount } from '../../text/index.ts';
import { NoSuchProject } from './ToProjects.tsx';
import { t } from '../../language/index.ts';

const ChooseCloth = lazy(async () => ({ default: (await import('./ChooseCloth.tsx')).ChooseCloth }));
const ChooseThing = lazy(async () => ({ default: (await import('./ChooseThing.tsx')).ChooseThing }));

/** All that a project takes, fetched in one walk into its bag: what is there, what is not, what is taken instead. */
export function GatherPage() {
  const { projectId } = useParams();
  const household = useHousehold();
  const tree = getTree(household);
  const standing = getStandings(household).get((projectId ?? '') as ProjectId);
  const lots = useMemo(() => standing?.toGather ?? [], [standing]);
  const round = useMemo(() => computeGatherRound(tree, lots), [tree, lots]);
  const [next, ...later] = round.stops;
  if (!standing) return <NoSuchProject />;
  const { project } = standing;
  const gather = (ids: readonly LotId[]) =>
    void act((now) => createGather(now, project.id, ids, world.nowMs()), undefined);
  // What is out already is taken along first; what is missing, lent or has no place cannot be walked to.
  const atHand = lots.filter((lot) => lot.state === 'out' && lot.away !== 'missing');
  const nowhere = lots.filter((lot) => lot.state === 'lent' || lot.away === 'missing' || lot.state === 'with');
  const { units } = household.settings;
  return (
    <Page
      title={t('Gather')}
      tabs={
        <Link className={`${linkClass} inline-block max-w-[min(40ch,80vw)]`} to={`/projects/${project.id}`}>
          <span data-name>{project.name}</span>
        </Link>
      }
    >
      <div className="min-h-0 flex-1 px-4 py-4 md:overflow-y-auto md:px-8">
        {lots.length === 0 && (
          <p className="font-display text-[24px] font-semibold">
            {t('All of it is in its bag.')}{' '}
            <Link className={`${linkClass} text-base`} to={`/projects/${project.id}`}>
              {t('Back to the project')}
            </Link>
          </p>
        )}
        {atHand.length > 0 && (
          <section aria-label={t('Out already')} className="max-w-3xl">
            <h2 className="font-display text-lg font-semibold">{t('Out already')}</h2>
            <Picks lots={atHand} onPick={gather} />
          </section>
        )}
        {next && (
          <section aria-label={t('Next')} className="mt-3 max-w-3xl">
            <p className="text-lg">
              <span className="text-stone">{t('At')} </span>
              <strong>{formatPlaceName(tree, next.placeId)}</strong>
            </p>
            <PlacePicture place={next.placeId} lots={next.lots.map((lot) => lot.id)} mark="from" />
            <Picks lots={next.lots} onPick={gather} />
          </section>
        )}
        {later.length > 0 && (
          <section aria-label={t('Then')} className="mt-4 max-w-3xl">
            <h2
              className="font-display text-lg font-semibold"
              {...explained(t('The shortest way on foot from the first station round all the places and back.'))}
            >
              {t('Then, {way} round in all', { way: formatWay(round.wayMm, units) })}
            </h2>
            <ol>
              {later.map(({ placeId, lots: some }) => (
                <li key={placeId} className="dotted-row flex gap-4 py-1.5">
                  <span className="min-w-0 flex-1">{formatPlaceName(tree, placeId)}</span>
                  <span data-name className="truncate text-sm text-stone">
                    {some.map((lot) => household.items.get(lot.itemId)!.name).join(', ')}
                  </span>
                </li>
              ))}
            </ol>
          </section>
        )}
        {nowhere.length > 0 && (
          <section aria-label={t('Not to be had now')} className="mt-4 max-w-3xl">
            <h2 className="font-display text-lg font-semibold">{t('Not to be had now')}</h2>
            <ul>
              {nowhere.map((lot) => (
                <Nowhere key={lot.id} lot={lot} standing={standing} />
              ))}
            </ul>
          </section>
        )}
      </div>
    </Page>
  );
}

/** Something that cannot be fetched: another is taken in its place. */
function Nowhere({ lot, standing }: { lot: Lot; standing: ProjectStanding }) {
  const household = useHousehold();
  const [isAsked, setAsked] = useState(false);
  const { project } = standing;
  const promise = lot.reserved?.find((one) => one.projectId === project.id);
  const need = standing.needs.find((one) => one.need.id === promise?.needId);
  const instead = promise && { lotId: lot.id, promiseId: promise.id };
  const done = () => setAsked(false);
  return (
    <li className="dotted-row py-1.5">
      <span className="flex flex-wrap gap-x-4">
        <span data-name>{household.items.get(lot.itemId)!.name}</span>
        <span className="text-sm text-stone">
          {lot.state === 'lent'
            ? t('lent to {lentTo}', { lentTo: lot.lentTo })
            : lot.state === 'with'
              ? t('with something else')
              : t('missing')}
        </span>
        {need && !isAsked && (
          <Button look="quiet" className="ml-auto" onClick={() => setAsked(true)}>
            {t('Take another instead')}
          </Button>
        )}
      </span>
      {isAsked && need && (
        <Suspense>
          {need.need.kind === 'fabric' ? (
            <ChooseCloth project={project} need={need.need} instead={instead} onDone={done} />
          ) : (
            <ChooseThing project={project} standing={need} instead={instead} onDone={done} />
          )}
        </Suspense>
      )}
    </li>
  );
}

function Picks({ lots, onPick }: { lots: readonly Lot[]; onPick: (ids: readonly LotId[]) => void }) {
  const household = useHousehold();
  const { units } = household.settings;
  const of = (lot: Lot): Item => household.items.get(lot.itemId)!;
  return (
    <ul className="mt-2">
      {lots.map((lot, i) => (
        <li key={lot.id} className="dotted-row flex flex-wrap items-center gap-x-3 py-1.5">
          <Swatch item={of(lot)} className="size-9 shrink-0" />
          <span data-name className="min-w-0 flex-1 break-words font-semibold">
            {of(lot).name}, {wordAmount(of(lot), lot, units)}
          </span>
          {lot.state === 'in' && (
            <Button look="quiet" onClick={() => void act((now) => createNotFound(now, lot.id, world.nowMs()))}>
              {t('Not there')}
            </Button>
          )}
          <Button
            look="strong"
            className="min-h-11"
            data-key={i === 0 && lot.state === 'in' ? 'd' : undefined}
            aria-label={t('{name} is in the bag', { name: of(lot).name })}
            onClick={() => onPick([lot.id])}
          >
            {t('In the bag')} {i === 0 && lot.state === 'in' && <kbd className="pl-1 font-normal">D</kbd>}
          </Button>
        </li>
      ))}
    </ul>
  );
}
