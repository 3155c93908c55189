import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { getAmount, getCountedUnit, type getAmountUnit } from '../../../core/measure/index.ts';
import type { Item, Lot, LotId, PlaceId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { type UnitSystem, parseAmountIn } from '../../../core/units/index.ts';
import { Beside } from '../../components/Beside.tsx';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Page } from '../../components/Page.tsx';
import { PlaceCloseUp } from '../../drawing/PlaceCloseUp.tsx';
import { PlacePicture } from '../../drawing/PlacePicture.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { useChoices } from '../../state/choices.ts';
import { getTree } from '../../state/derived.ts';
import { useFound } from '../../state/finder.ts';
import { getWhereabouts, getLotsByPlace } from '../../state/whereabouts.ts';
import { wordWhereShort } from '../../text/where.ts';
import { wordAmount } from '../../text/index.ts';
import { type Counted, compareCount, createCountPlace, listToCount } from '../../../core/acts/index.ts';
import { t } from '../../language/index.ts';
import { Linked } from '../../components/Linked.tsx';

/** Counting, place by place: tick what is there, type what is left; the daybook gets the differences. */
export function CountPage() {
  const household = useHousehold();
  const navigate = useNavigate();
  const { placeId: asked } = useParams();
  const since = useChoices((state) => state.countSinceMs);
  const tree = getTree(household);
  const left = useMemo(() => (since === null ? [] : listToCount(household, since)), [household, since]);
  const [skipped, setSkipped] = useState<ReadonlySet<string>>(new Set());
  const isRound = asked === undefined && since !== null;
  const place = asked ? tree.leaves.find((one) => one.id === asked) : left.find((one) => !skipped.has(one.id));
  const begin = () => {
    setSkipped(new Set());
    useChoices.setState({ countSinceMs: world.nowMs() });
  };
  const end = () => useChoices.setState({ countSinceMs: null });
  return (
    <Page title={t('Count')}>
      <div className="min-h-0 flex-1 px-4 py-4 md:overflow-y-auto md:px-8">
        <Button look="quiet" data-key="escape" className="mb-2" onClick={() => void navigate('/bench')}>
          {t('← The bench')}
        </Button>
        {place ? (
          <OnePlace
            key={place.id}
            placeId={place.id}
            left={isRound ? left.length - skipped.size : null}
            onDone={() => {
              if (!isRound) void navigate('/bench');
            }}
            onSkip={isRound ? () => setSkipped(new Set([...skipped, place.id])) : null}
          />
        ) : asked ? (
          <p className="font-display text-[28px] font-semibold">{t('That place is no longer in the room.')}</p>
        ) : isRound ? (
          <>
            <p className="font-display text-[28px] font-semibold">
              {skipped.size > 0 ? t('All but what was skipped is counted.') : t('Every place is counted.')}
            </p>
            <p className="mt-2">
              <Linked
                says={t('What was missing is on <bench>the bench</bench>, with where it was seen last.')}
                to={{ bench: '/bench' }}
              />
            </p>
            <div className="mt-3 flex gap-3">
              {skipped.size > 0 && (
                <Button onClick={() => setSkipped(new Set())}>{t('Those that were skipped')}</Button>
              )}
              <Button onClick={end}>{t('End the round')}</Button>
            </div>
          </>
        ) : (
          <>
            <p className="font-display text-[28px] font-semibold">{t('A round of counting')}</p>
            <p className="mt-2 max-w-xl">
              {t(
                'Place by place, in the order of the room: tick what is there, type what is left where it differs. You can stop after any place and go on another day.',
              )}
            </p>
            <Button look="strong" className="mt-3" data-key="d" onClick={begin}>
              {t('Begin')} <kbd className="pl-1 font-normal">D</kbd>
            </Button>
          </>
        )}
      </div>
    </Page>
  );
}

/** Beside the list there is room for a large wall. */
const WALL_PX = 360;

interface Entry {
  readonly lot: Lot;
  readonly item: Item;
  readonly isExtra: boolean;
}

function OnePlace({
  placeId,
  left,
  onDone,
  onSkip,
}: {
  placeId: PlaceId;
  left: number | null;
  onDone: () => void;
  onSkip: (() => void) | null;
}) {
  const household = useHousehold();
  const { units } = household.settings;
  const tree = getTree(household);
  const [extras, setExtras] = useState<readonly LotId[]>([]);
  const [there, setThere] = useState<ReadonlySet<LotId>>(new Set());
  const [typed, setTyped] = useState<ReadonlyMap<LotId, string>>(new Map());
  const here = getLotsByPlace(household).get(placeId) ?? [];
  const entries = [...here, ...extras.flatMap((id) => household.lots.get(id) ?? [])].flatMap((lot, i): Entry[] => {
    const item = household.items.get(lot.itemId);
    return item ? [{ lot, item, isExtra: i >= here.length }] : [];
  });
  const read = ({ lot, item }: Entry) => readLeft(typed.get(lot.id) ?? '', getCountedUnit(item, lot), units);
  const found = entries.map((entry): Counted => {
    const { value } = read(entry);
    return {
      lotId: entry.lot.id,
      isThere: entry.isExtra || there.has(entry.lot.id) || value !== null,
      amount: value,
    };
  });
  const isBad = entries.some((entry) => read(entry).isBad);
  const news = compareCount(household, placeId, found);
  const name = formatPlaceName(tree, placeId);
  const done = () =>
    void act((now) => createCountPlace(now, placeId, found, world.nowMs()), t('Counted {name}.', { name })).then(
      (isDone) => isDone && onDone(),
    );
  const toggle = (id: LotId) => {
    const next = new Set(there);
    if (!next.delete(id)) next.add(id);
    setThere(next);
  };
  return (
    <section aria-label={name}>
      <h2 className="font-display text-[28px] leading-tight font-semibold">{name}</h2>
      <p className="text-stone" {...explained(t('Places with something in them that this round has not come to.'))}>
        {left === null
          ? t('This place alone')
          : left === 1
            ? t('The last place of the round')
            : t('{left} more places after it', { left: left - 1 })}
      </p>
      <Beside
        picture={
          <>
            <PlaceCloseUp
              place={placeId}
              label={t('{placeName}, close up', { placeName: formatPlaceName(tree, placeId) })}
            />
            <PlacePicture place={placeId} lots={[]} mark="to" mostPx={WALL_PX} />
          </>
        }
      >
        <div className="mt-3 flex flex-wrap gap-3">
          <Button data-key="a" onClick={() => setThere(new Set(here.map((lot) => lot.id)))}>
            {t('All of it is there')} <kbd className="pl-1 font-normal">A</kbd>
          </Button>
        </div>
        <ul className="mt-2" aria-label={t('What should be there')}>
          {entries.map((entry) => {
            const { lot } = entry;
            return (
              <CountLine
                key={lot.id}
                entry={entry}
                isThere={entry.isExtra || there.has(lot.id) || read(entry).value !== null}
                isBad={read(entry).isBad}
                typed={typed.get(lot.id) ?? ''}
                onToggle={() => toggle(lot.id)}
                onType={(text) => setTyped(new Map(typed).set(lot.id, text))}
                onNotAfterAll={() => setExtras(extras.filter((id) => id !== lot.id))}
              />
            );
          })}
        </ul>
        <AlsoThere known={new Set(entries.map(({ lot }) => lot.id))} onAdd={(id) => setExtras([...extras, id])} />
        <CountNews news={news} isBad={isBad} />
        <div className="sticky bottom-16 mt-2 flex flex-wrap gap-3 bg-mist py-2 md:-bottom-4">
          <Button
            look="strong"
            data-key="d"
            disabled={isBad}
            className="min-h-14 flex-1 text-lg md:min-h-12 md:flex-none md:px-10"
            onClick={done}
          >
            {news.missing.length === 0 ? t('It is counted') : t('Counted; the rest is missing')}{' '}
            <kbd className="pl-1 font-normal">D</kbd>
          </Button>
          {onSkip && (
            <Button data-key="l" className="min-h-14 md:min-h-12" onClick={onSkip}>
              {t('Skip it')} <kbd className="pl-1 font-normal">L</kbd>
            </Button>
          )}
        </div>
      </Beside>
    </section>
  );
}

/** What is typed as left of a thing; nothing typed is as its ticket says, a nought is nothing left. */
function readLeft(
  typed: string,
  unit: ReturnType<typeof getAmountUnit>,
  units: UnitSystem,
): { readonly value: number | null; readonly isBad: boolean } {
  const text = typed.trim();
  if (text === '') return { value: null, isBad: false };
  if (/^0+$/.test(text)) return { value: 0, isBad: false };
  const parsed = parseAmountIn(text, unit, units);
  return parsed.ok ? { value: parsed.value, isBad: false } : { value: null, isBad: true };
}

interface CountLineProps {
  readonly entry: Entry;
  readonly isThere: boolean;
  readonly isBad: boolean;
  readonly typed: string;
  readonly onToggle: () => void;
  readonly onType: (text: string) => void;
  readonly onNotAfterAll: () => void;
}

/** One thing that should be there, or turned up. */
function CountLine({ entry, isThere, isBad, typed, onToggle, onType, onNotAfterAll }: CountLineProps) {
  const household = useHousehold();
  const { units } = household.settings;
  const { lot, item, isExtra } = entry;
  return (
    <li className="dotted-row flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
      <label className="flex min-h-11 min-w-0 flex-1 items-center gap-3 md:min-h-9">
        <input
          type="checkbox"
          className="size-5 shrink-0 accent-woad"
          checked={isThere}
          disabled={isExtra}
          onChange={onToggle}
        />
        <Swatch item={item} className="size-8 shrink-0" />
        <span className="min-w-0">
          <span data-name className="block font-semibold break-words">
            {item.name}
          </span>
          <span className="block text-sm text-stone" {...explained(t('As its ticket says.'))}>
            {wordAmount(item, lot, units)}
            {isExtra && t('; we thought it was {place}', { place: wordWhereShort(getWhereabouts(household, lot.id)) })}
          </span>
        </span>
      </label>
      <input
        maxLength={40}
        aria-label={t('Left of {name}', { name: item.name })}
        aria-invalid={isBad || undefined}
        placeholder={lot.heap ? t('pieces') : getAmount(item, lot) > 0 ? t('as it says') : ''}
        className="h-11 w-28 rounded border border-stone/60 bg-field px-2 aria-invalid:border-2 aria-invalid:border-madder md:h-9"
        value={typed}
        onChange={(event) => onType(event.target.value)}
      />
      {isExtra && (
        <Button look="quiet" onClick={onNotAfterAll}>
          {t('Not here after all')}
        </Button>
      )}
    </li>
  );
}

/** What the count says that was not known. */
function CountNews({ news, isBad }: { news: ReturnType<typeof compareCount>; isBad: boolean }) {
  return (
    <p className="mt-3 text-stone" {...explained(t('What is not ticked, typed anew, or was thought elsewhere.'))}>
      {news.missing.length > 0 &&
        t('{missing, plural, one {# thing} other {# things}} not ticked: missing from now on. ', {
          missing: news.missing.length,
        })}
      {news.changed.length > 0 &&
        t('{changed, plural, one {# amount} other {# amounts}} put right. ', { changed: news.changed.length })}
      {news.turnedUp.length > 0 &&
        t('{turnedUp, plural, one {# thing} other {# things}} turned up. ', { turnedUp: news.turnedUp.length })}
      {isBad && <span className="text-madder">{t('One of the amounts cannot be read.')}</span>}
    </p>
  );
}

/** Something else lies there: it is looked for by name. */
function AlsoThere({ known, onAdd }: { known: ReadonlySet<LotId>; onAdd: (id: LotId) => void }) {
  const household = useHousehold();
  const [text, setText] = useState('');
  const hits = useFound(household, text, 6).filter(({ lotId }) => !known.has(lotId));
  return (
    <div className="mt-2 max-w-md">
      <label className="block">
        <span className="block text-sm text-stone">{t('What else is there?')}</span>
        <input
          maxLength={40}
          className="h-11 w-full rounded border border-stone/60 bg-field px-2 md:h-9"
          placeholder={t('its name, or a part of it')}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <ul>
        {hits.map(({ lotId }) => {
          const item = household.items.get(household.lots.get(lotId)!.itemId)!;
          return (
            <li key={lotId}>
              <button
                type="button"
                className="dotted-row flex min-h-11 w-full items-center gap-3 text-left hover:bg-linen md:min-h-9"
                onClick={() => {
                  onAdd(lotId);
                  setText('');
                }}
              >
                <Swatch item={item} className="size-6 shrink-0" />
                <span className="min-w-0 flex-1 break-words">{item.name}</span>
                <span className="text-right text-sm text-stone">
                  {wordWhereShort(getWhereabouts(household, lotId))}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
