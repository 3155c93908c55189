import { useMemo } from 'react';
import { isHomeless, takesRoom, type Lot, type LotId, type Plan } from '../../../core/records/index.ts';
import type { Cure } from '../../../core/suppose/index.ts';
import { Button } from '../../components/Button.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useHousehold, useOpen } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { wordAmount, wordCure, wordCured, wordUnplaced } from '../../text/index.ts';
import { t } from '../../language/index.ts';

interface UnplacedListProps {
  readonly plan: Plan | null;
  /** Looks for a plan with a cure, only to see; null where that cannot be done. */
  readonly onTry: ((cure: Cure, words: string) => void) | null;
}

/** What found no place, and why, with the measure that is missing and what would help. */
export function UnplacedList({ plan, onTry }: UnplacedListProps) {
  const household = useHousehold();
  const reasons = useMemo(() => new Map(plan?.unplaced.map((one) => [one.lotId, one.reason])), [plan]);
  // Care keeps these from every place: something small may help.
  const caredFor = useMemo(
    () => [...reasons].flatMap(([id, { code }]) => (code === 'children' ? [id] : [])),
    [reasons],
  );
  const lots = [...household.lots.values()].filter((lot) =>
    plan ? reasons.has(lot.id) : isHomeless(lot) && takesRoom(lot),
  );
  if (lots.length === 0)
    return (
      <p className="p-5 font-display text-xl">
        {plan ? t('Everything has a home in this plan.') : t('Everything has a home today.')}
      </p>
    );
  const rows = { lots, reasons, onTry };
  return (
    <div className="min-h-0 flex-1 px-4 py-3 md:overflow-y-auto md:px-5">
      {!plan && (
        <p className="pb-2 text-stone">
          {t('These have no home today. A plan will find one, or say why there is none.')}
        </p>
      )}
      {caredFor.length > 0 ? <CuredRows {...rows} ids={caredFor} /> : <Rows {...rows} cures={null} />}
    </div>
  );
}

interface RowsProps extends Pick<UnplacedListProps, 'onTry'> {
  readonly lots: readonly Lot[];
  readonly reasons: ReadonlyMap<LotId, Plan['unplaced'][number]['reason']>;
  readonly cures: ReadonlyMap<LotId, { readonly cure: Cure | null }> | null;
}

/** The rows with what would help these of them. */
function CuredRows({ ids, ...rows }: Omit<RowsProps, 'cures'> & { readonly ids: readonly LotId[] }) {
  const { answer } = useAnswer(useHousehold(), 'nowhere', ids);
  return <Rows {...rows} cures={answer} />;
}

function Rows({ lots, reasons, cures, onTry }: RowsProps) {
  const household = useHousehold();
  const open = useOpen();
  const tree = getTree(household);
  const { units } = household.settings;
  return (
    <ul>
      {lots.map((lot) => {
        const item = household.items.get(lot.itemId)!;
        const reason = reasons.get(lot.id);
        const cure = cures?.get(lot.id)?.cure;
        return (
          <li key={lot.id} className="dotted-row">
            <button
              type="button"
              className="flex min-h-11 w-full items-center gap-3 py-1.5 text-left hover:bg-linen"
              onClick={() => open({ type: 'lot', id: lot.id })}
            >
              <Swatch item={item} className="size-8 shrink-0" />
              <span>
                <span data-name className="font-semibold">
                  {item.name}
                </span>{' '}
                <span className="text-stone">{wordAmount(item, lot, units)}</span>
                {reason && <span className="block">{wordUnplaced(reason, tree, units)}</span>}
              </span>
            </button>
            {cure && (
              <p className="pb-1.5 pl-11">
                {t('What would help most easily: {cure}.', { cure: wordCure(cure, tree, units) })}{' '}
                {onTry && (
                  <Button
                    look="quiet"
                    aria-label={t('Try it for {name}', { name: item.name })}
                    onClick={() => onTry(cure, wordCured(cure, tree, units))}
                  >
                    {t('Try it')}
                  </Button>
                )}
              </p>
            )}
          </li>
        );
      })}
    </ul>
  );
}
