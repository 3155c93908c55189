import { describe, expect, it } from 'vitest';
import { createHousehold, createUnit } from '../../../tests/household.ts';
import { planHousehold, things } from '../../../tests/rooms.ts';
import type { LotId, Place } from '../../core/records/index.ts';
import { withCure } from '../../core/suppose/index.ts';
import { createFacts } from '../model/index.ts';
import { explainNowhere } from './index.ts';

const shears = things(1, 'tool', 'shears', [90, 18, 230], { hangHoleMm: 24, care: ['sharp'] });
const ID = 'lot-shears 1' as LotId;
const live = (places: readonly Place[]) =>
  createHousehold(
    places,
    shears.map((one) => one.item),
    shears.map((one) => one.lot),
    { hasChildren: true },
  );
const pegs = (yMm: number) =>
  createUnit('pegs', { kind: 'pegboard', xMm: 1500, yMm, widthMm: 600, heightMm: 500, depthMm: 12, boardMm: 0 });
const tower = createUnit('tower', { kind: 'drawers', xMm: 500, rows: 2, widthMm: 440, heightMm: 400, depthMm: 420 });
const told = (places: readonly Place[]) => explainNowhere(createFacts(live(places)), [ID]).get(ID)!;

describe('what care leaves without a home', () => {
  it.each([
    [
      'a board 10 cm too low is raised by them',
      [...pegs(1400), ...tower],
      { code: 'raise', placeId: 'pegs-Board', mm: 100 },
    ],
    [
      'a board far too low is left, and a drawer locked',
      [...pegs(1100), ...tower],
      { code: 'lock', placeId: /^tower/ },
    ],
    [
      'without anything that shuts the board is raised all the same',
      pegs(1100),
      { code: 'raise', placeId: 'pegs-Board', mm: 400 },
    ],
  ])('%s', (_, places, cure) => {
    const found = told(places);
    expect(found.reason.code).toBe('children');
    expect(found.cure).toMatchObject({
      ...cure,
      placeId: cure.placeId instanceof RegExp ? (expect.stringMatching(cure.placeId) as string) : cure.placeId,
    });
    // With it there is a home.
    expect(planHousehold(live(places), 1).unplaced).toEqual(['shears 1']);
    expect(planHousehold(withCure(live(places), found.cure!), 1).unplaced).toEqual([]);
  });

  it('is not raised through the ceiling', () => {
    const tall = createUnit('pegs', {
      kind: 'pegboard',
      xMm: 1500,
      yMm: 1400,
      widthMm: 600,
      heightMm: 960,
      depthMm: 12,
      boardMm: 0,
    });
    // The room is 2.4 m high: 1.5 m and 96 cm are more.
    expect(told(tall)).toMatchObject({ reason: { code: 'children' }, cure: null });
  });

  it('is not cured where nothing small helps', () => {
    const floor = createUnit('floor', { kind: 'floor', xMm: 0, widthMm: 900, heightMm: 600, depthMm: 600, boardMm: 0 });
    expect(told(floor)).toMatchObject({ reason: { code: 'children' }, cure: null });
  });
});
