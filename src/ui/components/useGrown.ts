import { startTransition, useEffect, useState } from 'react';

/** More lines of a list than a desk's screen shows. */
export const SCREENFUL = 24;

/** The first of a long list at once, and more of it by and by: what is in sight is there without waiting for the rest. */
export function useGrown<T>(list: readonly T[], step: number): readonly T[] {
  const [shown, setShown] = useState(step);
  const isMore = shown < list.length;
  useEffect(() => {
    if (!isMore) return undefined;
    const timer = setTimeout(() => startTransition(() => setShown(shown + step)), 16);
    return () => clearTimeout(timer);
  }, [isMore, shown, step]);
  return isMore ? list.slice(0, shown) : list;
}
