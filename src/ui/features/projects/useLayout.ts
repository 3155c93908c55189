import { useEffect, useState } from 'react';
import type { Block, Layout, Sheet } from '../../../core/layout/index.ts';
import { startLayouter } from '../../../workers/client.ts';

/** What is looked for now: the best so far, and whether it may become better. */
export interface LayoutState {
  readonly layout: Layout | null;
  readonly leastMm: number;
  readonly isRunning: boolean;
  readonly failure: string | null;
}

const SECONDS = 2;
const NONE: LayoutState = { layout: null, leastMm: 0, isRunning: false, failure: null };

/** Lays blocks on a sheet in a worker: the first answer comes at once, the best after two seconds. `key` tells one question from another. */
export function useLayout(blocks: readonly Block[], sheet: Sheet, key: string): LayoutState {
  const [state, setState] = useState<LayoutState & { key: string }>({ ...NONE, key: '' });
  useEffect(() => {
    if (blocks.length === 0) return undefined;
    const handle = startLayouter({ blocks, sheet, seed: 1, seconds: SECONDS }, (message) => {
      if (message.type === 'failed') setState({ ...NONE, key, failure: message.note });
      else
        setState({
          key,
          layout: message.layout,
          leastMm: message.leastMm,
          isRunning: message.type === 'progress',
          failure: null,
        });
    });
    return () => handle.abandon();
    // The key says all that the blocks and the sheet are made of.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [key]);
  return state.key === key ? state : NONE;
}
