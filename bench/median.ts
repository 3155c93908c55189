/** The middle one of some figures, of an even number the greater of the two; of none it is no number, and the bench fails. */
export const median = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[values.length >> 1] ?? Number.NaN;
