import { useCallback, useEffect, useLayoutEffect, useRef, useState, type PointerEvent, type RefObject } from 'react';

const MOST = 8;
const STEP = 1.5;
/** A press that goes less far than this chooses; further, it pans. */
const PRESS_PX = 4;

interface Zoom {
  readonly zoom: number;
  readonly isWhole: boolean;
  readonly isMost: boolean;
  readonly step: (direction: 1 | -1) => void;
  readonly showWhole: () => void;
  /** For the frame that scrolls: a mouse drags what is zoomed, touch and wheel scroll it by themselves. */
  readonly hands: {
    readonly onPointerDown: (event: PointerEvent) => void;
    readonly onPointerMove: (event: PointerEvent) => void;
    readonly onPointerUp: () => void;
    readonly onPointerCancel: () => void;
  };
}

/**
 * Zoom of a drawing in a frame that scrolls. What was under the pointer, or in the middle, stays there; `origin` is
 * where the drawing begins in the scrolled content, at a given zoom, in pixels.
 */
export function useZoom(frame: RefObject<HTMLElement | null>, origin: (zoom: number) => number): Zoom {
  const [zoom, setZoom] = useState(1);
  const hold = useRef<{ atX: number; atY: number; shareX: number; shareY: number } | null>(null);
  const pan = useRef<{ x: number; y: number; isOn: boolean } | null>(null);

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

  const rest = () => {
    pan.current = null;
  };
  return {
    zoom,
    isWhole: zoom === 1,
    isMost: zoom >= MOST,
    step: (direction) => zoomTo(direction > 0 ? zoom * STEP : zoom / STEP),
    showWhole: () => zoomTo(1),
    hands: {
      onPointerDown: (event) => {
        if (event.pointerType !== 'mouse' || event.button !== 0 || zoom === 1) return;
        if ((event.target as Element).closest('[data-hold]')) return;
        pan.current = { x: event.clientX, y: event.clientY, isOn: false };
      },
      onPointerMove: (event) => {
        const [element, from] = [frame.current, pan.current];
        if (!element || !from) return;
        const [dx, dy] = [event.clientX - from.x, event.clientY - from.y];
        if (!from.isOn && Math.hypot(dx, dy) < PRESS_PX) return;
        // The press that ends it lands on the frame then, and chooses nothing.
        if (!from.isOn) element.setPointerCapture(event.pointerId);
        element.scrollBy(-dx, -dy);
        pan.current = { x: event.clientX, y: event.clientY, isOn: true };
      },
      onPointerUp: rest,
      onPointerCancel: rest,
    },
  };
}
