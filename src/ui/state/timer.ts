import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { ProjectId } from '../../core/records/index.ts';

interface TimerState {
  /** The step that is being done, since when; null while nothing runs. */
  readonly running: { readonly projectId: ProjectId; readonly stepId: string; readonly sinceMs: number } | null;
}

/** The timer goes on while the window is closed: it is only a time that one began at. */
export const useTimer = create<TimerState>()(
  persist((): TimerState => ({ running: null }), { name: 'yardmist-timer' }),
);
