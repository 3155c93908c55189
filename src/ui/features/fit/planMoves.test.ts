import { describe, expect, it } from 'vitest';
import { createHousehold, createLot, createThing, createUnit } from '../../../../tests/household.ts';
import type { LotId, PlaceId, Plan, StowForm } from '../../../core/records/index.ts';
import { createPlaceTree } from '../../../core/storage/index.ts';
import { listMoves } from './planMoves.ts';

const [stays, goes, lies, turns] = ['stays', 'goes', 'lies', 'turns'].map((id) =>
  createThing(id, { forms: ['box', 'loose'] }),
);
const household = createHousehold(
  createUnit('cube', { columns: 2, widthMm: 748 }),
  [stays!, goes!, lies!, turns!],
  [createLot(stays!, 'cube-A1'), createLot(goes!, 'cube-A1'), createLot(lies!), createLot(turns!, 'cube-B1')],
);
const to = (id: string, placeId: string, form: StowForm = 'box') => ({
  lotId: `lot-${id}` as LotId,
  placeId: placeId as PlaceId,
  form,
  order: 0,
});
const plan = {
  assignments: [
    to('turns', 'cube-B1', 'loose'),
    to('lies', 'cube-B1'),
    to('goes', 'cube-B1'),
    to('stays', 'cube-A1'),
    to('ghost', 'cube-A1'),
  ],
} as unknown as Plan;
const arrivals = listMoves(household, createPlaceTree(household.places), plan);

describe('what a plan moves', () => {
  it('is what comes to each place, from where, and what is only refolded', () => {
    expect(arrivals.map(({ place }) => place.id)).toEqual(['cube-B1']);
    expect(arrivals[0]!.moves.map(({ item, from, isRefold }) => [item.id, from, isRefold])).toEqual([
      ['turns', 'cube-B1', true],
      ['lies', null, false],
      ['goes', 'cube-A1', false],
    ]);
  });

  it('is nothing where everything is in place', () => {
    const still = { assignments: [to('stays', 'cube-A1')] } as unknown as Plan;
    expect(listMoves(household, createPlaceTree(household.places), still)).toEqual([]);
  });
});
