/** What a scrap is cut into: a square, or a strip that runs as far as it goes; mm, with its seams. */
export interface ScrapSize {
  readonly id: string;
  readonly kind: 'square' | 'strip';
  /** Side of the square, or width of the strip. */
  readonly sideMm: number;
  /** A strip shorter than this is none; as long as it is wide for a square. */
  readonly leastMm: number;
  /** What one square is worth to the sewist; of a strip, as much of it as its least length. */
  readonly worth: number;
}

const INCH = 25.4;

/** What quilters cut: 2½ and 5 inch squares, 10 inch squares, strips of 2½ inches from 30 cm on. Worth by what can be made of one. */
export const USUAL_SIZES: readonly ScrapSize[] = [
  { id: 'square-10', kind: 'square', sideMm: 10 * INCH, leastMm: 10 * INCH, worth: 18 },
  { id: 'square-5', kind: 'square', sideMm: 5 * INCH, leastMm: 5 * INCH, worth: 4.2 },
  { id: 'strip-2.5', kind: 'strip', sideMm: 2.5 * INCH, leastMm: 300, worth: 5 },
  { id: 'square-2.5', kind: 'square', sideMm: 2.5 * INCH, leastMm: 2.5 * INCH, worth: 1 },
];
