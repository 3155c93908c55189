import { lazy, Suspense, useMemo, useState } from 'react';
import { listUnmatchedInSlices, listWanted, type Wanted } from '../../../core/projects/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Page } from '../../components/Page.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useHousehold } from '../../state/app.ts';
import { deriveSlowly } from '../../state/slowly.ts';
import { getProjectFacts, getStandings } from '../../state/projects.ts';
import { capitalise, formatAmount } from '../../text/index.ts';
import { HaveI } from './HaveI.tsx';
import { ToProjects } from './ToProjects.tsx';
import { t, wordTerm } from '../../language/index.ts';

const GotForm = lazy(async () => ({ default: (await import('./GotForm.tsx')).GotForm }));

const Budget = lazy(async () => ({ default: (await import('./Budget.tsx')).Budget }));

const keyOf = (wanted: Wanted) =>
  wanted.type === 'need'
    ? `${wanted.project.id} ${wanted.standing.need.id}`
    : wanted.type === 'thread'
      ? `thread ${wanted.cloth.id}`
      : `low ${wanted.item.id}`;

/** What to get, for the pocket: what projects lack, what runs low, and a look at what is there already. */
export function ShopPage() {
  const household = useHousehold();
  const wanted = useMemo(
    () => listWanted(getProjectFacts(household), [...getStandings(household).values()]),
    [household],
  );
  const forProjects = wanted.filter(({ type }) => type !== 'restock');
  const low = wanted.filter(({ type }) => type === 'restock');
  return (
    <Page title={t('Shop card')} tabs={<ToProjects />}>
      <div className="min-h-0 flex-1 px-4 py-3 md:overflow-y-auto md:px-5">
        <HaveI />
        {wanted.length === 0 && <p className="mt-4">{t('Nothing is missing, and nothing runs low.')}</p>}
        <List title={t('For projects')} wanted={forProjects} />
        <List title={t('Runs low')} wanted={low} />
        <Suspense>
          <Unmatched />
          <Budget />
        </Suspense>
        {wanted.length > 0 && (
          <Button look="quiet" className="no-print mt-4" onClick={() => window.print()}>
            {t('Print it')}
          </Button>
        )}
      </div>
    </Page>
  );
}

function List({ title, wanted }: { title: string; wanted: readonly Wanted[] }) {
  if (wanted.length === 0) return null;
  return (
    <section aria-label={title} className="mt-4 max-w-3xl">
      <h2 className="font-display text-lg font-semibold">{title}</h2>
      <ul>
        {wanted.map((one) => (
          <Line key={keyOf(one)} wanted={one} />
        ))}
      </ul>
    </section>
  );
}

/** What it is, and for what. */
function useWords(wanted: Wanted): readonly [what: string, why: string] {
  const { units } = useHousehold().settings;
  if (wanted.type === 'thread')
    return [
      t('Thread to go with {cloth}', { cloth: wanted.cloth.name }),
      t('for {project}', { project: wanted.project.name }),
    ];
  if (wanted.type === 'restock') {
    const { item, present, mark, unit } = wanted;
    return [
      item.name,
      t('{left} left, wanted {wanted}', {
        left: formatAmount(present, unit, units),
        wanted: formatAmount(mark, unit, units),
      }),
    ];
  }
  const { need, missing, unit, item } = wanted.standing;
  const much = missing !== null && (unit === 'length' || missing > 1) ? `, ${formatAmount(missing, unit, units)}` : '';
  const of = need.kind === 'fabric' && item ? t(' like {name}', { name: item.name }) : '';
  const words =
    need.kind === 'fabric'
      ? t('{part} cloth{like}', { part: capitalise(wordTerm(need.part)), like: of })
      : capitalise(wordTerm(need.part));
  return [`${words}${much}`, t('for {project}', { project: wanted.project.name })];
}

function Line({ wanted }: { wanted: Wanted }) {
  const [isAsked, setAsked] = useState(false);
  const [what, why] = useWords(wanted);
  const item = wanted.type === 'thread' ? wanted.cloth : wanted.type === 'restock' ? wanted.item : wanted.standing.item;
  return (
    <li className="dotted-row py-1.5">
      <div className="flex items-center gap-3">
        {item && <Swatch item={item} className="size-8 shrink-0" />}
        <span data-name className="min-w-0 flex-1">
          <span className="block font-semibold">{what}</span>
          <span className="block text-sm text-stone">{why}</span>
        </span>
        {wanted.type !== 'thread' && !isAsked && (
          <Button className="no-print" aria-label={t('Got it: {what}', { what })} onClick={() => setAsked(true)}>
            {t('Got it')}
          </Button>
        )}
      </div>
      {isAsked && wanted.type !== 'thread' && (
        <Suspense>
          <GotForm wanted={wanted} onDone={() => setAsked(false)} />
        </Suspense>
      )}
    </li>
  );
}

/** So many cloths without a thread are told. */
const MOST_UNMATCHED = 12;

const unmatched = deriveSlowly((household) => listUnmatchedInSlices(getProjectFacts(household)));

/** Cloths that are there, and no thread that goes with them: the most of it first. */
function Unmatched() {
  const household = useHousehold();
  const { units } = household.settings;
  const cloths = unmatched.use(household);
  if (cloths.length === 0) return null;
  return (
    <details className="mt-4 max-w-3xl">
      <summary className="min-h-9 cursor-pointer font-display text-lg font-semibold">
        {t('Cloths that no thread goes with')}
      </summary>
      <ul>
        {cloths.slice(0, MOST_UNMATCHED).map(({ item, lengthMm }) => (
          <li key={item.id} className="dotted-row flex items-center gap-3 py-1">
            <Swatch item={item} className="size-8 shrink-0" />
            <span data-name className="min-w-0 flex-1 break-words">
              {item.name}
            </span>
            <span className="tabular text-sm text-stone" {...explained(t('All its lengths, added up.'))}>
              {formatAmount(lengthMm, 'length', units)}
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
