/** The find box looks the same before and after its list is loaded. */
export const findClass = 'h-11 w-full rounded border border-thread bg-paper pr-10 pl-3 md:h-9';
export const findFrameClass = 'relative ml-auto w-full md:w-[330px]';
