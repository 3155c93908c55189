import type { UnitSystem } from './parse.ts';

/** Where lines of figures are written without their unit, they are in cm or inches; mm. */
const MM: Readonly<Record<UnitSystem, number>> = { metric: 10, imperial: 25.4 };

/** A figure of such a line, mm; NaN where it is none. */
export const readShort = (text: string, units: UnitSystem): number => Number(text.replace(',', '.')) * MM[units];

/** As `readShort` reads it, to a hundredth. */
export const writeShort = (mm: number, units: UnitSystem): string => String(Math.round((mm / MM[units]) * 100) / 100);
