import { useEffect } from 'react';
import type { Tapped } from './ShapePanel.tsx';

/** A phone shows the plan above the panel: what is to be tapped comes into view. */
export function useTapInView(tapped: Tapped): void {
  useEffect(() => {
    if (tapped === null || !window.matchMedia('(width < 48rem)').matches) return;
    const frame = requestAnimationFrame(() =>
      document.querySelector('[data-tap]')?.scrollIntoView({ block: 'center' }),
    );
    return () => cancelAnimationFrame(frame);
  }, [tapped]);
}
