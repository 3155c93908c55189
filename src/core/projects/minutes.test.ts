import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createSpool } from '../../../tests/household.ts';
import type { Item, ItemId, Need, Project, ProjectId, Step, StepStation } from '../records/index.ts';
import { computeStanding, createProjectFacts, learnPace, listBatches, listSittings } from './index.ts';

const step = (id: string, station: StepStation, minutes: number, more: Partial<Step> = {}): Step => ({
  id,
  name: id,
  station,
  minutes,
  ...more,
});
const done = { doneAtMs: 1 };
const project = (id: string, steps: Step[], more: Partial<Project> = {}): Project => ({
  id: id as ProjectId,
  name: id,
  state: 'planned',
  makes: [],
  notes: '',
  needs: [],
  steps,
  sinceMs: 0,
  ...more,
});
const bare = createHousehold([], [], []);
const standingsOf = (projects: readonly Project[]) => {
  const household = { ...bare, projects: new Map(projects.map((one) => [one.id, one])) };
  return projects.map((one) => computeStanding(createProjectFacts(household), one));
};
const EVEN = learnPace([]);

describe('how long steps take', () => {
  it('is what was thought at first, and learnt slowly', () => {
    expect(EVEN.sewing).toBe(1);
    // Two of 30 min took 45 each; four that took 30 are the prior: (90 + 120) / (60 + 120).
    const slow = [
      step('a', 'sewing', 30, { ...done, spentMinutes: 45 }),
      step('b', 'sewing', 30, { ...done, spentMinutes: 45 }),
    ];
    expect(learnPace([project('p', slow)]).sewing).toBeCloseTo(210 / 180, 6);
    expect(learnPace([project('p', slow)]).cutting).toBe(1);
  });
});

describe('a quarter of an hour', () => {
  const all = [
    project('quilt', [step('lay out', 'other', 90)]),
    project('bag', [step('cut', 'cutting', 5), step('sew', 'sewing', 8), step('turn', 'handwork', 20)], {
      due: '2026-12-20',
    }),
    project('coat', [step('hem', 'handwork', 12)], { due: '2026-12-01' }),
    project('cape', [step('cut', 'cutting', 10)], { needs: [{ id: 'n', kind: 'fabric', part: 'main', amount: 900 }] }),
    project('thought', [step('cut', 'cutting', 5)], { state: 'idea' }),
  ];

  it('shows what goes in, what is due soonest first, what waits for cloth last', () => {
    const sittings = listSittings(standingsOf(all), 15, EVEN);
    expect(
      sittings.map(({ standing, steps, minutes, isBegun, isReady }) => [
        standing.project.name,
        steps.map(({ id }) => id),
        minutes,
        isBegun,
        isReady,
      ]),
    ).toEqual([
      ['coat', ['hem'], 12, false, true],
      ['bag', ['cut', 'sew'], 13, false, true],
      ['quilt', ['lay out'], 15, true, true],
      ['cape', ['cut'], 10, false, false],
    ]);
  });

  it('puts steps of several projects at one station together', () => {
    const cape = { ...all[3]!, needs: [] };
    expect(listBatches(standingsOf([all[1]!, cape, all[2]!]), EVEN)).toMatchObject([
      { station: 'cutting', minutes: 15, steps: [{ project: { name: 'bag' } }, { project: { name: 'cape' } }] },
    ]);
  });

  it('says what the machine is threaded for, and prefers that; and whether the iron is needed', () => {
    const spool = (id: string, colour: string): Item => ({ ...createSpool(id), id: id as ItemId, colours: [colour] });
    const [grey, red] = [spool('grey', '#8a8f94'), spool('red', '#a02020')];
    const cloth: Item = { ...createCloth('cloth'), id: 'cloth' as ItemId, colours: ['#8b9095'] };
    const of = (id: string, needs: Need[]) =>
      project(id, [step('sew', 'sewing', 10), step('press', 'pressing', 4)], { needs });
    const named = of('named', [{ id: 'n', kind: 'thread', part: 'thread', itemId: 'red' as ItemId }]);
    const near = of('near', [{ id: 'n', kind: 'fabric', part: 'main', isThere: true, itemId: 'cloth' as ItemId }]);
    const household = {
      ...bare,
      items: new Map([grey, red, cloth].map((item) => [item.id, item])),
      projects: new Map([named, near].map((one) => [one.id, one])),
    };
    const standings = [named, near].map((one) => computeStanding(createProjectFacts(household), one));
    const tell = (threaded: Item[]) =>
      listSittings(standings, 15, EVEN, threaded).map((one) => [one.standing.project.id, one.threading, one.needsIron]);
    expect(tell([grey])).toEqual([
      ['near', 'on', true],
      ['named', 'other', true],
    ]);
    expect(tell([red])).toEqual([
      ['named', 'on', true],
      ['near', 'other', true],
    ]);
    expect(tell([])).toEqual([
      ['named', null, true],
      ['near', null, true],
    ]);
    expect(listSittings(standings, 12, EVEN, [grey])[0]).toMatchObject({ needsIron: false });
  });
});
