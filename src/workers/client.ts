import type { Household } from '../core/records/index.ts';
import type { Result } from '../core/result/index.ts';
import { Line, type LineFault } from './line.ts';
import { listNews, SLICE, tellSlowly, type News } from './news.ts';
import type {
  Aim,
  Developed,
  FromArranger,
  FromImporter,
  FromLayouter,
  LayoutAsk,
  ScrapAsk,
  FromScrapper,
  FromMover,
  FromPlanner,
  ImporterWord,
  QuestionName,
  Questions,
  ToArranger,
  ToExplainer,
  ToImporter,
  ToLayouter,
  ToScrapper,
  Outlined,
  ToOutliner,
  ToMover,
  ToPlanner,
} from './protocol.ts';

/** A search that goes on in the background. */
export interface PlannerHandle {
  /** Ends the search; its best so far still arrives. */
  readonly stop: () => void;
  /** Drops the search and what it found. */
  readonly abandon: () => void;
}

let lastRun = Date.now() % 1_000_000;

type Run = { readonly run: number };

/** A search tells how far it is many times a second; one that says nothing for so long hangs. */
const SILENCE_MS = 120_000;

/** Runs one search in a worker of its own: its messages go to `listener`, up to the last. A household that it is for goes ahead in slices. */
function startSearch<From extends Run & { readonly type: string }, To>(
  worker: Worker,
  start: (run: number) => To,
  stop: (run: number) => To,
  listener: (message: From) => void,
  fail: (run: number, note: string) => From,
  isLast: (message: From) => boolean = (message) => message.type !== 'progress',
): PlannerHandle {
  lastRun += 1;
  const run = lastRun;
  let timer: ReturnType<typeof setTimeout>;
  let isOver = false;
  const end = () => {
    isOver = true;
    clearTimeout(timer);
    worker.terminate();
  };
  const giveUp = (note: string) => {
    end();
    listener(fail(run, note));
  };
  const wait = () => {
    clearTimeout(timer);
    timer = setTimeout(() => giveUp(`no word for ${SILENCE_MS / 1000} s`), SILENCE_MS);
  };
  worker.onmessage = ({ data }: MessageEvent<From>) => {
    if (data.run !== run) return;
    wait();
    if (isLast(data)) end();
    listener(data);
  };
  worker.onerror = (event) => giveUp(event.message);
  worker.onmessageerror = () => giveUp('a message did not arrive whole');
  wait();
  const post = (message: unknown) => {
    if (!isOver) worker.postMessage(message);
  };
  const send = async () => {
    const { household, ...ask } = start(run) as To & { readonly household?: Household };
    if (household) await tellSlowly(listNews(null, household, SLICE), (tell) => post({ tell }));
    post(ask);
  };
  const sent = send().catch((error: unknown) => giveUp(String(error)));
  return { stop: () => void sent.then(() => post(stop(run))), abandon: end };
}

/**
 * Starts the planner. Messages of the run go to `listener`; the last is `curve`, `failed`, or after `done` the last
 * `bound`.
 */
export function startPlanner(
  household: Household,
  seed: number,
  seconds: number,
  listener: (message: FromPlanner) => void,
  aim: Aim = { type: 'best' },
): PlannerHandle {
  return startSearch<FromPlanner, ToPlanner>(
    new Worker(new URL('./planner.ts', import.meta.url), { type: 'module' }),
    (run) => ({ type: 'start', run, household, seed, seconds, aim }),
    (run) => ({ type: 'stop', run }),
    listener,
    (run, note) => ({ type: 'failed', run, note }),
    (message) =>
      message.type === 'curve' ||
      message.type === 'got' ||
      message.type === 'failed' ||
      (message.type === 'bound' && message.isLast),
  );
}

/** Starts laying pieces on a cloth; its first message comes after a few ms. */
export const startLayouter = (ask: LayoutAsk, listener: (message: FromLayouter) => void): PlannerHandle =>
  startSearch<FromLayouter, ToLayouter>(
    new Worker(new URL('./layouter.ts', import.meta.url), { type: 'module' }),
    (run) => ({ type: 'start', run, ...ask }),
    (run) => ({ type: 'stop', run }),
    listener,
    (run, note) => ({ type: 'failed', run, note }),
  );

/** Starts looking for the best way to cut a scrap up; its first message comes at once. */
export const startScrapper = (ask: ScrapAsk, listener: (message: FromScrapper) => void): PlannerHandle =>
  startSearch<FromScrapper, ToScrapper>(
    new Worker(new URL('./scrapper.ts', import.meta.url), { type: 'module' }),
    (run) => ({ type: 'start', run, ...ask }),
    (run) => ({ type: 'stop', run }),
    listener,
    (run, note) => ({ type: 'failed', run, note }),
  );

/** Starts a search for a better arrangement of a room; like the planner's. */
export function startArranger(
  start: Omit<Extract<ToArranger, { type: 'start' }>, 'type' | 'run'>,
  listener: (message: FromArranger) => void,
): PlannerHandle {
  return startSearch<FromArranger, ToArranger>(
    new Worker(new URL('./arranger.ts', import.meta.url), { type: 'module' }),
    (run) => ({ type: 'start', run, ...start }),
    (run) => ({ type: 'stop', run }),
    listener,
    (run, note) => ({ type: 'failed', run, note }),
  );
}

/** Starts a search for an order of trips that brings everything home; like the planner's. */
export function startMover(
  start: Omit<Extract<ToMover, { type: 'start' }>, 'type' | 'run'>,
  listener: (message: FromMover) => void,
): PlannerHandle {
  return startSearch<FromMover, ToMover>(
    new Worker(new URL('./mover.ts', import.meta.url), { type: 'module' }),
    (run) => ({ type: 'start', run, ...start }),
    (run) => ({ type: 'stop', run }),
    listener,
    (run, note) => ({ type: 'failed', run, note }),
  );
}

/** Answers take some seconds in a very large household; a worker that says nothing for so long hangs. */
const ANSWER_MS = 60_000;

const explainer = new Line<ToExplainer, Questions[QuestionName]['answer'], News>(
  () => new Worker(new URL('./explainer.ts', import.meta.url), { type: 'module' }),
  ANSWER_MS,
);
/** What the explainer was told last. */
let explained: Household | null = null;

/**
 * Asks about the household as it is, in the background. One worker answers all questions in turn and keeps
 * what it knows of the household. A question that is not wanted any more when its turn comes is not answered.
 */
export function ask<Name extends QuestionName>(
  household: Household,
  name: Name,
  about: Questions[Name]['ask'],
  isWanted: () => boolean = () => true,
): Promise<Result<Questions[Name]['answer'], LineFault>> {
  const asked = explainer.ask({ name, about } as ToExplainer, {
    isWanted,
    prepare: async (tell, isNew) => {
      if (isNew) explained = null;
      if (explained === household) return;
      const news = listNews(explained, household, SLICE);
      explained = household;
      await tellSlowly(news, tell);
    },
  });
  return asked as Promise<Result<Questions[Name]['answer'], LineFault>>;
}

/** A worker that reads one table; dropped when it is no longer wanted, which also stops it at once. */
export interface ImporterHandle {
  /** Asks; answers to earlier questions that are still to come are not passed on. */
  readonly send: (message: ToImporter) => void;
  readonly drop: () => void;
}

export type ImporterNews =
  | FromImporter
  | ({ readonly type: 'progress' } & ImporterWord)
  | { readonly type: 'failed'; readonly fault: LineFault };

export function startImporter(listener: (message: ImporterNews) => void): ImporterHandle {
  const line = new Line<ToImporter, FromImporter, never, ImporterWord>(
    () => new Worker(new URL('./importer.ts', import.meta.url), { type: 'module' }),
    ANSWER_MS,
  );
  let run = 0;
  return {
    send: (message) => {
      run += 1;
      const mine = run;
      const pass = (news: ImporterNews) => {
        if (mine === run) listener(news);
      };
      void line
        .ask(message, { onWord: (word) => pass({ type: 'progress', ...word }) })
        .then((answer) => pass(answer.ok ? answer.value : { type: 'failed', fault: answer.fault }));
    },
    drop: () => {
      run += 1;
      line.close();
    },
  };
}

/** A picture is decoded and looked at in far less. */
const PICTURE_MS = 30_000;

/** What became of the file at `nth`: a photo, a refusal, or a worker that failed over it. */
export type PhotographerNews = { readonly nth: number } & (
  Developed | { readonly type: 'failed'; readonly fault: LineFault }
);

/**
 * Makes photos of picture files, one after the other; `listener` hears of each. A picture that brings the worker down
 * does not take the others with it. The handle stops it.
 */
export function startPhotographer(files: readonly Blob[], listener: (message: PhotographerNews) => void): () => void {
  const line = new Line<Blob, Developed>(
    () => new Worker(new URL('./photographer.ts', import.meta.url), { type: 'module' }),
    PICTURE_MS,
  );
  const stop = new AbortController();
  const work = async () => {
    for (const [nth, file] of files.entries()) {
      const made = await line.ask(file, { signal: stop.signal });
      if (stop.signal.aborted) break;
      listener(made.ok ? { nth, ...made.value } : { nth, type: 'failed', fault: made.fault });
    }
    line.close();
  };
  void work();
  return () => stop.abort();
}

/** The outline of a scrap on a photo; a picture that brings the worker down is told as one that cannot be read. */
export async function outlineScrap(ask: ToOutliner): Promise<Outlined> {
  const line = new Line<ToOutliner, Outlined>(
    () => new Worker(new URL('./outliner.ts', import.meta.url), { type: 'module' }),
    PICTURE_MS,
  );
  const read = await line.ask(ask);
  line.close();
  return read.ok ? read.value : { ok: false, fault: 'no-picture' };
}

/** A worker that reads codes off pictures, one picture at a time; null where it is no picture. */
export interface CodeReader {
  readonly read: (picture: Blob | ImageBitmap) => Promise<Result<readonly string[] | null, LineFault>>;
  readonly drop: () => void;
}

export function startCodeReader(): CodeReader {
  const line = new Line<Blob | ImageBitmap, readonly string[] | null>(
    () => new Worker(new URL('./codeReader.ts', import.meta.url), { type: 'module' }),
    PICTURE_MS,
  );
  return {
    read: (picture) => {
      const isBitmap = typeof ImageBitmap !== 'undefined' && picture instanceof ImageBitmap;
      return line.ask(picture, { transfer: isBitmap ? [picture] : [] });
    },
    drop: () => line.close(),
  };
}
