import {
  computeEstimateParts,
  computeGroupVerdicts,
  computeHomes,
  computeVerdicts,
  explainBin,
  explainByGroup,
  explainGroup,
  explainLot,
  explainNowhere,
  explainPlace,
  findLot,
  scoreWith,
} from '../solver/explain/index.ts';
import { computeBalance, listMoreRoom } from '../core/balance/index.ts';
import { planBoxes } from '../core/packup/index.ts';
import { findOverloads } from '../core/room/index.ts';
import { createPlaceTree } from '../core/storage/index.ts';
import { createFacts, type Facts, type Offered } from '../solver/model/index.ts';
import { describePresent, recount } from '../solver/score/index.ts';
import { serveLine } from './desk.ts';
import { Told, type News } from './news.ts';
import type { Questions, QuestionName, ToExplainer } from './protocol.ts';
import { listAgainstClimate, listCarried, listFading, lookAhead } from '../core/upkeep/index.ts';
import { listStrained } from '../core/whereabouts/index.ts';

/** So many places are offered to choose from. */
const HOMES = 6;

const told = new Told();
let known: { facts: Facts; offered: (Offered | null)[] } | null = null;

function know() {
  const facts = createFacts(told.household);
  // A thing that is out counts at its home.
  return { facts, offered: describePresent(facts) };
}

/** Asked of what is recorded alone, without all that a plan would need. */
function listAllStrained(): Questions['strained']['answer'] {
  const { household } = told;
  const tree = createPlaceTree(household.places);
  return { ...listStrained(household, tree), heavy: findOverloads(household, tree) };
}

function answer({ name, about }: ToExplainer): Questions[QuestionName]['answer'] {
  if (name === 'strained') return listAllStrained();
  if (name === 'ahead')
    return lookAhead(told.household, createPlaceTree(told.household.places), about.years, about.placeId);
  if (name === 'balance') return computeBalance(told.household, createPlaceTree(told.household.places));
  if (name === 'air') {
    const { household } = told;
    const tree = createPlaceTree(household.places);
    return {
      fading: listFading(household, tree),
      against: listAgainstClimate(household, tree),
      carried: listCarried(household, tree),
    };
  }
  if (name === 'moreRoom') {
    const tree = createPlaceTree(told.household.places);
    return listMoreRoom(told.household, tree, computeBalance(told.household, tree));
  }
  if (name === 'boxes') return planBoxes(told.household, about.sizes, about.liftG);
  const { facts, offered } = (known ??= know());
  switch (name) {
    case 'why':
      return explainLot(facts, offered, about);
    case 'whyGroup':
      return explainGroup(facts, offered, about);
    case 'whyPlace':
      return explainPlace(facts, offered, about);
    case 'whyBin':
      return explainBin(told.household, about);
    case 'nowhere':
      return explainNowhere(facts, about);
    case 'byGroup':
      return explainByGroup(facts, offered);
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
    case 'lotsVerdicts': {
      const lots = about.map((id) => findLot(facts, id)).filter((lot) => lot >= 0);
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
