import { Fragment, memo, useMemo } from 'react';
import type { Group } from '../../../core/grouping/index.ts';
import {
  ORDERS_OF_KIND,
  SCHOOLS_OF_KIND,
  type Kind,
  type Measure,
  type Order,
  type School,
} from '../../../core/records/index.ts';
import { formatMass } from '../../../core/units/index.ts';
import { explained } from '../../components/explained.ts';
import { SCREENFUL, useGrown } from '../../components/useGrown.ts';
import { useHousehold } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { getNeeds } from '../../state/needs.ts';
import { wordGroup, wordKindPlural } from '../../text/index.ts';
import { explainNeeds } from '../../text/needs.ts';
import { wordInside, wordOutside } from '../../text/groups.ts';
import { wordOrder, wordSchool } from '../../text/schools.ts';
import { paintBands } from '../../drawing/bands.ts';
import { BoundaryStrip } from './BoundaryStrip.tsx';
import { getMeasure, getScale, listMarks, MEASURE_LABEL, nameClass } from './measures.ts';
import { TagWords } from './TagWords.tsx';
import { createSetBounds, createSort } from '../../../core/acts/index.ts';
import { perLanguage, t } from '../../language/index.ts';
import { midSentence } from '../../text/grammar.ts';

const MOST_LEVELS = 3;
const selectClass = 'h-11 rounded border border-thread bg-paper px-2 text-ink md:h-8';

interface KindSectionProps {
  readonly kind: Kind;
  readonly groups: readonly Group[];
  readonly chosenId: string | null;
  readonly onChoose: (group: Group) => void;
}

/** One kind of thing: how it is sorted, where its classes meet, and its groups. */
export const KindSection = memo(function KindSection({ kind, groups, chosenId, onChoose }: KindSectionProps) {
  const household = useHousehold();
  const { levels, order, tags } = household.settings.sorting[kind];
  const lots = groups.reduce((sum, group) => sum + group.lots.length, 0);
  const measures = [...new Set(levels.flatMap((level) => getMeasure(level, kind) ?? []))];
  const name = wordKindPlural(kind);
  // Read now: by the time the change is made React has set the field back.
  const setLevel = (index: number, chosen: string) => {
    const next = chosen === '' ? levels.toSpliced(index, 1) : levels.toSpliced(index, 1, chosen as School);
    void act((now) => createSort(now, kind, { levels: next }));
  };
  return (
    <section aria-label={name} className="mt-3">
      <header className="stitched-b flex flex-wrap items-center gap-x-3 gap-y-1 pb-1">
        <h2 className="font-display text-lg font-semibold">{name}</h2>
        {Array.from({ length: Math.min(MOST_LEVELS, levels.length + 1) }, (_, i) => {
          const isNext = i === levels.length;
          const free = SCHOOLS_OF_KIND[kind].filter((one) => one === levels[i] || !levels.includes(one));
          return (
            <label key={i} className="flex max-w-full items-center gap-2 text-stone">
              {i === 0 ? t('sorted') : isNext ? '' : t('inside')}
              <select
                aria-label={
                  i === 0
                    ? t('Sort {name}', { name: midSentence(name) })
                    : i === 1
                      ? t('{name}, second school', { name })
                      : t('{name}, third school', { name })
                }
                className={`${selectClass} min-w-0 md:field-sizing-content md:min-w-38 ${isNext ? 'text-stone' : ''}`}
                value={levels[i] ?? ''}
                onChange={(event) => setLevel(i, event.target.value)}
              >
                {i > 0 && <option value="">{isNext ? t('nothing more') : t('not at all')}</option>}
                {free.map((one) => (
                  <option key={one} value={one}>
                    {wordSchool(one)}
                  </option>
                ))}
              </select>
            </label>
          );
        })}
        <label className="flex max-w-full items-center gap-2 text-stone">
          {t('in order')}
          <select
            aria-label={t('Order of {name}', { name: midSentence(name) })}
            className={`${selectClass} min-w-0 md:field-sizing-content`}
            value={order}
            onChange={(event) => {
              const chosen = event.target.value as Order;
              void act((now) => createSort(now, kind, { order: chosen }));
            }}
          >
            {ORDERS_OF_KIND[kind].map((one) => (
              <option key={one} value={one}>
                {wordOrder(one)}
              </option>
            ))}
          </select>
        </label>
        {levels.includes('tag') && <TagWords kind={kind} tags={tags} />}
        <span
          className="text-sm text-stone md:ml-auto"
          {...explained(
            t('Groups and things of this kind as it is sorted now; what is a file or gone is not counted.'),
          )}
        >
          {t('{groups, plural, one {# group} other {# groups}}, {lots, plural, one {# thing} other {# things}}', {
            groups: groups.length,
            lots,
          })}
        </span>
      </header>
      {measures.map((measure) => (
        <MeasureStrip key={measure} measure={measure} kind={kind} groups={groups} />
      ))}
      <ul>
        {useGrown(groups, SCREENFUL).map((group, i) => {
          const outside = levels.length > 1 || group.part ? wordOutside(group, household) : null;
          const isFirst = outside !== null && (i === 0 || wordOutside(groups[i - 1]!, household) !== outside);
          return (
            <Fragment key={group.id}>
              {isFirst && wordInside(group, household) !== '' && (
                <OutsideLine name={outside} groups={groups.filter((one) => wordOutside(one, household) === outside)} />
              )}
              <GroupLine
                group={group}
                isInside={outside !== null && wordInside(group, household) !== ''}
                isChosen={group.id === chosenId}
                onChoose={onChoose}
              />
            </Fragment>
          );
        })}
      </ul>
    </section>
  );
});

function MeasureStrip({ measure, kind, groups }: { measure: Measure; kind: Kind; groups: readonly Group[] }) {
  const household = useHousehold();
  const { bounds, units } = household.settings;
  const marks = useMemo(() => listMarks(household, groups, measure), [household, groups, measure]);
  if (marks.length === 0) return null;
  return (
    <BoundaryStrip
      label={t('{kindPlural} by {measure}', {
        kindPlural: midSentence(wordKindPlural(kind)),
        measure: MEASURE_LABEL()[measure],
      })}
      marks={marks}
      at={bounds[measure]}
      {...getScale(measure, units)}
      nameClass={(index, at) => nameClass(measure, index, at, household)}
      onChange={(at) => void act((now) => createSetBounds(now, measure, at))}
    />
  );
}

/** What several groups have in common, above them. */
function OutsideLine({ name, groups }: { name: string; groups: readonly Group[] }) {
  const lots = groups.reduce((sum, group) => sum + group.lots.length, 0);
  return (
    <li className="mt-1.5 flex items-baseline gap-3 font-semibold">
      {name}
      <span
        className="text-sm font-normal text-stone"
        {...explained(t('The groups and things below this name, added up.'))}
      >
        {t('{groups, plural, one {# group} other {# groups}}, {lots, plural, one {# thing} other {# things}}', {
          groups: groups.length,
          lots,
        })}
      </span>
    </li>
  );
}

interface GroupLineProps {
  readonly group: Group;
  /** It stands under the name that it shares with others. */
  readonly isInside: boolean;
  readonly isChosen: boolean;
  readonly onChoose: (group: Group) => void;
}

const NO_WAY = perLanguage(() => t('Its things cannot all be kept the same way.'));

const GroupLine = memo(function GroupLine({ group, isInside, isChosen, onChoose }: GroupLineProps) {
  const household = useHousehold();
  const { units } = household.settings;
  const needs = getNeeds(household, group);
  const rows = explainNeeds(needs, units);
  const words = rows.map((need) => need.words);
  return (
    <li className="dotted-row [contain-intrinsic-size:auto_37px] [content-visibility:auto]">
      <button
        type="button"
        aria-pressed={isChosen}
        className={`grid min-h-11 w-full grid-cols-[1fr_auto] items-center gap-x-4 py-1 text-left md:grid-cols-[170px_110px_80px_1fr_70px] md:min-h-9 ${isChosen ? 'bg-linen font-semibold' : 'hover:bg-linen/60'}`}
        onClick={() => onChoose(group)}
      >
        <span data-name className={`truncate ${isInside ? 'pl-4' : ''}`}>
          {isInside && <span className="sr-only">{wordOutside(group, household)}, </span>}
          {isInside ? wordInside(group, household) : wordGroup(group, household)}
        </span>
        <span aria-hidden className="hidden h-4 w-full md:block" style={{ background: paintBands(group, household) }} />
        <span className="tabular text-right" {...explained(t('The things that this kind’s sorting puts together.'))}>
          {t('{n, plural, one {# thing} other {# things}}', { n: group.lots.length })}
        </span>
        <span
          className="col-span-2 md:col-span-1"
          {...explained(rows.map(({ how }) => how).join(t(' Or: ')) || NO_WAY())}
        >
          {words[0] ?? t('they cannot all be kept the same way')}
          {words.length > 1 && (
            <span className="text-sm font-normal text-stone">
              {t(' or {words}', { words: words.slice(1).join(t(', or ')) })}
            </span>
          )}
        </span>
        <span
          className="tabular hidden text-right text-stone md:block"
          {...explained(t('What each thing weighs, measured or computed, added up.'))}
        >
          {formatMass(needs.massG, units)}
        </span>
      </button>
    </li>
  );
});
