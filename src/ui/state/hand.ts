import { create } from 'zustand';
import type { LastScan } from '../../core/labels/index.ts';
import type { LotId } from '../../core/records/index.ts';
import { useApp } from './app.ts';

/** What was scanned and is carried about, until it is put somewhere. What is in the hand is out, as the daybook has it. */
export const useHand = create<{ readonly ids: readonly LotId[]; readonly last: LastScan | null }>()(() => ({
  ids: [],
  last: null,
}));

// Another household has other things: the hand is empty there.
useApp.subscribe((state, before) => {
  if (state.generation !== before.generation) useHand.setState({ ids: [], last: null });
});
