import { describe, expect, it } from 'vitest';
import { createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import type { Household, LotId, PlaceId } from '../records/index.ts';
import { createPlaceTree } from '../storage/index.ts';
import { assignCodes, createCode, createLabelled, readScan, STAMMER_MS, type LastScan } from './index.ts';
import { createPutInto, createTakeOut, judgePut } from '../acts/index.ts';
import { listStrained } from '../whereabouts/index.ts';
import { applyChanges } from '../daybook/fold.ts';
import { type Draft } from '../daybook/index.ts';

const done = (household: Household, act: { ok: boolean; value?: Draft }) => {
  const next = applyChanges(household, act.value!.changes);
  if (!next.ok) throw new Error(next.fault.code);
  return next.value;
};
const A1 = 'cube-A1' as PlaceId;
const B1 = 'rack-A1' as PlaceId;
const shears = createThing('shears');
const ham = createThing('ham', {
  box: {
    type: 'pressing',
    widthMm: 150,
    depthMm: 300,
    heightMm: 300,
    massG: 900,
    isSoft: false,
    hangHoleMm: undefined,
  },
});
const bare = createHousehold(
  [...createUnit('cube', {}), ...createUnit('rack', {})],
  [shears, ham],
  [createLot(shears, A1), createLot(ham, B1)],
);
const SHEARS = 'lot-shears' as LotId;
const HAM = 'lot-ham' as LotId;
const ofs = [
  { kind: 'lot', id: SHEARS },
  { kind: 'lot', id: HAM },
  { kind: 'place', id: A1 },
  { kind: 'place', id: 'cube' as PlaceId },
] as const;
const household = done(
  bare,
  createLabelled(
    bare,
    'here',
    ofs.map((of) => ({ of, says: [], swatches: [] })),
    'all',
    1,
  ),
);
const [ofShears, ofHam, ofA1, ofCube] = assignCodes(household, 'here', ofs) as [string, string, string, string];
const scan = (text: string, hand: LotId[] = [], last: LastScan | null = null, atMs = 10_000, at = household) =>
  readScan(at, hand, last, text, atMs).scanned;

/** Both things taken out of their places. */
const out = [SHEARS, HAM].reduce((now, id) => done(now, createTakeOut(now, id, 1) as never), household);

describe('a code that is read', () => {
  it('takes a thing into the hand, and a place takes what is in it', () => {
    expect(scan(ofShears)).toEqual({ kind: 'take', lotId: SHEARS, isOut: false });
    expect(scan(ofA1, [SHEARS, HAM], null, 10_000, out)).toEqual({ kind: 'put', placeId: A1, lotIds: [SHEARS, HAM] });
    // Put back elsewhere meanwhile, or no longer in the catalogue, it is not in the hand.
    expect(scan(ofA1, [SHEARS, 'ghost' as LotId])).toEqual({ kind: 'look', placeId: A1 });
    expect(scan(ofA1)).toEqual({ kind: 'look', placeId: A1 });
    expect(scan(ofHam, [HAM], null, 10_000, out)).toEqual({ kind: 'in-hand', lotId: HAM });
    expect(scan(ofCube, [HAM])).toEqual({ kind: 'not-a-home', placeId: 'cube' });
  });

  it('read twice in a row does nothing the second time, but means something again later', () => {
    const first = readScan(household, [], null, ofShears, 1000);
    const again = readScan(household, [SHEARS], first.last, ofShears, 1000 + STAMMER_MS - 1);
    expect(again.scanned).toEqual({ kind: 'twice' });
    // A stammer that goes on is still one.
    expect(readScan(household, [SHEARS], again.last, ofShears, 1000 + 2 * STAMMER_MS - 2).scanned.kind).toBe('twice');
    expect(readScan(out, [SHEARS], first.last, ofShears, 1000 + STAMMER_MS).scanned.kind).toBe('in-hand');
    expect(readScan(household, [], first.last, ofHam, 1001).scanned.kind).toBe('take');
  });

  it('says what is wrong with one that means nothing here', () => {
    expect(scan('hello')).toEqual({ kind: 'fault', fault: 'no-code' });
    const wrong = ofShears.slice(0, 8) + (ofShears[8] === '2' ? '3' : '2');
    expect(scan(wrong)).toEqual({ kind: 'fault', fault: 'mistyped' });
    expect(scan(createCode('here', 'ghost', new Set()))).toEqual({ kind: 'fault', fault: 'unknown' });
    expect(scan(createCode('elsewhere', 'ghost', new Set()))).toEqual({ kind: 'fault', fault: 'other-household' });
    const lots = new Map(household.lots).set(SHEARS, { ...household.lots.get(SHEARS)!, state: 'gone' });
    expect(scan(ofShears, [], null, 1, { ...household, lots })).toEqual({ kind: 'gone', lotId: SHEARS });
  });
});

describe('putting into a place', () => {
  const tree = createPlaceTree(household.places);

  it('is judged by packing it with all that lies there', () => {
    expect(judgePut(household, tree, [HAM], A1)).toEqual({ isFit: true, forms: ['box'] });
    // The cube is 35 cm each way: two of 15 × 30 × 30 stand in it, and not three.
    const more = Array.from({ length: 3 }, (_, i) => createThing(`ham${i}`, { box: ham.box! }));
    const full = createHousehold(
      [...createUnit('cube', {})],
      more,
      more.map((item, i) => createLot(item, i < 2 ? A1 : null)),
    );
    const fullTree = createPlaceTree(full.places);
    expect(listStrained(full, fullTree).full).toEqual([]);
    const rest = more.slice(2).map((item) => `lot-${item.id}` as LotId);
    expect(judgePut(full, fullTree, rest, A1)?.isFit).toBe(false);
    expect(judgePut(full, fullTree, rest, 'ghost' as PlaceId)).toBeNull();
  });

  it('brings home what lives there and gives the others a new home, in one act', () => {
    const out = done(household, {
      ok: true,
      value: {
        type: 'tookOut',
        subject: '',
        changes: [
          {
            table: 'lots',
            id: SHEARS,
            before: { state: 'in', placeId: A1 },
            after: { state: 'out', placeId: undefined },
          },
        ],
      },
    });
    const put = createPutInto(out, [SHEARS, HAM], A1, ['box', 'box'], '2 things', 5);
    expect(put).toMatchObject({ ok: true, value: { type: 'moved' } });
    const now = done(out, put as never);
    expect(now.lots.get(SHEARS)).toMatchObject({ placeId: A1, homeId: A1, order: 0 });
    expect(now.lots.get(HAM)).toMatchObject({ placeId: A1, homeId: A1, order: 1 });
    expect(createPutInto(now, [SHEARS], 'ghost' as PlaceId, [null], 'x', 6).ok).toBe(false);
  });
});
