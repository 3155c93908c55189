import { useEffect, useState } from 'react';
import type { Block, Layout, Sheet } from '../../../core/layout/index.ts';
import { startLayouter } from '../../../workers/client.ts';

/** What is looked for now: the best so far, and whether it may become better. */
export interface LayoutState {
  readonly layout: Layout | null;
  readonly leastMm: number;
  readonly isRunning: boolean;
  /** Not all goes on; without this piece, the others do. */
  readonly spare: number | null;
  readonly failure: string | null;
}

const SECONDS = 2;
const NONE: LayoutState = { layout: null, leastMm: 0, isRunning: false, spare: null, failure: null };

/** Lays blocks on sheets in a worker: the first answer comes at once, the best after two seconds. No sheets, no question. */
export function useLayout(blocks: readonly Block[], sheets: readonly Sheet[]): LayoutState {
  const key = JSON.stringify([blocks, sheets]);
  const [state, setState] = useState<LayoutState & { key: string }>({ ...NONE, key: '' });
  useEffect(() => {
    if (blocks.length === 0 || sheets.length === 0) return undefined;
    const handle = startLayouter({ blocks, sheets, seed: 1, seconds: SECONDS }, (message) => {
      if (message.type === 'failed') setState({ ...NONE, key, failure: message.note });
      else {
        const { layout, leastMm, spare } = message;
        setState({ key, layout, leastMm, spare, isRunning: message.type === 'progress', failure: null });
      }
    });
    return () => handle.abandon();
    // The key says all that the blocks and the sheets are made of.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [key]);
  return state.key === key ? state : NONE;
}
