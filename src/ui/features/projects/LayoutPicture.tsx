import { getColour, UNDYED } from '../../../core/colour/index.ts';
import { useRef } from 'react';
import { turnOutline, type Block, type Layout, type Point, type Sheet } from '../../../core/layout/index.ts';
import type { CutPiece, Item } from '../../../core/records/index.ts';
import { explained } from '../../components/explained.ts';
import { useSize } from '../../components/useSize.ts';
import { printFill } from '../../drawing/prints.ts';
import { Tape } from '../../drawing/Tape.tsx';
import { useHousehold } from '../../state/app.ts';
import { t } from '../../language/index.ts';

const MOST_HIGH_PX = 320;
/** Room for a name on a piece, px. */
const NAME = { wide: 44, high: 18 };

interface LayoutPictureProps {
  readonly layout: Layout;
  /** Which of the sheets. */
  readonly number: number;
  readonly blocks: readonly Block[];
  readonly pieces: readonly CutPiece[];
  readonly sheet: Sheet;
  readonly item: Item | null;
}

/** The pieces on a cloth to scale: its length lies along the tape, its selvages above and below; its flaws are hatched. */
export function LayoutPicture({ layout, number, blocks, pieces, sheet, item }: LayoutPictureProps) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const { units } = useHousehold().settings;
  const lengthMm = Math.max(1, sheet.lengthMm ?? layout.lengthMm);
  const scale = size ? Math.min(size.width / lengthMm, MOST_HIGH_PX / Math.max(1, sheet.widthMm)) : 0;
  const [width, height] = [lengthMm * scale, sheet.widthMm * scale];
  const print = printFill(item);
  // The picture lies on its side: what is along the cloth is across the screen.
  const toPath = (points: readonly Point[]) =>
    `M${points.map(({ xMm, yMm }) => `${yMm * scale} ${xMm * scale}`).join('L')}Z`;
  const cloth = sheet.outline ? toPath(sheet.outline) : `M0 0H${width}V${height}H0Z`;
  const clip = `cloth-${number}`;
  return (
    <div
      ref={frame}
      className="mt-1 min-h-24 overflow-hidden"
      {...explained(
        t('Drawn to scale: the tape is true, and pieces are as they were written down.'),
        t('The pieces on the cloth'),
      )}
    >
      {size && (
        <>
          <Tape lengthMm={lengthMm} scale={scale} offsetPx={0} system={units} />
          <svg role="img" aria-label={t('The pieces on the cloth')} width={width} height={height} className="block">
            <clipPath id={clip}>
              <path d={cloth} />
            </clipPath>
            <g clipPath={`url(#${clip})`}>
              <path d={cloth} fill={item ? getColour(item) : UNDYED} />
              {print && <path d={cloth} fill={print} />}
              {(sheet.holes ?? []).map(({ xMm, yMm, widthMm, heightMm }, n) => (
                <g key={n} transform={`translate(${yMm * scale} ${xMm * scale})`}>
                  <title>{t('Nothing is cut here')}</title>
                  <rect
                    width={heightMm * scale}
                    height={widthMm * scale}
                    fill="var(--color-paper)"
                    stroke="var(--color-madder)"
                  />
                  <path
                    d={`M0 0L${heightMm * scale} ${widthMm * scale}M0 ${widthMm * scale}L${heightMm * scale} 0`}
                    stroke="var(--color-madder)"
                  />
                </g>
              ))}
            </g>
            <path d={cloth} fill="none" stroke="var(--color-ink)" strokeDasharray="2 3" />
            {layout.laid
              .filter((one) => one.sheet === number)
              .map(({ block, xMm, yMm, widthMm, heightMm, isTurned, isFlipped = false }) => {
                const { piece: n = -1, outline, ...box } = blocks[block] ?? { widthMm, heightMm };
                const piece = pieces[n];
                const [w, h] = [heightMm * scale, widthMm * scale];
                const name = piece?.name ?? '';
                const shape = outline
                  ? toPath(turnOutline(outline, box, { isTurned, isFlipped }))
                  : `M.5 .5H${Math.max(1, w - 0.5)}V${Math.max(1, h - 0.5)}H.5Z`;
                return (
                  <g key={block} transform={`translate(${yMm * scale} ${xMm * scale})`}>
                    <title>{name}</title>
                    <path
                      d={shape}
                      fill="var(--color-paper)"
                      fillOpacity="0.82"
                      stroke="var(--color-ink)"
                      strokeLinejoin="round"
                    />
                    {piece?.isOnFold && (
                      <path
                        d={isTurned ? `M${w / 2} 0V${h}` : `M0 ${h / 2}H${w}`}
                        stroke="var(--color-stone)"
                        strokeDasharray="6 3 1 3"
                      />
                    )}
                    {w >= NAME.wide && h >= NAME.high && (
                      <text x={w / 2} y={h / 2 + 4} fontSize="13" textAnchor="middle" fill="var(--color-ink)">
                        {w < name.length * 7 ? `${name.slice(0, Math.max(2, Math.floor(w / 7) - 1))}…` : name}
                      </text>
                    )}
                  </g>
                );
              })}
          </svg>
        </>
      )}
    </div>
  );
}
