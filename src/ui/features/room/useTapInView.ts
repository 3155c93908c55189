import { useEffect } from 'react';
import type { Tapped } from './ShapePanel.tsx';
import { isPhone } from '../../components/phone.ts';

/** A phone shows the plan above the panel: what is to be tapped comes into view. */
export function useTapInView(tapped: Tapped): void {
  useEffect(() => {
    if (tapped === null || !isPhone()) return;
    const frame = requestAnimationFrame(() =>
      document.querySelector('[data-tap]')?.scrollIntoView({ block: 'center' }),
    );
    return () => cancelAnimationFrame(frame);
  }, [tapped]);
}
