import { useEffect } from 'react';

const KEY = 'yardmist-draft-';

/** What was typed into a form before the page was loaded again, in this tab; null where nothing was. */
export function readDraft<T>(name: string): T | null {
  try {
    const text = sessionStorage.getItem(KEY + name);
    return text === null ? null : (JSON.parse(text) as T);
  } catch {
    return null;
  }
}

export function dropDraft(name: string): void {
  try {
    sessionStorage.removeItem(KEY + name);
  } catch {
    // A browser that keeps nothing has nothing to drop.
  }
}

/** Keeps what is typed into a form as long as the tab is open; a form that is left as it was has no draft. */
export function useDraft(name: string, value: unknown, isDirty: boolean): void {
  useEffect(() => {
    if (!isDirty) return;
    try {
      sessionStorage.setItem(KEY + name, JSON.stringify(value));
    } catch {
      // Then it is only on the screen.
    }
  });
}
