import { markPassed } from '../core/daybook/passed.ts';
import { fail, ok, type Result } from '../core/result/index.ts';
import type { Stored, StoreFault } from '../storage/index.ts';
import { Line } from './line.ts';
import { Told, type News } from './news.ts';
import type { Opened } from './protocol.ts';

/** A very large household is read well within this; after it the page reads it by itself. */
const LIMIT_MS = 20_000;

/**
 * What this browser keeps, read and checked in a worker and told in slices: a page that takes it in goes on answering.
 * Null where the worker did not get to it; then it is not known what is kept.
 */
export async function openStored(): Promise<Result<Stored | null, StoreFault> | null> {
  const line = new Line<null, Opened, never, News>(
    () => new Worker(new URL('./opener.ts', import.meta.url), { type: 'module' }),
    LIMIT_MS,
  );
  const told = new Told();
  const opened = await line.ask(null, { onWord: (news) => told.hear(news) });
  line.close();
  if (!opened.ok) return null;
  if (!opened.value.ok) return opened.value.fault ? fail(opened.value.fault) : ok(null);
  // What the opener tells has passed the gate there.
  const chronicle = markPassed({ household: told.household, events: told.events });
  return ok({ chronicle, ...opened.value.value });
}
