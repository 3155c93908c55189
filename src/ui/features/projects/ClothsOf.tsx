import { getColour, UNDYED } from '../../../core/colour/index.ts';
import type { NeedStanding, ProjectStanding } from '../../../core/projects/index.ts';
import { explained } from '../../components/explained.ts';
import { printFill } from '../../drawing/prints.ts';
import { t, wordTerm } from '../../language/index.ts';

/** What is not known yet is drawn as a metre of this width. */
const UNKNOWN = { lengthMm: 1000, widthMm: 1400 };

interface Strip {
  readonly key: string;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly fill: string | null;
  readonly print: string | null;
  readonly part: string;
}

/** What is promised or cut of a cloth, and what of it is missing. */
function toStrips(standing: NeedStanding): Strip[] {
  const { need, promised, missing, item } = standing;
  const part = wordTerm(need.part);
  const widthMm = item?.fabric?.widthMm ?? UNKNOWN.widthMm;
  const colour = item ? getColour(item) : UNDYED;
  const print = printFill(item);
  const strips: Strip[] = promised.map(({ promise, lot }) => ({
    key: `${need.id} ${lot.id}`,
    lengthMm: promise.amount,
    widthMm,
    fill: colour,
    print,
    part,
  }));
  const there = need.used ?? (need.isThere ? (need.amount ?? UNKNOWN.lengthMm) : 0);
  if (there > 0) strips.push({ key: `${need.id} cut`, lengthMm: there, widthMm, fill: colour, print, part });
  if (missing === null || missing > 0)
    strips.push({
      key: `${need.id} missing`,
      lengthMm: missing ?? UNKNOWN.lengthMm,
      widthMm,
      fill: null,
      print: null,
      part,
    });
  return strips;
}

const toAllStrips = ({ needs }: ProjectStanding) =>
  needs.filter(({ need }) => need.kind === 'fabric').flatMap(toStrips);

/** The usual scale of the wall, px per mm: 1 : 75 at 96 px to the inch. */
const USUAL = 96 / 25.4 / 75;
const GAP_PX = 4;

/** The one scale at which the longest of the projects still goes into its tile, px per mm. */
export function computeWallScale(standings: readonly ProjectStanding[], tilePx: number): number {
  return Math.min(
    USUAL,
    ...standings.map((standing) => {
      const strips = toAllStrips(standing);
      const lengthMm = strips.reduce((sum, strip) => sum + strip.lengthMm, 0);
      return (tilePx - GAP_PX * strips.length) / Math.max(1, lengthMm);
    }),
  );
}

/** The cloths of a project to the scale of the wall: what is there filled, what is missing in running stitches. */
export function ClothsOf({ standing, scale }: { standing: ProjectStanding; scale: number }) {
  const strips = toAllStrips(standing);
  const height = Math.max(UNKNOWN.widthMm, ...strips.map((strip) => strip.widthMm)) * scale;
  return (
    <div
      className="flex min-w-0 items-end gap-1 overflow-hidden"
      style={{ height }}
      {...explained(
        t('Its cloths, all of the wall to one scale. Filled: there. In stitches: missing.'),
        t('The cloths of a project'),
      )}
    >
      {strips.length === 0 && <span className="self-center text-sm text-stone">{t('No cloth named yet')}</span>}
      {strips.map(({ key, lengthMm, widthMm, fill, print, part }) => (
        <svg
          key={key}
          role="img"
          aria-label={`${part}, ${fill ? t('there') : t('missing')}`}
          className="shrink-0 overflow-visible"
          width={Math.max(6, lengthMm * scale)}
          height={widthMm * scale}
        >
          <rect
            width="100%"
            height="100%"
            fill={fill ?? 'none'}
            stroke={fill ? 'var(--color-ink)' : 'var(--color-madder)'}
            strokeOpacity={fill ? 0.25 : 1}
            strokeWidth={fill ? 1 : 2}
            strokeDasharray={fill ? undefined : '5 4'}
          />
          {print && <rect width="100%" height="100%" fill={print} />}
        </svg>
      ))}
    </div>
  );
}
