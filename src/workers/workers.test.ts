import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { checkPlan } from '../check/index.ts';
import { packPlace } from '../core/packing/index.ts';
import { computeSpace, createPlaceTree } from '../core/storage/index.ts';
import { computePackage } from '../core/measure/index.ts';
import { computeProgress } from '../core/moves/index.ts';
import type { Household, Score } from '../core/records/index.ts';
import { countMoves } from '../solver/curve.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { Line, type Sent } from './line.ts';
import { listNews, tellSlowly, type News } from './news.ts';
import { createTurnedRound } from '../../tests/turned.ts';
import type { FromMover, FromPlanner, ToExplainer, ToMover, ToPlanner } from './protocol.ts';

const { household } = createSampleHousehold(1, 60);

/** Ends what the searches of a test still work on. */
const ends: (() => void)[] = [];

/** A worker's own scope, with what it posts kept. */
function createScope<From, To>() {
  const posted: From[] = [];
  const scope = {
    onmessage: null as ((message: { data: To }) => void) | null,
    postMessage: (message: From) => posted.push(message),
  };
  const until = async (is: (message: From) => boolean): Promise<From> => {
    for (let tries = 0; tries < 500; tries += 1) {
      const found = posted.find(is);
      if (found) return found;
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
    throw new Error(`never posted: ${JSON.stringify(posted).slice(0, 300)}`);
  };
  ends.push(() => {
    for (let run = 0; run < 20; run += 1) scope.onmessage?.({ data: { type: 'stop', run } as To });
  });
  return { scope, posted, until, send: (data: To) => scope.onmessage!({ data }) };
}

beforeEach(() => vi.resetModules());
afterEach(() => {
  for (const end of ends.splice(0)) end();
  vi.unstubAllGlobals();
});

describe('the planner', () => {
  async function open() {
    const worker = createScope<FromPlanner, ToPlanner>();
    vi.stubGlobal('self', worker.scope);
    await import('./planner.ts');
    return worker;
  }

  it('reports, and ends with a checked, packed plan', async () => {
    const worker = await open();
    worker.send({ type: 'start', run: 1, household, seed: 5, seconds: 1, aim: { type: 'best' } });
    const done = await worker.until((message) => message.type !== 'progress');
    if (done.type !== 'done') throw new Error(JSON.stringify(done));
    expect(done.checks).toMatchObject({ findings: 0 });
    expect(done.checks.tests).toBeGreaterThan(60);
    expect(done.isStopped).toBe(false);
    expect(done.plan).toMatchObject({ seed: 5 });
    expect(done.plan.adoptedAtMs).toBeUndefined();
    const steps = worker.posted.flatMap((message) => (message.type === 'progress' ? [message.steps] : []));
    expect(steps.length).toBeGreaterThan(1);
    expect(steps[0]).toBeLessThan(steps.at(-1)!);
    expect(steps).toEqual(steps.toSorted((a, b) => a - b));
    // The plan holds without the positions that came with it: pack every place anew and check.
    const tree = createPlaceTree(household.places);
    const spots = new Map(
      tree.leaves.map((place) => {
        const inside = done.plan.assignments.filter((one) => one.placeId === place.id);
        const packages = inside
          .toSorted((a, b) => a.order - b.order)
          .map((one) => {
            const lot = household.lots.get(one.lotId)!;
            return computePackage(household.items.get(lot.itemId)!, lot, one.form, household.settings)!;
          });
        const packed = packPlace(packages, computeSpace(tree, place));
        return [place.id, packed.status === 'packed' ? packed.spots : []] as const;
      }),
    );
    expect(checkPlan(household, done.plan, spots).findings).toEqual([]);
  });

  it('brings plans from few moves to many, each checked; stopped, those it has', async () => {
    const worker = await open();
    worker.send({ type: 'start', run: 1, household, seed: 5, seconds: 1.2, aim: { type: 'curve' } });
    const curve = await worker.until((message) => message.type === 'curve' || message.type === 'failed');
    if (curve.type !== 'curve') throw new Error(JSON.stringify(curve));
    expect(curve.points.length).toBeGreaterThan(2);
    const moves = curve.points.map((point) => point.moves);
    expect(moves).toEqual(moves.toSorted((a, b) => a - b));
    const gains = curve.points.map((point) => point.gainShare);
    expect(gains).toEqual(gains.toSorted((a, b) => a - b));
    expect(gains.at(-1)).toBe(1);
    for (const { checks, plan } of curve.points) {
      expect(checks.findings).toBe(0);
      expect(plan.score.parts.moving).toBeGreaterThan(0);
    }
    worker.send({ type: 'start', run: 2, household, seed: 5, seconds: 60, aim: { type: 'curve' } });
    await worker.until((message) => message.type === 'progress' && message.run === 2);
    worker.send({ type: 'stop', run: 2 });
    const stopped = await worker.until((message) => message.type === 'curve' && message.run === 2);
    expect(stopped.type === 'curve' && stopped.points).toHaveLength(1);
  });

  it('reports on the way; stops when asked, and still brings its best', async () => {
    const worker = await open();
    worker.send({ type: 'start', run: 2, household, seed: 1, seconds: 60, aim: { type: 'best' } });
    await worker.until((message) => message.type === 'progress' && message.steps > 0);
    await worker.until(() => worker.posted.length >= 3);
    const asked = performance.now();
    worker.send({ type: 'stop', run: 2 });
    const done = await worker.until((message) => message.type === 'done');
    expect(performance.now() - asked).toBeLessThan(5000);
    expect(done).toMatchObject({ run: 2, isStopped: true, checks: { findings: 0 } });
  });

  it('draws its best so far while it searches, and says afterwards how much better any plan could be', async () => {
    const worker = await open();
    worker.send({ type: 'start', run: 6, household, seed: 1, seconds: 0.4, aim: { type: 'best' } });
    const done = await worker.until((message) => message.type === 'done');
    const drawn = worker.posted.flatMap((one) => (one.type === 'progress' && one.best ? [one.best] : []));
    expect(drawn.length).toBeGreaterThan(0);
    for (const { lotId, placeId } of drawn[0]!.assignments) {
      expect(household.lots.has(lotId)).toBe(true);
      expect(household.places.has(placeId)).toBe(true);
    }
    const bound = await worker.until((message) => message.type === 'bound');
    if (bound.type !== 'bound' || done.type !== 'done') throw new Error('no bound');
    expect(bound.mostPercent).toBeGreaterThan(0);
    expect(bound.mostPercent).toBeLessThan(100);
    // Proving goes on, unless one stops it too.
    worker.send({ type: 'stop', run: 6 });
    const last = await worker.until((message) => message.type === 'bound' && message.isLast);
    expect(last.type === 'bound' && last.mostPercent).toBeLessThanOrEqual(bound.mostPercent);
  });

  it('mends the rest around what stays, with few moves', async () => {
    const worker = await open();
    const lot = [...household.lots.values()].find((one) => one.placeId !== undefined)!;
    const aim = { type: 'mend' as const, stayIds: [lot.id] };
    worker.send({ type: 'start', run: 7, household, seed: 1, seconds: 0.4, aim });
    const mended = await worker.until((message) => message.type === 'done' && message.run === 7);
    worker.send({ type: 'start', run: 8, household, seed: 1, seconds: 0.4, aim: { type: 'best' } });
    const best = await worker.until((message) => message.type === 'done' && message.run === 8);
    if (mended.type !== 'done' || best.type !== 'done') throw new Error('no plan');
    expect(mended.plan.assignments.find((one) => one.lotId === lot.id)).toMatchObject({
      placeId: lot.placeId,
      form: lot.form,
    });
    expect(countMoves(household, mended.plan.assignments)).toBeLessThan(countMoves(household, best.plan.assignments));
    // It stays for this once: the plan is one for the household as it is.
    expect(mended.plan.inputsHash).toBe(best.plan.inputsHash);
    expect(mended.checks.findings).toBe(0);
  });

  it('is not stopped by a word meant for another run', async () => {
    const worker = await open();
    worker.send({ type: 'start', run: 4, household, seed: 1, seconds: 0.3, aim: { type: 'best' } });
    worker.send({ type: 'stop', run: 3 });
    expect(await worker.until((message) => message.type === 'done')).toMatchObject({ run: 4, isStopped: false });
  });

  it('says so when it breaks', async () => {
    const worker = await open();
    worker.send({ type: 'start', run: 5, household: null as never, seed: 1, seconds: 1, aim: { type: 'best' } });
    expect(await worker.until((message) => message.type === 'failed')).toMatchObject({ run: 5 });
  });
});

describe('the mover', () => {
  async function open() {
    const worker = createScope<FromMover, ToMover>();
    vi.stubGlobal('self', worker.scope);
    await import('./mover.ts');
    return worker;
  }
  const turned = createTurnedRound({ lots: 60, places: 16 }, 0.85, 2, 20_000);
  const start = (home: Household, over: Partial<Extract<ToMover, { type: 'start' }>> = {}) => ({
    type: 'start' as const,
    run: 1,
    household: home,
    skipped: [],
    tableMm3: 60e6,
    seed: 1,
    seconds: 0.3,
    ...over,
  });
  const finish = async (worker: Awaited<ReturnType<typeof open>>) => {
    const done = await worker.until((message) => message.type !== 'progress');
    if (done.type !== 'done') throw new Error(JSON.stringify(done));
    return done.found;
  };

  it('tells how it gets on, and ends with steps that bring everything home', async () => {
    const worker = await open();
    worker.send(start(turned));
    const found = await finish(worker);
    expect(found.stuckIds).toEqual([]);
    expect(found.steps.filter((step) => step.kind !== 'order')).toHaveLength(found.trips);
    expect(found.trips).toBeGreaterThanOrEqual(found.leastTrips);
    const last = new Map(found.steps.flatMap(({ lotIds, to }) => lotIds.map((id) => [id, to] as const)));
    for (const lot of turned.lots.values()) if (lot.placeId !== lot.homeId) expect(last.get(lot.id)).toBe(lot.homeId);
  });

  it('names what has no room at its home, and orders the rest without it', async () => {
    const worker = await open();
    // Things that lie where nothing is to go: what happens to them is no other's affair.
    const listAstray = ({ lots }: Household) => {
      const all = [...lots.values()].filter((lot) => lot.placeId !== lot.homeId);
      const wanted = new Set(all.map((lot) => lot.homeId));
      return all.filter((lot) => !wanted.has(lot.placeId));
    };
    const [turned, astray] = [2, 3, 4, 5, 6, 7, 8, 9]
      .map((seed) => createTurnedRound({ lots: 60, places: 16 }, 0.7, seed, 4000))
      .map((one) => [one, listAstray(one)] as const)
      .find(([, list]) => list.length > 1 && list.some((lot) => lot.lengthMm !== undefined))!;
    // Its home was planned for a thing of another size: now it is far too much for it.
    const grown = astray.find((lot) => lot.lengthMm !== undefined)!;
    const lots = new Map(turned.lots).set(grown.id, { ...grown, lengthMm: 60_000 });
    // Another one's home is no more.
    const lost = astray.findLast((lot) => lot !== grown)!;
    lots.set(lost.id, { ...lost, homeId: 'no-such-place' as never });
    worker.send(start({ ...turned, lots }));
    const found = await finish(worker);
    expect(new Set(found.stuckIds)).toEqual(new Set([grown.id, lost.id]));
    for (const { lotIds } of found.steps) expect(lotIds).not.toContain(grown.id);
    // The list still holds: what is named is not waited for.
    expect(computeProgress({ ...turned, lots }, found.steps, new Set(found.stuckIds)).isStale).toBe(false);
    expect(found.steps.length).toBeGreaterThan(10);
  });

  it('ends early with its best when it is stopped, and leaves what is skipped', async () => {
    const worker = await open();
    const skipped = [...turned.lots.values()].filter((lot) => lot.placeId !== lot.homeId).slice(0, 3);
    worker.send(start(turned, { seconds: 60, tableMm3: 4e6, skipped: skipped.map((lot) => lot.id) }));
    worker.send({ type: 'stop', run: 1 });
    const found = await finish(worker);
    const carried = new Set(found.steps.flatMap((step) => step.lotIds));
    for (const lot of skipped) expect(carried.has(lot.id)).toBe(false);
  });
});

describe('the explainer', () => {
  const open = () =>
    new Line<ToExplainer, unknown, News>(() => new Worker(new URL('./explainer.ts', import.meta.url)), 20_000);
  const asked = async (line: ReturnType<typeof open>, ask: ToExplainer, news: News[] = []) => {
    const answer = await line.ask(ask, { prepare: (tell) => tellSlowly(news, tell) });
    if (!answer.ok) throw new Error(answer.fault.note);
    return answer.value;
  };
  const lot = [...household.lots.values()].find((one) => one.state === 'in')!;

  it('answers each question, and remembers the household', async () => {
    const line = open();
    const why = await asked(line, { name: 'why', about: lot.id }, listNews(null, household, 50));
    expect(why).toEqual(expect.arrayContaining([expect.objectContaining({ code: 'reach' })]));
    expect(((await asked(line, { name: 'homes', about: lot.id })) as readonly unknown[]).length).toBeGreaterThan(0);
    expect(await asked(line, { name: 'today', about: null })).toMatchObject({ seconds: expect.any(Number) });
    // A place that takes its things is not over full; one with twice as many is.
    const { full: over } = (await asked(line, { name: 'strained', about: null })) as { full: readonly string[] };
    const tree = createPlaceTree(household.places);
    for (const place of tree.leaves) {
      const inside = [...household.lots.values()].filter((one) => one.placeId === place.id);
      const packages = inside.map((one) =>
        computePackage(household.items.get(one.itemId)!, one, one.form, household.settings)!,
      );
      if (inside.length > 0 && packPlace(packages, computeSpace(tree, place)).status !== 'packed')
        expect(over).toContain(place.id);
    }
    expect(new Set(over).size).toBe(over.length);
  });

  it('answers for the household as it is by then', async () => {
    const line = open();
    const out = {
      ...household,
      lots: new Map(household.lots).set(lot.id, { ...lot, state: 'out', placeId: undefined }),
    };
    const today: ToExplainer = { name: 'today', about: null };
    const before = (await asked(line, today, listNews(null, household, 1000))) as Score;
    const fewer = { ...out, lots: new Map([...out.lots].slice(1)) } as Household;
    const after = (await asked(line, today, listNews(household, fewer, 1000))) as Score;
    expect(after.seconds).toBeLessThan(before.seconds);
  });
});

describe('the client', () => {
  class FakeWorker extends EventTarget {
    static made: FakeWorker[] = [];
    readonly sent: unknown[] = [];
    isEnded = false;
    onmessage: ((message: { data: FromPlanner }) => void) | null = null;
    onerror: ((event: { message: string }) => void) | null = null;
    constructor() {
      super();
      FakeWorker.made.push(this);
    }
    postMessage(message: unknown) {
      this.sent.push(message);
    }
    terminate() {
      this.isEnded = true;
    }
  }
  beforeEach(() => {
    FakeWorker.made = [];
    vi.stubGlobal('Worker', FakeWorker);
  });

  it('passes on the messages of its run, ends the worker after the last, and can stop or abandon', async () => {
    const { startPlanner } = await import('./client.ts');
    const heard: FromPlanner[] = [];
    const handle = startPlanner(household, 1, 5, (message) => heard.push(message));
    const [worker] = FakeWorker.made;
    const { run } = await vi.waitFor(() => {
      const start = worker!.sent.find((one) => (one as { type?: string }).type === 'start');
      if (!start) throw new Error('not begun');
      return start as { run: number };
    });
    // The household went ahead, so that the page never copies all of it at once.
    expect(worker!.sent[0]).toHaveProperty('tell.records');
    const progress = {
      type: 'progress',
      run,
      steps: 1,
      elapsedMs: 1,
      unplaced: 0,
      fetchSeconds: 1,
      best: null,
    } as const;
    worker!.onmessage!({ data: { ...progress, run: run + 1 } });
    worker!.onmessage!({ data: progress });
    expect(heard).toEqual([progress]);
    handle.stop();
    await vi.waitFor(() => expect(worker!.sent.at(-1)).toEqual({ type: 'stop', run }));
    worker!.onmessage!({ data: { type: 'failed', run, note: 'x' } });
    expect(worker!.isEnded).toBe(true);
    startPlanner(household, 1, 5, (message) => heard.push(message)).abandon();
    expect(FakeWorker.made[1]!.isEnded).toBe(true);
  });

  it('reports a worker that does not load', async () => {
    const { startPlanner } = await import('./client.ts');
    const heard: FromPlanner[] = [];
    startPlanner(household, 1, 5, (message) => heard.push(message));
    FakeWorker.made[0]!.onerror!({ message: 'not found' });
    expect(heard).toMatchObject([{ type: 'failed', note: 'not found' }]);
  });

  it('tells the household once, what changed after that, and gives each asker its own answer', async () => {
    const { ask } = await import('./client.ts');
    const lot = [...household.lots.values()][0]!;
    const first = ask(household, 'today', null);
    const second = ask(household, 'why', lot.id);
    const changed = { ...household, lots: new Map(household.lots).set(lot.id, { ...lot, count: 9 }) };
    const third = ask(changed, 'today', null);
    await vi.waitFor(() => expect(FakeWorker.made).toHaveLength(1));
    const [worker] = FakeWorker.made;
    const sent = worker!.sent as Sent<ToExplainer, News>[];
    const reply = async (answer: unknown) => {
      const asked = await vi.waitFor(() => {
        const last = sent.at(-1);
        if (!last || !('ask' in last)) throw new Error('nothing is asked');
        return last;
      });
      sent.push({ tell: { settings: null, records: [] } });
      worker!.onmessage!({ data: { id: asked.id + 7, answer: 'of another' } as never });
      worker!.onmessage!({ data: { id: asked.id, answer } as never });
    };
    await reply('first');
    expect(await first).toEqual({ ok: true, value: 'first' });
    const before = sent.length;
    await reply(['second']);
    expect(await second).toEqual({ ok: true, value: ['second'] });
    // Nothing was told again before the second.
    expect(sent[before]).toMatchObject({ ask: { name: 'why' } });
    await reply('third');
    expect(await third).toEqual({ ok: true, value: 'third' });
    const news = sent.flatMap((one) => ('tell' in one && one.tell.records.length > 0 ? [one.tell] : []));
    expect(news.at(-1)).toMatchObject({ records: [['lots', lot.id, { count: 9 }]] });
  });
});
