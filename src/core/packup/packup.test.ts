import { describe, expect, it } from 'vitest';
import { checkBoxes } from '../../check/boxes.ts';
import { after, faultOf } from '../../../tests/acts.ts';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { computePackages } from '../measure/index.ts';
import { takesRoom, type BoxSize, type DaybookEvent, type Household, type PlaceId } from '../records/index.ts';
import {
  createBoxesGone,
  createBoxPacked,
  createPackUp,
  createUnpackBack,
  findBoxRoom,
  formatBoxLine,
  listMovingBoxes,
  parseBoxLine,
  planBoxes,
  USUAL_LIFT_G,
  type PackPlan,
} from './index.ts';

const MIDDLE: BoxSize = { id: 'm', name: 'Middle', widthMm: 600, depthMm: 400, heightMm: 400, count: 60 };
const SMALL: BoxSize = { id: 's', name: 'Small', widthMm: 400, depthMm: 300, heightMm: 300, count: 20 };

function check(household: Household, plan: PackPlan, sizes: readonly BoxSize[], liftG: number) {
  const boxes = plan.boxes.map(({ size, lots }) => ({
    innerMm3: size.widthMm * size.depthMm * size.heightMm,
    sizeId: size.id,
    lots: lots.map(({ lotId, form }) => {
      const lot = household.lots.get(lotId)!;
      const item = household.items.get(lot.itemId)!;
      const pkg = computePackages(item, lot, household.settings).find((one) => one.form === form)!;
      const of = item.care.includes('liquid') ? 'liquid' : item.care.includes('sharp') ? 'sharp' : 'other';
      return { id: lotId, mm3: pkg.alongMm * pkg.acrossMm * pkg.heightMm * pkg.pieces, massG: pkg.massG, class: of };
    }),
  }));
  const all = [...household.lots.values()].filter((lot) => takesRoom(lot) && lot.state !== 'lent');
  return checkBoxes(
    boxes,
    plan.loose.map(({ lotId }) => lotId),
    all.map(({ id }) => id),
    liftG,
    new Map(sizes.map(({ id, count }) => [id, count])),
  );
}

/** Cubes of 200 mm: twelve of them fill a middle box by 3 × 2 × 2. */
const cube = (id: string, massG: number, care: ('liquid' | 'sharp')[] = [], usesPerMonth = 1) =>
  createThing(id, {
    kind: 'notion',
    care,
    usesPerMonth,
    box: { type: id.slice(0, 4), widthMm: 198, depthMm: 198, heightMm: 198, massG, isSoft: false },
  });

describe('packing up', () => {
  it('fills boxes group by group, under a weight that one can carry', () => {
    const light = Array.from({ length: 12 }, (_, n) => cube(`cube-${n}`, 500));
    const heavy = Array.from({ length: 4 }, (_, n) => cube(`lead-${n}`, 5000));
    const household = createHousehold(
      [],
      [...light, ...heavy],
      [...light, ...heavy].map((item) => createLot(item)),
    );
    const plan = planBoxes(household, [MIDDLE], USUAL_LIFT_G);
    expect(check(household, plan, [MIDDLE], USUAL_LIFT_G)).toEqual([]);
    // 26 kg in all are three boxes at least, whatever their room: 12 kg a box.
    expect(plan.leastBoxes).toBe(3);
    expect(plan.boxes).toHaveLength(3);
    expect(plan.loose).toEqual([]);
  });

  it('keeps liquids and blades apart from all else, and each other', () => {
    const items = [cube('glue-1', 300, ['liquid']), cube('pins-1', 300, ['sharp']), cube('cube-1', 300)];
    const household = createHousehold(
      [],
      items,
      items.map((item) => createLot(item)),
    );
    const plan = planBoxes(household, [MIDDLE], USUAL_LIFT_G);
    expect(plan.boxes.map((box) => box.class).toSorted()).toEqual(['liquid', 'other', 'sharp']);
    expect(plan.leastBoxes).toBe(3);
  });

  it('says what goes into no box, what is too heavy, and when there are no boxes left', () => {
    const long = createThing('long', {
      box: { type: 'rod', widthMm: 1500, depthMm: 30, heightMm: 30, massG: 500, isSoft: false },
    });
    const machine = cube('mach-1', 14_000);
    const cubes = Array.from({ length: 14 }, (_, n) => cube(`cube-${n}`, 100));
    const items = [long, machine, ...cubes];
    const household = createHousehold(
      [],
      items,
      items.map((item) => createLot(item)),
    );
    const plan = planBoxes(household, [{ ...MIDDLE, count: 1 }], USUAL_LIFT_G);
    expect(plan.loose.map(({ lotId, why }) => [lotId, why])).toEqual(
      expect.arrayContaining([
        ['lot-long', 'size'],
        ['lot-mach-1', 'heavy'],
      ]),
    );
    expect(plan.loose.filter(({ why }) => why === 'no-box')).toHaveLength(2);
    expect(check(household, plan, [{ ...MIDDLE, count: 1 }], USUAL_LIFT_G)).toEqual([]);
    // A box too small for anything.
    const tiny = planBoxes(household, [{ ...MIDDLE, widthMm: 50, depthMm: 50, heightMm: 50 }], USUAL_LIFT_G);
    expect(tiny.boxes).toEqual([]);
    expect(tiny.loose).toHaveLength(16);
    expect(planBoxes(household, [], USUAL_LIFT_G)).toMatchObject({ boxes: [], leastBoxes: 0 });
  });

  it('sends what is needed first into the van last, with the heavy things at the bottom', () => {
    const often = Array.from({ length: 12 }, (_, n) => cube(`daily-${n}`, 100, [], 20));
    const seldom = Array.from({ length: 12 }, (_, n) => cube(`rare-${n}`, n === 5 ? 3000 : 100, [], 0.1));
    const items = [...often, ...seldom];
    const household = createHousehold(
      [],
      items,
      items.map((item) => createLot(item)),
    );
    const { boxes } = planBoxes(household, [MIDDLE], USUAL_LIFT_G);
    expect(boxes.map(({ needed }) => needed)).toEqual([0.1, 20]);
    expect(boxes[0]!.lots[0]!.lotId).toBe('lot-rare-5');
  });

  it('packs the sample room, every box by the rules, few more than must be', () => {
    const { household } = createSampleHousehold();
    const sizes = [MIDDLE, SMALL];
    const plan = planBoxes(household, sizes, USUAL_LIFT_G);
    expect(check(household, plan, sizes, USUAL_LIFT_G)).toEqual([]);
    expect(plan.boxes.length).toBeGreaterThanOrEqual(plan.leastBoxes);
    expect(planBoxes(household, sizes, USUAL_LIFT_G)).toEqual(plan);
  });
});

describe('moving house', () => {
  const cloths = Array.from({ length: 6 }, (_, n) => createCloth(`cloth-${n}`));
  const start = createHousehold(
    createUnit('case', { widthMm: 1000, heightMm: 1000 }),
    cloths,
    cloths.map((item) => ({ ...createLot(item, 'case-A1', { lengthMm: 2000 }), homeId: 'case-A1' as PlaceId })),
  );
  const plan = planBoxes(start, [MIDDLE], USUAL_LIFT_G);
  let ids = 0;
  const packed = after(start, (now) => createPackUp(now, plan, USUAL_LIFT_G, () => `n${(ids += 1)}`, 10));

  it('makes boxes places: things belong in them, are packed, and are found there', () => {
    const boxes = listMovingBoxes(packed);
    expect(boxes.map(({ name }) => name)).toEqual(plan.boxes.map((_, n) => `Box ${n + 1}`));
    expect([...packed.lots.values()].every(({ homeId }) => boxes.some(({ id }) => id === homeId))).toBe(true);
    const one = after(packed, (now) => createBoxPacked(now, boxes[0]!.id, 20));
    const inside = [...one.lots.values()].filter(({ placeId }) => placeId === boxes[0]!.id);
    expect(inside).toHaveLength(plan.boxes[0]!.lots.length);
    // Another packing is not begun over it.
    expect(faultOf(createPackUp(packed, plan, USUAL_LIFT_G, () => `n${(ids += 1)}`, 11))?.code).toBe('nothing-changed');
    expect(faultOf(createBoxesGone(one, 30))?.code).toBe('no-room');
  });

  it('goes back to where it was, and the boxes go', () => {
    const events: DaybookEvent[] = [
      {
        id: 'e1' as DaybookEvent['id'],
        seq: 1,
        atMs: 10,
        type: 'planned',
        subject: '1 box',
        changes: [...start.lots.values()].map(({ id, homeId }) => ({
          table: 'lots' as const,
          id,
          before: { homeId },
          after: { homeId: packed.lots.get(id)!.homeId },
        })),
      },
    ];
    const back = after(packed, (now) => createUnpackBack(now, events, 40));
    expect([...back.lots.values()].every(({ homeId }) => homeId === 'case-A1')).toBe(true);
    const gone = after(back, (now) => createBoxesGone(now, 50));
    expect(findBoxRoom(gone)).toBeNull();
    expect(gone.places.size).toBe(start.places.size);
  });
});

describe('boxes as they are written', () => {
  it.each([
    ['20 middle 60 x 40 x 40', { count: 20, name: 'middle', widthMm: 600, depthMm: 400, heightMm: 400 }],
    ['5 40×30×30 cm', { count: 5, name: 'boxes', widthMm: 400, depthMm: 300, heightMm: 300 }],
    ['1 wine boxes 50 by 35 by 32.5', { count: 1, name: 'wine boxes', widthMm: 500, depthMm: 350, heightMm: 325 }],
  ])('reads %s, and is written the same', (text, expected) => {
    const read = parseBoxLine(text, 'metric');
    expect(read).toEqual({ ok: true, value: expected });
    if (read.ok) expect(parseBoxLine(formatBoxLine(read.value, 'metric'), 'metric')).toEqual(read);
  });

  it.each(['boxes', '0 60 x 40 x 40', '3 60 x 40', '3 1 x 1 x 1', '900 60 x 40 x 40'])('refuses %s', (text) =>
    expect(parseBoxLine(text, 'metric').ok).toBe(false),
  );
});
