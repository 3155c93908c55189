import { useLayoutEffect } from 'react';
import { useLocation } from 'react-router';
import { create } from 'zustand';

/** The find box looks the same before and after its list is loaded. */
export const findClass = 'h-11 w-full rounded border border-thread bg-paper pr-10 pl-3 md:h-9';
export const findFrameClass = 'relative ml-auto w-full md:w-[330px]';

export const BOX_ID = 'find-box';
export const findBox = (): HTMLInputElement | null => document.querySelector(`#${BOX_ID}`);

/** What stands in the find box, and whether it is typed while the next screen still comes. */
export const useTyped = create<{ text: string; isForNext: boolean }>(() => ({ text: '', isForNext: false }));

/** Each screen has its box: what is typed while the next one still comes is typed on there. Says that typing began. */
export function useTypedOn(): () => void {
  const { pathname } = useLocation();
  useLayoutEffect(() => {
    if (useTyped.getState().isForNext) {
      useTyped.setState({ isForNext: false });
      findBox()?.focus();
    }
    return () => {
      if (document.activeElement?.id !== BOX_ID || !useTyped.getState().isForNext)
        useTyped.setState({ text: '', isForNext: false });
    };
  }, []);
  // The address is that of the next screen from the moment it was asked for.
  return () => useTyped.setState({ isForNext: window.location.pathname !== pathname });
}

/** A key asked for a field that is not there yet: what is typed on the way to it; null where none was. */
export const held: { text: string | null } = { text: null };

const LONGEST_MS = 5000;
let timer: ReturnType<typeof setTimeout>;

/** Begins to hold what is typed; where the field does not come, keys mean again what they mean. */
export function hold(): void {
  held.text = '';
  clearTimeout(timer);
  timer = setTimeout(() => (held.text = null), LONGEST_MS);
}
