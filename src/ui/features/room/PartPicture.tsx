import type { UnitKind, UnitSpec } from '../../../core/records/index.ts';

interface PartPictureProps {
  readonly kind: UnitKind;
  readonly size: Pick<UnitSpec, 'widthMm' | 'heightMm' | 'columns' | 'rows'>;
}

const SIDE_PX = 34;

/** A part as it stands before one, small: its outline and its compartments. */
export function PartPicture({ kind, size: { widthMm, heightMm, columns, rows } }: PartPictureProps) {
  const scale = SIDE_PX / Math.max(widthMm, heightMm);
  const [w, h] = [Math.max(6, widthMm * scale), Math.max(5, heightMm * scale)];
  const [x, y] = [(40 - w) / 2, 38 - h];
  const isTable = kind === 'table';
  const isOpen = kind === 'rail' || isTable;
  return (
    <svg aria-hidden viewBox="0 0 40 40" className="size-10 shrink-0">
      {isOpen ? (
        <path
          d={`M${x} 38V${y}H${x + w}V38`}
          fill="none"
          stroke="var(--color-walnut)"
          strokeWidth={isTable ? 2.5 : 1.5}
        />
      ) : (
        <rect
          x={x}
          y={y}
          width={w}
          height={h}
          fill="var(--color-paper)"
          stroke="var(--color-walnut)"
          strokeWidth="1.5"
        />
      )}
      {kind === 'pegboard' &&
        Array.from({ length: 12 }, (_, i) => (
          <circle
            key={i}
            cx={x + (w * ((i % 4) + 0.5)) / 4}
            cy={y + (h * (Math.floor(i / 4) + 0.5)) / 3}
            r="0.9"
            fill="var(--color-walnut)"
          />
        ))}
      {!isOpen &&
        Array.from({ length: columns - 1 }, (_, i) => (
          <line
            key={`c${i}`}
            x1={x + (w * (i + 1)) / columns}
            x2={x + (w * (i + 1)) / columns}
            y1={y}
            y2={y + h}
            stroke="var(--color-walnut)"
          />
        ))}
      {!isOpen &&
        Array.from({ length: rows - 1 }, (_, i) => (
          <line
            key={`r${i}`}
            x1={x}
            x2={x + w}
            y1={y + (h * (i + 1)) / rows}
            y2={y + (h * (i + 1)) / rows}
            stroke="var(--color-walnut)"
          />
        ))}
      {kind === 'drawers' &&
        Array.from({ length: columns * rows }, (_, i) => (
          <circle
            key={`k${i}`}
            cx={x + (w * ((i % columns) + 0.5)) / columns}
            cy={y + (h * (Math.floor(i / columns) + 0.5)) / rows}
            r="0.9"
            fill="var(--color-walnut)"
          />
        ))}
    </svg>
  );
}
