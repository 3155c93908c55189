import { Link } from 'react-router';
import type { Balance, SortBalance } from '../../../core/balance/index.ts';
import { KINDS, type Kind } from '../../../core/records/index.ts';
import { formatArea, formatSize, formatVolume, type UnitSystem } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { Figure, Page } from '../../components/Page.tsx';
import { useHousehold } from '../../state/app.ts';
import { getBalance, getMoreRoom } from '../../state/balance.ts';
import { getTree } from '../../state/derived.ts';
import { wordCount, wordKindPlural } from '../../text/index.ts';
import { SORT_WORDS, wordMoreRoom } from '../../text/setout.ts';
import { useFinish } from '../setout/useFinish.ts';
import { RoomTabs } from './RoomTabs.tsx';

const HOW_TAKES =
  'Every thing and heap is laid against all places of a sort, in the form that suits it there: what they hold of it together says what share of them it takes. The same shares that plans go by.';
const HOW_LEFT =
  'What finds no room once each thing went where it rather is and, where that is full, where it also goes; places are filled only to the share that you want filled.';

/** What a sort of room measures, in its own unit. */
function wordRoom(sort: SortBalance['sort'], amount: number, units: UnitSystem): string {
  if (sort === 'pins') return wordCount(Math.round(amount), 'pin');
  if (sort === 'rail') return formatSize(amount, units);
  return sort === 'pegs' ? formatArea(amount, units) : formatVolume(amount, units);
}

/** What is owned against what the room holds; and what would close the gap. */
export function BalancePage() {
  const household = useHousehold();
  const { units, fillTarget } = household.settings;
  const balance = getBalance(household);
  const ways = getMoreRoom(household);
  const { sorts, leftMm3, isEnough, spareMm3, lots } = balance;
  const [room] = getTree(household).rooms;
  const isBare = sorts.length === 0;
  const isEmpty = lots.size === 0;
  const finish = useFinish('balance', '/sort', 'What belongs together?');
  return (
    <Page
      title="Balance"
      tabs={room && <RoomTabs roomId={room.id} here="balance" />}
      foot={
        <>
          <Figure value={formatVolume(leftMm3, units)} label="without room" how={HOW_LEFT} />
          <Figure
            value={formatVolume(spareMm3, units)}
            label="still to be filled"
            how={`Room of shelves and drawers that is left, up to the ${Math.round(100 * fillTarget)} % that you want filled.`}
          />
          {finish && <Button onClick={() => void finish()}>On to sorting</Button>}
        </>
      }
    >
      <div className="min-h-0 flex-1 px-4 py-4 md:overflow-y-auto md:px-5">
        <h2 className="font-display text-xl font-semibold" {...explained(HOW_LEFT)}>
          {isEmpty
            ? 'Nothing is known to be owned yet.'
            : isBare
              ? 'Nothing stands in the room yet that could hold it.'
              : isEnough
                ? 'It all goes in.'
                : `${formatVolume(leftMm3, units)} too much.`}
        </h2>
        {(isEmpty || isBare) && (
          <p className="mt-1 text-stone">
            {isEmpty ? (
              <>
                Say how much there is{' '}
                <Link className="text-woad underline" to="/heaps">
                  by the heap
                </Link>
                , or{' '}
                <Link className="text-woad underline" to="/stash">
                  one by one
                </Link>
                .
              </>
            ) : (
              <>
                Say{' '}
                <Link className="text-woad underline" to="/room/plan?do=furnish">
                  what stands in it
                </Link>
                .
              </>
            )}
          </p>
        )}
        <LeftByKind balance={balance} units={units} />
        {sorts.map((one) => (
          <SortSection key={one.sort} of={one} units={units} />
        ))}
        {ways.length > 0 && (
          <section aria-label="What would make room" className="mt-6 max-w-3xl">
            <h3 className="font-display text-lg font-semibold">What would make room</h3>
            <ul>
              {ways.map((way, i) => (
                <li
                  key={i}
                  className="dotted-row py-1.5"
                  {...explained('All of it was counted anew with this changed, and nothing else.')}
                >
                  {wordMoreRoom(way, units)}
                </li>
              ))}
              <li className="dotted-row py-1.5">
                Letting go of {balance.left.map(({ kind, lots: n }) => wordLots(kind, n)).join(', ')} does, too.
              </li>
            </ul>
          </section>
        )}
      </div>
    </Page>
  );
}

const wordLots = (kind: Kind, lots: number) => `${lots} of ${wordKindPlural(kind).toLowerCase()}`;

function LeftByKind({ balance, units }: { balance: Balance; units: UnitSystem }) {
  if (balance.left.length === 0) return null;
  return (
    <ul className="mt-1" {...explained(HOW_LEFT)}>
      {balance.left.map(({ kind, lots, mm3 }) => (
        <li key={kind}>
          {wordKindPlural(kind)}: {wordCount(lots, 'thing')} of {balance.lots.get(kind)}, {formatVolume(mm3, units)} as
          they lie in a bin.
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
    <section aria-label={SORT_WORDS[sort]} className="mt-5 max-w-3xl">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h3 className="font-display text-lg font-semibold">{SORT_WORDS[sort]}</h3>
        <span className="text-stone" {...explained(HOW_TAKES)}>
          {wordCount(places, 'place')}, {wordRoom(sort, has, units)}; {wordRoom(sort, usable, units)} of it to be filled
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
      <p className="mt-1 text-sm" {...explained(HOW_TAKES)}>
        {kinds.length === 0 ? 'Nothing would be better off here. ' : ''}
        {kinds.map((kind) => (
          <span key={kind} className="mr-3 whitespace-nowrap">
            <span aria-hidden className={`mr-1 inline-block size-3 ${FILLS[kind]}`} />
            {wordKindPlural(kind)} {wordRoom(sort, wanted.get(kind)!, units)}
          </span>
        ))}
        {Math.abs(moved) > 0.01 * has && (
          <span className="text-stone">
            {moved > 0
              ? `${wordRoom(sort, moved, units)} of it go elsewhere or are left over.`
              : `${wordRoom(sort, -moved, units)} more go here from elsewhere.`}
          </span>
        )}
      </p>
    </section>
  );
}
