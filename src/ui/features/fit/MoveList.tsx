import type { BinMove } from '../../../core/records/index.ts';
import { formatPlaceName, type PlaceTree } from '../../../core/storage/index.ts';
import { explained } from '../../components/explained.ts';
import { LotLine } from '../../components/LotLine.tsx';
import { useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { wordBinWay } from '../../text/bins.ts';
import { wordAmount, wordForm } from '../../text/index.ts';
import type { Arrivals } from './planMoves.ts';
import { perLanguage, t } from '../../language/index.ts';

const HOW_MUCH = perLanguage(() => t('As it is recorded in the stash.'));
const HOW_FROM = perLanguage(() => t('Where things are today, and where the plan has them.'));
const HOW_BINS = perLanguage(() =>
  t('Where bins and boxes stand is part of the plan; what is in them is carried with them.'),
);

interface MoveListProps {
  readonly arrivals: readonly Arrivals[];
  readonly bins: readonly BinMove[];
  /** The places as the plan has them. */
  readonly planned: PlaceTree;
}

/** Containers that a plan has carried, from where to where. */
function Bins({ bins, planned }: Pick<MoveListProps, 'bins' | 'planned'>) {
  const tree = getTree(useHousehold());
  return (
    <section className="mt-4">
      <h2 className="font-display text-lg font-semibold" {...explained(HOW_BINS())}>
        {t('{n, plural, one {# bin} other {# bins}}', { n: bins.length })}{' '}
        <span className="font-sans text-sm font-normal text-stone">{t('to carry, with what is in them')}</span>
      </h2>
      <ul aria-label={t('Bins')} className="max-w-3xl">
        {bins.map(({ placeId, slotId }) => (
          <li
            key={placeId}
            className="dotted-row flex flex-wrap justify-between gap-x-4 py-1.5"
            {...explained(HOW_BINS())}
          >
            <span>{tree.places.get(placeId)?.name}</span>
            <span className="text-sm text-stone">
              {wordBinWay(tree.places.get(placeId)?.parentId, slotId, planned)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What a plan would have one carry, by where it goes. */
export function MoveList({ arrivals, bins, planned }: MoveListProps) {
  const household = useHousehold();
  const tree = getTree(household);
  const { units } = household.settings;
  if (arrivals.length === 0 && bins.length === 0)
    return <p className="p-5 font-display text-xl">{t('Nothing moves: things are where the plan wants them.')}</p>;
  return (
    <div className="min-h-0 flex-1 px-4 pb-6 md:overflow-y-auto md:px-5">
      {bins.length > 0 && <Bins bins={bins} planned={planned} />}
      {arrivals.map(({ place, moves }) => (
        <section key={place.id} className="mt-4 [content-visibility:auto] [contain-intrinsic-size:auto_200px]">
          <h2 className="font-display text-lg font-semibold" {...explained(HOW_FROM())}>
            {formatPlaceName(planned, place.id)}{' '}
            <span className="font-sans text-sm font-normal text-stone">
              {t('{moves, plural, one {# thing} other {# things}} to bring', { moves: moves.length })}
            </span>
          </h2>
          <ul className="max-w-3xl">
            {moves.map(({ lot, item, from, form, isRefold }) => (
              <LotLine
                key={lot.id}
                id={lot.id}
                item={item}
                more={<span {...explained(HOW_MUCH())}>{wordAmount(item, lot, units)}</span>}
                how={HOW_FROM()}
              >
                {isRefold
                  ? t('stays, {form}', { form: wordForm(form) })
                  : from === null
                    ? t('lies out now')
                    : t('from {placeName}', { placeName: formatPlaceName(tree, from) })}
                {!isRefold && lot.form !== form ? `; ${wordForm(form)}` : ''}
              </LotLine>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
