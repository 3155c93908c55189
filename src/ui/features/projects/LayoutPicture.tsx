import { useRef } from 'react';
import type { Block, Layout, Sheet } from '../../../core/layout/index.ts';
import type { CutPiece, Item } from '../../../core/records/index.ts';
import { explained } from '../../components/explained.ts';
import { useSize } from '../../components/useSize.ts';
import { printFill } from '../../drawing/Prints.tsx';
import { Tape } from '../../drawing/Tape.tsx';
import { useHousehold } from '../../state/app.ts';

const MOST_HIGH_PX = 320;
/** Room for a name on a piece, px. */
const NAME = { wide: 44, high: 18 };

interface LayoutPictureProps {
  readonly layout: Layout;
  readonly blocks: readonly Block[];
  readonly pieces: readonly CutPiece[];
  readonly sheet: Sheet;
  readonly item: Item | null;
}

/** The pieces on the cloth to scale: its length lies along the tape, its selvages above and below. */
export function LayoutPicture({ layout, blocks, pieces, sheet, item }: LayoutPictureProps) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const { units } = useHousehold().settings;
  const lengthMm = Math.max(1, layout.lengthMm);
  const scale = size ? Math.min(size.width / lengthMm, MOST_HIGH_PX / sheet.widthMm) : 0;
  const [width, height] = [lengthMm * scale, sheet.widthMm * scale];
  const print = printFill(item?.fabric?.print);
  return (
    <div
      ref={frame}
      className="mt-1 min-h-24 overflow-hidden"
      {...explained(
        'Drawn to scale: the tape is true, and pieces are as they were written down.',
        'The pieces on the cloth',
      )}
    >
      {size && (
        <>
          <Tape lengthMm={lengthMm} scale={scale} offsetPx={0} system={units} />
          <svg role="img" aria-label="The pieces on the cloth" width={width} height={height} className="block">
            <rect width={width} height={height} fill={item?.colours[0] ?? '#b9c0c2'} />
            {print && <rect width={width} height={height} fill={print} />}
            <path d={`M0 1H${width}M0 ${height - 1}H${width}`} stroke="#22303c" strokeDasharray="2 3" />
            {layout.laid.map(({ block, xMm, yMm, widthMm, heightMm, isTurned }) => {
              const piece = pieces[blocks[block]?.piece ?? -1];
              const [x, y, w, h] = [yMm * scale, xMm * scale, heightMm * scale, widthMm * scale];
              const name = piece?.name ?? '';
              return (
                <g key={block} transform={`translate(${x} ${y})`}>
                  <title>{name}</title>
                  <rect
                    x="0.5"
                    y="0.5"
                    width={Math.max(0, w - 1)}
                    height={Math.max(0, h - 1)}
                    fill="#fffdf8"
                    fillOpacity="0.82"
                    stroke="#22303c"
                  />
                  {piece?.isOnFold && (
                    <path
                      d={isTurned ? `M${w / 2} 0V${h}` : `M0 ${h / 2}H${w}`}
                      stroke="#5c6b74"
                      strokeDasharray="6 3 1 3"
                    />
                  )}
                  {w >= NAME.wide && h >= NAME.high && (
                    <text x={w / 2} y={h / 2 + 4} fontSize="13" textAnchor="middle" fill="#22303c">
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
