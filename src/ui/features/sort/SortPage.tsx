import { useState } from 'react';
import { SCHOOLS_OF_KIND, type Group } from '../../../core/grouping/index.ts';
import { KINDS, type Household, type Kind, type School } from '../../../core/records/index.ts';
import { createSaveSettings } from '../../../core/tracking/index.ts';
import { formatMass } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Figure, Page } from '../../components/Page.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { getGroups, getNeeds } from '../../state/derived.ts';
import { explainNeeds, wordCount, wordGroup, wordKindPlural, wordSchool } from '../../text/index.ts';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { GroupTicket } from './GroupTicket.tsx';
import { LengthClasses } from './LengthClasses.tsx';

/** Each kind sorted by a school of one's own, with what every group holds and the room it needs. */
export function SortPage() {
  const household = useHousehold();
  const ticket = useApp((state) => state.ticket);
  const show = useApp((state) => state.show);
  const [groupId, setGroupId] = useState<string | null>(null);
  const groups = getGroups(household);
  const chosen = groups.find((group) => group.id === groupId);
  const choose = (group: Group) => {
    show(null);
    setGroupId(group.id);
  };
  const kinds = KINDS.filter((kind) => groups.some((group) => group.kind === kind));
  const small = groups.filter((group) => group.lots.length <= 2).length;
  return (
    <Page
      title="Sort"
      asideLabel={ticket ? 'Ticket' : 'Group'}
      aside={
        ticket ? (
          <>
            {chosen && (
              <Button look="quiet" onClick={() => show(null)}>
                ← Back to {wordGroup(chosen, household)}
              </Button>
            )}
            <TicketPane hint="" />
          </>
        ) : chosen ? (
          <GroupTicket group={chosen} />
        ) : (
          <p className="text-stone">Choose a group to see what is in it, in the order it would stand.</p>
        )
      }
      foot={
        <>
          <Figure
            value={String(groups.length)}
            label="groups"
            how="As each kind is sorted now; press a group, and each of its figures says how it was made."
          />
          <Figure
            value={String(small)}
            label="of one or two, too small for a place of their own"
            how="Groups with no more than two lots. What a group needs adds up its lots in each form they all allow: spines or rolls side by side, piles on top of each other, or litres with the air that stays between (three quarters of a bin for soft goods, five eighths for hard ones)."
          />
        </>
      }
    >
      <div className="min-h-0 flex-1 px-4 pb-4 md:overflow-y-auto md:px-5">
        {kinds.length === 0 && (
          <p className="py-10 font-display text-xl">Nothing to sort yet. Add something in the stash first.</p>
        )}
        {kinds.map((kind) => (
          <KindSection
            key={kind}
            kind={kind}
            groups={groups.filter((group) => group.kind === kind)}
            chosenId={groupId}
            onChoose={choose}
          />
        ))}
      </div>
    </Page>
  );
}

interface KindSectionProps {
  readonly kind: Kind;
  readonly groups: readonly Group[];
  readonly chosenId: string | null;
  readonly onChoose: (group: Group) => void;
}

function KindSection({ kind, groups, chosenId, onChoose }: KindSectionProps) {
  const household = useHousehold();
  const act = useApp((state) => state.act);
  const school = household.settings.schools[kind];
  const lots = groups.reduce((sum, group) => sum + group.lots.length, 0);
  return (
    <section aria-label={wordKindPlural(kind)} className="mt-3">
      <header className="stitched-b flex flex-wrap items-center gap-x-3 pb-1">
        <h2 className="font-display text-lg font-semibold">{wordKindPlural(kind)}</h2>
        <label className="flex items-center gap-2 text-stone">
          sorted
          <select
            aria-label={`Sort ${wordKindPlural(kind).toLowerCase()}`}
            className="h-11 rounded border border-thread bg-paper px-2 text-ink md:h-8"
            value={school}
            onChange={(event) => {
              // Read now: by the time the change is made React has set the field back.
              const chosen = event.target.value as School;
              void act((now) =>
                createSaveSettings(now, { ...now.settings, schools: { ...now.settings.schools, [kind]: chosen } }),
              );
            }}
          >
            {SCHOOLS_OF_KIND[kind].map((one) => (
              <option key={one} value={one}>
                {wordSchool(one, kind)}
              </option>
            ))}
          </select>
        </label>
        {kind === 'fabric' && school === 'lengthClass' && <LengthClasses />}
        <span
          className="text-sm text-stone md:ml-auto"
          {...explained('Groups and lots of this kind as it is sorted now; what is a file or gone is not counted.')}
        >
          {wordCount(groups.length, 'group')}, {wordCount(lots, 'lot')}
        </span>
      </header>
      <ul>
        {groups.map((group) => (
          <GroupLine key={group.id} group={group} isChosen={group.id === chosenId} onChoose={onChoose} />
        ))}
      </ul>
    </section>
  );
}

interface GroupLineProps {
  readonly group: Group;
  readonly isChosen: boolean;
  readonly onChoose: (group: Group) => void;
}

const BANDS = 60;
const NO_WAY = 'Its lots allow no one way of keeping that they share.';

/** The colours of a group in their order, side by side: no more of them than the eye can tell apart. */
function paintBands(group: Group, household: Household): string {
  const { lots } = group;
  const n = Math.min(lots.length, BANDS);
  const stops = Array.from({ length: n }, (_, i) => {
    const lot = lots[Math.floor((i * lots.length) / n)]!;
    const colour = household.items.get(lot.itemId)?.colours[0] ?? '#8a8f94';
    return `${colour} ${(i * 100) / n}% ${((i + 1) * 100) / n}%`;
  });
  return `linear-gradient(to right, ${stops.join(', ')})`;
}

function GroupLine({ group, isChosen, onChoose }: GroupLineProps) {
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
        className={`grid min-h-11 w-full grid-cols-[1fr_auto] items-center gap-x-4 py-1 text-left md:grid-cols-[170px_120px_60px_1fr_70px] md:min-h-9 ${isChosen ? 'bg-linen font-semibold' : 'hover:bg-linen/60'}`}
        onClick={() => onChoose(group)}
      >
        <span data-name className="truncate">
          {wordGroup(group, household)}
        </span>
        <span aria-hidden className="hidden h-4 w-full md:block" style={{ background: paintBands(group, household) }} />
        <span className="tabular text-right" {...explained('The lots that this kind’s sorting puts together.')}>
          {wordCount(group.lots.length, 'lot')}
        </span>
        <span className="col-span-2 md:col-span-1" {...explained(rows.map(({ how }) => how).join(' Or: ') || NO_WAY)}>
          {words[0] ?? 'no one way keeps them all'}
          {words.length > 1 && (
            <span className="text-sm font-normal text-stone">{` or ${words.slice(1).join(', or ')}`}</span>
          )}
        </span>
        <span
          className="tabular hidden text-right text-stone md:block"
          {...explained('What each lot weighs, measured or computed, added up.')}
        >
          {formatMass(needs.massG, units)}
        </span>
      </button>
    </li>
  );
}
