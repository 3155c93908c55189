import { findLength, FONTS, type Mark, type Sheet } from '../../../core/formats/sheet/index.ts';

function MarkView({ mark }: { mark: Mark }) {
  if (mark.type === 'text')
    return (
      <text
        x={mark.x}
        y={mark.y}
        fontSize={mark.sizeMm}
        fontFamily={FONTS}
        textAnchor={mark.anchor}
        textLength={findLength(mark.text, mark.sizeMm) ?? undefined}
        lengthAdjust="spacingAndGlyphs"
        transform={mark.turnDeg ? `rotate(${mark.turnDeg} ${mark.x} ${mark.y})` : undefined}
        fill="#22303c"
      >
        {mark.text}
      </text>
    );
  return (
    <path
      d={`M${mark.points.map(([x, y]) => `${x} ${y}`).join('L')}${mark.isClosed ? 'Z' : ''}`}
      fill={mark.fill ?? 'none'}
      stroke={mark.strokeMm > 0 ? (mark.stroke ?? '#22303c') : undefined}
      strokeWidth={mark.strokeMm}
      strokeDasharray={mark.dashMm}
    />
  );
}

/** A sheet as it will be printed; `width` as the style has it. */
export function SheetPicture({
  sheet,
  width,
  className = '',
  label,
}: {
  sheet: Sheet;
  /** Such as `70mm`; absent: as wide as there is room. */
  width?: string;
  className?: string;
  label: string;
}) {
  return (
    <svg
      data-name
      role="img"
      aria-label={label}
      viewBox={`0 0 ${sheet.widthMm} ${sheet.heightMm}`}
      width={width ?? '100%'}
      className={`label-paper bg-white ${className}`}
    >
      {sheet.marks.map((mark, i) => (
        <MarkView key={i} mark={mark} />
      ))}
    </svg>
  );
}
