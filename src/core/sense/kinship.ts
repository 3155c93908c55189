import { KINSHIPS, type Estimates, type Kinship } from '../records/index.ts';
import type { Nature } from './nature.ts';

export { KINSHIPS, type Kinship };

const meet = <T>(a: ReadonlySet<T>, b: ReadonlySet<T>) => [...a].some((one) => b.has(one));

/**
 * How near two groups are, the first of these that holds:
 *
 * - a liquid or an iron beside cloth, thread, tapes or paper, magnets beside machines, and what sheds beside what does not:
 *   they spoil each other;
 * - parts of one group that was cut up: they are one group to whoever looks for it;
 * - the same kind: near where they lie under one outer school, are tools or small notions of one station, are all
 *   patterns or all books, all thread or all scraps, or are both there to line and fill; else of a kind. Soft notions beside hard ones are only used together. Machines
 *   are strangers to all else that is "other";
 * - across kinds: cloth and what lines and fills, cloth and its own scraps, patterns and books are of a kind; thread,
 *   notions, small tools and machines are used together where they share a station; all else are strangers.
 */
export function getKinship(a: Nature, b: Nature): Kinship {
  if ((a.isDelicate || b.isDelicate) && (a.isLiquid !== b.isLiquid || a.isHot !== b.isHot)) return 'clash';
  if ((a.isMagnetic && b.isMachine) || (b.isMagnetic && a.isMachine)) return 'clash';
  if (a.wholeId === b.wholeId) return 'part';
  if (a.sheds !== b.sheds) return 'clash';
  const isShared = meet(a.stations, b.stations);
  if (a.isPaper && b.isPaper) return a.kind === b.kind ? 'near' : 'kind';
  if (a.kind === b.kind) {
    if (a.kind === 'other') return a.isMachine || b.isMachine ? 'stranger' : 'kind';
    if (a.kind === 'thread' || a.kind === 'scrap') return 'near';
    if (a.kind === 'fabric' && a.isSupport !== b.isSupport) return 'kind';
    const isNear = (a.outer !== null && a.outer === b.outer) || (a.isSupport && b.isSupport);
    if (a.kind === 'notion' && a.isCloth !== b.isCloth) return 'station';
    const isAtHand = isShared && (a.kind === 'tool' || (a.kind === 'notion' && a.isSmall && b.isSmall));
    return isNear || isAtHand ? 'near' : 'kind';
  }
  if (a.isSupport && b.isSupport) return 'near';
  const kinds = new Set([a.kind, b.kind]);
  if (kinds.has('scrap') && kinds.has('fabric')) return meet(a.fibres, b.fibres) ? 'kind' : 'station';
  const isWork = (one: Nature) => one.kind === 'thread' || (one.isSmall && !one.isCloth) || one.isMachine;
  return isShared && isWork(a) && isWork(b) ? 'station' : 'stranger';
}

/** Seconds a month that two groups in one place cost. */
export function getCompanySeconds(kinship: Kinship, estimates: Estimates): number {
  switch (kinship) {
    case 'part':
      return 0;
    case 'near':
      return estimates.nearSeconds;
    case 'kind':
      return estimates.kindSeconds;
    case 'station':
      return estimates.stationSeconds;
    case 'stranger':
      return estimates.strangerSeconds;
    case 'clash':
      return estimates.clashSeconds;
  }
}
