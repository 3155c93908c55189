import { isHomeless, takesRoom, type Plan } from '../../../core/records/index.ts';
import { Swatch } from '../../drawing/Swatch.tsx';
import { PrintDefs } from '../../drawing/Prints.tsx';
import { useOpen, useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { wordAmount, wordUnplaced } from '../../text/index.ts';

/** What found no place, and why, with the measure that is missing. */
export function UnplacedList({ plan }: { plan: Plan | null }) {
  const household = useHousehold();
  const open = useOpen();
  const tree = getTree(household);
  const { units } = household.settings;
  const reasons = new Map(plan?.unplaced.map((one) => [one.lotId, one.reason]));
  const lots = [...household.lots.values()].filter((lot) =>
    plan ? reasons.has(lot.id) : isHomeless(lot) && takesRoom(lot),
  );
  if (lots.length === 0)
    return (
      <p className="p-5 font-display text-xl">
        {plan ? 'Everything has a home in this plan.' : 'Everything has a home today.'}
      </p>
    );
  return (
    <div className="min-h-0 flex-1 px-4 py-3 md:overflow-y-auto md:px-5">
      <PrintDefs />
      {!plan && (
        <p className="pb-2 text-stone">These have no home today. A plan will find one, or say why there is none.</p>
      )}
      <ul>
        {lots.map((lot) => {
          const item = household.items.get(lot.itemId)!;
          const reason = reasons.get(lot.id);
          return (
            <li key={lot.id} className="dotted-row">
              <button
                type="button"
                className="flex min-h-11 w-full items-center gap-3 py-1.5 text-left hover:bg-linen"
                onClick={() => open({ type: 'lot', id: lot.id })}
              >
                <Swatch item={item} className="size-8 shrink-0" />
                <span>
                  <span className="font-semibold">{item.name}</span>{' '}
                  <span className="text-stone">{wordAmount(item, lot, units)}</span>
                  {reason && <span className="block">{wordUnplaced(reason, tree, units)}</span>}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
