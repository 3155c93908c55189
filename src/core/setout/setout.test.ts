import { describe, expect, it } from 'vitest';
import { createHousehold } from '../../../tests/household.ts';
import { cloths, shelves, type Owned } from '../../../tests/rooms.ts';
import { createEmptyHousehold } from '../../sample/index.ts';
import { applyChanges } from '../daybook/fold.ts';
import {
  DEFAULT_SETTINGS,
  type Household,
  type Place,
  type PlaceId,
  type Plan,
  type Settings,
} from '../records/index.ts';
import { shapeRoom } from '../room/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { computeSetout, createBegin, createEndSetout, createTickStage } from './index.ts';

const look = (household: Household) => computeSetout(household, createPlaceTree(household.places), DEFAULT_SETTINGS);
const states = (household: Household) =>
  Object.fromEntries(look(household).stages.flatMap(({ id, state }) => (state === 'open' ? [] : [[id, state]])));
const own = (places: readonly Place[], owned: readonly Owned[], settings: Partial<Settings> = {}) =>
  createHousehold(
    places,
    owned.map(({ item }) => item),
    owned.map(({ lot }) => lot),
    { setout: { done: [] }, ...settings },
  );
const empty = createEmptyHousehold().household;
const after = (household: Household, act: ReturnType<typeof createBegin>): Household => {
  if (!act.ok) throw new Error(act.fault.code);
  const next = applyChanges(household, act.value.changes);
  if (!next.ok) throw new Error('conflict');
  return next.value;
};

describe('how far setting out is', () => {
  it('begins with nothing done, and the room next', () => {
    expect(states(empty)).toEqual({});
    expect(look(empty)).toMatchObject({ next: 'room', pieces: 0, lots: 0, leftMm3: null });
  });

  it('knows a room that was measured, what stands in it and what is owned', () => {
    const [room] = [...empty.places.values()];
    const spec = shapeRoom(room!.room!, 'rectangle', { widthMm: 3500, depthMm: 3000, heightMm: 2400 });
    const shaped = { ...empty, places: new Map([[room!.id, { ...room!, room: spec }]]) };
    expect(states(shaped)).toEqual({ room: 'done' });
    expect(look(shaped).next).toBe('furniture');
    const furnished = own(shelves('case', 3, 0), []);
    // It is as wide as no room was said to be.
    expect(states(furnished)).toEqual({ room: 'begun', furniture: 'begun' });
    expect(look(furnished).next).toBe('heaps');
    const owned = own(shelves('case', 3, 0), cloths(6, 'cotton'));
    // All of it has room: nothing is left to balance.
    expect(states(owned)).toEqual({ room: 'begun', furniture: 'begun', heaps: 'begun', balance: 'done' });
    expect(look(owned)).toMatchObject({ next: 'sort', lots: 6, withoutHome: 6, leftMm3: 0 });
  });

  it('is over once a plan was adopted and carried out, but for the labels', () => {
    const owned = own(shelves('case', 3, 0), cloths(6, 'cotton'));
    const plan = { id: 'p', adoptedAtMs: 5 } as unknown as Plan;
    const homes = (placeId: string | undefined) =>
      new Map(
        [...owned.lots].map(([id, lot]) => [
          id,
          { ...lot, homeId: 'case-Shelf 1' as PlaceId, ...(placeId && { placeId: placeId as PlaceId }) },
        ]),
      );
    const planned = { ...owned, plans: new Map([[plan.id, plan]]), lots: homes(undefined) };
    expect(states(planned)).toMatchObject({ furniture: 'done', heaps: 'done', sort: 'done', fit: 'done' });
    expect(look(planned)).toMatchObject({ next: 'carry', toCarry: 6 });
    // A minute and a bit for each of six.
    expect(look(planned).stages.find(({ id }) => id === 'carry')!.minutes).toBe(8);
    const carried = { ...planned, lots: homes('case-Shelf 1') };
    expect(look(carried)).toMatchObject({ next: 'label', toCarry: 0 });
  });

  it('begins with what is owned for who has a list, and goes by what the sewist says', () => {
    const listed = after(empty, createBegin(empty, 'list'));
    expect(look(listed).next).toBe('heaps');
    const ticked = after(listed, createTickStage(listed, 'room', true));
    expect(states(ticked)).toEqual({ room: 'done' });
    expect(ticked.settings.setout).toEqual({ way: 'list', done: ['room'] });
    expect(after(ticked, createTickStage(ticked, 'room', false)).settings.setout).toEqual({ way: 'list', done: [] });
    const over = after(ticked, createEndSetout(ticked));
    expect(over.settings.setout).toBeUndefined();
    // Begun again it starts with nothing said.
    expect(after(over, createBegin(over, 'mess')).settings.setout).toEqual({ way: 'mess', done: [] });
  });
});
