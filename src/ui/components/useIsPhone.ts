import { useSyncExternalStore } from 'react';

const PHONE = '(width < 48rem)';

/** As narrow as a phone, now or after it was turned. */
export function useIsPhone(): boolean {
  return useSyncExternalStore(
    (onChange) => {
      const query = window.matchMedia(PHONE);
      query.addEventListener('change', onChange);
      return () => query.removeEventListener('change', onChange);
    },
    () => window.matchMedia(PHONE).matches,
  );
}
