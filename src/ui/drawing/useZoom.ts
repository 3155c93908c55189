import { useCallback, useEffect, useEffectEvent, useLayoutEffect, useRef, useState, type RefObject } from 'react';
import { useDrag } from '../components/useDrag.ts';
import { usePrinting } from '../components/usePrinting.ts';

const MOST = 8;
const STEP = 1.5;

export interface Zoom {
  readonly zoom: number;
  readonly isWhole: boolean;
  readonly isMost: boolean;
  readonly step: (direction: 1 | -1) => void;
  readonly showWhole: () => void;
  /** For the frame that scrolls: a mouse drags what is zoomed, touch and wheel scroll it by themselves. */
  readonly drag: ReturnType<typeof useDrag>;
}

/**
 * Zoom of a drawing in a frame that scrolls, by wheel, by two fingers or by buttons. What was under the pointer, or in the middle, stays there; `origin` is
 * where the drawing begins in the scrolled content, at a given zoom, in pixels.
 */
export function useZoom(frame: RefObject<HTMLElement | null>, origin: (zoom: number) => number): Zoom {
  const [zoom, setZoom] = useState(1);
  const hold = useRef<{ atX: number; atY: number; shareX: number; shareY: number } | null>(null);
  const panned = useRef({ left: 0, top: 0 });

  const zoomTo = useCallback(
    (next: number, clientX?: number, clientY?: number) => {
      const element = frame.current;
      const to = Math.min(MOST, Math.max(1, next));
      if (!element || to === zoom) return;
      const box = element.getBoundingClientRect();
      const atX = clientX === undefined ? element.clientWidth / 2 : clientX - box.left;
      const atY = clientY === undefined ? element.clientHeight / 2 : clientY - box.top;
      hold.current = {
        atX,
        atY,
        shareX: (element.scrollLeft + atX - origin(zoom)) / zoom,
        shareY: (element.scrollTop + atY) / zoom,
      };
      setZoom(to);
    },
    [frame, zoom, origin],
  );
  useLayoutEffect(() => {
    const element = frame.current;
    const held = hold.current;
    if (!element || !held) return;
    hold.current = null;
    element.scrollTo(held.shareX * zoom + origin(zoom) - held.atX, held.shareY * zoom - held.atY);
  }, [zoom, frame, origin]);

  useEffect(() => {
    const element = frame.current;
    const onWheel = (event: WheelEvent) => {
      if (!event.ctrlKey && !event.metaKey) return;
      event.preventDefault();
      zoomTo(zoom * Math.exp(-event.deltaY / 300), event.clientX, event.clientY);
    };
    // React listens passively, and the page itself would zoom.
    element?.addEventListener('wheel', onWheel, { passive: false });
    return () => element?.removeEventListener('wheel', onWheel);
  }, [frame, zoom, zoomTo]);

  const pinch = useEffectEvent((of: number, clientX: number, clientY: number) => zoomTo(of, clientX, clientY));
  const getZoom = useEffectEvent(() => zoom);
  useEffect(() => {
    const element = frame.current;
    if (!element) return undefined;
    let from: { apart: number; zoom: number } | null = null;
    const read = ({ touches }: TouchEvent) => {
      const [a, b] = [touches[0]!, touches[1]!];
      return {
        apart: Math.max(1, Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY)),
        x: (a.clientX + b.clientX) / 2,
        y: (a.clientY + b.clientY) / 2,
      };
    };
    const onStart = (event: TouchEvent) => {
      from = event.touches.length === 2 ? { apart: read(event).apart, zoom: getZoom() } : null;
    };
    const onMove = (event: TouchEvent) => {
      if (!from || event.touches.length !== 2) return;
      event.preventDefault();
      const { apart, x, y } = read(event);
      pinch((from.zoom * apart) / from.apart, x, y);
    };
    // As with the wheel: the page itself would zoom.
    element.addEventListener('touchstart', onStart, { passive: true });
    element.addEventListener('touchmove', onMove, { passive: false });
    return () => {
      element.removeEventListener('touchstart', onStart);
      element.removeEventListener('touchmove', onMove);
    };
  }, [frame]);

  const scrollTo = ({ left, top }: { left: number; top: number }) => frame.current?.scrollTo(left, top);
  const drag = useDrag({
    isOver: true,
    onTake: (event) => {
      const { current } = frame;
      const isHeld = (event.target as Element).closest('[data-hold]') !== null;
      if (!current || event.pointerType !== 'mouse' || zoom === 1 || isHeld) return false;
      panned.current = { left: current.scrollLeft, top: current.scrollTop };
      return true;
    },
    onDrag: (right, down) => scrollTo({ left: panned.current.left - right, top: panned.current.top - down }),
    onDrop: () => {},
    onCancel: () => scrollTo(panned.current),
  });
  // Paper shows it whole.
  const shown = usePrinting() ? 1 : zoom;
  return {
    zoom: shown,
    isWhole: shown === 1,
    isMost: zoom >= MOST,
    step: (direction) => zoomTo(direction > 0 ? zoom * STEP : zoom / STEP),
    showWhole: () => zoomTo(1),
    drag,
  };
}
