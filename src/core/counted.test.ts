import { describe, expect, it } from 'vitest';
import { computeBalance } from './balance/index.ts';
import { createTwinFinder } from './catalog/index.ts';
import { checkInvariants, computeMonthFlows, listShownPhotos, passWhole } from './daybook/index.ts';
import { createFinder } from './finding/index.ts';
import { computeGroups } from './grouping/index.ts';
import { computePlaceContents } from './labels/index.ts';
import { listRules } from './learning/index.ts';
import { createProjectFacts, listUnmatchedInSlices } from './projects/index.ts';
import type { DaybookEvent, Household } from './records/index.ts';
import { computeLoads, findOverloads, listPieces } from './room/index.ts';
import { finish } from './slices/index.ts';
import { createPlaceTree, type PlaceTree } from './storage/index.ts';
import {
  listAgainstClimate,
  listCarried,
  listDue,
  listFading,
  listFetchedFromAfar,
  listGroupYears,
  listReview,
} from './upkeep/index.ts';
import { computeTidyRound, groupLotsByPlace, listStrained } from './whereabouts/index.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { countRecords } from '../../tests/counted.ts';

interface Told {
  readonly household: Household;
  readonly events: readonly DaybookEvent[];
  readonly tree: PlaceTree;
}

const NOW = Date.parse('2026-12-01T10:00:00Z');
const [few, many] = [createSampleHousehold(1, 240), createSampleHousehold(1, 960)];

/** What is worked out for screens of a whole household. */
const FIGURES: readonly (readonly [name: string, work: (told: Told) => unknown])[] = [
  ['the tree of places', ({ household }) => createPlaceTree(household.places)],
  ['groups', ({ household }) => computeGroups(household)],
  ['lots by place', ({ household }) => groupLotsByPlace(household, 'is')],
  ['what labels say', ({ household, tree }) => computePlaceContents(household, tree)],
  ['what is strained', ({ household, tree }) => listStrained(household, tree)],
  ['what is too heavy', ({ household, tree }) => findOverloads(household, tree)],
  ['the balance', ({ household, tree }) => computeBalance(household, tree)],
  ['the walk of tidying up', ({ household, tree }) => computeTidyRound(household, tree)],
  ['the furniture of a room', ({ household, tree }) => listPieces(household, tree, tree.rooms[0]!.id)],
  ['its loads', ({ household, tree }) => computeLoads(household, tree, tree.rooms[0]!.id)],
  ['what is due', ({ household }) => listDue(household, NOW, '2027-03-01')],
  ['what fades', ({ household, tree }) => listFading(household, tree)],
  ['what the air harms', ({ household, tree }) => listAgainstClimate(household, tree)],
  ['what is carried about', ({ household, tree }) => listCarried(household, tree)],
  ['what is fetched from afar', ({ household, events }) => listFetchedFromAfar(household, events, NOW)],
  ['what to go through', ({ household, events, tree }) => listReview(household, events, tree, NOW)],
  ['the year of each group', ({ household, events }) => listGroupYears(household, events, NOW)],
  ['what came and went', ({ household, events }) => computeMonthFlows(events, household, 12, NOW)],
  ['cloth that no thread goes with', ({ household }) => finish(listUnmatchedInSlices(createProjectFacts(household)))],
  ['what is refused again and again', ({ household, tree }) => listRules(household, tree, computeGroups(household))],
  ['what is alike', ({ household }) => createTwinFinder(household)],
  ['the index of Find', ({ household }) => createFinder().sync(household)],
  ['photos that are shown', ({ household }) => [...listShownPhotos(household)]],
  ['the rules across records', ({ household }) => checkInvariants(household)],
  ['the gate for all of it', ({ household, events }) => passWhole({ household, events })],
];

/** Records gone over for each that there is. */
function measure(chronicle: typeof few, work: (told: Told) => unknown): number {
  const { items, lots, places, plans, projects } = chronicle.household;
  const all = [items, lots, places, plans, projects].reduce((sum, { size }) => sum + size, 0);
  const { household, count } = countRecords(chronicle.household);
  const tree = createPlaceTree(chronicle.household.places);
  work({ household, events: chronicle.events, tree });
  return count.records / all;
}

describe('a household four times as large', () => {
  it.each(FIGURES)('is not gone over more often for %s', (_name, work) => {
    const often = measure(few, work);
    // A whole goes over all some times; one that looks for each thing among all others goes over it hundreds of times.
    expect(often).toBeLessThan(12);
    expect(measure(many, work)).toBeLessThan(1.5 * often + 0.5);
  });

  it('is counted: what looks for each among all is found out', () => {
    const quadratic = ({ household }: Told) =>
      [...household.items.values()].map((item) => [...household.lots.values()].filter((lot) => lot.itemId === item.id));
    expect(measure(few, quadratic)).toBeGreaterThan(50);
    expect(measure(many, quadratic) / measure(few, quadratic)).toBeGreaterThan(3);
  });
});
