import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createThing, createUnit, ROOM } from '../../tests/household.ts';
import { withNewIds } from '../core/room/wares.ts';
import { checkPlan } from '../check/index.ts';
import type { Household, Ware } from '../core/records/index.ts';
import { computeFindings, listPieces } from '../core/room/index.ts';
import { createPlaceTree } from '../core/storage/index.ts';
import { PARTS, USUAL_BIN } from '../core/storage/parts.ts';
import { computeSlots } from '../core/storage/index.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { searchWares, type GetResult } from './wares.ts';
import { checkInvariants } from '../core/daybook/index.ts';
import { withoutPlace } from '../core/suppose/index.ts';

function bin(id: string, cost: number, most: number, [w, d, h]: readonly [number, number, number]): Ware {
  return {
    id,
    name: id,
    cost,
    most,
    container: { ...USUAL_BIN, outerWidthMm: w, outerDepthMm: d, outerHeightMm: h },
  };
}

function shelf(id: string, cost: number, most: number): Ware {
  const part = PARTS.find((one) => one.id === 'cube-shelf')!;
  const unit = { ...part.unit, kind: part.kind, wallId: 'north', xMm: 0, isAnchored: false, loadG: undefined };
  const layout = computeSlots(unit);
  if (!layout.ok) throw new Error(layout.fault.code);
  return { id, name: id, cost, most, piece: { id, name: id, unit, slots: [...layout.slots] } };
}

function finish(household: Household): GetResult {
  const search = searchWares(household, 1);
  for (;;) {
    const next = search.next();
    if (next.done) return next.value;
  }
}

const loose = (id: string) =>
  createThing(id, {
    forms: ['loose'],
    box: { type: 'other', widthMm: 200, depthMm: 200, heightMm: 100, massG: 300, isSoft: true, hangHoleMm: undefined },
  });

describe('what to get', () => {
  it('is one bin for what lies loose, not two, nor the dearer one', () => {
    // Loose things lie on no open shelf. 2 × 4 l at three quarters: 10.7 l; the small bin holds about 13 l.
    const things = [loose('a'), loose('b')];
    const household = createHousehold(
      createUnit('cube', {}),
      things,
      things.map((thing) => createLot(thing)),
      { wares: [bin('dear', 9, 3, [340, 340, 340]), bin('small', 4, 3, [300, 300, 160])] },
    );
    const { got, solution } = finish(household);
    expect(solution.unplaced).toEqual([]);
    expect(got.map((one) => [one.ware.id, one.count])).toEqual([['small', 1]]);
  });

  it('is a piece where no bin would help, at a wall where the room is no worse for it', () => {
    const cloths = Array.from({ length: 16 }, (_, i) => createCloth(`c${i}`));
    const household = createHousehold(
      createUnit('cube', {}),
      cloths,
      cloths.map((cloth) => createLot(cloth)),
      { wares: [bin('small', 4, 9, [100, 100, 100]), shelf('cubes', 60, 2)] },
    );
    const result = finish(household);
    expect(result.solution.unplaced).toEqual([]);
    expect(result.got.map((one) => [one.ware.id, one.count])).toEqual([['cubes', 1]]);
    const tree = createPlaceTree(result.household.places);
    const findings = computeFindings(ROOM.room!, listPieces(result.household, tree, ROOM.id), household.settings);
    expect(findings.filter((one) => one.isFault)).toEqual([]);
  });

  it('is nothing where all has a home, or nothing helps', () => {
    const wares = [bin('small', 4, 9, [100, 100, 100])];
    const cloth = createCloth('c');
    const fits = createHousehold(createUnit('cube', {}), [cloth], [createLot(cloth)], { wares });
    expect(finish(fits).got).toEqual([]);
    const long = createThing('long', {
      box: {
        type: 'other',
        widthMm: 2500,
        depthMm: 20,
        heightMm: 20,
        massG: 100,
        isSoft: false,
        hangHoleMm: undefined,
      },
    });
    const none = finish(createHousehold(createUnit('cube', {}), [long], [createLot(long)], { wares }));
    expect(none.got).toEqual([]);
    expect(none.solution.unplaced).toHaveLength(1);
  });

  it('is sound and no more than is needed in a full room', () => {
    const { household: whole } = createSampleHousehold(4, 320);
    // Of the furniture every sixth piece is left.
    const tree = createPlaceTree(whole.places);
    const units = tree.rooms.flatMap((room) => tree.getChildren(room.id));
    const household: Household = units
      .filter((_, i) => i % 6 !== 0)
      .reduce<Household>((left, unit) => withoutPlace(left, unit.id), {
        ...whole,
        settings: {
          ...whole.settings,
          wares: [bin('bin', 5, 12, [300, 350, 200]), bin('box', 3, 12, [200, 300, 120]), shelf('cubes', 60, 2)],
        },
      });
    const result = finish(household);
    const { got, solution } = result;
    expect(got.length).toBeGreaterThan(0);
    for (const ware of household.settings.wares!) {
      const count = got.filter((one) => one.ware.id === ware.id).reduce((sum, one) => sum + one.count, 0);
      expect(count).toBeLessThanOrEqual(ware.most);
    }
    expect(checkInvariants(result.household)).toEqual([]);
    expect(checkPlan(result.household, solution, solution.spots).findings).toEqual([]);
    // Put into the room they get ids of their own, and still stand in each other.
    let n = 0;
    const places = got.flatMap((one) => one.places);
    const renamed = withNewIds(places, () => `new-${(n += 1)}`);
    const own = new Set<string>(places.map((place) => place.id));
    for (const [i, place] of renamed.entries()) {
      expect(place.id).toBe(`new-${i + 1}`);
      const parentId = places[i]!.parentId!;
      if (own.has(parentId)) expect(place.parentId).toBe(renamed[places.findIndex((one) => one.id === parentId)]!.id);
      else expect(place.parentId).toBe(parentId);
    }
    // Every place that was got has something in it.
    const used = new Set(solution.assignments.map((one) => one.placeId));
    for (const one of got) expect(one.places.some((place) => used.has(place.id))).toBe(true);
  });
});
