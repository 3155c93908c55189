/** What is explained over the screen: the keys, or how its numbers were made. */
export type Help = 'keys' | 'numbers';

/** Marks a number with how it was made: resting on it says so, and H lists every marked number in sight. */
export const explained = (how: string, what = '') => ({ title: how, 'data-how': what });
