import { describe, expect, it } from 'vitest';
import { createSampleHousehold } from '../../sample/index.ts';
import { createRun } from '../../solver/solve.ts';
import type { Household, Lot, Place, PlaceId, Plan } from '../records/index.ts';
import { applyUnitSpec } from '../storage/boards.ts';
import { computeStationPoint, createPlaceTree } from '../storage/index.ts';
import { createRemoveRoom, createSavePlaces, findDisturbance, findRoomLoss } from './placeActs.ts';
import { createAdopt } from './planActs.ts';
import { applyChanges } from '../daybook/fold.ts';
import { checkInvariants } from '../daybook/index.ts';
import { previewPlan } from '../suppose/index.ts';
import { computeContents, groupLotsByPlace } from '../whereabouts/index.ts';

const { household } = createSampleHousehold();
const tree = createPlaceTree(household.places);
const findLeaf = (name: string): Place => tree.leaves.find((place) => place.name === name)!;

function apply(draft: ReturnType<typeof createSavePlaces>): Household {
  if (!draft.ok) throw new Error(draft.fault.code);
  const next = applyChanges(household, draft.value.changes);
  if (!next.ok) throw new Error(JSON.stringify(next.fault));
  return next.value;
}

const inside = groupLotsByPlace(household, 'is');
/** A shelf of the sample with lots lying in it directly, and not over full. */
const shelf = tree.leaves.find((place) => {
  const lots = inside.get(place.id) ?? [];
  return place.slot?.opening === 'open' && lots.length >= 3 && computeContents(household, tree, place.id, lots).spots;
})!;
const lotsIn = (of: Household, id: PlaceId) => [...of.lots.values()].filter((lot) => lot.placeId === id);
const bin: Place = {
  id: 'new-bin' as PlaceId,
  parentId: shelf.id,
  level: 'container',
  name: 'New bin',
  order: 0,
  container: { ...findLeaf('Batting').container!, outerWidthMm: 100, outerDepthMm: 100, outerHeightMm: 100 },
};

describe('changing the room', () => {
  it('moves what lies in a place into the first bin put there', () => {
    const before = lotsIn(household, shelf.id);
    const after = apply(createSavePlaces(household, 'Bin', [bin], [], 9));
    expect(lotsIn(after, bin.id).map((lot) => lot.id)).toEqual(before.map((lot) => lot.id));
    expect(lotsIn(after, shelf.id)).toEqual([]);
    expect(checkInvariants(after)).toEqual([]);
  });

  it('leaves a station where one stood when its piece of furniture goes', () => {
    const room = tree.rooms[0]!;
    const table = tree.getChildren(room.id).find((place) => place.name === 'Machine table')!;
    const before = room.room!.stations.find((station) => station.unitId === table.id)!;
    const spot = computeStationPoint(room.room!, before, () => table.unit);
    const next = apply(createSavePlaces(household, '', [], [...tree.getChildren(table.id), table], 0));
    const after = next.places.get(room.id)!.room!.stations.find((station) => station.id === before.id)!;
    expect(after).toMatchObject({ at: spot });
    expect(after).not.toHaveProperty('unitId');
    expect(checkInvariants(next)).toEqual([]);
  });

  it('says beforehand what will burst and what will lie out', () => {
    const small = findDisturbance(household, [bin], []);
    expect(small.burst).toEqual([bin.id]);
    expect(small.ousted).toEqual([]);
    const gone = findDisturbance(household, [], [shelf]);
    expect(gone.ousted.map((lot) => lot.id)).toEqual(lotsIn(household, shelf.id).map((lot) => lot.id));
    expect(gone.burst).toEqual([]);
    const narrow: Place = { ...shelf, slot: { ...shelf.slot!, widthMm: 20 } };
    expect(findDisturbance(household, [narrow], []).burst).toEqual([shelf.id]);
    expect(findDisturbance(household, [{ ...shelf, name: 'Renamed' }], [])).toEqual({ ousted: [], burst: [] });
  });

  it('keeps slots, what is set on them and what lies in them when a unit grows', () => {
    const unit = [...household.places.values()].find((place) => place.name === 'Tall cubes')!;
    const slots = tree.getChildren(unit.id);
    const grown = { ...unit.unit!, widthMm: 1400, columns: 4 };
    let count = 0;
    const layout = applyUnitSpec(unit.id, unit.unit!, grown, slots, () => `s${(count += 1)}`);
    if (!layout.ok) throw new Error(layout.fault.code);
    expect(layout.removed).toEqual([]);
    expect(layout.kept).toHaveLength(20);
    for (const slot of slots) expect(layout.kept.find((one) => one.name === slot.name)?.id).toBe(slot.id);
    const less = applyUnitSpec(unit.id, unit.unit!, { ...unit.unit!, rows: 4 }, slots, () => 'x');
    expect(less.ok && less.removed.map((slot) => slot.name)).toEqual(['A1', 'B1', 'C1']);
  });
});

describe('removing a room', () => {
  const [loft, landing] = tree.rooms;

  it('says beforehand what hangs on it', () => {
    const loss = findRoomLoss(household, landing!.id);
    const within = tree.leaves.filter((leaf) => tree.getPath(leaf.id)[0] === landing);
    const lots = [...household.lots.values()].filter((lot) => within.some((leaf) => leaf.id === lot.placeId));
    expect(loss).toMatchObject({ pieces: 1, ousted: lots.length, items: 0 });
    expect(lots.length).toBeGreaterThan(0);
  });

  it('leaves what lay there out, its bins idle, and every rule kept', () => {
    const after = apply(createRemoveRoom(household, landing!.id, 9));
    const next = createPlaceTree(after.places);
    expect(next.rooms.map((room) => room.name)).toEqual([loft!.name]);
    expect(next.pool).toHaveLength(5);
    expect(checkInvariants(after)).toEqual([]);
  });

  it('moves what is used at its stations, and is refused where none would be left', () => {
    expect(createRemoveRoom(household, loft!.id, 9).ok).toBe(false);
    const spot = { id: 'st-new' as never, name: 'Landing table', at: { xMm: 500, yMm: 500 } };
    const places = new Map(household.places);
    places.set(landing!.id, { ...landing!, room: { ...landing!.room!, stations: [spot] } });
    const draft = createRemoveRoom({ ...household, places }, loft!.id, 9);
    if (!draft.ok) throw new Error(draft.fault.code);
    const after = applyChanges({ ...household, places }, draft.value.changes);
    if (!after.ok) throw new Error('not applied');
    expect(checkInvariants(after.value)).toEqual([]);
    expect(new Set([...after.value.items.values()].map((item) => item.stationId))).toEqual(new Set(['st-new']));
  });
});

describe('a plan', () => {
  const run = createRun(household, 1);
  run.advance(5000);
  const { assignments, bins, unplaced, score } = run.getSolution();
  const plan: Plan = {
    id: 'p1' as Plan['id'],
    madeAtMs: 1,
    seed: 1,
    steps: 5000,
    inputsHash: 'x',
    score,
    before: run.before,
    assignments: [...assignments],
    unplaced: [...unplaced],
    bins: [...bins],
    adoptedAtMs: undefined,
  };

  it('previewed shows every lot where adopting and carrying would bring it', () => {
    const preview = previewPlan(household, plan);
    for (const { lotId, placeId, form, order } of assignments)
      expect(preview.lots.get(lotId)).toMatchObject({ state: 'in', placeId, form, order });
    for (const { lotId } of unplaced)
      expect(preview.lots.get(lotId)).toMatchObject({ placeId: undefined, homeId: undefined });
    expect(checkInvariants(preview)).toEqual([]);
    expect(household.lots).not.toBe(preview.lots);
  });

  it('that names what is gone is refused whole', () => {
    const [first] = assignments;
    const places = new Map(household.places);
    places.delete(first!.placeId);
    expect(createAdopt({ ...household, places }, plan, 'Plan', 2)).toMatchObject({ fault: { code: 'stale-plan' } });
    const lots = new Map(household.lots);
    lots.set(first!.lotId, { ...lots.get(first!.lotId)!, state: 'gone', placeId: undefined, homeId: undefined } as Lot);
    expect(createAdopt({ ...household, lots }, plan, 'Plan', 2)).toMatchObject({ fault: { code: 'stale-plan' } });
  });
});
