import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import type { Household, PegHook, Place, PlaceId } from '../records/index.ts';
import { joinSlots, listBoards, moveBoard } from '../storage/boards.ts';
import { createPlaceTree } from '../storage/index.ts';
import { HOOK_KINDS, toggleHook } from '../storage/hooks.ts';
import { checkHooks } from '../storage/pegs.ts';
import { createSavePlaces } from '../acts/index.ts';
import { applyChanges } from '../daybook/fold.ts';
import { checkInvariants } from '../daybook/index.ts';
import { putBin } from './putBin.ts';
import { judgeDraft, nameHooks } from './rebuild.ts';
import { computeContents, computeStanding } from '../whereabouts/index.ts';

const place = (household: Household, id: string) => household.places.get(id as PlaceId)!;
function save(household: Household, ...rest: [Place[], Place[]?, Map<PlaceId, PlaceId>?]): Household {
  const [saved, removed = [], heirs] = rest;
  const draft = createSavePlaces(household, 'x', saved, removed, 9, heirs);
  if (!draft.ok) throw new Error(draft.fault.code);
  const next = applyChanges(household, draft.value.changes);
  if (!next.ok) throw new Error('not applied');
  expect(checkInvariants(next.value)).toEqual([]);
  return next.value;
}
const BOX = {
  kind: 'bin',
  outerWidthMm: 300,
  outerDepthMm: 300,
  outerHeightMm: 200,
  wallMm: 3,
  mode: 'volume',
  tareG: 500,
  loadG: 9000,
  isSeeThrough: false,
  hasLid: false,
} as const;
const bin = (id: string, parentId: string | undefined): Place => ({
  id: id as PlaceId,
  parentId: parentId as PlaceId | undefined,
  level: 'container',
  name: id,
  order: 0,
  container: BOX,
});

// Two compartments of 475 over each other, 768 wide.
const unit = createUnit('case', { kind: 'bookcase', widthMm: 800, heightMm: 998, rows: 2 });
const tool = createThing('tool', {
  box: { type: 'other', widthMm: 100, depthMm: 50, heightMm: 400, massG: 200, isSoft: false, hangHoleMm: undefined },
});
const household = createHousehold(unit, [tool], [createLot(tool, 'case-Shelf 2')]);
const slots = unit.slice(1);
const [shelf] = listBoards(unit[0]!.unit!, slots);

describe('a shelf that is moved', () => {
  it('is judged by what stands under and over it, to the millimetre', () => {
    const [below, above] = judgeDraft(household, moveBoard(slots, shelf!, 500));
    expect(below).toMatchObject({ isFit: true, lots: 0, overMm: null });
    // 9 mm higher than the 491 it was at: 466 less the 400 of the tool.
    expect(above).toMatchObject({ isFit: true, lots: 1, overMm: 66 });
    expect(judgeDraft(household, moveBoard(slots, shelf!, 600))[1]).toMatchObject({ isFit: false, overMm: -34 });
  });

  it('is judged by a bin too', () => {
    const withBin = save(household, [bin('b', 'case-Shelf 1')]);
    const [low] = judgeDraft(withBin, moveBoard(slots, shelf!, 150));
    expect(low).toMatchObject({ isFit: false, overMm: 134 - 200, containerFault: { code: 'too-high' } });
  });

  it('taken out leaves what was over it in the compartment that is left', () => {
    const joined = joinSlots(slots, shelf!)!;
    const after = save(household, [joined.kept], [joined.gone], new Map([[joined.gone.id, joined.kept.id]]));
    expect([...after.lots.values()][0]).toMatchObject({ state: 'in', placeId: 'case-Shelf 1', homeId: 'case-Shelf 1' });
  });
});

describe('a bin', () => {
  it('goes to the pool and back; what was in it lies out', () => {
    const cloth = createCloth('c', { forms: ['loose'] });
    const full = createHousehold(
      [...unit, bin('b', 'case-Shelf 1')],
      [cloth],
      [createLot(cloth, 'b', { form: 'loose' })],
    );
    const idle = save(full, [bin('b', undefined)]);
    const tree = createPlaceTree(idle.places);
    expect(tree.pool.map((one) => one.name)).toEqual(['b']);
    expect(tree.faults).toEqual([]);
    expect([...idle.lots.values()][0]).toMatchObject({ state: 'out' });
    expect([...idle.lots.values()][0]).not.toHaveProperty('placeId');
    expect([...idle.lots.values()][0]).not.toHaveProperty('homeId');
    const back = save(idle, [bin('b', 'case-Shelf 2')]);
    expect(createPlaceTree(back.places).leaves.map((one) => one.name)).toEqual(['Shelf 2', 'b']);
  });
});

describe('a bin put into a compartment', () => {
  const tree = (of: Household) => createPlaceTree(of.places);
  const put = (of: Household, one: Place, slot: string) => putBin(of, tree(of), one, place(of, slot));

  it('stands where there is room, and what is left over is told', () => {
    const first = put(household, bin('b', undefined), 'case-Shelf 1');
    // 768 wide and 475 high, less 300 and 200.
    expect(first).toMatchObject({ ok: true, overMm: 275, besideMm: 468 });
    const two = save(household, [(first as { bin: Place }).bin]);
    expect(put(two, bin('c', undefined), 'case-Shelf 1')).toMatchObject({ ok: true, besideMm: 168 });
  });

  it('is refused where things lie loose, where it is too large, and where nothing stands', () => {
    const cloth = createCloth('c', { forms: ['loose'] });
    const full = createHousehold(
      [...unit, bin('b', 'case-Shelf 1'), ...createUnit('field', { kind: 'pegboard' })],
      [cloth, tool],
      [createLot(cloth, 'b', { form: 'loose' }), createLot(tool, 'case-Shelf 2')],
    );
    expect(put(full, place(full, 'b'), 'case-Shelf 2')).toEqual({
      ok: false,
      fault: { code: 'loose-things', lots: 1 },
    });
    // An empty one may: what lies there lies in it then.
    expect(put(full, bin('new', undefined), 'case-Shelf 2').ok).toBe(true);
    const large = { ...bin('large', undefined), container: { ...BOX, outerHeightMm: 500 } };
    expect(put(full, large, 'case-Shelf 1')).toMatchObject({
      fault: { code: 'no-room', fault: { code: 'too-high', neededMm: 500, availableMm: 475 } },
    });
    expect(put(full, bin('new', undefined), 'field-Board')).toMatchObject({ fault: { code: 'holds-no-bins' } });
    const old = { ...bin('old', undefined), container: { ...BOX, isRetired: true } };
    expect(put(full, old, 'case-Shelf 1')).toMatchObject({ fault: { code: 'retired' } });
  });
});

describe('the hooks of a peg field', () => {
  const field = createUnit('field', { kind: 'pegboard', widthMm: 508, heightMm: 508, depthMm: 12 });
  const hung = createThing('hung', {
    forms: ['peg'],
    box: { type: 'other', widthMm: 60, depthMm: 20, heightMm: 150, massG: 200, isSoft: false, hangHoleMm: 8 },
  });
  const lots = [createLot(hung, 'field-Board', { form: 'peg', count: 3 })];
  const pegs = createHousehold(field, [hung], lots);
  const tree = createPlaceTree(pegs.places);
  const board = place(pegs, 'field-Board');

  it('are named where things hang, and then carry the same', () => {
    const hooks = nameHooks(pegs, tree, board);
    // 60 mm are three holes of 25.4, 140 under the hook seven with half of its own: two under each other in the
    // 20 rows, and the third beside them.
    expect(hooks.map(({ column, row }) => [column, row])).toEqual([
      [1, 0],
      [1, 7],
      [4, 0],
    ]);
    const named: Place = { ...board, slot: { ...board.slot!, peg: { ...board.slot!.peg!, hooks } } };
    expect(checkHooks(named.slot!)).toBeNull();
    expect(judgeDraft(pegs, [named])).toMatchObject([{ isFit: true, lots: 1 }]);
    const two: Place = { ...named, slot: { ...named.slot!, peg: { ...named.slot!.peg!, hooks: hooks.slice(0, 1) } } };
    // Three of 20 mm on one hook of 80: behind each other, which is said.
    const after = save(pegs, [two]);
    const inside = computeContents(after, createPlaceTree(after.places), board.id, lots);
    const space = { mode: 'area', rowsRun: 'x' } as Parameters<typeof computeStanding>[2];
    expect(computeStanding(inside, lots[0]!, space)).toEqual({ kind: 'hook', nth: 1, of: 3 });
  });

  it('hold only in holes of their family, no thicker than the hole, one in each', () => {
    const test = (...hooks: Partial<PegHook>[]) => {
      const usual = { family: 'round', column: 0, row: 0, wireMm: 4, projectionMm: 50, loadG: 1000 } as const;
      const peg = { ...board.slot!.peg!, hooks: hooks.map((one) => ({ ...usual, ...one })) };
      return checkHooks({ ...board.slot!, peg });
    };
    expect(test({}, { column: 1 })).toBeNull();
    expect(test({}, { column: 1, family: 'slotted' })).toMatchObject({ code: 'other-family', index: 1 });
    expect(test({ wireMm: 7 })).toEqual({ code: 'thick-wire', index: 0, neededMm: 7, availableMm: 6.4 });
    expect(test({ column: 20 })).toMatchObject({ code: 'no-hole' });
    expect(test({}, {})).toMatchObject({ code: 'same-hole', index: 1 });
    for (const { family, wireMm } of HOOK_KINDS) if (family === 'round') expect(test({ wireMm })).toBeNull();
  });

  it('are stuck in and taken out', () => {
    const peg = board.slot!.peg!;
    const one = toggleHook(peg, HOOK_KINDS[0]!, 3, 4);
    expect(one.hooks).toEqual([{ family: 'round', column: 3, row: 4, wireMm: 4, projectionMm: 50, loadG: 1000 }]);
    expect(toggleHook(one, HOOK_KINDS[1]!, 3, 4).hooks).toEqual([]);
  });
});
