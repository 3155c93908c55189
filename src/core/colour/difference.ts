import { differenceCiede2000, modeLab65, parseHex, useMode, type Lab65 } from 'culori/fn';

const toLab = useMode(modeLab65);
const difference = differenceCiede2000();

/** A colour as the eye weighs it. Made once and kept where many are compared. */
export type Lab = Lab65;

/** Null where the text is no `#rrggbb`. */
export function toLabColour(hex: string): Lab | null {
  return toLab(parseHex(hex)) ?? null;
}

/** The first colour of a thing as the eye weighs it; null where it says none. */
export function getLab({ colours: [first] }: { readonly colours: readonly string[] }): Lab | null {
  return first === undefined ? null : toLabColour(first);
}

/** ΔE00 between two colours: under 2 one hardly sees it, over 5 anybody does. Sharma, Wu, Dalal 2005. */
export function computeDeltaE(a: Lab, b: Lab): number {
  return difference(a, b);
}

/** How well a thread goes with a cloth, by figures.md: under 2 a near match, under 5 good for seams. */
export type Match = 'near' | 'seams' | 'off';

export function getMatch(deltaE: number): Match {
  return deltaE < 2 ? 'near' : deltaE < 5 ? 'seams' : 'off';
}

/** In what way one colour differs from another, strongest first, as a person would say it. */
export type Shift = 'lighter' | 'darker' | 'greyer' | 'stronger' | 'redder' | 'greener' | 'yellower' | 'bluer';

/** What is to be seen of a difference: shifts of at least one and a half units along an axis, at most two. */
export function explainShift(from: Lab, to: Lab): Shift[] {
  const chroma = (lab: Lab) => Math.hypot(lab.a, lab.b);
  const all: [number, Shift, Shift][] = [
    [to.l - from.l, 'lighter', 'darker'],
    [chroma(to) - chroma(from), 'stronger', 'greyer'],
    [to.a - from.a, 'redder', 'greener'],
    [to.b - from.b, 'yellower', 'bluer'],
  ];
  return all
    .filter(([by]) => Math.abs(by) >= 1.5)
    .toSorted((a, b) => Math.abs(b[0]) - Math.abs(a[0]))
    .slice(0, 2)
    .map(([by, more, less]) => (by > 0 ? more : less));
}

export interface Candidate<T> {
  readonly of: T;
  readonly lab: Lab;
}

export interface Nearest<T> {
  readonly of: T;
  readonly deltaE: number;
  readonly shifts: readonly Shift[];
}

/**
 * The nearest colours, best first. Where nothing is near (ΔE00 of 5 and more), of two about as far the darker
 * or greyer one is better: it shows less in a seam.
 */
export function findNearest<T>(wanted: Lab, among: readonly Candidate<T>[], limit: number): Nearest<T>[] {
  const cost = (one: Candidate<T>, deltaE: number) => {
    if (deltaE < 5) return deltaE;
    const isQuiet = one.lab.l < wanted.l || Math.hypot(one.lab.a, one.lab.b) < Math.hypot(wanted.a, wanted.b) - 2;
    return deltaE + (isQuiet ? 0 : 2);
  };
  return among
    .map((one) => ({ one, deltaE: computeDeltaE(wanted, one.lab) }))
    .toSorted((a, b) => cost(a.one, a.deltaE) - cost(b.one, b.deltaE))
    .slice(0, limit)
    .map(({ one, deltaE }) => ({ of: one.of, deltaE, shifts: explainShift(wanted, one.lab) }));
}
