import { formatPlaceName } from '../../../core/storage/index.ts';
import { Swatch } from '../../drawing/Swatch.tsx';
import { PrintDefs } from '../../drawing/Prints.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { wordAmount, wordCount, wordForm } from '../../text/index.ts';
import type { Arrivals } from './planMoves.ts';

/** What a plan would have one carry, by where it goes. */
export function MoveList({ arrivals }: { arrivals: readonly Arrivals[] }) {
  const household = useHousehold();
  const tree = getTree(household);
  const show = useApp((state) => state.show);
  const { units } = household.settings;
  if (arrivals.length === 0)
    return <p className="p-5 font-display text-xl">Nothing moves: things are where the plan wants them.</p>;
  return (
    <div className="min-h-0 flex-1 px-4 pb-6 md:overflow-y-auto md:px-5">
      <PrintDefs />
      {arrivals.map(({ place, moves }) => (
        <section key={place.id} className="mt-4 [content-visibility:auto] [contain-intrinsic-size:auto_200px]">
          <h2 className="font-display text-lg font-semibold">
            {formatPlaceName(tree, place.id)}{' '}
            <span className="font-sans text-sm font-normal text-stone">
              {wordCount(moves.length, 'thing')} to bring
            </span>
          </h2>
          <ul className="grid gap-x-6 lg:grid-cols-2">
            {moves.map(({ lot, item, from, form, isRefold }) => (
              <li key={lot.id} className="dotted-row">
                <button
                  type="button"
                  className="flex min-h-11 w-full items-center gap-2 text-left hover:bg-linen md:min-h-9"
                  onClick={() => show({ type: 'lot', id: lot.id })}
                >
                  <Swatch item={item} className="size-6 shrink-0" />
                  <span className="min-w-0 flex-1 truncate">
                    {item.name} <span className="text-stone">{wordAmount(item, lot, units)}</span>
                  </span>
                  <span className="max-w-[48%] shrink-0 truncate text-sm text-stone">
                    {isRefold
                      ? `stays, ${wordForm(form)}`
                      : from === null
                        ? 'lies out now'
                        : `from ${formatPlaceName(tree, from)}`}
                    {!isRefold && lot.form !== form ? `; ${wordForm(form)}` : ''}
                  </span>
                </button>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
