import { useRef, type PointerEvent } from 'react';

/** A press that goes less far than this only chooses. */
const PRESS_PX = 4;

interface Carry {
  /** Carried so far, mm to the right and down from where it was taken. */
  readonly onCarry: (rightMm: number, downMm: number, event: PointerEvent) => void;
  /** Let go; `isMoved` is false where it was only pressed. */
  readonly onDrop: (isMoved: boolean) => void;
  /** Esc was pressed: it stays where it was. */
  readonly onCancel: () => void;
}

/** Pointer handlers for something on the wall that is carried by mouse, pen or finger. */
export function useCarry(scale: number, { onCarry, onDrop, onCancel }: Carry) {
  const from = useRef<{ x: number; y: number; isMoved: boolean; release: () => void } | null>(null);
  const drop = () => {
    const { current } = from;
    current?.release();
    from.current = null;
    if (current) onDrop(current.isMoved);
  };
  const cancel = (event: KeyboardEvent) => {
    if (event.key !== 'Escape') return;
    event.preventDefault();
    event.stopPropagation();
    from.current?.release();
    from.current = null;
    onCancel();
  };
  return {
    'data-hold': '',
    style: { touchAction: 'none' },
    onPointerDown: (event: PointerEvent<SVGElement>) => {
      if (event.button !== 0) return;
      event.currentTarget.setPointerCapture(event.pointerId);
      window.addEventListener('keydown', cancel, true);
      const release = () => window.removeEventListener('keydown', cancel, true);
      from.current = { x: event.clientX, y: event.clientY, isMoved: false, release };
    },
    onPointerMove: (event: PointerEvent<SVGElement>) => {
      const { current } = from;
      if (!current) return;
      const [dx, dy] = [event.clientX - current.x, event.clientY - current.y];
      current.isMoved ||= Math.hypot(dx, dy) >= PRESS_PX;
      if (current.isMoved) onCarry(dx / scale, dy / scale, event);
    },
    onPointerUp: drop,
    onPointerCancel: drop,
  };
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
