import { useEffect, useState, type RefObject } from 'react';
import { usePrinting } from './usePrinting.ts';

/** What a sheet of A4 or Letter has within its margins, px; the head takes some of its height. */
const PAPER = { width: 700, height: 860 };

/** Width and height of an element in pixels, followed as it changes; nothing until it is there. On paper no more than a sheet has. */
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
  const isPrinting = usePrinting();
  return isPrinting && size
    ? { width: Math.min(size.width, PAPER.width), height: Math.min(size.height, PAPER.height) }
    : size;
}
