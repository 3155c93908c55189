import type { Random } from '../random/index.ts';
import { decode, type Decoded } from './decode.ts';
import { countTrips } from './haul.ts';
import { computeLeastTrips, type MoveFacts } from './facts.ts';
import { createPackedTest, listLoads, type Load } from './loads.ts';

/** An order of trips, and how near it is to what no order can beat. */
export interface MoveOrder extends Decoded {
  readonly leastTrips: number;
  /** Orders that were tried. */
  readonly tries: number;
}

/** A search that can be taken further. */
export interface MoveSearch {
  /** Tries some more orders; false once none could be better. */
  readonly advance: (tries: number) => boolean;
  readonly peek: () => { trips: number; leastTrips: number; tries: number };
  /** The best so far, every place of every step really packed. */
  readonly getOrder: () => MoveOrder;
}

/** Heavy things to low places come first, so that the bottom is filled before the top. */
function computeBase(facts: MoveFacts, { to, list }: Load): number {
  const massG = list.reduce((sum, m) => sum + facts.movers[m]!.massG, 0);
  const heightMm = to >= 0 ? facts.places[to]!.traits.handMm : 1000;
  return (massG / 10_000) * Math.max(0, 1 - heightMm / 2000);
}

/** A thing carried out of the way costs its trips and the bother beside. */
const ASIDE_PRICE = 1.5;
const STUCK_PRICE = 20;
const TEMPERATURE = 0.7;

function getPrice({ trips, aside, stuck, stuckBins }: Decoded): number {
  return countTrips(trips) + ASIDE_PRICE * aside.length + STUCK_PRICE * (stuck.length + stuckBins.length);
}

/**
 * Looks for the order with the fewest trips: the priorities of the loads are changed a few at a time, each time all is
 * carried out anew, and what is better is kept, or now and then what is a little worse. The same random numbers and the
 * same number of tries give the same order.
 */
export function createMoveSearch(facts: MoveFacts, wholeMm3: number, random: Random): MoveSearch {
  const tableMm3 = Math.max(0, wholeMm3 - facts.tableTakenMm3);
  const loads = listLoads(facts);
  const leastTrips = computeLeastTrips(facts);
  let now = Float64Array.from(loads, (load) => computeBase(facts, load));
  let nowPrice = getPrice(decode(facts, loads, now, tableMm3));
  let best = now;
  let bestPrice = nowPrice;
  let tries = 1;
  const advance = (count: number) => {
    for (let i = 0; i < count; i += 1) {
      if (bestPrice <= leastTrips) return false;
      const next = Float64Array.from(now);
      const changes = 1 + Math.floor(random() * 3);
      for (let c = 0; c < changes; c += 1) next[Math.floor(random() * next.length)] = random();
      tries += 1;
      const price = getPrice(decode(facts, loads, next, tableMm3));
      if (price > nowPrice && random() >= Math.exp((nowPrice - price) / TEMPERATURE)) continue;
      now = next;
      nowPrice = price;
      if (price >= bestPrice) continue;
      best = next;
      bestPrice = price;
    }
    return bestPrice > leastTrips;
  };
  return {
    advance,
    peek: () => ({ trips: Math.round(bestPrice), leastTrips, tries }),
    getOrder: () => ({ ...decode(facts, loads, best, tableMm3, createPackedTest(facts)), leastTrips, tries }),
  };
}

/** Orders that are tried for each size of table. */
const TRIES_A_SIZE = 12;
const SIZES = 9;

/**
 * About the least table with which nothing need be carried out of the way, mm³: sizes are halved in, each tried with a
 * few orders, so that a cleverer order may do with a little less.
 */
export function computeLeastTable(facts: MoveFacts, random: Random): number {
  const loads = listLoads(facts);
  let high = facts.movers.reduce((sum, one) => sum + one.volumeMm3, 0);
  let low = 0;
  const does = (tableMm3: number) => {
    const priority = Float64Array.from(loads, (load) => computeBase(facts, load));
    for (let i = 0; i < TRIES_A_SIZE; i += 1) {
      const { aside, peakMm3 } = decode(facts, loads, priority, tableMm3);
      if (aside.length === 0) return peakMm3;
      for (let k = 0; k < priority.length; k += 1) priority[k] = random();
    }
    return null;
  };
  const bare = does(0);
  if (bare !== null) return facts.tableTakenMm3;
  for (let i = 0; i < SIZES; i += 1) {
    const mid = (low + high) / 2;
    const used = does(mid);
    if (used === null) low = mid;
    else high = Math.min(mid, used);
  }
  return high + facts.tableTakenMm3;
}
