import type { Figure } from '../../core/drawing/index.ts';

/** Whether what is carried goes in there. */
export type TargetState = 'good' | 'here' | 'no';

const COLOURS: Readonly<Record<TargetState, string>> = {
  good: 'var(--color-moss)',
  here: 'var(--color-woad)',
  no: 'var(--color-madder)',
};

interface TargetRectProps {
  readonly figure: Figure;
  readonly scale: number;
  readonly state: TargetState;
  readonly isOver?: boolean;
}

/** A place of a wall to which something may be carried, or not. */
export function TargetRect({ figure, scale, state, isOver = false }: TargetRectProps) {
  return (
    <rect
      x={figure.x * scale + 2}
      y={figure.y * scale + 2}
      width={Math.max(0, figure.width * scale - 4)}
      height={Math.max(0, figure.height * scale - 4)}
      fill={COLOURS[state]}
      fillOpacity={state === 'good' ? 0.28 : 0.12}
      stroke={COLOURS[state]}
      strokeWidth={isOver ? 4 : 2}
      strokeDasharray={state === 'good' ? undefined : '4 4'}
      className="group-focus-visible:stroke-[4px]"
    />
  );
}
