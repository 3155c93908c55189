import type { ReactNode } from 'react';
import type { Balance, MoreRoom, SortBalance } from '../../../core/balance/index.ts';
import { KINDS, type Kind } from '../../../core/records/index.ts';
import { formatArea, formatSize, formatVolume, type UnitSystem } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Figure, Page } from '../../components/Page.tsx';
import { Unanswered } from '../../components/Unanswered.tsx';
import { useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { useAnswer, type Answer } from '../../state/useAnswer.ts';
import { wordKindPlural } from '../../text/index.ts';
import { SORT_WORDS, wordMoreRoom } from '../../text/setout.ts';
import { useFinish } from '../setout/useFinish.ts';
import { RoomTabs } from './RoomTabs.tsx';
import { perLanguage, t } from '../../language/index.ts';
import { midSentence } from '../../text/grammar.ts';
import { Linked } from '../../components/Linked.tsx';

const HOW_TAKES = perLanguage(() =>
  t(
    'Every thing and heap is laid against all places of a sort, in the form that suits it there: what they hold of it together says what share of them it takes. The same shares that plans go by.',
  ),
);
const HOW_LEFT = perLanguage(() =>
  t(
    'What finds no room once each thing went where it rather is and, where that is full, where it also goes; places are filled only to the share that you want filled.',
  ),
);

/** What a sort of room measures, in its own unit. */
function wordRoom(sort: SortBalance['sort'], amount: number, units: UnitSystem): string {
  if (sort === 'pins') return t('{n, plural, one {# pin} other {# pins}}', { n: Math.round(amount) });
  if (sort === 'rail') return formatSize(amount, units);
  return sort === 'pegs' ? formatArea(amount, units) : formatVolume(amount, units);
}

/** What is owned against what the room holds; and what would close the gap. */
export function BalancePage() {
  const household = useHousehold();
  const { answer, again } = useAnswer(household, 'balance', null);
  const ways = useAnswer(household, 'moreRoom', null);
  const [room] = getTree(household).rooms;
  const tabs = room && <RoomTabs roomId={room.id} here="balance" />;
  if (answer) return <Balanced balance={answer} ways={ways} tabs={tabs} />;
  return (
    <Page title={t('Balance')} tabs={tabs}>
      {again ? <Unanswered again={again} /> : <p className="p-5 text-stone">{t('Counting it all …')}</p>}
    </Page>
  );
}

interface BalancedProps {
  readonly balance: Balance;
  readonly ways: Answer<readonly MoreRoom[]>;
  readonly tabs: ReactNode;
}

function Balanced({ balance, ways, tabs }: BalancedProps) {
  const { units, fillTarget } = useHousehold().settings;
  const { sorts, leftMm3, isEnough, spareMm3, lots } = balance;
  const isBare = sorts.length === 0;
  const isEmpty = lots.size === 0;
  const finish = useFinish('balance', '/sort', t('What belongs together?'));
  return (
    <Page
      title={t('Balance')}
      tabs={tabs}
      foot={
        <>
          <Figure value={formatVolume(leftMm3, units)} label={t('without room')} how={HOW_LEFT()} />
          <Figure
            value={formatVolume(spareMm3, units)}
            label={t('still to be filled')}
            how={t('Room of shelves and drawers that is left, up to the {fillTarget} % that you want filled.', {
              fillTarget: Math.round(100 * fillTarget),
            })}
          />
          {finish && <Button onClick={() => void finish()}>{t('On to sorting')}</Button>}
        </>
      }
    >
      <div className="min-h-0 flex-1 px-4 py-4 md:overflow-y-auto md:px-5">
        <h2 className="font-display text-xl font-semibold" {...explained(HOW_LEFT())}>
          {isEmpty
            ? t('Nothing is known to be owned yet.')
            : isBare
              ? t('Nothing stands in the room yet that could hold it.')
              : isEnough
                ? t('It all goes in.')
                : t('{volume} too much.', { volume: formatVolume(leftMm3, units) })}
        </h2>
        {(isEmpty || isBare) && (
          <p className="mt-1 text-stone">
            {isEmpty ? (
              <Linked
                says={t('Say how much there is <heaps>by the heap</heaps>, or <stash>one by one</stash>.')}
                to={{ heaps: '/heaps', stash: '/stash' }}
              />
            ) : (
              <Linked says={t('Say <furnish>what stands in it</furnish>.')} to={{ furnish: '/room/plan?do=furnish' }} />
            )}
          </p>
        )}
        <LeftByKind balance={balance} units={units} />
        {sorts.map((one) => (
          <SortSection key={one.sort} of={one} units={units} />
        ))}
        <Unanswered again={ways.again} />
        {ways.answer !== null && ways.answer.length > 0 && (
          <section aria-label={t('What would make room')} className="mt-6 max-w-3xl">
            <h3 className="font-display text-lg font-semibold">{t('What would make room')}</h3>
            <ul>
              {ways.answer.map((way, i) => (
                <li
                  key={i}
                  className="dotted-row py-1.5"
                  {...explained(t('All of it was counted anew with this changed, and nothing else.'))}
                >
                  {wordMoreRoom(way, units)}
                </li>
              ))}
              <li className="dotted-row py-1.5">
                {t('Letting go of {left} does, too.', {
                  left: balance.left.map(({ kind, lots: n }) => wordLots(kind, n)).join(', '),
                })}
              </li>
            </ul>
          </section>
        )}
      </div>
    </Page>
  );
}

const wordLots = (kind: Kind, lots: number) =>
  t('{lots} of {kindPlural}', { lots, kindPlural: midSentence(wordKindPlural(kind)) });

function LeftByKind({ balance, units }: { balance: Balance; units: UnitSystem }) {
  if (balance.left.length === 0) return null;
  return (
    <ul className="mt-1" {...explained(HOW_LEFT())}>
      {balance.left.map(({ kind, lots, mm3 }) => (
        <li key={kind}>
          {t('{kindPlural}: {lots, plural, one {# thing} other {# things}} of', {
            kindPlural: wordKindPlural(kind),
            lots,
          })}{' '}
          {balance.lots.get(kind)}
          {t(', {volume} as they lie in a bin.', { volume: formatVolume(mm3, units) })}
        </li>
      ))}
    </ul>
  );
}

const FILLS: Readonly<Record<Kind, string>> = {
  fabric: 'bg-woad',
  pattern: 'bg-weld',
  thread: 'bg-madder',
  notion: 'bg-walnut',
  tool: 'bg-stone',
  scrap: 'bg-moss',
  kit: 'bg-ink',
  other: 'bg-thread',
};

/** One sort of room: what would rather be there, by kind, against what is there. */
function SortSection({
  of: { sort, places, has, usable, wants, wanted, takes },
  units,
}: {
  of: SortBalance;
  units: UnitSystem;
}) {
  const most = Math.max(has, wants);
  const share = (amount: number) => `${(100 * amount) / most}%`;
  const kinds = KINDS.filter((kind) => (wanted.get(kind) ?? 0) > 0);
  const moved = wants - takes;
  return (
    <section aria-label={SORT_WORDS()[sort]} className="mt-5 max-w-3xl">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h3 className="font-display text-lg font-semibold">{SORT_WORDS()[sort]}</h3>
        <span className="text-stone" {...explained(HOW_TAKES())}>
          {t('{places, plural, one {# place} other {# places}}, {room}; {usable} of it to be filled', {
            places,
            room: wordRoom(sort, has, units),
            usable: wordRoom(sort, usable, units),
          })}
        </span>
      </div>
      <div className="relative mt-1 h-7 border border-walnut bg-paper" style={{ width: share(has) }}>
        <div className="absolute inset-y-0 left-0 flex" style={{ width: `${(100 * most) / has}%` }}>
          {kinds.map((kind) => (
            <span key={kind} className={`h-full ${FILLS[kind]}`} style={{ width: share(wanted.get(kind)!) }} />
          ))}
        </div>
        <span
          aria-hidden
          className="absolute -inset-y-1 border-l-2 border-dashed border-ink"
          style={{ left: `${(100 * usable) / has}%` }}
        />
      </div>
      <p className="mt-1 text-sm" {...explained(HOW_TAKES())}>
        {kinds.length === 0 ? t('Nothing would be better off here. ') : ''}
        {kinds.map((kind) => (
          <span key={kind} className="mr-3 whitespace-nowrap">
            <span aria-hidden className={`mr-1 inline-block size-3 ${FILLS[kind]}`} />
            {wordKindPlural(kind)} {wordRoom(sort, wanted.get(kind)!, units)}
          </span>
        ))}
        {Math.abs(moved) > 0.01 * has && (
          <span className="text-stone">
            {moved > 0
              ? t('{room} of it go elsewhere or are left over.', { room: wordRoom(sort, moved, units) })
              : t('{room} more go here from elsewhere.', { room: wordRoom(sort, -moved, units) })}
          </span>
        )}
      </p>
    </section>
  );
}
