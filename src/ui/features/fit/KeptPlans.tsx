import { useMemo, useState } from 'react';
import { getFetchSeconds, type Plan } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { formatMinutes } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { LotLine } from '../../components/LotLine.tsx';
import { useHousehold } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { wordStale } from '../../text/stale.ts';
import { useFitRun } from './fitRun.ts';
import {
  type PlanStanding,
  computePlanStanding,
  createDropPlan,
  listDifferences,
  listKept,
} from '../../../core/acts/index.ts';
import { perLanguage, t } from '../../language/index.ts';

const ROWS = perLanguage(
  (): readonly { name: string; how: string; tell: (plan: Plan, standing: PlanStanding) => string }[] => [
    {
      name: t('Fetching, a month'),
      how: t('The way and the reach, looking for it, and looking in the wrong place first, with the figures in House.'),
      tell: (plan) => formatMinutes(getFetchSeconds(plan.score)),
    },
    {
      name: t('Things to carry'),
      how: t('Things whose place or form is another than now, counted.'),
      tell: (_, { moves }) => String(moves),
    },
    {
      name: t('Without a home'),
      how: t('Things for which it found no place.'),
      tell: (plan) => String(plan.unplaced.length),
    },
    {
      name: t('Cautions'),
      how: t('Soft dangers that it leaves, one for each.'),
      tell: (plan) => String(plan.score.cautions),
    },
    {
      name: t('Places too full'),
      how: t('Places that hold more than the share that House says is to be filled.'),
      tell: (_, { overTarget }) => String(overTarget),
    },
  ],
);

/** Plans that were kept, side by side, and what differs between two of them. */
export function KeptPlans() {
  const household = useHousehold();
  const tree = getTree(household);
  const shown = useFitRun((state) => state.plan);
  const look = useFitRun((state) => state.look);
  const [against, setAgainst] = useState<string | null>(null);
  const kept = listKept(household);
  const standings = useMemo(() => {
    return new Map(listKept(household).map((plan) => [plan.id, computePlanStanding(household, tree, plan)]));
  }, [household, tree]);
  const other = kept.find((plan) => plan.id === against && plan.id !== shown?.id);
  const differences = shown && other ? listDifferences(shown, other) : [];
  if (kept.length === 0)
    return (
      <p className="p-5 text-stone">
        {t('No plan is kept. Find one and press “Keep this plan”; up to four stand here side by side.')}
      </p>
    );
  return (
    <div className="min-h-0 flex-1 space-y-5 px-4 py-3 md:overflow-y-auto md:px-5">
      <table className="tabular w-full max-w-3xl">
        <thead>
          <tr className="stitched-b">
            <th scope="col" className="py-2 text-left font-normal text-stone">
              {t('{n, plural, one {# plan} other {# plans}}', { n: kept.length })}
            </th>
            {kept.map((plan) => (
              <th key={plan.id} scope="col" className="px-2 py-2 text-right font-display text-lg">
                {plan.name ?? t('A plan')}
                {plan.id === shown?.id && <span className="block font-sans text-sm font-normal">{t('shown')}</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ROWS().map(({ name, how, tell }) => (
            <tr key={name} className="dotted-row">
              <th scope="row" className="py-1.5 text-left font-normal text-stone">
                {name}
              </th>
              {kept.map((plan) => (
                <td key={plan.id} className="px-2 text-right font-semibold" {...explained(how)}>
                  {tell(plan, standings.get(plan.id)!)}
                </td>
              ))}
            </tr>
          ))}
          <tr>
            <td />
            {kept.map((plan) => (
              <td key={plan.id} className="px-2 py-2 text-right align-top">
                <Button
                  aria-label={t('Show it: {plan}', { plan: plan.name ?? t('a plan') })}
                  className="w-full"
                  disabled={plan.id === shown?.id}
                  onClick={() => look(plan, household)}
                >
                  {t('Show it')}
                </Button>
                <Button
                  look="quiet"
                  aria-label={t('Drop it: {plan}', { plan: plan.name ?? t('a plan') })}
                  onClick={() => void act((now) => createDropPlan(now, plan.id))}
                >
                  {t('Drop it')}
                </Button>
                {plan.id !== shown?.id && shown && (
                  <Button
                    look="quiet"
                    aria-label={t('What differs from {plan}', { plan: plan.name ?? t('a plan') })}
                    className="ml-auto block"
                    aria-pressed={against === plan.id}
                    onClick={() => setAgainst(plan.id)}
                  >
                    {t('What differs')}
                  </Button>
                )}
                {wordStale(standings.get(plan.id)!) && (
                  <p className="mt-1 text-left text-sm text-stone">{wordStale(standings.get(plan.id)!)}.</p>
                )}
              </td>
            ))}
          </tr>
        </tbody>
      </table>
      {shown && other && (
        <section aria-label={t('What differs')} className="max-w-3xl">
          <h2
            className="font-display text-lg font-semibold"
            {...explained(t('Things that the two plans put into different places, or that only one of them places.'))}
          >
            {t('{differences, plural, one {# thing goes} other {# things go}} elsewhere than in {other}', {
              differences: differences.length,
              other: other.name ?? t('the other plan'),
            })}
          </h2>
          <ul>
            {differences.map((id) => {
              const item = household.items.get(household.lots.get(id)?.itemId ?? ('' as never));
              const at = (plan: Plan) => {
                const placeId = plan.assignments.find((one) => one.lotId === id)?.placeId;
                return placeId ? formatPlaceName(tree, placeId) || t('a place that is gone') : t('nowhere');
              };
              return item ? (
                <LotLine key={id} id={id} item={item}>
                  <span data-name>{t('{shown}; there {other}', { shown: at(shown), other: at(other) })}</span>
                </LotLine>
              ) : null;
            })}
          </ul>
        </section>
      )}
    </div>
  );
}
