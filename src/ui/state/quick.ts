import { create } from 'zustand';

/** The quick line was asked for, perhaps before it is there: it takes the focus when it comes. */
export const useQuickWanted = create<{ readonly isWanted: boolean }>()(() => ({ isWanted: false }));
