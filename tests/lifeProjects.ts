import * as acts from '../src/core/acts/index.ts';
import { getAmount } from '../src/core/measure/index.ts';
import { listPromised } from '../src/core/promises/index.ts';
import { pick } from '../src/core/random/index.ts';
import { PROJECT_STATES, type ItemId, type Project, type ProjectId } from '../src/core/records/index.ts';
import { amountOf, createNewThing, type Act, type Drawn } from './drawn.ts';

const findProject = ({ now, random }: Pick<Drawn, 'now' | 'random'>): Project | undefined =>
  now.projects.size > 0 ? pick(random, [...now.projects.values()]) : undefined;

function createProject({ now, random, id, nowMs, text }: Drawn): Project {
  const itemId = random() < 0.5 ? pick(random, [...now.items.values()]).id : undefined;
  return {
    id: id() as ProjectId,
    name: text.slice(0, 120) || 'a coat',
    state: 'planned',
    makes: [{ size: '38', count: 2 }],
    notes: '',
    needs: [
      { id: id(), kind: 'fabric', part: 'main' },
      { id: id(), kind: 'notion', part: 'buttons', amount: 4, ...(itemId && { itemId }) },
    ],
    steps: [],
    ...(itemId && { patternItemId: itemId }),
    sinceMs: nowMs,
  };
}

/** How acts upon projects are drawn. */
export const PROJECT_ACTS: Record<string, (drawn: Drawn) => Act> = {
  createSaveProject: (drawn) => {
    const project = findProject(drawn);
    const { now, random, text, nowMs } = drawn;
    if (!project) return acts.createSaveProject(now, createProject(drawn), nowMs);
    const state = pick(random, PROJECT_STATES);
    const needs = random() < 0.2 ? project.needs.slice(1) : project.needs;
    return acts.createSaveProject(now, { ...project, state, needs, notes: text.slice(0, 1900) }, nowMs);
  },
  createPromise: (drawn) => {
    const { now, lot, id, nowMs, random } = drawn;
    const project = findProject(drawn);
    return acts.createPromise(
      now,
      {
        projectId: project?.id ?? ('none' as ProjectId),
        needId: project?.needs[0]?.id ?? 'none',
        lotId: lot.id,
        amount: amountOf(drawn),
        ...(random() < 0.5 && { from: (lot.reserved ?? []).map((one) => one.id) }),
      },
      id(),
      nowMs,
    );
  },
  createBag: (drawn) => {
    const { item, lots } = createNewThing(drawn);
    const bag = { ...item, id: drawn.id() as ItemId };
    const lot = { ...lots[0]!, itemId: bag.id };
    return acts.createBag(drawn.now, findProject(drawn)?.id ?? ('none' as ProjectId), { item: bag, lot }, drawn.nowMs);
  },
  createGot: (drawn) => {
    const { item, lots } = createNewThing(drawn);
    const project = findProject(drawn);
    return acts.createGot(
      drawn.now,
      project?.id ?? ('none' as ProjectId),
      project?.needs[0]?.id ?? 'none',
      { item, lot: lots[0]! },
      drawn.id(),
      drawn.nowMs,
    );
  },
  createGather: (drawn) =>
    acts.createGather(
      drawn.now,
      findProject(drawn)?.id ?? ('none' as ProjectId),
      [drawn.lot.id, drawn.other.id],
      drawn.nowMs,
    ),
  createEndProject: (drawn) =>
    acts.createEndProject(
      drawn.now,
      findProject(drawn)?.id ?? ('none' as ProjectId),
      pick(drawn.random, ['done', 'givenUp'] as const),
      drawn.nowMs,
    ),
  createInstead: (drawn) => {
    const project = findProject(drawn);
    const [held] = project ? listPromised(drawn.now, project.id) : [];
    return acts.createInstead(
      drawn.now,
      {
        projectId: project?.id ?? ('none' as ProjectId),
        needId: held?.promise.needId ?? 'none',
        lotId: drawn.other.id,
        amount: amountOf({ ...drawn, lot: drawn.other }) / 2,
      },
      { lotId: held?.lot.id ?? drawn.lot.id, promiseId: held?.promise.id ?? 'none' },
      drawn.id(),
      drawn.nowMs,
    );
  },
  createFinish: (drawn) => {
    const project = findProject(drawn);
    const promised = project ? listPromised(drawn.now, project.id) : [];
    const left = new Map(
      promised.map(({ lot, item, promise }) => {
        const used = pick(drawn.random, [0, promise.amount, promise.amount / 2]);
        return [lot.id, Math.max(0, getAmount(item, lot) - used)];
      }),
    );
    const { item, lots } = createNewThing(drawn);
    const made = pick(drawn.random, [undefined, { item, lot: lots[0]! }]);
    const finish = { left, scraps: [], ...(made && { made }) };
    return acts.createFinish(drawn.now, project?.id ?? ('none' as ProjectId), finish, drawn.nowMs);
  },
  createSaveProjects: (drawn) => {
    const known = findProject(drawn);
    const made = createProject(drawn);
    const changed = known
      ? [{ ...known, needs: known.needs.slice(0, 1), state: pick(drawn.random, PROJECT_STATES) }]
      : [];
    return acts.createSaveProjects(drawn.now, [...changed, made], 'two projects', drawn.nowMs);
  },
  createRemoveProject: (drawn) =>
    acts.createRemoveProject(drawn.now, findProject(drawn)?.id ?? ('none' as ProjectId), drawn.nowMs),
};
