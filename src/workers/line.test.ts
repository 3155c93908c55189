import { afterEach, describe, expect, it, vi } from 'vitest';
import { Line, type Mate, type Sent } from './line.ts';

/** A worker that does what the test says. */
class Scripted implements Mate {
  static made: Scripted[] = [];
  onmessage: ((message: MessageEvent) => void) | null = null;
  onerror: ((event: ErrorEvent) => void) | null = null;
  onmessageerror: ((message: MessageEvent) => void) | null = null;
  readonly sent: Sent<string, string>[] = [];
  isEnded = false;
  constructor() {
    Scripted.made.push(this);
  }
  postMessage(message: unknown) {
    this.sent.push(message as Sent<string, string>);
  }
  terminate() {
    this.isEnded = true;
  }
  get id() {
    const last = this.sent.at(-1);
    return last && 'id' in last ? last.id : -1;
  }
  say(data: object) {
    this.onmessage?.({ data } as MessageEvent);
  }
}

const tick = () => vi.advanceTimersByTimeAsync(0);
function open() {
  vi.useFakeTimers();
  Scripted.made = [];
  return new Line<string, string, string, number>(() => new Scripted(), 1000);
}
afterEach(() => vi.useRealTimers());

describe('a line to a worker', () => {
  it('asks one after the other, and passes each its words and its answer', async () => {
    const line = open();
    const words: number[] = [];
    const first = line.ask('a', { onWord: (word) => words.push(word) });
    const second = line.ask('b');
    await tick();
    const [worker] = Scripted.made;
    expect(worker!.sent).toEqual([{ id: 1, ask: 'a' }]);
    worker!.say({ id: 1, word: 7 });
    worker!.say({ id: 2, answer: 'too early' });
    worker!.say({ id: 1, answer: 'A' });
    expect(await first).toEqual({ ok: true, value: 'A' });
    await tick();
    worker!.say({ id: 2, failed: 'no' });
    expect(await second).toEqual({ ok: false, fault: { code: 'failed', note: 'no' } });
    expect(words).toEqual([7]);
  });

  it.each([
    ['that fails', (worker: Scripted) => worker.onerror?.({ message: 'out of memory' } as ErrorEvent), 'failed'],
    ['whose message does not arrive', (worker: Scripted) => worker.onmessageerror?.({} as MessageEvent), 'failed'],
    ['that says nothing', () => vi.advanceTimersByTime(1001), 'slow'],
  ])('ends a worker %s, and begins anew with the next question', async (_, befall, code) => {
    const line = open();
    const isNew: boolean[] = [];
    const prepare = async (tell: (news: string) => void, isFresh: boolean) => {
      isNew.push(isFresh);
      tell('news');
    };
    const first = line.ask('a', { prepare });
    const second = line.ask('b', { prepare });
    await tick();
    befall(Scripted.made[0]!);
    expect(await first).toMatchObject({ ok: false, fault: { code } });
    expect(Scripted.made[0]!.isEnded).toBe(true);
    await tick();
    const worker = Scripted.made[1]!;
    expect(worker.sent).toEqual([{ tell: 'news' }, { id: 2, ask: 'b' }]);
    worker.say({ id: 2, answer: 'B' });
    expect(await second).toEqual({ ok: true, value: 'B' });
    const third = line.ask('c', { prepare });
    await tick();
    worker.say({ id: worker.id, answer: 'C' });
    await third;
    expect(isNew).toEqual([true, true, false]);
  });

  it('waits longer for one that still says something', async () => {
    const line = open();
    const asked = line.ask('a');
    await tick();
    const [worker] = Scripted.made;
    for (let i = 0; i < 5; i += 1) {
      await vi.advanceTimersByTimeAsync(900);
      worker!.say({ id: 1, word: i });
    }
    worker!.say({ id: 1, answer: 'A' });
    expect(await asked).toMatchObject({ ok: true });
  });

  it('stops what is asked when told to, and what waits too', async () => {
    const line = open();
    const stop = new AbortController();
    const asked = line.ask('a', { signal: stop.signal });
    const waiting = line.ask('b', { signal: stop.signal });
    await tick();
    stop.abort();
    expect(await asked).toMatchObject({ fault: { code: 'stopped' } });
    expect(await waiting).toMatchObject({ fault: { code: 'stopped' } });
    expect(Scripted.made.map((worker) => worker.isEnded)).toEqual([true]);
    const closed = line.ask('c');
    await tick();
    line.close();
    expect(await closed).toMatchObject({ fault: { code: 'stopped' } });
  });

  it('passes over what nobody waits for any more, and keeps its worker', async () => {
    const line = open();
    let isWanted = true;
    const first = line.ask('a');
    const stale = line.ask('b', { isWanted: () => isWanted });
    const next = line.ask('c', { isWanted: () => true });
    await tick();
    isWanted = false;
    const [worker] = Scripted.made;
    worker!.say({ id: 1, answer: 'A' });
    await first;
    expect(await stale).toMatchObject({ fault: { code: 'stopped' } });
    await tick();
    worker!.say({ id: 2, answer: 'C' });
    expect(await next).toEqual({ ok: true, value: 'C' });
    expect(worker!.sent).toEqual([
      { id: 1, ask: 'a' },
      { id: 2, ask: 'c' },
    ]);
  });

  it('says so where no worker can be made', async () => {
    const line = new Line<string, string>(() => {
      throw new Error('not allowed');
    }, 1000);
    expect(await line.ask('a')).toMatchObject({ fault: { code: 'failed', note: 'Error: not allowed' } });
  });
});
