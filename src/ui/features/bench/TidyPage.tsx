import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Household, LotId, PlaceId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { withAct } from '../../../core/suppose/index.ts';
import { formatWay } from '../../../core/units/index.ts';
import { Beside } from '../../components/Beside.tsx';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Page } from '../../components/Page.tsx';
import { SCREENFUL, useGrown } from '../../components/useGrown.ts';
import { PlacePicture } from '../../drawing/PlacePicture.tsx';
import { RoundPlan } from '../../drawing/RoundPlan.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { tellStrained } from '../../state/strained.ts';
import { getTree } from '../../state/derived.ts';
import { deriveSlowly } from '../../state/slowly.ts';
import { createPutBackAll } from '../../../core/acts/index.ts';
import { computeTidyRoundInSlices } from '../../../core/whereabouts/index.ts';
import { t } from '../../language/index.ts';

const rounds = deriveSlowly((household) => computeTidyRoundInSlices(household, getTree(household)));

/** Above the plan of the round. */
const WALL_PX = 340;

const nameOf = ({ items, lots }: Household, id: LotId) => items.get(lots.get(id)!.itemId)!.name;

/** What is out goes home in one walk round the room. */
export function TidyPage() {
  const household = useHousehold();
  const navigate = useNavigate();
  const tree = getTree(household);
  // The round is found once: it does not turn about while one walks it.
  const [first] = useState(household);
  const round = rounds.use(first);
  const isOut = (id: LotId) => {
    const lot = household.lots.get(id);
    return lot?.state === 'out' && !lot.away && lot.homeId !== undefined;
  };
  const stops = round.stops
    .map(({ placeId, lots }) => ({ placeId, ids: lots.map((lot) => lot.id).filter(isOut) }))
    .filter(({ ids }) => ids.length > 0);
  const [next, ...later] = stops;
  const after = next ? withAct(household, createPutBackAll(household, next.ids, '', world.nowMs())) : null;
  const putBack = (ids: readonly LotId[]) => {
    const subject =
      ids.length === 1
        ? nameOf(household, ids[0]!)
        : t('{n, plural, one {# thing} other {# things}}', { n: ids.length });
    const homes = ids.flatMap((id) => household.lots.get(id)?.homeId ?? []);
    void act((now) => createPutBackAll(now, ids, subject, world.nowMs())).then((isDone) =>
      isDone ? tellStrained(homes, t('They are back.')) : undefined,
    );
  };
  return (
    <Page title={t('Tidy up')}>
      <div className="min-h-0 flex-1 px-4 py-4 md:overflow-y-auto md:px-8">
        <Button look="quiet" data-key="escape" className="mb-2" onClick={() => void navigate('/bench')}>
          {t('← The bench')}
        </Button>
        {!next ? (
          <p className="font-display text-[28px] font-semibold">{t('All that was out is home.')}</p>
        ) : (
          <>
            <section aria-label={t('Next')}>
              <h2 className="font-display text-[28px] leading-tight">
                <span className="text-stone">{t('To')} </span>
                <strong className="font-semibold">{formatPlaceName(tree, next.placeId)}</strong>
              </h2>
              <Beside
                picture={
                  <>
                    <PlacePicture place={next.placeId} lots={next.ids} mark="to" mostPx={WALL_PX} after={after} />
                    <div className="hidden lg:block">
                      <RoundPlan stops={stops.map(({ placeId }) => placeId)} />
                    </div>
                  </>
                }
              >
                <ul className="mt-3">
                  {next.ids.map((id) => (
                    <li key={id} className="dotted-row flex items-center gap-3 py-1.5">
                      <Swatch item={household.items.get(household.lots.get(id)!.itemId)!} className="size-9 shrink-0" />
                      <span className="min-w-0 flex-1 font-semibold break-words">{nameOf(household, id)}</span>
                      {next.ids.length > 1 && (
                        <Button look="quiet" onClick={() => putBack([id])}>
                          {t('Only this')}
                        </Button>
                      )}
                    </li>
                  ))}
                </ul>
                <div className="sticky bottom-16 mt-3 bg-mist py-2 md:-bottom-4">
                  <Button
                    look="strong"
                    autoFocus
                    key={next.placeId}
                    data-key="d"
                    className="min-h-14 w-full text-lg md:w-auto md:px-10"
                    onClick={() => putBack(next.ids)}
                  >
                    {next.ids.length === 1 ? t('It is back') : t('They are back')}{' '}
                    <kbd className="pl-1 font-normal">D</kbd>
                  </Button>
                </div>
                {later.length > 0 && <Later stops={later} wayMm={round.wayMm} />}
              </Beside>
            </section>
          </>
        )}
      </div>
    </Page>
  );
}

interface Stop {
  readonly placeId: PlaceId;
  readonly ids: readonly LotId[];
}

/** The rest of the walk. */
function Later({ stops, wayMm }: { stops: readonly Stop[]; wayMm: number }) {
  const household = useHousehold();
  const tree = getTree(household);
  return (
    <section aria-label={t('Then')} className="mt-4">
      <h2
        className="font-display text-lg font-semibold"
        {...explained(
          t(
            'The shortest way on foot from the first station round all the places and back: exactly for up to ten, else improved until no exchange shortens it.',
          ),
        )}
      >
        {t('Then, {way} round in all', { way: formatWay(wayMm, household.settings.units) })}
      </h2>
      <ol>
        {useGrown(stops, SCREENFUL).map(({ placeId, ids }) => (
          <li key={placeId} className="dotted-row flex gap-4 py-1.5">
            <span className="min-w-0 flex-1">{formatPlaceName(tree, placeId)}</span>
            <span className="text-right text-sm text-stone">{ids.map((id) => nameOf(household, id)).join(', ')}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
