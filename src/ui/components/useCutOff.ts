import { useEffect } from 'react';

/** What is cut off for want of room is told whole by resting on it, wherever it is. */
export function useCutOff(): void {
  useEffect(() => {
    const onOver = ({ target }: Event) => {
      const cut = target instanceof Element ? target.closest<HTMLElement>('.truncate') : null;
      if (!cut) return;
      const words = cut.textContent.trim();
      if (cut.scrollWidth > cut.clientWidth) cut.title = words;
      else if (cut.title === words) cut.removeAttribute('title');
    };
    document.addEventListener('pointerover', onOver, { passive: true });
    return () => document.removeEventListener('pointerover', onOver);
  }, []);
}
