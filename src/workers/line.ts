import { fail, ok, type Result } from '../core/result/index.ts';

/** Why a worker did not answer: it failed, said nothing for too long, or was told to stop. */
export interface LineFault {
  readonly code: 'failed' | 'slow' | 'stopped';
  readonly note: string;
}

/** What goes to a worker: a question with its id, or something to know before the next. */
export type Sent<Ask, Tell> = { readonly id: number; readonly ask: Ask } | { readonly tell: Tell };

/** What comes back: words on the way, then the answer or why there is none. */
export type Heard<Answer, Word> =
  | { readonly id: number; readonly word: Word }
  | { readonly id: number; readonly answer: Answer }
  | { readonly id: number; readonly failed: string };

/** As much of a worker as a line needs. */
export interface Mate {
  onmessage: ((message: MessageEvent) => void) | null;
  onerror: ((event: ErrorEvent) => void) | null;
  onmessageerror: ((message: MessageEvent) => void) | null;
  postMessage: (message: unknown, transfer: Transferable[]) => void;
  terminate: () => void;
}

export interface Asking<Tell, Word> {
  readonly transfer?: readonly Transferable[];
  /** Tells what the worker must know first; `isNew` where it knows nothing yet. */
  readonly prepare?: (tell: (news: Tell) => void, isNew: boolean) => Promise<void>;
  readonly onWord?: (word: Word) => void;
  readonly signal?: AbortSignal;
  /** Asked when its turn has come: what nobody waits for any more is passed over, and the worker goes on with the next. */
  readonly isWanted?: () => boolean;
}

/**
 * A line to one worker: questions are answered in turn, each by its id. A worker that fails, or says nothing for
 * `limitMs`, is ended; that question has a fault, and the next begins with a new worker.
 */
export class Line<Ask, Answer, Tell = never, Word = never> {
  private worker: Mate | null = null;
  private turn: Promise<unknown> = Promise.resolve();
  private lastId = 0;
  private stop: (() => void) | null = null;

  constructor(
    private readonly create: () => Mate,
    private readonly limitMs: number,
  ) {}

  ask(ask: Ask, asking: Asking<Tell, Word> = {}): Promise<Result<Answer, LineFault>> {
    const answered = this.turn.then(() => this.askNow(ask, asking));
    this.turn = answered;
    return answered;
  }

  /** Ends the worker, and what it was asked. */
  close(): void {
    this.stop?.();
    this.worker?.terminate();
    this.worker = null;
  }

  private askNow(
    ask: Ask,
    { transfer = [], prepare, onWord, signal, isWanted = () => true }: Asking<Tell, Word>,
  ): Promise<Result<Answer, LineFault>> {
    if (signal?.aborted || !isWanted()) return Promise.resolve(fail({ code: 'stopped', note: '' }));
    const isNew = this.worker === null;
    this.lastId += 1;
    const id = this.lastId;
    return new Promise((resolve) => {
      let timer: ReturnType<typeof setTimeout>;
      let isOver = false;
      const end = (result: Result<Answer, LineFault>) => {
        if (isOver) return;
        isOver = true;
        clearTimeout(timer);
        signal?.removeEventListener('abort', stop);
        this.stop = null;
        // One that failed may know only half of what it was told.
        if (!result.ok) this.close();
        resolve(result);
      };
      const stop = () => end(fail({ code: 'stopped', note: '' }));
      const wait = () => {
        clearTimeout(timer);
        timer = setTimeout(() => end(fail({ code: 'slow', note: `${this.limitMs / 1000} s` })), this.limitMs);
      };
      signal?.addEventListener('abort', stop);
      this.stop = stop;
      let worker: Mate;
      try {
        worker = this.worker ??= this.create();
      } catch (error) {
        end(fail({ code: 'failed', note: String(error) }));
        return;
      }
      worker.onmessage = ({ data }: MessageEvent<Heard<Answer, Word>>) => {
        if (data.id !== id || isOver) return;
        if ('word' in data) {
          wait();
          onWord?.(data.word);
        } else end('answer' in data ? ok(data.answer) : fail({ code: 'failed', note: data.failed }));
      };
      worker.onerror = (event) => end(fail({ code: 'failed', note: event.message }));
      worker.onmessageerror = () => end(fail({ code: 'failed', note: 'a message did not arrive whole' }));
      wait();
      const send = async () => {
        await prepare?.((news) => {
          if (!isOver) worker.postMessage({ tell: news } satisfies Sent<Ask, Tell>, []);
        }, isNew);
        if (isOver) return;
        wait();
        worker.postMessage({ id, ask } satisfies Sent<Ask, Tell>, [...transfer]);
      };
      send().catch((error: unknown) => end(fail({ code: 'failed', note: String(error) })));
    });
  }
}
