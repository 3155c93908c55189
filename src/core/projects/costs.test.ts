import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot } from '../../../tests/household.ts';
import type { Project, ProjectId } from '../records/index.ts';
import { computeProjectCost, computeStanding, createProjectFacts } from './index.ts';

describe('what a project costs', () => {
  it('is what went into it and what is promised, by the metre', () => {
    const [priced, unknown] = [createCloth('blue', { cost: 30, costFor: 3000 }), createCloth('grey')];
    const project: Project = {
      id: 'p' as ProjectId,
      name: 'Smock',
      state: 'planned',
      makes: [],
      notes: '',
      needs: [
        { id: 'main', kind: 'fabric', part: 'main', amount: 1200 },
        { id: 'lining', kind: 'fabric', part: 'lining', amount: 800 },
      ],
      steps: [],
      spent: 4.5,
      sinceMs: 0,
    };
    const promise = (needId: string, amount: number) => ({
      reserved: [{ id: `r-${needId}`, projectId: project.id, needId, note: '', amount }],
    });
    const bare = createHousehold(
      [],
      [priced, unknown],
      [
        { ...createLot(priced, null, { lengthMm: 1500 }), ...promise('main', 1200) },
        { ...createLot(unknown, null, { lengthMm: 1500 }), ...promise('lining', 800) },
      ],
    );
    const household = { ...bare, projects: new Map([[project.id, project]]) };
    const facts = createProjectFacts(household);
    const { promised, ...rest } = computeProjectCost(facts, computeStanding(facts, project));
    expect(rest).toEqual({ spent: 4.5, unknown: 1 });
    expect(promised).toBeCloseTo(12);
  });
});
