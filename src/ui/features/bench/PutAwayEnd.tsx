import type { LotId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { Beside } from '../../components/Beside.tsx';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Linked } from '../../components/Linked.tsx';
import { SpotsPicture, type PlaceMark } from '../../drawing/PlacePicture.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { wordAmount } from '../../text/index.ts';
import { t } from '../../language/index.ts';
import { LISTED, Listed, Rest } from './Listed.tsx';
import type { OnBench } from './benchFacts.ts';

/** Two walls below each other fit a desk's screen. */
export const WALL_PX = 290;

/** What still waits for a home, each to go on with, and what was put away on the way here. */
export function PutAwayEnd({
  waiting,
  placed,
  onAll,
  onOne,
}: {
  waiting: readonly OnBench[];
  placed: readonly LotId[];
  onAll: () => void;
  onOne: (id: LotId) => void;
}) {
  const { units } = useHousehold().settings;
  return (
    <div className="space-y-6">
      <p className="font-display text-[28px] font-semibold">
        {waiting.length === 0 ? t('Everything has a home.') : t('That was all, except for what waits.')}
      </p>
      {waiting.length > 0 && (
        <Listed
          title={t('Still without a home')}
          action={
            <Button data-key="s" onClick={onAll}>
              {t('Those that wait')} <kbd className="pl-1 font-normal">S</kbd>
            </Button>
          }
        >
          <ul
            aria-label={t('Still without a home')}
            className="grid grid-cols-[repeat(auto-fill,minmax(180px,1fr))] gap-x-4 gap-y-3"
          >
            {waiting.slice(0, LISTED).map(({ lot, item }) => (
              <li key={lot.id}>
                <button
                  type="button"
                  className="flex h-full min-h-16 w-full items-center gap-3 border border-thread bg-paper p-2 text-left hover:bg-linen"
                  onClick={() => onOne(lot.id)}
                >
                  <Swatch item={item} className="size-12 shrink-0" />
                  <span className="min-w-0">
                    <span data-name className="block leading-tight font-semibold break-words">
                      {item.name}
                    </span>
                    <span className="block text-sm text-stone" {...explained(t('As its ticket says.'))}>
                      {wordAmount(item, lot, units)}
                    </span>
                  </span>
                </button>
              </li>
            ))}
          </ul>
          <Rest count={waiting.length - LISTED} />
          <p className="mt-3">
            <Linked says={t('<fit>Fit</fit> makes room by moving others.')} to={{ fit: '/fit' }} />
          </p>
        </Listed>
      )}
      <JustPlaced ids={placed} />
    </div>
  );
}

/** What was put away is seen once more with where it is now; what was undone is not among it. */
function JustPlaced({ ids }: { ids: readonly LotId[] }) {
  const household = useHousehold();
  const { lots, items, places } = household;
  const tree = getTree(household);
  const homed = ids.flatMap((id) => {
    const lot = lots.get(id);
    const item = lot && items.get(lot.itemId);
    return item && lot.homeId && places.has(lot.homeId) ? [{ id, item, placeId: lot.homeId }] : [];
  });
  if (homed.length === 0) return null;
  const listed = homed.slice(-LISTED).toReversed();
  const spots = [...new Set(listed.map(({ placeId }) => placeId))].map((place): PlaceMark => ({
    place,
    mark: 'to',
    lots: [],
  }));
  return (
    <Beside isLast picture={<SpotsPicture spots={spots} lots={listed.map(({ id }) => id)} mostPx={WALL_PX} />}>
      <Listed title={t('Put away just now')}>
        <ul aria-label={t('Put away just now')} className="space-y-3">
          {listed.map(({ id, item, placeId }) => (
            <li key={id} className="flex items-center gap-3">
              <Swatch item={item} className="size-12 shrink-0" />
              <span className="min-w-0">
                <span data-name className="block leading-tight font-semibold break-words">
                  {item.name}
                </span>
                <span data-name className="block text-sm text-stone">
                  {formatPlaceName(tree, placeId)}
                </span>
              </span>
            </li>
          ))}
        </ul>
        <Rest count={homed.length - LISTED} />
      </Listed>
    </Beside>
  );
}
