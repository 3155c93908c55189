import { getNaming } from '../core/naming/index.ts';
import type { WholeChronicle } from '../core/daybook/index.ts';
import { markPassed } from '../core/daybook/passed.ts';
import type { BundleFault } from '../core/formats/index.ts';
import type { Apart } from '../core/mending/index.ts';
import type { Chronicle, EventId, Photo } from '../core/records/index.ts';
import { fail, ok, type Result } from '../core/result/index.ts';
import { Line, type LineFault } from './line.ts';
import { listWholeNews, tellSlowly, Told, type News } from './news.ts';
import type { FromKeeper, ToKeeper } from './protocol.ts';

/** Files of any size are read and written well within this; a worker that says nothing for so long hangs. */
const LIMIT_MS = 120_000;

/** One worker for each file: what it unpacked is gone with it. */
async function withKeeper<T>(work: (line: Line<ToKeeper, FromKeeper, News, News>) => Promise<T>): Promise<T> {
  const line = new Line<ToKeeper, FromKeeper, News, News>(
    () => new Worker(new URL('./keeper.ts', import.meta.url), { type: 'module' }),
    LIMIT_MS,
  );
  try {
    return await work(line);
  } finally {
    line.close();
  }
}

/** Why there is no file: the worker's fault, or what was written does not read back as the same. */
export interface PackFault {
  readonly code: LineFault['code'] | 'unproved';
  readonly note: string;
}

/** The file of a household with its daybook and photos, once it was read back and says the same. */
export function packChronicle(chronicle: Chronicle, signal?: AbortSignal): Promise<Result<Uint8Array, PackFault>> {
  return withKeeper(async (line) => {
    const packed = await line.ask(
      { type: 'pack', photos: chronicle.photos ?? [] },
      { prepare: (tell) => tellSlowly(listWholeNews(chronicle), tell), ...(signal && { signal }) },
    );
    if (!packed.ok) return packed;
    const { value } = packed;
    return value.type === 'packed'
      ? ok(value.bytes)
      : fail({ code: 'unproved', note: value.type === 'unproved' ? value.path : '' });
  });
}

/** What stands in a file: all of it; or its faults, and what of it can be opened all the same. */
export type Unpacked =
  | { readonly type: 'whole'; readonly chronicle: WholeChronicle }
  | {
      readonly type: 'faulty';
      readonly faults: readonly BundleFault[];
      readonly rest: { readonly chronicle: WholeChronicle; readonly apart: readonly Apart[] } | null;
    };

/** Reads a file. `stamp` is for the line that says what was set apart. */
export function unpackChronicle(
  bytes: Uint8Array,
  stamp: { readonly id: EventId; readonly atMs: number },
  signal?: AbortSignal,
): Promise<Result<Unpacked, LineFault>> {
  return withKeeper(async (line) => {
    const told = new Told();
    const read = await line.ask(
      { type: 'unpack', bytes, stamp: { ...stamp, subject: getNaming().told.readable } },
      { onWord: (news) => told.hear(news), ...(signal && { signal }) },
    );
    if (!read.ok) return read;
    const { value } = read;
    // What the keeper tells has passed the gate there.
    const toWhole = (photos: readonly Photo[]) =>
      markPassed({ household: told.household, events: told.events, ...(photos.length > 0 && { photos }) });
    if (value.type === 'whole') return ok({ type: 'whole', chronicle: toWhole(value.photos) });
    if (value.type !== 'faulty') return fail({ code: 'failed', note: value.type });
    const { faults, rest } = value;
    return ok({ type: 'faulty', faults, rest: rest && { chronicle: toWhole(rest.photos), apart: rest.apart } });
  });
}
