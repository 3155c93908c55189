import type { Figure } from '../../core/drawing/index.ts';

interface OutlineProps {
  readonly box: Pick<Figure, 'x' | 'y' | 'width' | 'height'>;
  /** Pixels to the millimetre. */
  readonly scale: number;
  readonly stroke: string;
  readonly strokeWidth?: string;
  /** So far outside the box, px. */
  readonly outPx?: number;
  readonly testId?: string;
}

/** A line round what is meant on a drawing. */
export function Outline({ box, scale, stroke, strokeWidth = '2.5', outPx = 0, testId }: OutlineProps) {
  return (
    <rect
      data-testid={testId}
      x={box.x * scale - outPx}
      y={box.y * scale - outPx}
      width={box.width * scale + 2 * outPx}
      height={box.height * scale + 2 * outPx}
      fill="none"
      stroke={stroke}
      strokeWidth={strokeWidth}
    />
  );
}
