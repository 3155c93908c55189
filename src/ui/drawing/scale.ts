import { createContext } from 'react';

/** Pixels per mm of the drawing that something lies over. */
export const ScaleContext = createContext(1);
