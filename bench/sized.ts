/** Each bench once in its smallest size: it shows that the bench still runs, and its figures say nothing. */
export const isSmall = process.env['BENCH_SIZE'] === 'small';

/** A number of tries, steps, things or milliseconds: what the figure is measured with, and the least that goes through the same code. */
export const sized = (full: number, small: number): number => (isSmall ? small : full);

/** The first of a list where it runs small. */
export const some = <T>(list: readonly T[], small = 1): readonly T[] => (isSmall ? list.slice(0, small) : list);
