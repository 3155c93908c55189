import { useEffect, useEffectEvent } from 'react';

const KEY = 'yardmist-typed-';

/** The storage of this tab; null in a browser that keeps nothing, where what is typed is only on the screen. */
function getStorage(): Storage | null {
  try {
    return window.sessionStorage;
  } catch {
    return null;
  }
}

/**
 * Keeps what is typed into a form over a reload, as long as the tab is open; a form that is as it was keeps nothing. What
 * is answered drops it.
 */
export function useTyped<T>(name: string, fields: T, isDirty: boolean, bringBack: (typed: T) => void): () => void {
  const begin = useEffectEvent(() => {
    const text = getStorage()?.getItem(KEY + name);
    if (text) bringBack(JSON.parse(text) as T);
  });
  useEffect(() => begin(), []);
  useEffect(() => {
    if (isDirty) getStorage()?.setItem(KEY + name, JSON.stringify(fields));
  });
  return () => getStorage()?.removeItem(KEY + name);
}
