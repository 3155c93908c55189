import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createSpool, createThing } from '../../../tests/household.ts';
import type { Project, ProjectId } from '../records/index.ts';
import { computeStanding, createProjectFacts, listWanted } from './index.ts';

const blue = createCloth('blue', { colours: ['#2f5d7c'] });
const needles = createThing('needles', { kind: 'notion', restockBelow: 3 });
const project = (id: string, change: Partial<Project>): Project => ({
  id: id as ProjectId,
  name: id,
  state: 'planned',
  makes: [],
  notes: '',
  needs: [
    { id: 'n', kind: 'fabric', part: 'main', amount: 500, itemId: blue.id, isThere: true },
    { id: 'z', kind: 'notion', part: 'zip' },
  ],
  steps: [],
  sinceMs: 0,
  ...change,
});

function wantedOf(projects: readonly Project[], spool: string) {
  const thread = createSpool('spool', { colours: [spool] });
  const household = {
    ...createHousehold([], [blue, needles, thread], [createLot(blue), createLot(needles), createLot(thread)]),
    projects: new Map(projects.map((one) => [one.id, one])),
  };
  const facts = createProjectFacts(household);
  const standings = projects.map((one) => computeStanding(facts, one));
  return listWanted(facts, standings).map((one) =>
    one.type === 'need'
      ? `${one.project.name}: ${one.standing.need.part}`
      : one.type === 'thread'
        ? `thread for ${one.cloth.name}`
        : `${one.item.name} below ${one.mark}`,
  );
}

describe('what is to be got', () => {
  it('is what projects lack, the soonest due first, a thread where none goes with the cloth, and what runs low', () => {
    const projects = [
      project('later', { due: '2026-12-24' }),
      project('soon', { due: '2026-12-01' }),
      project('thought', { state: 'idea' }),
      project('over', { state: 'done' }),
    ];
    expect(wantedOf(projects, '#c0392b')).toEqual(['soon: zip', 'later: zip', 'thread for blue', 'needles below 3']);
    // A blue that nobody tells from it.
    expect(wantedOf(projects, '#2f5e7c')).toEqual(['soon: zip', 'later: zip', 'needles below 3']);
  });
});
