import { describe, expect, it } from 'vitest';
import { after, faultOf } from '../../../tests/acts.ts';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { checkInvariants } from '../daybook/index.ts';
import type { LotId, PlaceId } from '../records/index.ts';
import { createBecome } from './becomeActs.ts';
import { createRemoveLots } from './itemActs.ts';
import { createReserve } from './promiseActs.ts';
import { createBelongIn, createLieIn } from './putActs.ts';
import { createWrap } from './promiseActs.ts';

const cloth = createCloth('cloth');
const other = createCloth('other');
const buttons = createThing('buttons', { kind: 'notion' });
const start = createHousehold(
  createUnit('cube', { columns: 2, widthMm: 748 }),
  [cloth, other, buttons],
  [
    createLot(cloth, 'cube-A1'),
    createLot(cloth, null, { id: 'rest' as LotId, lengthMm: 500 }),
    createLot(other, 'cube-A1'),
    createLot(buttons),
  ],
);
const [CLOTH, REST, OTHER, BUTTONS] = ['lot-cloth', 'rest', 'lot-other', 'lot-buttons'] as LotId[];
const B1 = 'cube-B1' as PlaceId;

describe('where many things lie', () => {
  it('is said as a fact: they lie behind what lies there, and go on belonging where they belong', () => {
    const now = after(start, (from) => createLieIn(from, [CLOTH!, REST!], B1, '2 lots', 5));
    expect(now.lots.get(CLOTH!)).toMatchObject({ state: 'in', placeId: B1, order: 0, homeId: 'cube-A1' });
    expect(now.lots.get(REST!)).toMatchObject({ state: 'in', placeId: B1, order: 1 });
    expect(now.lots.get(REST!)!.homeId).toBeUndefined();
    const out = after(now, (from) => createLieIn(from, [CLOTH!, REST!], null, '2 lots', 6));
    expect(out.lots.get(CLOTH!)).toMatchObject({ state: 'out', homeId: 'cube-A1' });
    expect(out.lots.get(CLOTH!)!.placeId).toBeUndefined();
    expect(faultOf(createLieIn(out, [CLOTH!], null, '1 lot', 7))?.code).toBe('nothing-changed');
    expect(faultOf(createLieIn(start, [CLOTH!], 'nowhere' as PlaceId, '1 lot', 5))?.code).toBe('no-such-place');
    expect(checkInvariants(now)).toEqual([]);
    expect(checkInvariants(out)).toEqual([]);
  });
});

describe('where many things belong', () => {
  it('is said for all of them or none: what was never there waits to be carried', () => {
    const now = after(start, (from) => createBelongIn(from, [OTHER!, BUTTONS!], B1, '2 lots', 5));
    expect(now.lots.get(OTHER!)).toMatchObject({ state: 'in', placeId: 'cube-A1', homeId: B1, homeOrder: 0 });
    expect(now.lots.get(BUTTONS!)).toMatchObject({ state: 'out', away: 'waiting', homeId: B1, homeOrder: 1 });
    expect(checkInvariants(now)).toEqual([]);
    const pole = createThing('pole', {
      box: { type: 'cutting', widthMm: 2000, depthMm: 20, heightMm: 20, massG: 9, isSoft: false },
    });
    const cube = createUnit('cube', { columns: 2, widthMm: 748 });
    const huge = createHousehold(cube, [cloth, pole], [createLot(cloth), createLot(pole)]);
    expect(faultOf(createBelongIn(huge, [CLOTH!, 'lot-pole' as LotId], B1, '1 lot', 5))).toMatchObject({
      code: 'no-room',
      placeId: B1,
    });
  });
});

describe('many things that go', () => {
  it('take their item along where nothing else is left of it, and let go what was wrapped with them', () => {
    const wrapped = after(start, (from) => createWrap(from, REST!, OTHER!, 4));
    const now = after(wrapped, (from) => createRemoveLots(from, [CLOTH!, OTHER!], '2 lots', 5));
    expect(new Set(now.lots.keys())).toEqual(new Set([BUTTONS, REST]));
    expect(now.items.has(cloth.id)).toBe(true);
    expect(now.items.has(other.id)).toBe(false);
    expect(now.lots.get(REST!)).toMatchObject({ state: 'out' });
    expect(checkInvariants(now)).toEqual([]);
    expect(faultOf(createRemoveLots(start, [], '0 lots', 5))?.code).toBe('nothing-changed');
  });
});

describe('a thing that was taken for something else', () => {
  const ruler = createCloth('ruler', { name: 'Quilting ruler 15 x 60', tags: ['gift'], usesPerMonth: 7 });
  const before = createHousehold(createUnit('cube', {}), [ruler], [createLot(ruler, 'cube-A1', { count: 2 })]);

  it('is of the other kind by its name, keeps what is its own, and lies where it lay', () => {
    const now = after(before, (from) => createBecome(from, ruler.id, 'tool', 5));
    const item = now.items.get(ruler.id)!;
    expect(item).toMatchObject({ kind: 'tool', name: ruler.name, tags: ['gift'], usesPerMonth: 7 });
    expect(item.box).toMatchObject({ type: 'ruler', widthMm: 150 });
    expect(item.fabric).toBeUndefined();
    const lot = now.lots.get('lot-ruler' as LotId)!;
    expect(lot).toMatchObject({ state: 'in', placeId: 'cube-A1', homeId: 'cube-A1', count: 2 });
    expect(lot.lengthMm).toBeUndefined();
    expect(item.forms).toContain(lot.form);
    expect(checkInvariants(now)).toEqual([]);
    const back = after(now, (from) => createBecome(from, ruler.id, 'fabric', 6));
    expect(back.items.get(ruler.id)).toMatchObject({ kind: 'fabric' });
    expect(checkInvariants(back)).toEqual([]);
  });

  it('stays what it is while some of it is promised', () => {
    const promise = { id: 'p', forWhat: 'the smock', note: '', amount: 500 };
    const held = after(before, (from) => createReserve(from, 'lot-ruler' as LotId, promise, 2));
    expect(faultOf(createBecome(held, ruler.id, 'tool', 5))?.code).toBe('cannot-become');
    expect(faultOf(createBecome(before, ruler.id, 'fabric', 5))?.code).toBe('nothing-changed');
  });
});
