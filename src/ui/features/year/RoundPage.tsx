import { addDays, addMonths } from 'date-fns';
import { memo, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import {
  createCared,
  createGone,
  createHours,
  createNewNeedle,
  createReturn,
  createStay,
  createWash,
} from '../../../core/acts/index.ts';
import type { Household } from '../../../core/records/index.ts';
import { parseCount, toDay } from '../../../core/units/index.ts';
import { listDue, type Due } from '../../../core/upkeep/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { TextField } from '../../components/fields.tsx';
import { Page } from '../../components/Page.tsx';
import { useGrown } from '../../components/useGrown.ts';
import { saveFile } from '../../components/saveFile.ts';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { nameDue, wordDue, wordDueDone } from '../../text/year.ts';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { DueWords } from './DueWords.tsx';
import { LightAndAir } from './LightAndAir.tsx';
import { Seasons } from './Seasons.tsx';
import { YearTabs } from './YearTabs.tsx';
import { perLanguage, t } from '../../language/index.ts';

const SPANS = perLanguage(
  () =>
    [
      [1, t('a month')],
      [3, t('three months')],
      [12, t('a year')],
    ] as const,
);

/** What is done about something that is due, by one key; null where it leads to another screen. */
function doneAct(due: Due, nowMs: number): ((now: Household) => ReturnType<typeof createStay>) | null {
  switch (due.code) {
    case 'expires':
      return (now) => createGone(now, due.lot.id, 'threwOut', nowMs);
    case 'blunt':
      return (now) => createNewNeedle(now, due.lot.id);
    case 'back':
    case 'repair':
      return (now) => createReturn(now, due.lot.id, nowMs);
    case 'wash':
      return (now) => createWash(now, due.lot.id, nowMs);
    case 'leaves':
      return (now) => createGone(now, due.lot.id, 'gaveAway', nowMs);
    case 'air':
      return (now) => createStay(now, due.lot.id, nowMs);
    case 'chore':
      return (now) => createCared(now, due.lot.id, due.chore.id, nowMs);
    case 'restock':
    case 'project':
    case 'season':
      return null;
  }
}

/** One list of all that comes round by itself: what goes bad, wears, was lent, waits to be washed, leaves, or is due. */
export function RoundPage() {
  const household = useHousehold();
  const ticket = useApp((state) => state.ticket);
  const [nowMs] = useState(() => world.nowMs());
  const [months, setMonths] = useState(3);
  const today = toDay(nowMs);
  const due = useMemo(() => listDue(household, nowMs, toDay(addMonths(nowMs, months))), [household, nowMs, months]);
  const sections = [
    [t('Now'), due.filter(({ on }) => on === null || on <= today)],
    [t('This month'), due.filter(({ on }) => on !== null && on > today && on <= toDay(addDays(nowMs, 30)))],
    [t('After that'), due.filter(({ on }) => on !== null && on > toDay(addDays(nowMs, 30)))],
  ] as const;
  const [first] = due;
  const save = async () => {
    const { toDueCalendar } = await import('../../../core/formats/projects/index.ts');
    const made = toDueCalendar(
      listDue(household, nowMs, toDay(addMonths(nowMs, 12))).map((one) => ({
        key: one.key,
        on: one.on ?? today,
        title: `${nameDue(one)}: ${wordDue(one, today)}`,
      })),
    );
    if (made.ok) saveFile(made.value, 'what-comes-round.ics', 'text/calendar');
  };
  return (
    <Page title={t('The year')} tabs={<YearTabs />} aside={ticket?.type === 'lot' ? <TicketPane hint="" /> : undefined}>
      <div className="min-h-0 flex-1 overflow-y-auto px-4 py-3 md:px-5">
        <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
          <label className="flex items-center gap-2">
            {t('Within')}
            <select
              className="h-11 rounded border border-thread bg-paper px-2 md:h-8"
              value={months}
              onChange={({ target }) => setMonths(Number(target.value))}
            >
              {SPANS().map(([count, name]) => (
                <option key={count} value={count}>
                  {name}
                </option>
              ))}
            </select>
          </label>
          <Button look="quiet" onClick={() => void save()}>
            {t('Save for a calendar')}
          </Button>
          <HoursForm />
        </div>
        {due.length === 0 && <p className="mt-4 font-display text-xl">{t('Nothing comes round in that time.')}</p>}
        <div className="mt-4 gap-x-10 xl:columns-2">
          {sections.map(
            ([title, some]) =>
              some.length > 0 && (
                <section key={title} aria-label={title} className="mb-4 break-inside-avoid-column">
                  <h2 className="font-display text-xl font-semibold">{title}</h2>
                  <DueLines due={some} first={first} today={today} />
                </section>
              ),
          )}
        </div>
        <Seasons />
        <LightAndAir />
      </div>
    </Page>
  );
}

/** So many are drawn at once. */
const GROWS = 10;

/** So many of one list are more than one does in a sitting; the rest comes when it is asked for. */
const MOST = 40;

function DueLines({ due, first, today }: { due: readonly Due[]; first: Due | undefined; today: string }) {
  const [isWhole, setWhole] = useState(false);
  const rest = isWhole ? 0 : Math.max(0, due.length - MOST);
  return (
    <>
      <ul>
        {useGrown(rest > 0 ? due.slice(0, MOST) : due, GROWS).map((one) => (
          <DueLine key={one.key} due={one} isFirst={one === first} today={today} />
        ))}
      </ul>
      {rest > 0 && (
        <Button look="quiet" className="mt-1" onClick={() => setWhole(true)}>
          {t('{more} more', { more: rest })}
        </Button>
      )}
    </>
  );
}

const DueLine = memo(function DueLine({ due, isFirst, today }: { due: Due; isFirst: boolean; today: string }) {
  const navigate = useNavigate();
  const press = () => {
    const made = doneAct(due, world.nowMs());
    if (made) return void act(made);
    if (due.code === 'project') return void navigate(`/projects/${due.project.id}`);
    return void navigate(due.code === 'season' ? `/year/season/${due.season.id}/${due.way}` : '/projects/shop');
  };
  return (
    <li
      className="dotted-row flex flex-wrap items-center gap-x-3 py-1"
      aria-label={`${nameDue(due)}: ${wordDue(due, today)}`}
    >
      <DueWords due={due} today={today} />
      <Button look="quiet" {...(isFirst && { 'data-key': 'd' })} onClick={press}>
        {wordDueDone(due)} {isFirst && <kbd className="pl-1 font-normal">D</kbd>}
      </Button>
    </li>
  );
});

/** Hours at the machine that no step of a project has told. */
function HoursForm() {
  const [text, setText] = useState<string | null>(null);
  if (text === null)
    return (
      <Button look="quiet" onClick={() => setText('1')}>
        {t('Hours at the machine')}
      </Button>
    );
  const hours = parseCount(text);
  const fault = hours.ok && hours.value >= 1 && hours.value <= 1000 ? undefined : t('Between 1 and 1000.');
  return (
    <Form
      aria-label={t('Hours at the machine')}
      className="flex items-end gap-2"
      onSend={() =>
        fault || !hours.ok
          ? undefined
          : act(
              (now) => createHours(now, hours.value),
              t('{hours, plural, one {# hour} other {# hours}} counted.', { hours: hours.value }),
            ).then((isDone) => isDone && setText(null))
      }
      onKeyDown={(event) => event.key === 'Escape' && setText(null)}
    >
      <TextField
        label={t('Hours sewn')}
        autoFocus
        value={text}
        fault={fault}
        onChange={({ target }) => setText(target.value)}
      />
      <Button type="submit">{t('Count them')}</Button>
    </Form>
  );
}
