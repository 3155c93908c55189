import {
  computeEstimateParts,
  computeGroupVerdicts,
  computeHomes,
  computeVerdicts,
  explainGroup,
  explainLot,
  explainPlace,
  findLot,
  scoreWith,
} from '../solver/explain/index.ts';
import { computePlaceState } from '../core/drawing/index.ts';
import type { PlaceId } from '../core/records/index.ts';
import { createPlaceTree } from '../core/storage/index.ts';
import { createFacts, type Facts, type Offered } from '../solver/model/index.ts';
import { describePresent, recount } from '../solver/score/index.ts';
import { serveLine } from './desk.ts';
import { Told, type News } from './news.ts';
import type { Questions, QuestionName, ToExplainer } from './protocol.ts';
import { groupLotsByPlace } from '../core/whereabouts/index.ts';

/** So many places are offered to choose from. */
const HOMES = 6;

const told = new Told();
let known: { facts: Facts; offered: (Offered | null)[] } | null = null;

function know() {
  const facts = createFacts(told.household);
  // A thing that is out counts at its home.
  return { facts, offered: describePresent(facts, (lot) => lot.placeId ?? lot.homeId) };
}

/** Asked of what is recorded alone, without all that a plan would need. */
function listOverFull(): PlaceId[] {
  const { household } = told;
  const tree = createPlaceTree(household.places);
  const inside = groupLotsByPlace(household, 'is');
  return tree.leaves.flatMap((place) => {
    const lots = inside.get(place.id);
    return lots && computePlaceState(household, tree, place, lots, 'is').isOverFull ? [place.id] : [];
  });
}

function answer({ name, about }: ToExplainer): Questions[QuestionName]['answer'] {
  if (name === 'overFull') return listOverFull();
  const { facts, offered } = (known ??= know());
  switch (name) {
    case 'why':
      return explainLot(facts, offered, about);
    case 'whyGroup':
      return explainGroup(facts, offered, about);
    case 'whyPlace':
      return explainPlace(facts, offered, about);
    case 'estimateParts':
      return computeEstimateParts(facts, offered);
    case 'scoreWith':
      return scoreWith(facts, offered, about);
    case 'homes': {
      const lot = findLot(facts, about);
      return lot < 0 ? [] : computeHomes(facts, offered, lot, HOMES);
    }
    case 'verdicts': {
      const lot = findLot(facts, about);
      return lot < 0 ? [] : computeVerdicts(facts, offered, lot);
    }
    case 'groupVerdicts': {
      const g = facts.groups.findIndex((group) => group.id === about);
      const lots = facts.lots.flatMap((_, l) => (facts.groupOf[l] === g ? [l] : []));
      return lots.length === 0 ? [] : computeGroupVerdicts(facts, offered, lots);
    }
    case 'today':
      return recount(facts, offered);
  }
}

serveLine<ToExplainer, Questions[QuestionName]['answer'], News>(answer, (news) => {
  told.hear(news);
  known = null;
});
