import { useRef, type PointerEvent } from 'react';

/** A press that goes less far than this only chooses. */
const PRESS_PX = 4;

interface Drag {
  /** False where this press does not take it up. */
  readonly onTake?: (event: PointerEvent) => boolean | void;
  /** So far from where it was taken up, px to the right and down. */
  readonly onDrag: (rightPx: number, downPx: number, event: PointerEvent) => void;
  /** Let go; `isMoved` is false where it was only pressed. */
  readonly onDrop: (isMoved: boolean) => void;
  /** Esc was pressed: it stays where it was. */
  readonly onCancel: () => void;
  /** What lies under it is still pressed by a press that goes nowhere. */
  readonly isOver?: boolean;
}

interface Held {
  readonly x: number;
  readonly y: number;
  isMoved: boolean;
  readonly release: () => void;
}

/** Pointer handlers for all that is dragged: by mouse, pen or finger, let go of by Esc. */
export function useDrag({ onTake, onDrag, onDrop, onCancel, isOver = false }: Drag) {
  const held = useRef<Held | null>(null);
  const letGo = () => {
    const { current } = held;
    current?.release();
    held.current = null;
    return current;
  };
  const drop = () => {
    const was = letGo();
    if (was) onDrop(was.isMoved);
  };
  const cancel = (event: KeyboardEvent) => {
    if (event.key !== 'Escape') return;
    event.preventDefault();
    event.stopPropagation();
    letGo();
    onCancel();
  };
  return {
    onPointerDown: (event: PointerEvent) => {
      if (event.button !== 0 || onTake?.(event) === false) return;
      if (!isOver) event.currentTarget.setPointerCapture(event.pointerId);
      window.addEventListener('keydown', cancel, true);
      const release = () => window.removeEventListener('keydown', cancel, true);
      held.current = { x: event.clientX, y: event.clientY, isMoved: false, release };
    },
    onPointerMove: (event: PointerEvent) => {
      const { current } = held;
      if (!current) return;
      const [right, down] = [event.clientX - current.x, event.clientY - current.y];
      if (!current.isMoved && Math.hypot(right, down) < PRESS_PX) return;
      // The press that ends it lands here then, and chooses nothing.
      if (!current.isMoved && isOver) event.currentTarget.setPointerCapture(event.pointerId);
      current.isMoved = true;
      onDrag(right, down, event);
    },
    onPointerUp: drop,
    onPointerCancel: drop,
  };
}
