import { useEffect, useMemo, useState, type RefObject } from 'react';

/** So far above and below what is seen lines are drawn already. */
const OVERSCAN_PX = 300;
/** Whoever scrolls farther than that at once sees none of them: they are drawn when it rests, ms. */
const REST_MS = 120;

/** First index whose line ends after `at`; `starts` are the lines' tops, and one more for the end. */
export function findLineAt(starts: ArrayLike<number>, at: number): number {
  let [low, high] = [0, Math.max(0, starts.length - 1)];
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (starts[middle + 1]! > at) high = middle;
    else low = middle + 1;
  }
  return low;
}

/**
 * Which lines of a long list are in view, where every height is known beforehand: a fraction of what a
 * virtual list that measures its rows weighs, for the first screen.
 */
export function useWindow(frame: RefObject<HTMLElement | null>, heights: readonly number[]) {
  const starts = useMemo(() => {
    const tops = new Float64Array(heights.length + 1);
    for (const [i, height] of heights.entries()) tops[i + 1] = tops[i]! + height;
    return tops;
  }, [heights]);
  const [view, setView] = useState({ from: 0, to: 0 });
  useEffect(() => {
    const element = frame.current;
    if (!element) return undefined;
    /** What is in sight of it, from its own top: on a phone it is as long as all its lines, and the page scrolls. */
    const see = () => {
      const { top } = element.getBoundingClientRect();
      return {
        top: element.scrollTop + Math.max(0, -top),
        bottom: element.scrollTop + Math.min(element.clientHeight, window.innerHeight - top),
      };
    };
    const look = (overscanPx: number) => {
      const { top, bottom } = see();
      const from = findLineAt(starts, top - overscanPx);
      const to = Math.min(heights.length, findLineAt(starts, bottom + overscanPx) + 1);
      setView((now) => (now.from === from && now.to === to ? now : { from, to }));
    };
    let [lastTop, rest] = [see().top, 0];
    const onScroll = () => {
      const { top } = see();
      const isFar = Math.abs(top - lastTop) > OVERSCAN_PX;
      lastTop = top;
      window.clearTimeout(rest);
      if (isFar) rest = window.setTimeout(look, REST_MS, OVERSCAN_PX);
      look(isFar ? 0 : OVERSCAN_PX);
    };
    look(OVERSCAN_PX);
    const done = new AbortController();
    for (const scrolled of [element, document])
      scrolled.addEventListener('scroll', onScroll, { passive: true, signal: done.signal });
    const observer = new ResizeObserver(() => look(OVERSCAN_PX));
    observer.observe(element);
    return () => {
      window.clearTimeout(rest);
      done.abort();
      observer.disconnect();
    };
  }, [frame, starts, heights.length]);
  return { from: Math.min(view.from, heights.length), to: Math.min(view.to, heights.length), starts };
}
