/** A piece of a lot where it lies: corner nearest the front lower left, and size as turned; mm. */
export interface Spot {
  readonly index: number;
  readonly piece: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly zMm: number;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly heightMm: number;
  /** Soft or bagged goods: only the volume is meant, the box shows how high they fill. */
  readonly isBulk: boolean;
}

/** `impossible` is proven; `not-found` is not. */
export type PackResult =
  | { readonly status: 'packed'; readonly spots: readonly Spot[] }
  | { readonly status: 'impossible' }
  | { readonly status: 'not-found' };
