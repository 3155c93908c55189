import { describe, expect, it } from 'vitest';
import {
  createCloth,
  createHousehold,
  createLot,
  createPattern,
  createThing,
  createUnit,
} from '../../../tests/household.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { packPlace } from '../packing/index.ts';
import { createSorting, type Item, type Place, type PlaceId, type Settings } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { USUAL_BIN } from '../storage/parts.ts';
import { computeGroups, findClass, getSplitKey } from './index.ts';
import { findSmallestHolder, findRoomiest } from './holder.ts';
import { isTooSmall, proposePartners } from './partners.ts';
import { cutRow, proposeSplit } from './split.ts';

// A cubby of 350 mm a side, 350 deep: seventy envelopes of 5 mm stand in it, sixty at a target of 85 %.
const places = createUnit('cube', {});

function propose(items: readonly Item[], settings: Partial<Settings> = {}) {
  const household = createHousehold(
    places,
    items,
    items.map((item) => createLot(item)),
    settings,
  );
  const groups = computeGroups(household);
  const tree = createPlaceTree(household.places);
  return { household, groups, tree, split: proposeSplit(household, tree, groups[0]!) };
}

describe('a group too large for any place', () => {
  const patterns = (n: number) => Array.from({ length: n }, (_, i) => createPattern(`p${100 + i}`, 100 + i));

  it('is cut where the number is round, each part within the target', () => {
    // 59 envelopes of 5 mm: 295 of 350 mm, 84 %. 90 of them: two parts of 45, or cut at a fifty.
    expect(propose(patterns(59)).split).toBeNull();
    const { split } = propose(patterns(90));
    expect(split).toMatchObject({ by: 'number', at: [150] });
    expect(split!.parts.map((part) => part.lots)).toEqual([50, 40]);
    expect(split!.parts[0]!.share).toBeCloseTo(250 / 350, 9);
  });

  it('is not cut between what is alike', () => {
    const alike = Array.from({ length: 90 }, (_, i) => createPattern(`p${i}`, 107));
    expect(propose(alike).split).toBeNull();
  });

  it('is cut by length where it stands by length, at a round one', () => {
    // Two metres are 32 mm high, nine to a cubby at the target; four metres twice that.
    const cloths = Array.from({ length: 12 }, (_, i) => createCloth(`c${i}`));
    const household = createHousehold(
      places,
      cloths,
      cloths.map((cloth, i) => createLot(cloth, null, { lengthMm: i < 6 ? 1000 + i : 2990 })),
    );
    household.settings.sorting = {
      ...household.settings.sorting,
      fabric: { levels: ['fibre'], order: 'length', tags: [] },
    };
    const split = proposeSplit(household, createPlaceTree(household.places), computeGroups(household)[0]!);
    // Between 1.005 and 2.99 m nothing is rounder than 2 m.
    expect(split).toMatchObject({ by: 'length', at: [2000] });
  });

  it('is told apart by its boundaries as it was cut, and every part really packs', () => {
    const { household } = createSampleHousehold(3, 3000);
    const tree = createPlaceTree(household.places);
    let cut = 0;
    for (const group of computeGroups(household)) {
      const split = proposeSplit(household, tree, group);
      if (!split) continue;
      cut += 1;
      const counts = split.parts.map(() => 0);
      const parts = split.parts.map((): (typeof group.lots)[number][] => []);
      for (const lot of group.lots) {
        const part = findClass(split.at, getSplitKey(split.by, household.items.get(lot.itemId)!, lot));
        counts[part]! += 1;
        parts[part]!.push(lot);
      }
      expect(counts).toEqual(split.parts.map((part) => part.lots));
      for (const lots of parts) {
        const roomiest = findRoomiest(household, tree, lots)!;
        expect(packPlace(roomiest.packages, roomiest.space).status).toBe('packed');
      }
    }
    expect(cut).toBeGreaterThan(3);
  });
});

describe('the cheapest cuts of a row', () => {
  it('are those that all ways tried one by one would find', () => {
    let seed = 7;
    const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
    for (let round = 0; round < 40; round += 1) {
      const n = 5 + Math.floor(random() * 4);
      const k = 2 + Math.floor(random() * 2);
      const shares = Array.from({ length: n }, () => 0.05 + random() * 0.3);
      const cuts = shares.map((_, i) => (i === 0 || random() < 0.2 ? null : { at: i, roughness: random() }));
      const most = 0.9;
      const total = shares.reduce((sum, share) => sum + share, 0);
      const costOf = (starts: readonly number[]) => {
        const ends = [...starts, n];
        let cost = 0;
        for (const [i, end] of ends.entries()) {
          const begin = i === 0 ? 0 : ends[i - 1]!;
          const share = shares.slice(begin, end).reduce((sum, one) => sum + one, 0);
          if (share > most + 1e-9 || (begin > 0 && !cuts[begin])) return Infinity;
          cost += (share / (total / k) - 1) ** 2 + (begin > 0 ? 0.15 * cuts[begin]!.roughness : 0);
        }
        return cost;
      };
      let least = Infinity;
      const tryAll = (from: number, starts: readonly number[]) => {
        if (starts.length === k - 1) least = Math.min(least, costOf(starts));
        else for (let i = from; i < n; i += 1) tryAll(i + 1, [...starts, i]);
      };
      tryAll(1, []);
      const found = cutRow(shares, cuts, k, most);
      if (least === Infinity) expect(found).toBeNull();
      else expect(costOf(found!)).toBeCloseTo(least, 9);
    }
  });
});

describe('partners of a small group', () => {
  const fibre = (id: string, name: string) => createCloth(id, { fabric: { ...createCloth('x').fabric!, fibre: name } });
  const wools = Array.from({ length: 4 }, (_, i) => fibre(`w${i}`, 'wool'));
  const silks = Array.from({ length: 12 }, (_, i) => fibre(`s${i}`, 'silk'));

  it('are its kin that fit one place with it; a sheet of card keeps piles apart', () => {
    const { household, tree, groups } = propose([fibre('l', 'linen'), ...wools, ...silks]);
    expect(isTooSmall(groups[0]!, findSmallestHolder(household, tree, groups[0]!.lots))).toBe(true);
    const partners = proposePartners(household, tree, groups, groups[0]!);
    // Twelve silks are 384 mm high, more than the cubby.
    expect(partners.map((one) => one.group.labels[0]!.value)).toEqual(['wool']);
    expect(partners[0]!.holder.share).toBeCloseTo((5 * 32) / 350, 9);
    expect(partners[0]!.keeper).toEqual({ code: 'sheet', widthMm: 300, heightMm: 280 });
  });

  it('are never those that are to be kept apart', () => {
    const wish = {
      id: 'w',
      kind: 'apart' as const,
      lotIds: [],
      groupIds: ['fabric:fibre:linen', 'fabric:fibre:wool'],
      placeId: undefined,
    };
    const { household, tree, groups } = propose([fibre('l', 'linen'), ...wools], { wishes: [wish] });
    expect(proposePartners(household, tree, groups, groups[0]!)).toEqual([]);
  });

  it('are kept apart by an idle box that goes in and takes the small one, else by a bag of so many litres', () => {
    const drawer = createUnit('chest', { kind: 'drawers' }, { mode: 'volume' });
    const soft = (id: string, type: string) =>
      createThing(id, {
        forms: ['loose'],
        box: { type, widthMm: 100, depthMm: 100, heightMm: 60, massG: 50, isSoft: true, hangHoleMm: undefined },
      });
    const things = [soft('a', 'cord'), soft('b', 'tape'), soft('c', 'tape')];
    const idle = (id: string, sideMm: number, isRetired: boolean): Place => ({
      id: id as PlaceId,
      parentId: undefined,
      level: 'container',
      name: id,
      order: 0,
      container: { ...USUAL_BIN, outerWidthMm: sideMm, outerDepthMm: sideMm, outerHeightMm: 110, isRetired },
    });
    const keep = (more: readonly Place[]) => {
      const household = createHousehold(
        [...drawer, ...more],
        things,
        things.map((thing) => createLot(thing)),
        { sorting: { ...createSorting(), tool: { levels: ['type'], order: 'name', tags: [] } } },
      );
      const groups = computeGroups(household);
      return proposePartners(household, createPlaceTree(household.places), groups, groups[0]!)[0]!.keeper;
    };
    // 0.6 l of soft goods want a bag of 0.8.
    const bag = keep([]);
    expect(bag.code === 'bag' && bag.volumeMm3).toBeCloseTo(800_000, 3);
    // 94 × 94 × 107 mm hold 0.95 l; one of 54 does not, the large one does not go into the drawer, the broken one is out.
    expect(keep([idle('small', 60, false), idle('large', 900, false), idle('broken', 100, true)]).code).toBe('bag');
    expect(keep([idle('small', 60, false), idle('right', 100, false)])).toMatchObject({
      code: 'box',
      box: { id: 'right' },
    });
  });

  it('are kept apart by a divider where they stand, as high as the row', () => {
    const made = createPattern('a', 101);
    const later = createPattern('b', 201);
    const { household, tree, groups } = propose([made, later]);
    expect(proposePartners(household, tree, groups, groups[0]!)[0]!.keeper).toMatchObject({ code: 'divider' });
  });
});
