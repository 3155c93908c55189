import { useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { completeSketch } from '../../../core/catalog/index.ts';
import { createLieIn, createSaveSettings } from '../../../core/acts/index.ts';
import {
  computeHeap,
  createHeap,
  createLieOnFloor,
  describeHeap,
  isUnlikelyHeap,
  listLoose,
} from '../../../core/heaps/index.ts';
import {
  isKind,
  KINDS,
  takesRoom,
  type HeapWay,
  type Item,
  type ItemId,
  type Kind,
  type Lot,
  type LotId,
  type PlaceId,
} from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { Button } from '../../components/Button.tsx';
import { PlaceSelect } from '../../components/PlaceSelect.tsx';
import { explained } from '../../components/explained.ts';
import { TextField } from '../../components/fields.tsx';
import { Form } from '../../components/Form.tsx';
import { Figure, Page, tabClass } from '../../components/Page.tsx';
import { useApp, useHousehold, useOpen, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { useChoices } from '../../state/choices.ts';
import { derive, getTree } from '../../state/derived.ts';
import { getUsualStations } from '../../state/usualStations.ts';
import { withNewIds } from '../../state/newThing.ts';
import { HEAP_WAY_WORDS, wordHeapMeasures } from '../../text/heaps.ts';
import { wordAmountFault, wordKindPlural } from '../../text/index.ts';
import { useFinish } from '../setout/useFinish.ts';
import { QuickField } from '../stash/QuickField.tsx';
import { inSession } from '../stash/Session.tsx';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { MEASURE_EXAMPLES, readMeasure } from './measure.ts';
import { t } from '../../language/index.ts';
import { SORTS, type SaidSort } from '../../text/heapSorts.ts';
import { Linked } from '../../components/Linked.tsx';

interface OwnHeap {
  readonly item: Item;
  readonly lot: Lot;
}

/** All heaps of a household that are not gone. */
const listHeaps = derive((household) =>
  [...household.lots.values()].flatMap((lot): OwnHeap[] => {
    const item = household.items.get(lot.itemId);
    return item && lot.heap && takesRoom(lot) ? [{ item, lot }] : [];
  }),
);

/** What one owns by the heap: sorts to tap through, each with its quickest measure. Nothing has to be listed for it. */
export function HeapsPage() {
  const household = useHousehold();
  const { units } = household.settings;
  const ticket = useApp((state) => state.ticket);
  const show = useApp((state) => state.show);
  const navigate = useNavigate();
  const [params, setParams] = useSearchParams();
  const asked = params.get('kind');
  const kind = isKind(asked) ? asked : 'fabric';
  const placeId = useChoices((state) => state.sessionPlaceId) as PlaceId | null;
  const set = (next: Record<string, string>) =>
    setParams({ ...Object.fromEntries(params), ...next }, { replace: true });
  const heaps = listHeaps(household);
  const own = heaps.filter(({ item }) => item.kind === kind);
  const sorts = SORTS().filter(({ sketch }) => sketch.kind === kind);
  const others = own.filter(({ item }) => !sorts.some(({ names }) => names.includes(item.name)));
  const finish = useFinish('heaps', '/room/balance', t('Does it all go in?'));
  return (
    <Page
      title={t('Heaps')}
      tabs={<KindTabs kind={kind} heaps={heaps} onKind={(next) => set({ kind: next })} />}
      asideLabel={ticket ? t('Ticket') : t('Where they lie')}
      aside={
        ticket ? (
          <>
            <Button look="quiet" className="mb-2" onClick={() => show(null)}>
              {t('← Back to the heaps')}
            </Button>
            <TicketPane hint="" />
          </>
        ) : (
          <WhereTheyLie placeId={placeId} onPlace={(at) => useChoices.setState({ sessionPlaceId: at })} />
        )
      }
      foot={
        <>
          <Figure
            value={String(heaps.length)}
            label={t('{heaps, plural, one {heap} other {heaps}}', { heaps: heaps.length })}
            how={t('Heaps of all kinds that are not gone.')}
          />
          <QuickField key={kind} kind={kind} units={units} />
          <Button onClick={() => void (finish?.() ?? navigate('/stash'))}>
            {finish ? t('That is about all') : t('To the stash')}
          </Button>
        </>
      }
    >
      <div className="min-h-0 flex-1 px-4 py-3 md:overflow-y-auto md:px-5">
        <p className="max-w-2xl text-stone">
          {t(
            'How much there is of each, by whatever is quickest: the height of the pile, the length of the row, how many. Leave out what you do not have.',
          )}
        </p>
        {kind === 'fabric' && <Boards />}
        <ul className="mt-2">
          {sorts.map((sort) => (
            <SortRow key={sort.id} sort={sort} own={own.filter(({ item }) => sort.names.includes(item.name))} />
          ))}
          {others.map((heap) => (
            <li key={heap.lot.id} className="dotted-row flex flex-wrap items-center gap-x-4 py-1">
              <span className="w-52 font-semibold">{heap.item.name}</span>
              <HeapLine heap={heap} />
            </li>
          ))}
        </ul>
      </div>
    </Page>
  );
}

interface KindTabsProps {
  readonly kind: Kind;
  readonly heaps: readonly OwnHeap[];
  readonly onKind: (kind: Kind) => void;
}

function KindTabs({ kind, heaps, onKind }: KindTabsProps) {
  return (
    <ul className="flex gap-1">
      {KINDS.filter((one) => SORTS().some(({ sketch }) => sketch.kind === one)).map((one) => (
        <li key={one}>
          <button
            type="button"
            aria-pressed={one === kind}
            className={tabClass(one === kind)}
            {...explained(t('Heaps of each kind that are not gone.'))}
            onClick={() => onKind(one)}
          >
            {wordKindPlural(one)} {heaps.filter(({ item }) => item.kind === one).length || ''}
          </button>
        </li>
      ))}
    </ul>
  );
}

/** Asked once: nobody is told to wind cloth on boards that are not there. */
function Boards() {
  const household = useHousehold();
  const { boards } = household.settings;
  const [text, setText] = useState(boards === undefined ? '' : String(boards));
  const [fault, setFault] = useState('');
  const say = async () => {
    const read = readMeasure('pieces', text, household.settings.units);
    setFault(read.ok || text === '' ? '' : wordAmountFault(read.fault, '12'));
    if (!read.ok && text !== '') return;
    const next = read.ok ? read.value : undefined;
    if (next === boards) return;
    await act((now) => createSaveSettings(now, { ...now.settings, boards: next }), t('Plans know it from now on.'));
  };
  return (
    <Form aria-label={t('Boards')} isEndless onSend={say} className="mt-2 flex max-w-md items-end gap-3">
      <TextField
        label={t('Boards to wind cloth on: how many?')}
        hint={t('None, or left empty: cloth is piled and folded.')}
        maxLength={6}
        inputMode="numeric"
        value={text}
        fault={fault || undefined}
        onChange={({ target }) => setText(target.value)}
        onBlur={() => void say()}
      />
    </Form>
  );
}

interface SortRowProps {
  readonly sort: SaidSort;
  readonly own: readonly OwnHeap[];
}

const TYPED = { itemId: 'typed' as ItemId, lotId: 'typed' as LotId };

/** A sort, what one has of it, and a line to say how much there is. */
function SortRow({ sort, own }: SortRowProps) {
  const household = useHousehold();
  const { settings } = household;
  const { units } = settings;
  const [by, setBy] = useState<HeapWay>(sort.by);
  const [text, setText] = useState('');
  const [fault, setFault] = useState('');
  /** What was asked about already: typed once more it is taken. */
  const [asked, setAsked] = useState('');
  const usual = useMemo(() => {
    const stationId = getUsualStations(household)(sort.sketch.kind, sort.sketch.type);
    const made = completeSketch(sort.sketch, {
      ...TYPED,
      nowMs: world.nowMs(),
      stationId,
      settings: household.settings,
    });
    return made.ok ? made.value : null;
  }, [household, sort]);
  if (!usual) return null;
  const ways = describeHeap(usual.item, usual.lot, settings);
  const able = (Object.keys(ways) as HeapWay[]).filter((way) => ways[way] !== null);
  const example = MEASURE_EXAMPLES()[by][units === 'metric' ? 0 : 1];
  const { name } = sort.sketch;
  const take = async () => {
    const read = readMeasure(by, text, units);
    if (!read.ok) return setFault(wordAmountFault(read.fault, example));
    const told = computeHeap(usual.item, usual.lot, by, read.value, settings);
    if (!told) return setFault(t('There is none of it then: leave it out.'));
    const { item, lot } = withNewIds(usual);
    // As much again of the same is another heap of the same thing.
    const known = own[0]?.item;
    const heap = inSession(household, { ...lot, ...told, ...(known && { itemId: known.id }) });
    const measures = wordHeapMeasures(describeHeap(item, heap, settings), units);
    if (isUnlikelyHeap(item, heap, settings) && asked !== text) {
      setAsked(text);
      return setFault(t('That is {measures}. Enter again takes it in.', { measures }));
    }
    const words = `${name}: ${measures}.`;
    setText('');
    setFault('');
    await act((now) => createHeap(now, known ?? item, heap), words);
  };
  return (
    <li className="dotted-row flex flex-wrap items-center gap-x-4 gap-y-1 py-1">
      <span className="w-52 font-semibold">{name}</span>
      <Form aria-label={name} isEndless onSend={take} className="flex items-center gap-2">
        <select
          aria-label={t('{name}: measured by', { name })}
          className="h-11 w-44 rounded border border-thread bg-paper px-1 text-ink md:h-8"
          value={by}
          onChange={({ target }) => setBy(target.value as HeapWay)}
        >
          {able.map((way) => (
            <option key={way} value={way}>
              {HEAP_WAY_WORDS()[way]}
            </option>
          ))}
        </select>
        <input
          aria-label={t('{name}: how much', { name })}
          aria-invalid={fault ? true : undefined}
          className="h-11 w-24 rounded border border-stone/60 bg-field px-2 md:h-8 aria-invalid:border-2 aria-invalid:border-madder"
          placeholder={example}
          maxLength={20}
          autoComplete="off"
          value={text}
          onChange={({ target }) => {
            setText(target.value);
            setFault('');
          }}
        />
        {text.trim() !== '' && <Button type="submit">{t('Take it in')}</Button>}
      </Form>
      {fault && (
        <span role="alert" className="text-sm font-semibold text-madder">
          {fault}
        </span>
      )}
      {own.map((heap) => (
        <HeapLine key={heap.lot.id} heap={heap} />
      ))}
    </li>
  );
}

/** A heap that one has: pressed, its ticket. */
function HeapLine({ heap: { item, lot } }: { heap: OwnHeap }) {
  const household = useHousehold();
  const open = useOpen();
  const { settings } = household;
  const where = lot.placeId
    ? t(', in {placeName}', { placeName: formatPlaceName(getTree(household), lot.placeId) })
    : '';
  return (
    <button
      type="button"
      className="min-h-11 text-left text-woad underline underline-offset-2 md:min-h-0"
      {...explained(t('From how it was measured and what is usual for things of its kind.'))}
      onClick={() => open({ type: 'lot', id: lot.id })}
    >
      {wordHeapMeasures(describeHeap(item, lot, settings), settings.units)}
      {where}
    </button>
  );
}

interface WhereTheyLieProps {
  readonly placeId: PlaceId | null;
  readonly onPlace: (at: PlaceId | null) => void;
}

const placeClass = 'h-11 w-full rounded border border-thread bg-paper px-1 text-ink md:h-9';

/** Where what is taken in lies today: said for all at once, place by place, or not at all. */
function WhereTheyLie({ placeId, onPlace }: WhereTheyLieProps) {
  const household = useHousehold();
  const tree = getTree(household);
  const at = tree.leaves.findIndex(({ id }) => id === placeId);
  const loose = listLoose(household);
  const onFloor = () =>
    act(
      (now) => createLieOnFloor(now, () => world.createId() as PlaceId, world.nowMs()),
      t('All of it lies on the floor, until it has a home.'),
    );
  const allIn = (id: PlaceId) => {
    const ids = loose.map((lot) => lot.id);
    const name = formatPlaceName(tree, id);
    return act(
      (now) =>
        createLieIn(now, ids, id, t('{n, plural, one {# thing} other {# things}}', { n: ids.length }), world.nowMs()),
      t('All of it lies in {name}.', { name }),
    );
  };
  return (
    <>
      <h2 className="font-display text-[21px] leading-tight font-semibold">{t('Where it lies today')}</h2>
      <p className="mt-1 text-sm text-stone">{t('It need not be said. A plan gives everything a home.')}</p>
      {loose.length > 0 && tree.rooms.length > 0 && (
        <Button className="mt-3 w-full" onClick={() => void onFloor()}>
          {t('All of it lies on the floor')}
        </Button>
      )}
      {loose.length > 0 && tree.leaves.length > 0 && (
        <PlaceSelect
          tree={tree}
          label={t('All of it lies in')}
          none={t('All of it lies in …')}
          value={null}
          onChoose={(id) => id && void allIn(id)}
          className={`${placeClass} mt-2`}
        />
      )}
      {tree.leaves.length > 0 && (
        <section aria-label={t('Place by place')} className="stitched-t mt-4 pt-3">
          <h3 className="font-bold">{t('Or place by place')}</h3>
          <p className="text-sm text-stone">{t('What you take in now lies in:')}</p>
          <PlaceSelect
            tree={tree}
            label={t('What is taken in lies in')}
            none={t('not said')}
            value={at < 0 ? null : placeId}
            onChoose={onPlace}
            className={`${placeClass} mt-1`}
          />
          <Button
            className="mt-2 w-full"
            data-key="x"
            disabled={at + 1 >= tree.leaves.length}
            onClick={() => onPlace(tree.leaves[at + 1]!.id)}
          >
            {at < 0 ? t('Walk through them') : t('Next place')} <kbd className="pl-1 font-normal">X</kbd>
          </Button>
          {at >= 0 && (
            <p
              className="mt-1 text-sm text-stone"
              {...explained(t('Places in the order in which one walks along the walls.'))}
            >
              {t('{number} of {places, plural, one {# place} other {# places}}', {
                number: at + 1,
                places: tree.leaves.length,
              })}
            </p>
          )}
        </section>
      )}
      <p className="stitched-t mt-4 pt-3 text-sm text-stone">
        <Linked
          says={t(
            'A thing that is one of its kind goes in by itself: in the line below, in the <stash>stash</stash>, or from a <list>list</list>.',
          )}
          to={{ stash: '/stash', list: '/list' }}
        />
      </p>
    </>
  );
}
