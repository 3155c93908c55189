import { useLayoutEffect } from 'react';
import { create } from 'zustand';

/** The find box looks the same before and after its list is loaded. */
export const findClass = 'h-11 w-full rounded border border-thread bg-paper pr-10 pl-3 md:h-9';
export const findFrameClass = 'relative ml-auto w-full md:w-[330px]';

export const BOX_ID = 'find-box';
export const findBox = (): HTMLInputElement | null => document.querySelector(`#${BOX_ID}`);

/** What stands in the find box; chosen once an answer was taken, though the box keeps the focus for two frames more. */
export const useTyped = create<{ text: string; isChosen: boolean }>(() => ({ text: '', isChosen: false }));

let isTypedOn = false;

/** Each screen has its box: what is typed while the next screen still comes is typed on there. */
export function useTypedOn(): void {
  useLayoutEffect(() => {
    if (isTypedOn) findBox()?.focus();
    return () => {
      isTypedOn = document.activeElement?.id === BOX_ID && !useTyped.getState().isChosen;
      if (!isTypedOn) useTyped.setState({ text: '' });
    };
  }, []);
}
