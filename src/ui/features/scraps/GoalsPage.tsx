import { useMemo, useState } from 'react';
import { computeCutShare, standGoals, type GoalStanding, type LineStanding } from '../../../core/projects/index.ts';
import { formatClothLength, formatSize } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Page } from '../../components/Page.tsx';
import { useApp, useHousehold, useOpen } from '../../state/app.ts';
import { saveList } from '../../state/settingsList.ts';
import { capitalise } from '../../text/index.ts';
import { ToProjects } from '../projects/ToProjects.tsx';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { GoalForm } from './GoalForm.tsx';
import { t } from '../../language/index.ts';

/** So many cloths are named for what is missing. */
const MOST_NAMED = 3;

/** What squares and strips are gathered for: how many there are, what the scraps would give, and what is missing in cloth. */
export function GoalsPage() {
  const household = useHousehold();
  const events = useApp((state) => state.events);
  const ticket = useApp((state) => state.ticket);
  const [edited, setEdited] = useState<string | null>(null);
  const standings = useMemo(() => standGoals(household, events), [household, events]);
  const share = useMemo(() => computeCutShare(events, household), [events, household]);
  const isNew = edited === 'new' || standings.length === 0;
  return (
    <Page
      title={t('Squares and strips')}
      tabs={<ToProjects />}
      aside={ticket?.type === 'lot' ? <TicketPane hint="" /> : undefined}
    >
      <div className="min-h-0 flex-1 overflow-y-auto px-4 py-3 md:px-5">
        {standings.length === 0 && (
          <p className="max-w-prose text-stone">
            {t(
              'Say what your scraps are for, such as a quilt of 120 blue squares and 80 of any colour: what is cut counts, what your scraps would give is reckoned, and what is missing is told in cloth.',
            )}
          </p>
        )}
        {standings.map((standing) =>
          edited === standing.goal.id ? (
            <GoalForm
              key={standing.goal.id}
              goal={standing.goal}
              isAsked
              onSave={(goal) =>
                saveList(
                  'goals',
                  (now) => now.map((one) => (one.id === goal.id ? goal : one)),
                  t('Kept {goal}.', { goal: goal.name }),
                )
              }
              onDone={() => setEdited(null)}
            />
          ) : (
            <Goal key={standing.goal.id} standing={standing} share={share} onEdit={() => setEdited(standing.goal.id)} />
          ),
        )}
        {isNew ? (
          <GoalForm
            goal={null}
            isAsked={edited === 'new'}
            onSave={(goal) =>
              saveList('goals', (now) => [...now, goal], t('{goal} is counted from now on.', { goal: goal.name }))
            }
            onDone={() => setEdited(null)}
          />
        ) : (
          <Button className="mt-4" data-key="n" onClick={() => setEdited('new')}>
            {t('Another goal')} <kbd className="pl-1 font-normal">N</kbd>
          </Button>
        )}
      </div>
    </Page>
  );
}

interface GoalProps {
  readonly standing: GoalStanding;
  /** Of odd scraps' area, what becomes pieces. */
  readonly share: number;
  readonly onEdit: () => void;
}

function Goal({ standing: { goal, lines, have, wanted }, share, onEdit }: GoalProps) {
  return (
    <section aria-label={goal.name} className="mb-6 max-w-4xl">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="font-display text-xl font-semibold" data-name>
          {goal.name}
        </h2>
        <span className="text-stone" {...explained(t('Cut already and counted, of all that it takes.'))}>
          {t('{have} of {wanted, plural, one {# piece} other {# pieces}} cut', { have, wanted })}
        </span>
        <span className="ml-auto flex gap-2">
          <Button look="quiet" onClick={onEdit}>
            {t('Change')}
          </Button>
          <Button
            look="quiet"
            onClick={() =>
              void saveList(
                'goals',
                (now) => now.filter((one) => one.id !== goal.id),
                t('{goal} is no longer counted.', { goal: goal.name }),
              )
            }
          >
            {t('Let go')}
          </Button>
        </span>
      </div>
      <ul>
        {lines.map((line, n) => (
          <Line key={n} standing={line} share={share} />
        ))}
      </ul>
    </section>
  );
}

function Line({ standing, share }: { standing: LineStanding; share: number }) {
  const { units } = useHousehold().settings;
  const open = useOpen();
  const { line, have, fromScraps, missing, clothMm, clothWidthMm, cloths } = standing;
  const size = formatSize(line.sideMm, units);
  const what = `${line.colour ? `${line.colour} ` : ''}${line.cut === 'square' ? t('squares') : t('strips')}`;
  const long = line.longMm ? t(' by {size}', { size: formatSize(line.longMm, units) }) : '';
  return (
    <li className="dotted-row py-2" aria-label={`${what} ${size}`}>
      <p className="flex flex-wrap items-baseline gap-x-4">
        <strong data-name>{t('{pieces} of {size}{long}', { pieces: capitalise(what), size, long })}</strong>
        <span className="tabular" {...explained(t('Cut, of that size and colour, and free.'))}>
          {t('{have} of {count} cut', { have, count: line.count })}
        </span>
        {fromScraps > 0 && (
          <span
            className="tabular"
            {...explained(
              t(
                'Odd scraps of the colour, of whose area {share} % becomes pieces: what your own cutting has given, and half where it has not said much yet.',
                { share: Math.round(100 * share) },
              ),
            )}
          >
            {t('{fromScraps} more from scraps', { fromScraps })}
          </span>
        )}
        {missing > 0 ? (
          <span
            className="tabular font-semibold text-madder"
            {...explained(
              t(
                'What is left, in rows across a cloth as wide as those of this colour are, or as cotton is; with 5 cm to straighten the end.',
              ),
            )}
          >
            {t(
              line.colour
                ? '{missing} missing: {length} of {width} {colour} cloth'
                : '{missing} missing: {length} of {width} cloth',
              {
                missing,
                length: formatClothLength(clothMm, units),
                width: formatSize(clothWidthMm, units),
                colour: line.colour,
              },
            )}
          </span>
        ) : (
          <span className="font-semibold text-moss">{t('enough')}</span>
        )}
      </p>
      <Bar line={standing} />
      {cloths.length > 0 && (
        <p className="mt-1 flex flex-wrap gap-x-4 text-sm">
          {cloths.slice(0, MOST_NAMED).map((cloth) => (
            <button
              key={cloth.lot.id}
              type="button"
              className="min-h-9 text-left text-woad underline underline-offset-4"
              onClick={() => open({ type: 'lot', id: cloth.lot.id })}
              {...explained(t('What is free of it, rows across its width, without the selvages.'))}
            >
              {t('{clothLength} of {name} gives {pieces}', {
                clothLength: formatClothLength(cloth.lengthMm, units),
                name: cloth.item.name,
                pieces: cloth.pieces,
              })}
            </button>
          ))}
        </p>
      )}
    </li>
  );
}

/** Cut, from scraps and missing, as one strip of the goal: filled, tacked, bare. */
function Bar({ line: { line, have, fromScraps } }: { line: LineStanding }) {
  const percent = (pieces: number) => `${(100 * pieces) / line.count}%`;
  return (
    <svg aria-hidden className="mt-1 block h-3 w-full max-w-xl">
      <rect width="100%" height="12" fill="var(--color-paper)" stroke="var(--color-stone)" />
      <rect width={percent(have)} height="12" fill="var(--color-woad)" />
      <rect
        x={percent(have)}
        width={percent(fromScraps)}
        height="12"
        fill="var(--color-weld)"
        fillOpacity="0.35"
        stroke="var(--color-ink)"
        strokeDasharray="6 3"
      />
    </svg>
  );
}
