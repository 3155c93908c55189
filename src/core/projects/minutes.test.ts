import { describe, expect, it } from 'vitest';
import { createHousehold } from '../../../tests/household.ts';
import type { Project, ProjectId, Step, StepStation } from '../records/index.ts';
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
});
