import { describe, expect, it } from 'vitest';
import { checkPlan } from '../../../check/index.ts';
import { createPlaceTree } from '../../../core/storage/index.ts';
import { previewPlan } from '../../../core/suppose/index.ts';
import { createSampleHousehold } from '../../../sample/index.ts';
import { computeGroupVerdicts } from '../../../solver/explain/index.ts';
import { createFacts } from '../../../solver/model/index.ts';
import { describePresent } from '../../../solver/score/index.ts';
import { createRun } from '../../../solver/solve.ts';
import { startMending } from '../../../solver/mend.ts';
import { chooseOffers, listTags, withElsewhere, type Offer } from './offers.ts';

const { household } = createSampleHousehold(1, 120);
const run = createRun(household, 1);
run.advance(20_000);
const solution = run.getSolution();
const planned = previewPlan(household, solution);
const tree = createPlaceTree(planned.places);
const facts = createFacts(planned);
const offered = describePresent(facts);

describe('what a group has in one place, elsewhere', () => {
  it('is offered in the cheapest places and, of each sort, in the cheapest; each of them is a plan that passes', () => {
    let seen = 0;
    for (const [g, group] of facts.groups.entries()) {
      const from = offered[facts.groupStart[g]!]?.place;
      if (from === undefined || seen >= 3) continue;
      const lots = facts.lots.flatMap((_, l) => (facts.groupOf[l] === g && offered[l]?.place === from ? [l] : []));
      const good = computeGroupVerdicts(facts, offered, lots).filter((one): one is Offer => one.isGood);
      if (good.length < 6) continue;
      seen += 1;
      const tagsOf = (id: Offer['placeId']) => listTags(planned, tree, id, new Set());
      const offers = chooseOffers(good, tagsOf);
      const least = Math.min(...good.map(({ moreSeconds }) => moreSeconds));
      expect(offers[0]!.moreSeconds).toBe(least);
      expect(offers.length).toBeLessThanOrEqual(7);
      const drawers = good.filter(({ placeId }) => tagsOf(placeId).includes('in a drawer'));
      if (drawers.length > 0) expect(offers.some(({ placeId }) => tagsOf(placeId).includes('in a drawer'))).toBe(true);
      for (const offer of offers) {
        const changed = withElsewhere(solution, offer);
        const mended = startMending(household, changed, 1, false).getSolution();
        expect(checkPlan(household, mended, mended.spots).findings).toEqual([]);
        const moved = new Set(offer.forms.map(([id]) => id));
        for (const { lotId, placeId } of mended.assignments)
          if (moved.has(lotId)) expect([group.id, placeId]).toEqual([group.id, offer.placeId]);
      }
    }
    expect(seen).toBe(3);
  });
});
