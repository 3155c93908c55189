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
import { computeBalance, listMoreRoom, type Balance } from '../core/balance/index.ts';
import { planBoxes } from '../core/packup/index.ts';
import { findOverloads } from '../core/room/index.ts';
import { createPlaceTree, type PlaceTree } from '../core/storage/index.ts';
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
/** What is known of the household without all that a plan would need. */
let drawnUp: { tree: PlaceTree; balance: Balance | null } | null = null;

const getTree = () => (drawnUp ??= { tree: createPlaceTree(told.household.places), balance: null }).tree;
function getBalance(): Balance {
  const tree = getTree();
  return (drawnUp!.balance ??= computeBalance(told.household, tree));
}

function know() {
  const facts = createFacts(told.household);
  // A thing that is out counts at its home.
  return { facts, offered: describePresent(facts) };
}

/** Asked of what is recorded alone, without all that a plan would need. */
function listAllStrained(): Questions['strained']['answer'] {
  const { household } = told;
  return { ...listStrained(household, getTree()), heavy: findOverloads(household, getTree()) };
}

function tellAir(): Questions['air']['answer'] {
  const { household } = told;
  return {
    fading: listFading(household, getTree()),
    against: listAgainstClimate(household, getTree()),
    carried: listCarried(household, getTree()),
  };
}

function answer({ name, about }: ToExplainer): Questions[QuestionName]['answer'] {
  if (name === 'strained') return listAllStrained();
  if (name === 'ahead') return lookAhead(told.household, getTree(), about.years, about.placeId);
  if (name === 'balance') return getBalance();
  if (name === 'moreRoom') return listMoreRoom(told.household, getTree(), getBalance());
  if (name === 'air') return tellAir();
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
  drawnUp = null;
});
