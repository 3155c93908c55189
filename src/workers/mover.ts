import {
  computeLeastTable,
  countTrips,
  createMoveFacts,
  createMoveSearch,
  toSteps,
  type MoveFacts,
  type MoveOrder,
} from '../core/moves/index.ts';
import { createRandom } from '../core/random/index.ts';
import type { LotId } from '../core/records/index.ts';
import { createPlaceTree } from '../core/storage/index.ts';
import type { FromMover, ToMover } from './protocol.ts';
import { serveSearch } from './search.ts';

/** Orders between two looks at the clock: a large household takes some ten ms for each. */
const CHUNK = 2;
const PROGRESS_MS = 90;
/** Where something does not come home, the others are ordered anew without it, so often at most. */
const ROUNDS = 4;
const LATER_SHARE = 0.3;

/** Of what did not come home, what its home would not even take alone; where that is not the reason, all of it. */
function findHopeless({ movers }: MoveFacts, stuck: readonly number[]): readonly number[] {
  const tooMuch = stuck.filter((m) => movers[m]!.shareTo > 1);
  return tooMuch.length > 0 ? tooMuch : stuck;
}

serveSearch<Extract<ToMover, { type: 'start' }>, FromMover>(
  async ({ run, household, skipped, tableMm3, seed, seconds }, { post, breathe }) => {
    const tree = createPlaceTree(household.places);
    const stuck = new Set<LotId>();
    let reportedMs = performance.now();
    let isStopped = false;
    const look = async (forMs: number): Promise<{ facts: MoveFacts; order: MoveOrder }> => {
      const facts = createMoveFacts(household, tree, new Set([...skipped, ...stuck]));
      const search = createMoveSearch(facts, tableMm3, createRandom(seed));
      const startMs = performance.now();
      while (!isStopped && performance.now() - startMs < forMs && search.advance(CHUNK)) {
        if (performance.now() - reportedMs < PROGRESS_MS) continue;
        reportedMs = performance.now();
        const { trips, leastTrips } = search.peek();
        post({ type: 'progress', run, trips, leastTrips });
        isStopped = !(await breathe());
      }
      return { facts, order: search.getOrder() };
    };
    let { facts, order } = await look(seconds * 1000);
    for (let round = 0; round < ROUNDS && order.stuck.length > 0; round += 1) {
      for (const m of findHopeless(facts, order.stuck)) stuck.add(facts.movers[m]!.lot.id);
      ({ facts, order } = await look(seconds * 1000 * LATER_SHARE));
    }
    // Whatever the last round left: it is named, and waits where its last trip took it.
    for (const m of order.stuck) stuck.add(facts.movers[m]!.lot.id);
    for (const id of facts.noWayIds) stuck.add(id);
    const { trips, leastTrips, tries, aside, peakMm3 } = order;
    post({
      type: 'done',
      run,
      found: {
        steps: toSteps(facts, trips),
        trips: countTrips(trips),
        leastTrips,
        tries,
        asideIds: aside.map((m) => facts.movers[m]!.lot.id),
        stuckIds: [...stuck],
        stuckBinIds: order.stuckBins.map((b) => facts.carries[b]!.bin.placeId),
        peakMm3: peakMm3 + facts.tableTakenMm3,
        leastTableMm3: aside.length > 0 ? computeLeastTable(facts, createRandom(seed)) : null,
      },
    });
  },
  (run, note) => ({ type: 'failed', run, note }),
);
