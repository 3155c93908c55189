import { formatPlaceName } from '../../../core/storage/index.ts';
import { LotLine } from '../../components/LotLine.tsx';
import { PrintDefs } from '../../drawing/Prints.tsx';
import { useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { wordAmount, wordCount, wordForm } from '../../text/index.ts';
import type { Arrivals } from './planMoves.ts';

/** What a plan would have one carry, by where it goes. */
export function MoveList({ arrivals }: { arrivals: readonly Arrivals[] }) {
  const household = useHousehold();
  const tree = getTree(household);
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
          <ul className="max-w-3xl">
            {moves.map(({ lot, item, from, form, isRefold }) => (
              <LotLine key={lot.id} id={lot.id} item={item} more={wordAmount(item, lot, units)}>
                {isRefold
                  ? `stays, ${wordForm(form)}`
                  : from === null
                    ? 'lies out now'
                    : `from ${formatPlaceName(tree, from)}`}
                {!isRefold && lot.form !== form ? `; ${wordForm(form)}` : ''}
              </LotLine>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
