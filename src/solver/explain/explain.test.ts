import { describe, expect, it } from 'vitest';
import { createMove } from '../../core/acts/index.ts';
import { after } from '../../../tests/acts.ts';
import { packPlace } from '../../core/packing/index.ts';
import { createPlaceTree } from '../../core/storage/index.ts';
import { computePlaceState, groupLotsByPlace } from '../../core/whereabouts/index.ts';
import { createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { createFacts, getOptionPackage, getPlaceOf, listOptions } from '../model/index.ts';
import { describeAt, describePresent, recount } from '../score/index.ts';
import { computeHomes, explainLot, findLot } from './index.ts';

const { household } = createSampleHousehold(3, 80);
const facts = createFacts(household);
const offered = describePresent(facts);
const base = recount(facts, offered).seconds;

describe('another home', () => {
  it('is the cheapest place with room, by trying every place', () => {
    for (let l = 0; l < facts.lots.length; l += 7) {
      let least = Infinity;
      for (const o of listOptions(facts, l)) {
        const p = getPlaceOf(facts, o);
        if (offered[l]?.place === p) continue;
        const pkg = getOptionPackage(facts, l, o);
        const inside = offered.flatMap((one, i) => (one?.place === p && i !== l ? [one.pkg] : []));
        if (packPlace([...inside, pkg], facts.places[p]!.space).status !== 'packed') continue;
        least = Math.min(least, recount(facts, offered.with(l, facts.describe(l, p, pkg))).seconds - base);
      }
      const homes = computeHomes(facts, offered, l, 4);
      expect(homes[0]?.moreSeconds ?? Infinity).toBeCloseTo(least, 6);
      for (const [i, home] of homes.entries())
        if (i > 0) expect(home.moreSeconds).toBeGreaterThanOrEqual(homes[i - 1]!.moreSeconds);
    }
  });

  it('fills a place as the ticket tells it afterwards', () => {
    let told = 0;
    for (let l = 0; l < facts.lots.length; l += 5)
      for (const { placeId, form, fill } of computeHomes(facts, offered, l, 3)) {
        // A thing that is out counts at its home when one asks for room, and not in what lies there.
        if ([...household.lots.values()].some((lot) => lot.homeId === placeId && lot.placeId !== placeId)) continue;
        const moved = after(household, (now) => createMove(now, facts.lots[l]!.id, placeId, form, 1));
        const tree = createPlaceTree(moved.places);
        const inside = groupLotsByPlace(moved, 'is').get(placeId)!;
        const state = computePlaceState(moved, tree, tree.places.get(placeId)!, inside, 'is');
        expect(state.fill).toBeCloseTo(Math.min(1, fill), 6);
        told += 1;
      }
    expect(told).toBeGreaterThan(10);
  });

  it('is none where the whole unit can carry no more', () => {
    const [there, late] = [createThing('there'), createThing('late')];
    const offers = (loadG?: number) => {
      const places = createUnit('cube', { columns: 2, widthMm: 748, loadG });
      const home = createHousehold(places, [there, late], [createLot(there, 'cube-A1'), createLot(late)]);
      const known = createFacts(home);
      const l = known.items.findIndex((item) => item.id === late.id);
      return computeHomes(
        known,
        describeAt(known, (lot) => lot.placeId),
        l,
        9,
      ).map((one) => one.placeId);
    };
    // Each weighs 200 g.
    expect(offers().toSorted()).toEqual(['cube-A1', 'cube-B1']);
    expect(offers(399)).toEqual([]);
  });

  it('is never the place where it is, and never named twice', () => {
    const l = offered.findIndex((one) => one !== null);
    const homes = computeHomes(facts, offered, l, 99).map((home) => home.placeId);
    expect(homes).not.toContain(facts.places[offered[l]!.place]!.place.id);
    expect(new Set(homes).size).toBe(homes.length);
  });
});

describe('why here', () => {
  it('counts its kin in the place', () => {
    const l = offered.findIndex(
      (one, i) =>
        one &&
        offered.some((other, j) => j !== i && other?.place === one.place && facts.groupOf[j] === facts.groupOf[i]),
    );
    const kin =
      offered.filter((one, j) => one?.place === offered[l]!.place && facts.groupOf[j] === facts.groupOf[l]).length - 1;
    expect(explainLot(facts, offered, facts.lots[l]!.id)[0]).toEqual({ code: 'kin', count: kin });
  });

  it('has nothing to say of what is nowhere', () => {
    const l = findLot(facts, facts.lots[0]!.id);
    expect(explainLot(facts, offered.with(l, null), facts.lots[l]!.id)).toEqual([]);
  });
});
