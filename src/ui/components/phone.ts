import { useSyncExternalStore } from 'react';

const PHONE = '(width < 48rem)';

/** The window is as narrow as a phone. */
export const isPhone = (): boolean => window.matchMedia(PHONE).matches;

/** As `isPhone`, also after it was turned. */
export function useIsPhone(): boolean {
  return useSyncExternalStore((onChange) => {
    const query = window.matchMedia(PHONE);
    query.addEventListener('change', onChange);
    return () => query.removeEventListener('change', onChange);
  }, isPhone);
}
