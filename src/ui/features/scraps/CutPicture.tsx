import { useRef } from 'react';
import { listCutLines, measureRegion, type Region, type ScrapPlan } from '../../../core/scraps/index.ts';
import { formatSize, type UnitSystem } from '../../../core/units/index.ts';
import { explained } from '../../components/explained.ts';
import { useSize } from '../../components/useSize.ts';
import { t } from '../../language/index.ts';

const MOST_HIGH_PX = 300;
const PAD_PX = 24;

interface CutPictureProps {
  readonly plan: ScrapPlan;
  readonly region: Region;
  readonly colour: string;
  readonly units: UnitSystem;
}

/** The scrap on the grain, its pieces, and the first cuts from edge to edge in their order. */
export function CutPicture({ plan, region, colour, units }: CutPictureProps) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const { widthMm, heightMm } = measureRegion(region);
  const scale = size ? Math.min((size.width - 2 * PAD_PX) / widthMm, MOST_HIGH_PX / heightMm) : 0;
  const isAlong = plan.direction === 'along';
  const cuts = listCutLines(plan);
  const [w, h] = [widthMm * scale, heightMm * scale];
  return (
    <div
      ref={frame}
      className="mt-2"
      {...explained(
        t(
          'Drawn to scale, the grain from top to bottom. Cuts with a number go from edge to edge, in that order; the others follow within each band.',
        ),
        t('The cuts'),
      )}
    >
      {size && (
        <svg role="img" aria-label={t('The cuts')} width={w + 2 * PAD_PX} height={h + 2 * PAD_PX} className="block">
          <g transform={`translate(${PAD_PX} ${PAD_PX})`}>
            {region.outlines.map((outline, n) => (
              <path
                key={n}
                d={`M${outline.map(({ xMm, yMm }) => `${xMm * scale} ${yMm * scale}`).join('L')}Z`}
                fill={colour}
                fillOpacity="0.5"
                stroke="var(--color-ink)"
              />
            ))}
            {plan.pieces.map(({ size: of, xMm, yMm, widthMm: pieceW, heightMm: pieceH }, n) => (
              <g key={n} transform={`translate(${xMm * scale} ${yMm * scale})`}>
                <title>{`${formatSize(of.sideMm, units)} ${of.kind}`}</title>
                <rect
                  width={pieceW * scale}
                  height={pieceH * scale}
                  fill={of.kind === 'square' ? 'var(--color-paper)' : 'var(--color-tape)'}
                  fillOpacity="0.85"
                  stroke="var(--color-ink)"
                  strokeWidth="0.8"
                />
              </g>
            ))}
            {cuts.map((mm, n) => {
              const at = mm * scale;
              return (
                <g key={mm}>
                  <path
                    d={isAlong ? `M${at} -8V${h + 4}` : `M-8 ${at}H${w + 4}`}
                    stroke="var(--color-madder)"
                    strokeWidth="1.4"
                    strokeDasharray="6 3"
                  />
                  <text
                    x={isAlong ? at : -11}
                    y={isAlong ? -11 : at + 4}
                    fontSize="11"
                    fontWeight="700"
                    textAnchor={isAlong ? 'middle' : 'end'}
                    fill="var(--color-madder)"
                  >
                    {n + 1}
                  </text>
                </g>
              );
            })}
          </g>
        </svg>
      )}
    </div>
  );
}
