import { useDeferredValue, useMemo, useState } from 'react';
import { Navigate, NavLink, useParams, useSearchParams } from 'react-router';
import { NeedsFirst } from '../../components/NeedsFirst.tsx';
import { explained } from '../../components/explained.ts';
import { Figure, Page, tabClass } from '../../components/Page.tsx';
import { Button } from '../../components/Button.tsx';
import { useGrown } from '../../components/useGrown.ts';
import { useHousehold, world } from '../../state/app.ts';
import { useGroups } from '../../state/groups.ts';
import { formatCode } from '../../../core/labels/index.ts';
import { wordDrift } from '../../text/labels.ts';
import { createFaces, SECTIONS, useLabelRows, useSaying, type LabelRow, type Section } from './labelFacts.ts';
import { OneLabel } from './OneLabel.tsx';
import { PrintPanel } from './PrintPanel.tsx';
import { perLanguage, t } from '../../language/index.ts';

const SECTION_NAMES = perLanguage((): Record<Section, string> => ({
  places: t('Places'),
  bolts: t('Cloth'),
  spools: t('Thread'),
  kits: t('Kits'),
  hooks: t('Hooks'),
  others: t('Other things'),
}));
/** More rows are not listed; they are found by narrowing. */
const LISTED = 150;
/** So many are drawn at once. */
const GROWS = 15;

/** Labels for places and things: what each says, which are no longer true, and the sheets they are printed on. */
export function LabelsPage() {
  const { section: wanted } = useParams();
  const household = useHousehold();
  const [params] = useSearchParams();
  const asked = params.get('of');
  const all = useLabelRows(household);
  const section = wanted
    ? SECTIONS.find((one) => one === wanted)
    : (all.find((row) => row.key === asked)?.section ?? 'places');
  if (!section) return <Navigate to="/labels" replace />;
  return <Labels key={`${section} ${asked ?? ''}`} section={section} asked={asked} />;
}

function Labels({ section, asked }: { section: Section; asked: string | null }) {
  const household = useHousehold();
  const all = useLabelRows(household);
  const rows = useMemo(() => all.filter((row) => row.section === section), [all, section]);
  const drifted = rows.filter((row) => row.state === 'drifted');
  const never = rows.filter((row) => row.state === 'none' && !row.isEmpty);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(
    () => new Set(asked ? [asked] : drifted.map((row) => row.key)),
  );
  const [shownKey, setShownKey] = useState(asked ?? drifted[0]?.key ?? rows.find((row) => !row.isEmpty)?.key ?? null);
  const [text, setText] = useState('');
  const [nowMs] = useState(() => world.nowMs());
  const faces = useMemo(() => createFaces(household, rows, nowMs), [household, rows, nowMs]);
  const picked = rows.filter((row) => chosen.has(row.key));
  const shown = rows.find((row) => row.key === shownKey) ?? null;
  const listed = useSaying(faces, useDeferredValue(text.trim().toLowerCase()));
  const shownRows = useGrown(
    useMemo(() => listed.slice(0, LISTED), [listed]),
    GROWS,
  );
  const toggle = (key: string) => {
    const next = new Set(chosen);
    if (!next.delete(key)) next.add(key);
    setChosen(next);
  };
  return (
    <Page
      title={t('Labels')}
      tabs={<SectionTabs section={section} />}
      foot={<LabelCounts rows={rows} drifted={drifted.length} never={never.length} />}
    >
      <div className="no-print flex min-h-0 flex-1 flex-col gap-x-6 px-4 py-3 md:px-5 lg:flex-row">
        <section aria-label={t('Which')} className="flex min-h-0 min-w-0 flex-col lg:w-[38%]">
          <div className="flex flex-wrap items-center gap-x-4 gap-y-1 pb-2">
            <input
              maxLength={200}
              type="search"
              aria-label={t('Narrow the labels')}
              placeholder={t('narrow by words or code')}
              className="h-11 w-52 rounded border border-thread bg-paper px-2 md:h-8"
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
            <span className="text-stone" {...explained(t('Labels that are ticked for printing.'))}>
              {t('{picked} ticked', { picked: picked.length })}
            </span>
            <Button look="quiet" disabled={picked.length === 0} onClick={() => setChosen(new Set())}>
              {t('None')}
            </Button>
            <TickThose
              drifted={drifted}
              never={never}
              onTick={(some) => setChosen(new Set(some.map((row) => row.key)))}
            />
          </div>
          <NeedsFirst says={t('There is no place to label yet.')} needs="places" />
          {rows.length === 0 && (
            <p className="py-6 font-display text-xl">{t('There is nothing of that to label yet.')}</p>
          )}
          <ul aria-label={t('Labels')} className="max-h-[55vh] min-h-0 flex-1 overflow-y-auto lg:max-h-none">
            {shownRows.map((row) => (
              <Line
                key={row.key}
                row={row}
                title={faces.of(row).title}
                where={row.content?.path ?? formatCode(faces.of(row).code)}
                isChosen={chosen.has(row.key)}
                isShown={row.key === shownKey}
                onToggle={() => toggle(row.key)}
                onShow={() => setShownKey(row.key)}
              />
            ))}
            {listed.length > LISTED && (
              <li className="py-2 text-stone" {...explained(t('Counted; narrow by words to see them.'))}>
                {t('and {listed, plural, one {# more label} other {# more labels}}.', {
                  listed: listed.length - LISTED,
                })}
              </li>
            )}
          </ul>
        </section>
        <div className="min-h-0 min-w-0 flex-1 space-y-4 lg:overflow-y-auto">
          {shown && (
            <OneLabel
              row={shown}
              face={faces.of(shown)}
              section={section}
              onPick={() => setChosen(new Set([...chosen, shown.key]))}
            />
          )}
          <PrintPanel section={section} rows={picked} faces={picked.map(faces.of)} />
        </div>
      </div>
    </Page>
  );
}

function SectionTabs({ section }: { section: Section }) {
  return (
    <nav aria-label={t('What is labelled')} className="flex gap-2">
      {SECTIONS.map((one) => (
        <NavLink key={one} to={`/labels/${one}`} className={tabClass(one === section)}>
          {SECTION_NAMES()[one]}
        </NavLink>
      ))}
    </nav>
  );
}

interface LabelCountsProps {
  readonly rows: readonly LabelRow[];
  readonly drifted: number;
  readonly never: number;
}

function LabelCounts({ rows, drifted, never }: LabelCountsProps) {
  return (
    <>
      <Figure
        value={String(rows.filter((row) => row.state === 'true').length)}
        label={t('up to date')}
        how={t('Labels that were printed and still say what is so.')}
      />
      <Figure
        value={String(drifted)}
        label={t('out of date')}
        how={t(
          'Printed labels that are compared with what is there now: its groups, numbers and colours, and where it stands; of a thing, what it is.',
        )}
      />
      <Figure
        value={String(never)}
        label={t('never printed')}
        how={t(
          'Places with something in them, or things, that have no printed label, and labels whose words were changed since.',
        )}
      />
    </>
  );
}

interface TickThoseProps {
  readonly drifted: readonly LabelRow[];
  readonly never: readonly LabelRow[];
  readonly onTick: (rows: readonly LabelRow[]) => void;
}

function TickThose({ drifted, never, onTick }: TickThoseProps) {
  return (
    <span className="flex flex-wrap gap-x-4">
      {drifted.length > 0 && (
        <Button look="quiet" onClick={() => onTick(drifted)}>
          {t('Those out of date')}
        </Button>
      )}
      {never.length > 0 && (
        <Button look="quiet" onClick={() => onTick(never)}>
          {t('Those never printed')}
        </Button>
      )}
    </span>
  );
}

const STATES = perLanguage(
  () => ({ none: t('never printed'), true: t('up to date'), drifted: t('out of date') }) as const,
);

function Line({
  row,
  title,
  where,
  isChosen,
  isShown,
  onToggle,
  onShow,
}: {
  row: LabelRow;
  title: string;
  where: string;
  isChosen: boolean;
  isShown: boolean;
  onToggle: () => void;
  onShow: () => void;
}) {
  const household = useHousehold();
  const groups = useGroups(household);
  const [first] = row.drift;
  const state =
    row.state === 'drifted' && first
      ? wordDrift(first, household, groups)
      : row.judged === 'vague'
        ? t('does not say what is in it')
        : row.judged === 'unrelated'
          ? t('says something else than is in it')
          : row.isEmpty
            ? t('empty')
            : row.state === 'none' && row.label?.words
              ? t('changed, to be printed')
              : STATES()[row.state];
  const isFault = row.state === 'drifted' || row.judged !== null;
  return (
    <li className={`dotted-row flex items-center gap-2 ${isShown ? 'bg-linen' : ''}`}>
      <label className="grid min-h-11 min-w-8 place-items-center md:min-h-9">
        <input
          type="checkbox"
          className="size-4 accent-woad"
          aria-label={t('Print the label of {where}: {title}', { where, title })}
          checked={isChosen}
          onChange={onToggle}
        />
      </label>
      <button
        type="button"
        aria-current={isShown}
        className="flex min-h-11 min-w-0 flex-1 items-baseline gap-x-3 py-1 text-left hover:bg-linen md:min-h-9"
        onClick={onShow}
      >
        <span className="min-w-0 flex-1">
          <span data-name className="block truncate font-semibold">
            {title}
          </span>
          <span data-name className="block truncate text-sm text-stone">
            {where}
          </span>
        </span>
        <span
          className={`max-w-[46%] shrink-0 text-right text-sm ${isFault ? 'font-semibold text-madder' : 'text-stone'}`}
          {...explained(t('What the label said when it was printed, beside what is there now.'))}
        >
          {state}
        </span>
      </button>
    </li>
  );
}
