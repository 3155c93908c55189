import { existsSync, readFileSync } from 'node:fs';

/**
 * What the host of this machine keeps to itself: a task of 20 ms takes half a second by the clock where the host gives the
 * processor to somebody else meanwhile. Told beside the figures, so that one need not look in the product for what is not there.
 */

const TICK_MS = 10;
const EVERY_MS = 50;
const STAT = '/proc/stat';
/** The eighth number of a processor's line, in hundredths of a second; see proc(5). */
const STOLEN = 8;

/** Time taken of each processor since the machine began, ms; none where the system does not tell. */
const readStolen = (): number[] =>
  existsSync(STAT)
    ? readFileSync(STAT, 'utf8')
        .split('\n')
        .filter((line) => /^cpu\d/.test(line))
        .map((line) => Number(line.split(/\s+/)[STOLEN]) * TICK_MS)
    : [];

/** Looks on until it is stopped; asked what was taken between two times of the clock, ms since 1970, of the processor that lost most. */
export function watchHost(): { stolenBetween: (fromMs: number, toMs: number) => number; stop: () => void } {
  const seen = [{ atMs: Date.now(), stolen: readStolen() }];
  const timer = setInterval(() => seen.push({ atMs: Date.now(), stolen: readStolen() }), EVERY_MS);
  return {
    stolenBetween(fromMs, toMs) {
      const from = seen.findLast(({ atMs }) => atMs <= fromMs) ?? seen[0]!;
      const to = seen.find(({ atMs }) => atMs >= toMs)?.stolen ?? readStolen();
      return to.reduce((most, ms, nth) => Math.max(most, ms - from.stolen[nth]!), 0);
    },
    stop: () => clearInterval(timer),
  };
}
