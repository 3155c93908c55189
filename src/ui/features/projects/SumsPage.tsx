import { lazy, Suspense } from 'react';
import {
  computeBiasLength,
  computeBiasSquare,
  computeBinding,
  computePipingStrip,
  computeQuiltBacks,
} from '../../../core/projects/index.ts';
import { formatClothLength, formatSize, type UnitSystem } from '../../../core/units/index.ts';
import { explained } from '../../components/explained.ts';
import { Page } from '../../components/Page.tsx';
import { useApp } from '../../state/app.ts';
import { TicketPane } from '../ticket/TicketPane.tsx';
import { Sum, useLengths } from './sumParts.tsx';
import { ToProjects } from './ToProjects.tsx';
import { t } from '../../language/index.ts';

const PatchworkSum = lazy(async () => ({ default: (await import('./PatchworkSum.tsx')).PatchworkSum }));

/** The usual sums of the cutting table, each with its drawing. What was typed stands in the address, so that it comes back. */
export function SumsPage() {
  const ticket = useApp((state) => state.ticket);
  return (
    <Page title={t('Sums')} tabs={<ToProjects />} aside={ticket?.type === 'lot' ? <TicketPane hint="" /> : undefined}>
      <div className="grid min-h-0 flex-1 content-start gap-x-10 gap-y-6 px-4 py-3 md:grid-cols-2 md:overflow-y-auto md:px-5">
        <QuiltBackSum />
        <BindingSum />
        <BiasSum />
        <PipingSum />
        <Suspense>
          <PatchworkSum />
        </Suspense>
      </div>
    </Page>
  );
}

const length = (mm: number, units: UnitSystem) => formatClothLength(mm, units);
const DRAWN_PX = 150;

function QuiltBackSum() {
  const { fields, values, units } = useLengths({
    topWide: { label: t('Quilt top, across'), usualMm: 1600 },
    topLong: { label: t('Quilt top, along'), usualMm: 2000 },
    backWidth: { label: t('Width of the cloth'), usualMm: 1100 },
  });
  const backs = values && computeQuiltBacks(values.topWide, values.topLong, values.backWidth);
  const [best, other] = backs ?? [];
  return (
    <Sum title={t('A quilt back')} fields={fields}>
      {values && best && other && (
        <div className="mt-2 flex items-start gap-4">
          <p
            className="min-w-0 flex-1"
            {...explained(t('10 cm more on each side; as many widths as cover it, both ways tried.'))}
          >
            <strong>{length(best.lengthMm, units)}</strong>
            {t(
              ': {widths, plural, one {# width} other {# widths}} of {length}, {direction}. The other way it takes {otherLength}.',
              {
                widths: best.widths,
                length: length(best.pieceMm, units),
                direction: best.runs === 'along' ? t('running along the quilt') : t('running across the quilt'),
                otherLength: length(other.lengthMm, units),
              },
            )}
          </p>
          <BackPicture
            wideMm={values.topWide + 200}
            longMm={values.topLong + 200}
            widths={best.widths}
            widthMm={values.backWidth}
            isAlong={best.runs === 'along'}
          />
        </div>
      )}
    </Sum>
  );
}

interface BackPictureProps {
  readonly wideMm: number;
  readonly longMm: number;
  readonly widths: number;
  readonly widthMm: number;
  readonly isAlong: boolean;
}

/** The back with its joins in running stitches, the top within it. */
function BackPicture({ wideMm, longMm, widths, widthMm, isAlong }: BackPictureProps) {
  const scale = DRAWN_PX / Math.max(wideMm, longMm);
  const [w, h] = [wideMm * scale, longMm * scale];
  return (
    <svg role="img" aria-label={t('The back and its joins')} width={w} height={h} className="shrink-0">
      <rect width={w} height={h} fill="var(--color-linen)" stroke="var(--color-ink)" />
      <rect
        x={100 * scale}
        y={100 * scale}
        width={w - 200 * scale}
        height={h - 200 * scale}
        fill="var(--color-mist)"
        stroke="var(--color-stone)"
      />
      {Array.from({ length: widths - 1 }, (_, n) => {
        const at = (n + 1) * widthMm * scale;
        return (
          <path
            key={n}
            d={isAlong ? `M${at} 0V${h}` : `M0 ${at}H${w}`}
            stroke="var(--color-woad)"
            strokeWidth="2"
            strokeDasharray="5 4"
          />
        );
      })}
    </svg>
  );
}

function BindingSum() {
  const { fields, values, units } = useLengths({
    boundWide: { label: t('What is bound, across'), usualMm: 1600 },
    boundLong: { label: t('What is bound, along'), usualMm: 2000 },
    boundStrip: { label: t('Strips cut'), usualMm: 63.5 },
    boundWidth: { label: t('Width of the cloth'), usualMm: 1100 },
  });
  const found = values && computeBinding(values.boundWide, values.boundLong, values.boundStrip, values.boundWidth);
  return (
    <Sum title={t('Binding')} fields={fields}>
      {values && found && (
        <>
          <p
            className="mt-2"
            {...explained(t('All round and 30 cm more; a slanting join loses as much as a strip is wide.'))}
          >
            <strong>{length(found.lengthMm, units)}</strong>{' '}
            {t('of binding: {strips, plural, one {# strip} other {# strips}} across the cloth, {clothMm} of it.', {
              strips: found.strips,
              clothMm: length(found.clothMm, units),
            })}
          </p>
          <StripPicture strips={found.strips} />
        </>
      )}
    </Sum>
  );
}

/** Strips across the cloth, one under the other; of very many only so many are drawn. */
function StripPicture({ strips }: { strips: number }) {
  const drawn = Math.min(strips, 24);
  return (
    <svg role="img" aria-label={t('Strips across the cloth')} width={DRAWN_PX} height={drawn * 6} className="mt-2">
      {Array.from({ length: drawn }, (_, n) => (
        <rect
          key={n}
          x="0.5"
          y={n * 6 + 0.5}
          width={DRAWN_PX - 1}
          height="5"
          fill="var(--color-linen)"
          stroke="var(--color-ink)"
        />
      ))}
    </svg>
  );
}

function BiasSum() {
  const { fields, values, units } = useLengths({
    biasSide: { label: t('Side of the square'), usualMm: 500 },
    biasStrip: { label: t('Strips cut'), usualMm: 50 },
    biasWanted: { label: t('Wanted in all'), usualMm: 5000 },
  });
  return (
    <Sum title={t('Bias from a square')} fields={fields}>
      {values && (
        <div className="mt-2 flex items-start gap-4">
          <p
            className="min-w-0 flex-1"
            {...explained(t('The area of the square over the width of the strip; seams lose a little of it.'))}
          >
            {t('A square of {size} gives', { size: formatSize(values.biasSide, units) })}{' '}
            <strong>{length(computeBiasLength(values.biasSide, values.biasStrip), units)}</strong>
            {t('. For {biasWanted} it takes a square of', { biasWanted: length(values.biasWanted, units) })}{' '}
            <strong>{formatSize(computeBiasSquare(values.biasWanted, values.biasStrip), units)}</strong>.
          </p>
          <svg role="img" aria-label={t('Strips at a slant')} width="90" height="90" className="shrink-0">
            <rect x="0.5" y="0.5" width="89" height="89" fill="var(--color-linen)" stroke="var(--color-ink)" />
            {[18, 36, 54, 72, 90, 108, 126, 144, 162].map((at) => (
              <path key={at} d={`M0 ${at}L${at} 0`} stroke="var(--color-woad)" strokeDasharray="4 3" />
            ))}
          </svg>
        </div>
      )}
    </Sum>
  );
}

function PipingSum() {
  const { fields, values, units } = useLengths({
    cord: { label: t('Cord, across'), usualMm: 6 },
    piped: { label: t('Piping in all'), usualMm: 3000 },
  });
  const stripMm = values && computePipingStrip(values.cord);
  return (
    <Sum title={t('Piping')} fields={fields}>
      {values && stripMm !== null && (
        <p className="mt-2" {...explained(t('Once round the cord and 15 mm of seam on each side; cut on the bias.'))}>
          {t('Strips of')} <strong>{formatSize(Math.ceil(stripMm), units)}</strong>
          {t(', from a square of')} <strong>{formatSize(computeBiasSquare(values.piped, stripMm), units)}</strong>.
        </p>
      )}
    </Sum>
  );
}
