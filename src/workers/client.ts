import type { Household } from '../core/records/index.ts';
import { listNews } from './news.ts';
import type {
  Aim,
  FromArranger,
  FromCodeReader,
  FromExplainer,
  FromImporter,
  FromMover,
  FromPhotographer,
  FromPlanner,
  QuestionName,
  Questions,
  ToArranger,
  ToCodeReader,
  ToExplainer,
  ToImporter,
  ToMover,
  ToPhotographer,
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

/** Runs one search in a worker of its own: its messages go to `listener`, up to the last. */
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
  worker.onmessage = ({ data }: MessageEvent<From>) => {
    if (data.run !== run) return;
    listener(data);
    if (isLast(data)) worker.terminate();
  };
  worker.onerror = (event) => {
    listener(fail(run, event.message));
    worker.terminate();
  };
  worker.postMessage(start(run));
  return { stop: () => worker.postMessage(stop(run)), abandon: () => worker.terminate() };
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

let explainer: Worker | null = null;
let explained: Household | null = null;
let telling: Promise<void> = Promise.resolve();
let lastQuestion = 0;

/** Copying so many records takes a few ms. */
const SLICE = 500;

/** Tells the explainer what changed since it was last told, slice by slice, so that the page can answer in between. */
async function tell(worker: Worker, household: Household): Promise<void> {
  if (explained === household) return;
  const slices = listNews(explained, household, SLICE);
  explained = household;
  for (const [n, news] of slices.entries()) {
    if (n > 0) await new Promise((resolve) => setTimeout(resolve));
    worker.postMessage({ type: 'news', news } satisfies ToExplainer);
  }
}

/**
 * Asks about the household as it is, in the background. One worker answers all questions in turn and keeps
 * what it knows of the household.
 */
export function ask<Name extends QuestionName>(
  household: Household,
  name: Name,
  about: Questions[Name]['ask'],
): Promise<Questions[Name]['answer']> {
  const worker = (explainer ??= new Worker(new URL('./explainer.ts', import.meta.url), { type: 'module' }));
  lastQuestion += 1;
  const question = lastQuestion;
  return new Promise((resolve) => {
    const listen = ({ data }: MessageEvent<FromExplainer>) => {
      if (data.question !== question) return;
      worker.removeEventListener('message', listen);
      resolve(data.answer as Questions[Name]['answer']);
    };
    worker.addEventListener('message', listen);
    telling = telling
      .then(() => tell(worker, household))
      .then(() => worker.postMessage({ type: 'question', question, name, ask: about } as ToExplainer));
  });
}

type Without<T, K extends string> = T extends unknown ? Omit<T, K> : never;

/** A worker that reads one table; dropped when it is no longer wanted, which also stops it at once. */
export interface ImporterHandle {
  /** Asks; answers to earlier questions that are still to come are not passed on. */
  readonly send: (message: Without<ToImporter, 'run'>) => void;
  readonly drop: () => void;
}

export function startImporter(listener: (message: FromImporter) => void): ImporterHandle {
  const worker = new Worker(new URL('./importer.ts', import.meta.url), { type: 'module' });
  let run = 0;
  worker.onmessage = ({ data }: MessageEvent<FromImporter>) => {
    if (data.run === run) listener(data);
  };
  worker.onerror = (event) => listener({ type: 'failed', run, note: event.message });
  return {
    send: (message) => {
      run += 1;
      worker.postMessage({ ...message, run } as ToImporter);
    },
    drop: () => worker.terminate(),
  };
}

/** Makes photos of picture files, one after the other; `listener` hears of each. The handle stops it. */
export function startPhotographer(files: readonly Blob[], listener: (message: FromPhotographer) => void): () => void {
  const worker = new Worker(new URL('./photographer.ts', import.meta.url), { type: 'module' });
  let sent = 0;
  const sendNext = () => {
    const file = files[sent];
    if (!file) return worker.terminate();
    worker.postMessage({ nth: sent, file } satisfies ToPhotographer);
    sent += 1;
  };
  worker.onmessage = ({ data }: MessageEvent<FromPhotographer>) => {
    listener(data);
    sendNext();
  };
  worker.onerror = () => {
    listener({ type: 'refused', nth: sent - 1, fault: { code: 'broken' } });
    sendNext();
  };
  sendNext();
  return () => worker.terminate();
}

/** A worker that reads codes off pictures, one picture at a time. */
export interface CodeReader {
  readonly read: (picture: Blob | ImageBitmap) => Promise<readonly string[] | null>;
  readonly drop: () => void;
}

export function startCodeReader(): CodeReader {
  const worker = new Worker(new URL('./codeReader.ts', import.meta.url), { type: 'module' });
  let sent = 0;
  return {
    read: (picture) => {
      sent += 1;
      const nth = sent;
      return new Promise((resolve) => {
        const listen = ({ data }: MessageEvent<FromCodeReader>) => {
          if (data.nth !== nth) return;
          worker.removeEventListener('message', listen);
          resolve(data.codes);
        };
        worker.addEventListener('message', listen);
        const isBitmap = typeof ImageBitmap !== 'undefined' && picture instanceof ImageBitmap;
        worker.postMessage({ nth, picture } satisfies ToCodeReader, isBitmap ? [picture] : []);
      });
    },
    drop: () => worker.terminate(),
  };
}
