import { describe, expect, it } from 'vitest';
import { createHousehold, createUnit } from '../../../tests/household.ts';
import { cloths, things, tower } from '../../../tests/rooms.ts';
import { getFetchSeconds } from '../../core/records/index.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { createFacts } from '../model/index.ts';
import { describePresent, recount } from '../score/index.ts';
import { explainByGroup } from './index.ts';

const tell = (household: Parameters<typeof createFacts>[0]) => {
  const facts = createFacts(household);
  const offered = describePresent(facts);
  return { facts, offered, told: explainByGroup(facts, offered) };
};

describe('a plan told by groups', () => {
  it('shares out all of the fetching time, and all lots', () => {
    for (const seed of [1, 2]) {
      const { facts, offered, told } = tell(createSampleHousehold(seed, 120).household);
      const sum = told.groups.reduce((all, one) => all + one.seconds, 0);
      expect(sum).toBeCloseTo(getFetchSeconds(recount(facts, offered)), 6);
      const lots = told.groups.reduce(
        (all, one) => all + one.homeless + one.homes.reduce((n, at) => n + at.count, 0),
        0,
      );
      expect(lots).toBe(facts.lots.length);
    }
  });

  it('points at strangers in a place with the cheapest way out, and at small things that lie loose', () => {
    const cube = (id: string, xMm: number) => createUnit(id, { xMm, yMm: 700 });
    const places = [
      ...cube('a', 0),
      ...cube('b', 1000),
      ...createUnit('tower', { kind: 'drawers', xMm: 2000, rows: 2 }),
    ];
    const owned = [
      ...cloths(5, 'cotton', { at: 'a-A1' }),
      ...things(3, 'notion', 'pins', [70, 70, 25], { at: 'a-A1' }),
    ];
    const { told } = tell(
      createHousehold(
        places,
        owned.map((one) => one.item),
        owned.map((one) => one.lot),
      ),
    );
    const strangers = told.oddities.find((one) => one.code === 'strangers');
    expect(strangers).toMatchObject({ placeId: 'a-A1', groupIds: ['fabric:fibre:cotton', 'notion:type:pins'] });
    expect(strangers?.code === 'strangers' && strangers.out).toMatchObject({
      groupId: 'notion:type:pins',
      placeId: expect.stringMatching(/^tower/) as string,
    });
    // They are no small part of it.
    expect(strangers?.code === 'strangers' && strangers.apart).toEqual([]);
    expect(told.oddities.some((one) => one.code === 'homeless')).toBe(false);
    expect(told.oddities.find((one) => one.code === 'loose')).toMatchObject({
      lotIds: ['lot-pins 1', 'lot-pins 2', 'lot-pins 3'],
    });
    expect(told.groups[0]).toMatchObject({ homes: [{ placeId: 'a-A1', count: 5 }], beside: [{ kinship: 'stranger' }] });
  });

  it('points at what has no home, in a room where nothing has', () => {
    const owned = cloths(2, 'cotton');
    const { told } = tell(
      createHousehold(
        createUnit('a', { xMm: 0, yMm: 700 }),
        owned.map((one) => one.item),
        owned.map((one) => one.lot),
      ),
    );
    expect(told.oddities).toEqual([
      { code: 'homeless', lotIds: owned.map(({ lot }) => lot.id), seconds: expect.any(Number) as number },
    ]);
  });

  it('says what keeps a small group apart where it is', () => {
    const owned = [
      ...things(2, 'other', 'fur', [300, 250, 60], { isSoft: true, at: 'tower-Drawer 1' }),
      ...things(2, 'notion', 'pins', [60, 50, 25], { at: 'tower-Drawer 1' }),
    ];
    const { told } = tell(
      createHousehold(
        tower('tower', 2, 0),
        owned.map((one) => one.item),
        owned.map((one) => one.lot),
      ),
    );
    const strangers = told.oddities.find((one) => one.code === 'strangers');
    // Two packets of 75 cm³, in a bag of which three quarters are used.
    expect(strangers?.code === 'strangers' && strangers.apart).toEqual([
      { groupId: 'notion:type:pins', keeper: { code: 'bag', volumeMm3: 200_000 } },
    ]);
  });
});
