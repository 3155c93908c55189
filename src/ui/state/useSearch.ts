import { useEffect, useState } from 'react';

/** What a search tells: its best so far or at the end, or why it failed. */
type Message<Found> =
  ({ readonly type: 'progress' | 'done' } & Found) | { readonly type: 'failed'; readonly note: string };

/** What is looked for now: the best so far, and whether it may become better. */
export interface Searched<Found> {
  readonly found: Found | null;
  readonly isRunning: boolean;
  readonly failure: string | null;
}

type Start<Ask, Found> = (ask: Ask, listener: (message: Message<Found>) => void) => { readonly abandon: () => void };

/**
 * Searches in a worker as long as it is asked the same; null asks nothing. An answer to another question is not shown. `start` is one
 * of those in `workers/client`.
 */
export function useSearch<Ask, Found>(start: Start<Ask, Found>, ask: Ask | null): Searched<Found> {
  const key = JSON.stringify(ask);
  const [state, setState] = useState<Searched<Found> & { readonly key: string }>({
    key: '',
    found: null,
    isRunning: false,
    failure: null,
  });
  useEffect(() => {
    if (ask === null) return undefined;
    const handle = start(ask, (message) => {
      if (message.type === 'failed') setState({ key, found: null, isRunning: false, failure: message.note });
      else setState({ key, found: message, isRunning: message.type === 'progress', failure: null });
    });
    return () => handle.abandon();
    // The key says all that is asked.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [key]);
  return state.key === key ? state : { found: null, isRunning: ask !== null, failure: null };
}
