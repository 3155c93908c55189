import { lazy, Suspense, useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import type { Household, Item, Lot, LotId } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { wordWhereShort } from '../../text/where.ts';
import { Unanswered } from '../../components/Unanswered.tsx';
import { putBack } from '../../state/putBack.ts';
import { takeOut } from '../../state/takeOut.ts';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { getWhereabouts } from '../../state/whereabouts.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { wordForm, wordHomeOffer } from '../../text/index.ts';
import { WhyNowhere } from '../../components/WhyNowhere.tsx';
import { formatPlaceName, findWallId } from '../../../core/storage/index.ts';
import { useRebuild } from '../../state/rebuild.ts';
import { getMeasureWays } from '../../../core/measure/index.ts';
import { CutForm } from './CutForm.tsx';
import { LotAsked, type Asked } from './LotAsked.tsx';
import { LotMore } from './LotMore.tsx';
import { Promises } from './Promises.tsx';
import { PhotoRow } from './PhotoRow.tsx';
import { MeasurePanel } from './MeasurePanel.tsx';
import { createMove, createReturn } from '../../../core/acts/index.ts';
import { LotShown } from './shown/LotShown.tsx';
import { t } from '../../language/index.ts';

const HeapPanel = lazy(async () => ({ default: (await import('./HeapPanel.tsx')).HeapPanel }));
const LabelRow = lazy(async () => ({ default: (await import('./LabelRow.tsx')).LabelRow }));

/** The ticket of a lot: what it is, how much, where it lives and why, and the common acts. */
export function LotTicket({ id }: { id: LotId }) {
  const household = useHousehold();
  const lot = household.lots.get(id);
  const item = lot && household.items.get(lot.itemId);
  if (!lot || !item || lot.state === 'gone') return <p className="text-stone">{t('It is no longer in the stash.')}</p>;
  return <LotDetails key={id} household={household} lot={lot} item={item} />;
}

function LotDetails({ household, lot, item }: { household: Household; lot: Lot; item: Item }) {
  const isCutting = useApp((state) => state.isCutting);
  const setCutting = useApp((state) => state.setCutting);
  const { pathname } = useLocation();
  const [isRehoming, setRehoming] = useState(false);
  const [isMeasuring, setMeasuring] = useState(false);
  const [asked, setAsked] = useState<Asked | null>(null);
  const where = getWhereabouts(household, lot.id);
  const canCut = lot.lengthMm !== undefined && !lot.heap && (item.kind === 'fabric' || Boolean(item.box?.tape));
  const words = wordWhereShort(where);
  return (
    <LotShown
      household={household}
      lot={lot}
      item={item}
      photos={<PhotoRow item={item} />}
      whereName={lot.state === 'in' ? t('Is in') : t('Is')}
      where={
        where.placeId === null || pathname.startsWith('/find') ? (
          words
        ) : (
          <Link to={`/find/${lot.id}`} className="text-woad underline underline-offset-4">
            {words}
          </Link>
        )
      }
      label={
        lot.state !== 'digital' && (
          <Suspense>
            <LabelRow label={lot.label ?? null} of={`lot:${lot.id}`} />
          </Suspense>
        )
      }
      acts={
        <div className="mt-3">
          {asked !== null ? (
            <LotAsked asked={asked} household={household} item={item} lot={lot} onDone={() => setAsked(null)} />
          ) : isCutting && canCut ? (
            <CutForm lot={lot} onDone={() => setCutting(false)} />
          ) : isMeasuring ? (
            <MeasurePanel item={item} lot={lot} onDone={() => setMeasuring(false)} />
          ) : isRehoming ? (
            <Rehome household={household} lot={lot} onDone={() => setRehoming(false)} />
          ) : (
            <LotButtons
              item={item}
              lot={lot}
              canCut={canCut}
              onRehome={() => setRehoming(true)}
              onMeasure={() => setMeasuring(true)}
            />
          )}
        </div>
      }
    >
      {lot.heap && (
        <Suspense>
          <HeapPanel item={item} lot={lot} />
        </Suspense>
      )}
      <Promises household={household} item={item} lot={lot} />
      {asked === null && <LotMore household={household} item={item} lot={lot} onAsk={setAsked} />}
    </LotShown>
  );
}

interface LotButtonsProps {
  readonly item: Item;
  readonly lot: Lot;
  readonly canCut: boolean;
  readonly onRehome: () => void;
  readonly onMeasure: () => void;
}

/** What is mostly done with it: the first is what one opened it for. */
function LotButtons({ item, lot, canCut, onRehome, onMeasure }: LotButtonsProps) {
  const show = useApp((state) => state.show);
  const setCutting = useApp((state) => state.setCutting);
  return (
    <div className="space-y-2">
      <div className="grid grid-cols-2 gap-2">
        {lot.state === 'in' ? (
          <Button look="strong" className={canCut ? '' : 'col-span-2'} onClick={() => void takeOut(lot.id)}>
            {t('Take out')}
          </Button>
        ) : lot.homeId === undefined && lot.state !== 'lent' ? (
          <Button look="strong" disabled={lot.state === 'digital'} onClick={onRehome}>
            {t('Give it a home')}
          </Button>
        ) : (
          <Button
            look="strong"
            className={canCut ? '' : 'col-span-2'}
            onClick={() =>
              lot.state === 'lent' ? void act((now) => createReturn(now, lot.id, world.nowMs())) : void putBack(lot.id)
            }
          >
            {lot.state === 'lent' ? t('It came back') : t('Put back')}
          </Button>
        )}
        {canCut && <Button onClick={() => setCutting(true)}>{t('Cut from it')}</Button>}
      </div>
      <div className="flex flex-wrap gap-x-4">
        {lot.homeId !== undefined && (
          <Button look="quiet" disabled={lot.state === 'lent' || lot.state === 'digital'} onClick={onRehome}>
            {t('Another home')}
          </Button>
        )}
        <Button look="quiet" onClick={() => show({ type: 'editItem', id: item.id, lotId: lot.id })}>
          {t('Edit')}
        </Button>
        {!lot.heap && getMeasureWays(item, lot).length > 0 && (
          <Button look="quiet" data-key="m" onClick={onMeasure}>
            {t('How much is there?')} <kbd className="font-normal">M</kbd>
          </Button>
        )}
      </div>
    </div>
  );
}

function Rehome({ household, lot, onDone }: { household: Household; lot: Lot; onDone: () => void }) {
  const tree = getTree(household);
  const { answer: homes, again } = useAnswer(household, 'homes', lot.id);
  const navigate = useNavigate();
  const showOnWall = async () => {
    useRebuild.setState({ lotId: lot.id, groupId: null, words: '', isGood: true });
    await navigate(`/room/${lot.placeId ? (findWallId(tree, lot.placeId) ?? '') : ''}`);
    onDone();
  };
  return (
    <section aria-label={t('Places that would take it')} className="mt-4">
      <h3 className="font-bold">{t('Places that would take it')}</h3>
      <Unanswered again={again} />
      {homes === null && !again && <p className="mt-1 text-stone">{t('Trying every place…')}</p>}
      {homes?.length === 0 && <WhyNowhere lotId={lot.id} />}
      <ul>
        {homes?.map((home) => (
          <li key={home.placeId} className="dotted-row">
            <button
              type="button"
              className="w-full py-2 text-left hover:bg-linen"
              onClick={() => {
                void act((now) => createMove(now, lot.id, home.placeId, home.form, world.nowMs())).then(onDone);
              }}
            >
              <span className="block font-semibold">{formatPlaceName(tree, home.placeId)}</span>
              <span className="block text-sm text-stone">
                {wordForm(home.form)}; {wordHomeOffer(home, lot.homeId === undefined)}
              </span>
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex gap-4">
        <Button look="quiet" onClick={() => void showOnWall()}>
          {t('Every place, on the wall')}
        </Button>
        <Button look="quiet" onClick={onDone}>
          {t('Leave it')}
        </Button>
      </div>
    </section>
  );
}
