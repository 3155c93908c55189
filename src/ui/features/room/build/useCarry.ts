import type { PointerEvent } from 'react';
import { useDrag } from '../../../components/useDrag.ts';

interface Carry {
  /** Carried so far, mm to the right and down from where it was taken. */
  readonly onCarry: (rightMm: number, downMm: number, event: PointerEvent) => void;
  /** Let go; `isMoved` is false where it was only pressed. */
  readonly onDrop: (isMoved: boolean) => void;
  /** Esc was pressed: it stays where it was. */
  readonly onCancel: () => void;
}

/** Pointer handlers for something on the wall that is carried. */
export function useCarry(scale: number, { onCarry, onDrop, onCancel }: Carry) {
  const drag = useDrag({
    onDrag: (right, down, event) => onCarry(right / scale, down / scale, event),
    onDrop,
    onCancel,
  });
  return { 'data-hold': '', style: { touchAction: 'none' }, ...drag };
}

const ARROWS: Record<string, readonly [right: number, up: number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** What an arrow key moves by, mm: a centimetre or half an inch, ten times that with Shift. */
export function readArrow(
  event: { key: string; shiftKey: boolean },
  isMetric: boolean,
): { rightMm: number; upMm: number } | null {
  const arrow = ARROWS[event.key];
  if (!arrow) return null;
  const step = (isMetric ? 10 : 12.7) * (event.shiftKey ? 10 : 1);
  return { rightMm: arrow[0] * step, upMm: arrow[1] * step };
}
