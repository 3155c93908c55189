import { describe, expect, it } from 'vitest';
import { after, faultOf, undo } from '../../../tests/acts.ts';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import type { DaybookEvent, EventId, Household, LotId, PlaceId } from '../records/index.ts';
import { createRemoveItem, createSaveItem } from './itemActs.ts';
import { createCut, createMove, createPutBack, createTakeOut } from './lotActs.ts';
import { createCarryAll } from './planActs.ts';
import { createSaveSettings } from './settingsActs.ts';
import { applyChanges } from '../daybook/fold.ts';
import { getUndoable, stampEvent } from '../daybook/index.ts';

const cloth = createCloth('cloth', { forms: ['stack', 'loose'] });
const tool = createThing('tool');
const places = createUnit('cube', { columns: 2, widthMm: 748 });
const start = createHousehold(
  places,
  [cloth, tool],
  [createLot(cloth, 'cube-A1'), createLot(tool, 'cube-A1', { order: 1, homeOrder: 1 })],
);
const CLOTH = 'lot-cloth' as LotId;
const TOOL = 'lot-tool' as LotId;

describe('taking out and putting back', () => {
  it('leaves the home and its turn, and notes the time', () => {
    const out = after(start, (now) => createTakeOut(now, TOOL, 5000));
    expect(out.lots.get(TOOL)).toMatchObject({ state: 'out', homeId: 'cube-A1', sinceMs: 5000 });
    expect(out.lots.get(TOOL)).not.toHaveProperty('placeId');
    const back = after(out, (now) => createPutBack(now, TOOL, 6000));
    expect(back.lots.get(TOOL)).toMatchObject({ state: 'in', placeId: 'cube-A1', order: 1, sinceMs: 6000 });
  });

  it('says why it cannot', () => {
    const out = after(start, (now) => createTakeOut(now, TOOL, 1));
    expect(faultOf(createTakeOut(out, TOOL, 2))?.code).toBe('not-in-place');
    expect(faultOf(createTakeOut(start, 'nobody' as LotId, 2))?.code).toBe('no-such-lot');
    const homeless = createHousehold(places, [tool], [createLot(tool)]);
    expect(faultOf(createPutBack(homeless, TOOL, 2))?.code).toBe('no-home');
    const gone = { ...out, places: new Map([...out.places].filter(([id]) => id !== 'cube-A1')) };
    expect(faultOf(createPutBack(gone, TOOL, 2))?.code).toBe('home-gone');
  });
});

describe('moving', () => {
  it('makes the new place the home, at the end of its row', () => {
    const moved = after(
      start,
      (now) => createMove(now, TOOL, 'cube-B1' as PlaceId, 'box', 9),
      (now) => createMove(now, CLOTH, 'cube-B1' as PlaceId, 'stack', 9),
    );
    expect(moved.lots.get(CLOTH)).toMatchObject({ placeId: 'cube-B1', homeId: 'cube-B1', order: 1, homeOrder: 1 });
  });

  it('goes only where things can lie', () => {
    expect(faultOf(createMove(start, TOOL, 'cube' as PlaceId, 'box', 1))?.code).toBe('no-such-place');
    expect(faultOf(createMove(start, TOOL, 'room' as PlaceId, 'box', 1))?.code).toBe('no-such-place');
    expect(faultOf(createMove(start, 'x' as LotId, 'cube-B1' as PlaceId, 'box', 1))?.code).toBe('no-such-lot');
  });
});

describe('cutting', () => {
  it('leaves the rest in its place', () => {
    const cut = after(start, (now) => createCut(now, CLOTH, 750, 3));
    expect(cut.lots.get(CLOTH)).toMatchObject({ lengthMm: 1250, state: 'in', placeId: 'cube-A1' });
  });

  it('of all there is uses the lot up, and frees its place', () => {
    const gone = after(start, (now) => createCut(now, CLOTH, 2000, 3));
    expect(gone.lots.get(CLOTH)).toMatchObject({ lengthMm: 0, state: 'gone' });
    expect(gone.lots.get(CLOTH)).not.toHaveProperty('placeId');
    expect(gone.lots.get(CLOTH)).not.toHaveProperty('homeId');
    expect(faultOf(createCut(gone, CLOTH, 1, 4))?.code).toBe('no-such-lot');
  });

  it.each([
    [2000.6, 'more-than-there-is'],
    [0, 'nothing-changed'],
    [-5, 'nothing-changed'],
    [Number.NaN, 'nothing-changed'],
  ])('of %d mm is refused', (mm, code) => expect(faultOf(createCut(start, CLOTH, mm, 1))?.code).toBe(code));

  it('is for cloth only', () => expect(faultOf(createCut(start, TOOL, 10, 1))?.code).toBe('no-such-lot'));
});

describe('the catalogue', () => {
  it('takes in an item with its lot, and lets it go with all of them', () => {
    const item = createThing('new');
    const lots = [createLot(item), createLot(item, null, { id: 'second' as LotId })];
    const more = after(start, (now) => createSaveItem(now, item, lots));
    expect(more.lots.size).toBe(4);
    const less = after(more, (now) => createRemoveItem(now, item, 3));
    expect(less.items.size).toBe(2);
    expect(less.lots.size).toBe(2);
  });

  it('writes nothing when nothing differs', () => {
    expect(faultOf(createSaveItem(start, cloth, [createLot(cloth, 'cube-A1')]))?.code).toBe('nothing-changed');
    expect(faultOf(createSaveSettings(start, { ...start.settings }))?.code).toBe('nothing-changed');
    expect(faultOf(createCarryAll(start, '', 1))?.code).toBe('nothing-changed');
  });

  it('names an event by whether it is new', () => {
    const saved = createSaveItem(start, { ...cloth, name: 'Other' }, []);
    expect(saved.ok && saved.value).toMatchObject({ type: 'changed', subject: 'Other' });
    const added = createSaveItem(start, createThing('new'), []);
    expect(added.ok && added.value.type).toBe('received');
  });
});

describe('carrying everything home', () => {
  it('brings what lies about or lies wrong, but not what is lent', () => {
    const home = { homeId: 'cube-B1' as PlaceId, homeOrder: 0 };
    const lent = createThing('lent');
    const household = createHousehold(
      places,
      [cloth, tool, lent],
      [
        createLot(cloth, 'cube-A1', home),
        createLot(tool, null, home),
        createLot(lent, null, { ...home, state: 'lent' }),
      ],
    );
    const carried = after(household, (now) => createCarryAll(now, 'all', 7));
    expect(carried.lots.get(CLOTH)).toMatchObject({ placeId: 'cube-B1', state: 'in' });
    expect(carried.lots.get(TOOL)).toMatchObject({ placeId: 'cube-B1', state: 'in', sinceMs: 7 });
    expect(carried.lots.get('lot-lent' as LotId)).toMatchObject({ state: 'lent' });
    expect(carried.lots.get('lot-lent' as LotId)).not.toHaveProperty('placeId');
  });
});

describe('undo', () => {
  const world = { nowMs: () => 1, createId: () => 'e' };
  const event = (seq: number, over: Partial<DaybookEvent> = {}): DaybookEvent => ({
    id: `e${seq}` as EventId,
    seq,
    atMs: 0,
    type: 'tookOut',
    subject: 'x',
    changes: [],
    ...over,
  });

  it('takes back the newest that is not taken back, never the first line and never an undo', () => {
    const events = [event(0), event(1), event(2), event(3, { type: 'undone', undoes: ['e2' as EventId] })];
    expect(getUndoable(events)?.id).toBe('e1');
    expect(getUndoable([event(0)])).toBeNull();
    expect(getUndoable([...events, event(4, { type: 'undone', undoes: ['e1' as EventId] })])).toBeNull();
  });

  it('turns every act back to the letter', () => {
    for (const make of [
      (now: Household) => createTakeOut(now, CLOTH, 2),
      (now: Household) => createCut(now, CLOTH, 2000, 2),
      (now: Household) => createMove(now, TOOL, 'cube-B1' as PlaceId, 'box', 2),
      (now: Household) => createRemoveItem(now, cloth, 3),
      (now: Household) => createSaveSettings(now, { ...now.settings, hasPets: true }),
    ]) {
      const draft = make(start);
      if (!draft.ok) throw new Error(draft.fault.code);
      const done = applyChanges(start, draft.value.changes);
      if (!done.ok) throw new Error(done.fault.code);
      const line = stampEvent(draft.value, 1, world);
      const undone = applyChanges(done.value, undo(done.value, [event(0), line], line).changes);
      expect(undone).toEqual({ ok: true, value: start });
    }
  });

  it('stamps only the fields that are there, and shortens what is too long', () => {
    const draft = createTakeOut(start, CLOTH, 2);
    const stamped = draft.ok && stampEvent({ ...draft.value, subject: 'x'.repeat(300) }, 4, world);
    expect(stamped).toMatchObject({ id: 'e', seq: 4, atMs: 1, subject: 'x'.repeat(200) });
    expect(Object.keys(stamped || {})).not.toContain('amount');
  });
});
