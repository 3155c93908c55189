import { describe, expect, it } from 'vitest';
import { createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import type { Item, Settings } from '../../core/records/index.ts';
import { createFacts, listOptions } from '../model/index.ts';
import { State } from '../score/index.ts';
import { explainUnplaced } from './index.ts';

const box = (change: Partial<NonNullable<Item['box']>>) => ({ ...createThing('x').box!, ...change });

/** Why the first thing has no home, when the others lie where they are. */
function explain(thing: Item, others: readonly Item[] = [], settings: Partial<Settings> = {}) {
  const places = createUnit('chest', { kind: 'drawers', widthMm: 574, heightMm: 274, depthMm: 512, boardMm: 12 });
  const items = [thing, ...others];
  const facts = createFacts(
    createHousehold(
      places,
      items,
      items.map((item) => createLot(item)),
      settings,
    ),
  );
  const state = new State(facts);
  for (const item of others) {
    const l = facts.items.indexOf(item);
    state.insert(l, listOptions(facts, l)[0]!);
  }
  return explainUnplaced(facts, state, facts.items.indexOf(thing));
}

describe('why a thing has no home', () => {
  it('names the side that is too long, and the place that comes nearest', () => {
    // The drawer is 574 - 24 = 550 mm wide and 512 - 12 = 500 deep inside.
    const pole = createThing('pole', { box: box({ heightMm: 610 }) });
    expect(explain(pole)).toEqual({ code: 'too-long', needed: 610, available: 550, placeId: 'chest-Drawer 1' });
  });

  it('names the load when it is too heavy', () => {
    const anvil = createThing('anvil', { box: box({ massG: 9000 }) });
    expect(explain(anvil)).toMatchObject({ code: 'load', needed: 9000, available: 8000 });
  });

  it('says that the place which suits it is full, and how much of it is free', () => {
    const big = box({ widthMm: 400, depthMm: 400, heightMm: 150 });
    const reason = explain(createThing('late', { box: big }), [createThing('early', { box: big })]);
    expect(reason).toMatchObject({ code: 'full', placeId: 'chest-Drawer 1' });
    expect(reason.needed! + (1 - reason.available!)).toBeGreaterThan(1);
  });

  it('says that the place which has room can carry no more', () => {
    const heavy = createThing('heavy', { box: box({ massG: 5000 }) });
    expect(explain(createThing('late', { box: box({ massG: 4000 }) }), [heavy])).toEqual({
      code: 'laden',
      needed: 4000,
      available: 3000,
      placeId: 'chest-Drawer 1',
    });
  });

  it('says that children reach everything it fits', () => {
    const blade = createThing('blade', { care: ['sharp'] });
    expect(explain(blade, [], { hasChildren: true })).toMatchObject({ code: 'children' });
    // Without children the empty drawer would take it; that it is not there is the packing's doing alone.
    expect(explain(blade, [], { hasChildren: false })).toMatchObject({ code: 'not-packed' });
  });

  it('says that no way of keeping it suits any place', () =>
    expect(explain(createThing('hook', { forms: ['peg'], box: box({ hangHoleMm: 8 }) }))).toEqual({ code: 'no-form' }));
});
