import { describe, expect, it } from 'vitest';
import { after, faultOf } from '../../../tests/acts.ts';
import {
  createCloth,
  createHousehold,
  createLot,
  createPattern,
  createThing,
  createUnit,
} from '../../../tests/household.ts';
import { computeStanding, createProjectFacts } from '../projects/index.ts';
import { listPromised } from '../promises/index.ts';
import type { Household, ItemId, LotId, Project, ProjectId } from '../records/index.ts';
import {
  createBag,
  createCut,
  createEndProject,
  createFinish,
  createGather,
  createGot,
  createInstead,
  createPromise,
  createRemoveItem,
  createRemoveProject,
  createSaveItem,
  createSaveProject,
} from './index.ts';

const cloth = createCloth('blue');
const pattern = createPattern('p', 88);
const shears = createThing('shears');
const BLUE = 'lot-blue' as LotId;
const [COAT, BAG] = ['coat' as ProjectId, 'bag' as ProjectId];

const project = (id: ProjectId, amount: number, change: Partial<Project> = {}): Project => ({
  id,
  name: `The ${id}`,
  state: 'planned',
  makes: [],
  notes: '',
  needs: [{ id: 'main', kind: 'fabric', part: 'main', amount, itemId: cloth.id }],
  steps: [],
  sinceMs: 0,
  ...change,
});

const start = after(
  createHousehold(
    createUnit('cube', {}),
    [cloth, pattern, shears],
    [createLot(cloth, 'cube-A1', { lengthMm: 3000 }), createLot(pattern, 'cube-A1'), createLot(shears, 'cube-A1')],
  ),
  (now) => createSaveProject(now, project(COAT, 2200, { patternItemId: pattern.id }), 1),
  (now) => createSaveProject(now, project(BAG, 1500), 1),
);

const promise = (now: Household, projectId: ProjectId, amount: number, from?: string[]) =>
  createPromise(now, { projectId, needId: 'main', lotId: BLUE, amount, ...(from && { from }) }, `r-${projectId}`, 2);
const standing = (now: Household, id: ProjectId) => computeStanding(createProjectFacts(now), now.projects.get(id)!);
const promisedOf = (now: Household) =>
  Object.fromEntries(
    [...now.projects.keys()].map((id) => [id, listPromised(now, id).map((one) => one.promise.amount)]),
  );

describe('two projects that want the same metres', () => {
  it('see each other, and nothing is promised twice', () => {
    const now = after(start, (one) => promise(one, COAT, 2200));
    expect(faultOf(promise(now, BAG, 1500))).toMatchObject({ code: 'reserved', available: 800 });
    const [need] = standing(now, BAG).needs;
    expect(need).toMatchObject({ state: 'open', missing: 1500, free: 800 });
    expect(need!.rivals).toMatchObject([{ projectId: COAT, name: 'The coat', amount: 2200 }]);
    expect(standing(now, COAT)).toMatchObject({ missing: [], contested: [] });
  });

  it('re-promise by one act, and only as much as is lacking', () => {
    const now = after(
      start,
      (one) => promise(one, COAT, 2200),
      (one) => promise(one, BAG, 1500, ['r-coat']),
    );
    expect(promisedOf(now)).toEqual({ coat: [1500], bag: [1500] });
    const [need] = standing(now, COAT).needs;
    expect(need).toMatchObject({ state: 'short', missing: 700 });
    expect(need!.rivals).toMatchObject([{ projectId: BAG, amount: 1500 }]);
    // Once more for the coat, from the bag: the promise is changed, not doubled.
    expect(promisedOf(after(now, (one) => promise(one, COAT, 2000, ['r-bag'])))).toEqual({ coat: [2000], bag: [1000] });
  });

  it('take another length where the first is not to be had', () => {
    const other = { ...createLot(cloth, null, { lengthMm: 2500 }), id: 'other' as LotId };
    const now = after(
      start,
      (one) => createSaveItem(one, cloth, [other]),
      (one) => promise(one, COAT, 2200),
      (one) =>
        createInstead(
          one,
          { projectId: COAT, needId: 'main', lotId: other.id, amount: 2200 },
          { lotId: BLUE, promiseId: 'r-coat' },
          'r-other',
          3,
        ),
    );
    expect(now.lots.get(BLUE)!.reserved).toEqual([]);
    expect(now.lots.get(other.id)!.reserved).toMatchObject([{ id: 'r-other', projectId: COAT, amount: 2200 }]);
    expect(
      faultOf(
        createInstead(
          now,
          { projectId: COAT, needId: 'main', lotId: BLUE, amount: 9000 },
          { lotId: other.id, promiseId: 'r-other' },
          'r',
          4,
        ),
      ),
    ).toMatchObject({ code: 'reserved' });
  });

  it('cut what is theirs: the rest stays promised to the other, to the millimetre', () => {
    const now = after(
      start,
      (one) => promise(one, COAT, 2200),
      (one) => promise(one, BAG, 800),
      (one) => createCut(one, BLUE, 2200, 3, 'r-coat'),
    );
    expect(now.lots.get(BLUE)).toMatchObject({ lengthMm: 800 });
    expect(now.projects.get(COAT)!.needs[0]).toMatchObject({ used: 2200 });
    expect(standing(now, COAT).needs[0]).toMatchObject({ state: 'there', missing: 0 });
    expect(faultOf(createCut(now, BLUE, 100, 3))).toMatchObject({ code: 'reserved', available: 0 });
    const cut = createCut(now, BLUE, 800, 4, 'r-bag');
    expect(cut).toMatchObject({ ok: true, value: { type: 'usedUp', forWhat: 'The bag' } });
  });
});

describe('a project', () => {
  const bag = createThing('sack', { kind: 'kit', box: { ...shears.box!, type: 'kit' } });
  const gathered = after(
    start,
    (now) => promise(now, COAT, 2200),
    (now) => createBag(now, COAT, { item: bag, lot: createLot(bag) }, 2),
    (now) => createGather(now, COAT, [BLUE, 'lot-shears' as LotId], 3),
  );

  it('lies in its bag with all that was gathered, whose homes wait', () => {
    expect(gathered.lots.get(BLUE)).toMatchObject({ state: 'with', withLotId: 'lot-sack', homeId: 'cube-A1' });
    expect(standing(gathered, COAT).gathered.map((lot) => lot.id)).toEqual([BLUE, 'lot-shears']);
    // Its pattern is used for it, and not there yet.
    expect(standing(gathered, COAT).toGather.map((lot) => lot.id)).toEqual(['lot-p']);
    expect(faultOf(createGather(start, COAT, [BLUE], 3))?.code).toBe('no-bag');
    // A bag holds one project.
    expect(() =>
      after(gathered, (now) => createBag(now, BAG, { item: bag, lot: now.lots.get('lot-sack' as LotId)! }, 3)),
    ).toThrow('bag-twice');
  });

  it('that is made gives back what is left and the bag, and its pattern is made', () => {
    const done = after(gathered, (now) => createEndProject(now, COAT, 'done', 9));
    expect(done.lots.get(BLUE)).toMatchObject({ state: 'out', homeId: 'cube-A1', reserved: [], lengthMm: 3000 });
    expect(done.items.get(pattern.id)!.pattern!.isMade).toBe(true);
    expect(done.projects.get(COAT)).toMatchObject({ state: 'done' });
    expect(done.projects.get(COAT)).not.toHaveProperty('bagLotId');
    expect(faultOf(promise(done, COAT, 100))?.code).toBe('no-such-project');
  });

  it('that is made uses up what went into it, to the millimetre, and says what it has cost', () => {
    const buttons = createThing('buttons', { kind: 'notion', cost: 6, costFor: 12 });
    const made = createThing('coat-made', { kind: 'other' });
    const scraps = {
      of: BLUE,
      areaMm2: 90_000,
      name: 'blue, scraps',
      itemId: 'scraps' as ItemId,
      lotId: 'bits' as LotId,
    };
    const priced = after(
      gathered,
      (now) => createSaveItem(now, { ...cloth, cost: 30 }, []),
      (now) => createSaveItem(now, buttons, [createLot(buttons, null, { count: 12 })]),
      (now) => {
        const coat = now.projects.get(COAT)!;
        const need = { id: 'buttons', kind: 'notion' as const, part: 'buttons', amount: 5 };
        return createSaveProject(now, { ...coat, needs: [...coat.needs, need] }, 5);
      },
      (now) =>
        createPromise(
          now,
          { projectId: COAT, needId: 'buttons', lotId: 'lot-buttons' as LotId, amount: 5 },
          'r-buttons',
          5,
        ),
    );
    const left = new Map([
      [BLUE, 740],
      ['lot-buttons' as LotId, 7],
    ]);
    const finish = { left, scraps: [scraps], made: { item: made, lot: createLot(made) } };
    const done = after(priced, (now) => createFinish(now, COAT, finish, 9));
    expect(done.lots.get(BLUE)).toMatchObject({ lengthMm: 740, state: 'out', homeId: 'cube-A1', reserved: [] });
    expect(done.lots.get('lot-buttons' as LotId)).toMatchObject({ count: 7, reserved: [] });
    // 2.26 m at 10.00 a metre and five buttons at 0.50.
    expect(done.projects.get(COAT)).toMatchObject({ state: 'done', needs: [{ used: 2260 }, { used: 5 }] });
    expect(done.projects.get(COAT)!.spent).toBeCloseTo(25.1);
    expect(done.lots.get(scraps.lotId)).toMatchObject({ areaMm2: 90_000, state: 'with', withLotId: BLUE });
    expect(done.items.get(made.id)!.name).toBe(made.name);
    expect(done.items.get(pattern.id)!.pattern!.isMade).toBe(true);
    // All of it goes into it: the cloth is used up, its price is the project's.
    const all = after(priced, (now) => createFinish(now, COAT, { left: new Map([[BLUE, 0]]), scraps: [] }, 9));
    expect(all.lots.get(BLUE)).toMatchObject({ state: 'gone', lengthMm: 0 });
    expect(all.projects.get(COAT)!.spent).toBeCloseTo(30);
    expect(all.lots.get('lot-buttons' as LotId)).toMatchObject({ count: 12, reserved: [] });
    // Cut as promised and still in the bag, it is measured once more: 6 cm more went into it.
    const cut = after(
      priced,
      (now) => createCut(now, BLUE, 2200, 6, 'r-coat'),
      (now) => createFinish(now, COAT, { left: new Map([[BLUE, 740]]), scraps: [] }, 9),
    );
    expect(cut.lots.get(BLUE)).toMatchObject({ lengthMm: 740, state: 'out' });
    expect(cut.projects.get(COAT)!.needs[0]).toMatchObject({ used: 2260 });
    // What is promised to another stays.
    const other = after(
      start,
      (now) => promise(now, COAT, 1500),
      (now) => promise(now, BAG, 1000),
    );
    expect(faultOf(createFinish(other, COAT, { left: new Map([[BLUE, 900]]), scraps: [] }, 9))).toMatchObject({
      code: 'reserved',
      available: 2000,
    });
  });

  it('that is let go gives all back, and is still there to be read', () => {
    const gone = after(gathered, (now) => createEndProject(now, COAT, 'givenUp', 9));
    expect(promisedOf(gone)).toEqual({ coat: [], bag: [] });
    expect(gone.items.get(pattern.id)!.pattern!.isMade).toBe(false);
    expect(after(gathered, (now) => createRemoveProject(now, COAT, 9)).projects.has(COAT)).toBe(false);
  });

  it('goes on without a pattern or a cloth that is taken out of the catalogue', () => {
    const now = after(
      gathered,
      (one) => createRemoveItem(one, pattern, 9),
      (one) => createRemoveItem(one, cloth, 9),
      (one) => createRemoveItem(one, bag, 9),
    );
    expect(now.projects.get(COAT)).not.toHaveProperty('patternItemId');
    expect(now.projects.get(COAT)!.needs[0]).not.toHaveProperty('itemId');
    expect(now.lots.get('lot-shears' as LotId)).toMatchObject({ state: 'out', homeId: 'cube-A1' });
  });

  it('takes in what was got for it, promised to it at once', () => {
    const other = createCloth('red');
    const now = after(start, (one) =>
      createGot(one, BAG, 'main', { item: other, lot: createLot(other, null, { lengthMm: 1600 }) }, 'r', 5),
    );
    expect(now.lots.get('lot-red' as LotId)).toMatchObject({
      state: 'out',
      reserved: [{ projectId: BAG, amount: 1600 }],
    });
    expect(standing(now, BAG)).toMatchObject({ missing: [] });
  });

  it('frees what was promised to a need that it has no more', () => {
    const fewer = { ...gathered.projects.get(COAT)!, needs: [] };
    expect(promisedOf(after(gathered, (now) => createSaveProject(now, fewer, 9)))['coat']).toEqual([]);
  });
});
