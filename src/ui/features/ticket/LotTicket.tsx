import { lazy, Suspense, useContext, useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import type { Household, Item, Lot, LotId } from '../../../core/records/index.ts';
import { formatSize } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Row } from '../../components/fields.tsx';
import { WhyPanel } from '../../components/WhyPanel.tsx';
import { wordWhereShort } from '../../components/where.ts';
import { Unanswered } from '../../components/Unanswered.tsx';
import { PrintDefs } from '../../drawing/Prints.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { putBack } from '../../state/putBack.ts';
import { takeOut } from '../../state/takeOut.ts';
import { PreviewContext, useApp, useHousehold, world } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { computeWhereabouts } from '../../state/whereabouts.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import type { LotReason } from '../../../workers/protocol.ts';
import {
  wordAmount,
  wordCare,
  wordDoubt,
  wordForm,
  wordHomeOffer,
  wordMeasureWay,
  wordLotReason,
  wordThing,
} from '../../text/index.ts';
import { wordHowMuch, wordMeasures } from '../../text/measures.ts';
import { formatPlaceName, getAncestor } from '../../../core/storage/index.ts';
import { useRebuild } from '../../state/rebuild.ts';
import { findHolder, getMeasureWays } from '../../../core/measure/index.ts';
import { CutForm } from './CutForm.tsx';
import { LotFacts } from './LotFacts.tsx';
import { LotMore } from './LotMore.tsx';
import { PhotoRow } from './PhotoRow.tsx';
import { ThreadMatch } from './ThreadMatch.tsx';
import { MeasurePanel } from './MeasurePanel.tsx';
import { createMove, createReturn } from '../../../core/acts/index.ts';

const LabelRow = lazy(async () => ({ default: (await import('./LabelRow.tsx')).LabelRow }));

/** The ticket of a lot: what it is, how much, where it lives and why, and the common acts. */
export function LotTicket({ id }: { id: LotId }) {
  const household = useHousehold();
  const lot = household.lots.get(id);
  const item = lot && household.items.get(lot.itemId);
  if (!lot || !item || lot.state === 'gone') return <p className="text-stone">It is no longer in the stash.</p>;
  return <LotDetails key={id} household={household} lot={lot} item={item} />;
}

function LotDetails({ household, lot, item }: { household: Household; lot: Lot; item: Item }) {
  const { settings } = household;
  const { units } = settings;
  const show = useApp((state) => state.show);
  const isCutting = useApp((state) => state.isCutting);
  const setCutting = useApp((state) => state.setCutting);
  const { pathname } = useLocation();
  const [isRehoming, setRehoming] = useState(false);
  const [isMeasuring, setMeasuring] = useState(false);
  const tree = getTree(household);
  const where = computeWhereabouts(household, lot.id);
  const canCut = lot.lengthMm !== undefined && (item.kind === 'fabric' || Boolean(item.box?.tape));
  const isPlanned = lot.homeId !== undefined && lot.state === 'in' && lot.placeId !== lot.homeId;
  const isHere = lot.state === 'in';
  const isPreview = useContext(PreviewContext) !== null;
  const today = useApp((state) => state.household?.lots.get(lot.id)?.placeId ?? null);

  return (
    <>
      <PrintDefs />
      <h2 className="font-display text-[21px] leading-tight font-semibold">{item.name}</h2>
      <p
        className="text-stone"
        {...explained('As its form says: what was typed there, or what is usual for its kind.')}
      >
        {wordThing(item, units)}
      </p>
      <Swatch item={item} className={`mt-3 w-full ${item.photos ? 'h-32' : item.fabric ? 'h-12' : 'h-4'}`} />
      {!isPreview && <PhotoRow item={item} />}
      <dl className="mt-2">
        <Row name="There is" how={wordHowMuch(item, lot, settings)}>
          {wordAmount(item, lot, units)}
          {wordDoubt(item, lot, units)}
          {item.kind === 'fabric' && item.fabric && ` × ${formatSize(item.fabric.widthMm, units)}`}
        </Row>
        {wordMeasures(item, lot, settings).map(({ name, words, how }) => (
          <Row key={name} name={name} how={how}>
            {words}
          </Row>
        ))}
        {lot.measuredBy && <Row name="Measured">{wordMeasureWay(lot.measuredBy)}</Row>}
        {lot.state !== 'digital' && <Row name="Kept">{wordForm(lot.form)}</Row>}
        <LotFacts household={household} item={item} lot={lot} />
        {item.care.length > 0 && <Row name="Mind">{item.care.map(wordCare).join(', ')}</Row>}
        <Row name={isPreview ? 'In the plan' : isHere ? 'Is in' : 'Is'}>
          {lot.state === 'digital' ? (
            'a file; it takes no room'
          ) : isPreview || where.placeId === null || pathname.startsWith('/find') ? (
            wordWhereShort(where)
          ) : (
            <Link to={`/find/${lot.id}`} className="text-woad underline underline-offset-4">
              {wordWhereShort(where)}
            </Link>
          )}
        </Row>
        {!isPreview && lot.state !== 'digital' && (
          <Suspense>
            <LabelRow label={lot.label ?? null} of={`lot:${lot.id}`} />
          </Suspense>
        )}
        {isPreview && <Row name="Today">{today === null ? 'out' : formatPlaceName(tree, today)}</Row>}
        {isPlanned && <Row name="Planned for">{formatPlaceName(tree, lot.homeId!)}</Row>}
      </dl>
      {item.notes !== '' && <p className="mt-2 whitespace-pre-line">{item.notes}</p>}
      {where.placeId !== null && (
        <Button data-name look="quiet" className="mt-1" onClick={() => show({ type: 'place', id: where.placeId! })}>
          What else is in {tree.places.get(where.placeId)?.name}?
        </Button>
      )}
      <Why household={household} id={lot.id} isHere={isHere} />
      {(item.kind === 'fabric' || isBobbin(item, lot)) && <ThreadMatch household={household} item={item} />}
      {isCutting && canCut ? (
        <CutForm lot={lot} onDone={() => setCutting(false)} />
      ) : isMeasuring ? (
        <MeasurePanel item={item} lot={lot} onDone={() => setMeasuring(false)} />
      ) : isRehoming ? (
        <Rehome household={household} lot={lot} onDone={() => setRehoming(false)} />
      ) : isPreview ? null : (
        <LotButtons
          item={item}
          lot={lot}
          canCut={canCut}
          onRehome={() => setRehoming(true)}
          onMeasure={() => setMeasuring(true)}
        />
      )}
      {!isPreview && <LotMore household={household} item={item} lot={lot} />}
    </>
  );
}

interface LotButtonsProps {
  readonly item: Item;
  readonly lot: Lot;
  readonly canCut: boolean;
  readonly onRehome: () => void;
  readonly onMeasure: () => void;
}

/** What is mostly done with it. */
function LotButtons({ item, lot, canCut, onRehome, onMeasure }: LotButtonsProps) {
  const show = useApp((state) => state.show);
  const act = useApp((state) => state.act);
  const setCutting = useApp((state) => state.setCutting);
  return (
    <div className="mt-4 grid grid-cols-2 gap-2 bg-paper md:sticky md:-bottom-5 md:-mb-2 md:pt-2 md:pb-4">
      {lot.state === 'in' ? (
        <Button look="strong" onClick={() => void takeOut(lot.id)}>
          Take out
        </Button>
      ) : (
        <Button
          look="strong"
          disabled={lot.homeId === undefined && lot.state !== 'lent'}
          onClick={() =>
            lot.state === 'lent' ? void act((now) => createReturn(now, lot.id, world.nowMs())) : void putBack(lot.id)
          }
        >
          {lot.state === 'lent' ? 'It came back' : 'Put back'}
        </Button>
      )}
      {canCut ? (
        <Button onClick={() => setCutting(true)}>Cut from it</Button>
      ) : (
        <Button onClick={() => show({ type: 'editItem', id: item.id, lotId: lot.id })}>Edit</Button>
      )}
      <Button
        className={canCut ? '' : 'col-span-2'}
        disabled={lot.state === 'lent' || lot.state === 'digital'}
        onClick={onRehome}
      >
        {lot.homeId === undefined ? 'Give it a home' : 'Another home'}
      </Button>
      {canCut && <Button onClick={() => show({ type: 'editItem', id: item.id, lotId: lot.id })}>Edit</Button>}
      {getMeasureWays(item, lot).length > 0 && (
        <Button className="col-span-2" data-key="m" onClick={onMeasure}>
          How much is there? <kbd className="pl-1 font-normal">M</kbd>
        </Button>
      )}
    </div>
  );
}

/** Thread on bobbins, which is matched to the thread it came from or that is nearest. */
function isBobbin(item: Item, lot: Lot): boolean {
  return item.thread !== undefined && (lot.holder ?? findHolder(item.thread.diameterMm).id) === 'bobbin';
}

/** How what speaks for a place was found out. */
const HOW_WHY: Record<LotReason['code'], string> = {
  kin: 'The lots of its group that lie in the same place, counted.',
  alone: 'No other lot of its group lies in this place.',
  reach: 'The height of the hand that takes it out, beside your own height; how often is what the thing says.',
  dark: 'What the compartment says of its light, and the thing of fading.',
  seen: 'Whether one looks into the place, from its opening and sides.',
  'on-table': 'What a thing less on a table is worth to you a month, as House says.',
  spare: 'The length of the shelf, less what lies on it side by side.',
  elsewhere:
    'Every other place was packed with it and priced like a plan; the cheapest is named, with its seconds a month more.',
};

function Why({ household, id, isHere }: { household: Household; id: LotId; isHere: boolean }) {
  const { answer: reasons, again } = useAnswer(household, 'why', id);
  const said = reasons?.map((reason) => ({
    words: wordLotReason(reason, getTree(household), household.settings.units),
    how: HOW_WHY[reason.code],
  }));
  return <WhyPanel title={isHere ? 'Why here' : 'Why its home is there'} said={said ?? null} again={again} />;
}

function Rehome({ household, lot, onDone }: { household: Household; lot: Lot; onDone: () => void }) {
  const act = useApp((state) => state.act);
  const tree = getTree(household);
  const { answer: homes, again } = useAnswer(household, 'homes', lot.id);
  const navigate = useNavigate();
  const showOnWall = async () => {
    useRebuild.setState({ lotId: lot.id, groupId: null, words: '', isGood: true });
    const unit = lot.placeId ? getAncestor(tree, lot.placeId, 'unit') : null;
    await navigate(unit ? `/room/${unit.parentId}-${unit.unit!.wallId}` : '/room');
    onDone();
  };
  return (
    <section aria-label="Places that would take it" className="mt-4">
      <h3 className="font-bold">Places that would take it</h3>
      <Unanswered again={again} />
      {homes === null && !again && <p className="mt-1 text-stone">Trying every place…</p>}
      {homes?.length === 0 && (
        <p className="mt-1">No place has room for it as things are. Make room by hand, or let Fit find a plan.</p>
      )}
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
          Every place, on the wall
        </Button>
        <Button look="quiet" onClick={onDone}>
          Leave it
        </Button>
      </div>
    </section>
  );
}
