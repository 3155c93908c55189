import { lazy, Suspense } from 'react';
import { getColour } from '../../../core/colour/index.ts';
import type { Group } from '../../../core/grouping/index.ts';
import { countPieces, getReserved } from '../../../core/measure/index.ts';
import { nameOfPromise } from '../../../core/promises/index.ts';
import type { PhotoId } from '../../../core/records/index.ts';
import { formatClothLength } from '../../../core/units/index.ts';
import { explained } from '../../components/explained.ts';
import { printFill } from '../../drawing/prints.ts';
import { useApp, useHousehold } from '../../state/app.ts';
import { usePhotoUrl } from '../../state/photos.ts';
import { perLanguage, t } from '../../language/index.ts';
import { getPresence, type StashRow } from './rows.ts';

const GroupNeed = lazy(async () => ({ default: (await import('./GroupNeed.tsx')).GroupNeed }));

/** 1 : 100 at 96 px to the inch. */
const PX_PER_MM = 96 / 25.4 / 100;
/** Room for the length written on it. */
const LABEL_FROM_PX = 62;
/** … and so much to tell the name too. */
const NAME_FROM_PX = 84;

export const getPieceWidth = ({ lot }: StashRow) => Math.max(6, (lot.lengthMm ?? 0) * PX_PER_MM);
export const getPieceHeight = ({ item, lot }: StashRow) => (lot.widthMm ?? item.fabric?.widthMm ?? 0) * PX_PER_MM;

export function GroupHead({ group, name }: { group: Group; name: string }) {
  const household = useHousehold();
  const { units } = household.settings;
  const lengthMm = group.lots.reduce((sum, lot) => sum + (lot.lengthMm ?? 0), 0);
  return (
    <header className="flex items-baseline gap-x-4 overflow-hidden whitespace-nowrap">
      <h2 className="font-display text-lg font-semibold">{name}</h2>
      <span className="text-sm text-stone" {...explained(t('The lengths shown under this head, added up.'))}>
        {t('{pieces, plural, one {# length} other {# lengths}}, {clothLength}', {
          pieces: countPieces(group.lots),
          clothLength: formatClothLength(lengthMm, units),
        })}
      </span>
      <Suspense>
        <GroupNeed group={group} />
      </Suspense>
    </header>
  );
}

const STATE_WORDS = perLanguage(
  () => ({ in: '', out: t(', out'), homeless: t(', without a home'), planned: t(', planned elsewhere') }) as const,
);

/** One length of cloth. As few elements as it can be: hundreds are in view at once. */
export function ClothPiece({ row }: { row: StashRow }) {
  const { lot, item } = row;
  const household = useHousehold();
  const isChosen = useApp((state) => state.ticket?.type === 'lot' && state.ticket.id === lot.id);
  const width = getPieceWidth(row);
  const height = getPieceHeight(row);
  const photo = item.photos?.[0];
  const print = photo ? null : printFill(item);
  const presence = getPresence(lot);
  const length = formatClothLength(lot.lengthMm ?? 0, household.settings.units);
  const reserved = lot.reserved ?? [];
  const promised =
    reserved.length > 0
      ? t(', promised to {reserved}', { reserved: reserved.map((one) => nameOfPromise(household, one)).join(', ') })
      : '';
  const name = `${item.name}, ${length}${STATE_WORDS()[presence]}${promised}`;
  const tackedPx = Math.min(width, getReserved(lot) * PX_PER_MM);
  return (
    <li className="print:pt-2">
      <button
        type="button"
        data-lot={lot.id}
        aria-label={name}
        aria-pressed={isChosen}
        title={name}
        className={`relative block overflow-visible border ${presence === 'out' ? 'border-2 border-dashed border-ink' : 'border-ink/25'} ${isChosen ? 'outline-3 outline-offset-2 outline-ink' : ''}`}
        style={{ width, height, background: getColour(item) }}
      >
        {photo && <PhotoPiece photo={photo} />}
        {(print !== null || presence === 'planned' || presence === 'homeless' || tackedPx > 0) && (
          <svg aria-hidden width={width} height={height} className="absolute -top-px -left-px overflow-visible">
            {print && <rect width={width} height={height} fill={print} />}
            {tackedPx > 0 && <path d={tack(width - tackedPx, width, height)} stroke="#fffdf8" strokeWidth="2" />}
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
          </svg>
        )}
        {presence === 'out' && <span aria-hidden className="absolute inset-0 bg-paper/50" />}
        {width >= LABEL_FROM_PX && (
          <span
            aria-hidden
            className="absolute bottom-1 left-1 max-w-[calc(100%-8px)] bg-paper px-1 text-left text-sm leading-5 print:text-[9px] print:leading-[10px]"
          >
            {width >= NAME_FROM_PX && <span className="block truncate">{item.name}</span>}
            <span className="font-semibold">{length}</span>
          </span>
        )}
      </button>
    </li>
  );
}

/** Slanted tacks over what is promised: a row where it begins, and one along its middle. */
function tack(fromPx: number, toPx: number, heightPx: number): string {
  const rows = Array.from({ length: Math.max(1, Math.floor(heightPx / 8)) }, (_, n) => `M${fromPx} ${n * 8 + 2}l4 4`);
  const along = Array.from(
    { length: Math.floor(Math.max(0, toPx - fromPx - 8) / 8) },
    (_, n) => `M${fromPx + 8 + n * 8} ${heightPx / 2 - 2}l4 4`,
  );
  return [...rows, ...along].join('');
}

function PhotoPiece({ photo }: { photo: PhotoId }) {
  const url = usePhotoUrl(photo);
  return url ? <img src={url} alt="" className="absolute inset-0 size-full object-cover" /> : null;
}

function zigzag(width: number): string {
  const teeth = Math.max(1, Math.round(width / 8));
  return Array.from(
    { length: 2 * teeth + 1 },
    (_, i) => `${i === 0 ? 'M' : 'L'}${(i * width) / (2 * teeth)} ${i % 2 ? -6 : -1}`,
  ).join('');
}
