import type { Holder } from '../records/index.ts';
import type { Estimate } from './amount.ts';

/** Outer size of what thread is wound on, its weight full and bare; the middle of what is usual. */
export interface HolderFigures {
  readonly id: Holder;
  readonly diameterMm: number;
  readonly heightMm: number;
  /** With thread on it. */
  readonly massG: number;
  /** Bare; weigh an empty one of your own to know better. */
  readonly tareG: number;
}

export const HOLDER_FIGURES: readonly HolderFigures[] = [
  { id: 'small', diameterMm: 26, heightMm: 52, massG: 14, tareG: 6 },
  { id: 'large', diameterMm: 45, heightMm: 75, massG: 60, tareG: 14 },
  { id: 'cone', diameterMm: 70, heightMm: 140, massG: 130, tareG: 30 },
  { id: 'bobbin', diameterMm: 21, heightMm: 10.5, massG: 3, tareG: 1.2 },
];

export function getHolder(id: Holder): HolderFigures {
  return HOLDER_FIGURES.find((one) => one.id === id) ?? (HOLDER_FIGURES[0] as HolderFigures);
}

/** The holder whose diameter is nearest. */
export function findHolder(diameterMm: number): HolderFigures {
  return HOLDER_FIGURES.reduce((a, b) =>
    Math.abs(b.diameterMm - diameterMm) < Math.abs(a.diameterMm - diameterMm) ? b : a,
  );
}

/** Grams in 1000 m (tex); ticket number of synthetics ≈ 3000 / tex; weight number ≈ 1000 / tex. */
export const THREAD_NUMBERS = ['tex', 'ticket', 'weight'] as const;
export type ThreadNumber = (typeof THREAD_NUMBERS)[number];
const PER_TEX: Record<Exclude<ThreadNumber, 'tex'>, number> = { ticket: 3000, weight: 1000 };

/** A thread's number in one system from its number in another. Both ways are the same division. */
export function convertThread(value: number, from: ThreadNumber, to: ThreadNumber): number {
  const tex = from === 'tex' ? value : PER_TEX[from] / value;
  return to === 'tex' ? tex : PER_TEX[to] / tex;
}

/** Thread is spun to within this of its number, one standard deviation. */
const TEX_SPREAD = 0.05;

/** Length on a spool from its net weight, mm: tex is grams a thousand metres, so 1 g at tex 1 is 1 000 000 mm. */
export function computeThreadLength(netG: number, tex: number, netSigmaG: number, spread = TEX_SPREAD): Estimate {
  const value = (Math.max(0, netG) * 1e6) / tex;
  return { value, sigma: Math.hypot((netSigmaG * 1e6) / tex, value * spread) };
}

/** Weight of a length of thread, g. */
export function computeThreadMass(lengthMm: number, tex: number): number {
  return (lengthMm * tex) / 1e6;
}
