import { addDays } from 'date-fns';
import { useState } from 'react';
import { createElsewhere, createLeave, createStay, createUseSoon, type Act } from '../../../core/acts/index.ts';
import type { Household, ProjectId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { toDay } from '../../../core/units/index.ts';
import type { ReviewEntry } from '../../../core/upkeep/index.ts';
import { Beside } from '../../components/Beside.tsx';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { TextField } from '../../components/fields.tsx';
import { Unanswered } from '../../components/Unanswered.tsx';
import { PlacePicture } from '../../drawing/PlacePicture.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { useChoices } from '../../state/choices.ts';
import { getTree } from '../../state/derived.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { wordAmount, wordForm, wordHomeOffer } from '../../text/index.ts';
import { wordRent, wordReviewReason } from '../../text/year.ts';
import { t } from '../../language/index.ts';
import { wordDay } from '../../text/days.ts';

/** The places that are offered elsewhere, each by one key. */
const KEYS = ['i', 'o', 'p'] as const;

interface OneThingProps {
  readonly entry: ReviewEntry;
  readonly left: number;
  readonly onLater: () => void;
  readonly onDone: () => void;
}

/** Beside the keys there is room for a large wall. */
const PICTURE_PX = 560;

/** One thing to go through: why it came up, what its room costs, and one key for what becomes of it. */
export function OneThing({ entry, left, onLater, onDone }: OneThingProps) {
  const { lot, item, reasons } = entry;
  const household = useHousehold();
  const tree = getTree(household);
  const { leaveTo, leaveDays } = useChoices();
  const [isElsewhere, setElsewhere] = useState(false);
  const [isAsked, setAsked] = useState(false);
  const by = toDay(addDays(world.nowMs(), leaveDays));
  const decide = async (make: (now: Household) => Act, note: string) => {
    if (await act(make, note)) onDone();
  };
  const isHeirloom = reasons.some(({ code }) => code === 'air');
  const choices = [
    {
      key: 's',
      name: isHeirloom ? t('Aired and refolded; it stays') : t('It stays'),
      onPress: () =>
        void decide((now) => createStay(now, lot.id, world.nowMs()), t('{name} stays.', { name: item.name })),
    },
    {
      key: 'i',
      name: t('Use it soon: it becomes an idea'),
      isHidden: isElsewhere,
      onPress: () =>
        void decide(
          (now) => createUseSoon(now, lot.id, world.createId() as ProjectId, world.createId(), world.nowMs()),
          t('An idea with {name} is among the projects.', { name: item.name }),
        ),
    },
    {
      key: 'g',
      name: leaveTo
        ? t('Let it go, to {leaveTo} by {day}', { leaveTo, day: wordDay(by) })
        : t('Let it go by {day}', { day: wordDay(by) }),
      onPress: () =>
        void decide(
          (now) => createLeave(now, lot.id, { toWhom: leaveTo.trim(), by }, world.nowMs()),
          t('{name} is to go.', { name: item.name }),
        ),
    },
    { key: 'e', name: t('Keep it elsewhere'), onPress: () => setElsewhere(!isElsewhere) },
    { key: 'l', name: t('Later'), onPress: onLater },
  ];
  return (
    <section aria-label={item.name}>
      <div className="flex items-center gap-4">
        <Swatch item={item} className="size-20 shrink-0" />
        <div className="min-w-0">
          <h2 className="font-display text-[28px] leading-tight font-semibold" data-name>
            {item.name}
          </h2>
          <p {...explained(t('What the daybook and its ticket say of it.'))}>
            {wordAmount(item, lot, household.settings.units)};{' '}
            {reasons.map((one) => wordReviewReason(one, household)).join('; ')}
          </p>
          <p
            className="text-stone"
            {...explained(t('The room it takes as it is kept, and for how long nothing was done with it.'))}
          >
            {wordRent(entry)}
            {lot.homeId && tree.places.has(lot.homeId) ? `: ${formatPlaceName(tree, lot.homeId)}` : ''}.{' '}
            {left === 1 ? t('The last one.') : t('{left} more after it.', { left: left - 1 })}
          </p>
        </div>
      </div>
      <Beside
        picture={
          lot.state === 'in' &&
          lot.placeId && <PlacePicture place={lot.placeId} lots={[lot.id]} mark="to" mostPx={PICTURE_PX} />
        }
      >
        <ul aria-label={t('What becomes of it')} className="space-y-2">
          {choices
            .filter(({ isHidden }) => !isHidden)
            .map(({ key, name, onPress }) => (
              <li key={key}>
                <button
                  type="button"
                  data-key={key}
                  className="flex min-h-12 w-full items-center gap-4 border border-ink bg-paper px-4 py-1.5 text-left hover:bg-linen"
                  onClick={onPress}
                >
                  <kbd className="grid size-8 shrink-0 place-items-center rounded border border-thread bg-linen font-semibold uppercase">
                    {key}
                  </kbd>
                  <span className="min-w-0 flex-1 font-semibold" data-name>
                    {name}
                  </span>
                </button>
              </li>
            ))}
        </ul>
        {isElsewhere && <Elsewhere entry={entry} onDone={onDone} />}
        {isAsked ? (
          <ToWhom onDone={() => setAsked(false)} />
        ) : (
          <Button look="quiet" className="mt-2" onClick={() => setAsked(true)}>
            {t('To whom, and by when')}
          </Button>
        )}
      </Beside>
    </section>
  );
}

/** To whom what is let go goes, and by when: remembered for what comes after it. */
function ToWhom({ onDone }: { onDone: () => void }) {
  const { leaveTo, leaveDays } = useChoices();
  const [days, setDays] = useState(String(leaveDays));
  const read = Number(days);
  const isGood = Number.isInteger(read) && read >= 1 && read <= 730;
  return (
    <div className="mt-2 flex max-w-xl flex-wrap items-end gap-3 border-l-4 border-woad bg-linen p-3">
      <TextField
        label={t('To whom things go')}
        autoFocus
        maxLength={80}
        value={leaveTo}
        onChange={({ target }) => useChoices.setState({ leaveTo: target.value })}
      />
      <TextField
        label={t('Within days')}
        value={days}
        fault={isGood ? undefined : t('Between 1 and 730.')}
        onChange={({ target }) => {
          setDays(target.value);
          const next = Number(target.value);
          if (Number.isInteger(next) && next >= 1 && next <= 730) useChoices.setState({ leaveDays: next });
        }}
      />
      <Button onClick={onDone}>{t('Done')}</Button>
    </div>
  );
}

/** The cheapest other places for it, seldom used as it is. */
function Elsewhere({ entry: { lot }, onDone }: { entry: ReviewEntry; onDone: () => void }) {
  const household = useHousehold();
  const tree = getTree(household);
  const { answer, again } = useAnswer(household, 'homes', lot.id);
  const offers = answer
    ?.filter(({ placeId }) => placeId !== lot.homeId && placeId !== lot.placeId)
    .slice(0, KEYS.length);
  return (
    <div className="mt-3">
      <Unanswered again={again} />
      {!offers && !again && (
        <p role="status" className="text-stone">
          {t('Trying every place…')}
        </p>
      )}
      {offers?.length === 0 && <p>{t('No other place takes it as things are.')}</p>}
      <ul aria-label={t('Other places')} className="space-y-2">
        {offers?.map((offer, i) => (
          <li key={offer.placeId}>
            <button
              type="button"
              data-key={KEYS[i]}
              className="flex min-h-12 w-full items-center gap-4 border border-thread bg-paper px-4 py-1.5 text-left hover:bg-linen"
              onClick={() =>
                void act((now) => createElsewhere(now, lot.id, offer.placeId, offer.form, world.nowMs())).then(
                  (isDone) => isDone && onDone(),
                )
              }
            >
              <kbd className="grid size-8 shrink-0 place-items-center rounded border border-thread bg-linen font-semibold uppercase">
                {KEYS[i]}
              </kbd>
              <span className="min-w-0 flex-1">
                <span className="block font-semibold">{formatPlaceName(tree, offer.placeId)}</span>
                <span
                  className="block text-sm text-stone"
                  {...explained(
                    t('Every place was really packed with it beside what lies there, and priced like a plan.'),
                  )}
                >
                  {wordForm(offer.form)}; {wordHomeOffer(offer, lot.homeId === undefined)}
                </span>
              </span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
