import { describe, expect, it } from 'vitest';
import { after, faultOf } from '../../../tests/acts.ts';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { checkInvariants } from '../daybook/index.ts';
import { listAccessories } from '../measure/index.ts';
import type { Chore, Household, LotId, PlaceId, Project, ProjectId } from '../records/index.ts';
import {
  createCared,
  createGone,
  createHours,
  createLeave,
  createLend,
  createNewNeedle,
  createOpened,
  createRemoveItem,
  createReturn,
  createSaveChores,
  createSaveProject,
  createStay,
  createUseSoon,
} from './index.ts';

const wool = createCloth('wool', { care: ['heirloom'] });
const machine = createThing('machine', { name: 'Sewing machine' });
const overlocker = createThing('overlocker', { name: 'Overlocker' });
const needles = createThing('needles', { kind: 'notion' });
const oil: Chore = { id: 'oil', work: 'oil', everyHours: 8, doneAtMs: 0, hours: 7 };
const airing: Chore = { id: 'air', work: 'air', everyDays: 365, doneAtMs: 0, hours: 0 };
const [WOOL, MACHINE, OVERLOCKER, NEEDLES] = ['wool', 'machine', 'overlocker', 'needles'].map(
  (id) => `lot-${id}` as LotId,
) as [LotId, LotId, LotId, LotId];
const start = createHousehold(
  [],
  [wool, machine, overlocker, needles],
  [
    createLot(wool, null, { lengthMm: 2000, chores: [airing] }),
    createLot(machine, null, { chores: [oil] }),
    createLot(overlocker, null, { chores: [oil] }),
    createLot(needles, null, { usedHours: 6, units: 5 }),
  ],
);

describe('going through', () => {
  it('remembers what stays, and that an heirloom was aired', () => {
    const next = after(start, (now) => createStay(now, WOOL, 500));
    expect(next.lots.get(WOOL)).toMatchObject({ lookedAtMs: 500, chores: [{ id: 'air', doneAtMs: 500 }] });
    // When it was touched is another matter.
    expect(next.lots.get(WOOL)!.sinceMs).toBe(start.lots.get(WOOL)!.sinceMs);
  });

  it('lets go to somebody by a day, or not after all; what is gone is promised to nobody', () => {
    const leaving = { toWhom: 'the rowing club', by: '2026-12-24' };
    const next = after(start, (now) => createLeave(now, WOOL, leaving, 500));
    expect(next.lots.get(WOOL)!.leaving).toEqual(leaving);
    expect(after(next, (now) => createLeave(now, WOOL, null, 600)).lots.get(WOOL)).not.toHaveProperty('leaving');
    const gone = after(next, (now) => createGone(now, WOOL, 'gaveAway', 700)).lots.get(WOOL)!;
    expect(gone).not.toHaveProperty('leaving');
    expect(gone).not.toHaveProperty('chores');
  });

  it('makes an idea of what is used soon', () => {
    const next = after(start, (now) => createUseSoon(now, WOOL, 'p' as ProjectId, 'n', 500));
    expect(next.projects.get('p' as ProjectId)).toMatchObject({
      state: 'idea',
      name: 'Something of wool',
      needs: [{ id: 'n', kind: 'fabric', part: 'main', itemId: 'wool' }],
    });
    expect(next.lots.get(WOOL)!.lookedAtMs).toBe(500);
  });
});

describe('what comes round', () => {
  it('is counted by the hours of steps that are done, each once', () => {
    const project: Project = {
      id: 'p' as ProjectId,
      name: 'A smock',
      state: 'sewing',
      makes: [],
      notes: '',
      needs: [],
      steps: [
        { id: 'a', name: 'Side seams', station: 'sewing', minutes: 60, spentMinutes: 90 },
        { id: 'b', name: 'Edges', station: 'overlocking', minutes: 30 },
        { id: 'c', name: 'Hem', station: 'handwork', minutes: 45 },
      ],
      sinceMs: 0,
    };
    const begun = after(start, (now) => createSaveProject(now, project, 1));
    const done = { ...project, steps: project.steps.map((step) => ({ ...step, doneAtMs: 2 })) };
    const worn = after(begun, (now) => createSaveProject(now, done, 2));
    // An hour and a half of sewing, half an hour of overlocking.
    expect(worn.lots.get(MACHINE)!.chores![0]!.hours).toBe(8.5);
    expect(worn.lots.get(OVERLOCKER)!.chores![0]!.hours).toBe(7.5);
    expect(worn.lots.get(NEEDLES)!.usedHours).toBe(7.5);
    const noted = after(worn, (now) => createSaveProject(now, { ...done, notes: 'worn' }, 3));
    expect(noted.lots.get(MACHINE)!.chores![0]!.hours).toBe(8.5);
    expect(after(noted, (now) => createHours(now, 2)).lots.get(NEEDLES)!.usedHours).toBe(9.5);
    expect(faultOf(createHours(noted, 0))?.code).toBe('out-of-range');
  });

  it('begins anew when it was done', () => {
    const oiled = after(start, (now) => createCared(now, MACHINE, 'oil', 900));
    expect(oiled.lots.get(MACHINE)!.chores).toEqual([{ ...oil, doneAtMs: 900, hours: 0 }]);
    expect(faultOf(createCared(start, MACHINE, 'none', 900))?.code).toBe('nothing-changed');
    expect(after(start, (now) => createNewNeedle(now, NEEDLES)).lots.get(NEEDLES)).toMatchObject({
      usedHours: 0,
      units: 4,
    });
  });

  it('is refused where it never comes round, or has no name', () => {
    const bare: Chore = { id: 'x', work: 'lint', doneAtMs: 0, hours: 0 };
    expect(faultOf(createSaveChores(start, MACHINE, [bare]))?.code).toBe('out-of-range');
    expect(faultOf(createSaveChores(start, MACHINE, [{ ...bare, work: 'other', everyDays: 7 }]))?.code).toBe(
      'out-of-range',
    );
    const kept = after(start, (now) => createSaveChores(now, MACHINE, [{ ...bare, everyDays: 7 }]));
    expect(kept.lots.get(MACHINE)!.chores).toHaveLength(1);
    expect(after(kept, (now) => createSaveChores(now, MACHINE, [])).lots.get(MACHINE)).not.toHaveProperty('chores');
  });

  it('is away to be mended until it comes back', () => {
    const away = after(start, (now) =>
      createLend(now, MACHINE, 'the mender', 5, { dueBackOn: '2026-12-01', isInRepair: true }),
    );
    expect(away.lots.get(MACHINE)).toMatchObject({ state: 'lent', isInRepair: true, dueBackOn: '2026-12-01' });
    const back = after(away, (now) => createReturn(now, MACHINE, 6)).lots.get(MACHINE)!;
    expect(back).not.toHaveProperty('isInRepair');
    expect(back).not.toHaveProperty('dueBackOn');
  });

  it('takes its own feet along, but for those that stay, and brings them back', () => {
    const own = ['walking', 'zip'].map((id) => createThing(id, { belongsToId: machine.id }));
    const [WALKING, ZIP] = ['lot-walking', 'lot-zip'] as [LotId, LotId];
    const home = createHousehold(
      createUnit('case', {}),
      [machine, ...own],
      [machine, ...own].map((item) => createLot(item, 'case-A1', { homeId: 'case-A1' as PlaceId })),
    );
    expect(listAccessories(home, machine.id).map(({ id }) => id)).toEqual([WALKING, ZIP]);
    const away = after(home, (now) =>
      createLend(now, MACHINE, 'the mender', 5, { along: [WALKING], isInRepair: true }),
    );
    const states = (of: Household) => [MACHINE, WALKING, ZIP].map((id) => of.lots.get(id)!.state);
    expect(states(away)).toEqual(['lent', 'lent', 'in']);
    const back = after(away, (now) => createReturn(now, MACHINE, 6));
    expect(states(back)).toEqual(['in', 'in', 'in']);
    // Its machine goes out of the catalogue: a foot belongs to nothing, and stays.
    const without = after(home, (now) => createRemoveItem(now, now.items.get(machine.id)!, 7));
    expect(without.items.get(own[0]!.id)).not.toHaveProperty('belongsToId');
    const itself = { ...machine, belongsToId: machine.id };
    const broken = { ...home, items: new Map(home.items).set(machine.id, itself) };
    expect(checkInvariants(broken)).toMatchObject([{ code: 'dangling' }]);
  });

  it('ages from the day on which its packet was opened', () => {
    expect(after(start, (now) => createOpened(now, NEEDLES, '2026-11-30')).lots.get(NEEDLES)!.openedOn).toBe(
      '2026-11-30',
    );
    expect(faultOf(createOpened(start, NEEDLES, '2026-13-30'))?.code).toBe('out-of-range');
  });
});
