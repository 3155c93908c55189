import { getColour } from '../../core/colour/index.ts';
import { USUAL_STAGING, type LotId } from '../../core/records/index.ts';
import { useHousehold } from '../state/app.ts';
import { computePresentPackage } from '../../core/whereabouts/index.ts';
import { t } from '../language/index.ts';

/** Of the picture, mm of the table a px at most. */
const HIGH_PX = 190;
const GAP_MM = 20;

interface Pile {
  readonly id: LotId;
  readonly colour: string;
  readonly isMarked: boolean;
  readonly widthMm: number;
  readonly depthMm: number;
}

/** The table that things wait on, from above and to scale: what lies on it, and what comes or goes in this step. */
export function TablePicture({ lots, mark }: { lots: readonly LotId[]; mark: 'from' | 'to' }) {
  const household = useHousehold();
  const { widthMm, depthMm } = household.settings.staging ?? USUAL_STAGING;
  const marked = new Set(lots);
  const piles = [...household.lots.values()].flatMap((lot): Pile[] => {
    if (lot.away !== 'table' && !marked.has(lot.id)) return [];
    const pkg = computePresentPackage(household, lot);
    const item = household.items.get(lot.itemId);
    if (!pkg || !item) return [];
    const [small, large] = [pkg.alongMm, pkg.acrossMm].toSorted((a, b) => a - b) as [number, number];
    return [
      {
        id: lot.id,
        colour: getColour(item),
        isMarked: marked.has(lot.id),
        widthMm: Math.min(large, widthMm),
        depthMm: Math.min(small, depthMm),
      },
    ];
  });
  if (widthMm <= 0 || depthMm <= 0) return null;
  // Laid down one beside the other, row by row; what no longer finds room is laid on from the front again.
  let [x, y, row] = [GAP_MM, GAP_MM, 0];
  const laid = piles.map((pile) => {
    if (x + pile.widthMm > widthMm) [x, y, row] = [GAP_MM, y + row + GAP_MM, 0];
    if (y + pile.depthMm > depthMm) [x, y, row] = [GAP_MM, GAP_MM, 0];
    const at = { ...pile, x, y };
    x += pile.widthMm + GAP_MM;
    row = Math.max(row, pile.depthMm);
    return at;
  });
  const scale = HIGH_PX / depthMm;
  return (
    <svg
      role="img"
      aria-label={t('The table from above, with {piles, plural, one {# thing} other {# things}}', {
        piles: piles.length,
      })}
      viewBox={`-4 -4 ${widthMm * scale + 8} ${HIGH_PX + 8}`}
      className="block w-full"
      style={{ maxWidth: widthMm * scale + 8 }}
    >
      <rect
        width={widthMm * scale}
        height={HIGH_PX}
        fill="var(--color-wood)"
        stroke="var(--color-walnut)"
        strokeWidth="3"
      />
      {laid.map((pile) => (
        <rect
          key={pile.id}
          x={pile.x * scale}
          y={pile.y * scale}
          width={pile.widthMm * scale}
          height={pile.depthMm * scale}
          fill={pile.colour}
          stroke={pile.isMarked ? 'var(--color-woad)' : 'var(--color-ink)'}
          strokeWidth={pile.isMarked ? 4 : 1}
          strokeDasharray={pile.isMarked && mark === 'to' ? '9 5' : undefined}
        />
      ))}
    </svg>
  );
}
