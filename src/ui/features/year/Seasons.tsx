import { useState } from 'react';
import { Link } from 'react-router';
import type { PlaceId, Season } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { listFetchedFromAfar, listOfSeason } from '../../../core/upkeep/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Form } from '../../components/Form.tsx';
import { FormFoot } from '../../components/FormFoot.tsx';
import { SelectField, TextField } from '../../components/fields.tsx';
import { useApp, useHousehold, useOpen, world } from '../../state/app.ts';
import { saveList } from '../../state/settingsList.ts';
import { getTree } from '../../state/derived.ts';
import { useGroups } from '../../state/groups.ts';
import { wordGroup } from '../../text/index.ts';
import { t } from '../../language/index.ts';
import { wordDayOfYear } from '../../text/days.ts';
import { readDayOfYear } from '../../text/readDay.ts';

/** What is stored away for part of the year, and what comes back from a store too often. */
export function Seasons() {
  const household = useHousehold();
  const events = useApp((state) => state.events);
  const open = useOpen();
  const [isNew, setNew] = useState(false);
  const tree = getTree(household);
  const seasons = household.settings.seasons ?? [];
  const fetched = listFetchedFromAfar(household, events, world.nowMs());
  return (
    <section aria-label={t('Seasons')} className="mt-6 max-w-3xl">
      <h2 className="font-display text-xl font-semibold">{t('Put away for the season')}</h2>
      {seasons.length === 0 && !isNew && (
        <p className="text-stone">
          {t(
            'Such as winter cloth that spends the summer in the attic: it goes and comes back on its day, each time with the moves it takes.',
          )}
        </p>
      )}
      <ul>
        {seasons.map((season) => (
          <li key={season.id} className="dotted-row flex flex-wrap items-center gap-x-4 py-1">
            <span
              className="min-w-0 flex-1"
              {...explained(t('What belongs to its groups or has its tag, and the days as you said.'))}
            >
              <strong data-name>{season.name}</strong>
              {t(': {things, plural, one {# thing} other {# things}}, to {place} on {goesOn}, back on {comesOn}', {
                things: listOfSeason(household, season).length,
                place: tree.places.has(season.awayPlaceId)
                  ? formatPlaceName(tree, season.awayPlaceId)
                  : t('a place that is gone'),
                goesOn: wordDayOfYear(season.goesOn),
                comesOn: wordDayOfYear(season.comesOn),
              })}
            </span>
            <Link className="text-woad underline underline-offset-4" to={`/year/season/${season.id}/goes`}>
              {t('Away')}
            </Link>
            <Link className="text-woad underline underline-offset-4" to={`/year/season/${season.id}/comes`}>
              {t('Back')}
            </Link>
            <Button
              look="quiet"
              onClick={() =>
                void saveList(
                  'seasons',
                  (now) => now.filter(({ id }) => id !== season.id),
                  t('{season} stays where it is.', { season: season.name }),
                )
              }
            >
              {t('No more')}
            </Button>
          </li>
        ))}
      </ul>
      {isNew ? (
        <SeasonForm onDone={() => setNew(false)} />
      ) : (
        <Button className="mt-2" onClick={() => setNew(true)}>
          {t('A season')}
        </Button>
      )}
      {fetched.length > 0 && (
        <>
          <p
            className="mt-3"
            {...explained(t('Fetched in three or more of the last six months from a room in which nobody works.'))}
          >
            {t(
              '{fetched, plural, one {# thing from another room comes back month by month. Keep it} other {# things from another room come back month by month. Keep them}} here:',
              { fetched: fetched.length },
            )}
          </p>
          <ul className="flex flex-wrap gap-x-4">
            {fetched.slice(0, 8).map((id) => (
              <li key={id}>
                <button
                  type="button"
                  data-name
                  className="min-h-9 text-woad underline underline-offset-4"
                  onClick={() => open({ type: 'lot', id })}
                >
                  {household.items.get(household.lots.get(id)!.itemId)?.name}
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

/** A season in words: what, where to, and on which days. */
function SeasonForm({ onDone }: { onDone: () => void }) {
  const household = useHousehold();
  const tree = getTree(household);
  const groups = useGroups(household);
  const [text, setText] = useState({
    name: '',
    tag: '',
    goesOn: wordDayOfYear('04-15'),
    comesOn: wordDayOfYear('10-01'),
    awayId: '',
    groupId: '',
  });
  const [isAsked, setAsked] = useState(false);
  const [goesOn, comesOn] = [readDayOfYear(text.goesOn), readDayOfYear(text.comesOn)];
  const noDay = t('Month and day, such as {example}.', { example: wordDayOfYear('04-15') });
  const faults = {
    name: text.name.trim() ? undefined : t('Give it a name.'),
    what: text.tag.trim() || text.groupId ? undefined : t('Say which group, or a tag.'),
    goesOn: goesOn === null ? noDay : undefined,
    comesOn: comesOn === null ? noDay : undefined,
    away: text.awayId ? undefined : t('Say where it goes.'),
  };
  const field = (name: keyof typeof text) => ({
    value: text[name],
    onChange: ({ target }: { target: { value: string } }) => setText({ ...text, [name]: target.value }),
  });
  const places = [...tree.places.values()].filter(({ level }) => level === 'room' || level === 'unit');
  return (
    <Form
      opensBelow
      aria-label={t('A season')}
      className="mt-2 max-w-xl border-l-4 border-woad bg-linen p-3"
      onSend={() => {
        setAsked(true);
        if (goesOn === null || comesOn === null || Object.values(faults).some(Boolean)) return undefined;
        const season: Season = {
          id: world.createId(),
          name: text.name.trim(),
          groupIds: text.groupId ? [text.groupId] : [],
          ...(text.tag.trim() && { tag: text.tag.trim() }),
          awayPlaceId: text.awayId as PlaceId,
          goesOn,
          comesOn,
        };
        return saveList(
          'seasons',
          (now) => [...now, season],
          t('{season} has its days.', { season: season.name }),
        ).then((isDone) => isDone && onDone());
      }}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label={t('What it is called')}
          autoFocus
          maxLength={60}
          fault={isAsked ? faults.name : undefined}
          {...field('name')}
        />
        <TextField
          label={t('What has this tag')}
          maxLength={40}
          fault={isAsked ? faults.what : undefined}
          {...field('tag')}
        />
        <SelectField label={t('Or this group')} {...field('groupId')}>
          <option value="">{t('none')}</option>
          {groups.map((group) => (
            <option key={group.id} value={group.id}>
              {wordGroup(group, household)}
            </option>
          ))}
        </SelectField>
        <SelectField label={t('It goes to')} {...field('awayId')}>
          <option value="">{t('choose')}</option>
          {places.map(({ id }) => (
            <option key={id} value={id}>
              {formatPlaceName(tree, id)}
            </option>
          ))}
        </SelectField>
        <TextField label={t('Goes on')} fault={faults.goesOn} {...field('goesOn')} />
        <TextField label={t('Back on')} fault={faults.comesOn} {...field('comesOn')} />
      </div>
      {isAsked && faults.away && (
        <p role="alert" className="text-sm font-semibold text-madder">
          {faults.away}
        </p>
      )}
      <FormFoot save={t('Keep these days')} onDone={onDone} />
    </Form>
  );
}
