import fc from 'fast-check';
import { undo } from '../../../tests/acts.ts';
import { describe, expect, it } from 'vitest';
import {
  createCloth,
  createHousehold,
  createLot,
  createThing,
  createUnit,
  CUTTING,
  ROOM,
  SEWING,
} from '../../../tests/household.ts';
import { createChronicle, createSampleHousehold } from '../../sample/index.ts';
import type { Chronicle, DaybookEvent, EventId, Household, LotId, Place, PlaceId } from '../records/index.ts';
import { applyMerge, getLater, planMerge, type Side } from './index.ts';
import {
  createCut,
  createGone,
  createLend,
  createMove,
  createPutBack,
  createRemoveItem,
  createSavePlaces,
  createTakeOut,
} from '../acts/index.ts';
import { applyChanges, foldEvents } from '../daybook/fold.ts';
import { checkInvariants, createChange, getUndoable, stampEvent } from '../daybook/index.ts';

/** A device: what it has, and what it writes from then on. */
function createDevice(name: string, start: Chronicle, fromMs: number) {
  let { household } = start;
  const events: DaybookEvent[] = [...start.events];
  let count = 0;
  const world = {
    nowMs: () => fromMs + count * 1000,
    createId: () => {
      count += 1;
      return `${name}${count}`;
    },
  };
  return {
    do: (make: (household: Household, events: readonly DaybookEvent[]) => ReturnType<typeof createTakeOut>) => {
      const act = make(household, events);
      if (!act.ok) return false;
      const next = applyChanges(household, act.value.changes);
      if (!next.ok) return false;
      household = next.value;
      events.push(stampEvent(act.value, events.length, world));
      return true;
    },
    get: (): Chronicle => ({ household, events: [...events] }),
  };
}
const STAMP = { id: 'join' as EventId, atMs: 5e12 };
const A1 = 'cube-A1' as PlaceId;
const B1 = 'rack-A1' as PlaceId;
const cloth = createCloth('blue');
const shears = createThing('shears');
const id = (name: string) => `lot-${name}` as LotId;
const base = createChronicle(
  createHousehold(
    [...createUnit('cube', {}), ...createUnit('rack', {})],
    [cloth, shears],
    [createLot(cloth, A1, { lengthMm: 5000 }), createLot(shears, A1)],
  ),
);
const start = () => [createDevice('a', base, 1e12), createDevice('b', base, 2e12)] as const;
const plan = (mine: Chronicle, theirs: Chronicle) => {
  const made = planMerge(mine, theirs);
  if (!made.ok) throw new Error(made.fault);
  return made.value;
};
const merge = (mine: Chronicle, theirs: Chronicle, side?: Side) => {
  const joined = applyMerge(plan(mine, theirs), (conflict) => side ?? getLater(conflict), STAMP);
  if (!joined.ok) throw new Error(joined.fault.map(({ path, code }) => `${path} ${code}`).join(', '));
  return joined.value;
};

describe('two daybooks of one household', () => {
  it('join where each changed something else', () => {
    const [a, b] = start();
    a.do((now) => createTakeOut(now, id('blue'), 1));
    b.do((now) => createMove(now, id('shears'), B1, 'box', 2));
    expect(plan(a.get(), b.get()).conflicts).toEqual([]);
    const { household, events } = merge(a.get(), b.get());
    expect(household.lots.get(id('blue'))).toMatchObject({ state: 'out' });
    expect(household.lots.get(id('shears'))).toMatchObject({ placeId: B1 });
    expect(events.map((event) => event.type)).toEqual(['catalogued', 'tookOut', 'moved', 'joined']);
    expect(foldEvents(events)).toEqual({ ok: true, value: household });
  });

  it('add up what both cut off, and what one of them took back', () => {
    const [a, b] = start();
    a.do((now) => createCut(now, id('blue'), 1000, 1));
    b.do((now) => createCut(now, id('blue'), 500, 2));
    expect(plan(a.get(), b.get()).conflicts).toEqual([]);
    expect(merge(a.get(), b.get()).household.lots.get(id('blue'))?.lengthMm).toBe(3500);
    b.do((now, events) => ({ ok: true, value: undo(now, events) }));
    expect(merge(a.get(), b.get()).household.lots.get(id('blue'))?.lengthMm).toBe(4000);
  });

  it('ask where both cut more than there was', () => {
    const [a, b] = start();
    a.do((now) => createCut(now, id('blue'), 3000, 1));
    b.do((now) => createCut(now, id('blue'), 3000, 2));
    expect(plan(a.get(), b.get()).conflicts.map((one) => one.aspect)).toEqual(['lengthMm']);
    expect(merge(a.get(), b.get(), 'mine').household.lots.get(id('blue'))?.lengthMm).toBe(2000);
  });

  it('ask where both moved the same thing, and the later is what one would say', () => {
    const [a, b] = start();
    a.do((now) => createTakeOut(now, id('shears'), 1));
    b.do((now) => createLend(now, id('shears'), 'the club', 2));
    const [conflict] = plan(a.get(), b.get()).conflicts;
    expect(conflict).toMatchObject({ table: 'lots', id: id('shears'), aspect: 'state' });
    expect([conflict?.mine?.type, conflict?.theirs.type, getLater(conflict!)]).toEqual(['tookOut', 'lent', 'theirs']);
    expect(merge(a.get(), b.get(), 'mine').household.lots.get(id('shears'))).toMatchObject({ state: 'out' });
    const { household, events } = merge(a.get(), b.get(), 'theirs');
    expect(household.lots.get(id('shears'))).toMatchObject({ state: 'lent', lentTo: 'the club' });
    expect(household.lots.get(id('shears'))).not.toHaveProperty('placeId');
    // Nothing is lost: what was not followed is in the daybook all the same.
    expect(events.map((event) => event.id)).toContain('b1');
  });

  it('keep a thing that one took out of the stash and the other used, where that is wanted', () => {
    const [a, b] = start();
    a.do((now) => createRemoveItem(now, shears, 1));
    b.do((now) => createTakeOut(now, id('shears'), 2));
    const { conflicts } = plan(a.get(), b.get());
    expect(conflicts.map((one) => [one.table, one.aspect])).toEqual([['lots', '']]);
    expect(merge(a.get(), b.get(), 'mine').household.lots.has(id('shears'))).toBe(false);
    const kept = merge(a.get(), b.get(), 'theirs').household;
    expect(kept.lots.get(id('shears'))).toMatchObject({ state: 'out' });
    expect(kept.items.has(shears.id)).toBe(true);
    // The other way round the taking out waits for an answer.
    expect(plan(b.get(), a.get()).conflicts.length).toBeGreaterThan(0);
    expect(checkInvariants(merge(b.get(), a.get(), 'mine').household)).toEqual([]);
  });

  it('lay out what one put into a place that the other took down', () => {
    const [a, b] = start();
    a.do((now) => createSavePlaces(now, 'rack', [], [now.places.get(B1)!, now.places.get('rack' as PlaceId)!], 1));
    b.do((now) => createMove(now, id('shears'), B1, 'box', 2));
    const { household } = merge(a.get(), b.get());
    expect(household.lots.get(id('shears'))).toMatchObject({ state: 'out' });
    expect(household.lots.get(id('shears'))).not.toHaveProperty('placeId');
    expect(household.lots.get(id('shears'))).not.toHaveProperty('homeId');
    expect(checkInvariants(household)).toEqual([]);
  });

  it('send a bin to the pool where both put one into the same compartment', () => {
    const bin = (name: string): Place => ({
      id: name as PlaceId,
      parentId: A1,
      level: 'container',
      name,
      order: 0,
      // Two of 30 cm do not stand in a cube of 35.
      container: {
        kind: 'bin',
        outerWidthMm: 300,
        outerDepthMm: 300,
        outerHeightMm: 300,
        wallMm: 2,
        mode: 'volume',
        tareG: 500,
        loadG: 9000,
        hasLid: false,
        isSeeThrough: false,
      },
    });
    const bare = createChronicle(createHousehold(createUnit('cube', {}), [], []));
    const [a, b] = [createDevice('a', bare, 1e12), createDevice('b', bare, 2e12)];
    a.do((now) => createSavePlaces(now, 'mine', [bin('mine')], [], 1));
    b.do((now) => createSavePlaces(now, 'theirs', [bin('theirs')], [], 2));
    const { household } = merge(a.get(), b.get());
    expect(household.places.get('mine' as PlaceId)?.parentId).toBe(A1);
    expect(household.places.get('theirs' as PlaceId)).not.toHaveProperty('parentId');
  });

  it('give a thing another station where the other took down its own', () => {
    const [a, b] = start();
    a.do((now) => {
      const room = now.places.get(ROOM.id)!;
      const stations = room.room!.stations.filter((station) => station.id !== SEWING);
      const change = createChange('places', room.id, room, { ...room, room: { ...room.room!, stations } });
      return { ok: true, value: { type: 'roomChanged', subject: 'Room', changes: [change!] } };
    });
    b.do((now) => {
      const change = createChange('items', shears.id, now.items.get(shears.id)!, { ...shears, stationId: SEWING });
      return { ok: true, value: { type: 'changed', subject: 'shears', changes: [change!] } };
    });
    expect(merge(a.get(), b.get()).household.items.get(shears.id)?.stationId).toBe(CUTTING);
  });

  it('take over only what is new when they are joined again', () => {
    const [a, b] = start();
    a.do((now) => createTakeOut(now, id('blue'), 1));
    b.do((now) => createMove(now, id('shears'), B1, 'box', 2));
    const joined = merge(a.get(), b.get());
    const again = plan(joined, b.get());
    expect([again.theirsNew.length, again.conflicts.length]).toEqual([0, 0]);
    expect(merge(joined, b.get()).events).toEqual(joined.events);
    b.do((now) => createPutBack(now, id('shears'), 3));
    b.do((now) => createTakeOut(now, id('shears'), 4));
    expect(merge(joined, b.get()).household.lots.get(id('shears'))).toMatchObject({ state: 'out' });
  });

  it('are not joined with those of another household', () => {
    expect(planMerge(base, createSampleHousehold(1, 20))).toEqual({ ok: false, fault: 'another-household' });
    expect(planMerge(base, { ...base, events: [] })).toMatchObject({ ok: false });
  });
});

describe('whatever two devices wrote', () => {
  const sample = createSampleHousehold(3, 40);
  const lots = [...sample.household.lots.keys()];
  const leaves = [...sample.household.places.values()].filter((place) => place.level === 'container').map((p) => p.id);
  const act = fc.record({
    what: fc.constantFrom('out', 'back', 'move', 'cut', 'gone', 'lend', 'remove', 'undo'),
    lot: fc.nat(12),
    at: fc.nat(Math.max(0, leaves.length - 1)),
  });
  const play = (
    device: ReturnType<typeof createDevice>,
    acts: readonly { what: string; lot: number; at: number }[],
  ) => {
    for (const [i, { what, lot, at }] of acts.entries())
      device.do((now, events) => {
        const lotId = lots[lot % lots.length]!;
        const known = now.lots.get(lotId);
        switch (what) {
          case 'out':
            return createTakeOut(now, lotId, i);
          case 'back':
            return createPutBack(now, lotId, i);
          case 'move':
            return createMove(now, lotId, leaves[at]!, known?.form ?? 'box', i);
          case 'cut':
            return createCut(now, lotId, 100, i);
          case 'gone':
            return createGone(now, lotId, 'gaveAway', i);
          case 'lend':
            return createLend(now, lotId, 'somebody', i);
          case 'remove':
            return known ? createRemoveItem(now, now.items.get(known.itemId)!, i) : createTakeOut(now, lotId, i);
          default: {
            const last = getUndoable(events);
            return last ? { ok: true, value: undo(now, events) } : createTakeOut(now, lotId, i);
          }
        }
      });
    return device.get();
  };

  it('the joined daybook folds to the joined state, breaks no rule and has every line of both', () => {
    fc.assert(
      fc.property(
        fc.array(act, { maxLength: 10 }),
        fc.array(act, { maxLength: 10 }),
        fc.boolean(),
        (one, two, side) => {
          const mine = play(createDevice('a', sample, 1e12), one);
          const theirs = play(createDevice('b', sample, 2e12), two);
          const { household, events } = merge(mine, theirs, side ? 'mine' : 'theirs');
          expect(foldEvents(events)).toEqual({ ok: true, value: household });
          expect(checkInvariants(household)).toEqual([]);
          const ids = new Set(events.map((event) => event.id));
          for (const event of [...mine.events, ...theirs.events]) expect(ids.has(event.id)).toBe(true);
          expect(events.map((event) => event.seq)).toEqual(events.map((_, i) => i));
        },
      ),
      { numRuns: 150 },
    );
  });

  it('what only one of them wrote is all there', () => {
    fc.assert(
      fc.property(fc.array(act, { maxLength: 10 }), (acts) => {
        const theirs = play(createDevice('b', sample, 2e12), acts);
        expect(merge(sample, theirs).household).toEqual(theirs.household);
        expect(merge(theirs, sample).household).toEqual(theirs.household);
      }),
      { numRuns: 60 },
    );
  });
});
