import { formatSizes } from '../../../../core/units/index.ts';
import { Button } from '../../../components/Button.tsx';
import { useApp, useHousehold } from '../../../state/app.ts';
import { getTree } from '../../../state/derived.ts';
import { useRebuild } from '../../../state/rebuild.ts';
import { t } from '../../../language/index.ts';

/** Over a wall that is rebuilt: what to do, what is said of what is held, and the bins that stand idle. */
export function BuildBar() {
  const household = useHousehold();
  const { units } = household.settings;
  const tree = getTree(household);
  const { words, isGood, carriedId } = useRebuild();
  const show = useApp((state) => state.show);
  const idle = tree.pool.filter((bin) => !bin.container!.isRetired);
  const carried = carriedId ? tree.places.get(carriedId) : undefined;
  const hint = carried
    ? t('Choose where {carried} goes: the places that take it are marked.', { carried: carried.name })
    : t(
        'Drag a shelf, a bin, or a piece by its upper edge. By keys: Tab to it, arrows move it, Delete takes a shelf out.',
      );
  return (
    <div className="no-print border-b border-thread bg-linen px-5 py-1.5">
      <p
        role="status"
        className={`text-[15px] ${words === '' ? 'text-stone' : isGood ? 'font-semibold' : 'font-semibold text-madder'}`}
      >
        {words === '' ? hint : words}
      </p>
      <ul className="flex flex-wrap items-center gap-x-4 text-sm" aria-label={t('Idle bins')}>
        <li className="text-stone">{idle.length === 0 ? t('No bin stands idle.') : t('Idle bins:')}</li>
        {idle.map((bin) => {
          const { outerWidthMm, outerDepthMm, outerHeightMm } = bin.container!;
          const isCarried = bin.id === carriedId;
          return (
            <li key={bin.id}>
              <Button
                look="quiet"
                aria-pressed={isCarried}
                className="text-sm"
                onClick={() => useRebuild.setState({ carriedId: isCarried ? null : bin.id, words: '', isGood: true })}
              >
                {bin.name}
              </Button>{' '}
              <span className="text-stone">{formatSizes([outerWidthMm, outerDepthMm, outerHeightMm], units)}</span>
            </li>
          );
        })}
        <li>
          <Button look="quiet" className="text-sm" onClick={() => show({ type: 'pool' })}>
            {t('All bins …')}
          </Button>
        </li>
        {carried && (
          <li>
            <Button
              look="quiet"
              data-key="escape"
              className="text-sm"
              onClick={() => useRebuild.setState({ carriedId: null, words: '', isGood: true })}
            >
              {t('Leave it where it is')}
            </Button>
          </li>
        )}
      </ul>
    </div>
  );
}
