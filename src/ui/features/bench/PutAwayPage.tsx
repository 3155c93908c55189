import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Household, LotId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { withAct } from '../../../core/suppose/index.ts';
import { Beside } from '../../components/Beside.tsx';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Page } from '../../components/Page.tsx';
import { Unanswered } from '../../components/Unanswered.tsx';
import { WhyNowhere } from '../../components/WhyNowhere.tsx';
import { useGrown } from '../../components/useGrown.ts';
import { SpotsPicture, type PlaceMark } from '../../drawing/PlacePicture.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { wordAmount, wordForm, wordHomeOffer } from '../../text/index.ts';
import { wordCompany } from '../../text/bench.ts';
import { findStrays, type OnBench } from './benchFacts.ts';
import type { HomeOffer } from '../../../workers/protocol.ts';
import { createMove } from '../../../core/acts/index.ts';
import { perLanguage, t } from '../../language/index.ts';
import { PutAwayEnd, WALL_PX } from './PutAwayEnd.tsx';

/** The three best places, each by one key that lies side by side with the others. */
const KEYS = ['i', 'o', 'p'] as const;
const HOW = perLanguage(() =>
  t(
    'Every place was really packed with it beside what lies there, and priced like a plan: seconds a month beside looking for it everywhere.',
  ),
);

/** What has no home yet, one thing after the other: the three best places for it, and the rest stays as it is. */
export function PutAwayPage() {
  const household = useHousehold();
  const navigate = useNavigate();
  const [later, setLater] = useState<ReadonlySet<LotId>>(new Set());
  /** The one that was pressed comes before its turn. */
  const [pressed, setPressed] = useState<LotId | null>(null);
  const [placed, setPlaced] = useState<readonly LotId[]>([]);
  const { homeless } = findStrays(household);
  const left = homeless.filter(({ lot }) => lot.id === pressed || !later.has(lot.id));
  const thing = left.find(({ lot }) => lot.id === pressed) ?? left[0];
  const putOff = (id: LotId) => {
    setLater(new Set([...later, id]));
    setPressed(null);
  };
  return (
    <Page title={t('Put away')}>
      <div className="min-h-0 flex-1 px-4 py-4 md:overflow-y-auto md:px-8">
        <Button look="quiet" data-key="escape" className="mb-2" onClick={() => void navigate('/bench')}>
          {t('← The bench')}
        </Button>
        {thing ? (
          <Choice
            key={thing.lot.id}
            thing={thing}
            left={left.length}
            onPlaced={() => setPlaced([...placed.filter((id) => id !== thing.lot.id), thing.lot.id])}
            onLater={() => putOff(thing.lot.id)}
          />
        ) : (
          <PutAwayEnd waiting={homeless} placed={placed} onAll={() => setLater(new Set())} onOne={setPressed} />
        )}
      </div>
    </Page>
  );
}

/** How it would be with an offer taken; worked out once for each. */
const supposed = new WeakMap<HomeOffer, { readonly from: Household; readonly after: Household | null }>();
function supposeMove(household: Household, lotId: LotId, offer: HomeOffer): Household | null {
  const known = supposed.get(offer);
  if (known?.from === household) return known.after;
  const after = withAct(household, createMove(household, lotId, offer.placeId, offer.form, world.nowMs()));
  supposed.set(offer, { from: household, after });
  return after;
}

function Choice({
  thing: { lot, item },
  left,
  onPlaced,
  onLater,
}: {
  thing: OnBench;
  left: number;
  onPlaced: () => void;
  onLater: () => void;
}) {
  const household = useHousehold();
  const tree = getTree(household);
  const { answer: offers, again } = useAnswer(household, 'homes', lot.id);
  const { units } = household.settings;
  const best = useMemo(() => offers?.slice(0, KEYS.length) ?? [], [offers]);
  // The places can be chosen at once; each is put on its wall in its turn.
  const drawn = useGrown(best, 1).length;
  const spots = useMemo(
    () =>
      best.slice(0, drawn).map((offer, i): PlaceMark => ({
        place: offer.placeId,
        mark: 'to',
        letter: KEYS[i]!,
        lots: [lot.id],
        after: supposeMove(household, lot.id, offer),
      })),
    [best, drawn, household, lot.id],
  );
  return (
    <section aria-label={item.name}>
      <div className="flex items-center gap-4">
        <Swatch item={item} className="size-16 shrink-0" />
        <div>
          <h2 className="font-display text-[28px] leading-tight font-semibold">{item.name}</h2>
          <p className="text-stone" {...explained(t('As its ticket says; and how many wait with it.'))}>
            {wordAmount(item, lot, units)};{' '}
            {left === 1 ? t('the last one') : t('{left} more after it', { left: left - 1 })}
          </p>
        </div>
      </div>
      <Unanswered again={again} />
      {offers === null && !again && (
        <p role="status" className="mt-4 text-stone">
          {t('Trying every place…')}
        </p>
      )}
      {offers?.length === 0 && (
        <div className="mt-4">
          <WhyNowhere lotId={lot.id} />
        </div>
      )}
      <Beside isLast picture={<SpotsPicture spots={spots} lots={[]} mostPx={WALL_PX} />}>
        <ul aria-label={t('The best places')} className="space-y-3">
          {best.map((offer, i) => (
            <li key={offer.placeId}>
              <button
                type="button"
                data-key={KEYS[i]}
                className="flex min-h-16 w-full items-center gap-4 border border-ink bg-paper px-4 py-2 text-left hover:bg-linen"
                onClick={() => {
                  void act((now) => createMove(now, lot.id, offer.placeId, offer.form, world.nowMs()));
                  onPlaced();
                }}
              >
                <kbd className="grid size-9 shrink-0 place-items-center rounded border border-thread bg-linen font-semibold uppercase">
                  {KEYS[i]}
                </kbd>
                <span className="min-w-0 flex-1">
                  <span className="block text-lg font-semibold">{formatPlaceName(tree, offer.placeId)}</span>
                  <span className="block text-stone" {...explained(HOW())}>
                    {wordForm(offer.form)}, {wordCompany(offer)}; {wordHomeOffer(offer, true)}
                  </span>
                </span>
              </button>
            </li>
          ))}
        </ul>
        <Button look="quiet" className="mt-4" data-key="l" onClick={onLater}>
          {t('Later')} <kbd className="font-normal">L</kbd>
        </Button>
      </Beside>
    </section>
  );
}
