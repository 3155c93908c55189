import { useMemo } from 'react';
import { computeNeeds, type Group } from '../../../core/grouping/index.ts';
import type { LotId } from '../../../core/records/index.ts';
import { formatClothLength } from '../../../core/units/index.ts';
import { PrintDefs, printFill } from '../../drawing/Prints.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { usePhotoUrl } from '../../state/photos.ts';
import { getGroups } from '../../state/derived.ts';
import { wordCount, wordGroup, wordNeeds } from '../../text/index.ts';
import { getPresence, type StashRow } from './rows.ts';

/** 1 : 100 at 96 px to the inch. */
const PX_PER_MM = 96 / 25.4 / 100;
/** Room for the length written on it. */
const LABEL_FROM_PX = 62;

/** Every length of cloth as it is: its width as height, its length as width, all to one scale, by group. */
export function LaidOut({ rows }: { rows: readonly StashRow[] }) {
  const household = useHousehold();
  const byId = useMemo(() => new Map(rows.map((row) => [row.lot.id, row])), [rows]);
  const groups = useMemo(
    () =>
      getGroups(household).flatMap((group): Group[] => {
        const lots = group.lots.filter((lot) => byId.has(lot.id));
        return lots.length > 0 ? [{ ...group, lots }] : [];
      }),
    [household, byId],
  );
  return (
    <div className="min-h-0 flex-1 px-4 pb-4 md:overflow-y-auto md:px-5">
      <PrintDefs />
      <p className="text-sm text-stone">
        Each piece to scale, 1 : 100. Dashed: out. Zigzag above: without a home. A stitch down the middle: planned
        elsewhere.
      </p>
      {groups.map((group) => (
        <GroupRow key={group.id} group={group} byId={byId} />
      ))}
    </div>
  );
}

function GroupRow({ group, byId }: { group: Group; byId: ReadonlyMap<LotId, StashRow> }) {
  const household = useHousehold();
  const { units } = household.settings;
  const needs = useMemo(() => computeNeeds(group, household), [group, household]);
  const lengthMm = group.lots.reduce((sum, lot) => sum + (lot.lengthMm ?? 0), 0);
  const name = wordGroup(group, household);
  return (
    <section aria-label={name} className="mt-2 [contain-intrinsic-size:auto_180px] [content-visibility:auto]">
      <header className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="font-display text-lg font-semibold">{name}</h2>
        <span className="text-sm text-stone">
          {wordCount(group.lots.length, 'length')}, {formatClothLength(lengthMm, units)}
        </span>
        <span className="text-sm text-stone md:ml-auto">{wordNeeds(needs, units)[0]}</span>
      </header>
      <ul className="mt-1 flex flex-wrap items-end gap-1.5">
        {group.lots.map((lot) => (
          <Piece key={lot.id} row={byId.get(lot.id)!} />
        ))}
      </ul>
    </section>
  );
}

function Piece({ row: { lot, item } }: { row: StashRow }) {
  const { units } = useHousehold().settings;
  const show = useApp((state) => state.show);
  const isChosen = useApp((state) => state.ticket?.type === 'lot' && state.ticket.id === lot.id);
  const width = Math.max(6, (lot.lengthMm ?? 0) * PX_PER_MM);
  const height = (item.fabric?.widthMm ?? 0) * PX_PER_MM;
  const print = printFill(item.fabric?.print);
  const url = usePhotoUrl(item.photos?.[0]);
  const presence = getPresence(lot);
  const length = formatClothLength(lot.lengthMm ?? 0, units);
  const state = { in: '', all: '', out: ', out', homeless: ', without a home', planned: ', planned elsewhere' }[
    presence
  ];
  return (
    <li>
      <button
        type="button"
        aria-label={`${item.name}, ${length}${state}`}
        aria-pressed={isChosen}
        title={`${item.name}, ${length}${state}`}
        className={`block ${isChosen ? 'outline-3 outline-offset-2 outline-ink' : ''}`}
        onClick={() => show({ type: 'lot', id: lot.id })}
      >
        <svg aria-hidden width={width} height={height} className="block overflow-visible">
          <rect
            width={width}
            height={height}
            fill={item.colours[0] ?? '#8a8f94'}
            fillOpacity={presence === 'out' ? 0.45 : 1}
            stroke="#22303c"
            strokeOpacity={presence === 'out' ? 1 : 0.25}
            strokeDasharray={presence === 'out' ? '6 4' : undefined}
          />
          {url ? (
            <svg width={width} height={height}>
              <image href={url} width="100%" height="100%" preserveAspectRatio="xMidYMid slice" />
            </svg>
          ) : (
            print && <rect width={width} height={height} fill={print} />
          )}
          {presence === 'planned' && (
            <path
              d={`M${width / 2} 2V${height - 2}`}
              stroke="#fffdf8"
              strokeWidth="2.4"
              strokeDasharray="5 4"
              strokeLinecap="round"
            />
          )}
          {presence === 'homeless' && (
            <path d={zigzag(width)} stroke="#a63d32" strokeWidth="2" fill="none" strokeLinejoin="round" />
          )}
          {width >= LABEL_FROM_PX && (
            <text
              x="5"
              y={height - 6}
              fontSize="14"
              fontWeight="600"
              fill="#fffdf8"
              stroke="#22303c"
              strokeWidth="3"
              paintOrder="stroke"
            >
              {length}
            </text>
          )}
        </svg>
      </button>
    </li>
  );
}

function zigzag(width: number): string {
  const teeth = Math.max(1, Math.round(width / 8));
  return Array.from(
    { length: 2 * teeth + 1 },
    (_, i) => `${i === 0 ? 'M' : 'L'}${(i * width) / (2 * teeth)} ${i % 2 ? -6 : -1}`,
  ).join('');
}
