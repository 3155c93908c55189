import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createUnit } from '../../../tests/household.ts';
import { createSorting, type LotId } from '../records/index.ts';
import { createCut } from '../acts/index.ts';
import { judgeRest } from './rest.ts';

const sorting = {
  ...createSorting(),
  fabric: { levels: ['lengthClass' as const], order: 'length' as const, tags: [] },
};
const cloth = createCloth('blue', { forms: ['board', 'stack'] });
const other = createCloth('rust');
const lots = [
  createLot(cloth, 'cube-A1', { lengthMm: 5000, form: 'board', homeForm: 'board' }),
  createLot(other, 'cube-A1', { lengthMm: 6000 }),
];
const household = createHousehold(createUnit('cube', {}), [cloth, other], lots, { sorting });
const BLUE = 'lot-blue' as LotId;

describe('what is left after a cut', () => {
  it('stays what it was while it stays long enough', () => {
    // Garment lengths from 5 yards, 4572 mm.
    expect(judgeRest(household, BLUE, 300, null)).toEqual({
      restMm: 4700,
      form: null,
      lengthClass: null,
      group: null,
      isStranger: false,
    });
  });

  it('leaves its class and group, and its kin', () => {
    const rest = judgeRest(household, BLUE, 1000, null);
    expect(rest).toMatchObject({ restMm: 4000, lengthClass: { from: 2, to: 1 }, isStranger: true });
    expect([rest?.group?.from.id, rest?.group?.to.id]).toEqual(['fabric:lengthClass:2', 'fabric:lengthClass:1']);
  });

  it('leaves its board when it no longer covers it', () => {
    expect(judgeRest(household, BLUE, 4950, null)?.form).toEqual({ from: 'board', to: 'stack' });
  });

  it('is not asked of what cannot be cut, or is used up', () => {
    expect(judgeRest(household, BLUE, 6000, null)).toBeNull();
    expect(judgeRest(household, BLUE, 5000, null)).toBeNull();
    expect(judgeRest(household, 'ghost' as LotId, 1, null)).toBeNull();
  });

  it('goes to a project by name, or to what it was promised to', () => {
    expect(createCut(household, BLUE, 300, 1, null, ' rowing smock ')).toMatchObject({
      value: { forWhat: 'rowing smock' },
    });
    const promised = new Map(household.lots);
    promised.set(BLUE, { ...lots[0]!, reserved: [{ id: 'r', forWhat: 'boat curtain', note: '', amount: 900 }] });
    expect(createCut({ ...household, lots: promised }, BLUE, 300, 1, 'r')).toMatchObject({
      value: { forWhat: 'boat curtain' },
    });
    expect(createCut(household, BLUE, 300, 1)).not.toHaveProperty('value.forWhat');
  });
});
