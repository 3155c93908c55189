import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { forget, NO_HABITS, remember, type Habits, type Sketch } from '../../core/catalog/index.ts';

/** What was said last of where things come from, how wide they are and how they are kept: this browser's affair. */
export const useHabits = create<Habits>()(persist((): Habits => NO_HABITS, { name: 'yardmist-habits' }));

export const rememberHabits = (sketch: Sketch): void => {
  useHabits.setState((now) => remember(now, sketch), true);
};
export const forgetHabits = (sketch: Sketch): void => {
  useHabits.setState((now) => forget(now, sketch), true);
};
