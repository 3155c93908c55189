import { useEffect, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import type { Household, LotId } from '../../../core/records/index.ts';
import { findWall, formatPlaceName } from '../../../core/storage/index.ts';
import { Around } from '../../components/Around.tsx';
import { findBox, held } from '../../components/find.ts';
import { Page } from '../../components/Page.tsx';
import { wordWhere } from '../../text/where.ts';
import { PlaceCloseUp } from '../../drawing/PlaceCloseUp.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { WallView } from '../../drawing/WallView.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { useWallDrawing } from '../../drawing/wallDrawing.ts';
import { getWhereabouts } from '../../state/whereabouts.ts';
import { explained } from '../../components/explained.ts';
import { wordAmount } from '../../text/index.ts';
import { wordHowMuch } from '../../text/measures.ts';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { t } from '../../language/index.ts';
import { Linked } from '../../components/Linked.tsx';
import { isPhone } from '../../components/phone.ts';

/** So many places of the same are named. */
const MOST_PLACES = 6;

/** Where is it? The answer in words, and the spot on the wall. */
export function FindPage() {
  const household = useHousehold();
  const show = useApp((state) => state.show);
  const { lotId } = useParams();
  const lot = lotId ? household.lots.get(lotId as LotId) : undefined;
  const isKnown = lot !== undefined && lot.state !== 'gone';
  const id = isKnown ? lot.id : null;
  useEffect(() => {
    if (id) show({ type: 'lot', id });
  }, [id, show]);

  return (
    <Page
      title={t('Find')}
      aside={<TicketPane hint={t('The ticket of what you look for hangs here, to take it out or put it back.')} />}
    >
      {id ? <Answer household={household} lotId={id} /> : <Asking household={household} isLost={lotId !== undefined} />}
    </Page>
  );
}

/** A wall that is lower than so much of its length leaves room under it. */
const LOW = 0.45;

function Answer({ household, lotId }: { household: Household; lotId: LotId }) {
  const show = useApp((state) => state.show);
  const tree = getTree(household);
  const lot = household.lots.get(lotId)!;
  const item = household.items.get(lot.itemId)!;
  const where = useMemo(() => getWhereabouts(household, lotId), [household, lotId]);
  const wall = where.wallId === null ? null : findWall(tree, where.wallId);
  const drawing = useWallDrawing(household, where.wallId);
  return (
    <>
      <div role="status" className="flex items-center gap-4 px-4 pt-4 md:px-5">
        <Swatch item={item} className="size-14 shrink-0" />
        <div>
          <p className="text-stone" {...explained(wordHowMuch(item, lot, household.settings))}>
            {item.name}, {wordAmount(item, lot, household.settings.units)}
          </p>
          <p className="font-display text-[25px] leading-tight font-semibold">{wordWhere(where)}</p>
          <MoreOfIt household={household} lotId={lotId} />
          <Around household={household} id={lotId} />
        </div>
      </div>
      {wall && drawing && (
        <WallView
          drawing={drawing}
          label={t('{room}, {wall}, with the spot', { room: wall.room.name, wall: wall.wall.name })}
          units={household.settings.units}
          chosenPlace={where.placeId}
          chosenLot={where.isThere ? lotId : null}
          tree={tree}
          onPlace={(id) => show({ type: 'place', id })}
          onLot={(id) => show({ type: 'lot', id })}
        />
      )}
      {drawing && where.placeId && drawing.heightMm < LOW * drawing.widthMm && (
        <div className="px-4 pb-4 md:px-5">
          <PlaceCloseUp
            place={where.placeId}
            label={t('{placeName}, close up', { placeName: formatPlaceName(tree, where.placeId) })}
            {...(where.isThere && { chosen: lotId })}
          />
        </div>
      )}
      {where.placeId === null && (
        <p className="px-5 pt-6">
          <Linked says={t('Give it a home in its ticket, or let <fit>Fit</fit> find one.')} to={{ fit: '/fit' }} />
        </p>
      )}
    </>
  );
}

/** Where else there is some of the same: parts of a heap, spools in two drawers. */
function MoreOfIt({ household, lotId }: { household: Household; lotId: LotId }) {
  const tree = getTree(household);
  const { itemId, placeId } = household.lots.get(lotId)!;
  const seen = new Set([placeId]);
  const others = [...household.lots.values()].filter((lot) => {
    if (lot.itemId !== itemId || lot.state !== 'in' || seen.has(lot.placeId)) return false;
    seen.add(lot.placeId);
    return true;
  });
  if (others.length === 0) return null;
  return (
    <p {...explained(t('Other places where there is some of the same thing.'))}>
      {t('More of it in')}{' '}
      {others.slice(0, MOST_PLACES).map((lot, i, all) => (
        <span key={lot.id}>
          {i > 0 && (i === all.length - 1 ? t(' and ') : ', ')}
          <Link className="text-woad underline" to={`/find/${lot.id}`}>
            {formatPlaceName(tree, lot.placeId!)}
          </Link>
        </span>
      ))}
      {others.length > MOST_PLACES && t(' and {count} more', { count: others.length - MOST_PLACES })}.
    </p>
  );
}

function Asking({ household, isLost }: { household: Household; isLost: boolean }) {
  // Who opens it on a phone is about to type; who asked for it by its key types already.
  useEffect(() => {
    if (isPhone() || held.text !== null) findBox()?.focus();
  }, []);
  const out = [...household.lots.values()]
    .filter((lot) => lot.state === 'out' && lot.homeId !== undefined)
    .toSorted((a, b) => b.sinceMs - a.sinceMs);
  const tree = getTree(household);
  return (
    <div className="px-4 py-8 md:px-5">
      <p className="font-display text-[25px] font-semibold">
        {isLost ? t('That is no longer in the stash.') : t('What are you looking for?')}
      </p>
      <p className="mt-1 max-w-xl text-stone">
        {t(
          'Type a few letters above: its name, its colour, its fibre, a pattern’s number, or the place. A slip of the finger is forgiven.',
        )}
      </p>
      {out.length > 0 && (
        <section className="mt-8 max-w-xl">
          <h2 className="font-display text-lg font-semibold">{t('Out now')}</h2>
          <ul>
            {out.slice(0, 12).map((lot) => {
              const item = household.items.get(lot.itemId)!;
              return (
                <li key={lot.id} className="dotted-row">
                  <Link to={`/find/${lot.id}`} className="flex min-h-11 items-center gap-3 hover:bg-linen">
                    <Swatch item={item} className="size-6" />
                    <span className="font-semibold">{item.name}</span>
                    <span className="text-sm text-stone">
                      {t('goes back to {placeName}', { placeName: formatPlaceName(tree, lot.homeId!) })}
                    </span>
                  </Link>
                </li>
              );
            })}
          </ul>
          {out.length > 12 && <p className="mt-1 text-stone">{t('and {out} more.', { out: out.length - 12 })}</p>}
        </section>
      )}
    </div>
  );
}
