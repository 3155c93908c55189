import { useEffect, useState, type RefObject } from 'react';

/** Width and height of an element in pixels, followed as it changes; nothing until it is there. */
export function useSize(frame: RefObject<HTMLElement | null>): { width: number; height: number } | null {
  const [size, setSize] = useState<{ width: number; height: number } | null>(null);
  useEffect(() => {
    const element = frame.current;
    if (!element) return undefined;
    const observer = new ResizeObserver(() => {
      const [width, height] = [Math.floor(element.clientWidth), Math.floor(element.clientHeight)];
      setSize((now) => (now?.width === width && now.height === height ? now : { width, height }));
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [frame]);
  return size;
}
